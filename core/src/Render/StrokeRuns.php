<?php

declare(strict_types=1);

namespace Crag\Render;

use Crag\Canvas\Drawing\Ink;
use Crag\Canvas\Object\Stroke;
use Crag\Prompt\Page;

/**
 * A stroke as path data, in runs of one width each.
 *
 * The line runs through the midpoints between samples, each sample being the control point of a quadratic curve;
 * the first and the last half segment are straight. Pressure in 16 steps sets the width: (6 + step) / 14 of the
 * stroke's, which is just its width at middle pressure. Neighbouring pieces of the same step make one run.
 * resources/ts/canvas/drawing/draw.ts draws the same pieces.
 */
final class StrokeRuns
{
    /** @return list<array{float, string}> width in units and path data, in drawing order */
    public static function of(Stroke $stroke): array
    {
        $samples = $stroke->ink->samples();
        $last = count($samples) - 1;
        if ($last === 0) {
            [$x, $y] = self::at($samples[0]);

            return [[self::width($stroke, $samples[0][2] >> 4), 'M'.self::pair($x, $y).'h0.01']];
        }

        $runs = [];
        $step = $samples[0][2] >> 4;
        $path = 'M'.self::pair(...self::at($samples[0]));
        $from = self::middle($samples[0], $samples[1]);
        $path .= 'L'.self::pair(...$from);
        for ($i = 1; $i <= $last; $i++) {
            $now = $samples[$i][2] >> 4;
            if ($now !== $step) {
                $runs[] = [self::width($stroke, $step), $path];
                $path = 'M'.self::pair(...$from);
                $step = $now;
            }
            if ($i === $last) {
                $path .= 'L'.self::pair(...self::at($samples[$i]));
            } else {
                $from = self::middle($samples[$i], $samples[$i + 1]);
                $path .= 'Q'.self::pair(...self::at($samples[$i])).' '.self::pair(...$from);
            }
        }
        $runs[] = [self::width($stroke, $step), $path];

        return $runs;
    }

    /** The whole line as one path, for a stroke of one width. */
    public static function whole(Stroke $stroke): string
    {
        $even = array_map(static fn (array $sample): array => [$sample[0], $sample[1], 0, 0], $stroke->ink->samples());

        return self::of(new Stroke($stroke->colour, $stroke->width, Ink::of($even)))[0][1];
    }

    private static function width(Stroke $stroke, int $step): float
    {
        return (($stroke->width / Page::TENTHS) * (6 + $step)) / 14;
    }

    /**
     * @param  array{int, int, int, int}  $sample
     * @return array{float, float}
     */
    private static function at(array $sample): array
    {
        return [$sample[0] / Page::TENTHS, $sample[1] / Page::TENTHS];
    }

    /**
     * @param  array{int, int, int, int}  $a
     * @param  array{int, int, int, int}  $b
     * @return array{float, float}
     */
    private static function middle(array $a, array $b): array
    {
        return [($a[0] + $b[0]) / (2 * Page::TENTHS), ($a[1] + $b[1]) / (2 * Page::TENTHS)];
    }

    private static function pair(float $x, float $y): string
    {
        return Xml::number($x).' '.Xml::number($y);
    }
}
