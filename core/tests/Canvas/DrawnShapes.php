<?php

declare(strict_types=1);

namespace Crag\Tests\Canvas;

/**
 * Shapes as a hand draws them: with a slow wobble, corners rounded off, ends that miss or pass each other, somewhere on
 * the page, of any size, begun anywhere, at an uneven pace. The same every time.
 */
final class DrawnShapes
{
    private const OF_EACH = 30;

    /** Units from one sample to the next, about. */
    private const APART = 4.0;

    /** @return array<string, array{kind: ?string, samples: list<array{int, int, int, int}>}> what was meant, by name */
    public static function all(): array
    {
        $drawn = [];
        mt_srand(1);
        foreach (self::kinds() as $name => [$kind, $make]) {
            for ($i = 0; $i < self::OF_EACH; $i++) {
                [$corners, $closes] = $make();
                $drawn["{$name} {$i}"] = ['kind' => $kind, 'samples' => self::byHand($corners, $closes)];
            }
        }

        return $drawn;
    }

    /** @return array<string, array{?string, callable(): array{list<array{float, float}>, bool}}> */
    private static function kinds(): array
    {
        return [
            'line' => ['line', static fn (): array => [[[0.0, 0.0], [1.0, 0.0]], false]],
            'arrow across' => [
                'arrow',
                static fn (): array => [[[0.0, 0.0], [1.0, 0.0], [0.78, -0.16], [0.78, 0.16]], false],
            ],
            'arrow by its tip' => [
                'arrow',
                static fn (): array => [[[0.0, 0.0], [1.0, 0.0], [0.78, -0.18], [1.0, 0.01], [0.8, 0.2]], false],
            ],
            'arc' => ['arc', static fn (): array => [self::round(1.0, self::between(50, 290)), false]],
            'circle' => ['circle', static fn (): array => [self::round(1.0, 360), true]],
            'ellipse' => ['ellipse', static fn (): array => [self::round(self::between(0.35, 0.7), 360), true]],
            'triangle' => [
                'triangle',
                static function (): array {
                    return [[[0.0, 0.0], [1.0, 0.0], [self::between(-0.1, 1.1), self::between(0.5, 1.1)]], true];
                },
            ],
            'rectangle' => [
                'rectangle',
                static function (): array {
                    $h = self::between(0.35, 1.0);

                    return [[[0.0, 0.0], [1.0, 0.0], [1.0, $h], [0.0, $h]], true];
                },
            ],
            'trapezium' => [
                'polygon',
                static fn (): array => [[[0.0, 0.0], [1.0, 0.0], [self::between(0.6, 0.75), 0.5], [0.25, 0.5]], true],
            ],
            'pentagon' => ['polygon', static fn (): array => [self::regular(5), true]],
            'house' => [
                'polygon',
                static fn (): array => [[[0.0, 0.4], [0.5, 0.0], [1.0, 0.4], [1.0, 1.0], [0.0, 1.0]], true],
            ],
            'wave' => [null, static fn (): array => [self::wave(), false]],
            'zigzag' => [
                null,
                static fn (): array => [[[0.0, 0.0], [0.3, 0.5], [0.5, 0.0], [0.8, 0.5], [1.0, 0.0]], false],
            ],
            'spiral' => [null, static fn (): array => [self::spiral(), false]],
            'eight' => [null, static fn (): array => [self::eight(), true]],
        ];
    }

    /** @return list<array{float, float}> */
    private static function round(float $flat, float $degrees): array
    {
        $points = [];
        for ($i = 0; $i <= 60; $i++) {
            $angle = deg2rad(($degrees * $i) / 60);
            $points[] = [cos($angle) / 2, ($flat * sin($angle)) / 2];
        }

        return $points;
    }

    /** @return list<array{float, float}> */
    private static function regular(int $corners): array
    {
        $points = [];
        for ($i = 0; $i < $corners; $i++) {
            $points[] = [cos((2 * M_PI * $i) / $corners) / 2, sin((2 * M_PI * $i) / $corners) / 2];
        }

        return $points;
    }

    /** @return list<array{float, float}> */
    private static function wave(): array
    {
        return array_map(static fn (int $i): array => [$i / 60, sin($i / 6) / 5], range(0, 60));
    }

