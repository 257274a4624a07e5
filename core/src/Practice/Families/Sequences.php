<?php

declare(strict_types=1);

namespace Crag\Practice\Families;

use Crag\Practice\Chance;
use Crag\Practice\Family;
use Crag\Practice\Task;
use Crag\Practice\Write;

/** Sequences that grow by steps: the next term, the rule for any term, a term far on. */
final class Sequences implements Family
{
    public function name(): string
    {
        return 'Sequences';
    }

    public function kinds(): array
    {
        return ['next' => 'The next term', 'rule' => 'The nth term', 'far' => 'A term far on'];
    }

    public function task(Chance $chance, string $kind, int $level): Task
    {
        $step = $level === 1 ? $chance->from(2, 9) : $chance->notZero(-9, 12);
        $first = $level === 1 ? $chance->from(1, 20) : $chance->from(-20, 40);
        if ($kind === 'next' && $level === 3) {
            // It doubles, or trebles.
            $times = $chance->from(2, 3);
            $first = $chance->from(1, 9);
            $terms = array_map(static fn (int $i): int => $first * $times ** $i, [0, 1, 2, 3, 4]);

            return new Task(
                'The next term: '.implode(', ', array_slice($terms, 0, 4)).', …',
                (string) $terms[4],
                steps: ["each is {$times} times the one before"],
                slips: [(string) (2 * $terms[3] - $terms[2]) => 'went on by the last step'],
            );
        }
        $terms = array_map(static fn (int $i): int => $first + $i * $step, [0, 1, 2, 3]);
        $shown = implode(', ', array_map(Write::n(...), $terms)).', …';
        if ($kind === 'next') {
            return new Task(
                "The next term: {$shown}",
                (string) ($first + 4 * $step),
                steps: ['each is '.abs($step).($step > 0 ? ' more' : ' less').' than the one before'],
            );
        }
        $rule = Write::sum(['n' => $step, '' => $first - $step]);
        if ($kind === 'rule') {
            $slip = Write::sum(['n' => $step, '' => $first]);

            return new Task(
                "The nth term: {$shown}",
                $rule,
                hasLetters: true,
                steps: ['the step is '.Write::n($step).', so it begins with '.Write::sum(['n' => $step]), $rule],
                slips: $slip === $rule ? [] : [$slip => 'began to count at 0'],
            );
        }
        $n = $chance->among([10, 20, 50, 100]);

        return new Task(
            "Term number {$n}: {$shown}",
            (string) ($first + ($n - 1) * $step),
            steps: ["the nth term is {$rule}", "with n = {$n}: ".Write::n($first + ($n - 1) * $step)],
            slips: [(string) ($first + $n * $step) => 'one step too many'],
        );
    }
}
