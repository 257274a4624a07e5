<?php

declare(strict_types=1);

namespace Crag\Manipulative;

/**
 * Convex solids with their middle at 0, 0, 0, the second coordinate upwards, lengths in centimetres; and how they are
 * seen from far away: turned about the upright axis first, then tilted towards the eye.
 */
final class Solids
{
    public const CUBOID = 0;

    public const PRISM = 1;

    public const PYRAMID = 2;

    public const CYLINDER = 3;

    public const CONE = 4;

    /** Round things have so many sides. */
    public const ROUND = 40;

    public static function sides(int $shape, int $sides): int
    {
        if ($shape === self::CUBOID) {
            return 4;
        }

        return $shape === self::CYLINDER || $shape === self::CONE ? self::ROUND : $sides;
    }

    public static function isPointed(int $shape): bool
    {
        return $shape === self::PYRAMID || $shape === self::CONE;
    }

    /**
     * The corners of the base, then those of the top, or the tip.
     *
     * @return list<list<float>>
     */
    public static function corners(int $shape, int $sides, float $wide, float $deep, float $high): array
    {
        $corners = [];
        $count = self::sides($shape, $sides);
        foreach ([-$high / 2, $high / 2] as $level => $y) {
            if ($level === 1 && self::isPointed($shape)) {
                return [...$corners, [0.0, $y, 0.0]];
            }
            for ($i = 0; $i < $count; $i++) {
                $corners[] = $shape === self::CUBOID
                    ? [($i === 0 || $i === 3 ? -1 : 1) * $wide / 2, $y, ($i < 2 ? -1 : 1) * $deep / 2]
                    : [
                        $wide / 2 * cos((2 * $i + 1) * M_PI / $count),
                        $y,
                        $wide / 2 * sin((2 * $i + 1) * M_PI / $count),
                    ];
            }
        }

        return $corners;
    }

    /** @return list<list<int>> corners round each face: the base, the sides, the top where there is one */
    public static function faces(int $shape, int $sides): array
    {
        $count = self::sides($shape, $sides);
        $base = [];
        $top = [];
        for ($i = 0; $i < $count; $i++) {
            $base[] = $i;
            $top[] = $count + $i;
        }
        $faces = [$base];
        for ($i = 0; $i < $count; $i++) {
            $next = ($i + 1) % $count;
            $faces[] = self::isPointed($shape) ? [$i, $next, $count] : [$i, $next, $count + $next, $count + $i];
        }

        return self::isPointed($shape) ? $faces : [...$faces, $top];
    }

    /**
     * Two corners and the two faces that meet there.
     *
     * @param  list<list<int>>  $faces
     * @return list<list<int>>
     */
    public static function edges(array $faces): array
    {
        $edges = [];
        foreach ($faces as $f => $face) {
            for ($i = 0; $i < count($face); $i++) {
                $a = $face[$i];
                $b = $face[($i + 1) % count($face)];
                for ($g = $f + 1; $g < count($faces); $g++) {
                    if (in_array($a, $faces[$g], true) && in_array($b, $faces[$g], true)) {
                        $edges[] = [$a, $b, $f, $g];
                    }
                }
            }
        }

        return $edges;
    }

    /**
     * Where a point is seen: to the right, down, and how near to the eye.
     *
     * @param  list<float>  $point
     * @return list<float>
     */
    public static function seen(array $point, int $turn, int $tilt): array
    {
        $yaw = $turn * M_PI / 180;
        $pitch = $tilt * M_PI / 180;
        $x = $point[0] * cos($yaw) - $point[2] * sin($yaw);
        $z = $point[0] * sin($yaw) + $point[2] * cos($yaw);

        return [
            $x,
            $z * sin($pitch) - $point[1] * cos($pitch),
            $z * cos($pitch) + $point[1] * sin($pitch),
        ];
    }

    /**
     * @param  list<float>  $a
     * @param  list<float>  $b
     * @return list<float>
     */
    public static function minus(array $a, array $b): array
    {
        return [$a[0] - $b[0], $a[1] - $b[1], $a[2] - $b[2]];
    }

    /**
     * @param  list<float>  $a
     * @param  list<float>  $b
     * @return list<float> at right angles to both, as long as their parallelogram is large
     */
    public static function cross(array $a, array $b): array
    {
        return [
            $a[1] * $b[2] - $a[2] * $b[1],
            $a[2] * $b[0] - $a[0] * $b[2],
            $a[0] * $b[1] - $a[1] * $b[0],
        ];
    }

