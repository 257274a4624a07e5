import { fitShape } from '../fit/fit';
import type { FittedShape } from '../fit/trace';
import type { Sample } from '../model/ink';
import { TENTHS } from '../model/objects';
import { matrixOf, through } from '../model/place';
import { samplesOf } from '../model/scene';
import type { Point } from './gestures';
import type { Host } from './host';

/** A pen that stays within this, in CSS pixels, for so long, asks which shape its stroke was meant as. */
const STILL = 5;
const STILL_MS = 500;
/** It is looked at so often; a look that comes so much too late says that the page was busy, and nothing of the pen. */
const LOOK_MS = 100;
const LATE_MS = 80;
/** One that goes farther from there wanted its ink. */
const ON = 12;

/** Watches a pen that draws for being held still, and offers the shape that its stroke was meant as. */
export class Hold {
    private rest: Point | null = null;
    private timer = 0;
    /** What is offered now. */
    shape: FittedShape | null = null;

    constructor(
        private readonly samples: () => Sample[],
        private readonly offered: (shape: FittedShape) => void,
        /** The pen moved on: the ink is shown again. */
        private readonly declined: () => void,
    ) {}

    begin(at: Point): void {
        this.end();
        this.rest = at;
    }

    move(at: Point): void {
        const { rest } = this;
        const far = rest === null ? 0 : Math.hypot(at.x - rest.x, at.y - rest.y) / at.unitsPerPixel;
        if (rest === null || far <= (this.shape === null ? STILL : ON)) {
            return;
        }
        this.rest = at;
        if (this.shape !== null) {
            this.shape = null;
            this.declined();
        }
        this.watch();
    }

    private watch(): void {
        window.clearInterval(this.timer);
        let [looks, last] = [0, performance.now()];
        this.timer = window.setInterval(() => {
            const now = performance.now();
            looks = now - last > LOOK_MS + LATE_MS ? 0 : looks + 1;
            last = now;
            if (looks * LOOK_MS >= STILL_MS) {
                window.clearInterval(this.timer);
                this.shape = fitShape(this.samples());
                if (this.shape !== null) {
                    this.offered(this.shape);
                }
            }
        }, LOOK_MS);
    }

    /**
     * The pen is lifted: takes what was offered, if the pen was still for so long by its own clock, whatever a busy
     * page made of the time between.
     *
     * @param  ms  when it was lifted
     */
    take(ms: number): FittedShape | null {
        const { shape, rest } = this;
        if (shape !== null && rest !== null && ms - rest.ms < STILL_MS) {
            this.shape = null;
            this.declined();
        }
        return this.shape;
    }

    /** The stroke has ended, or was given up. Says whether something was offered. */
    end(): boolean {
        window.clearInterval(this.timer);
        const { shape } = this;
        this.shape = null;
        this.rest = null;
        return shape !== null;
    }
}

/** What holding still does, for a stroke that is on the page: it becomes the shape that it was meant as. */
export function straighten(bench: Pick<Host, 'view' | 'words' | 'make' | 'say'>, id: string): void {
    const placed = bench.view.log.scene.objects.get(id);
    if (placed?.object.type !== 'stroke') {
        return;
    }
    const { colour, width } = placed.object;
    const matrix = matrixOf(placed.place);
    const shape = fitShape(
        samplesOf(placed.object).map(([x, y, pressure, ms]): Sample => {
            const [atX, atY] = through(matrix, x / TENTHS, y / TENTHS);
            return [atX * TENTHS, atY * TENTHS, pressure, ms];
        }),
    );
    if (shape === null) {
        bench.say(bench.words.no_shape);
        return;
    }
    const scale = (placed.place?.[3] ?? 10000) / 10000;
    const object = { ...shape.object, colour, width: limited(width * scale), filled: false };
    bench.make('straighten', { target: id, object, ...(shape.place && { place: shape.place }) });
}

/** A line's width, as the core takes it. */
function limited(width: number): number {
    return Math.round(Math.max(5, Math.min(600, width)));
}
