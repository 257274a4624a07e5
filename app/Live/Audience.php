<?php

declare(strict_types=1);

namespace App\Live;

use App\Models\LiveSession;
use App\Models\Seat;

/** Who an event is for, and the channel on which it goes out. */
final readonly class Audience
{
    /** @param  list<string>  $beside  channels that end with it: strokes of the teacher, and ink as it is drawn */
    private function __construct(public string $name, public string $channel, public array $beside = [])
    {
    }

    /** Everybody in the session: every seat, the desk, the class screen. */
    public static function room(LiveSession $session): self
    {
        return new self('room', "room.{$session->id}", [
            "lead.{$session->id}",
            "wet.{$session->id}",
            "leading.{$session->id}",
        ]);
    }

    public static function desk(LiveSession $session): self
    {
        return new self('desk', self::deskChannel($session->id));
    }

    /** Where no session is at hand: strokes are told of by its id alone. */
    public static function deskChannel(string $session): string
    {
        return "desk.{$session}";
    }

    public static function screen(LiveSession $session): self
    {
        return new self('screen', "screen.{$session->id}");
    }

    /** Those who draw on a group's canvas: ink as it is drawn there, and nothing that is kept. */
    public static function group(Seat $group): self
    {
        return new self("group:{$group->id}", "near.{$group->channelId()}", ["coach.{$group->channelId()}"]);
    }

    public static function seat(Seat $seat): self
    {
        return new self("seat:{$seat->id}", "seat.{$seat->channelId()}", [
            "coach.{$seat->channelId()}",
            "out.{$seat->channelId()}",
        ]);
    }
}
