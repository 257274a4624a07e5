<?php

declare(strict_types=1);

namespace Crag\Canvas\Fit;

/** Straight sides between corners: a triangle, a rectangle where four corners are right, or another polygon. */
final class FitPolygon
{
    public static function to(Trace $trace): ?FittedShape
    {
        $at = self::clean($trace, self::corners($trace));
        if (count($at) < 3 || count($at) > FitLimit::MOST_CORNERS) {
            return null;
        }
        $corners = self::sharpened($trace, $at);
        if (self::crossesItself($corners)) {
            return null;
        }
        $sum = 0.0;
        foreach ($trace->points as $point) {
            $sum += self::away($point, $corners);
        }
        $residual = $sum / count($trace->points) / $trace->size;
        if ($residual > FitLimit::POLYGON) {
            return null;
        }
        if (count($corners) === 4 && self::isRight($corners)) {
            return self::rectangle($corners, $residual);
        }
        $points = [];
        foreach (self::levelled($corners) as [$x, $y]) {
            array_push($points, Round::tenths($x), Round::tenths($y));
        }

        return new FittedShape(
            count($corners) === 3 ? 'triangle' : 'polygon',
            ['type' => 'polygon', 'points' => $points],
            null,
            $residual,
        );
    }

    /**
     * Places of the corners along the stroke, which closes: from the point farthest from its middle, which is a corner
     * of whatever has corners, to the one farthest from that, and back.
     *
     * @return list<int>
     */
    private static function corners(Trace $trace): array
    {
        $n = count($trace->points);
        $middle = [
            array_sum(array_column($trace->points, 0)) / $n,
            array_sum(array_column($trace->points, 1)) / $n,
        ];
        $first = self::farthest($trace->points, $middle);
        $round = [];
        for ($i = 0; $i <= $n; $i++) {
            $round[] = $trace->points[($first + $i) % $n];
        }
        $across = self::farthest($round, $round[0]);
        $bend = FitLimit::BEND * $trace->size;
        $found = [
            ...array_slice(Trace::corners($round, 0, $across, $bend), 0, -1),
            ...array_slice(Trace::corners($round, $across, $n, $bend), 0, -1),
        ];

        return array_map(static fn (int $i): int => ($first + $i) % $n, $found);
    }

    /**
     * @param  list<array{float, float}>  $points
     * @param  array{float, float}  $from
     */
    private static function farthest(array $points, array $from): int
    {
        $found = 0;
        $most = -1.0;
        foreach ($points as $i => $point) {
            $away = Trace::distance($point, $from);
            if ($away > $most) {
                [$found, $most] = [$i, $away];
            }
        }

        return $found;
    }

    /**
     * Without corners that are none: those that stand close to another, and those where the way hardly turns.
     *
     * @param  list<int>  $at
     * @return list<int>
     */
    private static function clean(Trace $trace, array $at): array
    {
        do {
            $before = count($at);
            $n = count($at);
            foreach ($at as $i => $place) {
                $here = $trace->points[$place];
                $last = $trace->points[$at[($i + $n - 1) % $n]];
                $next = $trace->points[$at[($i + 1) % $n]];
                $isClose = Trace::distance($here, $next) < FitLimit::CORNERS_APART * $trace->size;
                if ($n > 2 && ($isClose || self::angle($last, $here, $next) > FitLimit::FLAT)) {
                    array_splice($at, $i, 1);

                    break;
                }
            }
        } while (count($at) < $before);

        return $at;
    }

    /**
     * In degrees, at the second of three points.
     *
     * @param  array{float, float}  $a
     * @param  array{float, float}  $at
     * @param  array{float, float}  $b
     */
    private static function angle(array $a, array $at, array $b): float
    {
        [$ax, $ay, $bx, $by] = [$a[0] - $at[0], $a[1] - $at[1], $b[0] - $at[0], $b[1] - $at[1]];

        return abs(rad2deg(atan2($ax * $by - $ay * $bx, $ax * $bx + $ay * $by)));
    }

    /**
     * Corners where the sides beside them meet: a hand rounds a corner off, and its sides know better where it was.
     *
     * @param  list<int>  $at
     * @return list<array{float, float}>
     */
    private static function sharpened(Trace $trace, array $at): array
    {
        $n = count($at);
        $sides = [];
        foreach ($at as $i => $place) {
            $sides[] = self::side($trace->points, $place, $at[($i + 1) % $n]);
        }
        $corners = [];
        foreach ($at as $i => $place) {
            $drawn = $trace->points[$place];
            $meet = self::meet($sides[($i + $n - 1) % $n], $sides[$i]);
            $isNear = $meet !== null && Trace::distance($meet, $drawn) < FitLimit::CORNERS_APART * $trace->size;
            $corners[] = $isNear ? $meet : $drawn;
        }

        return $corners;
    }

