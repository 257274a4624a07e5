<?php

declare(strict_types=1);

namespace App\Sessions\Checks;

use App\Live\Announce;
use App\Live\Audience;
use App\Models\LiveSession;
use App\Models\Seat;
use App\Models\Teachers\RosterEntry;
use App\Sessions\Work\ShareCanvases;
use Crag\Session\Screen\ScreenView;
use Illuminate\Support\Facades\DB;

/** Groups that a teacher has settled on: for hand-outs in this session, and in the class list for the next. */
final readonly class KeepGroups
{
    public function __construct(private Announce $announce, private ShareCanvases $share)
    {
    }

    /**
     * @param  list<list<string>>  $groups  ids of seats
     * @param  list<string>  $places  where in the room each of them sits; nothing where it is not said
     * @return int how many groups there are
     */
    public function __invoke(LiveSession $session, array $groups, array $places = []): int
    {
        $groups = array_filter($groups, static fn (array $ids): bool => $ids !== []);
        $places = array_map(static fn (int $i): string => trim($places[$i] ?? ''), array_keys($groups));
        $groups = array_values($groups);

        return DB::transaction(function () use ($session, $groups, $places): int {
            $session->update(['group_places' => $places]);
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
            $this->share->regroup($session);
            ($this->announce)($session, Audience::desk($session), 'lineup');
            if ($session->screen_view === ScreenView::Groups) {
                ($this->announce)($session, Audience::screen($session), 'screen', ['view' => ScreenView::Groups->value]);
            }

            return count($groups);
        });
    }
}
