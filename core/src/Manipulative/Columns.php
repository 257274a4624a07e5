<?php

declare(strict_types=1);

namespace Crag\Manipulative;

/** Counts in columns, each worth ten of the one on its right: adding, taking away, trading ten for one and back. */
final class Columns
{
    public const MOST = 19;

    /**
     * @param  list<int>  $counts
     * @return list<int>
     */
    public static function after(array $counts, Act $act): array
    {
        $n = $act->n;
        if ($n < 0 || $n >= count($counts)) {
            return $counts;
        }
        if ($act->part === 'add' && $counts[$n] < self::MOST) {
            $counts[$n]++;
        } elseif ($act->part === 'take' && $counts[$n] > 0) {
            $counts[$n]--;
        } elseif ($act->part === 'trade' && $n > 0 && $counts[$n] >= 10 && $counts[$n - 1] < self::MOST) {
            $counts[$n] -= 10;
            $counts[$n - 1]++;
        } elseif ($act->part === 'break' && self::breaks($counts, $n)) {
            $counts[$n]--;
            $counts[$n + 1] += 10;
        }

        return array_values($counts);
    }

    /** @param  list<int>  $counts */
    public static function breaks(array $counts, int $n): bool
    {
        return $n + 1 < count($counts) && $counts[$n] > 0 && $counts[$n + 1] + 10 <= self::MOST;
    }

    /** The buttons under a column. */
    public static function buttons(
        Sketch $sketch,
        int $n,
        string $worth,
        string $above,
        string $below,
        int $x,
        int $y,
    ): void {
        $sketch->button('add', $n, Said::of('+ :n', ['n' => $worth]), $x, $y, 84);
        $sketch->button('take', $n, Said::of('− :n', ['n' => $worth]), $x + 92, $y, 84);
        if ($above !== '') {
            $sketch->button('trade', $n, Said::of('Trade ten for :n', ['n' => $above]), $x, $y + 64, 176);
        }
        if ($below !== '') {
            $sketch->button('break', $n, Said::of('Break into :n', ['n' => $below]), $x, $y + 128, 176);
        }
    }
}
