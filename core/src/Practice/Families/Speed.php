<?php

declare(strict_types=1);

namespace Crag\Practice\Families;

use Crag\Practice\Chance;
use Crag\Practice\Family;
use Crag\Practice\Task;
use Crag\Practice\Write;

/** Distance, time and speed. */
final class Speed implements Family
{
    public function name(): string
    {
        return 'Speed';
    }

    public function kinds(): array
    {
        return ['speed' => 'Speed', 'distance' => 'Distance', 'time' => 'Time'];
    }

    public function task(Chance $chance, string $kind, int $level): Task
    {
        // Not 1 h: there multiplying and dividing come to the same.
        $time = $level === 1 ? $chance->from(2, 6) : $chance->from(5, 18) / ($level === 2 ? 2 : 4);
        $speed = $chance->from(2, 30) * ($level === 3 ? 4 : 2);
        $distance = $speed * $time;
        [$t, $d] = [Write::n($time), Write::n($distance)];

        return match ($kind) {
            'speed' => new Task(
                "A train goes {$d} km in {$t} h. Its speed, in km/h",
                "{$speed} km/h",
                steps: ["{$d} km ÷ {$t} h = {$speed} km/h"],
                slips: [self::typed($distance * $time).' km/h' => 'multiplied instead of divided'],
            ),
            'distance' => new Task(
                "A train goes at {$speed} km/h for {$t} h. How far, in km?",
                self::typed($distance).' km',
                steps: ["{$speed} km/h × {$t} h = {$d} km"],
                slips: [self::typed($speed / $time).' km' => 'divided instead of multiplied'],
            ),
            default => new Task(
                "A train goes {$d} km at {$speed} km/h. How long does it take, in h?",
                self::typed($time).' h',
                steps: ["{$d} km ÷ {$speed} km/h = {$t} h"],
                slips: [self::typed($speed / $distance).' h' => 'the wrong way round'],
            ),
        };
    }

    private static function typed(int|float $n): string
    {
        return rtrim(rtrim(number_format((float) $n, 6, '.', ''), '0'), '.');
    }
}
