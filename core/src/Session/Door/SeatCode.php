<?php

declare(strict_types=1);

namespace Crag\Session\Door;

/** A code that a student's page shows, so that another device of the same student takes the place over. */
final class SeatCode
{
    public const VALID_MS = 600_000;

    /** @param  ?int  $madeMs  when it was shown; null when it never was */
    public static function isValid(?int $madeMs, int $nowMs): bool
    {
        return $madeMs !== null && $nowMs - $madeMs <= self::VALID_MS;
    }
}
