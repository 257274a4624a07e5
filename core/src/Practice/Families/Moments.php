<?php

declare(strict_types=1);

namespace Crag\Practice\Families;

use Crag\Practice\Chance;
use Crag\Practice\Family;
use Crag\Practice\Task;
use Crag\Practice\Write;

/** The moment of a force about a pivot, and what keeps a beam level. */
final class Moments implements Family
{
    public function name(): string
    {
        return 'Moments';
    }

    public function kinds(): array
    {
        return [
            'moment' => 'The moment of a force',
            'force' => 'A force that keeps a beam level',
            'arm' => 'A distance that does',
        ];
    }

    public function task(Chance $chance, string $kind, int $level): Task
    {
        $force = $chance->from(2, 12 * $level) * 10;
        // Not 1 m: there multiplying and dividing come to the same.
        $arm = $level === 1 ? $chance->from(2, 7) : ($chance->from(1, 2) * 10 + $chance->from(1, 9)) / 10;
        $moment = $force * $arm;
        $arms = Write::n($arm);
        if ($kind === 'moment') {
            return new Task(
                "A force of {$force} N acts {$arms} m from a pivot. Its moment, in N m",
                self::typed($moment).' N m',
                steps: ["{$force} N × {$arms} m = ".Write::n($moment).' N m'],
                slips: [self::typed($force / $arm).' N m' => 'divided instead of multiplied'],
            );
        }
        // The other side is a whole number of times as long, or as strong.
        $times = $chance->from(2, 5);
        $load = $force * $times;
        $turns = Write::n($moment * $times);
        $far = Write::n($arm * $times);
        $said = "A load of {$load} N hangs {$arms} m left of a pivot. ";
        if ($kind === 'force') {
            return new Task(
                $said."Which force {$far} m right of it keeps the beam level, in N?",
                "{$force} N",
                steps: ["the moment on the left is {$turns} N m", "{$turns} ÷ {$far} = {$force}"],
                slips: [
                    "{$load} N" => 'the same force, as if the distances were equal',
                    $load * $times.' N' => 'more force on the longer side',
                ],
            );
        }

        return new Task(
            $said."How far right of it must {$force} N hang to keep the beam level, in m?",
            self::typed($arm * $times).' m',
            steps: ["the moment on the left is {$turns} N m", "{$turns} ÷ {$force} = {$far}"],
            slips: [self::typed($arm).' m' => 'the same distance, as if the forces were equal'],
        );
    }

    private static function typed(int|float $n): string
    {
        return rtrim(rtrim(number_format((float) $n, 6, '.', ''), '0'), '.');
    }
}
