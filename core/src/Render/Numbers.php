<?php

declare(strict_types=1);

namespace Crag\Render;

/** Numbers as they are written on a page. */
final class Numbers
{
    /** At most four decimals, a true minus sign. */
    public static function plain(float $value): string
    {
        $text = rtrim(rtrim(number_format(abs($value), 4, '.', ''), '0'), '.');

        return ($value < 0 && $text !== '0' ? "\u{2212}" : '').$text;
    }

    public static function commonFactor(int $a, int $b): int
    {
        return $b === 0 ? $a : self::commonFactor($b, $a % $b);
    }
}
