import type { Sample } from './ink';

/** Every page is 1600 × 1000 units; positions are counted in tenths. */
export const WIDTH = 1600;
export const HEIGHT = 1000;
export const TENTHS = 10;

export interface Stroke {
    type: 'stroke';
    colour: string;
    /** Tenths of a unit at middle pressure. */
    width: number;
    ink: string;
}

export interface Text {
    type: 'text';
    x: number;
    y: number;
    /** Units. */
    size: number;
    colour: string;
    text: string;
}

export type CanvasObject = Stroke | Text;

export interface Backdrop {
    kind: string;
    asset?: string;
}

export type Body = {
    object?: CanvasObject;
    target?: string;
    targets?: string[];
    set?: { text: string };
    backdrop?: Backdrop;
};

export interface Operation {
    id: string;
    kind: 'add' | 'change' | 'remove' | 'clear' | 'backdrop' | 'withdraw' | 'reinstate';
    layer: 'student' | 'lead';
    at: number;
    body: Body;
    /** Its place in the canvas's log, once the server has it. */
    n?: number;
    /** Its place among all operations of the session; desks are told it. */
    s?: number;
    /** Which canvas it is on, as the server says it. */
    canvas?: string;
    /** Whether the seat's student made it. */
    mine?: boolean;
}

/** Ink that is being drawn: what goes over the socket and is never stored. */
export interface WetInk {
    k: string;
    c: string;
    o: string;
    /** Colour and width. */
    s?: [string, number];
    /** How many samples of the stroke came before these. */
    i?: number;
    p?: string;
    /** Text being typed. */
    t?: Text;
    /** Given up: nothing dry will come. */
    x?: 1;
}

export interface WetStroke {
    colour: string;
    width: number;
    samples: Sample[];
}

/** An id that works without a secure context, where crypto.randomUUID is not there. */
export function newId(): string {
    const bytes = crypto.getRandomValues(new Uint8Array(15));
    return btoa(String.fromCharCode(...bytes)).replace(/\+/g, '-').replace(/\//g, '_');
}
