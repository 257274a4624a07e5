<?php

declare(strict_types=1);

namespace Crag\Session\Rules;

/** Why something cannot be done, each with the sentence for the person who tried. */
enum Refusal: string
{
    case NotYours = 'not_yours';
    case Ended = 'ended';
    case NotEnded = 'not_ended';
    case LongOver = 'long_over';
    case DoorShut = 'door_shut';
    case KeptOut = 'kept_out';
    case NotIn = 'not_in';
    case IsIn = 'is_in';
    case PensDown = 'pens_down';
    case PromptClosed = 'prompt_closed';
    case PromptUnseen = 'prompt_unseen';
    case Together = 'together';
    case Sent = 'sent';
    case NotSent = 'not_sent';
    case Revealed = 'revealed';
    case Covered = 'covered';
    case NotCovered = 'not_covered';
    case MessagesOff = 'messages_off';
    case LeadHidden = 'lead_hidden';
    case OffersOff = 'offers_off';
    case KeepBackOff = 'keep_back_off';
    case OtherGroup = 'other_group';
    case SchoolSessions = 'school_sessions';
    case SchoolSpace = 'school_space';

    public function sentence(): string
    {
        return match ($this) {
            self::NotYours => 'Only the teacher running this session can do that.',
            self::Ended => 'This session has ended.',
            self::NotEnded => 'You can do that once the session has ended.',
            self::LongOver => 'This session ended too long ago. Carry on from it in a new one.',
            self::DoorShut => 'The door is shut. Ask your teacher to open it.',
            self::KeptOut => 'Your teacher is keeping this seat closed for now. Talk to them.',
            self::NotIn => 'You’re not in the room at the moment.',
            self::IsIn => 'You’re already in the room.',
            self::PensDown => 'Pens are down. Your work waits here until they’re up again.',
            self::PromptClosed => 'This prompt is closed. You can still look at your work.',
            self::PromptUnseen => 'This prompt is not open yet.',
            self::Together => 'The class is working on one prompt together at the moment.',
            self::Sent => 'You’ve sent this. Take it back to carry on.',
            self::NotSent => 'This hasn’t been sent.',
            self::Revealed => 'All work has been revealed, so you can’t take it back.',
            self::Covered => 'Work on this prompt is covered until you reveal it.',
            self::NotCovered => 'Work on this prompt isn’t covered.',
            self::MessagesOff => 'Messages are off in this session.',
            self::LeadHidden => 'There’s no teacher’s page to look at now.',
            self::OffersOff => 'Your teacher isn’t taking offers now.',
            self::KeepBackOff => 'You can’t ask for that in this session.',
            self::SchoolSessions => 'Your school is running as many sessions as it can at once. End one first, or ask the person who looks after Crag.',
            self::SchoolSpace => 'Your school’s space for work is full. Forget an old session first, or ask the person who looks after Crag.',
            self::OtherGroup => 'You’re in another group now, so this can’t go on the old canvas.',
        };
    }
}
