import {
    KINDS,
    dependants,
    isFree,
    serves,
    withElement,
    type Construct,
    type Element,
    type Plot,
} from '../model/construct/elements';
import type { ElementKind } from '../model/construct/elements';
import {
    alongOf,
    directionOf,
    movedTo,
    nearestOf,
    scaleOf,
    type Figure,
    type Scale,
    type Point as At,
} from '../model/construct/figures';
import { inWords, type KindWords } from '../model/construct/inwords';
import { numbersOf } from '../model/construct/numbers';
import { farFrom, figuresIn } from '../model/construct/places';
import { newId, TENTHS, type Backdrop, type Placed } from '../model/objects';
import { touches } from '../model/hit';
import { back, matrixOf, through } from '../model/place';
import { ontoPaper, paperOf } from '../model/paper';
import { plain } from '../model/usual';
import { axisUnit, snapped } from '../model/snap';
import { fill } from '../../page';
import { present } from '../../present';
import type { Point, Tool } from './gestures';
import type { Host } from './host';
import type { ConstructChoice } from './settings';

/** How near a tap must come to what is there, in CSS pixels, and how far a drag must go. */
const REACH = 16;
const TAP = 6;
/** So many elements one change puts at most: Crag\\Canvas\\Object\\Construct. */
const MOST_PUT = 20;

type ConstructHost = Pick<
    Host,
    'layer' | 'settings' | 'view' | 'words' | 'surface' | 'add' | 'make' | 'showWet' | 'dropWet' | 'say'
>;

/**
 * Points, lines and circles that depend on each other: a tap takes what is there, or puts a point; as soon as a kind
 * has what it needs it is made. A press on a point that can be moved drags it, with all that hangs on it.
 */
export class ConstructTool implements Tool {
    /** Of what the next element is made, so far. */
    private picked: string[] = [];
    private kind: ConstructChoice = 'point';
    /** Drawn lines that have become segments: they go as soon as these are there. */
    private taken: string[] = [];
    private from: Point | null = null;
    private dragged: Element | null = null;
    private moved: Construct | null = null;

    constructor(private readonly bench: ConstructHost) {}

    down(at: Point): void {
        this.from = at;
        this.moved = null;
        const found = this.here(at);
        const near = found === null ? null : this.pointAt(found[1], this.local(found[1], at), at);
        this.dragged = near !== null && isFree(near) ? near : null;
    }

    move(points: Point[]): void {
        const at = present(points[points.length - 1]);
        const from = this.from;
        const found = from === null ? null : this.here(from);
        if (found === null || from === null || this.dragged === null) {
            return;
        }
        const isFar = Math.hypot(at.x - from.x, at.y - from.y) / at.unitsPerPixel > TAP;
        if (this.moved === null && !isFar) {
            return;
        }
        const [id, placed] = found;
        const { elements } = placed.object;
        const element = movedTo(elements, this.dragged.id, this.local(placed, at, true));
        if (element !== null) {
            this.moved = { ...placed.object, elements: withElement(elements, element) };
            this.bench.showWet(id, this.moved, placed.place);
        }
    }

    up(at: Point): void {
        const found = this.here(this.from ?? at);
        if (this.moved !== null && found !== null && this.dragged !== null) {
            const element = this.moved.elements.find(({ id }) => id === this.dragged?.id);
            this.bench.dropWet(found[0]);
            if (element !== undefined) {
                this.bench.make('change', { target: found[0], set: { put: [element] } });
            }
        } else {
            this.tap(at);
        }
        this.cancel();
    }

    cancel(): void {
        const found = this.from === null ? null : this.here(this.from);
        if (this.moved !== null && found !== null) {
            this.bench.dropWet(found[0]);
        }
        this.from = null;
        this.dragged = null;
        this.moved = null;
    }

    /** Another kind is chosen, or another tool: what was picked for the one before is forgotten. */
    begin(kind: ConstructChoice): void {
        this.kind = kind;
        this.picked = [];
    }

