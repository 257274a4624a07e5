<?php

declare(strict_types=1);

namespace Crag\Session\Life;

/** A session that was ended by mistake can be opened again for a while, as it was. */
final class Reopening
{
    public const MINUTES = 15;

    public static function mayStill(?int $endedMs, int $nowMs): bool
    {
        return $endedMs !== null && $nowMs - $endedMs < self::MINUTES * 60_000;
    }
}
