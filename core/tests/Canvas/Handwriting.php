<?php

declare(strict_types=1);

namespace Crag\Tests\Canvas;

use Crag\Canvas\Drawing\Ink;

/**
 * "a0e8Fs" as a hand writes it with a pen: loops, sharp turns, dots, strokes that begin lightly and end pressed, of the
 * size of a line of writing in the middle of a wide page. The same every time.
 */
final class Handwriting
{
    /** @return list<array<string, mixed>> strokes in their JSON form */
    public static function strokes(): array
    {
        $strokes = [];
        foreach (self::letters() as $i => [$path, $thick]) {
            $samples = [];
            $steps = 46;
            for ($k = 0; $k <= $steps; $k++) {
                $t = $k / $steps;
                [$x, $y] = $path($t);
                $pressure = (int) round(60 + 150 * $t * (1.6 - $t) + 25 * sin(9 * $t + $i));
                $samples[] = [
                    (int) round(10 * (680 + 42 * $i + 30 * $x)),
                    (int) round(10 * (480 + 40 * $y)),
                    max(0, min(255, $pressure)),
                    8 * $k,
                ];
            }
            $strokes[] = [
                'type' => 'stroke',
                'colour' => '#25323b',
                'width' => $thick,
                'ink' => Ink::of($samples)->encode(),
            ];
        }

        return $strokes;
    }

    /** @return list<array{callable(float): array{float, float}, int}> a way for 0 to 1 in a field of 1, and a width */
    private static function letters(): array
    {
        $round = static fn (float $from, float $turns): callable => static fn (float $t): array => [
            0.5 + 0.45 * cos($from + 2 * M_PI * $turns * $t),
            0.5 + 0.5 * sin($from + 2 * M_PI * $turns * $t),
        ];

        return [
            // a: round, and down at its right.
            [
                static fn (float $t): array => $t < 0.75
                    ? $round(-0.6, -1.0)($t / 0.75)
                    : [0.9, 0.2 + 3.4 * ($t - 0.75)],
                40,
            ],
            [$round(-1.5, -1.0), 24],
            // e: across and round.
            [
                static fn (float $t): array => $t < 0.3
                    ? [0.1 + 2.6 * $t, 0.55 - 0.3 * $t]
                    : $round(-0.2, -0.8)(($t - 0.3) / 0.7),
                40,
            ],
            // 8: a loop that crosses itself.
            [static fn (float $t): array => [0.5 + 0.4 * sin(4 * M_PI * $t), 0.5 + 0.55 * cos(2 * M_PI * $t)], 70],
            // F: sharp turns.
            [
                static fn (float $t): array => match (true) {
                    $t < 0.4 => [0.9 - 2.0 * $t, 0.0],
                    $t < 0.8 => [0.1, 2.4 * ($t - 0.4)],
                    default => [0.1 + 3.0 * ($t - 0.8), 0.5],
                },
                40,
            ],
            // s, and a dot.
            [static fn (float $t): array => [0.5 + 0.4 * cos(5.2 * $t - 0.6), $t], 12],
            [static fn (float $t): array => [0.5 + 0.01 * $t, 0.95], 70],
        ];
    }
}
