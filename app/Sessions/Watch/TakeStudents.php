<?php

declare(strict_types=1);

namespace App\Sessions\Watch;

use App\Canvas\Together;
use App\Models\LiveSession;
use App\Models\Seat;
use App\Models\Teachers\Teacher;
use App\Sessions\Room\RoomState;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/** Several teachers split the room: each takes some students on, and everyone sees who has whom. */
final readonly class TakeStudents
{
    public function __construct(private RoomState $room)
    {
    }

    /**
     * @param  Collection<int, Seat>  $seats
     * @param  ?Teacher  $teacher  null: nobody's any more
     */
    public function __invoke(LiveSession $session, Collection $seats, ?Teacher $teacher): void
    {
        DB::transaction(function () use ($seats, $teacher): void {
            foreach ($seats as $seat) {
                $seat->update(['taken_by_id' => $teacher?->id]);
                $this->room->tellDesk($seat);
            }
            Together::tellGroupsOf(...$seats->all());
        });
    }
}
