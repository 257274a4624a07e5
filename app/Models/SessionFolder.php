<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Support\Facades\File;

/** Where a session's files are kept, all in one folder so that forgetting it forgets them. */
final class SessionFolder
{
    public static function of(string $sessionId): string
    {
        $folder = config()->string('crag.data')."/sessions/{$sessionId}";
        File::ensureDirectoryExists($folder, 0o700);

        return $folder;
    }

    public static function remove(string $sessionId): void
    {
        File::deleteDirectory(config()->string('crag.data')."/sessions/{$sessionId}");
    }
}
