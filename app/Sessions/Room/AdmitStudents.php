<?php

declare(strict_types=1);

namespace App\Sessions\Room;

use App\Canvas\TakeCanvas;
use App\Canvas\Together;
use App\Live\Announce;
use App\Live\Audience;
use App\Live\Clock;
use App\Live\Publisher;
use App\Models\LiveSession;
use App\Models\Seat;
use Crag\Session\Door\Door;
use Crag\Session\Door\PersonName;
use Crag\Session\Room\SeatState;
use Illuminate\Support\Facades\DB;

/** Who comes in, who stays outside, and under which name. Nothing that was drawn is touched by any of it. */
final readonly class AdmitStudents
{
    public function __construct(
        private TakeCanvas $takeCanvas,
        private RoomState $room,
        private Announce $announce,
        private Publisher $publisher,
        private Together $together,
    ) {
    }

    public function set(LiveSession $session, Door $door): void
    {
        DB::transaction(function () use ($session, $door): void {
            $session->update(['door' => $door]);
            $this->room->tell($session);
        });
    }

    /** Into the room, from knocking or back from outside. */
    public function letIn(Seat $seat): void
    {
        if ($seat->isIn()) {
            return;
        }
        DB::transaction(function () use ($seat): void {
            $this->become($seat, SeatState::Seated);
            ($this->takeCanvas)($seat, $seat->presentPrompt());
            $this->room->tellOwn($seat);
        });
    }

    /** A knocking student is the one of another seat: that seat, with all its work, moves to this device. */
    public function letInAs(Seat $knocking, Seat $seat): void
    {
        DB::transaction(function () use ($knocking, $seat): void {
            $token = $knocking->token_hash;
            $device = $knocking->device;
            ($this->announce)($seat->session, Audience::seat($knocking), 'become', ['seat' => $seat->id]);
            $knocking->state = SeatState::TurnedAway;
            $this->room->tellDesk($knocking);
            $knocking->delete();
            $this->moveTo($seat, $token);
            $seat->update(['device' => $device]);
            if ($seat->isIn()) {
                $this->room->tellDesk($seat);
            } else {
                $this->letIn($seat);
            }
        });
    }

    /** Another device holds the seat from now on. The one before may still deliver what was drawn on it. */
    public function moveTo(Seat $seat, string $tokenHash): void
    {
        ($this->announce)($seat->session, Audience::seat($seat), 'moved');
        $seat->update([
            'old_token_hash' => $seat->token_hash,
            'token_hash' => $tokenHash,
            'code' => null,
            'code_at_ms' => null,
        ]);
        $this->beginAnew($seat);
    }

    public function turnAway(Seat $seat, string $reason): void
    {
        DB::transaction(function () use ($seat, $reason): void {
            $this->become($seat, SeatState::TurnedAway, $reason);
            $this->room->tellOwn($seat);
        });
    }

    /** @param  bool  $keep  until let back in: neither this device nor this name comes in */
    public function sendOut(Seat $seat, string $reason, bool $keep): void
    {
        DB::transaction(function () use ($seat, $reason, $keep): void {
            $this->become($seat, $keep ? SeatState::KeptOut : SeatState::SentOut, $reason);
            $this->together->countOut($seat);
            $this->room->tellOwn($seat);
            $this->beginAnew($seat);
        });
    }

    /** @param  ?PersonName  $name  where it is another than before, a name of the class list is given up with it */
    public function knockAgain(Seat $seat, ?PersonName $name = null): void
    {
        DB::transaction(function () use ($seat, $name): void {
            $this->become($seat, SeatState::Knocking);
            if ($name !== null && $name->value !== $seat->name) {
                $seat->update(['name' => $this->apart($seat, $name), 'roster_entry_id' => null]);
            }
            $this->room->tellOwn($seat);
        });
    }

    /** The name stays one of its own in the room. */
    public function rename(Seat $seat, PersonName $name): void
    {
        DB::transaction(function () use ($seat, $name): void {
            $seat->update(['name' => $this->apart($seat, $name)]);
            $this->room->tellOwn($seat);
            Together::tellGroupsOf($seat);
        });
    }

    private function apart(Seat $seat, PersonName $name): string
    {
        $taken = $seat->session->seats()->whereKeyNot($seat->id)->pluck('name')->map(strval(...))->values()->all();

        return $name->apartFrom($taken)->value;
    }

    private function become(Seat $seat, SeatState $state, string $reason = ''): void
    {
        $seat->update([
            'state' => $state,
            'state_at_ms' => Clock::ms(),
            'reason' => $reason,
            'claims_id' => null,
            'hand_at_ms' => null,
        ]);
    }

    /** Whatever still listens to the seat's channel hears nothing more of the room. */
    private function beginAnew(Seat $seat): void
    {
        $before = Audience::seat($seat);
        $seat->update(['turn' => $seat->turn + 1]);
        DB::afterCommit(fn () => $this->publisher->close($before));
    }
}
