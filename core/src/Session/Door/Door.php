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
    case Shut = 'shut';

    public function word(): string
    {
        return match ($this) {
            self::Open => 'Open',
            self::Knock => 'Knock',
            self::Shut => 'Shut',
        };
    }

    /**
     * The state in which a newcomer's seat begins.
     *
     * @param  bool  $isDoubtful  whether the name is somebody's already, or on the list of unsuitable words
     *
     * @throws RefusedDeed when nobody comes in
     */
    public function answer(bool $isDoubtful): SeatState
    {
        return match ($this) {
            self::Shut => throw RefusedDeed::because(Refusal::DoorShut),
            self::Knock => SeatState::Knocking,
            self::Open => $isDoubtful ? SeatState::Knocking : SeatState::Seated,
        };
    }
}
