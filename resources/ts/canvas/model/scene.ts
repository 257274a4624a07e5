import { decodeInk, encodeInk, partOfInk, type Sample } from './ink';
import {
    placings,
    type AnswerValue,
    type Backdrop,
    type Layer,
    type Operation,
    type Order,
    type Placed,
    type Stroke,
} from './objects';
import { following, tiedOnlyTo } from './ties';
import { mayHave, plain } from './usual';
import { constructed } from './construct/elements';
import { handedOut, worked, type Manipulative } from './manipulative/manipulative';
import { present } from '../../present';

export interface Scene {
    /** By the page's id, in order; the first page's is "". */
    pages: Map<string, Backdrop>;
    /** On which layer a page was added, by its id; the student's are left out. */
    pageLayers: Map<string, Layer>;
    /** In drawing order, on all pages together. */
    objects: Map<string, Placed>;
    /** By the question's id. */
    answers: Map<string, AnswerValue>;
}

/** A scene in the form in which the server keeps it. */
export interface KeptScene {
    pages: { id: string; backdrop: Backdrop; layer?: Layer }[];
    objects: (Partial<Placed> & { id: string; layer: Placed['layer']; object: Placed['object'] })[];
    answers?: { question: string; value: AnswerValue }[];
}

const decoded = new WeakMap<Stroke, Sample[]>();

export function samplesOf(stroke: Stroke): Sample[] {
    let samples = decoded.get(stroke);
    if (samples === undefined) {
        samples = decodeInk(stroke.ink);
        decoded.set(stroke, samples);
    }
    return samples;
}

function settable(object: Manipulative, layer: Layer, set: Record<string, unknown>): Record<string, unknown> {
    return layer === 'pieces' ? handedOut(object, set) : set;
}

export function emptyScene(): Scene {
    return {
        pages: new Map([['', { kind: 'blank' }]]),
        pageLayers: new Map(),
        objects: new Map(),
        answers: new Map(),
    };
}

export function readScene({ pages, objects, answers }: KeptScene): Scene {
    return {
        pages: new Map(pages.map(({ id, backdrop }) => [id, backdrop])),
        pageLayers: new Map(pages.flatMap(({ id, layer }) => (layer === undefined ? [] : [[id, layer]]))),
        objects: new Map(objects.map(({ id, ...placed }) => [id, { page: '', ...placed }])),
        answers: new Map((answers ?? []).map(({ question, value }) => [question, value])),
    };
}

/**
 * A student moves the own and the pieces that are there to be moved; what is locked stays for everybody but the
 * teacher.
 */
export function mayTouch(placed: Placed, teacher: boolean): boolean {
    const { object, layer } = placed;
    const still =
        layer === 'pieces' && object.type === 'piece' && (object.locked || object.stack || object.area === true);
    return teacher || (placed.locked !== true && !still);
}

/**
 * What an operation does to a scene, as core/src/Canvas/Operation says it. Undo, redo and giving back are not applied
 * but counted beforehand, by fold.
 */
export function apply(scene: Scene, operation: Operation): void {
    const { id, kind, layer, body } = operation;
    const { objects, pages } = scene;
    const page = body.page ?? '';
    const touchable = (target: string): Placed | undefined => {
        const placed = objects.get(target);
        return placed !== undefined && mayTouch(placed, layer !== 'student') ? placed : undefined;
    };
    if (kind === 'add') {
        for (const [one, { object, place, group }] of placings(id, body)) {
            objects.set(one, { layer, page, object, ...(place && { place }), ...(group && { group }) });
        }
    } else if (kind === 'change') {
        const placed = touchable(body.target ?? '');
        // A change that does not fit what it names leaves it as it was.
        const fits = (field: string): boolean => placed !== undefined && mayHave(placed.object, field);
        if (placed !== undefined && Object.keys(present(body.set)).every(fits)) {
            objects.set(body.target ?? '', {
                ...placed,
                object:
                    placed.object.type === 'construction'
                        ? constructed(placed.object, present(body.set))
                        : placed.object.type === 'manipulative'
                          ? worked(placed.object, settable(placed.object, placed.layer, present(body.set)))
                          : plain({ ...untied(placed.object, present(body.set)), ...body.set } as Placed['object']),
            });
        }
    } else if (kind === 'remove') {
        (body.targets ?? []).forEach((target) => touchable(target) && objects.delete(target));
    } else if (kind === 'cut') {
        cut(scene, id, body.cuts ?? [], touchable);
    } else if (kind === 'straighten') {
        straighten(scene, operation, touchable(body.target ?? ''));
    } else if (kind === 'arrange') {
        arrange(scene, operation, touchable);
    } else if (kind === 'clear') {
        for (const [one, placed] of [...objects]) {
            const kept = body.what === 'ink' && ['picture', 'piece', 'manipulative'].includes(placed.object.type);
            if (placed.layer === layer && placed.page === page && !kept && touchable(one) !== undefined) {
                objects.delete(one);
            }
        }
    } else if (kind === 'page') {
        const first = present(pages.get(''));
        pages.set(id, first.kind === 'picture' ? onPaper({ kind: 'blank' }, first) : first);
        if (layer !== 'student') {
            scene.pageLayers.set(id, layer);
        }
    } else if (kind === 'arrange_page') {
        arrangePage(scene, operation);
    } else if (kind === 'answer') {
        const { question, value } = body;
        if (value === null || value === undefined) {
            scene.answers.delete(present(question));
        } else {
            scene.answers.set(present(question), value);
        }
    } else if (kind === 'fresh') {
        objects.clear();
        scene.answers.clear();
        pages.clear();
        scene.pageLayers.clear();
        pages.set('', { kind: 'blank' });
    } else if (kind === 'backdrop' && pages.has(page)) {
        // A page on which a student has worked keeps its paper, so that no work comes to lie beside it.
        const hasWork = [...objects.values()].some((placed) => placed.page === page && placed.layer === 'student');
        pages.set(page, hasWork ? onPaper(present(body.backdrop), pages.get(page)) : present(body.backdrop));
    }
}

