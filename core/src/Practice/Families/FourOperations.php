<?php

declare(strict_types=1);

namespace Crag\Practice\Families;

use Crag\Practice\Chance;
use Crag\Practice\Family;
use Crag\Practice\Task;

/** Whole numbers added, subtracted, multiplied and divided. */
final class FourOperations implements Family
{
    private const LARGEST = [1 => 99, 2 => 999, 3 => 9_999];

    public function name(): string
    {
        return 'Four operations';
    }

    public function kinds(): array
    {
        return ['add' => 'Adding', 'subtract' => 'Subtracting', 'multiply' => 'Multiplying', 'divide' => 'Dividing'];
    }

    public function task(Chance $chance, string $kind, int $level): Task
    {
        $most = self::LARGEST[$level];
        [$ninth, $half] = [intdiv($most, 9), intdiv($most, 2)];
        $quotient = 3 + 9 ** min(2, $level);

        return match ($kind) {
            'add' => self::added($chance->from($ninth, $most), $chance->from($ninth, $most)),
            'subtract' => self::subtracted($chance->from($half, $most), $chance->from($ninth, $half)),
            'divide' => self::divided($chance->from(3, $quotient), $chance->from(3, $level === 1 ? 9 : 12)),
            default => self::multiplied($chance->from(11, min(999, $most)), $chance->from(3, $level === 1 ? 9 : 99)),
        };
    }

    private static function added(int $a, int $b): Task
    {
        $tens = intdiv($b, 10) * 10;

        return new Task(
            "\${$a} + {$b}\$",
            (string) ($a + $b),
            steps: ["{$a} + {$tens} = ".($a + $tens), ($a + $tens).' + '.($b - $tens).' = '.($a + $b)],
            slips: self::slips($a + $b, [
                (string) ($a + $b - 10) => 'a ten was not carried',
                (string) abs($a - $b) => 'subtracted instead of added',
            ]),
        );
    }

    private static function subtracted(int $a, int $b): Task
    {
        $tens = intdiv($b, 10) * 10;

        return new Task(
            "\${$a} - {$b}\$",
            (string) ($a - $b),
            steps: ["{$a} − {$tens} = ".($a - $tens), ($a - $tens).' − '.($b - $tens).' = '.($a - $b)],
            slips: self::slips($a - $b, [
                (string) ($a - $b + 10) => 'a ten was not borrowed',
                (string) self::digitByDigit($a, $b) => 'took the smaller digit from the larger one each time',
                (string) ($a + $b) => 'added instead of subtracted',
            ]),
        );
    }

    private static function multiplied(int $a, int $b): Task
    {
        $tens = intdiv($a, 10) * 10;

        return new Task(
            "\${$a} \\times {$b}\$",
            (string) ($a * $b),
            steps: ["{$tens} × {$b} = ".$tens * $b, ($a - $tens)." × {$b} = ".($a - $tens) * $b, 'together '.$a * $b],
            slips: self::slips($a * $b, [
                (string) ($tens * $b) => 'the ones were left out',
                (string) ($a * $b * 10) => 'a zero too many',
                (string) ($a + $b) => 'added instead of multiplied',
            ]),
        );
    }

    private static function divided(int $quotient, int $b): Task
    {
        $a = $quotient * $b;

        return new Task(
            "\${$a} \\div {$b}\$",
            (string) $quotient,
            steps: ["How often does {$b} go into {$a}?", "{$b} × {$quotient} = {$a}"],
            slips: self::slips($quotient, [
                (string) ($a - $b) => 'subtracted instead of divided',
                (string) ($quotient * 10) => 'a zero too many',
            ]),
        );
    }

    private static function digitByDigit(int $a, int $b): int
    {
        $result = '';
        $b = str_pad((string) $b, strlen((string) $a), '0', STR_PAD_LEFT);
        foreach (str_split((string) $a) as $i => $digit) {
            $result .= abs((int) $digit - (int) $b[$i]);
        }

        return (int) $result;
    }

    /**
     * @param  array<array-key, string>  $slips
     * @return array<array-key, string> without what is right
     */
    private static function slips(int $right, array $slips): array
    {
        unset($slips[$right]);

        return $slips;
    }
}
