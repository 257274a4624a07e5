<?php

declare(strict_types=1);

namespace Crag\Session\Life;

/** How long what a session leaves behind is kept after its end. No days means that it is gone with the end. */
final readonly class Retention
{
    public const USUAL_DAYS = 30;

    public const LONGEST_DAYS = 400;

    private const DAY_MS = 86_400_000;

    private function __construct(public int $days)
    {
    }

    /** @param  int  $days  what is less than none or more than {@see self::LONGEST_DAYS} is cut to it */
    public static function days(int $days): self
    {
        return new self(max(0, min(self::LONGEST_DAYS, $days)));
    }

    /** Whether nothing outlives the end. */
    public function isNone(): bool
    {
        return $this->days === 0;
    }

    /** The moment from which it is forgotten, in milliseconds like the end. */
    public function untilMs(int $endedMs): int
    {
        return $endedMs + $this->days * self::DAY_MS;
    }

    public function isOver(int $endedMs, int $nowMs): bool
    {
        return $nowMs >= $this->untilMs($endedMs);
    }
}
