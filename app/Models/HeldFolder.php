<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Support\Facades\File;

/** Where the files of a session or a plan are kept, all in one folder. */
final class HeldFolder
{
    /** @param  string  $kind  sessions or plans */
    public static function of(string $kind, string $id): string
    {
        $folder = self::path($kind, $id);
        File::ensureDirectoryExists($folder, 0o700);

        return $folder;
    }

    public static function remove(string $kind, string $id): void
    {
        File::deleteDirectory(self::path($kind, $id));
    }

    private static function path(string $kind, string $id): string
    {
        return config()->string('crag.data')."/{$kind}/{$id}";
    }
}
