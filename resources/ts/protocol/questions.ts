export interface Spot {
    page: number;
    x: number;
    y: number;
    w: number;
    /** The page says what is asked: its box shows a number alone. */
    bare?: true;
}

export interface Choice {
    id: string;
    words: string;
    picture?: string;
}

/** A question as a student's page knows it. */
export interface Asked {
    id: string;
    kind: 'choice' | 'choices' | 'number' | 'maths' | 'text' | 'scale' | 'state' | 'graph';
    words: string;
    spot: Spot | null;
    options?: Choice[];
    /** The manipulative that shows the answer. */
    piece?: string;
    /** How many may be chosen of several. */
    most?: number;
    from?: number;
    to?: number;
    low?: string;
    high?: string;
}