    private tap(at: Point): void {
        const { construct } = this.bench.settings;
        if (construct !== this.kind) {
            this.begin(construct);
        }
        const found = this.here(at);
        const elements = found?.[1].object.elements ?? [];
        // What was picked may have been undone since.
        this.picked = this.picked.filter((id) => elements.some((one) => one.id === id));
        if (this.kind === 'drop') {
            this.drop(found, at);
            return;
        }
        const fresh = [...elements];
        const place: At = found === null ? [at.x, at.y] : this.local(found[1], at);
        const taken = this.take(fresh, found, place, at);
        if (taken === null) {
            this.bench.say(this.bench.words.construct_none);
            return;
        }
        if (this.kind === 'point') {
            this.put(found, fresh.slice(elements.length));
            return;
        }
        const isClosed = this.kind === 'polygon' && this.picked.length >= 3 && taken === this.picked[0];
        if (!isClosed && this.picked.includes(taken)) {
            return;
        }
        if (!isClosed) {
            this.picked.push(taken);
        }
        const needs = KINDS[this.kind][0];
        const isWhole = this.kind === 'polygon' ? isClosed : this.picked.length === needs.length;
        if (isWhole) {
            fresh.push(...this.made(fresh, found));
        }
        this.put(found, fresh.slice(elements.length));
        if (isWhole) {
            this.picked = [];
        } else {
            const all = this.kind === 'polygon' ? '…' : needs.length;
            this.bench.say(fill(this.bench.words.construct_step, { n: this.picked.length, all }));
        }
    }

    /** The element that a tap means for the next thing that is needed: one that is there, or a point that is put. */
    private take(fresh: Element[], found: [string, Constructed] | null, place: At, at: Point): string | null {
        const needs = this.kind === 'drop' || this.kind === 'point' ? 'p' : KINDS[this.kind][0];
        const letter = needs.replace('+', '').charAt(Math.min(this.picked.length, needs.replace('+', '').length - 1));
        if (letter !== 'p') {
            const near =
                found === null ? [] : this.near(found[1], place, at).filter(([one]) => serves(one.kind, letter));
            return near[0]?.[0].id ?? null;
        }
        const point = found === null ? null : this.pointAt(found[1], place, at);
        if (point !== null) {
            return point.id;
        }
        const element = this.pointFor(fresh, found, place, at);
        fresh.push(element);
        return element.id;
    }

    /** Where two figures cross, along one of them, or free. */
    private pointFor(fresh: Element[], found: [string, Constructed] | null, place: At, at: Point): Element {
        const common = { id: freeId(fresh), label: freeLabel(fresh) };
        const lines = found === null ? [] : this.near(found[1], place, at).filter(([one]) => serves(one.kind, 'f'));
        const [first, second] = lines;
        if (first !== undefined && second !== undefined && found !== null) {
            for (const which of [0, 1]) {
                const element: Element = { ...common, kind: 'intersection', of: [first[0].id, second[0].id], which };
                const probe = { ...found[1].object, elements: [...found[1].object.elements, element] };
                if (farFrom(figuresIn(probe).get(element.id) ?? null, place) <= 2 * REACH * at.unitsPerPixel) {
                    return element;
                }
            }
        }
        if (first !== undefined) {
            const [on, figure] = first;
            const t =
                figure.is === 'straight'
                    ? nearestOf(figure.extent, alongOf(figure, place))
                    : figure.is === 'circle'
                      ? directionOf(figure, place)
                      : 0;
            return { ...common, kind: 'on', of: [on.id], t: Math.round(t * 10000) };
        }
        const drawn = found === null || first === undefined ? this.drawnLine(at) : null;
        if (drawn !== null) {
            return this.onDrawn(fresh, found, place, drawn);
        }
        const [x, y] = this.onGrid(place);
        return { ...common, kind: 'point', x: Math.round(x * TENTHS), y: Math.round(y * TENTHS) };
    }