/** A line whose ends are put elsewhere by hand is tied no more. */
function untied(object: Placed['object'], set: Record<string, unknown>): Placed['object'] {
    if (!('start' in object || 'end' in object) || !['x', 'y', 'w', 'h'].some((field) => field in set)) {
        return object;
    }
    return tiedOnlyTo(object, new Set());
}

/** On which layer a page was added; null for the first, which nobody added, and for what is no page. */
export function layerOfPage({ pages, pageLayers }: Scene, page: string): Layer | null {
    return page === '' || !pages.has(page) ? null : (pageLayers.get(page) ?? 'student');
}

function arrangePage(scene: Scene, { layer, body: { page = '', to, ruling } }: Operation): void {
    const { pages } = scene;
    if (layerOfPage(scene, page) !== layer) {
        return;
    }
    if (ruling !== undefined) {
        pages.set(page, onPaper(ruling, pages.get(page)));
    } else if (to !== undefined) {
        const moved = present(pages.get(page));
        const rest = [...pages].filter(([id]) => id !== page);
        replace(pages, new Map([...rest.slice(0, to), [page, moved], ...rest.slice(to)]));
    } else {
        pages.delete(page);
        scene.pageLayers.delete(page);
    }
}

/** A backdrop on the paper of another. */
function onPaper(backdrop: Backdrop, other: Backdrop | undefined): Backdrop {
    const moved = { ...backdrop, paper: other?.paper };
    if (moved.paper === undefined) {
        delete moved.paper;
    }
    return moved;
}

function cut(
    scene: Scene,
    id: string,
    cuts: { target: string; keep: [number, number][] }[],
    touchable: (target: string) => Placed | undefined,
): void {
    let n = 0;
    for (const { target, keep } of cuts) {
        const first = n;
        n += keep.length;
        const placed = touchable(target) === undefined ? undefined : scene.objects.get(target);
        const stroke = placed?.object;
        if (placed === undefined || (stroke?.type !== 'stroke' && stroke?.type !== 'highlight')) {
            continue;
        }
        const length = 16 * (samplesOf(stroke).length - 1);
        const now = new Map<string, Placed>();
        for (const [one, there] of scene.objects) {
            if (one !== target) {
                now.set(one, there);
                continue;
            }
            keep.forEach(([from, to], i) => {
                if (to <= length) {
                    const part = { ...stroke, ink: encodeInk(partOfInk(samplesOf(stroke), from, to)) };
                    now.set(`${id}.${first + i}`, { ...placed, object: part });
                }
            });
        }
        replace(scene.objects, now);
    }
}

/** The shape stands where the stroke stood. */
function straighten(scene: Scene, { id, body }: Operation, stroke: Placed | undefined): void {
    if (stroke?.object.type !== 'stroke' && stroke?.object.type !== 'highlight') {
        return;
    }
    const now = new Map<string, Placed>();
    for (const [one, there] of scene.objects) {
        if (there === stroke) {
            const { place, ...shape } = { ...there, object: present(body.object), place: body.place };
            now.set(id, place === undefined ? shape : { ...shape, place });
        } else {
            now.set(one, there);
        }
    }
    replace(scene.objects, now);
}

function arrange(scene: Scene, { body }: Operation, touchable: (target: string) => Placed | undefined): void {
    const touched: string[] = [];
    (body.targets ?? []).forEach((target, i) => {
        const placed = body.lock === undefined ? touchable(target) : scene.objects.get(target);
        if (placed === undefined) {
            return;
        }
        touched.push(target);
        const next = { ...placed };
        if (body.places !== undefined) {
            next.place = body.places[i];
            if (String(next.place) === '0,0,0,10000') {
                delete next.place;
            }
        }
        if (body.group !== undefined) {
            next.group = body.group;
            if (next.group === '') {
                delete next.group;
            }
        }
        if (body.lock !== undefined) {
            next.locked = body.lock;
            if (!next.locked) {
                delete next.locked;
            }
        }
        scene.objects.set(target, next);
    });
    if (body.places !== undefined) {
        following(scene.objects, new Set(touched)).forEach((placed, id) => scene.objects.set(id, placed));
    }
    if (body.order !== undefined && touched.length > 0) {
        order(scene.objects, new Set(touched), body.order);
    }
}

