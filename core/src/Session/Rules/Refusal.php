<?php

declare(strict_types=1);

namespace Crag\Session\Rules;

/** Why something cannot be done, each with the sentence for the person who tried. */
enum Refusal: string
{
    case NotYours = 'not_yours';
    case Ended = 'ended';
    case NotEnded = 'not_ended';
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

    public function sentence(): string
    {
        return match ($this) {
            self::NotYours => 'That is for the teacher who runs this session.',
            self::Ended => 'This session has ended.',
            self::NotEnded => 'That can be done when the session has ended.',
            self::DoorShut => 'The door is shut. Ask your teacher to open it.',
            self::KeptOut => 'Your teacher keeps this place closed for now. Talk to your teacher.',
            self::NotIn => 'You are not in the room at the moment.',
            self::IsIn => 'You are in the room already.',
            self::PensDown => 'Pens are down. It waits here until they are up again.',
            self::PromptClosed => 'This prompt is closed. What you did after that waits here.',
            self::PromptUnseen => 'This prompt is not open yet.',
            self::Together => 'The class works on one prompt together at the moment.',
            self::Sent => 'You have sent this. Take it back to go on with it.',
            self::NotSent => 'This was not sent.',
            self::Revealed => 'All work has been revealed, so it cannot be taken back.',
            self::Covered => 'Work on this prompt is covered until you reveal it.',
            self::NotCovered => 'Work on this prompt is not covered.',
            self::MessagesOff => 'Messages are off in this session.',
            self::LeadHidden => 'There is no lead canvas to look at now.',
        };
    }
}
