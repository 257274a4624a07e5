export interface Spot {
    page: number;
    x: number;
    y: number;
    w: number;
    /** In units; without one it is as tall as what stands in it. */
    h?: number;
    /** The page says what is asked: its box shows a number alone. */
    bare?: true;
}

export interface Choice {
    id: string;
    words: string;
    picture?: string;
}

/** An answer that is printed on the page, with the box around it. */
export interface PrintedChoice extends Choice {
    x: number;
    y: number;
    w: number;
    h: number;
}

/** A question as a student's page knows it. */
export interface Asked {
    id: string;
    kind:
        | 'choice'
        | 'choices'
        | 'number'
        | 'maths'
        | 'text'
        | 'scale'
        | 'state'
        | 'graph'
        | 'tick'
        | 'drawing'
        | 'space'
        | 'marked';
    words: string;
    spot: Spot | null;
    options?: (Choice | PrintedChoice)[];
    /** The manipulative that shows the answer. */
    piece?: string;
    /** How many may be chosen of several. */
    most?: number;
    from?: number;
    to?: number;
    low?: string;
    high?: string;
    /** It is written by hand in its box, and read. */
    by_hand?: boolean;
    /** It is answered once: what is typed counts when it is handed in. */
    once?: true;
    /** What came of an answer that is handed in. */
    mark?: { right: boolean; key: string; steps: string[] };
}

/** Questions with a place, each behind its number. */
export type Boxes = [n: number, asked: Asked][];
