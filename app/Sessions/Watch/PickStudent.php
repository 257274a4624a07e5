<?php

declare(strict_types=1);

namespace App\Sessions\Watch;

use App\Live\Announce;
use App\Live\Audience;
use App\Live\Clock;
use App\Models\LiveSession;
use App\Models\Pick as PickModel;
use App\Models\Seat;
use App\Sessions\Room\Presence;
use Crag\Watch\Pick;
use Illuminate\Support\Facades\DB;
use Random\Randomizer;

/** A fair random student among those who are there. */
final readonly class PickStudent
{
    public function __construct(private Presence $presence, private Announce $announce)
    {
    }

    /** @param  ?list<string>  $seats  only among these; null among all. Null when nobody is there */
    public function __invoke(LiveSession $session, ?array $seats): ?PickModel
    {
        $present = $session
            ->seated()
            ->get()
            ->filter(
                fn (Seat $seat): bool => ($seats === null || in_array($seat->id, $seats, true)) &&
                    $this->presence->isHere($seat),
            )
            ->map(static fn (Seat $seat): string => $seat->id)
            ->values()
            ->all();

        return DB::transaction(function () use ($session, $present): ?PickModel {
            $before = PickModel::query()
                ->where('live_session_id', $session->id)
                ->where('is_undone', false)
                ->orderBy('id')
                ->pluck('seat_id')
                ->map(strval(...))
                ->all();
            $among = Pick::among(array_values($present), array_values($before));
            $drawn = Pick::draw(array_values($present), array_values($before), new Randomizer());
            if ($drawn === null) {
                return null;
            }
            $pick = PickModel::query()->create([
                'live_session_id' => $session->id,
                'seat_id' => $drawn,
                'made_at_ms' => Clock::ms(),
                'among' => count($among),
            ]);
            ($this->announce)($session, Audience::desk($session), 'pick', [
                'pick' => $pick->id,
                'seat' => $drawn,
                'among' => $among,
            ]);

            return $pick;
        });
    }

    /** As if it had not been: this student comes round again. */
    public function undo(LiveSession $session, PickModel $pick): void
    {
        DB::transaction(function () use ($session, $pick): void {
            $pick->update(['is_undone' => true]);
            ($this->announce)($session, Audience::desk($session), 'pick', [
                'pick' => null,
                'seat' => $pick->seat_id,
                'among' => [],
            ]);
        });
    }
}
