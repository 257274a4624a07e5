<?php

declare(strict_types=1);

namespace Crag\Watch;

/** A second teacher's desk: it is there as long as it is heard of. */
final class Colleague
{
    /** A desk tells where it is more often than this. */
    private const SILENT_MS = 60_000;

    public static function isThere(int $heardAtMs, int $nowMs): bool
    {
        return $heardAtMs >= $nowMs - self::SILENT_MS;
    }
}
