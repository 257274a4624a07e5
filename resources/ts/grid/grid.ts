import type { Operation, WetInk } from '../canvas/model/objects';
import type { KeptScene } from '../canvas/model/scene';
import { Ration } from '../live/ink';
import { element } from '../page';
import { columnGap, pictureSize, shapeOf, tileWidth } from './layout';
import { Order } from './order';
import { notePainted } from './painted';
import type { SeatAnswer, StateAnswer } from '../protocol/desk';
import type { DeskWords } from '../protocol/words';
import { Tile, type PagesShown } from './tile';
import type { Boxes } from '../protocol/questions';
import { present } from '../present';

const MOST_ORPHANS = 300;
/** A page that says every few seconds that it is there, and has been silent for so long, is away. */
const SILENT_MS = 4000;

/** After these a page may be of another shape. */
const RESHAPES = new Set(['backdrop', 'fresh', 'withdraw', 'reinstate', 'give_back']);

/** A canvas's scene up to operation `n`. */
export interface Kept {
    n: number;
    scene: KeptScene;
}

interface Settings {
    assets: string;
    stamps: Record<string, string>;
    words: DeskWords;
    /** By their names, as tiles are sorted by state. */
    states: readonly string[];
    /** Something older than what the tile has was taken back: it needs its canvas's whole log. */
    short(tile: Tile): void;
    wet(seat: string, message: WetInk): void;
    count(states: Map<string, number>): void;
    /** Whether sorting again would change anything, and which pages there are. */
    arranged(isStale: boolean, mostPages: number): void;
}

/** Every student's canvas for one prompt, side by side. Only what can be seen is drawn. */
export class Grid {
    readonly tiles = new Map<string, Tile>();
    private readonly byCanvas = new Map<string, Tile>();
    /** Whose ink it is, and on whose tile it is shown, by the key that it comes under. */
    private readonly byInk = new Map<string, { tile: Tile; seat: string }>();
    private readonly list = element('#grid');
    /** Of the pages that are shown, width to height. */
    private shape = 0;
    private readonly template = element<HTMLTemplateElement>('#tile-template');
    private readonly order: Order;
    private readonly seen: IntersectionObserver;
    /** Operations on canvases that are not here yet: a seat and its first operations may come in any order. */
    private orphans: Operation[] = [];
    private wetWaiting: WetInk[] = [];
    private readonly ration = new Ration(() => performance.now());
    /** When each page that tells so told last that it is there. */
    private readonly heard = new Map<string, number>();
    private widest = 420;
    private seesDrawn = false;
    private pages: PagesShown = 'theirs';

    /** The prompt's answer boxes, with nobody's values. */
    private boxes: Boxes = [];

    constructor(private readonly settings: Settings) {
        this.order = new Order(settings.states);
        const space = element('#grid-space');
        new ResizeObserver(() => this.fit()).observe(space);
        this.seen = new IntersectionObserver(
            (entries) => {
                for (const { target, isIntersecting } of entries) {
                    const tile = this.tiles.get(present((target as HTMLElement).dataset.seat));
                    if (isIntersecting) {
                        tile?.wake();
                    } else {
                        tile?.sleep();
                    }
                }
            },
            { root: space, rootMargin: '60px' },
        );
    }

    /** Shows another prompt's canvases, or the same ones from the start. */
    fill(seats: SeatAnswer[], boxes: Boxes, kept: Record<string, Kept>, operations: Operation[]): void {
        const focused = (document.activeElement?.closest('.tile') as HTMLElement | null)?.dataset.seat;
        this.tiles.forEach((tile) => this.seen.unobserve(tile.root));
        this.tiles.clear();
        this.byCanvas.clear();
        this.byInk.clear();
        this.orphans = [];
        this.list.replaceChildren();
        this.boxes = boxes;
        seats.forEach((seat) => this.put(seat));
        this.arrange(true);
        this.fit();
        Object.entries(kept).forEach(([canvas, { scene, n }]) => this.byCanvas.get(canvas)?.begin(scene, n));
        const grouped = new Map<string, Operation[]>();
        for (const operation of operations) {
            const some = grouped.get(present(operation.canvas)) ?? [];
            grouped.set(present(operation.canvas), some);
            some.push(operation);
        }
        this.byCanvas.forEach((tile, canvas) => tile.take(grouped.get(canvas) ?? []));
        this.reshape();
        this.byCanvas.forEach((tile) => (this.pages === 'theirs' ? tile.view.drawAll() : tile.showPages(this.pages)));
        this.tellArranged();
        this.tiles.get(focused ?? '')?.focus();
    }

    add(seat: SeatAnswer): void {
        if (!this.tiles.has(seat.id)) {
            this.put(seat);
            this.arrange();
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
            this.seen.unobserve(tile.root);
            tile.root.remove();
            this.tiles.delete(seat);
            this.heard.delete(seat);
            this.forgetInk(tile);
            this.byCanvas.delete(tile.seat.canvas ?? '');
            this.arrange();
            this.fit();
        }
    }

