<?php

declare(strict_types=1);

namespace Crag\Canvas\Fit;

use Crag\Prompt\Paper;

/** Whole numbers, rounded as a browser rounds: halves upwards. */
final class Round
{
    public static function whole(float $value): int
    {
        return (int) floor($value + 0.5);
    }

    /** Units in tenths. */
    public static function tenths(float $units): int
    {
        return self::whole($units * Paper::TENTHS);
    }

    /**
     * The place of what is turned about a point of its own, which stays where it is.
     *
     * @param  array{float, float}  $about  in units
     * @param  float  $turn  in degrees clockwise
     * @return array{int, int, int, int} as {@see \Crag\Canvas\Drawing\Place} has it
     */
    public static function turned(array $about, float $turn): array
    {
        $hundredths = ((self::whole($turn * 100) % 36_000) + 36_000) % 36_000;
        [$cos, $sin] = [cos(deg2rad($hundredths / 100)), sin(deg2rad($hundredths / 100))];

        return [
            self::tenths($about[0] - $cos * $about[0] + $sin * $about[1]),
            self::tenths($about[1] - $sin * $about[0] - $cos * $about[1]),
            $hundredths,
            10_000,
        ];
    }
}