    /**
     * @param  list<float>  $a
     * @param  list<float>  $b
     */
    public static function dot(array $a, array $b): float
    {
        return $a[0] * $b[0] + $a[1] * $b[1] + $a[2] * $b[2];
    }

    /**
     * Where a plane cuts the edges, in order round the cut; empty where it cuts none.
     *
     * @param  list<list<float>>  $corners
     * @param  list<list<int>>  $edges
     * @param  list<float>  $normal
     * @param  list<float>  $on  a point of the plane
     * @return list<list<float>>
     */
    public static function section(array $corners, array $edges, array $normal, array $on): array
    {
        $cuts = [];
        foreach ($edges as $edge) {
            $from = self::dot($normal, self::minus($corners[$edge[0]], $on));
            $to = self::dot($normal, self::minus($corners[$edge[1]], $on));
            if (abs($from) < 1e-9) {
                $cuts = self::with($cuts, $corners[$edge[0]]);
            }
            if (abs($to) < 1e-9) {
                $cuts = self::with($cuts, $corners[$edge[1]]);
            }
            if ($from * $to < -1e-12) {
                $share = $from / ($from - $to);
                $way = self::minus($corners[$edge[1]], $corners[$edge[0]]);
                $at = $corners[$edge[0]];
                $cuts = self::with($cuts, [
                    $at[0] + $way[0] * $share, $at[1] + $way[1] * $share, $at[2] + $way[2] * $share,
                ]);
            }
        }

        return self::inOrder($cuts, $normal);
    }

    /**
     * @param  list<list<float>>  $points
     * @param  list<float>  $point
     * @return list<list<float>> with it, where it is not there yet
     */
    private static function with(array $points, array $point): array
    {
        foreach ($points as $one) {
            $far = self::minus($one, $point);
            if (self::dot($far, $far) < 1e-9) {
                return $points;
            }
        }

        return [...$points, $point];
    }

    /**
     * @param  list<list<float>>  $points
     * @param  list<float>  $normal
     * @return list<list<float>> round their middle
     */
    private static function inOrder(array $points, array $normal): array
    {
        if (count($points) < 3) {
            return $points;
        }
        $middle = self::middle($points);
        $first = self::minus($points[0], $middle);
        $second = self::cross($normal, $first);
        $angles = array_map(
            static fn (array $one): float => atan2(
                self::dot(self::minus($one, $middle), $second) / max(1e-9, sqrt(self::dot($second, $second))),
                self::dot(self::minus($one, $middle), $first) / max(1e-9, sqrt(self::dot($first, $first))),
            ),
            $points,
        );
        for ($i = 1; $i < count($points); $i++) {
            [$point, $angle] = [$points[$i], $angles[$i]];
            $j = $i - 1;
            while ($j >= 0 && $angles[$j] > $angle) {
                $points[$j + 1] = $points[$j];
                $angles[$j + 1] = $angles[$j];
                $j--;
            }
            $points[$j + 1] = $point;
            $angles[$j + 1] = $angle;
        }

        return $points;
    }

    /**
     * @param  list<list<float>>  $points
     * @return list<float>
     */
    public static function middle(array $points): array
    {
        $sum = [0.0, 0.0, 0.0];
        foreach ($points as $point) {
            $sum = [$sum[0] + $point[0], $sum[1] + $point[1], $sum[2] + $point[2]];
        }
        $count = max(1, count($points));

        return [$sum[0] / $count, $sum[1] / $count, $sum[2] / $count];
    }

    /**
     * The area of a plane figure in space: half the length of the sum of its triangles' cross products.
     *
     * @param  list<list<float>>  $points
     */
    public static function area(array $points): float
    {
        $sum = [0.0, 0.0, 0.0];
        for ($i = 1; $i + 1 < count($points); $i++) {
            $cross = self::cross(self::minus($points[$i], $points[0]), self::minus($points[$i + 1], $points[0]));
            $sum = [$sum[0] + $cross[0], $sum[1] + $cross[1], $sum[2] + $cross[2]];
        }

        return sqrt(self::dot($sum, $sum)) / 2;
    }

    /** A length, an area or a volume with two decimals at most. */
    public static function written(float $value): string
    {
        return Written::hundredths((int) floor($value * 100 + 0.5));
    }

    /** How it is turned after a drag so far across and down. */
    public static function turned(Values $state, int $across, int $down): Values
    {
        return $state
            ->with('turn', (($state->int('turn') - intdiv($across, 2)) % 360 + 360) % 360)
            ->with('tilt', Tokens::within($state->int('tilt') + intdiv($down, 2), -90, 90));
    }
}
