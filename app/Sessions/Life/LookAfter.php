<?php

declare(strict_types=1);

namespace App\Sessions\Life;

use App\Database\Wipe;
use App\Live\Clock;
use App\Live\Counts;
use App\Live\StoringTimes;
use App\Models\LiveSession;
use App\Sessions\Watch\DeskLooks;
use Crag\Session\Life\Rounds;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Log;

/** What happens without anybody: every few seconds the queue's worker looks after what nobody is there to end. */
final readonly class LookAfter
{
    public function __construct(private EndIdle $endIdle)
    {
    }

    public function __invoke(): void
    {
        $now = Clock::ms();
        $before = self::last($now);
        $rounds = $before->at($now);
        if ($rounds->hasJumped($before)) {
            Log::warning(
                'The clock is days ahead of the last round, or behind it. Nothing ends or is forgotten for some hours: is the date right?',
            );
        }
        File::replace(self::file(), (string) json_encode($rounds->toArray()));
        ($this->endIdle)($rounds->aliveFromMs ?? 0, $rounds->mayForget($now));
        if (Wipe::isDue()) {
            Wipe::emptyLog();
            if (! LiveSession::query()->whereNull('ended_at')->exists()) {
                Wipe::inQuiet();
            }
        }
        StoringTimes::trim();
        Counts::forgetOld($now);
        DeskLooks::forgetOld($now);
    }

    /** The last round that there was. */
    public static function last(int $nowMs): Rounds
    {
        $kept = json_decode((string) @file_get_contents(self::file()), true);

        return Rounds::read(is_array($kept) ? $kept : [], $nowMs);
    }

    private static function file(): string
    {
        return config()->string('crag.data').'/rounds.json';
    }
}
