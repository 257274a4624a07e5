<?php

declare(strict_types=1);

namespace Crag\Session\Door;

use Crag\Session\Room\SeatState;
use Crag\Session\Rules\Refusal;
use Crag\Session\Rules\RefusedDeed;

/** Who may come in. Whoever has a seat already is inside, whatever the door. */
enum Door: string
{
    case Open = 'open';
    case Knock = 'knock';
    /** Whoever is on the class list comes in; everybody else knocks. */
    case ClassList = 'list';
    case Shut = 'shut';

    public function word(): string
    {
        return match ($this) {
            self::Open => 'Open',
            self::Knock => 'Knock',
            self::ClassList => 'Class list only',
            self::Shut => 'Shut',
        };
    }

    /** What it means, for the teacher. */
    public function meaning(): string
    {
        return match ($this) {
            self::Open => 'Students come in by themselves.',
            self::Knock => 'Students wait until you let them in.',
            self::ClassList => 'Students on the class list come in by themselves. Everyone else knocks.',
            self::Shut => 'Nobody new can come in. Those already in stay.',
        };
    }

    /** Whether there must be a class list for it. */
    public function needsClassList(): bool
    {
        return $this === self::ClassList;
    }

    /**
     * The state in which a newcomer's seat begins.
     *
     * @param  bool  $isDoubtful  whether the name is somebody's already, or has an unsuitable word
     * @param  bool  $isListed  whether it is a name of the class list that was tapped, with its PIN where it has one
     *
     * @throws RefusedDeed when nobody comes in
     */
    public function answer(bool $isDoubtful, bool $isListed = false): SeatState
    {
        return match ($this) {
            self::Shut => throw RefusedDeed::because(Refusal::DoorShut),
            self::Knock => SeatState::Knocking,
            self::ClassList => $isListed && ! $isDoubtful ? SeatState::Seated : SeatState::Knocking,
            self::Open => $isDoubtful ? SeatState::Knocking : SeatState::Seated,
        };
    }
}