    /**
     * The straight line nearest to the middle part of a side: a point of it and its direction.
     *
     * @param  list<array{float, float}>  $points
     * @return ?array{float, float, float, float} null for a side of too few points
     */
    private static function side(array $points, int $from, int $to): ?array
    {
        $all = count($points);
        $count = (($to - $from + $all) % $all) + 1;
        $skip = intdiv($count, 5);
        $used = [];
        for ($i = $skip; $i < $count - $skip; $i++) {
            $used[] = $points[($from + $i) % $all];
        }
        $n = count($used);
        if ($n < 3) {
            return null;
        }
        [$x, $y] = [array_sum(array_column($used, 0)) / $n, array_sum(array_column($used, 1)) / $n];
        $xx = $yy = $xy = 0.0;
        foreach ($used as $point) {
            $xx += ($point[0] - $x) * ($point[0] - $x);
            $yy += ($point[1] - $y) * ($point[1] - $y);
            $xy += ($point[0] - $x) * ($point[1] - $y);
        }
        $turn = 0.5 * atan2(2 * $xy, $xx - $yy);

        return [$x, $y, cos($turn), sin($turn)];
    }

    /**
     * @param  ?array{float, float, float, float}  $one
     * @param  ?array{float, float, float, float}  $other
     * @return ?array{float, float}
     */
    private static function meet(?array $one, ?array $other): ?array
    {
        if ($one === null || $other === null) {
            return null;
        }
        $cross = $one[2] * $other[3] - $one[3] * $other[2];
        if (abs($cross) < 0.2) {
            return null;
        }
        $share = (($other[0] - $one[0]) * $other[3] - ($other[1] - $one[1]) * $other[2]) / $cross;

        return [$one[0] + $share * $one[2], $one[1] + $share * $one[3]];
    }

    /**
     * @param  array{float, float}  $point
     * @param  list<array{float, float}>  $corners
     */
    private static function away(array $point, array $corners): float
    {
        $least = INF;
        foreach ($corners as $i => $corner) {
            $least = min($least, Trace::fromSide($point, $corner, $corners[($i + 1) % count($corners)]));
        }

        return $least;
    }

    /**
     * Whether two of its sides cross that have no corner in common.
     *
     * @param  list<array{float, float}>  $corners
     */
    private static function crossesItself(array $corners): bool
    {
        $n = count($corners);
        for ($i = 0; $i < $n - 2; $i++) {
            for ($k = $i + 2; $k < ($i === 0 ? $n - 1 : $n); $k++) {
                [$a, $b] = [$corners[$i], $corners[$i + 1]];
                [$c, $d] = [$corners[$k], $corners[($k + 1) % $n]];
                if (
                    Trace::side($c, $a, $b) * Trace::side($d, $a, $b) < 0.0 &&
                    Trace::side($a, $c, $d) * Trace::side($b, $c, $d) < 0.0
                ) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @param  list<array{float, float}>  $corners */
    private static function isRight(array $corners): bool
    {
        foreach ($corners as $i => $corner) {
            $angle = self::angle($corners[($i + 3) % 4], $corner, $corners[($i + 1) % 4]);
            if (abs($angle - 90) > FitLimit::RIGHT) {
                return false;
            }
        }

        return true;
    }

    /** @param  list<array{float, float}>  $corners */
    private static function rectangle(array $corners, float $residual): FittedShape
    {
        // Four times its angle, every side of a rectangle points the same way.
        $cos = $sin = 0.0;
        foreach ($corners as $i => $corner) {
            $next = $corners[($i + 1) % 4];
            $angle = 4 * atan2($next[1] - $corner[1], $next[0] - $corner[0]);
            $length = Trace::distance($corner, $next);
            $cos += $length * cos($angle);
            $sin += $length * sin($angle);
        }
        $turn = atan2($sin, $cos) / 4;
        $degrees = rad2deg($turn);
        if (abs($degrees) <= 1.5 * FitLimit::LEVEL) {
            [$turn, $degrees] = [0.0, 0.0];
        }
        $middle = [array_sum(array_column($corners, 0)) / 4, array_sum(array_column($corners, 1)) / 4];
        $across = $down = 0.0;
        foreach ($corners as $corner) {
            [$dx, $dy] = [$corner[0] - $middle[0], $corner[1] - $middle[1]];
            $across += abs(cos($turn) * $dx + sin($turn) * $dy) / 4;
            $down += abs(cos($turn) * $dy - sin($turn) * $dx) / 4;
        }

        return new FittedShape(
            'rectangle',
            [
                'type' => 'rectangle',
                'x' => Round::tenths($middle[0] - $across),
                'y' => Round::tenths($middle[1] - $down),
                'w' => Round::tenths(2 * $across),
                'h' => Round::tenths(2 * $down),
            ],
            $degrees === 0.0 ? null : Round::turned($middle, $degrees),
            $residual,
        );
    }

    /**
     * Sides that nearly lie level or stand upright do.
     *
     * @param  list<array{float, float}>  $corners
     * @return list<array{float, float}>
     */
    private static function levelled(array $corners): array
    {
        $slope = tan(deg2rad(FitLimit::LEVEL));
        $n = count($corners);
        for ($i = 0; $i < $n; $i++) {
            $next = ($i + 1) % $n;
            [[$ax, $ay], [$bx, $by]] = [$corners[$i], $corners[$next]];
            if (abs($by - $ay) <= $slope * abs($bx - $ax)) {
                $ay = $by = ($ay + $by) / 2;
            } elseif (abs($bx - $ax) <= $slope * abs($by - $ay)) {
                $ax = $bx = ($ax + $bx) / 2;
            }
            $corners[$i] = [$ax, $ay];
            $corners[$next] = [$bx, $by];
        }

        return $corners;
    }
}
