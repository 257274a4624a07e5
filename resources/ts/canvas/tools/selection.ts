import { boxOf, cornersOf, pageBox, union, type Box } from '../model/bounds';
import { newId, type CanvasObject, type Order, type Place, type Placed, type Placing } from '../model/objects';
import { lookOf, restyled, type Look } from './look';
import { matrixOf, placeAfter, through } from '../model/place';
import { mayTouch } from '../model/scene';
import { isShape, wholeLook } from '../model/shapelook';
import { following } from '../model/ties';
import { SelectionFrame, type Handle, type Pull } from './frame';
import type { Host } from './host';
import { stretched, stretchOf, type Side } from './stretch';
import { present } from '../../present';

type SelectionHost = Pick<Host, 'layer' | 'surface' | 'view' | 'make' | 'refresh'> & {
    addCopies(placings: Placing[], by: [number, number]): void;
    rewrapped(object: CanvasObject): CanvasObject;
};

interface Shift {
    about?: [number, number];
    scale?: number;
    turn?: number;
    by?: [number, number];
}

/** Turning by hand stops at whole fifteenths of a right angle when Shift is held. */
const EVEN_TURN = 15;

/** What is chosen on a page, the frame around it, and what can be done to it. */
export class Selection {
    readonly ids = new Set<string>();
    private readonly frame: SelectionFrame;
    private pending: Shift | null = null;

    constructor(private readonly bench: SelectionHost) {
        this.frame = new SelectionFrame(bench.surface, bench.view, (handle, start) => this.pull(handle, start));
    }

    choose(ids: string[]): void {
        this.ids.clear();
        ids.forEach((id) => this.ids.add(id));
        // What belongs together is chosen together.
        const groups = new Set([...this.placed()].map(([, { group }]) => group).filter((group) => group !== undefined));
        if (groups.size > 0) {
            for (const [id, { group }] of this.bench.view.here()) {
                if (group !== undefined && groups.has(group)) {
                    this.ids.add(id);
                }
            }
        }
        this.freshen();
        this.bench.refresh();
    }

    toggle(id: string): void {
        const next = new Set(this.ids);
        if (!next.delete(id)) {
            next.add(id);
        }
        this.choose([...next]);
    }

    all(): void {
        this.choose([...this.bench.view.here()].filter((one) => this.mayMove(...one)).map(([id]) => id));
    }

    clear(): void {
        if (this.ids.size > 0) {
            this.choose([]);
        }
    }

    /** Forgets what is no longer on the page, and puts the frame where it belongs. */
    freshen(): void {
        const { objects } = this.bench.view.log.scene;
        for (const id of this.ids) {
            if (objects.get(id)?.page !== this.bench.view.page) {
                this.ids.delete(id);
            }
        }
        this.place();
    }

    get isEmpty(): boolean {
        return this.ids.size === 0;
    }

    *placed(): Iterable<[string, Placed]> {
        for (const id of this.ids) {
            const placed = this.bench.view.log.scene.objects.get(id);
            if (placed !== undefined) {
                yield [id, placed];
            }
        }
    }

    /** In drawing order, each with where it stands. */
    placings(): Placing[] {
        return [...this.bench.view.here()]
            .filter(([id]) => this.ids.has(id))
            .map(([id, { object, place, group }]) => ({
                id,
                object,
                ...(place && { place }),
                ...(group && { group }),
            }));
    }

    /** What its author may move, be it a piece. The teacher may choose what is locked, to unlock it. */
    mayMove(id: string, placed: Placed): boolean {
        const teacher = this.bench.layer === 'lead';
        const pieces = placed.layer === 'pieces' && (teacher || this.bench.layer === 'student');
        return (this.bench.view.isOwn(id, placed, this.bench.layer) || pieces) && mayTouch(placed, teacher);
    }

    get own(): string[] {
        return [...this.placed()]
            .filter(([id, placed]) => this.bench.view.isOwn(id, placed, this.bench.layer) && placed.locked !== true)
            .map(([id]) => id);
    }

    box(): Box | null {
        const boxes = [...this.placed()].map(([, placed]) => pageBox(placed));
        return boxes.length === 0 ? null : union(boxes);
    }

    /** Shows the chosen objects moved, before they are let go. */
    shift(shift: Shift): void {
        this.pending = shift;
        const moving = [...this.placed()].filter(([, { locked }]) => locked !== true);
        const shown = new Map(
            moving.map(([id, placed]): [string, Placed] => [id, { ...placed, place: placeAfter(placed.place, shift) }]),
        );
        const { view } = this.bench;
        const lines = following(
            new Map([...view.here()].map(([id, at]) => [id, shown.get(id) ?? at])),
            new Set(shown.keys()),
        );
        view.float(new Map([...shown, ...lines]));
        this.place();
    }

    /** What was shown moved is moved. */
    land(): void {
        const { pending } = this;
        this.pending = null;
        this.bench.view.floating.clear();
        if (pending === null) {
            this.bench.view.drawAll();
            return;
        }
        this.move(pending);
    }

    /** Moves, turns or scales what is chosen, in one step. */
    move(shift: Shift): void {
        const moving = [...this.placed()].filter(([, { locked }]) => locked !== true);
        if (moving.length === 0) {
            return;
        }
        const places = moving.map(([, { place }]): Place => placeAfter(place, shift));
        this.bench.make('arrange', { targets: moving.map(([id]) => id), places });
    }