function order(objects: Map<string, Placed>, moving: Set<string>, to: Order): void {
    const all = [...objects];
    if (to === 'front' || to === 'back') {
        const staying = all.filter(([id]) => !moving.has(id));
        const going = all.filter(([id]) => moving.has(id));
        replace(objects, new Map(to === 'front' ? [...staying, ...going] : [...going, ...staying]));
        return;
    }
    // Walking from the far end, each moving one goes past the nearest of its page that does not move.
    const walk = to === 'forward' ? all.reverse() : all;
    for (let at = 0; at < walk.length; at++) {
        const [id, placed] = present(walk[at]);
        if (!moving.has(id)) {
            continue;
        }
        for (let past = at - 1; past >= 0; past--) {
            if (present(walk[past])[1].page === placed.page) {
                if (!moving.has(present(walk[past])[0])) {
                    walk.splice(past, 0, ...walk.splice(at, 1));
                }
                break;
            }
        }
    }
    replace(objects, new Map(to === 'forward' ? walk.reverse() : walk));
}

function replace<T>(map: Map<string, T>, now: Map<string, T>): void {
    map.clear();
    now.forEach((one, id) => map.set(id, one));
}

interface InForce {
    /** In order, without those put away; those that were withdrawn among them. */
    kept: Operation[];
    withdrawn: Set<string>;
}

/**
 * Which operations of a log are in force, as core/src/Canvas/Log/InForce.php says it: read from the end, so that what
 * is put away by giving back an earlier state has no say. Null when a log that is not whole refers to something older.
 */
function inForce(log: Iterable<Operation>, isWhole: boolean): InForce | null {
    const operations: Operation[] = [];
    const places = new Map<string, number>();
    for (const operation of log) {
        if (!places.has(operation.id)) {
            places.set(operation.id, operations.length);
            operations.push(operation);
        }
    }
    const kept: Operation[] = [];
    const isWithdrawn = new Map<string, boolean>();
    for (let i = operations.length - 1; i >= 0; i--) {
        const operation = present(operations[i]);
        const { id, kind, body } = operation;
        kept.push(operation);
        if (kind !== 'withdraw' && kind !== 'reinstate' && kind !== 'give_back') {
            continue;
        }
        const at = places.get(body.target ?? '');
        if (at === undefined && !isWhole) {
            return null;
        }
        if (kind !== 'give_back') {
            if (!isWithdrawn.has(body.target ?? '')) {
                isWithdrawn.set(body.target ?? '', kind === 'withdraw');
            }
        } else if (isWithdrawn.get(id) !== true) {
            i = Math.min(i, (at ?? i - 1) + 1);
        }
    }
    return { kept: kept.reverse(), withdrawn: new Set([...isWithdrawn].filter(([, is]) => is).map(([id]) => id)) };
}

/**
 * A log folded, as core/src/Canvas/Scene.php folds it: the same operations in the same order give the same scene. On
 * top of a scene that was folded before; null when something older than that is taken back, reinstated or given back.
 */
export function fold(log: Iterable<Operation>, base?: Scene): Scene | null {
    const found = inForce(log, base === undefined);
    if (found === null) {
        return null;
    }
    const scene: Scene =
        base === undefined
            ? emptyScene()
            : {
                  pages: new Map(base.pages),
                  pageLayers: new Map(base.pageLayers),
                  objects: new Map(base.objects),
                  answers: new Map(base.answers),
              };
    for (const operation of found.kept) {
        if (!found.withdrawn.has(operation.id)) {
            apply(scene, operation);
        }
    }
    return finish(scene);
}

/** What stands on a page that is not there (its adding was undone, or it was taken out) is not there either. */
function finish(scene: Scene): Scene {
    for (const [id, { page }] of scene.objects) {
        if (!scene.pages.has(page)) {
            scene.objects.delete(id);
        }
    }
    return scene;
}

const NOT_UNDOABLE = new Set(['backdrop', 'answer', 'withdraw', 'reinstate']);

/**
 * What the author of a layer can undo and redo, as core/src/Canvas/Log/History.php has it.
 *
 * @param  isOthers  where several draw on the layer: whether another made an operation
 */
export function history(
    log: Iterable<Operation>,
    layer: Operation['layer'] = 'student',
    isOthers: (id: string) => boolean = () => false,
): { undo?: string; redo?: string } {
    const { kept, withdrawn } = present(inForce(log, true));
    let undoable: string[] = [];
    let redoable: string[] = [];
    for (const operation of kept) {
        // What a fresh start put away is the teacher's to give back.
        if (operation.kind === 'fresh' && !withdrawn.has(operation.id)) {
            undoable = [];
            redoable = [];
        }
        // A page of private notes only stands beside a page of the canvas.
        if (operation.layer !== layer || isOthers(operation.id) || (layer === 'private' && operation.kind === 'page')) {
            continue;
        }
        const target = operation.body.target ?? '';
        if (!NOT_UNDOABLE.has(operation.kind)) {
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
