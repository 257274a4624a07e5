<?php

declare(strict_types=1);

namespace App\Pictures;

use App\Models\Asset;
use Crag\Prompt\Paper;
use Crag\Worksheet\Box;
use Crag\Worksheet\ScannedLines;
use Crag\Worksheet\SheetPage;
use Crag\Worksheet\Word;

/** What stands on a page that was brought in: the words that its PDF had, and the lines that its picture shows. */
final class SheetOfPicture
{
    /** Lines are looked for in a picture of so many pixels across: sharp enough for a dotted line. */
    private const ACROSS = 1_000;

    /** Darker than this is drawn, from 0 to 255. */
    private const DARK = 150;

    /** In widths of the picture: what is shorter is a letter's stroke. */
    private const SHORTEST = 0.03;

    private const PARTS = 10_000;

    public static function of(Asset $asset, Paper $paper): ?SheetPage
    {
        $image = @imagecreatefromstring((string) @file_get_contents($asset->path()));
        if ($image === false) {
            return null;
        }
        $small = imagescale($image, self::ACROSS);
        if ($small === false) {
            return null;
        }
        imagefilter($small, IMG_FILTER_GRAYSCALE);
        [$width, $height] = [imagesx($small), imagesy($small)];
        $rows = [];
        for ($y = 0; $y < $height; $y++) {
            $row = '';
            for ($x = 0; $x < $width; $x++) {
                $row .= (imagecolorat($small, $x, $y) & 0xFF) < self::DARK ? '1' : '0';
            }
            $rows[] = $row;
        }
        $shortest = (int) round(self::SHORTEST * $width);
        $unit = $paper->width / $width;
        $inUnits = static fn (Box $one): Box => new Box(
            $one->x * $unit,
            $one->y * $unit,
            $one->w * $unit,
            $one->h * $unit,
        );

        return new SheetPage(
            $paper->width,
            $paper->height,
            self::words($asset, $paper),
            array_map($inUnits, ScannedLines::across($rows, $shortest)),
            array_map($inUnits, ScannedLines::down($rows, $shortest)),
        );
    }

    /** @return list<Word> */
    private static function words(Asset $asset, Paper $paper): array
    {
        return array_map(
            static fn (array $one): Word => new Word($one[0], new Box(
                $one[1] * $paper->width / self::PARTS,
                $one[2] * $paper->height / self::PARTS,
                $one[3] * $paper->width / self::PARTS,
                $one[4] * $paper->height / self::PARTS,
            )),
            $asset->page_words ?? [],
        );
    }
}
