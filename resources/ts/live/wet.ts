import { encodeInk, type Sample } from '../canvas/ink';
import type { Text, WetInk } from '../canvas/model';

/** Between two messages about one stroke; the first goes at once. */
const BEAT_MS = 33;

/** Sends what is being drawn a few points at a time. If some is lost, the finished stroke still comes. */
export class WetSender {
    private waiting: Sample[] = [];
    private first = 0;
    private id = '';
    private timer = 0;
    private last = 0;

    constructor(
        private readonly key: string,
        private readonly send: (text: string) => boolean,
    ) {}

    grow(canvas: string, id: string, samples: Sample[], first: number, colour: string, width: number): void {
        if (id !== this.id) {
            this.id = id;
            this.waiting = [];
            this.first = first;
        }
        this.waiting.push(...samples);
        const go = (): void => {
            this.timer = 0;
            this.last = performance.now();
            const message: WetInk = { k: this.key, c: canvas, o: this.id, s: [colour, width], i: this.first, p: encodeInk(this.waiting) };
            if (this.waiting.length > 0 && this.send(JSON.stringify(message))) {
                this.first += this.waiting.length;
                this.waiting = [];
            }
        };
        if (this.timer === 0) {
            const wait = BEAT_MS - (performance.now() - this.last);
            if (wait <= 0) {
                go();
            } else {
                this.timer = window.setTimeout(go, wait);
            }
        }
    }

    /** The stroke is finished: the dry one is on its way, so nothing wet needs to follow. */
    finish(): void {
        window.clearTimeout(this.timer);
        this.timer = 0;
        this.id = '';
        this.waiting = [];
    }

    type(canvas: string, id: string, text: Text): void {
        const message: WetInk = { k: this.key, c: canvas, o: id, t: text };
        this.send(JSON.stringify(message));
    }

    drop(canvas: string, id: string): void {
        const message: WetInk = { k: this.key, c: canvas, o: id, x: 1 };
        this.send(JSON.stringify(message));
    }
}
