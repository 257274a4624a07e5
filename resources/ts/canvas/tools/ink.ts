import type { Point, Tool } from './gestures';
import { guideAt, type Guide } from './guides';
import { Steady } from '../model/steady';
import { encodeInk, type Sample } from '../model/ink';
import { TENTHS, newId, type Stroke } from '../model/objects';
import type { FittedShape } from '../fit/trace';
import { Hold } from './straighten';
import type { Host } from './host';
import { HIGHLIGHT_WIDER } from './settings';
import { present } from '../../present';

/** Samples closer together than this, in tenths, say nothing new. */
const CLOSEST = 4;
/** At its end a line comes up to its pointer in so many steps, so far apart. */
const CLOSING = 4;
const CLOSING_MS = 10;
/** What the browser foresees is shown no farther ahead than this. */
const AHEAD_MS = 18;
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
    /** The edge that it goes along, where it was begun at one. */
    private guide: Guide | null = null;
    /** CSS pixels in a unit when the stroke was begun. */
    private scale = 1;
    /** Held still at its end, a stroke becomes the shape that it was meant as, under this id. */
    private readonly hold: Hold;
    private shapeId = '';

    constructor(
        private readonly bench: Pick<
            Host,
            'canvas' | 'layer' | 'settings' | 'view' | 'wet' | 'isRead' | 'add' | 'make' | 'showWet' | 'dropWet'
        >,
    ) {
        this.hold = new Hold(
            () => this.ended(),
            (shape) => this.offer(shape),
            () => this.goOn(),
        );
    }

    down(at: Point): void {
        const { tool, colour, highlight, width } = this.bench.settings;
        this.type = tool === 'highlighter' ? 'highlight' : 'stroke';
        this.colour = tool === 'highlighter' ? highlight : colour;
        this.width = tool === 'highlighter' ? width * HIGHLIGHT_WIDER : width;
        this.guide = guideAt(this.bench, at);
        this.begin(this.guided(at));
        // A digit that ends with a rest is no circle.
        const isShape = this.bench.settings.straightens && this.guide === null && !this.bench.isRead(at);
        if (this.type === 'stroke' && isShape) {
            this.hold.begin(at);
        }
    }

    move(points: Point[], predicted: Point[] = []): void {
        const at = this.guided(present(points[points.length - 1]));
        this.hold.move(at);
        this.add(points.map((one) => this.guided(one)));
        this.showTip(predicted.map((one) => this.guided(one)));
        if (this.samples.length >= LONGEST) {
            this.dropShape();
            this.finish();
            this.begin(at);
        }
    }

    up(at: Point): void {
        const shape = this.hold.take(at.ms);
        this.finish();
        this.hold.end();
        if (shape !== null) {
            const { colour, width, id, shapeId } = this;
            const object = { ...shape.object, colour, width, filled: false };
            this.bench.make('straighten', { target: id, object, ...(shape.place && { place: shape.place }) }, shapeId);
        }
    }

    cancel(): void {
        this.dropShape();
        this.bench.view.dropWet(this.id);
        this.bench.wet?.drop(this.bench.canvas, this.id);
    }

    private guided(at: Point): Point {
        return { ...at, ...this.guide?.(at) };
    }

    private begin(at: Point): void {
        this.id = newId();
        this.began = at.ms;
        this.samples = [];
        this.steady = new Steady(at.pointer === 'pen');
        this.scale = 1 / at.unitsPerPixel;
        this.add([at]);
        this.showTip([]);
    }

    private ended(): Sample[] {
        const { last } = this;
        return last === null ? [] : [...this.samples, ...this.sampled(this.closing(last), this.steady.copy())];
    }

    /** The shape is seen in the place of the ink, here and by the teacher, until the pen is lifted or moves on. */
    private offer({ object, place }: FittedShape): void {
        const { bench, id, colour, width } = this;
        this.shapeId = newId();
        bench.dropWet(id);
        bench.showWet(this.shapeId, { ...object, colour, width, filled: false }, place ?? undefined);
    }

    private goOn(): void {
        const { bench, samples } = this;
        bench.dropWet(this.shapeId);
        bench.wet?.finish();
        this.grow(samples, 0);
    }

    private dropShape(): void {
        if (this.hold.end()) {
            this.bench.dropWet(this.shapeId);
        }
    }

    /** What is seen of the stroke ends where its pointer is, and a moment ahead of it. */
    private showTip(predicted: Point[]): void {
        const { last, bench } = this;
        if (last === null || this.hold.shape !== null) {
            return;
        }
        const ahead = predicted.filter(({ ms }) => ms - last.ms <= AHEAD_MS);
        const isDot = this.samples.length < 2 && ahead.length === 0;
        const tip = isDot ? [] : this.sampled([...this.closing(last), ...ahead], this.steady.copy());
        bench.view.showTip(this.id, tip);
    }

    private closing(last: Point): Point[] {
        return Array.from({ length: CLOSING }, (_, i) => ({ ...last, ms: last.ms + (i + 1) * CLOSING_MS }));
    }

    private add(points: Point[]): void {
        const first = this.samples.length;
        this.last = points.at(-1) ?? this.last;
        this.samples.push(...this.sampled(points, this.steady));
        if (this.samples.length > first && this.hold.shape === null) {
            this.grow(this.samples.slice(first), first);
        }
    }

    private grow(fresh: Sample[], first: number): void {
        const { id, type, colour, width } = this;
        const { view, wet, canvas } = this.bench;
        view.growWet(id, type, colour, width, fresh, view.page);
        wet?.grow(canvas, id, fresh, first, { type, colour, width, page: view.page });
    }

    /**
     * What pointers add to the stroke: steadied as it is seen, so that what trembles on the screen is steadied at every
     * zoom, and without what says nothing new.
     */
    private sampled(points: Point[], steady: Steady): Sample[] {
        const [width, height] = this.bench.view.paperSize;
        const fresh: Sample[] = [];
        for (const { x, y, pressure, ms } of points) {
            const [steadyX, steadyY, pressed] = steady.next(x * this.scale, y * this.scale, pressure, ms);
            // Steadied it lags a little: on an edge it stays on the edge.
            const guided = this.guide?.({ x: steadyX / this.scale, y: steadyY / this.scale });
            const [atX, atY] = [
                limit(guided?.x ?? steadyX / this.scale, width),
                limit(guided?.y ?? steadyY / this.scale, height),
            ];
            const before = fresh.at(-1) ?? this.samples.at(-1);
            if (before === undefined || Math.hypot(atX - before[0], atY - before[1]) >= CLOSEST) {
                fresh.push([atX, atY, pressed, Math.max(before?.[3] ?? 0, Math.round(ms - this.began))]);
            }
        }
        return fresh;
    }

    /** The line ends where the pointer was lifted: the steadied one, which lags a little, comes up to it. */
    private end(): void {
        const { last } = this;
        if (last !== null && this.samples.length > 1) {
            this.add(this.closing(last));
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
