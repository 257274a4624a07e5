<?php

declare(strict_types=1);

namespace App\Sessions\Watch;

use App\Live\Announce;
use App\Live\Audience;
use App\Live\Clock;
use App\Models\LiveSession;
use App\Models\Seat;
use App\Models\Teachers\Teacher;
use Crag\Session\Rules\Role;
use Crag\Watch\Colleague;
use Illuminate\Support\Facades\DB;

/** Which teachers are at their desks, and whose canvas each has large. */
final readonly class Colleagues
{
    public function __construct(private Announce $announce)
    {
    }

    /**
     * A desk says where it is, and hears where the others are.
     *
     * @param  ?string  $seat  whose canvas is large; null for the grid
     * @return list<array{by: string, name: string, seat: ?string, isHelper: bool}> the others
     */
    public function __invoke(LiveSession $session, Teacher $teacher, ?string $seat): array
    {
        return DB::transaction(function () use ($session, $teacher, $seat): array {
            $isHere = Seat::query()->where('live_session_id', $session->id)->whereKey($seat ?? '')->exists();
            $seat = $isHere ? $seat : null;
            $mine = DB::table('desk_rights')
                ->where('live_session_id', $session->id)
                ->where('teacher_id', $teacher->id);
            $before = $mine->first(['at_seat', 'heard_at_ms']);
            $now = Clock::ms();
            $mine->update(['at_seat' => $seat, 'heard_at_ms' => $now]);
            if ($before?->at_seat !== $seat || ! Colleague::isThere((int) $before->heard_at_ms, $now)) {
                ($this->announce)($session, Audience::desk($session), 'here', [
                    'by' => $teacher->id,
                    'name' => $teacher->name,
                    'seat' => $seat,
                    'isHelper' => $teacher->roleIn($session) === Role::Helper,
                ]);
            }
            $others = [];
            foreach ($session->teachers()->whereKeyNot($teacher->id)->get() as $other) {
                $place = $other->getRelation('pivot');
                if (Colleague::isThere((int) $place->heard_at_ms, $now)) {
                    $others[] = [
                        'by' => $other->id,
                        'name' => $other->name,
                        'seat' => $place->at_seat,
                        'isHelper' => $place->role === Role::Helper->value,
                    ];
                }
            }

            return $others;
        });
    }
}
