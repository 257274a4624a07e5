import type { QuickAsk, RunForStudent } from './asks';
import type { SeenCheck } from './checks';
import type { ShownItem } from './show';
import type { Timer } from './timer';

export interface Pens {
    since: number;
    words: string;
}

/** What a student's page offers: Crag\Session\Rules\Deed::ofStudentsPage. */
export type StudentDeed = 'work' | 'turn_to' | 'send' | 'take_back' | 'write' | 'offer' | 'keep_back';

/** Of each deed why it cannot be done, as Crag\Session\Rules\Refusal names it; null where it may. */
export type May = Record<StudentDeed, string | null>;

/** What holds for everybody: App\Sessions\Room\RoomState::shared. */
export interface Room {
    pens: Pens | null;
    timer: Timer | null;
    pace: 'together' | 'own';
    here: string;
    /** Those that students have seen, each with what the room lets them do there. */
    prompts: { id: string; n: number; state: 'open' | 'closed'; may: May }[];
    lead: { shown: [canvas: string, page: string] | null; ink: string | null; from: number };
    showcase: { id: string; items: ShownItem[] } | null;
    /** Until when students go on without the teacher, in words. */
    openUntil: string | null;
    sound: boolean;
    /** Whether students may record their voice about a drawing. */
    recording: boolean;
    /** And be seen in a corner of it. */
    camera: boolean;
    light: boolean;
}

/** Something that a teacher said about a canvas: App\Sessions\Room\RoomState::voices. */
export interface Voice {
    id: string;
    canvas: string;
    from: string;
    /** As a clock says it. */
    length: string;
    words: string;
}

export interface Letter {
    id: string;
    mine: boolean;
    from: string;
    words: string;
}

/** Who draws on the canvas beside this student: App\Canvas\Together::told. */
export interface Sharing {
    group: string;
    /** The group's part of the address of its ink. */
    channel: string;
    name: string;
    /** By this others know this student's ink here. */
    ink: string;
    /** Everyone in the group who is in the room, this student too; names are empty where they are hidden. */
    members: { seat: string; ink: string; name: string }[];
}

/** What holds for this student: App\Sessions\Room\RoomState::own. */
export interface Own {
    state: string;
    name: string;
    /** What the seat is called, and whether that is what others see. */
    seat: string;
    isSeenAsSeat: boolean;
    pens: Pens | null;
    prompt: string | null;
    /** Null on a canvas of their own. */
    together: Sharing | null;
    /** What this student's own place lets them do, where the room lets them. */
    may: May;
    /** Whether the desks may not see it yet: nothing goes out while it is drawn. */
    isCovered: boolean;
    isSent: boolean;
    hand: boolean;
    /** Ever in this session. */
    hadHandUp: boolean;
    /** A teacher is on the way to it. */
    isComing: boolean;
    light: boolean;
    /** Whether own work is being shown, and whether under the own name. */
    isShown: boolean;
    shownName: boolean;
    keepsBack: boolean;
    checks: SeenCheck[];
    /** How the student did in the run of quick asks that the teacher shows. */
    run: RunForStudent | null;
    ask: QuickAsk | null;
    messages: Letter[];
    /** The oldest first. */
    voices: Voice[];
    /** A teacher asks to talk, or talks with the student. */
    liveTalk: { id: string; name: string; isOn: boolean } | null;
}
