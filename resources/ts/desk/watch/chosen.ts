import type { Grid } from '../../grid/grid';
import type { Tile } from '../../grid/tile';
import { element, fill } from '../../page';
import type { Desk } from '../shell/desk';

/** A drag shorter than this, in pixels, is a click. */
const DRAG_PX = 6;

/** The tiles that are chosen for something: by name, by Ctrl and Shift, by a box, by what they have in common. */
export class Chosen {
    private readonly seats = new Set<string>();
    private last = '';
    private readonly bar = element('#chosen');

    constructor(
        private readonly desk: Desk,
        private readonly grid: Grid,
    ) {
        this.listenToBox();
        desk.bus.on('tiles', () => this.show());
        desk.actions.add({
            choose: (button, event) => {
                const tile = grid.tileOf(button);
                if (tile !== undefined) {
                    if (event.shiftKey) {
                        this.upTo(tile);
                    } else {
                        this.toggle(tile);
                    }
                }
            },
            'choose-none': () => this.choose([]),
        });
    }

    get isEmpty(): boolean {
        return this.tiles.length === 0;
    }

    /** In the order in which they stand. */
    get tiles(): Tile[] {
        return this.grid.visible().filter(({ seat }) => this.seats.has(seat.id));
    }

    has(tile: Tile): boolean {
        return this.seats.has(tile.seat.id);
    }

    toggle(tile: Tile): void {
        if (!this.seats.delete(tile.seat.id)) {
            this.seats.add(tile.seat.id);
        }
        this.last = tile.seat.id;
        this.show();
    }

    /** From the one that was chosen last up to this one. */
    upTo(tile: Tile): void {
        const tiles = this.grid.visible();
        const from = Math.max(
            0,
            tiles.findIndex(({ seat }) => seat.id === this.last),
        );
        const to = tiles.indexOf(tile);
        tiles.slice(Math.min(from, to), Math.max(from, to) + 1).forEach(({ seat }) => this.seats.add(seat.id));
        this.show();
    }

    /** The one from which the next reach begins. */
    startAt(tile: Tile): void {
        if (this.seats.size === 0) {
            this.last = tile.seat.id;
        }
    }

    choose(seats: Iterable<string>): void {
        this.seats.clear();
        for (const seat of seats) {
            this.seats.add(seat);
            this.last = seat;
        }
        this.show();
    }

    /** Others are chosen now. */
    changed: () => void = () => undefined;

    /** After tiles have come and gone. */
    show(): void {
        for (const tile of this.grid.tiles.values()) {
            const is = this.has(tile);
            tile.root.classList.toggle('is-chosen', is);
            element('.tile-name', tile.root).setAttribute('aria-pressed', String(is));
        }
        const n = this.tiles.length;
        this.changed();
        this.bar.hidden = n === 0;
        const said = fill(this.desk.words.chosen_count, { n });
        const place = element('#chosen-count');
        if (place.textContent !== said) {
            place.textContent = said;
        }
    }

    /** A box drawn from an empty place of the grid. */
    private listenToBox(): void {
        const space = element('#grid-space');
        const box = Object.assign(document.createElement('div'), { className: 'choose-box' });
        space.addEventListener('pointerdown', (down) => {
            if (
                down.pointerType === 'touch' ||
                down.button !== 0 ||
                (down.target as Element).closest('.tile, button') !== null
            ) {
                return;
            }
            const before = down.shiftKey || down.ctrlKey ? new Set(this.seats) : new Set<string>();
            let isBox = false;
            const move = (event: PointerEvent): void => {
                isBox ||= Math.hypot(event.clientX - down.clientX, event.clientY - down.clientY) > DRAG_PX;
                if (!isBox) {
                    return;
                }
                const left = Math.min(down.clientX, event.clientX);
                const right = Math.max(down.clientX, event.clientX);
                const top = Math.min(down.clientY, event.clientY);
                const bottom = Math.max(down.clientY, event.clientY);
                Object.assign(box.style, {
                    left: `${left}px`,
                    top: `${top}px`,
                    width: `${right - left}px`,
                    height: `${bottom - top}px`,
                });
                if (!box.isConnected) {
                    document.body.append(box);
                }
                const inside = this.grid.visible().filter(({ root }) => {
                    const at = root.getBoundingClientRect();
                    return at.left < right && at.right > left && at.top < bottom && at.bottom > top;
                });
                this.choose([...before, ...inside.map(({ seat }) => seat.id)]);
            };
            const end = (): void => {
                box.remove();
                window.removeEventListener('pointermove', move);
                window.removeEventListener('pointerup', end);
                window.removeEventListener('pointercancel', end);
                if (!(isBox || before.size > 0)) {
                    this.choose([]);
                }
            };
            window.addEventListener('pointermove', move);
            window.addEventListener('pointerup', end);
            window.addEventListener('pointercancel', end);
        });
    }
}