    /** Who draws on a group's canvases is others now. */
    regroup(seat: Omit<SeatAnswer, 'canvas'>): void {
        const tile = this.tiles.get(seat.id);
        if (tile !== undefined) {
            this.forgetInk(tile);
            tile.regroup(seat.members ?? []);
            tile.rename(seat);
            this.knowInk(tile);
        }
    }

    /** The tile of a student's work: their own, or their group's. */
    ofSeat(seat: string): Tile | undefined {
        return (
            this.tiles.get(seat) ??
            [...this.tiles.values()].find((tile) => tile.seat.members?.some(({ id }) => id === seat) === true)
        );
    }

    private knowInk(tile: Tile): void {
        const { id, ink, members } = tile.seat;
        this.byInk.set(ink, { tile, seat: id });
        for (const member of members ?? []) {
            this.byInk.set(member.ink, { tile, seat: member.id });
            this.byInk.set(member.own, { tile, seat: member.id });
        }
    }

    private forgetInk(tile: Tile): void {
        for (const [key, hand] of this.byInk) {
            if (hand.tile === tile) {
                this.byInk.delete(key);
            }
        }
    }

    ofCanvas(canvas: string): Tile | undefined {
        return this.byCanvas.get(canvas);
    }

    take(operations: Operation[]): void {
        const grouped = new Map<Tile, Operation[]>();
        let isReshaped = false;
        for (const operation of operations) {
            const tile = this.byCanvas.get(operation.canvas ?? '');
            if (operation.layer === 'private') {
                continue;
            }
            if (tile === undefined) {
                this.orphans.push(operation);
                continue;
            }
            const some = grouped.get(tile) ?? [];
            grouped.set(tile, some);
            some.push(operation);
        }
        this.orphans = this.orphans.slice(-MOST_ORPHANS);
        grouped.forEach((some, tile) => {
            tile.take(some);
            if (tile.view.log.isShort) {
                this.settings.short(tile);
            }
            if (some.some(({ kind }) => kind === 'page')) {
                this.tellArranged();
            }
            isReshaped ||= some.some(({ kind }) => RESHAPES.has(kind));
        });
        if (isReshaped) {
            this.reshape();
        }
    }

    /** Whether a canvas's live view is held: its ink waits. */
    isHeld: (canvas: string) => boolean = () => false;

    /** Ink being drawn: what came since the last frame is drawn together, just before the next one. */
    /** One whose key this desk does not know, or who floods it, is not shown. */
    wet(message: WetInk): void {
        if (!this.byInk.has(message.k) || !this.ration.allows(message.k)) {
            return;
        }
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

    /** What is meant for another's canvas is not shown. */
    private drawWet(message: WetInk): void {
        const hand = this.byInk.get(message.k);
        if (hand === undefined) {
            return;
        }
        const { tile, seat } = hand;
        if (message.b !== undefined) {
            if (message.b === 1) {
                this.heard.set(seat, performance.now());
            } else {
                this.heard.delete(seat);
            }
            if (message.c === tile.seat.canvas) {
                tile.follow(message.g ?? '');
            }
            return;
        }
        if (tile.seat.canvas !== message.c) {
            return;
        }
        if (this.heard.has(seat)) {
            this.heard.set(seat, performance.now());
        }
        if (this.isHeld(message.c)) {
            return;
        }
        if (message.at === undefined) {
            tile.wet(message, seat);
        }
        this.settings.wet(tile.seat.id, message);
        // What the dry stroke has overtaken is on the page too.
        notePainted(message.o, tile.view.wetInk.get(message.o)?.samples.length ?? Infinity);
    }

    /** Names stand otherwise now: what reads them aloud follows. */
    renamed(): void {
        this.tiles.forEach((tile) => tile.sayName());
        if (this.order.sort === 'name') {
            this.arrange(true);
        }
    }

    /**
     * Seats whose pages told that they were there and have stopped: a socket can hang long after its network has gone.
     */
    get silent(): string[] {
        const now = performance.now();
        return [...this.heard].filter(([, at]) => now - at > SILENT_MS).map(([seat]) => seat);
    }

    /** While this page itself hears nothing, nobody is silent. */
    forgetSilence(): void {
        this.heard.clear();
    }

    showStates(states: StateAnswer[]): void {
        states.forEach((state) => this.tiles.get(state.seat)?.showState(state));
        const counts = new Map<string, number>();
        this.tiles.forEach((tile) => tile.states.forEach((state) => counts.set(state, (counts.get(state) ?? 0) + 1)));
        this.settings.count(counts);
        this.arrange();
    }

    filterBy(state: string): void {
        this.order.filter = state;
        this.arrange(true);
        this.fit();
    }

    /** Only those whom a teacher has taken on; empty for everyone. */
    showOf(teacher: string): void {
        this.order.mine = teacher;
        this.arrange(true);
        this.fit();
    }

    get filter(): string {
        return this.order.filter;
    }

    sortBy(sort: string): void {
        this.order.sort = sort;
        this.arrange(true);
    }

    orderAgain(): void {
        this.arrange(true);
        this.fit();
    }

    showPages(pages: PagesShown): void {
        this.pages = pages;
        this.tiles.forEach((tile) => tile.showPages(pages));
    }

    /** Tiles show the part of their pages that is drawn on, or all of it. */
    seeDrawn(isOn: boolean): void {
        this.seesDrawn = isOn;
        this.tiles.forEach((tile) => tile.seeDrawn(isOn));
    }

    resize(widest: number): void {
        this.widest = widest;
        this.fit();
    }

    visible(): Tile[] {
        return [...this.list.children]
            .map((root) => present(this.tiles.get(present((root as HTMLElement).dataset.seat))))
            .filter((tile) => !tile.root.hidden);
    }

    get focused(): Tile | undefined {
        return document.activeElement === null ? undefined : this.tileOf(document.activeElement);
    }

    /** The tile in which something stands. */
    tileOf(part: Element): Tile | undefined {
        return this.tiles.get(part.closest<HTMLElement>('.tile')?.dataset.seat ?? '');
    }

    /** The tile beside, above or below another, as they stand on the screen. */
    beside(tile: Tile | undefined, key: string): Tile | undefined {
        const tiles = this.visible();
        const at = tile === undefined ? -1 : tiles.indexOf(tile);
        if (at === -1) {
            return tiles[0];
        }
        const top = present(tiles[0]).root.offsetTop;
        const columns = Math.max(1, tiles.filter((one) => one.root.offsetTop === top).length);
        const steps: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -columns, ArrowDown: columns };
        return tiles[at + (steps[key] ?? 0)];
    }

