<?php

declare(strict_types=1);

namespace App\Records;

use Illuminate\Support\Facades\Process;

/** Our SVG made into PDF and PNG by librsvg. */
final class Rsvg
{
    /** It stands back for whoever draws meanwhile. */
    private const COMMAND = ['nice', '-n', '5', 'rsvg-convert'];

    /** @param  list<string>  $svgFiles one for each page */
    public static function pdf(array $svgFiles, string $to): void
    {
        Process::timeout(300)
            ->run([...self::COMMAND, '-f', 'pdf', '--unlimited', '-o', $to, ...$svgFiles])
            ->throw();
    }

    public static function png(string $svg, int $width): string
    {
        return Process::timeout(60)
            ->input($svg)
            ->run([...self::COMMAND, '-f', 'png', '--unlimited', '-w', (string) $width])
            ->throw()
            ->output();
    }

    /** A stranger's SVG: within the renderer's own limits, and in a few seconds or not at all. */
    public static function pngOfUpload(string $svg, int $width): string
    {
        return Process::timeout(5)
            ->input($svg)
            ->run([...self::COMMAND, '-f', 'png', '-w', (string) $width])
            ->throw()
            ->output();
    }
}
