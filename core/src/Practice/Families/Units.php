<?php

declare(strict_types=1);

namespace Crag\Practice\Families;

use Crag\Practice\Chance;
use Crag\Practice\Family;
use Crag\Practice\Task;
use Crag\Practice\Write;

/** Lengths, masses, volumes and times in other units. */
final class Units implements Family
{
    /** A large unit, a small one, and how many of these it has; what comes at the third level comes last. */
    private const PAIRS = [
        'length' => [['m', 'cm', 100], ['km', 'm', 1_000], ['cm', 'mm', 10]],
        'mass' => [['kg', 'g', 1_000], ['t', 'kg', 1_000], ['g', 'mg', 1_000]],
        'volume' => [['l', 'ml', 1_000], ['l', 'cl', 100]],
        'time' => [['h', 'min', 60], ['min', 's', 60]],
    ];

    public function name(): string
    {
        return 'Units';
    }

    public function kinds(): array
    {
        return ['length' => 'Length', 'mass' => 'Mass', 'volume' => 'Volume', 'time' => 'Time'];
    }

    public function task(Chance $chance, string $kind, int $level): Task
    {
        [$large, $small, $times] = $chance->among(self::PAIRS[$kind]);
        // Halves and quarters of an hour, tenths and hundredths of everything else.
        $parts = $kind === 'time' ? 4 : [1 => 1, 2 => 10, 3 => 100][$level];
        $n = $chance->from(1, 40) / ($level === 1 && $kind !== 'time' ? 1 : $parts);
        $in = $n * $times;
        if ($chance->from(0, 1) === 1) {
            return new Task(
                Write::n($n)." {$large} in {$small}",
                self::typed($in)." {$small}",
                steps: ["1 {$large} = {$times} {$small}", Write::n($n)." × {$times} = ".Write::n($in)],
                slips: [self::typed($n / $times)." {$small}" => 'divided instead of multiplied'],
            );
        }

        return new Task(
            Write::n($in)." {$small} in {$large}",
            self::typed($n)." {$large}",
            steps: ["{$times} {$small} = 1 {$large}", Write::n($in)." ÷ {$times} = ".Write::n($n)],
            slips: [self::typed($in * $times)." {$large}" => 'multiplied instead of divided'],
        );
    }

    private static function typed(int|float $n): string
    {
        return rtrim(rtrim(number_format((float) $n, 8, '.', ''), '0'), '.');
    }
}
