<?php

declare(strict_types=1);

namespace App\Sessions\Life;

use App\Live\Clock;
use App\Models\LiveSession;
use App\Sessions\Room\Attention;
use App\Sessions\Room\RoomState;
use Crag\Session\Room\Pace;
use Crag\Session\Room\PromptState;
use Illuminate\Support\Facades\DB;

/**
 * A session that stays open for its students without the teacher: every prompt that is not left out, each at the own
 * pace.
 */
final readonly class OwnTime
{
    public function __construct(private RoomState $room, private Attention $attention)
    {
    }

    public function start(LiveSession $session, int $untilMs): void
    {
        DB::transaction(function () use ($session, $untilMs): void {
            $session
                ->prompts()
                ->where('state', PromptState::Unseen)
                ->update(['state' => PromptState::Open, 'state_at_ms' => Clock::ms()]);
            $session->update(['open_until_ms' => $untilMs, 'pace' => Pace::Own, 'timer' => null]);
            // Nobody is there to say pens up.
            $this->attention->pensUp($session, null);
            $this->room->tell($session);
        });
    }

    public function stop(LiveSession $session): void
    {
        DB::transaction(function () use ($session): void {
            $session->update(['open_until_ms' => null]);
            $this->room->tell($session);
        });
    }
}
