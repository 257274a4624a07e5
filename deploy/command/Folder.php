<?php

declare(strict_types=1);

namespace Deploy;

use FilesystemIterator;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

final class Folder
{
    /** For nobody but whoever runs Crag. */
    public static function make(string $path): void
    {
        if (! is_dir($path) && ! @mkdir($path, 0o700, true) && ! is_dir($path)) {
            throw new Problem("The folder {$path} cannot be made.");
        }
    }

    public static function remove(string $path): void
    {
        if (! is_dir($path)) {
            return;
        }
        $all = new RecursiveIteratorIterator(
            new RecursiveDirectoryIterator($path, FilesystemIterator::SKIP_DOTS),
            RecursiveIteratorIterator::CHILD_FIRST,
        );
        /** @var SplFileInfo $one */
        foreach ($all as $one) {
            if ($one->isDir() && ! $one->isLink()) {
                @rmdir($one->getPathname());
            } else {
                @unlink($one->getPathname());
            }
        }
        @rmdir($path);
    }
}
