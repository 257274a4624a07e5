<?php

declare(strict_types=1);

namespace Crag\Checks;

/**
 * How long a student was at work on a canvas: the time between one thing done and the next, as far as pauses are no
 * longer than {@see self::LONGEST_PAUSE_MS}. A longer pause counts nothing.
 */
final class DrawingTime
{
    public const LONGEST_PAUSE_MS = 20_000;

    /**
     * @param  list<int>  $madeAtMs  when each thing was done, in any order
     * @return int milliseconds
     */
    public static function of(array $madeAtMs): int
    {
        sort($madeAtMs);
        $total = 0;
        for ($i = 1; $i < count($madeAtMs); $i++) {
            $pause = $madeAtMs[$i] - $madeAtMs[$i - 1];
            $total += $pause <= self::LONGEST_PAUSE_MS ? $pause : 0;
        }

        return $total;
    }
}
