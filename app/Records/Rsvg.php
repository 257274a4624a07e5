<?php

declare(strict_types=1);

namespace App\Records;

use Illuminate\Support\Facades\Process;

/** Our SVG made into PDF and PNG by librsvg. */
final class Rsvg
{
    /** @param  list<string>  $svgFiles one for each page */
    public static function pdf(array $svgFiles, string $to): void
    {
        Process::timeout(300)->run(['rsvg-convert', '-f', 'pdf', '--unlimited', '-o', $to, ...$svgFiles])->throw();
    }

    public static function png(string $svg, int $width): string
    {
        return Process::timeout(60)->input($svg)
            ->run(['rsvg-convert', '-f', 'png', '--unlimited', '-w', (string) $width])->throw()->output();
    }
}
