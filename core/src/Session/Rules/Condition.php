<?php

declare(strict_types=1);

namespace Crag\Session\Rules;

use Crag\Session\Door\Door;
use Crag\Session\Room\Pace;
use Crag\Session\Room\PromptState;
use Crag\Session\Room\SeatState;

/** What must hold for a deed, and what is said when it does not. */
enum Condition
{
    case Running;
    case Over;
    case JustOver;
    case In;
    case OutButNotKept;
    case DoorNotShut;
    case PensUp;
    case PromptSeen;
    case PromptOpen;
    case OwnPace;
    case Unsent;
    case IsSent;
    case NotRevealed;
    case Uncovered;
    case IsCovered;
    case MessagesOn;
    case LeadShown;
    case OffersOn;
    case KeepBackOn;

    /** Whether it depends on one seat; the pens do on both. */
    public function isOfSeat(): bool
    {
        return match ($this) {
            self::In, self::OutButNotKept, self::Unsent, self::IsSent, self::PensUp => true,
            default => false,
        };
    }

    /** Whether it depends on the room: it holds for every student, or for none. */
    public function isOfRoom(): bool
    {
        return $this === self::PensUp || ! $this->isOfSeat();
    }

    /** Null when it holds. */
    public function refusal(Situation $now): ?Refusal
    {
        return match ($this) {
            self::Running => $now->isRunning ? null : Refusal::Ended,
            self::Over => $now->isRunning ? Refusal::NotEnded : null,
            self::JustOver => match (true) {
                $now->isRunning => Refusal::NotEnded,
                $now->isJustOver => null,
                default => Refusal::LongOver,
            },
            self::In => $now->seat === SeatState::Seated ? null : Refusal::NotIn,
            self::OutButNotKept => match ($now->seat) {
                SeatState::TurnedAway, SeatState::SentOut => null,
                SeatState::KeptOut => Refusal::KeptOut,
                default => Refusal::IsIn,
            },
            self::DoorNotShut => $now->door === Door::Shut ? Refusal::DoorShut : null,
            self::PensUp => $now->isPensDown ? Refusal::PensDown : null,
            self::PromptSeen => $now->prompt->isSeen() ? null : Refusal::PromptUnseen,
            self::PromptOpen => $now->prompt === PromptState::Open
                ? null
                : ($now->prompt === PromptState::Closed
                    ? Refusal::PromptClosed
                    : Refusal::PromptUnseen),
            self::OwnPace => $now->pace === Pace::Own ? null : Refusal::Together,
            self::Unsent => $now->isSent ? Refusal::Sent : null,
            self::IsSent => $now->isSent ? null : Refusal::NotSent,
            self::NotRevealed => $now->isRevealed ? Refusal::Revealed : null,
            self::Uncovered => $now->isCovered ? Refusal::Covered : null,
            self::IsCovered => $now->isCovered ? null : Refusal::NotCovered,
            self::MessagesOn => $now->hasMessages ? null : Refusal::MessagesOff,
            self::LeadShown => $now->isLeadShown ? null : Refusal::LeadHidden,
            self::OffersOn => $now->hasOffers ? null : Refusal::OffersOff,
            self::KeepBackOn => $now->hasKeepBack ? null : Refusal::KeepBackOff,
        };
    }
}