    /** A straight line of one's own that was drawn there. */
    private drawnLine(at: Point): { id: string; ends: [At, At] } | null {
        const { view, layer } = this.bench;
        for (const [id, placed] of [...view.here()].reverse()) {
            const { object } = placed;
            const isLine = object.type === 'line' || object.type === 'arrow';
            if (
                isLine &&
                placed.layer === layer &&
                placed.locked !== true &&
                touches(placed, at.x, at.y, REACH * at.unitsPerPixel)
            ) {
                const matrix = matrixOf(placed.place);
                const [x, y] = [object.x / TENTHS, object.y / TENTHS];
                const end: At = [x + object.w / TENTHS, y + object.h / TENTHS];
                return { id, ends: [through(matrix, x, y), through(matrix, ...end)] };
            }
        }
        return null;
    }

    /** A point on a drawn line: the line becomes a segment of the construction, so that the point stays on it. */
    private onDrawn(
        fresh: Element[],
        found: [string, Constructed] | null,
        place: At,
        { id, ends }: { id: string; ends: [At, At] },
    ): Element {
        const [from, to] = ends.map((end): At => (found === null ? end : this.localPlace(found[1], end)));
        const corners = [present(from), present(to)].map(([x, y]): string => {
            const one = {
                id: freeId(fresh),
                label: freeLabel(fresh),
                x: Math.round(x * TENTHS),
                y: Math.round(y * TENTHS),
            };
            fresh.push({ ...one, kind: 'point' });
            return one.id;
        });
        const segment = freeId(fresh);
        fresh.push({ id: segment, kind: 'segment', of: corners });
        const [dx, dy] = [present(to)[0] - present(from)[0], present(to)[1] - present(from)[1]];
        const t = ((place[0] - present(from)[0]) * dx + (place[1] - present(from)[1]) * dy) / (dx * dx + dy * dy || 1);
        this.taken.push(id);
        return {
            id: freeId(fresh),
            label: freeLabel(fresh),
            kind: 'on',
            of: [segment],
            t: Math.round(Math.max(0, Math.min(1, t)) * 10000),
        };
    }

    private localPlace({ place }: Placed, [x, y]: At): At {
        return place === undefined ? [x, y] : back(matrixOf(place), x, y);
    }

    /** What a kind makes of what was picked: of a circle and a point outside it both tangents. */
    private made(fresh: Element[], found: [string, Constructed] | null): Element[] {
        const kind = this.kind as ElementKind;
        const numbers = numbersOf(kind, this.bench.settings.constructNumbers, this.scaleIn(found));
        const element: Element = { id: freeId(fresh), kind, of: this.picked, ...numbers };
        if (kind === 'tangent') {
            const second = freeId([...fresh, element]);
            return [element, { ...element, id: second, which: 1 }];
        }
        return [{ ...element, ...(KINDS[kind][1] === 'p' && { label: freeLabel(fresh) }) }];
    }

    /** The same by words alone; false where they say nothing that can be made. */
    inWords(line: string, words: KindWords): boolean {
        const found = this.here(null);
        const elements = found?.[1].object.elements ?? [];
        const element = inWords(line, elements, this.scaleIn(found), words, this.bench.settings.constructNumbers);
        if (element === null) {
            return false;
        }
        if (element.id !== '') {
            this.put(found, [element]);
            return true;
        }
        const isPoint = KINDS[element.kind][1] === 'p';
        const made = {
            ...element,
            id: freeId(elements),
            ...(isPoint && { label: freeLabel(elements) }),
        };
        const both = element.kind === 'tangent' ? [{ ...made, id: freeId([...elements, made]), which: 1 }] : [];
        this.put(found, [made, ...both]);
        return true;
    }

    /** In what a construction is measured, or one that is begun here would be. */
    private scaleIn(found: [string, Constructed] | null): Scale {
        const { view } = this.bench;
        return scaleOf(
            found === null ? (axesOf(view.log.scene.pages.get(view.page)) ?? undefined) : found[1].object.scale,
        );
    }

    /** What the server needs to work a graph out; null where there are no axes. */
    get plotting(): { scale: NonNullable<Construct['scale']>; paper: string } | null {
        const found = this.here(null);
        const { view } = this.bench;
        const scale = found?.[1].object.scale ?? axesOf(view.log.scene.pages.get(view.page));
        return scale === null ? null : { scale, paper: view.paperSize.join('x') };
    }

