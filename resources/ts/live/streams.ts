import type { Operation } from '../canvas/model/objects';
import { get, HttpProblem } from './http';
import type { Kept } from './keeper';
import { present } from '../present';

export interface LiveEvent {
    n: number;
    type: string;
    body: Record<string, unknown>;
}

export interface Caught {
    events: Record<string, LiveEvent[]>;
    operations: Operation[];
    /** Whether there is more to ask for. */
    more: boolean;
    /** The server's clock as it answered, in milliseconds. */
    clock: number;
}

export type Message =
    /** Some are too large to be told live: they are asked for. */
    | { stream: 'operations' | 'lead'; operations: Operation[]; ask?: boolean; kept?: Kept }
    | { stream: 'opening'; opening: unknown }
    | { stream: 'together'; together: unknown }
    | { stream: 'live'; live: unknown }
    | { stream: 'states'; prompt: string; states: unknown }
    | { stream: string; event: LiveEvent };

interface Settings {
    /** The address that tells what was missed. */
    address: string;
    /** What stands in the address beside the events' numbers. */
    also(): Record<string, string | number>;
    event(stream: string, event: LiveEvent): void;
    operations(operations: Operation[], caughtUp: boolean): void;
    /** By how many milliseconds the server's clock is ahead of this device's. */
    clock?(ahead: number): void;
    /** The server says that this page may not ask. */
    refused(status: number): void;
}

/** So much patience with a message that overtook another, before asking for what is missing. */
const PATIENCE_MS = 400;

/** An answer that took longer says little of the server's clock. */
const QUICK_MS = 800;

/**
 * Events in order, each once, whatever the socket loses or turns round: a number that is too high is kept until the
 * ones before it have come, and if they do not, they are asked for.
 */
export class Streams {
    private early = new Map<string, Map<number, LiveEvent>>();
    private asking: Promise<boolean> | null = null;
    private next: Promise<boolean> | null = null;
    private timer = 0;
    private doubts: (() => boolean)[] = [];

    constructor(
        private position: Record<string, number>,
        private readonly settings: Settings,
    ) {}

    /** The page shows what was so at this position. What it heard since then, while that came, it hears once more. */
    reset(position: Record<string, number>): void {
        const heard = (stream: string): number =>
            Math.max(this.position[stream] ?? 0, ...(this.early.get(stream)?.keys() ?? []));
        const isBehind = Object.entries(position).some(([stream, n]) => heard(stream) > n);
        this.position = { ...position };
        this.early.clear();
        if (isBehind) {
            void this.catchUp();
        }
    }

    take(stream: string, event: LiveEvent): void {
        const last = this.position[stream] ?? 0;
        if (event.n <= last) {
            return;
        }
        if (event.n > last + 1) {
            const early = this.early.get(stream) ?? new Map<number, LiveEvent>();
            this.early.set(stream, early.set(event.n, event));
            this.askSoon(() => (this.early.get(stream)?.size ?? 0) > 0);
            return;
        }
        this.position[stream] = event.n;
        this.settings.event(stream, event);
        const next = this.early.get(stream)?.get(event.n + 1);
        if (next !== undefined) {
            present(this.early.get(stream)).delete(next.n);
            this.take(stream, next);
        }
    }

    /** Something is missing. If it still is in a moment, ask: mostly one message has only overtaken another. */
    askSoon(stillMissing: () => boolean): void {
        this.doubts.push(stillMissing);
        if (this.timer === 0) {
            this.timer = window.setTimeout(() => {
                this.timer = 0;
                if (this.doubts.splice(0).some((missing) => missing())) {
                    void this.catchUp();
                }
            }, PATIENCE_MS);
        }
    }

    /**
     * Asks for what was missed. Resolves to whether the server answered. An answer that is under way may be older than
     * what made somebody ask: then it is asked once more.
     */
    catchUp(): Promise<boolean> {
        if (this.asking === null) {
            return this.begin();
        }
        this.next ??= this.asking.then(() => {
            this.next = null;
            return this.begin();
        });
        return this.next;
    }

    private begin(): Promise<boolean> {
        this.asking = this.ask().finally(() => {
            this.asking = null;
        });
        return this.asking;
    }

    private async ask(): Promise<boolean> {
        try {
            let more = true;
            while (more) {
                const query = new URLSearchParams();
                for (const [name, value] of Object.entries({ ...this.position, ...this.settings.also() })) {
                    query.set(name, String(value));
                }
                const asked = Date.now();
                const caught = await get<Caught>(`${this.settings.address}?${query}`);
                const took = Date.now() - asked;
                if (took >= 0 && took < QUICK_MS && Number.isFinite(caught.clock)) {
                    this.settings.clock?.(Math.round(caught.clock - asked - took / 2));
                }
                this.settings.operations(caught.operations, true);
                for (const [stream, events] of Object.entries(caught.events)) {
                    events.forEach((event) => this.take(stream, event));
                }
                more = caught.more;
            }
            return true;
        } catch (problem) {
            if (
                problem instanceof HttpProblem &&
                problem.status >= 400 &&
                problem.status < 500 &&
                problem.status !== 429
            ) {
                this.settings.refused(problem.status);
            }
            return false;
        }
    }
}
