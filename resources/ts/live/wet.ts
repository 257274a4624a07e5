import { encodeInk, type Sample } from '../canvas/model/ink';
import type { CanvasObject, Place, Stroke, WetInk } from '../canvas/model/objects';

/** Between two messages about one stroke; the first goes at once. */
const BEAT_MS = 33;
/** The same with light data, and how many of the points go out. */
const LIGHT_BEAT_MS = 200;
const LIGHT_EVERY = 3;

/** Sends what is being drawn a few points at a time. If some is lost, the finished stroke still comes. */
export class WetSender {
    private waiting: Sample[] = [];
    private first = 0;
    private id = '';
    private about: Omit<WetInk, 'i' | 'p'> | null = null;
    private timer = 0;
    private last = 0;
    /** Fewer points, less often. */
    light = false;

    constructor(
        /** By this those who hear it know whose it is. */
        public key: string,
        private readonly send: (text: string) => boolean,
    ) {}

    grow(
        canvas: string,
        id: string,
        samples: Sample[],
        first: number,
        ink: { type: Stroke['type']; colour: string; width: number; page: string },
    ): void {
        if (id !== this.id) {
            this.id = id;
            this.waiting = [];
            this.first = first;
        }
        this.waiting.push(...(this.light ? samples.filter((_, i) => (first + i) % LIGHT_EVERY === 0) : samples));
        const { type, colour, width, page } = ink;
        this.about = {
            k: this.key,
            c: canvas,
            o: id,
            s: type === 'highlight' ? [colour, width, 1] : [colour, width],
            ...(page !== '' && { g: page }),
        };
        if (this.timer === 0) {
            const wait = (this.light ? LIGHT_BEAT_MS : BEAT_MS) - (performance.now() - this.last);
            if (wait <= 0) {
                this.flush();
            } else {
                this.timer = window.setTimeout(() => this.flush(), wait);
            }
        }
    }

    /** The stroke is finished: its last points go out at once, ahead of the dry one. */
    finish(): void {
        this.flush();
        this.id = '';
        this.waiting = [];
    }

    private flush(): void {
        window.clearTimeout(this.timer);
        this.timer = 0;
        this.last = performance.now();
        if (this.waiting.length === 0 || this.about === null) {
            return;
        }
        const message: WetInk = { ...this.about, i: this.first, p: encodeInk(this.waiting) };
        if (this.send(JSON.stringify(message))) {
            this.first += this.waiting.length;
            this.waiting = [];
        }
    }

    /** An object as it stands at this moment. */
    object(canvas: string, id: string, object: CanvasObject, page: string, place?: Place): void {
        const message: WetInk = {
            k: this.key,
            c: canvas,
            o: id,
            t: object,
            ...(place && { q: place }),
            ...(page !== '' && { g: page }),
        };
        this.send(JSON.stringify(message));
    }

    drop(canvas: string, id: string): void {
        const message: WetInk = { k: this.key, c: canvas, o: id, x: 1 };
        this.send(JSON.stringify(message));
    }
}
