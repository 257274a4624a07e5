import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Operation } from '../canvas/model/objects';
import { Flush } from './flush';
import { HttpProblem, post, postAndLeave } from './http';
import type { Answer } from './keeper';
import { present } from '../present';

interface Waiting {
    key?: number;
    seat: string;
    canvas: string;
    operation: Operation;
}

/** What the browser keeps of it. */
interface Kept extends DBSchema {
    outbox: { key: number; value: Waiting; indexes: { seat: string } };
}

interface Settings {
    seat: string;
    address: string;
    /** Sends a batch another way than posting it; null where that did not work. */
    overSocket?(canvas: string, operations: Operation[]): Promise<Answer | null>;
    accepted(canvas: string, accepted: Answer['accepted']): void;
    refused(canvas: string, id: string, reason: string): void;
    /** How many wait, whether the last try got an answer, and why some of them cannot be taken yet. */
    changed(waiting: number, reachable: boolean, held: string): void;
}

const AT_ONCE = 50;
const MOST_BYTES = 1_000_000;
/** Browsers let 64 kB go out from a page that goes away. */
const MOST_LEAVING_BYTES = 60_000;
const LONGEST_WAIT_MS = 8000;

/**
 * Finished operations on their way to the server. They wait in IndexedDB, so that a reload, a crash or a minute
 * without a network loses none; the server knows each by its id, so that sending one twice does no harm.
 */
export class Outbox {
    private memory: Waiting[] = [];
    private readonly sender: Flush;
    private nextKey = 1;
    /** The ids of what the server does not take yet, and its reason. */
    private held = new Set<string>();
    private reason = '';

    private constructor(
        private readonly database: IDBPDatabase<Kept> | null,
        private readonly settings: Settings,
    ) {
        this.sender = new Flush({
            isWaiting: () => !this.isDelivered,
            send: () => this.sendSome(),
            changed: () => settings.changed(this.memory.length, this.sender.isReachable, this.reason),
            wait: (failures) => Math.min(LONGEST_WAIT_MS, 500 * 2 ** failures) * (0.7 + Math.random() * 0.6),
        });
        window.addEventListener('online', () => void this.flush());
    }

    static async open(settings: Settings): Promise<Outbox> {
        let database: IDBPDatabase<Kept> | null = null;
        try {
            database = await openDB<Kept>('crag', 1, {
                upgrade: (fresh) => {
                    fresh
                        .createObjectStore('outbox', { keyPath: 'key', autoIncrement: true })
                        .createIndex('seat', 'seat');
                },
            });
        } catch {
            // Some private windows have no database; then the page itself is all there is.
        }
        const outbox = new Outbox(database, settings);
        if (database !== null) {
            outbox.memory = await database.getAllFromIndex('outbox', 'seat', settings.seat);
        }
        for (const waiting of leftBehind(settings.seat)) {
            if (!outbox.memory.some(({ operation }) => operation.id === waiting.operation.id)) {
                outbox.memory.push(waiting);
                await outbox.keep(waiting);
            }
        }
        return outbox;
    }

    /** What waits for a canvas, oldest first. */
    waitingFor(canvas: string): Operation[] {
        return this.memory.filter((waiting) => waiting.canvas === canvas).map((waiting) => waiting.operation);
    }

    get count(): number {
        return this.memory.length;
    }

    async put(canvas: string, operation: Operation): Promise<void> {
        const { id, kind, layer, at, body } = operation;
        const waiting: Waiting = { seat: this.settings.seat, canvas, operation: { id, kind, layer, at, body } };
        this.memory.push(waiting);
        this.settings.changed(this.memory.length, this.sender.isReachable, this.reason);
        await this.keep(waiting);
        await this.flush();
    }

    private async keep(waiting: Waiting): Promise<void> {
        try {
            if (this.database !== null) {
                waiting.key = await this.database.add('outbox', waiting);
                if (!this.memory.includes(waiting)) {
                    await this.database.delete('outbox', waiting.key);
                }
            } else {
                waiting.key = this.nextKey++;
            }
        } catch {
            waiting.key = -this.nextKey++;
        }
    }

