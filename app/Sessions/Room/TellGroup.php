<?php

declare(strict_types=1);

namespace App\Sessions\Room;

use App\Canvas\GroupChanged;
use App\Live\Announce;
use App\Live\Audience;

/** Who came into a group that draws together, who left it and who stays: each page and the desks are told. */
final readonly class TellGroup
{
    public function __construct(private RoomState $room, private Announce $announce)
    {
    }

    public function handle(GroupChanged $event): void
    {
        $group = $event->group->fresh(['members.seat', 'session']);
        if ($group === null || ! $group->session->isRunning()) {
            return;
        }
        foreach ($group->members as $member) {
            if ($member->seat->isIn()) {
                $this->room->tellStudent($member->seat->setRelation('session', $group->session));
            }
        }
        ($this->announce)($group->session, Audience::desk($group->session), 'group', ['seat' => $group->announcement()]);
    }
}
