import { placings, type Operation, type Placed } from './objects';
import { apply, emptyScene, fold, readScene, type KeptScene, type Scene } from './scene';
import { present } from '../../present';

/** What has just got its place is among so many. */
const LATEST = 60;
/** So many of the latest operations stay as they are when the older ones are folded. */
const KEPT_OPERATIONS = 60;

/** One canvas's log as this page knows it: what the server has, in its order, then what is still on its way. */
export class Log {
    private stored: Operation[] = [];
    private waiting: Operation[] = [];
    private readonly ids = new Map<string, Operation>();
    /** The scene up to operation `from`, where the log before it is not here. */
    private base: Scene | undefined;
    private from = 0;
    scene: Scene = emptyScene();
    /** Something older than what is here was taken back: only the whole log tells what there is now. */
    isShort = false;
    /** Who draws here, where several do: the seat of this page's student. */
    private me: string | null = null;
    /** What other students made, by the ids of their operations. */
    private readonly others = new Set<string>();

    /** Several students draw here. `authors` are those of what is folded into the kept scene, by seat. */
    share(me: string, authors: Record<string, string[]>): void {
        this.me = me;
        for (const [seat, made] of Object.entries(authors)) {
            made.forEach((id) => seat !== me && this.others.add(id));
        }
    }

    get isShared(): boolean {
        return this.me !== null;
    }

    /** Whether another student made it: an operation, or what it put on the page. */
    isOthers(id: string): boolean {
        return this.others.has(operationOf(id));
    }

    /** Begins with a scene that the server kept: the first `n` operations are folded into it. */
    begin(kept: KeptScene | null, n: number): void {
        this.base = kept === null ? undefined : readScene(kept);
        this.from = kept === null ? 0 : n;
        this.refold();
    }

    /** Folds what is old into the scene, so that a page that is open for a lesson does not hold every step of it. */
    compact(): void {
        const whole = this.stored.findIndex(({ n }, i) => n !== this.from + i + 1);
        const upTo = (whole === -1 ? this.stored.length : whole) - KEPT_OPERATIONS;
        if (upTo < KEPT_OPERATIONS || this.isShort) {
            return;
        }
        const old = this.stored.slice(0, upTo);
        const base = fold(old, this.base);
        if (base !== null) {
            this.base = base;
            this.from = present(present(old.at(-1)).n);
            this.stored = this.stored.slice(upTo);
            old.forEach(({ id }) => this.ids.delete(id));
        }
    }

    /** The same log for another view. */
    copy(): Log {
        const copy = new Log();
        copy.me = this.me;
        this.others.forEach((id) => copy.others.add(id));
        copy.base = this.base;
        copy.from = this.from;
        copy.refold();
        copy.take([...this.all()]);
        return copy;
    }

    /** Whether operations from before are not here. */
    get hasOlder(): boolean {
        return this.from > 0;
    }

    /** All operations, in order. */
    *all(): Iterable<Operation> {
        yield* this.stored;
        yield* this.waiting;
    }

    /** The last ones of those that have their place on the server, with it. */
    latest(count: number): Operation[] {
        return this.stored.slice(-Math.max(count, LATEST));
    }

    /** The highest number up to which nothing is missing. */
    get known(): number {
        let known = this.from;
        for (const { n } of this.stored) {
            if (n !== known + 1) {
                break;
            }
            known = n;
        }
        return known;
    }

    get highest(): number {
        return this.stored.at(-1)?.n ?? this.from;
    }

    has(id: string): boolean {
        return this.ids.has(id);
    }

    /**
     * Takes operations in. Says what a drawing must do: nothing, draw these on top, or draw everything anew.
     */
    take(operations: Operation[]): 'nothing' | 'all' | Placed[] {
        const fresh: Placed[] = [];
        let redraw = false;
        let refold = false;
        for (const operation of operations) {
            const change = this.takeOne(operation);
            if (change === 'nothing') {
                continue;
            }
            if (change === 'refold' || ['withdraw', 'reinstate', 'give_back'].includes(operation.kind)) {
                refold = true;
            } else if (!refold) {
                apply(this.scene, operation);
                if (operation.kind === 'add') {
                    fresh.push(
                        ...placings(operation.id, operation.body).flatMap(([id]) => this.scene.objects.get(id) ?? []),
                    );
                } else {
                    redraw = true;
                }
            }
        }
        if (refold) {
            this.refold();
        }
        return refold || redraw ? 'all' : fresh.length > 0 ? fresh : 'nothing';
    }

    /** An operation of this page's own was stored. Says whether everything must be drawn anew. */
    confirm(id: string, n: number): boolean {
        const operation = this.ids.get(id);
        if (operation === undefined || operation.n !== undefined || this.settle(operation, n) === 'nothing') {
            return false;
        }
        this.refold();
        return true;
    }

    /** Gives up an operation that the server refused. */
    drop(id: string): void {
        this.waiting = this.waiting.filter((operation) => operation.id !== id);
        this.ids.delete(id);
        this.refold();
    }

    private refold(): void {
        const scene = fold(this.all(), this.base);
        this.isShort = scene === null;
        if (scene !== null) {
            this.scene = scene;
        }
    }

    private takeOne(operation: Operation): 'nothing' | 'end' | 'refold' {
        const known = this.ids.get(operation.id);
        if (known !== undefined) {
            const settled =
                known.n === undefined && operation.n !== undefined ? this.settle(known, operation.n) : 'nothing';
            return settled === 'all' ? 'refold' : 'nothing';
        }
        if (operation.n !== undefined && operation.n <= this.from) {
            return 'nothing';
        }
        this.ids.set(operation.id, operation);
        if (this.me !== null && typeof operation.by === 'string' && operation.by !== this.me) {
            this.others.add(operation.id);
        }
        if (operation.n === undefined) {
            this.waiting.push(operation);
            return 'end';
        }
        const last = this.highest;
        this.stored.push(operation);
        if (operation.n < last) {
            this.stored.sort((a, b) => present(a.n) - present(b.n));
            return 'refold';
        }
        return this.waiting.length === 0 ? 'end' : 'refold';
    }

    /** An operation of this page's own got its place; as a rule the one that it had already. */
    private settle(operation: Operation, n: number): 'nothing' | 'all' {
        const first = this.waiting[0] === operation;
        this.waiting = this.waiting.filter((one) => one !== operation);
        operation.n = n;
        const last = this.highest;
        this.stored.push(operation);
        if (n < last) {
            this.stored.sort((a, b) => present(a.n) - present(b.n));
        }
        return first && n > last ? 'nothing' : 'all';
    }
}

/** The operation that put an object on the page: an object is called by it, or by it and a number. */
function operationOf(id: string): string {
    return id.split('.', 1)[0] ?? id;
}
