import type { Construct } from './construct/elements';
import type { Sample } from './ink';
import type { Manipulative } from './manipulative/manipulative';

/** Positions on a page are counted in tenths of a unit. */
export const TENTHS = 10;

export interface Stroke {
    type: 'stroke' | 'highlight';
    colour: string;
    /** Tenths of a unit, for a pen at middle pressure. */
    width: number;
    ink: string;
}

export interface Text {
    type: 'text';
    x: number;
    y: number;
    w: number;
    /** Units. */
    size: number;
    colour: string;
    align: 'start' | 'middle' | 'end';
    /** Whether the width was set by hand. */
    fixed: boolean;
    text: string;
    marks?: Mark[];
    list?: 'bullets' | 'numbers';
    face?: 'code';
}

export type MarkKind = 'b' | 'i' | 'sup' | 'sub';

/** Which characters of the words, as they were typed, are bold, italic, raised or lowered. */
export type Mark = [from: number, to: number, kind: MarkKind];

export interface Note {
    type: 'note';
    x: number;
    y: number;
    w: number;
    h: number;
    size: number;
    colour: string;
    text: string;
}

export interface Maths {
    type: 'maths';
    x: number;
    y: number;
    size: number;
    colour: string;
    source: string;
    path: string;
    /** Thousandths of the size. */
    wide: number;
    tall: number;
}

/** How a shape's line and its inside look; what is left out is as usual. */
export interface ShapeLook {
    colour: string;
    width: number;
    filled: boolean;
    /** The inside's colour, where it is not the line's. */
    fill?: string;
    /** Per cent of it. */
    strength?: number;
    line?: 'solid' | 'dashed' | 'dotted';
    ends?: 'none' | 'end' | 'both';
}

export interface BoxShape extends ShapeLook {
    type: 'line' | 'arrow' | 'rectangle' | 'ellipse' | 'triangle';
    x: number;
    y: number;
    w: number;
    h: number;
    /** What the ends of a line or an arrow are tied to. */
    start?: Tie;
    end?: Tie;
}

/** A point of another object, in tenths as it is before it is placed, that goes wherever that is moved. */
export interface Tie {
    on: string;
    x: number;
    y: number;
}

export interface PointShape extends ShapeLook {
    type: 'polygon' | 'curve';
    points: number[];
}

export interface Stamp {
    type: 'stamp';
    stamp: string;
    x: number;
    y: number;
    size: number;
    colour: string;
}

export interface Picture {
    type: 'picture';
    asset: string;
    x: number;
    y: number;
    w: number;
    h: number;
    alt: string;
}

export interface Piece {
    type: 'piece';
    alt: string;
    locked: boolean;
    stack: boolean;
    of: CanvasObject;
    /** A place that pieces are sorted into. */
    area?: true;
    /** What they are called that belong there; no student's page is given it. */
    takes?: string[];
}

export type { Construct, Manipulative };

export type CanvasObject =
    Stroke | Text | Note | Maths | BoxShape | PointShape | Stamp | Picture | Piece | Construct | Manipulative;

/** x and y in tenths, turn in hundredths of a degree clockwise, scale in ten-thousandths. */
export type Place = [x: number, y: number, turn: number, scale: number];

export type Backdrop = { kind: string; asset?: string } & Record<string, string | number | undefined>;

export type Layer = 'student' | 'lead' | 'pieces' | 'coach' | 'private';

/** An object as it stands on a page; never changed, only replaced. */
export interface Placed {
    layer: Layer;
    page: string;
    object: CanvasObject;
    place?: Place;
    group?: string;
    locked?: boolean;
}

/** What an operation puts on a page. */
export interface Placing {
    /** Of a copy: what it is copied from. */
    id?: string;
    object: CanvasObject;
    place?: Place;
    group?: string;
}

export type Order = 'front' | 'back' | 'forward' | 'backward';

export interface Body {
    object?: CanvasObject;
    place?: Place;
    group?: string;
    objects?: Placing[];
    page?: string;
    target?: string;
    targets?: string[];
    set?: Record<string, unknown>;
    cuts?: { target: string; keep: [number, number][] }[];
    places?: Place[];
    order?: Order;
    lock?: boolean;
    what?: 'ink' | 'all';
    backdrop?: Backdrop;
    /** The page's place, from 0. */
    to?: number;
    ruling?: Backdrop;
    gone?: true;
    question?: string;
    value?: AnswerValue | null;
}

/** What a student answered: typed words, a step of a scale, a choice, or several. */
export type AnswerValue = string | number | string[];

export type Kind =
    | 'add'
    | 'change'
    | 'remove'
    | 'cut'
    | 'straighten'
    | 'arrange'
    | 'clear'
    | 'page'
    | 'arrange_page'
    | 'backdrop'
    | 'answer'
    | 'fresh'
    | 'give_back'
    | 'withdraw'
    | 'reinstate';

export interface Operation {
    id: string;
    kind: Kind;
    layer: Layer;
    at: number;
    body: Body;
    /** Its place in the canvas's log, once the server has it. */
    n?: number;
    /** Its place among all operations of the session; desks are told it. */
    s?: number;
    /** Which canvas it is on, as the server says it. */
    canvas?: string;
    /** The seat of the student who made it; null for a teacher. Missing while it is on its way from here. */
    by?: string | null;
    /** To a desk that may not see it yet: it has its place `s` and nothing else. */
    covered?: true;
}

/** What is being drawn: what goes over the socket and is never stored. */
export interface WetInk {
    k: string;
    c: string;
    o: string;
    /** The page, where it is not the first. */
    g?: string;
    /** Colour and width; a third for a highlighter's. */
    s?: [string, number] | [string, number, 1];
    /** How many samples of the stroke came before these. */
    i?: number;
    p?: string;
    /** An object as it stands at this moment: words being typed, a shape being drawn. */
    t?: CanvasObject;
    /** Where that object stands, when it is turned. */
    q?: Place;
    /** Given up: nothing dry will come. */
    x?: 1;
    /** Where the pointer is, in units. */
    at?: [number, number];
    /** The page tells that it is there; 0 that it will be silent for a while. */
    b?: 0 | 1;
}

export interface WetStroke {
    type: Stroke['type'];
    colour: string;
    width: number;
    samples: Sample[];
    /** Beyond them, as far as the pointer is by now: seen here, and neither sent nor kept. */
    tip?: Sample[];
    page: string;
}

/** What a body puts on a page, each with its id. */
export function placings(id: string, body: Body): [string, Placing][] {
    return body.objects === undefined
        ? [[id, body as Placing]]
        : body.objects.map((placing, i): [string, Placing] => [`${id}.${i}`, placing]);
}

/** An id that works without a secure context, where crypto.randomUUID is not there. */
export function newId(): string {
    const bytes = crypto.getRandomValues(new Uint8Array(15));
    return btoa(String.fromCharCode(...bytes))
        .replace(/\+/g, '-')
        .replace(/\//g, '_');
}
