<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use PDOException;

/**
 * After something was forgotten. SQLite writes over what is deleted (secure_delete), but its write-ahead log still holds the pages
 * as they were until it is emptied, and a page that was rearranged may hold a remnant in its unused part until the database is
 * written anew.
 */
final class Wipe
{
    /** Now: nothing reads as it was. Later, in a quiet moment: nothing lies in unused parts either. */
    public static function afterForgetting(): void
    {
        File::put(self::mark(), '');
        self::emptyLog();
    }

    /** Where somebody is reading just then, the next round does it. */
    public static function emptyLog(): void
    {
        self::run('PRAGMA wal_checkpoint(TRUNCATE)');
    }

    /** Writes the database anew, if something was forgotten since it last was. Nobody may need it meanwhile. */
    public static function inQuiet(): void
    {
        if (File::exists(self::mark()) && self::run('VACUUM')) {
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
