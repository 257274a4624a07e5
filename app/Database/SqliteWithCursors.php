<?php

declare(strict_types=1);

namespace App\Database;

use Generator;
use Illuminate\Database\SQLiteConnection;

/**
 * SQLite that reads row by row with a statement of its own: whoever stops half-way leaves nothing open, and two may
 * read the same beside each other.
 */
final class SqliteWithCursors extends SQLiteConnection
{
    /**
     * @param  string  $query
     * @param  array<array-key, mixed>  $bindings
     * @param  bool  $useReadPdo
     * @return Generator<int, mixed>
     */
    public function cursor($query, $bindings = [], $useReadPdo = true): Generator
    {
        $rows = parent::cursor($query, $bindings, $useReadPdo);
        $pdo = $this->getPdo();
        // Up to the first row: by then it is prepared.
        $begin = static fn () => $rows->rewind();
        $pdo instanceof ImmediatePdo ? $pdo->withoutKeeping($begin) : $begin();
        while ($rows->valid()) {
            yield $rows->current();
            $rows->next();
        }
    }
}
