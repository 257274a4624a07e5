<?php

declare(strict_types=1);

namespace Crag\Canvas\Fit;

/**
 * An arrow in one stroke: the shaft, then its head as a barb and, across or by way of the tip again, the other barb.
 */
final class FitArrow
{
    public static function to(Trace $trace): ?FittedShape
    {
        $last = count($trace->points) - 1;
        $corners = array_map(
            static fn (int $i): array => $trace->points[$i],
            Trace::corners($trace->points, 0, $last, FitLimit::BEND * $trace->size),
        );
        if (count($corners) < 4 || count($corners) > 5) {
            return null;
        }
        [$from, $tip, $one] = $corners;
        $other = $corners[count($corners) - 1];
        $shaft = Trace::distance($from, $tip);
        $longest = FitLimit::BARB * $shaft;
        $isHead =
            self::isBehind($one, $tip, $from, $longest) &&
            self::isBehind($other, $tip, $from, $longest) &&
            Trace::side($one, $from, $tip) * Trace::side($other, $from, $tip) < 0.0 &&
            (count($corners) === 4 || Trace::distance($corners[3], $tip) < 0.5 * Trace::distance($one, $tip));

        return ! $isHead
            ? null
            : new FittedShape('arrow', ['type' => 'arrow'] + FitLine::between($from, $tip), null, 0.0);
    }

    /**
     * Whether a barb's end lies behind the tip, and no farther from it than a barb is long.
     *
     * @param  array{float, float}  $end
     * @param  array{float, float}  $tip
     * @param  array{float, float}  $from
     */
    private static function isBehind(array $end, array $tip, array $from, float $longest): bool
    {
        $along = ($end[0] - $tip[0]) * ($from[0] - $tip[0]) + ($end[1] - $tip[1]) * ($from[1] - $tip[1]);

        return $along > 0.0 && Trace::distance($end, $tip) <= $longest;
    }
}