    /** A graph that was worked out. */
    plot(graph: Plot): void {
        const found = this.here(null);
        this.put(found, [{ ...graph, id: freeId(found?.[1].object.elements ?? []) }]);
    }

    /** Graphs with letters to be tried out, each with the construction that it belongs to. */
    get lettered(): { id: string; element: Element }[] {
        return this.all().flatMap(([id, { object }]) =>
            object.elements
                .filter(({ kind, source = '' }) => kind === 'graph' && /, [a-z] = /.test(source))
                .map((element) => ({ id, element })),
        );
    }

    /** A graph in the place of one that is there: shown while its letters are moved, kept when they are let go. */
    replot(id: string, old: string, graph: Plot, isKept: boolean): void {
        const found = this.all().find(([one]) => one === id);
        const element = { ...graph, id: old };
        if (found === undefined || !found[1].object.elements.some((one) => one.id === old)) {
            return;
        }
        const { object, place } = found[1];
        if (isKept) {
            this.bench.dropWet(id);
            this.bench.make('change', { target: id, set: { put: [element] } });
        } else {
            this.bench.showWet(id, { ...object, elements: withElement(object.elements, element) }, place);
        }
    }

    /** "points 1 2, 3 4": several at once, as a table has them; false where the line says something else. */
    pointsInWords(line: string): boolean {
        const pairs = /^\s*points\s+(.+)$/i.exec(line)?.[1]?.match(/-?−?[\d.]+[\s,;]+-?−?[\d.]+/g) ?? [];
        if (pairs.length === 0) {
            return false;
        }
        const found = this.here(null);
        const fresh = [...(found?.[1].object.elements ?? [])];
        const begun = fresh.length;
        const { origin, across, up } = this.scaleIn(found);
        for (const pair of pairs) {
            const [x = 0, y = 0] = pair
                .replaceAll('−', '-')
                .split(/[\s,;]+/)
                .map(Number);
            fresh.push({
                id: freeId(fresh),
                kind: 'point',
                x: Math.round((origin[0] + x * across) * TENTHS),
                y: Math.round((origin[1] - y * up) * TENTHS),
                label: freeLabel(fresh),
            });
        }
        this.put(found, fresh.slice(begun, begun + MOST_PUT));
        return true;
    }

    private put(found: [string, Constructed] | null, elements: Element[]): void {
        if (elements.length === 0) {
            return;
        }
        const { taken } = this;
        this.taken = [];
        if (taken.length > 0) {
            this.bench.make('remove', { targets: taken });
        }
        if (found !== null) {
            this.bench.make('change', { target: found[0], set: { put: elements } });
            return;
        }
        const { colour, width } = this.bench.settings;
        const scale = axesOf(this.bench.view.log.scene.pages.get(this.bench.view.page));
        this.bench.add(
            plain({ type: 'construction', elements, colour, width, ...(scale !== null && { scale }) }),
            newId(),
        );
    }

    private drop(found: [string, Constructed] | null, at: Point): void {
        const near = found === null ? [] : this.near(found[1], this.local(found[1], at), at);
        const [first] = near;
        // What a teacher handed out stays.
        if (found === null || first === undefined || found[1].layer !== this.bench.layer) {
            this.bench.say(this.bench.words.construct_none);
            return;
        }
        const [{ id }] = first;
        const { elements } = found[1].object;
        const others = dependants(elements, id).length;
        if (others + 1 === elements.length) {
            this.bench.make('remove', { targets: [found[0]] });
        } else {
            this.bench.make('change', { target: found[0], set: { drop: id } });
        }
        if (others > 0) {
            this.bench.say(fill(this.bench.words.construct_gone, { n: others }));
        }
    }

    /**
     * The construction that is gone on with: the one of which something is picked, else the one that has something at
     * the place, else the topmost of one's own; a student's are those that were handed out, too.
     */
    private here(at: Point | null): [string, Constructed] | null {
        const all = this.all();
        const held = all.find(([, { object }]) => object.elements.some(({ id }) => id === this.picked[0]));
        const near =
            at === null
                ? undefined
                : all.find(([, placed]) => this.near(placed, this.local(placed, at), at).length > 0);
        return (this.picked.length > 0 ? held : near) ?? all[0] ?? null;
    }

