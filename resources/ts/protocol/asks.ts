import type { AnswerValue } from '../canvas/model/objects';
import type { Asked } from './questions';

/** Counted answers: App\Sessions\Asks\Asking::bars. */
export interface Counted {
    answered: number;
    bars: { label: string; count: number; outcome: string | null }[];
    middle: string | null;
}

/** A quick ask as a student's page knows it: App\Sessions\Asks\Asking::toStudent. */
export interface QuickAsk {
    id: string;
    n: number;
    question: Asked;
    /** A picture's id, or nothing. */
    picture: string;
    /** On the server's clock; null until it is closed. */
    ends: number | null;
    isOpen: boolean;
    isAnonymous: boolean;
    /** Where it is answered by drawing: the canvas, null until it is asked for. */
    pad: { canvas: string | null; isSent: boolean } | null;
    mine: AnswerValue | null;
    tally: Counted | null;
    right: string | null;
}

/** The run as a student's page knows it: App\Sessions\Asks\RunAsks::of. */
export interface RunForStudent {
    team: string | null;
    result: { right: number; of: number } | null;
    /** What everyone reads between two questions. */
    worked: { id: string; words: string; picture: string } | null;
}
