<?php

declare(strict_types=1);

namespace App\Live;

use Carbon\CarbonInterface;
use Illuminate\Support\Carbon;

/**
 * Moments as the clock on the school's wall shows them; what is stored stays in UTC. The zone is CRAG_ZONE's, else the
 * machine's.
 */
final class SchoolTime
{
    /** @param  CarbonInterface|int  $moment  an int in milliseconds since 1970 */
    public static function of(CarbonInterface|int $moment): Carbon
    {
        return (is_int($moment) ? Carbon::createFromTimestampMs($moment) : Carbon::instance($moment))->setTimezone(
            self::zone(),
        );
    }

    public static function zone(): string
    {
        return config()->string('crag.zone');
    }
}
