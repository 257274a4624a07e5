<?php

declare(strict_types=1);

namespace App\Database;

use PDO;
use PDOException;
use PDOStatement;

/**
 * SQLite whose transactions take the writer's turn as they begin. A transaction that reads first and then writes
 * cannot wait for its turn half-way: SQLite refuses it at once when another has written in between. The framework
 * can ask for this only from PHP 8.4 on, where PDO itself sees a transaction that was begun in SQL.
 */
final class ImmediatePdo extends PDO
{
    private bool $begun = false;

    /** Whether what is begun ends with the process at the latest. */
    private bool $isWatched = false;

    /** @var array<string, PDOStatement>|null by their SQL, where they are kept */
    private ?array $statements = null;

    /** SQLITE_BUSY (https://www.sqlite.org/rescode.html), whatever its further bits say. */
    private const BUSY = 5;

    /** How soon whoever waits for the turn looks again, at the soonest. */
    private const LOOKS_US = 500;

    /** Kinds of statements; a process that stays started asks few. */
    private const MOST_STATEMENTS = 300;

    /**
     * From now on a statement is prepared once, for a process that stays started. Its results are read to their end at
     * once; what is read row by row has a statement of its own ({@see SqliteWithCursors}).
     */
    public function keepStatements(): void
    {
        $this->statements ??= [];
    }

    /** For what may be left before its end. */
    public function withoutKeeping(callable $do): void
    {
        [$kept, $this->statements] = [$this->statements, null];
        try {
            $do();
        } finally {
            $this->statements = $kept;
        }
    }

    /** @param  array<int, mixed>  $options */
    public function prepare(string $query, array $options = []): PDOStatement|false
    {
        if ($this->statements === null || $options !== []) {
            return parent::prepare($query, $options);
        }
        if (isset($this->statements[$query])) {
            return $this->statements[$query];
        }
        $statement = parent::prepare($query);
        if ($statement !== false && count($this->statements) < self::MOST_STATEMENTS) {
            $this->statements[$query] = $statement;
        }

        return $statement;
    }

    public function beginTransaction(): bool
    {
        if (! $this->isWatched) {
            // A connection may outlive a request that ends by force; what it began must not.
            register_shutdown_function(fn () => $this->begun && $this->rollBack());
            $this->isWatched = true;
        }
        $this->takeTurn();

        return $this->begun = true;
    }

    /**
     * Waits for the writer's turn. SQLite itself looks less and less often, at last every 100 ms, while a turn takes
     * two to four: of a class that comes in at once, some waited long for a turn that was free.
     */
    private function takeTurn(): void
    {
        $patience = (int) $this->query('pragma busy_timeout')->fetchColumn();
        $until = hrtime(true) + $patience * 1e6;
        $this->exec('pragma busy_timeout = 0');
        try {
            while (! $this->tookTurn($until)) {
                usleep(random_int(self::LOOKS_US, 3 * self::LOOKS_US));
            }
        } finally {
            $this->exec("pragma busy_timeout = {$patience}");
        }
    }

    private function tookTurn(float $until): bool
    {
        try {
            $this->exec('BEGIN IMMEDIATE');

            return true;
        } catch (PDOException $fault) {
            if (((int) ($fault->errorInfo[1] ?? 0) & 0xFF) !== self::BUSY || hrtime(true) > $until) {
                throw $fault;
            }

            return false;
        }
    }

    public function commit(): bool
    {
        $this->exec('COMMIT');
        $this->begun = false;

        return true;
    }

    public function rollBack(): bool
    {
        $this->begun = false;
        $this->exec('ROLLBACK');

        return true;
    }

    public function inTransaction(): bool
    {
        return $this->begun;
    }
}
