<?php

declare(strict_types=1);

namespace Crag\Canvas\Fit;

/** A line from where the pen began to where it is. */
final class FitLine
{
    public static function to(Trace $trace): ?FittedShape
    {
        [$from, $to] = [$trace->first(), $trace->last()];
        $way = Trace::distance($from, $to);
        if ($way === 0.0 || $trace->length > FitLimit::LINE_LONGER * $way) {
            return null;
        }
        $sum = 0.0;
        foreach ($trace->points as $point) {
            $away = Trace::fromSide($point, $from, $to);
            if ($away > FitLimit::LINE * $way) {
                return null;
            }
            $sum += $away;
        }

        return new FittedShape(
            'line',
            ['type' => 'line'] + self::between($from, $to),
            null,
            $sum / count($trace->points) / $trace->size,
        );
    }

    /**
     * A box shape's position, level or upright where it nearly is.
     *
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     * @return array{x: int, y: int, w: int, h: int}
     */
    public static function between(array $from, array $to): array
    {
        [$w, $h] = [$to[0] - $from[0], $to[1] - $from[1]];
        $slope = tan(deg2rad(FitLimit::LEVEL / 2));
        if (abs($h) <= $slope * abs($w)) {
            $h = 0.0;
        } elseif (abs($w) <= $slope * abs($h)) {
            $w = 0.0;
        }

        return ['x' => Round::tenths($from[0]), 'y' => Round::tenths($from[1])] +
            ['w' => Round::tenths($w), 'h' => Round::tenths($h)];
    }
}
