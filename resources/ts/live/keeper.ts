import type { Operation } from '../canvas/model/objects';
import { newId } from '../canvas/model/objects';

/** What became of a batch. */
export interface Answer {
    accepted: { id: string; n: number }[];
    refused: { id: string | null; reason: string }[];
    /** What must wait: it was made while drawing was stopped. */
    held?: { id: string; why: string; reason: string }[];
}

/** As it comes over the socket: the answer, or that this batch is to be posted. */
export type Kept = { reply: string } & (Answer | { post: true });

interface Settings {
    seat(): string;
    key(): string;
    /** Sends over the socket; whether it was open. */
    send(text: string): boolean;
}

/** Without an answer for so long, the batch is posted. */
const PATIENCE_MS = 2000;
/** And so are the next ones, for a while. */
const REST_MS = 10_000;
/** The server ends a socket that sends more than 16 kB at once. */
const MOST_BYTES = 12_000;

/**
 * Finished work over the open socket, to the process on the server that stays started for it. It is quicker than
 * posting, and promises nothing: what is not answered in time is posted, and ids make a second delivery harmless.
 */
export class KeeperLine {
    private waiting = new Map<string, (answer: Answer | null) => void>();
    private restsUntil = 0;

    constructor(private readonly settings: Settings) {}

    /** Resolves to null where the batch must be posted. */
    async send(canvas: string, operations: Operation[]): Promise<Answer | null> {
        if (performance.now() < this.restsUntil) {
            return null;
        }
        const reply = newId();
        const { settings } = this;
        const text = JSON.stringify({ s: settings.seat(), k: settings.key(), b: reply, c: canvas, o: operations });
        if (new Blob([text]).size > MOST_BYTES || !settings.send(text)) {
            return null;
        }
        return new Promise((resolve) => {
            const timer = setTimeout(() => {
                this.restsUntil = performance.now() + REST_MS;
                this.settle(reply, null);
            }, PATIENCE_MS);
            this.waiting.set(reply, (answer) => {
                clearTimeout(timer);
                resolve(answer);
            });
        });
    }

    /** An answer; another page of the same seat may have asked for it. */
    hear(kept: Kept): void {
        this.settle(kept.reply, 'post' in kept ? null : kept);
    }

    /** The socket has closed: nothing is answered any more. */
    closed(): void {
        [...this.waiting.keys()].forEach((reply) => this.settle(reply, null));
    }

    private settle(reply: string, answer: Answer | null): void {
        const waits = this.waiting.get(reply);
        this.waiting.delete(reply);
        waits?.(answer);
    }
}
