<?php

declare(strict_types=1);

namespace Crag\Canvas\Fit;

use Crag\Prompt\Paper;

/** The way that a pen went, in points evenly spaced along it. In units. */
final readonly class Trace
{
    /**
     * @param  list<array{float, float}>  $points
     * @param  float  $length  along the way
     * @param  float  $size  the diagonal of the box around it
     */
    private function __construct(public array $points, public float $length, public float $size)
    {
    }

    /** @param  list<array{int, int, int, int}>  $samples  as {@see \Crag\Canvas\Drawing\Ink} has them */
    public static function of(array $samples): self
    {
        $raw = array_map(
            static fn (array $sample): array => [$sample[0] / Paper::TENTHS, $sample[1] / Paper::TENTHS],
            $samples,
        );
        $length = 0.0;
        for ($i = 1; $i < count($raw); $i++) {
            $length += self::distance($raw[$i - 1], $raw[$i]);
        }
        $left = $top = INF;
        $right = $bottom = -INF;
        foreach ($raw as [$x, $y]) {
            [$left, $right] = [min($left, $x), max($right, $x)];
            [$top, $bottom] = [min($top, $y), max($bottom, $y)];
        }

        return new self(
            self::evenly($raw, $length),
            $length,
            self::distance([$left, $top], [$right, $bottom]),
        );
    }

    public function isClosed(): bool
    {
        return self::distance($this->first(), $this->last()) <= FitLimit::CLOSED * $this->length;
    }

    /** @return array{float, float} */
    public function first(): array
    {
        return $this->points[0];
    }

    /** @return array{float, float} */
    public function last(): array
    {
        return $this->points[count($this->points) - 1];
    }

    /**
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     */
    public static function distance(array $a, array $b): float
    {
        return sqrt(($a[0] - $b[0]) * ($a[0] - $b[0]) + ($a[1] - $b[1]) * ($a[1] - $b[1]));
    }

    /**
     * How far a point lies from the straight way between two others.
     *
     * @param  array{float, float}  $point
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     */
    public static function fromSide(array $point, array $a, array $b): float
    {
        [$dx, $dy] = [$b[0] - $a[0], $b[1] - $a[1]];
        $square = $dx * $dx + $dy * $dy;
        $share = $square === 0.0 ? 0.0 : (($point[0] - $a[0]) * $dx + ($point[1] - $a[1]) * $dy) / $square;
        $share = max(0.0, min(1.0, $share));

        return self::distance($point, [$a[0] + $share * $dx, $a[1] + $share * $dy]);
    }

    /**
     * On which side of a line a point lies, by its sign.
     *
     * @param  array{float, float}  $point
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     */
    public static function side(array $point, array $from, array $to): float
    {
        return ($to[0] - $from[0]) * ($point[1] - $from[1]) - ($to[1] - $from[1]) * ($point[0] - $from[0]);
    }

    /**
     * The corners between two points of a list, both included: where the way bends away from the straight one (the
     * method of Ramer, 1972, and of Douglas and Peucker, 1973).
     *
     * @param  list<array{float, float}>  $points
     * @return list<int> places in the list
     */
    public static function corners(array $points, int $from, int $to, float $bend): array
    {
        $farthest = $from;
        $most = $bend;
        for ($i = $from + 1; $i < $to; $i++) {
            $away = self::fromSide($points[$i], $points[$from], $points[$to]);
            if ($away > $most) {
                [$farthest, $most] = [$i, $away];
            }
        }
        if ($farthest === $from) {
            return [$from, $to];
        }

        return [
            ...array_slice(self::corners($points, $from, $farthest, $bend), 0, -1),
            ...self::corners($points, $farthest, $to, $bend),
        ];
    }

    /**
     * @param  list<array{float, float}>  $raw
     * @return list<array{float, float}>
     */
    private static function evenly(array $raw, float $length): array
    {
        $even = [$raw[0]];
        $step = $length / (FitLimit::POINTS - 1);
        $gone = 0.0;
        $next = $step;
        for ($i = 1; $i < count($raw) && $step > 0.0; $i++) {
            $way = self::distance($raw[$i - 1], $raw[$i]);
            while ($way > 0.0 && $gone + $way >= $next && count($even) < FitLimit::POINTS - 1) {
                $share = ($next - $gone) / $way;
                $even[] = [
                    $raw[$i - 1][0] + $share * ($raw[$i][0] - $raw[$i - 1][0]),
                    $raw[$i - 1][1] + $share * ($raw[$i][1] - $raw[$i - 1][1]),
                ];
                $next += $step;
            }
            $gone += $way;
        }
        $even[] = $raw[count($raw) - 1];

        return $even;
    }
}
