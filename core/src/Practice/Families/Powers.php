<?php

declare(strict_types=1);

namespace Crag\Practice\Families;

use Crag\Practice\Chance;
use Crag\Practice\Family;
use Crag\Practice\Task;

/** Squares, cubes and roots; powers multiplied and divided. */
final class Powers implements Family
{
    public function name(): string
    {
        return 'Powers and roots';
    }

    public function kinds(): array
    {
        return ['powers' => 'Powers', 'roots' => 'Roots', 'rules' => 'Rules of powers'];
    }

    public function task(Chance $chance, string $kind, int $level): Task
    {
        if ($kind === 'roots') {
            $isCube = $level > 1 && $chance->from(0, 2) === 0;
            $root = $isCube ? $chance->from(2, 10) : $chance->from(2, [1 => 12, 2 => 15, 3 => 25][$level]);
            $of = $isCube ? $root ** 3 : $root ** 2;

            return new Task(
                '$'.($isCube ? '\sqrt[3]' : '\sqrt')."{{$of}}\$",
                (string) $root,
                steps: [$isCube ? "{$root} × {$root} × {$root} = {$of}" : "{$root} × {$root} = {$of}"],
                slips: $of % 2 === 0 && intdiv($of, 2) !== $root ? [(string) intdiv($of, 2) => 'half of it'] : [],
            );
        }
        if ($kind === 'rules') {
            $base = $chance->among(['a', 'x', 'y', 'b']);
            // No more than can be multiplied out.
            [$m, $n] = [$chance->from(2, 4), $chance->from(2, 4)];

            return match ($level === 1 ? 0 : $chance->from(0, 2)) {
                0 => new Task("\${$base}^{{$m}} \\times {$base}^{{$n}}\$", "{$base}^".($m + $n), hasLetters: true,
                    steps: ["{$m} + {$n} = ".($m + $n)],
                    slips: $m * $n === $m + $n ? [] : ["{$base}^".$m * $n => 'multiplied the exponents']),
                1 => new Task("\${$base}^{".($m + $n)."} \\div {$base}^{{$n}}\$", "{$base}^{$m}", hasLetters: true,
                    steps: [($m + $n)." − {$n} = {$m}"]),
                default => new Task("\$({$base}^{{$m}})^{{$n}}\$", "{$base}^".$m * $n, hasLetters: true,
                    steps: ["{$m} × {$n} = ".$m * $n],
                    slips: $m * $n === $m + $n ? [] : ["{$base}^".($m + $n) => 'added the exponents']),
            };
        }
        $exponent = $level === 1 ? 2 : $chance->from(2, $level === 2 ? 3 : 5);
        $base = $exponent === 2 ? $chance->from(2, $level === 1 ? 12 : 20) : $chance->from(2, $exponent === 3 ? 10 : 5);
        $right = $base ** $exponent;

        return new Task(
            "\${$base}^{{$exponent}}\$",
            (string) $right,
            steps: [implode(' × ', array_fill(0, $exponent, (string) $base))." = {$right}"],
            slips: $base * $exponent === $right ? [] : [(string) ($base * $exponent) => 'multiplied by the exponent'],
        );
    }
}
