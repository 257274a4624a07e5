import { worked, type Act } from '../model/manipulative/manipulative';
import { partAt } from '../model/manipulative/parts';
import type { Part } from '../model/manipulative/sketch';
import { touches } from '../model/hit';
import { TENTHS, type Manipulative, type Placed } from '../model/objects';
import { back, matrixOf } from '../model/place';
import { present } from '../../present';
import type { Point, Tool } from './gestures';
import type { Host } from './host';

/** A pointer that went farther, in CSS pixels, drags. */
const TAP = 6;
/** So far, in units, a part may lie beside the picture that it is of. */
const BESIDE = 40;

type Handled = Placed & { object: Manipulative };

type PartsHost = Pick<Host, 'layer' | 'settings' | 'view' | 'showWet' | 'dropWet'> & {
    /** Something was done to a manipulative. */
    work(id: string, act: Act): void;
    /** A number is to be typed into one of its parts. */
    typeInto(id: string, part: Part): void;
};

/**
 * Works the parts of manipulatives, whatever the tool: a press or a drag on a part is the part's. Move arranges whole
 * ones, and the eraser rubs out.
 */
export class PartsHand implements Tool {
    private held: { id: string; placed: Handled; part: Part } | null = null;
    private from: Point | null = null;
    private act: Act | null = null;

    constructor(private readonly bench: PartsHost) {}

    /** Itself, where a part is pressed; else the tool. */
    over(at: Point, own: Tool | null): Tool | null {
        const { tool } = this.bench.settings;
        this.held = tool === 'move' || tool === 'eraser' ? null : this.find(at);
        return this.held === null ? own : this;
    }

    down(at: Point): void {
        this.from = at;
        this.act = null;
    }

    move(points: Point[]): void {
        const at = present(points[points.length - 1]);
        const { held, from } = this;
        if (held === null || from === null || held.part.does !== 'drag') {
            return;
        }
        const isFar = Math.hypot(at.x - from.x, at.y - from.y) / at.unitsPerPixel > TAP;
        if (this.act === null && !isFar) {
            return;
        }
        this.act = draggedTo(held.placed, held.part, from, at);
        this.bench.showWet(held.id, worked(held.placed.object, { act: this.act }), held.placed.place);
    }

    up(at: Point): void {
        const { held, act, from } = this;
        this.cancel();
        if (held === null || from === null) {
            return;
        }
        const isFar = Math.hypot(at.x - from.x, at.y - from.y) / at.unitsPerPixel > TAP;
        if (act !== null) {
            this.bench.work(held.id, act);
        } else if (held.part.does === 'type') {
            this.bench.typeInto(held.id, held.part);
        } else if (!isFar) {
            this.bench.work(held.id, pressed(held.part));
        }
    }

    cancel(): void {
        if (this.act !== null && this.held !== null) {
            this.bench.dropWet(this.held.id);
        }
        this.held = null;
        this.act = null;
        this.from = null;
    }

    /** The part that lies there, of the topmost manipulative that lies there. */
    private find(at: Point): PartsHand['held'] {
        let found: PartsHand['held'] = null;
        for (const [id, placed] of this.bench.view.here()) {
            if (isWorkable(id, placed, this.bench) && touches(placed, at.x, at.y, BESIDE)) {
                const part = partAt(placed.object, ...placeIn(placed, at));
                // At the tip of a pair of compasses a pen draws round the needle.
                const isPens = part?.name === 'pencil' && ['pen', 'highlighter'].includes(this.bench.settings.tool);
                found = part === null || isPens ? null : { id, placed, part };
            }
        }
        return found;
    }
}

export const pressed = ({ name, n }: Part): Act => ({ part: name, n, x: null, y: null, to: null });

export const typed = ({ name, n }: Part, to: number): Act => ({ part: name, n, x: null, y: null, to });

/** A part put so far from where it stands, in the manipulative's units. */
export function nudged(part: Part, by: readonly [number, number]): Act {
    const [x, y] = middleOf(part);
    return { part: part.name, n: part.n, x: Math.round(x + by[0]), y: Math.round(y + by[1]), to: null };
}

/** A manipulative of one's own, or one that was handed out. */
export function isWorkable(
    id: string,
    placed: Placed,
    { view, layer }: Pick<Host, 'layer' | 'view'>,
): placed is Handled {
    return placed.object.type === 'manipulative' && view.isOwnOrPiece(id, placed, layer) && placed.locked !== true;
}

/** It goes with the hand from where it was taken hold of. */
function draggedTo(placed: Handled, part: Part, from: Point, at: Point): Act {
    const [fromX, fromY] = placeIn(placed, from);
    const [x, y] = placeIn(placed, at);
    const limit = (value: number): number => Math.max(-4000, Math.min(4000, Math.round(value)));
    const [middleX, middleY] = middleOf(part);
    return {
        part: part.name,
        n: part.n,
        x: limit(middleX + x - fromX),
        y: limit(middleY + y - fromY),
        to: null,
    };
}

/** In the object's own units on the page, as they are before it is placed. */
function placeIn({ place }: Placed, { x, y }: { x: number; y: number }): [number, number] {
    return place === undefined ? [x, y] : back(matrixOf(place), x, y);
}

/** The middle of the box around a part. */
export function middleOf({ outline }: Part): [number, number] {
    const { left, top, right, bottom } = frameOf(outline);
    return [(left + right) / 2, (top + bottom) / 2];
}

export function frameOf(outline: number[]): { left: number; top: number; right: number; bottom: number } {
    const [xs, ys] = [outline.filter((_, i) => i % 2 === 0), outline.filter((_, i) => i % 2 === 1)];
    return { left: Math.min(...xs), top: Math.min(...ys), right: Math.max(...xs), bottom: Math.max(...ys) };
}

/** Where its upper left corner is, in units. */
export const cornerOf = ({ x, y }: Manipulative): [number, number] => [x / TENTHS, y / TENTHS];
