<?php

declare(strict_types=1);

namespace Crag\Canvas\Fit;

/** A part of a circle, as a curve through points of it. */
final class FitArc
{
    /** Degrees from one point of the curve to the next. */
    private const STEP = 15.0;

    public static function to(Trace $trace): ?FittedShape
    {
        $circle = self::circle($trace->points);
        if ($circle === null) {
            return null;
        }
        [$x, $y, $radius] = $circle;
        $away = 0.0;
        $turn = 0.0;
        $before = null;
        foreach ($trace->points as $point) {
            $away += abs(Trace::distance($point, [$x, $y]) - $radius);
            $angle = atan2($point[1] - $y, $point[0] - $x);
            $turn += $before === null ? 0.0 : self::step($before, $angle);
            $before = $angle;
        }
        $residual = $away / count($trace->points) / $trace->size;
        $degrees = abs(rad2deg($turn));
        $isArc =
            $residual <= FitLimit::ARC &&
            $degrees >= FitLimit::ARC_LEAST &&
            $degrees <= FitLimit::ARC_MOST &&
            // A way there and back turns less than it is long.
            abs($turn) * $radius >= 0.85 * $trace->length;
        if (! $isArc) {
            return null;
        }
        $first = $trace->first();
        $begin = atan2($first[1] - $y, $first[0] - $x);
        $steps = max(2, (int) ceil($degrees / self::STEP));
        $points = [];
        for ($i = 0; $i <= $steps; $i++) {
            $angle = $begin + ($turn * $i) / $steps;
            $points[] = Round::tenths($x + $radius * cos($angle));
            $points[] = Round::tenths($y + $radius * sin($angle));
        }

        return new FittedShape('arc', ['type' => 'curve', 'points' => $points], null, $residual);
    }

    /** The shorter way from one angle to another. */
    private static function step(float $from, float $to): float
    {
        $step = $to - $from;
        if ($step > M_PI) {
            return $step - 2 * M_PI;
        }

        return $step < -M_PI ? $step + 2 * M_PI : $step;
    }

    /**
     * The circle whose equation holds best for all points, in the sense of least squares (I. Kåsa, "A circle fitting
     * procedure and its error analysis", 1976).
     *
     * @param  list<array{float, float}>  $points
     * @return ?array{float, float, float} middle and radius; null where they lie on a line
     */
    private static function circle(array $points): ?array
    {
        $n = count($points);
        [$meanX, $meanY] = [array_sum(array_column($points, 0)) / $n, array_sum(array_column($points, 1)) / $n];
        $xx = $xy = $yy = $xr = $yr = 0.0;
        foreach ($points as $point) {
            [$x, $y] = [$point[0] - $meanX, $point[1] - $meanY];
            $square = $x * $x + $y * $y;
            $xx += $x * $x;
            $xy += $x * $y;
            $yy += $y * $y;
            $xr += $x * $square;
            $yr += $y * $square;
        }
        $all = $xx * $yy - $xy * $xy;
        if ($all <= 1e-9 * ($xx + $yy) * ($xx + $yy)) {
            return null;
        }
        $x = ($xr * $yy - $yr * $xy) / (2 * $all);
        $y = ($yr * $xx - $xr * $xy) / (2 * $all);

        return [$x + $meanX, $y + $meanY, sqrt($x * $x + $y * $y + ($xx + $yy) / $n)];
    }
}
