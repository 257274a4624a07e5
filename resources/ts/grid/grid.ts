import type { Operation, WetInk } from '../canvas/model';
import type { KeptScene } from '../canvas/scene';
import { element } from '../page';
import { tileWidth } from './layout';
import { notePainted } from './painted';
import { Tile, type SeatAnswer, type StateAnswer, type StateWords } from './tile';

const MOST_ORPHANS = 300;

/** A canvas's scene up to operation `n`. */
export interface Kept {
    n: number;
    scene: KeptScene;
}

interface Settings {
    assets: string;
    stamps: Record<string, string>;
    words: StateWords;
    operations(seat: string, operations: Operation[]): void;
    /** Something older than what the tile has was taken back: it needs its canvas's whole log. */
    short(tile: Tile): void;
    wet(seat: string, message: WetInk): void;
    count(states: Map<string, number>): void;
}

/** Every student's canvas for one prompt, side by side. */
export class Grid {
    readonly tiles = new Map<string, Tile>();
    private readonly byCanvas = new Map<string, Tile>();
    private readonly byInk = new Map<string, Tile>();
    private readonly list = element('#grid');
    private readonly template = element<HTMLTemplateElement>('#tile-template');
    /** Operations on canvases that are not here yet: a seat and its first operations may come in any order. */
    private orphans: Operation[] = [];
    private wetWaiting: WetInk[] = [];
    private widest = 420;
    private filter = '';
    private sort = 'seat';

    constructor(private readonly settings: Settings) {
        new ResizeObserver(() => this.fit()).observe(element('#grid-space'));
    }

    /** Shows another prompt's canvases, or the same ones from the start. */
    fill(seats: SeatAnswer[], kept: Record<string, Kept>, operations: Operation[]): void {
        const focused = (document.activeElement?.closest('.tile') as HTMLElement | null)?.dataset.seat;
        this.tiles.clear();
        this.byCanvas.clear();
        this.byInk.clear();
        this.orphans = [];
        this.list.replaceChildren();
        seats.forEach((seat) => this.put(seat));
        this.fit();
        Object.entries(kept).forEach(([canvas, { scene, n }]) => this.byCanvas.get(canvas)?.begin(scene, n));
        const grouped = new Map<string, Operation[]>();
        for (const operation of operations) {
            const some = grouped.get(operation.canvas!) ?? [];
            grouped.set(operation.canvas!, some);
            some.push(operation);
        }
        this.byCanvas.forEach((tile, canvas) => tile.take(grouped.get(canvas) ?? []));
        this.byCanvas.forEach((tile) => tile.view.drawAll());
        this.tiles.get(focused ?? '')?.focus();
    }

    add(seat: SeatAnswer): void {
        if (!this.tiles.has(seat.id)) {
            this.put(seat);
            this.fit();
            const waiting = this.orphans.filter(({ canvas }) => canvas === seat.canvas);
            this.orphans = this.orphans.filter(({ canvas }) => canvas !== seat.canvas);
            this.take(waiting);
        }
    }

    /** The student is not in the room any more; the work is there again when they are. */
    remove(seat: string): void {
        const tile = this.tiles.get(seat);
        if (tile !== undefined) {
            tile.root.remove();
            this.tiles.delete(seat);
            this.byInk.delete(tile.seat.ink);
            this.byCanvas.delete(tile.seat.canvas ?? '');
            this.fit();
        }
    }

    ofCanvas(canvas: string): Tile | undefined {
        return this.byCanvas.get(canvas);
    }

    take(operations: Operation[]): void {
        const grouped = new Map<Tile, Operation[]>();
        for (const operation of operations) {
            const tile = this.byCanvas.get(operation.canvas ?? '');
            if (tile !== undefined) {
                grouped.set(tile, [...(grouped.get(tile) ?? []), operation]);
            } else {
                this.orphans.push(operation);
            }
        }
        this.orphans = this.orphans.slice(-MOST_ORPHANS);
        grouped.forEach((some, tile) => {
            tile.take(some);
            this.settings.operations(tile.seat.id, some);
            if (tile.view.log.isShort) {
                this.settings.short(tile);
            }
        });
    }

    /** Ink being drawn: what came since the last frame is drawn together, just before the next one. */
    wet(message: WetInk): void {
        this.wetWaiting.push(message);
        if (this.wetWaiting.length === 1) {
            requestAnimationFrame(() => this.drawWaiting());
        }
    }

