<?php

declare(strict_types=1);

namespace App\Sessions\Room;

use App\Canvas\CarriedWork;
use App\Canvas\TakeCanvas;
use App\Live\Clock;
use App\Models\LiveSession;
use App\Models\Seat;
use App\Models\Teachers\RosterEntry;
use Crag\Session\Door\DeviceKind;
use Crag\Session\Door\PersonName;
use Crag\Session\Room\SeatState;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * Gives a student a place, with a name of its own in the room; whoever is let in has a canvas for the present prompt.
 */
final readonly class TakeSeat
{
    public const MOST_SEATS = 200;

    public function __construct(private TakeCanvas $takeCanvas, private RoomState $room)
    {
    }

    /** @return array{Seat, string} the seat, and the token by which its cookie is known */
    public function __invoke(
        LiveSession $session,
        PersonName $name,
        ?RosterEntry $entry = null,
        SeatState $state = SeatState::Seated,
        ?Seat $claims = null,
        DeviceKind $device = DeviceKind::Laptop,
    ): array {
        $token = Str::random(40);
        $seat = DB::transaction(function () use ($session, $name, $token, $entry, $state, $claims, $device): Seat {
            $taken = $session->seats()->pluck('name', 'n');
            $seat = Seat::query()->create([
                'live_session_id' => $session->id,
                'n' => $this->number($session, $taken->keys()->all(), $entry),
                'roster_entry_id' => $entry?->id,
                'name' => $name->apartFrom(array_map(strval(...), $taken->values()->all()))->value,
                'token_hash' => hash('sha256', $token),
                'ink_key' => Str::random(16),
                'state' => $state,
                'state_at_ms' => Clock::ms(),
                'claims_id' => $claims?->id,
                'device' => $device,
            ]);
            $seat->setRelation('session', $session);
            $group = CarriedWork::seat($seat)?->group;
            if ($group !== null) {
                $seat->update(['group' => $group]);
            }
            if ($seat->isIn()) {
                ($this->takeCanvas)($seat, $session->prompt()->firstOrFail());
            }
            $this->room->tellDesk($seat);

            return $seat;
        });

        return [$seat, $token];
    }

    /**
     * Those in the class list have the number that they always have; others come after all of them.
     *
     * @param  list<int>  $taken
     */
    private function number(LiveSession $session, array $taken, ?RosterEntry $entry): int
    {
        if ($entry !== null && ! in_array($entry->n, $taken, true)) {
            return $entry->n;
        }
        $listed = $session->roster === null ? 0 : (int) $session->roster->entries()->max('n');

        return max([0, $listed, ...$taken]) + 1;
    }
}
