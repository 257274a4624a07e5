import type { Backdrop, CanvasObject, Operation } from './model';

export interface Scene {
    backdrop: Backdrop;
    /** In drawing order. */
    objects: Map<string, CanvasObject>;
    layers: Map<string, Operation['layer']>;
}

const UNDOABLE = new Set(['add', 'change', 'remove', 'clear']);

/**
 * A log folded, as core/src/Canvas/Scene.php folds it: the same operations in the same order give the same scene.
 */
export function fold(log: Iterable<Operation>): Scene {
    const operations = new Map<string, Operation>();
    const withdrawn = new Set<string>();
    for (const operation of log) {
        if (operations.has(operation.id)) {
            continue;
        }
        operations.set(operation.id, operation);
        if (operation.kind === 'withdraw') {
            withdrawn.add(operation.body.target!);
        } else if (operation.kind === 'reinstate') {
            withdrawn.delete(operation.body.target!);
        }
    }
    const scene: Scene = { backdrop: { kind: 'blank' }, objects: new Map(), layers: new Map() };
    for (const operation of operations.values()) {
        if (!withdrawn.has(operation.id)) {
            apply(scene, operation);
        }
    }
    return scene;
}

function apply(scene: Scene, { id, kind, layer, body }: Operation): void {
    if (kind === 'add') {
        scene.objects.set(id, body.object!);
        scene.layers.set(id, layer);
    } else if (kind === 'change') {
        const object = scene.objects.get(body.target!);
        if (object?.type === 'text') {
            scene.objects.set(body.target!, { ...object, text: body.set!.text });
        }
    } else if (kind === 'remove') {
        body.targets!.forEach((target) => scene.objects.delete(target));
    } else if (kind === 'clear') {
        for (const one of [...scene.objects.keys()]) {
            if (scene.layers.get(one) === layer) {
                scene.objects.delete(one);
            }
        }
    } else if (kind === 'backdrop') {
        scene.backdrop = body.backdrop!;
    }
}

/** What the page's own author can undo and redo, as core/src/Canvas/History.php has it. */
export function history(log: Iterable<Operation>): { undo?: string; redo?: string } {
    let undoable: string[] = [];
    let redoable: string[] = [];
    for (const operation of log) {
        if (operation.mine === false) {
            continue;
        }
        const target = operation.body.target!;
        if (UNDOABLE.has(operation.kind)) {
            undoable.push(operation.id);
            redoable = [];
        } else if (operation.kind === 'withdraw') {
            undoable = undoable.filter((id) => id !== target);
            redoable.push(target);
        } else if (operation.kind === 'reinstate') {
            redoable = redoable.filter((id) => id !== target);
            undoable.push(target);
        }
    }
    return { undo: undoable.at(-1), redo: redoable.at(-1) };
}

/** One canvas's log as this page knows it: what the server has, in its order, then what is still on its way. */
export class Log {
    private stored: Operation[] = [];
    private waiting: Operation[] = [];
    private readonly ids = new Map<string, Operation>();
    scene: Scene = fold([]);

    /** All operations, in order. */
    *all(): Iterable<Operation> {
        yield* this.stored;
        yield* this.waiting;
    }

    /** The highest number up to which nothing is missing. */
    get known(): number {
        let known = 0;
        for (const { n } of this.stored) {
            if (n !== known + 1) {
                break;
            }
            known = n;
        }
        return known;
    }

    get highest(): number {
        return this.stored.at(-1)?.n ?? 0;
    }

    has(id: string): boolean {
        return this.ids.has(id);
    }

    /**
     * Takes operations in. Says what a drawing must do: nothing, draw these objects on top, or draw everything anew.
     */
    take(operations: Operation[]): 'nothing' | 'all' | CanvasObject[] {
        const fresh: CanvasObject[] = [];
        let refold = false;
        for (const operation of operations) {
            const change = this.takeOne(operation);
            if (change === 'top') {
                fresh.push(operation.body.object!);
                this.scene.objects.set(operation.id, operation.body.object!);
                this.scene.layers.set(operation.id, operation.layer);
            } else if (change === 'all') {
                refold = true;
            }
        }
        if (refold) {
            this.scene = fold(this.all());
            return 'all';
        }
        return fresh.length > 0 ? fresh : 'nothing';
    }

    /** An operation of this page's own was stored. Says whether everything must be drawn anew. */
    confirm(id: string, n: number): boolean {
        const operation = this.ids.get(id);
        if (operation === undefined || operation.n !== undefined || this.settle(operation, n) === 'nothing') {
            return false;
        }
        this.scene = fold(this.all());
        return true;
    }

    /** Gives up an operation that the server refused. */
    drop(id: string): void {
        this.waiting = this.waiting.filter((operation) => operation.id !== id);
        this.ids.delete(id);
        this.scene = fold(this.all());
    }

    private takeOne(operation: Operation): 'nothing' | 'top' | 'all' {
        const known = this.ids.get(operation.id);
        if (known !== undefined) {
            return known.n === undefined && operation.n !== undefined ? this.settle(known, operation.n) : 'nothing';
        }
        this.ids.set(operation.id, operation);
        if (operation.n === undefined) {
            this.waiting.push(operation);
            return operation.kind === 'add' ? 'top' : 'all';
        }
        const last = this.highest;
        this.stored.push(operation);
        if (operation.n < last) {
            this.stored.sort((a, b) => a.n! - b.n!);
            return 'all';
        }
        return operation.kind === 'add' && this.waiting.length === 0 ? 'top' : 'all';
    }

    /** An operation of this page's own got its place; as a rule the one that it had already. */
    private settle(operation: Operation, n: number): 'nothing' | 'all' {
        const first = this.waiting[0] === operation;
        this.waiting = this.waiting.filter((one) => one !== operation);
        operation.n = n;
        const last = this.highest;
        this.stored.push(operation);
        if (n < last) {
            this.stored.sort((a, b) => a.n! - b.n!);
        }
        return first && n > last ? 'nothing' : 'all';
    }
}
