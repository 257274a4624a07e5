<?php

declare(strict_types=1);

namespace Crag\Practice\Families;

use Crag\Practice\Chance;
use Crag\Practice\Family;
use Crag\Practice\Task;
use Crag\Practice\Write;

/** Points on a grid: how steep the line through two is, where it meets the axis, how far they are apart. */
final class Coordinates implements Family
{
    /** Right-angled triangles with whole sides. */
    private const TRIANGLES = [[3, 4, 5], [6, 8, 10], [5, 12, 13], [8, 15, 17], [9, 12, 15]];

    public function name(): string
    {
        return 'Coordinates';
    }

    public function kinds(): array
    {
        return ['gradient' => 'Gradient', 'line' => 'Equation of a line', 'distance' => 'Distance'];
    }

    public function task(Chance $chance, string $kind, int $level): Task
    {
        $most = 3 + 3 * $level;
        $least = $level === 1 ? 0 : -$most;
        [$x, $y] = [$chance->from($least, $most), $chance->from($least, $most)];
        if ($kind === 'distance') {
            [$dx, $dy, $distance] = $chance->among($level === 1 ? array_slice(self::TRIANGLES, 0, 2) : self::TRIANGLES);

            return new Task(
                'How far is '.self::point($x, $y).' from '.self::point($x + $dx, $y + $dy).'?',
                (string) $distance,
                steps: ["{$dx} across and {$dy} up", "\${$dx}^2 + {$dy}^2 = {$distance}^2\$"],
                slips: [(string) ($dx + $dy) => 'added across and up'],
            );
        }
        $gradient = $level === 1 ? $chance->from(1, 5) : $chance->notZero(-5, 5);
        $run = $chance->from(1, 4);
        [$x2, $y2] = [$x + $run, $y + $run * $gradient];
        $points = self::point($x, $y).' and '.self::point($x2, $y2);
        if ($kind === 'gradient') {
            return new Task(
                "The gradient of the line through {$points}",
                (string) $gradient,
                steps: ['up '.Write::n($run * $gradient).", across {$run}", Write::n($gradient)],
                slips: $gradient * $gradient === 1 ? [] : [Write::lowest(1, $gradient) => 'across divided by up'],
            );
        }
        $intercept = $y - $gradient * $x;
        $right = 'y = '.Write::sum(['x' => $gradient, '' => $intercept]);

        return new Task(
            "The equation of the line through {$points}",
            $right,
            hasLetters: true,
            steps: ['the gradient is '.Write::n($gradient), 'at x = 0 it is at '.Write::n($intercept), $right],
        );
    }

    private static function point(int $x, int $y): string
    {
        return '('.Write::n($x).', '.Write::n($y).')';
    }
}