    /** About its own middle. */
    turn(degrees: number): void {
        this.move({ about: this.middle(), turn: degrees });
    }

    scale(by: number): void {
        this.move({ about: this.middle(), scale: by });
    }

    order(order: Order): void {
        if (!this.isEmpty) {
            this.bench.make('arrange', { targets: [...this.ids], order });
        }
    }

    group(): void {
        if (this.ids.size > 1) {
            this.bench.make('arrange', { targets: [...this.ids], group: newId() });
        }
    }

    ungroup(): void {
        if (!this.isEmpty) {
            this.bench.make('arrange', { targets: [...this.ids], group: '' });
        }
    }

    get isGrouped(): boolean {
        return [...this.placed()].some(([, { group }]) => group !== undefined);
    }

    get isLocked(): boolean {
        return [...this.placed()].some(([, { locked }]) => locked === true);
    }

    lock(): void {
        if (!this.isEmpty) {
            this.bench.make('arrange', { targets: [...this.ids], lock: !this.isLocked });
            this.bench.refresh();
        }
    }

    remove(): void {
        const targets = this.own;
        if (targets.length > 0) {
            this.clear();
            this.bench.make('remove', { targets });
        }
    }

    /** How the first of what is chosen looks that has such a thing. */
    look(): Look {
        const look: Look = {};
        for (const [, { object, layer, locked }] of this.placed()) {
            if (layer === this.bench.layer && locked !== true) {
                Object.assign(look, { ...lookOf(object), ...look });
            }
        }
        return look;
    }

    /** Gives a choice of the tray to everything chosen that has it; words find their lines and their room anew. */
    set(name: string, value: unknown): void {
        for (const [id, { object, layer, locked }] of [...this.placed()]) {
            if (layer !== this.bench.layer || locked === true) {
                continue;
            }
            const next = { ...object, ...restyled(object, name, value) } as CanvasObject;
            const fresh = (next.type === 'text' || name === 'size'
                ? this.bench.rewrapped(next)
                : next) as unknown as Record<string, unknown>;
            const was = (isShape(object) ? wholeLook(object) : object) as unknown as Record<string, unknown>;
            const set = Object.fromEntries(
                Object.keys(fresh)
                    .filter((one) => fresh[one] !== was[one])
                    .map((one) => [one, fresh[one]]),
            );
            if (Object.keys(set).length > 0) {
                this.bench.make('change', { target: id, set });
            }
        }
    }

    duplicate(): void {
        this.bench.addCopies(this.placings(), [40, 40]);
    }

    showOutline(points: [number, number][]): void {
        this.frame.showOutline(points);
    }

    /** Puts the frame around what is chosen. */
    place(): void {
        const { view, layer } = this.bench;
        this.frame.place(
            [...this.placed()].map(([id, placed]) => view.floating.get(id) ?? placed),
            layer,
        );
    }

    private middle(): [number, number] {
        const box = this.box();
        return box === null ? [0, 0] : [(box.left + box.right) / 2, (box.top + box.bottom) / 2];
    }

    private pull(handle: Handle, start: [number, number]): Pull {
        if (handle === 'e' || handle === 's') {
            return this.stretch(handle === 'e' ? 'w' : 'h', start);
        }
        const about = handle === 'turn' ? this.middle() : this.opposite(handle);
        const angle = ([x, y]: [number, number]): number => (Math.atan2(y - about[1], x - about[0]) * 180) / Math.PI;
        const far = ([x, y]: [number, number]): number => Math.hypot(x - about[0], y - about[1]);
        return {
            move: (now, isEven) => {
                if (handle === 'turn') {
                    const turn = angle(now) - angle(start);
                    this.shift({ about, turn: isEven ? Math.round(turn / EVEN_TURN) * EVEN_TURN : turn });
                } else {
                    this.shift({ about, scale: Math.max(0.05, far(now) / Math.max(1, far(start))) });
                }
            },
            end: () => this.land(),
        };
    }

    /** The one object that is chosen is made wider or taller. */
    private stretch(side: Side, start: [number, number]): Pull {
        const { bench } = this;
        const [id, placed] = present([...this.placed()][0]);
        let object: CanvasObject | null = null;
        return {
            move: (now) => {
                object = bench.rewrapped(stretched(placed, side, start, now));
                bench.view.float([[id, { ...placed, object }]]);
                this.place();
            },
            end: () => {
                bench.view.floating.clear();
                if (object === null) {
                    bench.view.drawAll();
                } else {
                    bench.make('change', { target: id, set: stretchOf(object, side) });
                }
            },
        };
    }

    /** The corner across, on the page: it stays where it is. */
    private opposite(handle: string): [number, number] {
        const shown = [...this.placed()].map(([, placed]) => placed);
        const single = shown.length === 1;
        const box = single ? boxOf(present(shown[0]).object) : present(this.box());
        const [x, y] = present(cornersOf(box)[{ nw: 2, ne: 3, se: 0, sw: 1 }[handle] ?? 0]);
        return single ? through(matrixOf(present(shown[0]).place), x, y) : [x, y];
    }
}
