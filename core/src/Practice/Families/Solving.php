<?php

declare(strict_types=1);

namespace Crag\Practice\Families;

use Crag\Practice\Chance;
use Crag\Practice\Family;
use Crag\Practice\Task;
use Crag\Practice\Write;

/** Equations with one unknown. */
final class Solving implements Family
{
    public function name(): string
    {
        return 'Solving equations';
    }

    public function kinds(): array
    {
        return ['linear' => 'The unknown on one side', 'both' => 'On both sides', 'brackets' => 'With brackets'];
    }

    public function task(Chance $chance, string $kind, int $level): Task
    {
        $root = $level === 1 ? $chance->from(1, 10) : $chance->notZero(-12, 12);
        $a = $chance->from(2, 3 + 3 * $level);
        $b = $level === 1 ? $chance->from(1, 12) : $chance->notZero(-15, 15);
        if ($kind === 'brackets') {
            $sum = $root + $b === 0 ? ++$b + $root : $root + $b;
            $inside = Write::sum(['x' => 1, '' => $b]);

            return $this->asked("{$a}({$inside})", (string) ($a * $sum), $root, [
                "{$inside} = ".Write::n($sum), 'x = '.Write::n($root),
            ], []);
        }
        if ($kind === 'both') {
            $c = $chance->from(1, $a - 1);
            $d = $a * $root + $b - $c * $root;
            $left = Write::sum(['x' => $a, '' => $b]);
            $right = Write::sum(['x' => $c, '' => $d]);

            return $this->asked($left, $right, $root, [
                Write::sum(['x' => $a - $c, '' => $b]).' = '.Write::n($d),
                Write::sum(['x' => $a - $c]).' = '.Write::n($d - $b),
                'x = '.Write::n($root),
            ], []);
        }
        $sum = $a * $root + $b;
        $slips = ($sum + $b) % $a === 0
            ? [intdiv($sum + $b, $a) => 'moved the number across without changing its sign']
            : [];

        return $this->asked(Write::sum(['x' => $a, '' => $b]), (string) $sum, $root, [
            Write::sum(['x' => $a]).' = '.Write::n($sum - $b), 'x = '.Write::n($root),
        ], $slips + [$sum - $b => 'did not divide at the end']);
    }

    /**
     * @param  list<string>  $steps
     * @param  array<int, string>  $slips
     */
    private function asked(string $left, string $right, int $root, array $steps, array $slips): Task
    {
        unset($slips[$root]);
        $typed = [];
        foreach ($slips as $wrong => $why) {
            $typed["x = {$wrong}"] = $why;
        }

        return new Task("Solve \${$left} = {$right}\$", "x = {$root}", hasLetters: true, steps: $steps, slips: $typed);
    }
}
