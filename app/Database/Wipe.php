<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use PDOException;

/**
 * After something was forgotten. SQLite writes over what is deleted (secure_delete), but its write-ahead log still
 * holds the pages as they were until it is emptied, and a page that was rearranged may hold a remnant in its unused
 * part until the database is written anew.
 */
final class Wipe
{
    private const PATIENCE_MS = 400;

    /** Now: nothing reads as it was. Later, in a quiet moment: nothing lies in unused parts either. */
    public static function afterForgetting(): void
    {
        File::put(self::mark(), '');
        self::emptyLog();
    }

    /** Whether anything was forgotten since the database was last written anew. */
    public static function isDue(): bool
    {
        return File::exists(self::mark());
    }

    /** Whoever writes waits as long as this waits for whoever reads: a moment, and the next round tries again. */
    public static function emptyLog(): void
    {
        self::run('PRAGMA busy_timeout = '.self::PATIENCE_MS);
        self::run('PRAGMA wal_checkpoint(TRUNCATE)');
        self::run('PRAGMA busy_timeout = '.config()->integer('database.connections.sqlite.busy_timeout'));
    }

    /** Writes the database anew. Nobody may need it meanwhile. */
    public static function inQuiet(): void
    {
        if (self::isDue() && self::run('VACUUM')) {
            File::delete(self::mark());
            self::emptyLog();
        }
    }

    private static function run(string $statement): bool
    {
        try {
            DB::connection()->getPdo()->exec($statement);

            return true;
        } catch (PDOException) {
            // Locked, or within a transaction: later.
            return false;
        }
    }

    private static function mark(): string
    {
        return config()->string('crag.data').'/to-rewrite';
    }
}
