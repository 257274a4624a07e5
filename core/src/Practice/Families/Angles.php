<?php

declare(strict_types=1);

namespace Crag\Practice\Families;

use Crag\Practice\Chance;
use Crag\Practice\Family;
use Crag\Practice\Task;

/** Angles that are missing: on a line, at a point, in a triangle, in a polygon. */
final class Angles implements Family
{
    public function name(): string
    {
        return 'Angles';
    }

    public function kinds(): array
    {
        return ['line' => 'On a line and at a point', 'triangle' => 'In a triangle', 'polygon' => 'In polygons'];
    }

    public function task(Chance $chance, string $kind, int $level): Task
    {
        $round = $level === 1 ? 10 : ($level === 2 ? 5 : 1);
        $angle = static fn (int $least, int $most): int => $round *
            $chance->from(intdiv($least, $round), intdiv($most, $round));
        if ($kind === 'polygon') {
            $sides = $level < 3 ? $chance->from(4, 14) : $chance->among([5, 6, 8, 9, 10, 12, 15, 18, 20]);
            $sum = ($sides - 2) * 180;

            return $level < 3
                ? new Task("The sum of the angles in a polygon with {$sides} sides, in degrees", (string) $sum,
                    steps: ["{$sides} − 2 = ".($sides - 2).' triangles', ($sides - 2)." × 180 = {$sum}"],
                    slips: [(string) ($sides * 180) => 'did not take 2 off the number of sides'])
                : new Task("Each angle in a regular polygon with {$sides} sides, in degrees",
                    (string) intdiv($sum, $sides),
                    steps: ["the sum is {$sum}", "{$sum} ÷ {$sides} = ".intdiv($sum, $sides)],
                    slips: [(string) intdiv(360, $sides) => 'the angle outside']);
        }
        if ($kind === 'triangle') {
            if ($level > 1 && $chance->from(0, 1) === 1) {
                $apex = 2 * $angle(10, 70);
                $base = intdiv(180 - $apex, 2);

                return new Task(
                    "A triangle with two equal sides has {$apex}° between them. ".
                        'How large is each other angle, in degrees?',
                    (string) $base,
                    steps: ["180 − {$apex} = ".(180 - $apex), 'half of it: '.$base],
                    slips: [(string) (180 - $apex) => 'did not halve it'],
                );
            }
            [$a, $b] = [$angle(20, 80), $angle(20, 80)];

            return new Task("Two angles of a triangle are {$a}° and {$b}°. How large is the third, in degrees?",
                (string) (180 - $a - $b),
                steps: ["{$a} + {$b} = ".($a + $b), '180 − '.($a + $b).' = '.(180 - $a - $b)],
                slips: [(string) (360 - $a - $b) => 'took it from 360']);
        }
        [$a, $b] = [$angle(20, 80), $angle(20, 80)];
        if ($level === 1) {
            $a = 5 * $chance->from(4, 32);

            return new Task("Two angles on a straight line: one is {$a}°. How large is the other, in degrees?",
                (string) (180 - $a),
                steps: ["180 − {$a} = ".(180 - $a)],
                slips: [(string) (360 - $a) => 'took it from 360']);
        }
        $c = $angle(20, 120);

        $sum = $a + $b + $c;

        return new Task(
            "Four angles meet at a point: three are {$a}°, {$b}° and {$c}°. ".
                'How large is the fourth, in degrees?',
            (string) (360 - $sum),
            steps: ["{$a} + {$b} + {$c} = {$sum}", "360 − {$sum} = ".(360 - $sum)],
        );
    }
}
