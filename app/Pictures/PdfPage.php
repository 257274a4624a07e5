<?php

declare(strict_types=1);

namespace App\Pictures;

use Illuminate\Support\Facades\Process;

/** One page of a PDF as a picture file, drawn by poppler within limits of time and size. */
final class PdfPage
{
    /** Half as sharp again as the page's units; each page more costs time in proportion to its pixels. */
    private const WIDEST = 2400;

    private const SECONDS = 20;

    public static function is(string $file): bool
    {
        return str_starts_with((string) file_get_contents($file, length: 1024), '%PDF-');
    }

    /**
     * How many pages it has.
     *
     * @throws UnusablePicture
     */
    public static function count(string $pdf): int
    {
        $about = Process::timeout(self::SECONDS)->run(['pdfinfo', $pdf]);
        if (str_contains($about->errorOutput(), 'password')) {
            throw UnusablePicture::lockedPdf();
        }
        if ($about->failed() || preg_match('/^Pages:\s+(\d+)/m', $about->output(), $found) !== 1) {
            throw UnusablePicture::damagedPdf();
        }

        return (int) $found[1];
    }

    /**
     * @param  int  $page  from 1
     * @param  int  $widest  of the picture, in pixels
     * @return string a PNG's path, for the caller to remove
     *
     * @throws UnusablePicture
     */
    public static function picture(string $pdf, int $page, int $widest = self::WIDEST): string
    {
        $pages = self::count($pdf);
        if ($page < 1 || $page > $pages) {
            throw UnusablePicture::noSuchPage($page, $pages);
        }
        $to = (string) tempnam(sys_get_temp_dir(), 'crag-pdf');
        $drawn = Process::timeout(self::SECONDS)->run([
            'pdftocairo',
            '-png',
            '-singlefile',
            '-f',
            (string) $page,
            '-l',
            (string) $page,
            '-scale-to',
            (string) $widest,
            $pdf,
            $to,
        ]);
        unlink($to);
        if ($drawn->failed() || ! is_file("{$to}.png")) {
            throw UnusablePicture::damagedPdf();
        }

        return "{$to}.png";
    }
}