    /** Each frame has a line more, for what the student answers. */
    showAnswers(are: boolean): void {
        this.list.classList.toggle('has-answers', are);
        this.fit();
    }

    /** Pages may have another shape now. */
    private reshape(): void {
        if (this.shapeShown() !== this.shape) {
            this.fit();
        }
    }

    private shapeShown(): number {
        return shapeOf([...this.tiles.values()].filter((tile) => !tile.root.hidden).map(({ view }) => view.paperSize));
    }

    fit(): void {
        const space = element('#grid-space');
        const shown = [...this.tiles.values()].filter((tile) => !tile.root.hidden).length;
        const shape = (this.shape = this.shapeShown());
        const style = getComputedStyle(space);
        const width = space.clientWidth - parseFloat(style.paddingLeft) - parseFloat(style.paddingRight);
        const height = space.clientHeight - parseFloat(style.paddingTop) - parseFloat(style.paddingBottom);
        const { classList } = this.list;
        classList.toggle(
            'has-members',
            [...this.tiles.values()].some((tile) => tile.isGroup),
        );
        const lines = ['has-answers', 'has-members'].filter((line) => classList.contains(line)).length;
        const tile = tileWidth(shown, width, height, this.widest, lines, shape);
        this.list.style.setProperty('--tile', `${tile}px`);
        this.list.style.columnGap = `${columnGap(shown, width, tile)}px`;
        this.list.style.setProperty('--shape', String(shape));
        this.tiles.forEach((one) => one.fit(pictureSize(tile, shape)));
        element('#nobody').hidden = this.tiles.size > 0;
        element('#none-of-these').hidden = this.tiles.size === 0 || shown > 0;
    }

    private put(seat: SeatAnswer): void {
        // Of who comes in later, what all have.
        const tile = new Tile(
            { boxes: this.boxes, ...seat },
            this.template,
            this.settings.assets,
            this.settings.stamps,
            this.settings.words,
        );
        if (this.seesDrawn) {
            tile.seeDrawn(true);
        }
        this.tiles.set(seat.id, tile);
        this.knowInk(tile);
        if (seat.canvas !== null) {
            this.byCanvas.set(seat.canvas, tile);
        }
        this.list.append(tile.root);
        tile.sleep();
        this.seen.observe(tile.root);
        if (this.pages !== 'theirs') {
            tile.showPages(this.pages);
        }
    }

    /** Order and filter, as the teacher asked for them last. */
    private arrange(isAsked = false): void {
        const tiles = [...this.tiles.values()];
        const sorted = isAsked ? this.order.begin(tiles) : this.order.goOn(tiles);
        if (sorted.some((tile, i) => this.list.children[i] !== tile.root)) {
            const focused = this.focused;
            this.list.append(...sorted.map((tile) => tile.root));
            focused?.focus();
        }
        let changed = false;
        for (const tile of sorted) {
            const hidden = !this.order.isShown(tile);
            changed ||= tile.root.hidden !== hidden;
            tile.root.hidden = hidden;
            tile.root.classList.toggle('is-past', this.order.isPast(tile));
        }
        if (changed) {
            this.fit();
        }
        this.tellArranged();
    }

    private tellArranged(): void {
        const most = Math.max(1, ...[...this.tiles.values()].map((tile) => tile.view.log.scene.pages.size));
        this.settings.arranged(this.order.isStale, most);
    }
}
