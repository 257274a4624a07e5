<?php

declare(strict_types=1);

namespace Crag\Render;

use Crag\Canvas\Object\Stroke;
use Crag\Prompt\Paper;

/**
 * A stroke as the path data of its outline, to be filled by the nonzero rule: as wide at each place as the pen was
 * pressed there, with round ends and no steps.
 *
 * The line runs through the midpoints between samples, each sample being the control point of a quadratic curve; the
 * first and the last half segment are straight. Pressure p makes it (96 + p) / 224 of the stroke's width, which is just
 * its width at middle pressure; at a midpoint it is the mean of both samples'. As long as the line bends gently, it is
 * one ribbon, bounded by the same curves moved to both sides, whose control points stand where the moved tangents meet;
 * where it bends more sharply than the pen is broad, two straight pieces and a disc stand between two ribbons. All
 * pieces turn the same way round, so that where they overlap nothing is left out.
 * resources/ts/canvas/drawing/outline.ts draws the same pieces.
 */
final class StrokeOutline
{
    /** Of its sharpest curve's radius, the pen's own may be so much. */
    private const GENTLE = 0.9;

    public static function of(Stroke $stroke): string
    {
        $points = self::points($stroke);
        $last = count($points) - 1;
        $path = self::disc($points[0]);
        if ($last === 0) {
            return $path;
        }
        $from = self::middle($points[0], $points[1]);
        [$x, $y] = self::normal($points[0], $points[1]);
        // One side is written as it goes, the other one is put together backwards.
        $there = 'M'.self::side($points[0], $x, $y, 1).'L'.self::side($from, $x, $y, 1);
        $back = 'L'.self::side($points[0], $x, $y, -1);
        for ($i = 1; $i < $last; $i++) {
            [$by, $next] = [$points[$i], self::middle($points[$i], $points[$i + 1])];
            $over = self::gentle($from, $by, $next);
            if ($over === null) {
                $path .=
                    self::ribbon($there, $from, $x, $y, $back).
                    self::straight($from, $by).
                    self::disc($by).
                    self::straight($by, $next);
                [$x, $y] = self::normal($by, $next);
                [$there, $back] = ['M'.self::side($next, $x, $y, 1), ''];
            } else {
                $back = 'Q'.self::pair($by[0] - $over[0], $by[1] - $over[1]).' '.self::side($from, $x, $y, -1).$back;
                [$x, $y] = self::normal($by, $next);
                $there .= 'Q'.self::pair($by[0] + $over[0], $by[1] + $over[1]).' '.self::side($next, $x, $y, 1);
            }
            $from = $next;
        }
        $there .= 'L'.self::side($points[$last], $x, $y, 1);
        $back = 'L'.self::side($from, $x, $y, -1).$back;

        return $path.self::ribbon($there, $points[$last], $x, $y, $back).self::disc($points[$last]);
    }

    /** @param  array{float, float, float}  $end */
    private static function ribbon(string $there, array $end, float $x, float $y, string $back): string
    {
        return $back === '' ? '' : $there.'L'.self::side($end, $x, $y, -1).$back.'Z';
    }

    /**
     * A place on one of the line's sides.
     *
     * @param  array{float, float, float}  $at
     */
    private static function side(array $at, float $x, float $y, int $which): string
    {
        return self::pair($at[0] + $which * $x * $at[2], $at[1] + $which * $y * $at[2]);
    }

    /**
     * Samples that stand where the one before stands say nothing of a direction.
     *
     * @return non-empty-list<array{float, float, float}> x, y and half the width there, in units
     */
    private static function points(Stroke $stroke): array
    {
        $points = [];
        $before = null;
        foreach ($stroke->ink->samples() as [$x, $y, $pressure]) {
            if ($before !== [$x, $y]) {
                $before = [$x, $y];
                $points[] = [
                    $x / Paper::TENTHS,
                    $y / Paper::TENTHS,
                    (($stroke->width / Paper::TENTHS) * (96 + $pressure)) / 448,
                ];
            }
        }

        return $points === [] ? throw new \LogicException('Ink has a sample.') : $points;
    }

    /**
     * @param  array{float, float, float}  $a
     * @param  array{float, float, float}  $b
     * @return array{float, float, float}
     */
    private static function middle(array $a, array $b): array
    {
        return [($a[0] + $b[0]) / 2, ($a[1] + $b[1]) / 2, ($a[2] + $b[2]) / 2];
    }

    /**
     * How far the control points of both sides stand off the line's own; null where it bends too sharply for that.
     *
     * @param  array{float, float, float}  $a
     * @param  array{float, float, float}  $by
     * @param  array{float, float, float}  $b
     * @return ?array{float, float}
     */
    private static function gentle(array $a, array $by, array $b): ?array
    {
        [$firstX, $firstY, $first] = self::normal($a, $by);
        [$secondX, $secondY, $second] = self::normal($by, $b);
        // The cosine of the angle by which the line turns; from it the radius of the curve where it is sharpest.
        $turn = $firstX * $secondX + $firstY * $secondY;
        $sine = sqrt(max(0.0, (1 - $turn) / 2));
        $radius = $sine === 0.0 ? INF : (min($first, $second) * (1 + $turn)) / 2 / $sine;
        if ($turn <= 0 || $by[2] > self::GENTLE * $radius) {
            return null;
        }
        $across = $by[2] / (1 + $turn);

        return [($firstX + $secondX) * $across, ($firstY + $secondY) * $across];
    }

    /**
     * @param  array{float, float, float}  $a
     * @param  array{float, float, float}  $b
     */
    private static function straight(array $a, array $b): string
    {
        [$x, $y] = self::normal($a, $b);

        return 'M'.self::pair($a[0] + $x * $a[2], $a[1] + $y * $a[2]).
            'L'.self::pair($b[0] + $x * $b[2], $b[1] + $y * $b[2]).
            'L'.self::pair($b[0] - $x * $b[2], $b[1] - $y * $b[2]).
            'L'.self::pair($a[0] - $x * $a[2], $a[1] - $y * $a[2]).
            'Z';
    }

    /** @param  array{float, float, float}  $at */
    private static function disc(array $at): string
    {
        $r = Xml::number($at[2]);
        $across = Xml::number(2 * $at[2]);

        return 'M'.self::pair($at[0] - $at[2], $at[1])."a{$r} {$r} 0 1 0 {$across} 0a{$r} {$r} 0 1 0 -{$across} 0Z";
    }

    /**
     * @param  array{float, float, float}  $a
     * @param  array{float, float, float}  $b
     * @return array{float, float, float} x and y of what stands square to the way from one to the other, and its length
     */
    private static function normal(array $a, array $b): array
    {
        $length = hypot($b[0] - $a[0], $b[1] - $a[1]);

        return [-($b[1] - $a[1]) / $length, ($b[0] - $a[0]) / $length, $length];
    }

    private static function pair(float $x, float $y): string
    {
        return Xml::number($x).' '.Xml::number($y);
    }
}