    /** @return list<array{float, float}> */
    private static function spiral(): array
    {
        return array_map(
            static fn (int $i): array => [($i / 120) * cos($i / 6), ($i / 120) * sin($i / 6)],
            range(0, 90),
        );
    }

    /** @return list<array{float, float}> */
    private static function eight(): array
    {
        return array_map(
            static fn (int $i): array => [sin((2 * M_PI * $i) / 80), sin((4 * M_PI * $i) / 80) / 2],
            range(0, 80),
        );
    }

    /**
     * @param  list<array{float, float}>  $corners  in a field of about 1
     * @return list<array{int, int, int, int}>
     */
    private static function byHand(array $corners, bool $closes): array
    {
        $size = self::between(60, 500);
        $turn = mt_rand(0, 1) === 1 ? deg2rad(self::between(-6, 6)) : deg2rad(self::between(0, 360));
        if ($closes) {
            $corners[] = $corners[0];
        }
        $way = self::along($corners, self::APART / $size);
        if ($closes) {
            $way = self::missing($way);
        }
        $way = self::rounded($way, max(1, intdiv(count($way), 60)));
        $wobble = self::wobble($size);
        $samples = [];
        $ms = 0;
        foreach ($way as $i => [$x, $y]) {
            $far = $i * self::APART;
            $px = $x * $size + $wobble(0, $far);
            $py = $y * $size + $wobble(1, $far);
            $samples[] = [
                (int) round(10 * (800 + $px * cos($turn) - $py * sin($turn))),
                (int) round(10 * (500 + $px * sin($turn) + $py * cos($turn))),
                128,
                $ms,
            ];
            $ms += mt_rand(6, 20);
        }

        return $samples;
    }

    /**
     * @param  list<array{float, float}>  $corners
     * @return list<array{float, float}> evenly along the sides
     */
    private static function along(array $corners, float $step): array
    {
        $way = [];
        for ($i = 1; $i < count($corners); $i++) {
            [$a, $b] = [$corners[$i - 1], $corners[$i]];
            $n = max(1, (int) ceil(hypot($b[0] - $a[0], $b[1] - $a[1]) / $step));
            for ($k = 0; $k < $n; $k++) {
                $way[] = [$a[0] + (($b[0] - $a[0]) * $k) / $n, $a[1] + (($b[1] - $a[1]) * $k) / $n];
            }
        }
        $way[] = $corners[count($corners) - 1];

        return $way;
    }

    /**
     * Begun somewhere along the way round, and ended before or past its beginning.
     *
     * @param  list<array{float, float}>  $way
     * @return list<array{float, float}>
     */
    private static function missing(array $way): array
    {
        $n = count($way) - 1;
        $start = mt_rand(0, 2) === 0 ? mt_rand(0, $n - 1) : 0;
        $length = (int) round($n * self::between(0.92, 1.05));
        $drawn = [];
        for ($i = 0; $i <= $length; $i++) {
            $drawn[] = $way[($start + $i) % $n];
        }

        return $drawn;
    }

    /**
     * @param  list<array{float, float}>  $way
     * @return list<array{float, float}>
     */
    private static function rounded(array $way, int $reach): array
    {
        $smooth = [];
        foreach (array_keys($way) as $i) {
            $near = array_slice($way, max(0, $i - $reach), min($i, $reach) + 1 + $reach);
            $smooth[] = [
                array_sum(array_column($near, 0)) / count($near),
                array_sum(array_column($near, 1)) / count($near),
            ];
        }

        return $smooth;
    }

    /** @return callable(int, float): float how far the hand strays, across and down, so far along */
    private static function wobble(float $size): callable
    {
        $waves = [];
        for ($axis = 0; $axis < 2; $axis++) {
            foreach ([1.3, 0.6, 0.25] as $share) {
                $waves[$axis][] = [
                    $share * $size * self::between(0.008, 0.02),
                    self::between(0.6, 1.4) / ($share * $size),
                    self::between(0, 2 * M_PI),
                ];
            }
        }

        return static function (int $axis, float $far) use ($waves): float {
            $away = self::between(-0.3, 0.3);
            foreach ($waves[$axis] as [$reach, $pace, $phase]) {
                $away += $reach * sin(2 * M_PI * $pace * $far + $phase);
            }

            return $away;
        };
    }

    private static function between(float $least, float $most): float
    {
        return $least + (($most - $least) * mt_rand(0, 10_000)) / 10_000;
    }
}
