<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Support\Facades\File;

/**
 * After something was forgotten. SQLite writes over what is deleted (secure_delete), but its write-ahead log still
 * holds the pages as they were until it is emptied, and a page that was rearranged may hold a remnant in its unused
 * part until the database is written anew. PostgreSQL keeps deleted rows in its files until then.
 */
final class Wipe
{
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

    /** For a moment; where others are at it, the next round tries again. */
    public static function emptyLog(): void
    {
        Engine::here()->emptyLog();
    }

    /** Writes the database anew. Nobody may need it meanwhile. */
    public static function inQuiet(): void
    {
        if (self::isDue() && Engine::here()->writeAnew()) {
            File::delete(self::mark());
            self::emptyLog();
        }
    }

    private static function mark(): string
    {
        return config()->string('crag.data').'/to-rewrite';
    }
}