    private drawWaiting(): void {
        for (const message of this.wetWaiting.splice(0)) {
            try {
                this.drawWet(message);
            } catch {
                // Ink that cannot be read is somebody's mischief; finished strokes are checked by the server.
            }
        }
    }

    /** One whose key this desk does not know, or that is meant for another's canvas, is not shown. */
    private drawWet(message: WetInk): void {
        const tile = this.byInk.get(message.k);
        if (tile === undefined || tile.seat.canvas !== message.c) {
            return;
        }
        tile.wet(message);
        this.settings.wet(tile.seat.id, message);
        // What the dry stroke has overtaken is on the page too.
        notePainted(message.o, tile.view.wetInk.get(message.o)?.samples.length ?? Infinity);
    }

    showStates(states: StateAnswer[]): void {
        states.forEach((state) => this.tiles.get(state.seat)?.showState(state));
        const counts = new Map<string, number>();
        this.tiles.forEach((tile) => counts.set(tile.state, (counts.get(tile.state) ?? 0) + 1));
        this.settings.count(counts);
        this.arrange();
    }

    filterBy(state: string): void {
        this.filter = state;
        this.arrange();
        this.fit();
    }

    sortBy(sort: string): void {
        this.sort = sort;
        this.arrange();
    }

    resize(widest: number): void {
        this.widest = widest;
        this.fit();
    }

    visible(): Tile[] {
        return [...this.list.children]
            .map((root) => this.tiles.get((root as HTMLElement).dataset.seat!)!)
            .filter((tile) => !tile.root.hidden);
    }

    get focused(): Tile | undefined {
        const root = document.activeElement?.closest<HTMLElement>('.tile');
        return root === null || root === undefined ? undefined : this.tiles.get(root.dataset.seat!);
    }

    /** The tile beside, above or below another, as they stand on the screen. */
    beside(tile: Tile | undefined, key: string): Tile | undefined {
        const tiles = this.visible();
        const at = tile === undefined ? -1 : tiles.indexOf(tile);
        if (at === -1) {
            return tiles[0];
        }
        const top = tiles[0].root.offsetTop;
        const columns = Math.max(1, tiles.filter((one) => one.root.offsetTop === top).length);
        const steps: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -columns, ArrowDown: columns };
        return tiles[at + (steps[key] ?? 0)];
    }

    fit(): void {
        const space = element('#grid-space');
        const shown = [...this.tiles.values()].filter((tile) => !tile.root.hidden).length;
        const style = getComputedStyle(space);
        const width = space.clientWidth - parseFloat(style.paddingLeft) - parseFloat(style.paddingRight);
        const height = space.clientHeight - parseFloat(style.paddingTop) - parseFloat(style.paddingBottom);
        this.list.style.setProperty('--tile', `${tileWidth(shown, width, height, this.widest)}px`);
        this.tiles.forEach((tile) => tile.view.fit());
        element('#nobody').hidden = this.tiles.size > 0;
    }

    private put(seat: SeatAnswer): void {
        const tile = new Tile(seat, this.template, this.settings.assets, this.settings.stamps, this.settings.words);
        tile.showSent(seat.isSent === true);
        this.tiles.set(seat.id, tile);
        this.byInk.set(seat.ink, tile);
        if (seat.canvas !== null) {
            this.byCanvas.set(seat.canvas, tile);
        }
        this.list.append(tile.root);
    }

    /** Order and filter. Tiles move only when the order really changes, so that nothing jumps. */
    private arrange(): void {
        const order: Record<string, (a: Tile, b: Tile) => number> = {
            seat: (a, b) => a.seat.n - b.seat.n,
            name: (a, b) => a.seat.name.localeCompare(b.seat.name),
            check: (a, b) => (a.level ?? -1) - (b.level ?? -1) || a.seat.n - b.seat.n,
        };
        const sorted = [...this.tiles.values()].sort(order[this.sort]);
        if (sorted.some((tile, i) => this.list.children[i] !== tile.root)) {
            const focused = this.focused;
            this.list.append(...sorted.map((tile) => tile.root));
            focused?.focus();
        }
        let changed = false;
        for (const tile of sorted) {
            const hidden = this.filter !== '' && tile.state !== this.filter;
            changed ||= tile.root.hidden !== hidden;
            tile.root.hidden = hidden;
        }
        if (changed) {
            this.fit();
        }
    }
}
