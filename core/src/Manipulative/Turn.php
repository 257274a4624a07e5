<?php

declare(strict_types=1);

namespace Crag\Manipulative;

/** Places on circles. Degrees go clockwise from the top. */
final class Turn
{
    /** @return list<float> x and y */
    public static function at(float $x, float $y, float $radius, float $degrees): array
    {
        $angle = ($degrees - 90) * M_PI / 180;

        return [$x + $radius * cos($angle), $y + $radius * sin($angle)];
    }

    /** @return list<float> the corners of a piece of a disc */
    public static function sector(float $x, float $y, float $radius, float $from, float $to): array
    {
        $points = $to - $from >= 360 ? [] : [$x, $y];
        $steps = max(2, (int) ceil(($to - $from) / 6));
        for ($i = 0; $i <= $steps; $i++) {
            $points = [...$points, ...self::at($x, $y, $radius, $from + ($to - $from) * $i / $steps)];
        }

        return $points;
    }

    /** In which direction a place lies from another, 0 up to 360. */
    public static function towards(float $x, float $y, float $atX, float $atY): float
    {
        $degrees = atan2($atY - $y, $atX - $x) * 180 / M_PI + 90;

        return $degrees < 0 ? $degrees + 360 : $degrees;
    }
}
