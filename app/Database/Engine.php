<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Support\Facades\DB;
use PDOException;

/**
 * What the two databases do each in its own way: SQLite for a school on one machine, PostgreSQL for several machines.
 * All other SQL is understood by both.
 */
abstract class Engine
{
    /** So long is a writer's turn waited for where nobody says otherwise. */
    protected const USUAL_MS = 10_000;

    public static function here(): self
    {
        return DB::connection()->getDriverName() === 'pgsql' ? new Postgres() : new Sqlite();
    }

    /** From now on, until waitAsUsual(). */
    abstract public function waitAtMost(int $ms): void;

    final public function waitAsUsual(): void
    {
        $this->waitAtMost(self::USUAL_MS);
    }

    /** SQL for a field of a column that holds JSON in words. */
    abstract public function field(string $column, string $key): string;

    /** What a fault means for whoever waits for an answer; null where it is a fault of the program. */
    abstract public function said(PDOException $fault): ?string;

    abstract public function bytes(): int;

    /** @return list<string> its tables, by name */
    abstract public function tables(): array;

    /** Whether there is anything yet; at the first start there is not. */
    abstract public function isThere(): bool;

    /**
     * While nobody else does the same, on whichever node.
     *
     * @template T
     *
     * @param  callable(): T  $do
     * @return T
     */
    abstract public function alone(callable $do): mixed;

    /** A copy of all of it beside the data, to go back to. @return string the file */
    abstract public function setAside(string $folder): string;

    /** Nothing that was deleted can be read by what reads its files. A moment; where others are at it, not now. */
    abstract public function emptyLog(): void;

    /** Written anew without what was deleted. Nobody may need it meanwhile. Whether it went. */
    abstract public function writeAnew(): bool;

    /** Whether a statement went; not within a transaction, and not while others hold it. */
    protected static function went(string $statement): bool
    {
        try {
            return DB::transactionLevel() === 0 && DB::connection()->getPdo()->exec($statement) !== false;
        } catch (PDOException) {
            return false;
        }
    }
}
