import { post } from '../live/http';

/** What was handed out and is not here yet. The teacher sees who has it. */
export class Awaited {
    /** By the hand-out: its last operation. */
    private readonly last = new Map<string, string>();

    /**
     * @param  address  where the server is told
     * @param  has  whether an operation is on the page
     */
    constructor(
        private readonly address: string,
        private readonly has: (operation: string) => boolean,
    ) {}

    get isEmpty(): boolean {
        return this.last.size === 0;
    }

    expect(handout: string, last: string, canvas: string): void {
        this.last.set(handout, last);
        this.acknowledge(canvas);
    }

    /** The server is told what has come, as soon as it is on the page. */
    acknowledge(canvas: string): void {
        for (const [handout, last] of this.last) {
            if (this.has(last)) {
                this.last.delete(handout);
                void post(`${this.address}/got`, { canvas, handout }).catch(() => undefined);
            }
        }
    }
}