    /** Something has changed in the room: what was held may be taken now. */
    release(): void {
        if (this.held.size > 0) {
            this.held.clear();
            this.reason = '';
            void this.flush();
        }
    }

    /**
     * The page goes away: what waits for a canvas goes out once more, as much as browsers let go then. It stays kept
     * here too; what the database has no time to take any more, the tab keeps for the page that comes next.
     */
    leave(canvas: string): void {
        leaveBehind(this.memory);
        const some: Operation[] = [];
        let bytes = 0;
        for (const operation of this.waitingFor(canvas)) {
            bytes += JSON.stringify(operation).length;
            if (bytes < MOST_LEAVING_BYTES && some.length < AT_ONCE) {
                some.push(operation);
            }
        }
        if (some.length > 0) {
            postAndLeave(this.settings.address, { canvas, operations: some });
        }
    }

    /** Whether everything that may be sent was. */
    get isDelivered(): boolean {
        return this.memory.every(({ operation }) => this.held.has(operation.id));
    }

    /** Sends what waits, oldest first, until nothing is left or there is no answer. */
    flush(): Promise<void> {
        return this.sender.now();
    }

    private async sendSome(): Promise<void> {
        const ready = this.memory.filter(({ operation }) => !this.held.has(operation.id));
        const canvas = present(ready[0]).canvas;
        const some: Waiting[] = [];
        let bytes = 0;
        for (const waiting of ready) {
            bytes += JSON.stringify(waiting.operation.body).length;
            if (waiting.canvas !== canvas || some.length >= AT_ONCE || (bytes > MOST_BYTES && some.length > 0)) {
                break;
            }
            some.push(waiting);
        }
        const operations = some.map((one) => one.operation);
        const answer = (await this.settings.overSocket?.(canvas, operations)) ?? (await this.post(canvas, operations));
        const held = new Set((answer.held ?? []).map(({ id }) => id));
        held.forEach((id) => this.held.add(id));
        this.reason = this.held.size === 0 ? '' : (answer.held?.[0]?.reason ?? this.reason);
        await this.remove(some.filter(({ operation }) => !held.has(operation.id)));
        this.settings.accepted(canvas, answer.accepted);
        answer.refused.forEach(({ id, reason }) => id !== null && this.settings.refused(canvas, id, reason));
    }

    private async post(canvas: string, operations: Operation[]): Promise<Answer> {
        try {
            return await post<Answer>(this.settings.address, { canvas, operations });
        } catch (problem) {
            // The server understood and will never take these: keep the page going, and say so.
            if (problem instanceof HttpProblem && [404, 410, 413, 422].includes(problem.status)) {
                return { accepted: [], refused: operations.map(({ id }) => ({ id, reason: problem.message })) };
            }
            throw problem;
        }
    }

    private async remove(done: Waiting[]): Promise<void> {
        this.memory = this.memory.filter((waiting) => !done.includes(waiting));
        for (const { key } of done) {
            if (key !== undefined && key > 0) {
                await this.database?.delete('outbox', key).catch(() => undefined);
            }
        }
    }
}

/** In the tab alone, and only until the next page of it has been opened. */
const LEFT = 'crag-left';

function leaveBehind(waiting: Waiting[]): void {
    try {
        if (waiting.length > 0) {
            sessionStorage.setItem(
                LEFT,
                JSON.stringify(waiting.map(({ seat, canvas, operation }) => ({ seat, canvas, operation }))),
            );
        }
    } catch {
        // Too much, or a private window: the database and the last post are all there is.
    }
}

/** What the page before this one could not get into the database; another seat's is thrown away. */
function leftBehind(seat: string): Waiting[] {
    try {
        const left = JSON.parse(sessionStorage.getItem(LEFT) ?? '[]') as Waiting[];
        sessionStorage.removeItem(LEFT);
        return left.filter((one) => one.seat === seat);
    } catch {
        return [];
    }
}
