<?php

declare(strict_types=1);

namespace App\Live;

use FilesystemIterator;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/**
 * How often somebody tried something is counted for a minute, a small file for each; the framework leaves them lying.
 */
final class Counts
{
    private const EVERY_S = 600;

    /** No count is for longer. */
    private const OLD_S = 3600;

    public static function forgetOld(int $nowMs): void
    {
        $now = intdiv($nowMs, 1000);
        $folder = config()->string('cache.stores.counts.path');
        $marker = "{$folder}/looked";
        if (! is_dir($folder) || $now - (int) @filemtime($marker) < self::EVERY_S) {
            return;
        }
        touch($marker, $now);
        $all = new RecursiveIteratorIterator(
            new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS),
            RecursiveIteratorIterator::CHILD_FIRST,
        );
        /** @var SplFileInfo $one */
        foreach ($all as $one) {
            if ($now - (int) @filemtime($one->getPathname()) > self::OLD_S) {
                // A folder in which somebody counts is young, and not empty.
                $one->isDir() ? @rmdir($one->getPathname()) : @unlink($one->getPathname());
            }
        }
    }
}
