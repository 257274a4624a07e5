<?php

declare(strict_types=1);

namespace App\Sessions\Room;

use App\Canvas\Together;
use App\Models\LiveSession;
use App\Models\Seat;
use App\Sessions\Show\ShowToClass;
use Illuminate\Support\Facades\DB;

/** Changes a session's settings while it runs, and keeps them for the class's next one. */
final readonly class ChangeSettings
{
    public function __construct(private RoomState $room, private ShowToClass $shown)
    {
    }

    /** @param  array<string, mixed>  $changes  as {@see \Crag\Session\Life\SessionSettings} names them */
    public function __invoke(LiveSession $session, array $changes): void
    {
        DB::transaction(function () use ($session, $changes): void {
            // Another desk may have changed something since this request read the session.
            $session->refresh();
            $before = $session->settings;
            $now = $before->with($changes);
            $session->update(['settings' => $now]);
            $session->roster?->update(['settings' => ['session' => $now->toArray()] + $session->roster->settings]);
            $this->room->tell($session);
            if ($before->shownNames !== $now->shownNames) {
                $this->shown->again($session);
            }
            if ($before->penNames !== $now->penNames) {
                Together::tellGroupsOf(...$session->seated()->get()->all());
            }
            if ($before->shownNames !== $now->shownNames || $before->feedback != $now->feedback) {
                $session->seated()->get()->each(fn (Seat $seat) => $this->room->tellOwn($seat));
            }
        });
    }
}
