<?php

declare(strict_types=1);

namespace Crag\Session\Life;

/** A session that nobody uses any more ends by itself, after a warning. */
enum Expiry
{
    case Alive;
    case Warned;
    case Over;

    public const USUAL_MINUTES = 120;

    public const LEAST_MINUTES = 15;

    public const MOST_MINUTES = 1440;

    /** The warning comes so long before. */
    public const WARNING_MS = 600_000;

    /**
     * @param  int  $lastSignMs  when something was last drawn or done
     * @param  int  $minutes  without a sign of life until it ends
     */
    public static function of(int $lastSignMs, int $nowMs, int $minutes): self
    {
        $left = self::endsMs($lastSignMs, $minutes) - $nowMs;

        return match (true) {
            $left <= 0 => self::Over,
            $left <= min(self::WARNING_MS, intdiv($minutes * 60_000, 2)) => self::Warned,
            default => self::Alive,
        };
    }

    /** One that stays open until a moment, whatever is done in it. */
    public static function at(int $openUntilMs, int $nowMs): self
    {
        return $nowMs >= $openUntilMs ? self::Over : self::Alive;
    }

    public static function endsMs(int $lastSignMs, int $minutes): int
    {
        return $lastSignMs + $minutes * 60_000;
    }
}
