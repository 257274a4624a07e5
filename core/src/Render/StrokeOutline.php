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
 * its width at middle pressure; at a midpoint it is the mean of both samples'. Where the line bends gently, a piece is
 * bounded by the same curve moved to both sides, its control points standing where the moved tangents meet; where it
 * bends more sharply than the pen is broad, by two straight pieces and a disc. All pieces turn the same way round, so
 * that where they overlap nothing is left out. resources/ts/canvas/drawing/outline.ts draws the same pieces.
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
        for ($i = 0; $i < $last; $i++) {
            $next = self::middle($points[$i], $points[$i + 1]);
            $path .= $i === 0
                ? self::straight($points[0], $next)
                : self::bend(self::middle($points[$i - 1], $points[$i]), $points[$i], $next);
        }

        return $last === 0
            ? $path
            : $path.
                self::straight(self::middle($points[$last - 1], $points[$last]), $points[$last]).
                self::disc($points[$last]);
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
     * From one midpoint over a sample to the next one.
     *
     * @param  array{float, float, float}  $a
     * @param  array{float, float, float}  $by
     * @param  array{float, float, float}  $b
     */
    private static function bend(array $a, array $by, array $b): string
    {
        [$firstX, $firstY, $first] = self::normal($a, $by);
        [$secondX, $secondY, $second] = self::normal($by, $b);
        // The cosine of the angle by which the line turns; from it the radius of the curve where it is sharpest.
        $turn = $firstX * $secondX + $firstY * $secondY;
        $sine = sqrt(max(0.0, (1 - $turn) / 2));
        $radius = $sine === 0.0 ? INF : (min($first, $second) * (1 + $turn)) / 2 / $sine;
        if ($turn <= 0 || $by[2] > self::GENTLE * $radius) {
            return self::straight($a, $by).self::disc($by).self::straight($by, $b);
        }
        $across = $by[2] / (1 + $turn);
        [$overX, $overY] = [($firstX + $secondX) * $across, ($firstY + $secondY) * $across];

        return 'M'.self::pair($a[0] + $firstX * $a[2], $a[1] + $firstY * $a[2]).
            'Q'.self::pair($by[0] + $overX, $by[1] + $overY).
            ' '.self::pair($b[0] + $secondX * $b[2], $b[1] + $secondY * $b[2]).
            'L'.self::pair($b[0] - $secondX * $b[2], $b[1] - $secondY * $b[2]).
            'Q'.self::pair($by[0] - $overX, $by[1] - $overY).
            ' '.self::pair($a[0] - $firstX * $a[2], $a[1] - $firstY * $a[2]).
            'Z';
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
