<?php

declare(strict_types=1);

namespace App\Sessions\Room;

use App\Canvas\GroupChanged;
use App\Canvas\Together;
use App\Live\Announce;
use App\Live\Audience;
use App\Live\Publisher;
use App\Models\Seat;

/** Who came into a group that draws together, who left it and who stays: each page and the desks are told. */
final readonly class TellGroup
{
    public function __construct(private RoomState $room, private Announce $announce, private Publisher $publisher)
    {
    }

    public function handle(GroupChanged $event): void
    {
        $group = $event->group->fresh(['members.seat', 'session']);
        if ($group === null || ! $group->session->isRunning()) {
            return;
        }
        if ($event->isGrown) {
            $this->tellNames($group);
        } else {
            // Their line for ink is another one now, and some are in another group.
            foreach ($group->members as $member) {
                if ($member->seat->isIn()) {
                    $this->room->tellStudent($member->seat->setRelation('session', $group->session));
                }
            }
        }
        ($this->announce)($group->session, Audience::desk($group->session), 'group', ['seat' => $group->announcement()]);
    }

    /**
     * A whole class may come into one group within a minute: those who are there hear just who is there now. It is a
     * courtesy, and stands in whatever they are told next.
     */
    private function tellNames(Seat $group): void
    {
        $this->publisher->publishAll(
            array_map(
                static fn (Seat $one): array => [
                    Audience::seat($one)->channel,
                    json_encode(
                        ['stream' => 'together', 'together' => Together::toldTo($one, $group)],
                        JSON_THROW_ON_ERROR,
                    ),
                ],
                $group->people(),
            ),
        );
    }
}
