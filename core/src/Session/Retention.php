<?php

declare(strict_types=1);

namespace Crag\Session;

/** How long what a session leaves behind is kept. */
final class Retention
{
    public const USUAL_DAYS = 30;

    private const DAY_MS = 86_400_000;

    /** The moment from which it is forgotten. */
    public static function keepUntilMs(int $endedMs, int $days): int
    {
        return $endedMs + $days * self::DAY_MS;
    }

    public static function isOver(int $endedMs, int $days, int $nowMs): bool
    {
        return $nowMs >= self::keepUntilMs($endedMs, $days);
    }
}
