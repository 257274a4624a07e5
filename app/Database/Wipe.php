<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Support\Facades\DB;
use PDOException;

/**
 * After something was forgotten: SQLite writes over what is deleted (secure_delete), but its write-ahead log still holds the
 * pages as they were until it is emptied. Where somebody is reading just then, the next idle round does it.
 */
final class Wipe
{
    public static function log(): void
    {
        try {
            DB::connection()->getPdo()->exec('PRAGMA wal_checkpoint(TRUNCATE)');
        } catch (PDOException) {
            // Locked: later.
        }
    }
}
