<?php

declare(strict_types=1);

namespace App\Pictures;

use App\Models\Asset;
use Crag\Worksheet\Box;
use Crag\Worksheet\SheetPage;
use Crag\Worksheet\Word;

/** The words of a PDF's page in lines, from top to bottom. */
final class PageLines
{
    /**
     * @return list<array{string, int, int, int, int}> each with left, top, width and height in ten-thousandths of the
     *     page; none where the page is a picture
     */
    public static function of(Asset $asset): array
    {
        $words = array_map(
            static fn (array $one): Word => new Word($one[0], new Box($one[1], $one[2], $one[3], $one[4])),
            $asset->page_words ?? [],
        );

        return array_map(self::line(...), (new SheetPage(10_000, 10_000, $words, [], []))->lines());
    }

    /**
     * @param  list<Word>  $line
     * @return array{string, int, int, int, int}
     */
    private static function line(array $line): array
    {
        $boxes = array_map(static fn (Word $word): Box => $word->box, $line);
        $left = min(array_map(static fn (Box $box): float => $box->x, $boxes));
        $top = min(array_map(static fn (Box $box): float => $box->y, $boxes));

        return [
            implode(' ', array_map(static fn (Word $word): string => $word->text, $line)),
            (int) $left,
            (int) $top,
            (int) (max(array_map(static fn (Box $box): float => $box->right(), $boxes)) - $left),
            (int) (max(array_map(static fn (Box $box): float => $box->bottom(), $boxes)) - $top),
        ];
    }
}
