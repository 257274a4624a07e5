import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Operation } from '../canvas/model/objects';
import type { CanvasAnswer } from '../protocol/student';

/** What a device keeps of pages that are open on it, so that they open without a network too. */
interface Kept extends DBSchema {
    /** What a page began with, by its seat. */
    page: { key: string; value: { seat: string; answer: CanvasAnswer } };
    /** What came on its canvas since. */
    ink: { key: number; value: { key?: number; seat: string; canvas: string; operation: Operation } };
}

const NAME = 'crag-pages';
/** The worker's stores are called so: resources/ts/worker/worker.ts. */
const STORE = 'crag-seat-';

/** One seat's page as this device keeps it. A browser that keeps nothing keeps none of it, and the page works on. */
export class KeptPage {
    private constructor(
        private readonly database: IDBPDatabase<Kept> | null,
        private readonly seat: string,
    ) {}

    static async open(seat: string): Promise<KeptPage> {
        try {
            return new KeptPage(await database(), seat);
        } catch {
            return new KeptPage(null, seat);
        }
    }

    /** Whatever another seat left on this device goes: whoever sits here now sees nothing of it. */
    async begin(answer: CanvasAnswer): Promise<void> {
        await this.write(async (database) => {
            await empty(database);
            await database.put('page', { seat: this.seat, answer });
        });
        await forgetStores((store) => store !== STORE + this.seat);
    }

    /** What has its place on the server, so that it comes back with the page. */
    async add(operations: Operation[]): Promise<void> {
        const stored = operations.filter(({ n, canvas }) => n !== undefined && canvas !== undefined);
        await this.write(async (database) => {
            const change = database.transaction('ink', 'readwrite');
            for (const operation of stored) {
                void change.store.add({ seat: this.seat, canvas: operation.canvas as string, operation });
            }
            await change.done;
        });
    }

    /** The page as it was seen last; null where there is none. */
    async read(): Promise<CanvasAnswer | null> {
        try {
            const kept = await this.database?.get('page', this.seat);
            if (kept === undefined) {
                return null;
            }
            const ink = ((await this.database?.getAll('ink')) ?? []).filter(
                ({ seat, canvas }) => seat === this.seat && canvas === kept.answer.canvas,
            );
            return {
                ...kept.answer,
                operations: [...kept.answer.operations, ...ink.map(({ operation }) => operation)],
            };
        } catch {
            return null;
        }
    }

    private async write(change: (database: IDBPDatabase<Kept>) => Promise<void>): Promise<void> {
        try {
            if (this.database !== null) {
                await change(this.database);
            }
        } catch {
            // A full disk, or a private window: the page is not kept, and works on.
        }
    }
}

/** Nothing of any student's page stays on this device. What could not be delivered yet is not touched. */
export async function forgetPages(): Promise<void> {
    try {
        await empty(await database());
    } catch {
        // Nothing was kept.
    }
    await forgetStores(() => true);
}

function database(): Promise<IDBPDatabase<Kept>> {
    return openDB<Kept>(NAME, 1, {
        upgrade: (fresh) => {
            fresh.createObjectStore('page', { keyPath: 'seat' });
            fresh.createObjectStore('ink', { keyPath: 'key', autoIncrement: true });
        },
    });
}

async function empty(database: IDBPDatabase<Kept>): Promise<void> {
    await Promise.all([database.clear('page'), database.clear('ink')]);
}

async function forgetStores(which: (store: string) => boolean): Promise<void> {
    // Without a secure context there is neither a worker nor its stores.
    if ('caches' in globalThis) {
        const stores = (await caches.keys()).filter((store) => store.startsWith(STORE) && which(store));
        await Promise.all(stores.map((store) => caches.delete(store)));
    }
}

/** So long after a page has opened it is kept: opening comes first, and a class does not ask all at once. */
const KEEP_MS = 6000;

/**
 * Has the worker keep the page with all that it is made of.
 *
 * @param  mark  changes when the page is another one: it is then fetched anew
 */
export async function keepPage(seat: string, mark: string, assets: string[]): Promise<void> {
    // A page that a teacher only tries stands in a frame.
    if (!('serviceWorker' in navigator) || !window.isSecureContext || window.top !== window) {
        return;
    }
    try {
        const registration = await navigator.serviceWorker.register('/worker.js', { scope: '/seat/' });
        await navigator.serviceWorker.ready;
        window.setTimeout(
            () =>
                registration.active?.postMessage({
                    do: 'keep',
                    seat,
                    mark,
                    assets: [...new Set([...assets, ...loaded()])],
                }),
            KEEP_MS * (1 + Math.random()),
        );
    } catch {
        // A browser that forbids workers has a page that needs the network.
    }
}

/** What the page has brought in by now beyond what it began with: the browser has it, and fetches nothing anew. */
function loaded(): string[] {
    return performance
        .getEntriesByType('resource')
        .map(({ name }) => new URL(name))
        .filter(({ origin, pathname }) => origin === location.origin && pathname.startsWith('/build/assets/'))
        .map(({ pathname }) => pathname);
}
