<?php

declare(strict_types=1);

namespace Crag\Worksheet;

/** The straight lines of a page's picture, solid, dashed or dotted: across, and (turned) down. */
final class ScannedLines
{
    /** In pixels: a thicker line is a bar, or the edge of a picture. */
    private const THICKEST = 7;

    private const APART = 6;

    /**
     * @param  list<string>  $rows  of equal length: 1 for a dark pixel, 0 for a light one
     * @param  int  $shortest  pixels
     * @return list<Box> in pixels
     */
    public static function across(array $rows, int $shortest): array
    {
        $found = [];
        foreach ($rows as $y => $row) {
            preg_match_all("/1{{$shortest},}|(?:1{1,12}0{1,10}){5,}1/", $row, $runs, PREG_OFFSET_CAPTURE);
            foreach ($runs[0] as [$run, $x]) {
                $length = strlen($run);
                if ($length < $shortest) {
                    continue;
                }
                foreach ($found as $i => [$left, $right, $top, $bottom]) {
                    $isBelow = $y >= $bottom && $y - $bottom <= 2;
                    if ($isBelow && $x < $right + self::APART && $x + $length > $left - self::APART) {
                        $found[$i] = [min($left, (int) $x), max($right, (int) $x + $length), $top, $y];

                        continue 2;
                    }
                }
                $found[] = [(int) $x, (int) $x + $length, $y, $y];
            }
        }
        $lines = [];
        foreach ($found as [$left, $right, $top, $bottom]) {
            if ($bottom - $top < self::THICKEST && self::standsAlone($rows, $left, $right, $top, $bottom)) {
                $lines[] = new Box($left, $top, $right - $left, $bottom - $top + 1);
            }
        }

        return $lines;
    }

    /**
     * @param  list<string>  $rows
     * @return list<Box> in pixels
     */
    public static function down(array $rows, int $shortest): array
    {
        $turned = [];
        foreach ($rows as $row) {
            foreach (str_split($row) as $x => $pixel) {
                $turned[$x] = ($turned[$x] ?? '').$pixel;
            }
        }

        return array_map(
            static fn (Box $line): Box => new Box($line->y, $line->x, $line->h, $line->w),
            self::across(array_values($turned), $shortest),
        );
    }

    /**
     * Letters have runs too: close above and below a line nearly nothing is dark.
     *
     * @param  list<string>  $rows
     */
    private static function standsAlone(array $rows, int $left, int $right, int $top, int $bottom): bool
    {
        foreach ([$top - 3, $bottom + 3] as $y) {
            $beside = isset($rows[$y]) ? substr($rows[$y], $left, $right - $left) : '';
            if (substr_count($beside, '1') > 0.25 * ($right - $left)) {
                return false;
            }
        }

        return true;
    }
}