    /** The topmost first, those of one's own before others. */
    private all(): [string, Constructed][] {
        const { view, layer } = this.bench;
        const found = [...view.log.scene.objects].filter((one): one is [string, Constructed] => {
            const [id, placed] = one;
            const isMine = view.isOwnOrPiece(id, placed, layer);
            return placed.page === view.page && isMine && isConstruction(placed) && placed.locked !== true;
        });
        return found.reverse().sort(([, a], [, b]) => Number(b.layer === layer) - Number(a.layer === layer));
    }

    /** A place on the page as the construction has it: it may have been moved as a whole. */
    private local({ place }: Placed, at: Point, onGrid = false): At {
        const [x, y] = onGrid ? this.onGrid([at.x, at.y]) : [at.x, at.y];
        return place === undefined ? [x, y] : back(matrixOf(place), x, y);
    }

    private onGrid([x, y]: At): At {
        const { view, settings } = this.bench;
        const [atX, atY] = settings.snap
            ? snapped(view.log.scene.pages.get(view.page) ?? { kind: 'blank' }, x, y)
            : [x, y];
        return ontoPaper(view.paperSize, atX, atY);
    }

    private pointAt({ object }: Constructed, place: At, at: Point): Element | null {
        const near = this.near({ object } as Constructed, place, at).filter(([{ kind }]) => serves(kind, 'p'));
        return near[0]?.[0] ?? null;
    }

    /** What is seen near a place, points first, then the nearest. */
    private near({ object }: Constructed, place: At, at: Point): [Element, Figure][] {
        const figures = figuresIn(object);
        const reach = REACH * at.unitsPerPixel;
        return object.elements
            .flatMap((element): { element: Element; figure: Figure; far: number }[] => {
                const figure = figures.get(element.id) ?? null;
                const far = element.hidden === true ? Infinity : farFrom(figure, place);
                return figure !== null && far <= reach ? [{ element, figure, far }] : [];
            })
            .sort((a, b) => Number(b.figure.is === 'point') - Number(a.figure.is === 'point') || a.far - b.far)
            .map(({ element, figure }) => [element, figure]);
    }
}

type Constructed = Placed & { object: Construct };

/** Where a page's axes cross, and how long one is on them; null where there are none. */
function axesOf(backdrop: Backdrop | undefined): NonNullable<Construct['scale']> | null {
    if (backdrop?.kind !== 'axes') {
        return null;
    }
    const [across, up] = axisUnit(backdrop);
    const [width, height] = paperOf(backdrop);
    // The grid lies in the middle of the page.
    const [xFrom, xTo, yFrom, yTo] = ['x_from', 'x_to', 'y_from', 'y_to'].map((name) => Number(backdrop[name]));
    const middle = (from = 0, to = 0): number => (from + to) / 2;
    return {
        x: Math.round((width / 2 - middle(xFrom, xTo) * across) * TENTHS),
        y: Math.round((height / 2 + middle(yFrom, yTo) * up) * TENTHS),
        across: Math.round(across * 1000),
        up: Math.round(up * 1000),
    };
}

function isConstruction(placed: Placed): placed is Constructed {
    return placed.object.type === 'construction';
}

function freeId(elements: Element[]): string {
    const taken = new Set(elements.map(({ id }) => id));
    let n = elements.length + 1;
    while (taken.has(`e${n}`)) {
        n++;
    }
    return `e${n}`;
}

/** A to Z, then A1 and so on. */
function freeLabel(elements: Element[]): string {
    const taken = new Set(elements.map(({ label }) => label));
    for (let round = 0; ; round++) {
        for (const letter of 'ABCDEFGHIJKLMNOPQRSTUVWXYZ') {
            const label = round === 0 ? letter : `${letter}${round}`;
            if (!taken.has(label)) {
                return label;
            }
        }
    }
}
