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

    private const MOST_WORDS = 3_000;

    private const LONGEST_WORD = 200;

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
        return self::about($pdf, 1)[0];
    }

    /**
     * @return array{int, bool} how many pages it has, and whether this one is taller than wide as it is seen
     *
     * @throws UnusablePicture
     */
    private static function about(string $pdf, int $page): array
    {
        $only = ['-f', (string) $page, '-l', (string) $page];
        $about = Process::timeout(self::SECONDS)->run(['pdfinfo', ...$only, $pdf]);
        if ($page > 1 && str_contains($about->errorOutput(), 'Wrong page range')) {
            // How many there are is said of a page that is there.
            return self::about($pdf, 1);
        }
        if (str_contains($about->errorOutput(), 'password')) {
            throw UnusablePicture::lockedPdf();
        }
        if ($about->failed() || preg_match('/^Pages:\s+(\d+)/m', $about->output(), $found) !== 1) {
            throw UnusablePicture::damagedPdf();
        }

        preg_match('/^Page\s+\d+ size:\s+([\d.]+) x ([\d.]+)/m', $about->output(), $size);
        preg_match('/^Page\s+\d+ rot:\s+(\d+)/m', $about->output(), $turned);
        $isTall = (float) ($size[2] ?? 0) > (float) ($size[1] ?? 0);
        $isOnItsSide = (int) ($turned[1] ?? 0) % 180 === 90;

        return [(int) $found[1], $isTall !== $isOnItsSide];
    }

    /**
     * @param  int  $page  from 1
     * @param  ?int  $longest  side of the picture, in pixels; as sharp as pages are kept without it
     * @return string a PNG's path, for the caller to remove
     *
     * @throws UnusablePicture
     */
    public static function picture(string $pdf, int $page, ?int $longest = null): string
    {
        [$pages, $isTall] = self::about($pdf, $page);
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
            (string) ($longest ?? ($isTall ? StorePicture::TALLEST : self::WIDEST)),
            $pdf,
            $to,
        ]);
        unlink($to);
        if ($drawn->failed() || ! is_file("{$to}.png")) {
            throw UnusablePicture::damagedPdf();
        }

        return "{$to}.png";
    }

    /**
     * The words that stand on it: none where it is a picture.
     *
     * @param  int  $page  from 1
     * @return list<array{string, int, int, int, int}> each with left, top, width and height in ten-thousandths of it
     */
    public static function words(string $pdf, int $page): array
    {
        $only = ['-f', "{$page}", '-l', "{$page}"];
        $told = Process::timeout(self::SECONDS)->run(['pdftotext', '-bbox', ...$only, $pdf, '-']);
        $of = '/<page width="([\d.]+)" height="([\d.]+)">/';
        $isRead = ! $told->failed() && preg_match($of, $told->output(), $size) === 1;
        if (! $isRead || min((float) $size[1], (float) $size[2]) <= 0) {
            return [];
        }
        preg_match_all(
            '#<word xMin="([-\d.]+)" yMin="([-\d.]+)" xMax="([-\d.]+)" yMax="([-\d.]+)">(.*?)</word>#su',
            $told->output(),
            $found,
            PREG_SET_ORDER,
        );
        $words = [];
        foreach (array_slice($found, 0, self::MOST_WORDS) as [, $left, $top, $right, $bottom, $text]) {
            $across = static fn (string $x): int => (int) round(10_000 * (float) $x / (float) $size[1]);
            $down = static fn (string $y): int => (int) round(10_000 * (float) $y / (float) $size[2]);
            $words[] = [
                mb_substr(html_entity_decode($text, ENT_QUOTES | ENT_XML1), 0, self::LONGEST_WORD),
                $across($left),
                $down($top),
                $across($right) - $across($left),
                $down($bottom) - $down($top),
            ];
        }

        return $words;
    }
}
