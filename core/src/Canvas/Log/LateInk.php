<?php

declare(strict_types=1);

namespace Crag\Canvas\Log;

/** A device that was offline when the session ended may still deliver what its student had drawn. */
final class LateInk
{
    public const GRACE_MS = 600_000;

    /** @param  ?int  $endedMs when the session ended, null while it runs; both in milliseconds on one clock */
    public static function mayArrive(?int $endedMs, int $nowMs): bool
    {
        return $endedMs === null || $nowMs - $endedMs <= self::GRACE_MS;
    }
}
