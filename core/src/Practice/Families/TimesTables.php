<?php

declare(strict_types=1);

namespace Crag\Practice\Families;

use Crag\Practice\Chance;
use Crag\Practice\Family;
use Crag\Practice\Task;

/** From the table of 2 to the table of 12; then turned round, then as divisions. */
final class TimesTables implements Family
{
    public function name(): string
    {
        return 'Times tables';
    }

    public function kinds(): array
    {
        $kinds = [];
        for ($table = 2; $table <= 12; $table++) {
            $kinds["t{$table}"] = "Table of {$table}";
        }

        return $kinds;
    }

    public function task(Chance $chance, string $kind, int $level): Task
    {
        $table = (int) substr($kind, 1);
        $by = $chance->from(2, $level === 1 ? 10 : 12);
        $product = $table * $by;
        if ($level === 3 && $chance->from(0, 1) === 1) {
            return new Task(
                "\${$product} \\div {$table}\$",
                (string) $by,
                steps: ["{$table} × {$by} = {$product}"],
                slips: [(string) ($by + 1) => 'one row too far', (string) ($by - 1) => 'one row short'],
            );
        }
        [$a, $b] = $level > 1 && $chance->from(0, 1) === 1 ? [$table, $by] : [$by, $table];

        return new Task(
            "\${$a} \\times {$b}\$",
            (string) $product,
            steps: [($by - 1)." × {$table} = ".($product - $table), "and one more {$table}: {$product}"],
            slips: array_diff_key([
                (string) ($product + $table) => 'one row too far',
                (string) ($product - $table) => 'one row short',
                (string) ($a + $b) => 'added instead of multiplied',
            ], [$product => '']),
        );
    }
}
