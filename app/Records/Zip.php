<?php

declare(strict_types=1);

namespace App\Records;

use Illuminate\Support\Str;
use RuntimeException;
use ZipArchive;

/** Files in one. */
final class Zip
{
    /** @param  iterable<string, string>  $files  contents by path; one called mimetype is stored as it is */
    public static function write(iterable $files, string $to): void
    {
        $zip = new ZipArchive();
        if ($zip->open($to, ZipArchive::CREATE | ZipArchive::OVERWRITE) !== true) {
            throw new RuntimeException("{$to} cannot be written.");
        }
        foreach ($files as $path => $content) {
            $zip->addFromString($path, $content);
            if ($path === 'mimetype') {
                $zip->setCompressionName($path, ZipArchive::CM_STORE);
            }
        }
        if (! $zip->close()) {
            throw new RuntimeException("{$to} cannot be written.");
        }
    }

    /** @param  iterable<string, string>  $files */
    public static function bytes(iterable $files): string
    {
        $file = sys_get_temp_dir().'/crag-zip-'.Str::random(12);
        try {
            self::write($files, $file);

            return (string) file_get_contents($file);
        } finally {
            @unlink($file);
        }
    }
}
