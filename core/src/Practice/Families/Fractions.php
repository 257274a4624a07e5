<?php

declare(strict_types=1);

namespace Crag\Practice\Families;

use Crag\Maths\Comparing\FormKind;
use Crag\Practice\Chance;
use Crag\Practice\Family;
use Crag\Practice\Task;
use Crag\Practice\Write;

/** Fractions simplified, added, subtracted, multiplied and divided. */
final class Fractions implements Family
{
    public function name(): string
    {
        return 'Fractions';
    }

    public function kinds(): array
    {
        return [
            'simplify' => 'Simplifying',
            'add' => 'Adding and subtracting',
            'multiply' => 'Multiplying',
            'divide' => 'Dividing',
        ];
    }

    public function task(Chance $chance, string $kind, int $level): Task
    {
        $most = [1 => 6, 2 => 9, 3 => 12][$level];
        [$b, $d] = [$chance->from(2, $most), $chance->from(2, $most)];
        [$a, $c] = [self::below($chance, $b), self::below($chance, $d)];

        return match ($kind) {
            'simplify' => self::simplified($a, $b, $chance->from(2, $most)),
            'multiply' => self::multiplied($a, $b, $c, $d),
            'divide' => self::divided($a, $b, $c, $d),
            // With one denominator at first.
            default => $level === 1
                ? self::added($a, $b, self::below($chance, $b), $b, $chance->from(0, 1) === 1)
                : self::added($a, $b, $c, $d, $chance->from(0, 1) === 1),
        };
    }

    /** A numerator with which a fraction is in lowest terms, and less than one. */
    private static function below(Chance $chance, int $denominator): int
    {
        do {
            $numerator = $chance->from(1, $denominator - 1);
        } while (Write::gcd($numerator, $denominator) > 1);

        return $numerator;
    }

    private static function simplified(int $a, int $b, int $times): Task
    {
        $right = Write::lowest($a, $b);

        return new Task(
            'Simplify $'.Write::fraction($a * $times, $b * $times).'$',
            $right,
            FormKind::Lowest,
            steps: ['Both are multiples of '.Write::gcd($a * $times, $b * $times), $right],
        );
    }

    private static function added(int $a, int $b, int $c, int $d, bool $isSum): Task
    {
        $lcm = intdiv($b * $d, Write::gcd($b, $d));
        [$one, $two] = [$a * intdiv($lcm, $b), $c * intdiv($lcm, $d)];
        // Nothing is left of a fraction less itself: no task.
        $isSum = $isSum || $one === $two;
        if (! $isSum && $one < $two) {
            [$a, $b, $c, $d, $one, $two] = [$c, $d, $a, $b, $two, $one];
        }
        $right = Write::lowest($isSum ? $one + $two : $one - $two, $lcm);
        $sign = $isSum ? '+' : '-';

        return new Task(
            '$'.Write::fraction($a, $b)." {$sign} ".Write::fraction($c, $d).'$',
            $right,
            FormKind::Lowest,
            steps: ["{$one}/{$lcm} {$sign} {$two}/{$lcm}", $right],
            slips: $isSum
                ? array_diff_key([
                    Write::lowest($a + $c, $b + $d) => 'added the numerators and the denominators',
                ], [$right => ''])
                : [],
        );
    }

    private static function multiplied(int $a, int $b, int $c, int $d): Task
    {
        $right = Write::lowest($a * $c, $b * $d);

        return new Task(
            '$'.Write::fraction($a, $b).' \times '.Write::fraction($c, $d).'$',
            $right,
            FormKind::Lowest,
            steps: [$a * $c.'/'.$b * $d, $right],
            slips: array_diff_key(
                [Write::lowest($a * $d, $b * $c) => 'turned the second one over, as in dividing'],
                [$right => ''],
            ),
        );
    }

    private static function divided(int $a, int $b, int $c, int $d): Task
    {
        $right = Write::lowest($a * $d, $b * $c);

        return new Task(
            '$'.Write::fraction($a, $b).' \div '.Write::fraction($c, $d).'$',
            $right,
            FormKind::Lowest,
            steps: ["{$a}/{$b} × {$d}/{$c}", $right],
            slips: array_diff_key([
                Write::lowest($a * $c, $b * $d) => 'multiplied without turning the second one over',
                Write::lowest($b * $c, $a * $d) => 'turned the first one over',
            ], [$right => '']),
        );
    }
}
