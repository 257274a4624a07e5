<?php

declare(strict_types=1);

namespace Crag\Handwriting;

/**
 * What a sign looks like, in numbers: how much of its line runs in which of eight directions, in each of five by five
 * fields of its box (Bai and Huo, "A Study on the Use of 8-Directional Features for Online Handwritten Chinese
 * Character Recognition", 2005); how large it is beside the line it stands in, of how many strokes it is made, and
 * where they begin and end. Neither the order of strokes nor the way in which each was drawn count in the directions.
 */
final class Features
{
    private const FIELDS = 5;

    private const DIRECTIONS = 8;

    public const COUNT = self::FIELDS * self::FIELDS * self::DIRECTIONS + 8;

    /** A line is cut into pieces of so much of the box. */
    private const STEP = 1 / 24;

    /**
     * @param  float  $unit  how tall a digit is in this line
     * @return list<float>
     */
    public static function of(Trace $trace, float $unit): array
    {
        $size = max($trace->size(), 0.05 * $unit, 1e-6);
        [$middleX, $middleY] = $trace->middle();
        $fields = array_fill(0, self::FIELDS * self::FIELDS * self::DIRECTIONS, 0.0);
        foreach ($trace->strokes as $stroke) {
            for ($i = 1; $i < count($stroke); $i++) {
                // From 0 to 1 within the box, which is square.
                self::add(
                    $fields,
                    ($stroke[$i - 1][0] - $middleX) / $size + 0.5,
                    ($stroke[$i - 1][1] - $middleY) / $size + 0.5,
                    ($stroke[$i][0] - $stroke[$i - 1][0]) / $size,
                    ($stroke[$i][1] - $stroke[$i - 1][1]) / $size,
                );
            }
        }
        // What is drawn over twice says no more than once: a root evens it out.
        $features = array_map(static fn (float $one): float => sqrt($one), $fields);
        $strokes = count($trace->strokes);

        return [
            ...array_values($features),
            min(2.0, $trace->height() / max($unit, 1e-6)),
            min(2.0, $trace->width() / max($unit, 1e-6)),
            $trace->width() / $size,
            $trace->height() / $size,
            $strokes === 1 ? 1.0 : 0.0,
            $strokes === 2 ? 1.0 : 0.0,
            $strokes === 3 ? 1.0 : 0.0,
            $strokes > 3 ? 1.0 : 0.0,
        ];
    }

    /**
     * A piece of a line, shared among the fields in which it lies and the two sectors between which it points. Both
     * ways along a line are one direction.
     *
     * @param  array<int, float>  $fields
     */
    private static function add(array &$fields, float $x, float $y, float $dx, float $dy): void
    {
        $length = sqrt($dx * $dx + $dy * $dy);
        if ($length < 1e-9) {
            return;
        }
        $turn = atan2($dy, $dx) / M_PI;
        $sector = ($turn < 0 ? $turn + 1 : $turn) * self::DIRECTIONS;
        $low = (int) $sector;
        $share = $sector - $low;
        [$low, $high] = [$low % self::DIRECTIONS, ($low + 1) % self::DIRECTIONS];
        $pieces = max(1, (int) ceil($length / self::STEP));
        $weight = $length / $pieces;
        $last = self::FIELDS - 1;
        for ($i = 0; $i < $pieces; $i++) {
            $at = ($i + 0.5) / $pieces;
            $column = max(0.0, min($last, ($x + $dx * $at) * self::FIELDS - 0.5));
            $row = max(0.0, min($last, ($y + $dy * $at) * self::FIELDS - 0.5));
            [$c, $r] = [(int) $column, (int) $row];
            [$partC, $partR] = [$column - $c, $row - $r];
            $parts = [
                [$c, $r, (1 - $partC) * (1 - $partR)],
                [$c + 1, $r, $partC * (1 - $partR)],
                [$c, $r + 1, (1 - $partC) * $partR],
                [$c + 1, $r + 1, $partC * $partR],
            ];
            foreach ($parts as [$fieldC, $fieldR, $part]) {
                if ($part > 0 && $fieldC <= $last && $fieldR <= $last) {
                    $field = ($fieldR * self::FIELDS + $fieldC) * self::DIRECTIONS;
                    $fields[$field + $low] += $weight * $part * (1 - $share);
                    $fields[$field + $high] += $weight * $part * $share;
                }
            }
        }
    }
}
