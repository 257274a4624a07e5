import type { Operation } from '../canvas/model/objects';
import type { KeptScene } from '../canvas/model/scene';
import type { Boxes } from './questions';
import type { Room } from './room';

/** How many canvases have each level, and how many have none: by the level's number. */
export type Tally = Record<string, number>;

/** A seat as a desk knows it: App\Models\Seat::announcement, with its canvas at the prompt that is looked at. */
export interface SeatAnswer {
    id: string;
    n: number;
    name: string;
    ink: string;
    /** Whether the student's page sends less while drawing. */
    light: boolean;
    canvas: string | null;
    isSent?: boolean;
    /** The answer boxes on its pages, with this student's values. */
    boxes?: Boxes;
    /** The teacher who has taken the student on, where several share the room. */
    takenBy: { by: string; name: string } | null;
    /** Of a seat that stands for a group: who draws on its canvas. */
    members?: MemberAnswer[];
}

/** Someone who draws on a group's canvas, with the keys of their ink: there, and elsewhere. */
export interface MemberAnswer {
    id: string;
    n: number;
    name: string;
    ink: string;
    own: string;
}

/** What the server knows of a canvas at this moment: App\Sessions\Watch\Watching. */
export interface StateAnswer {
    seat: string;
    /** All that hold, the one that the frame says first. */
    states: string[];
    /** Whole minutes since the last stroke, where that is worth a word. */
    minutes: number;
    /** When the last stroke was made, on the server's clock. */
    last: number;
    objects: number;
    /** At which prompt the student is, from 1. */
    prompt: number;
    level: number | null;
    /** Whether the student went on after the check. */
    changed: boolean;
    isSent: boolean;
    hand: boolean;
    /** How many pieces lie in the area where they belong, and how many there are. */
    sorted: [right: number, all: number] | null;
    /** How many of the prompt's tasks are done, and how many there are. */
    tasks: [done: number, all: number] | null;
    /** How many tasks of a practice sheet are right, and how many there are. */
    practice?: [right: number, all: number] | null;
    /** How many talk-throughs there are of it. */
    talks?: number;
}

/** What the server tells every desk of a session, by the type of the event: App\Live\Announce. */
export interface DeskEvents {
    seat: {
        seat: Omit<SeatAnswer, 'canvas'>;
        state: string;
        prompt: string;
        canvas: string | null;
        /** It is a group's, which has a tile: the student has none. */
        isShared: boolean;
        operations: number;
    };
    /** Who draws on a group's canvases has changed. */
    group: { seat: Omit<SeatAnswer, 'canvas'> };
    seats: unknown;
    check: { canvas: string; level: number | null; tally: Tally };
    prompt: { prompt: { id: string; again?: boolean }; room: Room };
    room: { room: Room };
    sent: { canvas: string; isSent: boolean };
    reveal: { prompt: string };
    ended: unknown;
    /** When the session ends without a sign of its teacher, in milliseconds. */
    ending: { at: number };
    deed: { deed: string; by: string; name: string };
    here: Colleague;
    pick: { pick: number | null; seat: string };
    ask: unknown;
    answered: unknown;
    offer: unknown;
    lineup: unknown;
    screen: unknown;
    tray: unknown;
    got: unknown;
    talk: { canvas: string };
    live: LiveTold;
}

/** What a student's page says to the desk that would like to talk: App\Sessions\Room\LiveTalk. */
export interface LiveTold {
    id: string;
    is: 'accepted' | 'offer' | 'declined' | 'ended';
    /** How it can be reached. */
    sdp?: string;
}

/** Another teacher at a desk of this session, and whose canvas is large there; null for the grid. */
export interface Colleague {
    by: string;
    name: string;
    seat: string | null;
    isHelper: boolean;
}

/** A desk's canvases of one prompt, when it begins to look at them. */
export interface CanvasesAnswer {
    prompt: string;
    covered: boolean;
    shared: boolean;
    /** The prompt's answer boxes, with nobody's values. */
    boxes: Boxes;
    position: { room: number; desk: number; operations: number };
    seats: SeatAnswer[];
    kept: Record<string, { n: number; scene: KeptScene }>;
    operations: Operation[];
}

/** The levels of a teacher's own scale, the lowest first. */
export type Scale = { word: string; level: number }[];

/** Students who answered a question alike. */
export interface AnswerGroup {
    question: string;
    /** The question's number, from 1. */
    n: number;
    written: string;
    outcome: string | null;
    seats: string[];
    /** What those wrote who wrote the same otherwise, by seat. */
    otherwise: Record<string, string>;
}

/** A student worth a look, and why. */
export interface Noticed {
    signal: string;
    seat: string;
    reason: string;
    /** The shape that its tile is marked with; null where the grid has enough marks. */
    mark: 'wrong' | 'stuck' | 'ahead' | null;
}

/** What the server knows of a prompt's canvases: App\Sessions\Watch\Watching. */
export interface WatchAnswer {
    /** When it was worked out, in milliseconds on the server's clock. */
    at: number;
    states: StateAnswer[];
    answers: AnswerGroup[];
    /** Whether what pieces show is among them. */
    asksPieces: boolean;
    signals: Noticed[];
    knocking: number;
    started: number;
    tally: Tally;
    scale: Scale | null;
    /** What the server says of itself, where it cannot store. */
    trouble: string | null;
}
