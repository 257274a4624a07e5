<?php

declare(strict_types=1);

namespace App\Sessions\Checks;

use App\Live\Announce;
use App\Live\Audience;
use App\Models\LiveSession;
use App\Models\Seat;
use App\Models\Teachers\RosterEntry;
use Illuminate\Support\Facades\DB;

/** Groups that a teacher has settled on: for hand-outs in this session, and in the class list for the next. */
final readonly class KeepGroups
{
    public function __construct(private Announce $announce)
    {
    }

    /**
     * @param  list<list<string>>  $groups  ids of seats
     * @return int how many groups there are
     */
    public function __invoke(LiveSession $session, array $groups): int
    {
        $groups = array_values(array_filter($groups, static fn (array $ids): bool => $ids !== []));

        return DB::transaction(function () use ($session, $groups): int {
            Seat::query()
                ->where('live_session_id', $session->id)
                ->update(['group' => null]);
            foreach ($groups as $i => $ids) {
                $name = (string) ($i + 1);
                $seats = $session->seats()->whereIn('id', $ids);
                RosterEntry::query()
                    ->whereIn(
                        'id',
                        (clone $seats)->reorder()->whereNotNull('roster_entry_id')->select('roster_entry_id'),
                    )
                    ->update(['group' => $name]);
                $seats->update(['group' => $name]);
            }
            ($this->announce)($session, Audience::desk($session), 'lineup');

            return count($groups);
        });
    }
}
