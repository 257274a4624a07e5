import type { Aspect } from './aspects';
import type { Draws } from './values';
import type { PlannedTask } from './tasks';
import type { Card } from '../protocol/cards';
import type { Asked } from '../protocol/questions';

/** What a box is drawn for: a kind of question, or a number that is written by hand. */
export type BoxKind = Question['kind'] | 'written';

/** A question with what only teachers know. */
export type Question = Asked & {
    right?: string | string[];
    shuffle?: boolean;
    tolerance?: { kind: 'none' | 'within' | 'percent'; most: string };
    form?: { kind: string; digits: number };
    own_unit?: boolean;
    /** What the words of an answer are: words where it is left out. */
    reads?: string;
    /** What does not count in words. */
    loose?: { spelling: boolean; articles: boolean; order: boolean };
    /** What of a piece is asked for. */
    fact?: string;
    /** Whether more than one of the printed answers may be marked. */
    several?: boolean;
};

/** The fields of a prompt that can be changed, as the server has them. */
export interface Fields {
    words: string;
    questions: Question[];
    tray: { kind: string; tools: string[] } | null;
    points: number | null;
    minutes: number | null;
    sharing: 'each' | 'group' | 'everyone';
    look_for: { steps: string[]; words: string[]; slips: string[] };
    skills: string[];
    asks: Card[];
    aspects: Aspect[];
    tasks: PlannedTask[];
    /** Tasks of which each student has their own: Crag\Practice\PracticeSheet. */
    practice: {
        family: string;
        kinds: string[];
        level: number;
        n: number;
        row?: number;
        follows?: boolean;
        words?: string;
        right?: string;
        letters?: boolean;
    } | null;
}

export type PlanPrompt = Fields & {
    id: string;
    n: number;
    plain: string;
    problems: string[];
    draws: Draws | null;
};

export interface PlanState {
    n: number;
    title: string;
    tags: string[];
    sequence: string[];
    prompts: PlanPrompt[];
    running: { id: string; title: string; since: string; behind: boolean; lacks: string[]; warnings: string[] }[];
    /** What has changed in the plan that this one was copied from. */
    original: string[];
    /** Where other teachers are who have it open. */
    here: { name: string; prompt: string; field: string }[];
    undo: boolean;
    redo: boolean;
    added?: string;
}
