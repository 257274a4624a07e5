<?php

declare(strict_types=1);

namespace Crag\Session\Room;

/** Where a student stands with the room. */
enum SeatState: string
{
    case Knocking = 'knocking';
    case Seated = 'seated';
    case TurnedAway = 'turned_away';
    /** Taken out of the running session; may knock again. */
    case SentOut = 'sent_out';
    /** Sent out with this device and this name, until let back in. */
    case KeptOut = 'kept_out';

    public function word(): string
    {
        return match ($this) {
            self::Knocking => 'knocking',
            self::Seated => 'in the room',
            self::TurnedAway => 'turned away',
            self::SentOut => 'sent out',
            self::KeptOut => 'kept out',
        };
    }
}
