<?php

declare(strict_types=1);

namespace Crag\Practice\Families;

use Crag\Practice\Chance;
use Crag\Practice\Family;
use Crag\Practice\Task;
use Crag\Practice\Write;

/** Parts of a hundred: of an amount, what part an amount is, and amounts that grow or shrink. */
final class Percentages implements Family
{
    private const EASY = [10, 20, 25, 50, 75];

    public function name(): string
    {
        return 'Percentages';
    }

    public function kinds(): array
    {
        return ['of' => 'A percentage of an amount', 'what' => 'What percentage', 'change' => 'Increase and decrease'];
    }

    public function task(Chance $chance, string $kind, int $level): Task
    {
        $percent = $level === 1 ? $chance->among(self::EASY) : $chance->from(1, 19) * 5;
        // So that it comes out even: in whole numbers, or with one place.
        $amount = $level === 3 ? $chance->from(4, 90) * 10 : $chance->from(1, $level === 1 ? 10 : 30) * 20;
        $part = $amount * $percent / 100;
        if ($kind === 'what') {
            return new Task(
                'What percentage is '.Write::n($part)." of {$amount}?",
                "{$percent} %",
                steps: [Write::n($part)." ÷ {$amount} = ".Write::n($percent / 100), "{$percent} %"],
                slips: $percent === 50 ? [] : [(100 - $percent).' %' => 'what is left over'],
            );
        }
        if ($kind === 'of') {
            return new Task(
                "{$percent} % of {$amount}",
                self::typed($part),
                steps: ['1 % is '.Write::n($amount / 100), "{$percent} % is ".Write::n($part)],
                slips: $percent === 50 ? [] : [self::typed($amount - $part) => 'what is left over'],
            );
        }
        $grows = $chance->from(0, 1) === 1;
        $right = $grows ? $amount + $part : $amount - $part;

        return new Task(
            $grows ? "Increase {$amount} by {$percent} %" : "Decrease {$amount} by {$percent} %",
            self::typed($right),
            steps: [
                "{$percent} % of {$amount} is ".Write::n($part),
                $amount.($grows ? ' + ' : ' − ').Write::n($part).' = '.Write::n($right),
            ],
            slips: self::typed($part) === self::typed($right)
                ? []
                : [
                    self::typed($part) => 'the change alone',
                    self::typed($grows ? $amount - $part : $amount + $part) => 'the other way',
                ],
        );
    }

    private static function typed(int|float $n): string
    {
        return str_replace('−', '-', Write::n((float) $n));
    }
}
