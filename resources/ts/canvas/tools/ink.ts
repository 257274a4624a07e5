import type { Point, Tool } from './gestures';
import { Steady } from '../model/steady';
import { encodeInk, type Sample } from '../model/ink';
import { TENTHS, newId, type Stroke } from '../model/objects';
import type { Host } from './host';
import { HIGHLIGHT_WIDER } from './settings';
import { present } from '../../present';

/** Samples closer together than this, in tenths, say nothing new. */
const CLOSEST = 4;
/** At its end a line comes up to its pointer in so many steps, so far apart. */
const CLOSING = 4;
const CLOSING_MS = 10;
/** A line that never ends is stored in pieces of so many samples. */
const LONGEST = 2000;

/** The pen and the highlighter. */
export class InkTool implements Tool {
    private id = '';
    private began = 0;
    private samples: Sample[] = [];
    private type: Stroke['type'] = 'stroke';
    private colour = '';
    private width = 0;
    private steady = new Steady(false);
    /** Where the pointer was last, not steadied: there the line ends. */
    private last: Point | null = null;
    /** CSS pixels in a unit when the stroke was begun. */
    private scale = 1;

    constructor(private readonly bench: Pick<Host, 'canvas' | 'settings' | 'view' | 'wet' | 'add'>) {}

    down(at: Point): void {
        const { tool, colour, highlight, width } = this.bench.settings;
        this.type = tool === 'highlighter' ? 'highlight' : 'stroke';
        this.colour = tool === 'highlighter' ? highlight : colour;
        this.width = tool === 'highlighter' ? width * HIGHLIGHT_WIDER : width;
        this.begin(at);
    }

    move(points: Point[]): void {
        this.add(points);
        if (this.samples.length >= LONGEST) {
            this.finish();
            this.begin(present(points[points.length - 1]));
        }
    }

    up(): void {
        this.finish();
    }

    cancel(): void {
        this.bench.view.dropWet(this.id);
        this.bench.wet?.drop(this.bench.canvas, this.id);
    }

    private begin(at: Point): void {
        this.id = newId();
        this.began = at.ms;
        this.samples = [];
        this.steady = new Steady(at.pointer === 'pen');
        this.scale = 1 / at.unitsPerPixel;
        this.add([at]);
    }

    private add(points: Point[]): void {
        const first = this.samples.length;
        const [width, height] = this.bench.view.paperSize;
        for (const point of points) {
            this.last = point;
            const [x, y, pressure] = this.steadied(point);
            const { ms } = point;
            const [atX, atY] = [limit(x, width), limit(y, height)];
            const before = this.samples.at(-1);
            if (before !== undefined && Math.hypot(atX - before[0], atY - before[1]) < CLOSEST) {
                continue;
            }
            this.samples.push([atX, atY, pressure, Math.max(before?.[3] ?? 0, Math.round(ms - this.began))]);
        }
        if (this.samples.length > first) {
            const fresh = this.samples.slice(first);
            const { view, wet, canvas } = this.bench;
            view.growWet(this.id, this.type, this.colour, this.width, fresh, view.page);
            wet?.grow(canvas, this.id, fresh, first, {
                type: this.type,
                colour: this.colour,
                width: this.width,
                page: view.page,
            });
        }
    }

    /** Steadied as it is seen: what trembles on the screen is steadied, at every zoom. */
    private steadied({ x, y, pressure, ms }: Point): [x: number, y: number, pressure: number] {
        const [steadyX, steadyY, pressed] = this.steady.next(x * this.scale, y * this.scale, pressure, ms);
        return [steadyX / this.scale, steadyY / this.scale, pressed];
    }

    /** The line ends where the pointer was lifted: the steadied one, which lags a little, comes up to it. */
    private end(): void {
        const { last } = this;
        if (last !== null && this.samples.length > 1) {
            for (let i = 1; i <= CLOSING; i++) {
                this.add([{ ...last, ms: last.ms + i * CLOSING_MS }]);
            }
        }
    }

    private finish(): void {
        this.end();
        this.bench.wet?.finish();
        const object: Stroke = {
            type: this.type,
            colour: this.colour,
            width: this.width,
            ink: encodeInk(this.samples),
        };
        this.bench.add(object, this.id);
    }
}

/** In tenths; a pen that leaves the page is followed a little way. */
function limit(units: number, page: number): number {
    return Math.round(Math.max(-100, Math.min(page + 100, units)) * TENTHS);
}
