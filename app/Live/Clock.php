<?php

declare(strict_types=1);

namespace App\Live;

use Illuminate\Support\Carbon;

final class Clock
{
    /** Milliseconds since 1970, on the clock that tests can set. */
    public static function ms(): int
    {
        return Carbon::hasTestNow() ? (int) Carbon::now()->getTimestampMs() : (int) (microtime(true) * 1000);
    }
}
