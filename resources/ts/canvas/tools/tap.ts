import type { Point, Tool } from './gestures';
import { touches } from '../model/hit';
import type { Host } from './host';
import { present } from '../../present';

type TapHost = Pick<Host, 'layer' | 'settings' | 'surface' | 'view'> & {
    readonly putting: { tap(x: number, y: number): void };
    open(id: string): void;
};

/** A longer way than this between touching and leaving, in CSS pixels, is no tap. */
const FARTHEST = 12;
/** So long after a touch its click may come; a browser that has just been scrolling with it sends none. */
const CLICK_MS = 120;

/** Tools that put something where the page is tapped; a tap on something of their own opens it. */
export class TapTool implements Tool {
    private from: Point | null = null;

    constructor(private readonly bench: TapHost) {
        // A click, not a touch: only then may a phone bring up its keyboard.
        bench.surface.addEventListener('click', () => this.take());
    }

    down(at: Point): void {
        this.from = at;
    }

    move(points: Point[]): void {
        const at = present(points[points.length - 1]);
        if (
            this.from !== null &&
            Math.hypot(at.x - this.from.x, at.y - this.from.y) * this.bench.view.camera.scale > FARTHEST
        ) {
            this.from = null;
        }
    }

    /** The click that follows does it, if one does. */
    up(): void {
        const { from } = this;
        window.setTimeout(() => this.from === from && this.take(), CLICK_MS);
    }

    cancel(): void {
        this.from = null;
    }

    private take(): void {
        const at = this.from;
        this.from = null;
        if (at !== null) {
            this.tap(at);
        }
    }

    private tap({ x, y }: Point): void {
        const { tool } = this.bench.settings;
        if (tool === 'stamps') {
            this.bench.putting.tap(x, y);
            return;
        }
        let there: string | null = null;
        for (const [id, placed] of this.bench.view.mine(this.bench.layer, false)) {
            if (placed.object.type === tool && touches(placed, x, y)) {
                there = id;
            }
        }
        if (there === null) {
            this.bench.putting.tap(x, y);
        } else {
            this.bench.open(there);
        }
    }
}
