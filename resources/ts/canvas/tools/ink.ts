import type { Point, Tool } from './gestures';
import { encodeInk, type Sample } from '../model/ink';
import { HEIGHT, TENTHS, WIDTH, newId, type Stroke } from '../model/objects';
import type { Host } from './host';
import { HIGHLIGHT_WIDER } from './settings';
import { present } from '../../present';

/** Samples closer together than this, in tenths, say nothing new. */
const CLOSEST = 4;
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
        this.add([at]);
    }

    private add(points: Point[]): void {
        const first = this.samples.length;
        for (const { x, y, pressure, ms } of points) {
            const [atX, atY] = [limit(x, WIDTH), limit(y, HEIGHT)];
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

    private finish(): void {
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
