<?php

declare(strict_types=1);

namespace Crag\Canvas\Fit;

/**
 * The ellipse that has the middle and the second moments of the area that the stroke goes around: of an ellipse with
 * half axes a and b these are its area times a²/4 and b²/4.
 */
final class FitEllipse
{
    public static function to(Trace $trace): ?FittedShape
    {
        $moments = self::moments($trace->points);
        if ($moments === null) {
            return null;
        }
        [$middle, $xx, $yy, $xy] = $moments;
        $mean = ($xx + $yy) / 2;
        $apart = sqrt((($xx - $yy) / 2) * (($xx - $yy) / 2) + $xy * $xy);
        if ($mean - $apart <= 0.0) {
            return null;
        }
        [$a, $b] = [2 * sqrt($mean + $apart), 2 * sqrt($mean - $apart)];
        $turn = 0.5 * atan2(2 * $xy, $xx - $yy);
        $residual = self::residual($trace, $middle, $a, $b, $turn);
        if ($residual > FitLimit::ELLIPSE) {
            return null;
        }
        if ($b >= FitLimit::CIRCLE * $a) {
            $radius = sqrt($a * $b);

            return new FittedShape('circle', self::object($middle, $radius, $radius), null, $residual);
        }
        $degrees = rad2deg($turn);
        if (abs($degrees) <= 1.5 * FitLimit::LEVEL) {
            return new FittedShape('ellipse', self::object($middle, $a, $b), null, $residual);
        }
        if (abs($degrees) >= 90 - 1.5 * FitLimit::LEVEL) {
            return new FittedShape('ellipse', self::object($middle, $b, $a), null, $residual);
        }

        return new FittedShape(
            'ellipse',
            self::object($middle, $a, $b),
            Round::turned($middle, $degrees),
            $residual,
        );
    }

    /**
     * The middle and the second moments about it, for an area of 1 (P. Steger, "On the calculation of arbitrary moments
     * of polygons", 1996).
     *
     * @param  list<array{float, float}>  $points
     * @return ?array{array{float, float}, float, float, float} the middle, then of x, of y and of both
     */
    private static function moments(array $points): ?array
    {
        $n = count($points);
        [$startX, $startY] = $points[0];
        $area = $x = $y = $xx = $yy = $xy = 0.0;
        for ($i = 0; $i < $n; $i++) {
            [$ax, $ay] = [$points[$i][0] - $startX, $points[$i][1] - $startY];
            $next = $points[($i + 1) % $n];
            [$bx, $by] = [$next[0] - $startX, $next[1] - $startY];
            $cross = $ax * $by - $bx * $ay;
            $area += $cross / 2;
            $x += ($cross * ($ax + $bx)) / 6;
            $y += ($cross * ($ay + $by)) / 6;
            $xx += ($cross * ($ax * $ax + $ax * $bx + $bx * $bx)) / 12;
            $yy += ($cross * ($ay * $ay + $ay * $by + $by * $by)) / 12;
            $xy += ($cross * (2 * $ax * $ay + $ax * $by + $bx * $ay + 2 * $bx * $by)) / 24;
        }
        if (abs($area) < 1.0) {
            return null;
        }
        [$x, $y] = [$x / $area, $y / $area];

        return [
            [$x + $startX, $y + $startY],
            $xx / $area - $x * $x,
            $yy / $area - $y * $y,
            $xy / $area - $x * $y,
        ];
    }

    /** @param  array{float, float}  $middle */
    private static function residual(Trace $trace, array $middle, float $a, float $b, float $turn): float
    {
        [$cos, $sin] = [cos($turn), sin($turn)];
        $sum = 0.0;
        foreach ($trace->points as $point) {
            [$dx, $dy] = [$point[0] - $middle[0], $point[1] - $middle[1]];
            [$u, $v] = [$cos * $dx + $sin * $dy, $cos * $dy - $sin * $dx];
            $away = sqrt(($u / $a) * ($u / $a) + ($v / $b) * ($v / $b));
            $sum += $away === 0.0 ? $b : (abs($away - 1) / $away) * sqrt($u * $u + $v * $v);
        }

        return $sum / count($trace->points) / $trace->size;
    }

    /**
     * @param  array{float, float}  $middle
     * @return array<string, mixed>
     */
    private static function object(array $middle, float $a, float $b): array
    {
        return [
            'type' => 'ellipse',
            'x' => Round::tenths($middle[0] - $a),
            'y' => Round::tenths($middle[1] - $b),
            'w' => Round::tenths(2 * $a),
            'h' => Round::tenths(2 * $b),
        ];
    }
}
