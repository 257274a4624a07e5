import type { WetInk } from '../canvas/model/objects';

/** Between two messages about where a pointer is. */
const BEAT_MS = 60;

/** Tells where a pointer is on a canvas, now and then. */
export class PointerSender {
    private last = 0;
    private isThere = false;

    constructor(
        private readonly key: string,
        private readonly send: (text: string) => boolean,
    ) {}

    move(canvas: string, [x, y]: [number, number], page: string): void {
        const now = performance.now();
        if (now - this.last < BEAT_MS) {
            return;
        }
        this.last = now;
        this.isThere = true;
        const message: WetInk = {
            k: this.key,
            c: canvas,
            o: '',
            at: [Math.round(x), Math.round(y)],
            ...(page !== '' && { g: page }),
        };
        this.send(JSON.stringify(message));
    }

    /** It is not on the canvas any more. */
    leave(canvas: string): void {
        if (this.isThere) {
            this.isThere = false;
            const message: WetInk = { k: this.key, c: canvas, o: '', at: [-1, -1] };
            this.send(JSON.stringify(message));
        }
    }
}
