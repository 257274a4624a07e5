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
    case TakeBack = 'take_back';
    case PutHandUp = 'put_hand_up';
    case Write = 'write';
    case ChangeDevice = 'change_device';
    case ChooseLight = 'choose_light';
    case Offer = 'offer';
    case AnswerAsk = 'answer_ask';
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

    // Those who run it.
    case HandOut = 'hand_out';
    case SendOut = 'send_out';
    case SetDoor = 'set_door';
    case Steer = 'steer';
    case SetPens = 'set_pens';
    case SetTimer = 'set_timer';
    case Ask = 'ask';
    case MakeGroups = 'make_groups';
    case Reveal = 'reveal';
    case Lead = 'lead';
    case ChooseScreen = 'choose_screen';
    case ChangeSettings = 'change_settings';
    case KeepOpen = 'keep_open';
    case End = 'end';
    case TakeRecord = 'take_record';
    case ChooseKeep = 'choose_keep';
    case GoOn = 'go_on';
    case ForgetStudent = 'forget_student';
    case Forget = 'forget';
}
