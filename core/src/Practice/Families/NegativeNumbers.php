<?php

declare(strict_types=1);

namespace Crag\Practice\Families;

use Crag\Practice\Chance;
use Crag\Practice\Family;
use Crag\Practice\Task;
use Crag\Practice\Write;

/** Numbers below zero, added, subtracted, multiplied and divided. */
final class NegativeNumbers implements Family
{
    public function name(): string
    {
        return 'Negative numbers';
    }

    public function kinds(): array
    {
        return ['add' => 'Adding and subtracting', 'multiply' => 'Multiplying and dividing'];
    }

    public function task(Chance $chance, string $kind, int $level): Task
    {
        $most = [1 => 10, 2 => 20, 3 => 60][$level];
        if ($kind === 'add') {
            [$a, $b] = [$chance->notZero(-$most, $most), -$chance->from(1, $most)];
            $isSum = $chance->from(0, 1) === 1;
            $right = $isSum ? $a + $b : $a - $b;

            return new Task(
                '$'.$a.($isSum ? ' + ' : ' - ')."({$b})\$",
                (string) $right,
                steps: [Write::n($a).($isSum ? ' − ' : ' + ').-$b, Write::n($right)],
                slips: self::slips($right, [
                    [$isSum ? $a - $b : $a + $b, 'the sign before the bracket was read the other way'],
                    [-$right, 'the sign of the result'],
                ]),
            );
        }
        $small = [1 => 9, 2 => 12, 3 => 15][$level];
        [$a, $b] = [$chance->notZero(-$small, $small), -$chance->from(2, $small)];
        if ($level > 1 && $chance->from(0, 1) === 1) {
            return new Task(
                '$'.$a * $b." \\div ({$b})\$",
                (string) $a,
                steps: [Write::after($b).' × '.Write::after($a).' = '.Write::n($a * $b)],
                slips: self::slips($a, [[-$a, 'the sign: equal signs give plus, different ones give minus']]),
            );
        }

        return new Task(
            "\${$a} \\times ({$b})\$",
            (string) ($a * $b),
            steps: [
                abs($a).' × '.abs($b).' = '.abs($a * $b),
                ($a < 0) === ($b < 0) ? 'equal signs: plus' : 'different signs: minus',
            ],
            slips: self::slips($a * $b, [
                [-$a * $b, 'the sign: equal signs give plus, different ones give minus'],
                [$a + $b, 'added instead of multiplied'],
            ]),
        );
    }

    /**
     * @param  list<array{int, string}>  $slips
     * @return array<array-key, string> without what is right
     */
    private static function slips(int $right, array $slips): array
    {
        $all = [];
        foreach ($slips as [$wrong, $why]) {
            if ($wrong !== $right) {
                $all["{$wrong}"] = $why;
            }
        }

        return $all;
    }
}
