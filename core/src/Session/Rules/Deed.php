<?php

declare(strict_types=1);

namespace Crag\Session\Rules;

/** What somebody wants to do in a session. Who may, and when, stands in {@see Rules}. */
enum Deed: string
{
    // Students.
    case Hear = 'hear';
    /** Work that is shown on students' own pages. */
    case SeeShown = 'see_shown';
    case KnockAgain = 'knock_again';
    case SeeOwnWork = 'see_own_work';
    case Work = 'work';
    case BringIn = 'bring_in';
    case TurnTo = 'turn_to';
    case SeeLead = 'see_lead';
    case Send = 'send';
    case TalkThrough = 'talk_through';
    case TakeBack = 'take_back';
    case PutHandUp = 'put_hand_up';
    case Write = 'write';
    case ChangeDevice = 'change_device';
    case ChooseLight = 'choose_light';
    case Offer = 'offer';
    case KeepBack = 'keep_back';
    case AnswerAsk = 'answer_ask';
    case AnswerTalk = 'answer_talk';
    case TakeHome = 'take_home';

    // Every teacher of the session.
    case Watch = 'watch';
    case SeeWork = 'see_work';
    case Check = 'check';
    case Answer = 'answer';
    case LetIn = 'let_in';
    case Rename = 'rename';
    case HandOutToSome = 'hand_out_to_some';
    case Coach = 'coach';
    case KeepNotes = 'keep_notes';
    case LineUp = 'line_up';
    case Pick = 'pick';
    case TakeOn = 'take_on';
    case SpeakTo = 'speak_to';
    case TalkLive = 'talk_live';

    // Those who run it.
    case HandOut = 'hand_out';
    case SendOut = 'send_out';
    case SetDoor = 'set_door';
    case ChangePrompts = 'change_prompts';
    case SetPens = 'set_pens';
    case SetTimer = 'set_timer';
    case Ask = 'ask';
    case MakeGroups = 'make_groups';
    case Reveal = 'reveal';
    case Cover = 'cover';
    case Lead = 'lead';
    case ChooseScreen = 'choose_screen';
    case ChangeSettings = 'change_settings';
    case KeepOpen = 'keep_open';
    case End = 'end';
    case Reopen = 'reopen';
    case TakeRecord = 'take_record';
    case ChooseKeep = 'choose_keep';
    case GoOn = 'go_on';
    case ForgetStudent = 'forget_student';
    case Forget = 'forget';

    /** @return list<self> what a student's page offers, and must know whether it may */
    public static function ofStudentsPage(): array
    {
        return [self::Work, self::TurnTo, self::Send, self::TakeBack, self::Write, self::Offer, self::KeepBack];
    }

    /** What the other teachers of a session are told that one of them did. */
    public function word(): string
    {
        return match ($this) {
            self::Hear => 'listened',
            self::SeeShown => 'looked at what is shown',
            self::KnockAgain => 'knocked again',
            self::SeeOwnWork => 'looked at their own work',
            self::Work => 'drew',
            self::BringIn => 'added a picture',
            self::TurnTo => 'went to another prompt',
            self::SeeLead => 'looked at the teacher’s page',
            self::Send => 'sent work',
            self::TalkThrough => 'explained a drawing aloud',
            self::TakeBack => 'took work back',
            self::PutHandUp => 'put a hand up',
            self::Write => 'wrote to the teacher',
            self::ChangeDevice => 'changed device',
            self::ChooseLight => 'changed light data',
            self::Offer => 'offered work',
            self::KeepBack => 'asked not to be shown',
            self::AnswerAsk => 'answered a quick ask',
            self::AnswerTalk => 'talked with the teacher',
            self::TakeHome => 'took work home',
            self::Watch => 'looked at the grid',
            self::SeeWork => 'looked at work',
            self::Check => 'checked work',
            self::Answer => 'answered a student',
            self::LetIn => 'let someone in',
            self::Rename => 'renamed a student',
            self::HandOutToSome => 'handed something out to some students',
            self::Coach => 'wrote on a student’s canvas',
            self::KeepNotes => 'wrote private notes',
            self::LineUp => 'changed the line-up',
            self::Pick => 'picked a student',
            self::TakeOn => 'took students on',
            self::SpeakTo => 'left a spoken note',
            self::TalkLive => 'talked with a student',
            self::HandOut => 'handed something out',
            self::SendOut => 'sent a student out',
            self::SetDoor => 'changed the door',
            self::ChangePrompts => 'changed the prompts',
            self::SetPens => 'put pens down or up',
            self::SetTimer => 'changed the timer',
            self::Ask => 'changed the quick ask',
            self::MakeGroups => 'made groups',
            self::Reveal => 'revealed the work',
            self::Cover => 'covered the work again',
            self::Lead => 'used the lead canvas',
            self::ChooseScreen => 'changed the class screen',
            self::ChangeSettings => 'changed the settings',
            self::KeepOpen => 'kept the session open',
            self::End => 'ended the session',
            self::Reopen => 'opened the session again',
            self::TakeRecord => 'downloaded a record',
            self::ChooseKeep => 'changed how long it’s kept',
            self::GoOn => 'carried on from this session',
            self::ForgetStudent => 'deleted a student’s work',
            self::Forget => 'deleted the session',
        };
    }
}
