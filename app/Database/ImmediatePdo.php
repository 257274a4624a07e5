<?php

declare(strict_types=1);

namespace App\Database;

use PDO;
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
        $this->exec('BEGIN IMMEDIATE');

        return $this->begun = true;
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
