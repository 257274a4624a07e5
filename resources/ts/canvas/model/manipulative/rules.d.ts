import type { Sentence } from './said';
import type { Field, Setting } from './setting';
import type { Sketch } from './sketch';
import type { Values } from './values';

/** One thing that a hand does: presses a part, drags it to a place in units, or types a number into it. */
export interface Act {
    part: string;
    n: number;
    x: number | null;
    y: number | null;
    to: number | null;
}

/** The rules of one manipulative, as core/src/Manipulative/Kind.php has them. */
export interface Rules {
    settings(): Setting[];
    fields(): Field[];
    start(set: Values): Values;
    after(set: Values, state: Values, act: Act): Values;
    draw(set: Values, state: Values, sketch: Sketch): void;
    says(set: Values, state: Values): Sentence;
    /** Of an instrument: edges as x, y, x, y, circles as x, y, radius. */
    guides?(set: Values, state: Values): number[][];
}

export const RULES: Readonly<Record<string, Rules>>;

export const Staff: { sounds(set: Values, state: Values): [frequency: number, quarters: number][] };
