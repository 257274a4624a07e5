import type { Grid } from '../../grid/grid';
import type { Operation } from '../../canvas/model/objects';
import { element, fill } from '../../page';
import type { Desk } from '../shell/desk';
import type { Tile } from '../../grid/tile';

/**
 * The live view held: of everybody or of one student. Nothing is lost by it: what comes waits here, in its order, and
 * is drawn when the view goes on.
 */
export class Hold {
    private isOfAll = false;
    private readonly canvases = new Set<string>();
    private waiting: Operation[] = [];
    private since = '';

    constructor(
        private readonly desk: Desk,
        private readonly grid: Grid,
        private readonly shown: () => Tile | null,
    ) {
        const all = (): void => this.holdAll(!this.isOfAll);
        desk.actions.add({
            hold: all,
            'hold-one': () => {
                const canvas = shown()?.seat.canvas ?? null;
                if (canvas !== null) {
                    this.holdOne(canvas, !this.holds(canvas));
                }
            },
            'go-on': () => this.goOn(),
        });
        grid.isHeld = (canvas) => this.holds(canvas);
        // Another prompt's canvases come as they are now; and so do these when they are covered or revealed.
        desk.store.follow('looking', () => this.forget());
        desk.store.follow('isCovered', () => this.forget());
        desk.bus.on('closeUp', () => this.show());
        desk.bus.on('tiles', () => this.show());
    }

    /** Those that are drawn now; the others wait. */
    sort(operations: Operation[]): Operation[] {
        if (!this.isOfAll && this.canvases.size === 0) {
            return operations;
        }
        const [now, later]: [Operation[], Operation[]] = [[], []];
        operations.forEach((one) => (this.holds(one.canvas ?? '') ? later : now).push(one));
        this.waiting.push(...later);
        return now;
    }

    private holds(canvas: string): boolean {
        return this.canvases.has(canvas) || (this.isOfAll && this.grid.ofCanvas(canvas) !== undefined);
    }

    private holdAll(isHeld: boolean): void {
        this.isOfAll = isHeld;
        if (!isHeld) {
            this.canvases.clear();
        }
        this.changed();
    }

    private holdOne(canvas: string, isHeld: boolean): void {
        if (isHeld) {
            this.canvases.add(canvas);
        } else if (this.isOfAll) {
            // One goes on, the others stay as they are.
            this.isOfAll = false;
            this.grid.tiles.forEach(({ seat }) => seat.canvas !== null && this.canvases.add(seat.canvas));
            this.canvases.delete(canvas);
        } else {
            this.canvases.delete(canvas);
        }
        this.changed();
    }

    private goOn(): void {
        this.canvases.clear();
        this.holdAll(false);
    }

    /** What was held is on the page anew. */
    private forget(): void {
        this.waiting = [];
        this.isOfAll = false;
        this.canvases.clear();
        this.show();
    }

    private changed(): void {
        const { bus, store } = this.desk;
        this.since ||= new Date(this.desk.now()).toLocaleTimeString(document.documentElement.lang, {
            hour: '2-digit',
            minute: '2-digit',
        });
        const now = this.sort(this.waiting.splice(0));
        bus.tell('operations', now);
        if (!store.now.isCovered) {
            bus.tell('work', now);
        }
        this.show();
    }

    private show(): void {
        const isAny = this.isOfAll || this.canvases.size > 0;
        this.since = isAny ? this.since : '';
        this.grid.tiles.forEach((tile) => tile.showHeld(this.holds(tile.seat.canvas ?? '')));
        const held = element('#held');
        held.hidden = !isAny;
        const n = this.canvases.size;
        const { words } = this.desk;
        element('span', held).textContent = this.isOfAll
            ? fill(words.held_all, { time: this.since })
            : fill(words.held_some, { n, time: this.since });
        element('#hold').setAttribute('aria-pressed', String(this.isOfAll));
        const one = this.shown()?.seat.canvas ?? '';
        element('#hold-one').setAttribute('aria-pressed', String(this.holds(one)));
    }
}
