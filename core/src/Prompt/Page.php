<?php

declare(strict_types=1);

namespace Crag\Prompt;

/**
 * The one page size: 1600 × 1000 units, whatever the device. Positions are whole tenths of a unit.
 */
final class Page
{
    public const WIDTH = 1600;

    public const HEIGHT = 1000;

    /** Tenths in a unit: what positions are counted in. */
    public const TENTHS = 10;

    /** How far outside the page, in tenths, a pen that left it may still be recorded. */
    private const MARGIN = 2000;

    public static function reaches(int $x, int $y): bool
    {
        return $x >= -self::MARGIN &&
            $x <= self::WIDTH * self::TENTHS + self::MARGIN &&
            $y >= -self::MARGIN &&
            $y <= self::HEIGHT * self::TENTHS + self::MARGIN;
    }
}
