<?php

declare(strict_types=1);

namespace Crag\Practice\Families;

use Crag\Maths\Comparing\FormKind;
use Crag\Practice\Chance;
use Crag\Practice\Family;
use Crag\Practice\Task;
use Crag\Practice\Write;

/** Brackets multiplied out, and put in front again. */
final class Brackets implements Family
{
    public function name(): string
    {
        return 'Expand and factorise';
    }

    public function kinds(): array
    {
        return ['expand' => 'Expanding', 'factorise' => 'Factorising'];
    }

    public function task(Chance $chance, string $kind, int $level): Task
    {
        $x = $chance->among(['x', 'a', 'y', 'n']);
        if ($level === 3) {
            return $this->pair($x, $kind, $chance->notZero(-9, 9), $chance->notZero(-9, 9));
        }
        do {
            $p = $level === 1 ? $chance->from(1, 6) : $chance->notZero(-9, 9);
            $q = $level === 1 ? $chance->from(1, 9) : $chance->notZero(-9, 9);
        } while (Write::gcd($p, $q) > 1);
        $k = $level === 1 ? $chance->from(2, 9) : $chance->from(2, 12);
        [$inside, $outside] = [Write::sum([$x => $p, '' => $q]), Write::sum([$x => $k * $p, '' => $k * $q])];

        return $kind === 'expand'
            ? new Task(
                "Expand \${$k}({$inside})\$",
                $outside,
                FormKind::Expanded,
                true,
                ["{$k} × ".Write::sum([$x => $p])." and {$k} × ".Write::after($q), $outside],
                [Write::sum([$x => $k * $p, '' => $q]) => 'multiplied the first term alone'],
            )
            : new Task(
                "Factorise \${$outside}\$",
                "{$k}({$inside})",
                hasLetters: true,
                steps: ["{$k} goes into both", "{$k}({$inside})"],
            );
    }

    private function pair(string $x, string $kind, int $p, int $q): Task
    {
        $one = Write::sum([$x => 1, '' => $p]);
        $two = Write::sum([$x => 1, '' => $q]);
        $outside = Write::sum(["{$x}^2" => 1, $x => $p + $q, '' => $p * $q]);

        return $kind === 'expand'
            ? new Task(
                "Expand \$({$one})({$two})\$",
                $outside,
                FormKind::Expanded,
                true,
                [Write::sum(["{$x}^2" => 1, $x => $q]).' and '.Write::sum([$x => $p, '' => $p * $q]), $outside],
                $p + $q === 0
                    ? []
                    : [Write::sum(["{$x}^2" => 1, '' => $p * $q]) => 'left out the two products in the middle'],
            )
            : new Task(
                "Factorise \${$outside}\$",
                "({$one})({$two})",
                hasLetters: true,
                steps: [
                    'Two numbers with the product '.Write::n($p * $q).' and the sum '.Write::n($p + $q),
                    "({$one})({$two})",
                ],
            );
    }
}
