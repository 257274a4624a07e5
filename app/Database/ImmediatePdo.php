<?php

declare(strict_types=1);

namespace App\Database;

use PDO;

/**
 * SQLite whose transactions take the writer's turn as they begin. A transaction that reads first and then writes
 * cannot wait for its turn half-way: SQLite refuses it at once when another has written in between. The framework
 * can ask for this only from PHP 8.4 on, where PDO itself sees a transaction that was begun in SQL.
 */
final class ImmediatePdo extends PDO
{
    private bool $begun = false;

    public function beginTransaction(): bool
    {
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
