import type { Asked } from './questions';

/** One step of a run: Crag\Asks\Card. */
export type Card =
    | { kind: 'ask'; question: AskedCard; seconds: number | null; picture: string; look: string }
    | { kind: 'worked'; words: string; picture: string; seconds: number | null }
    | { kind: 'work'; seconds: number | null };

/** A question with what only teachers know. */
export type AskedCard = Omit<Asked, 'id' | 'spot'> & { right?: string | string[]; shuffle?: boolean };
