import type { Tile } from './tile';

const bySeat = (a: Tile, b: Tile): number => a.seat.n - b.seat.n;

/**
 * The orders in which tiles can stand. Where two are alike, the seat decides.
 *
 * @param  states  by their names, those who need somebody first
 */
const ordersBy = (states: readonly string[]): Record<string, (a: Tile, b: Tile) => number> => ({
    seat: bySeat,
    name: (a, b) => a.nameShown.localeCompare(b.nameShown) || bySeat(a, b),
    state: (a, b) => states.indexOf(a.state) - states.indexOf(b.state) || bySeat(a, b),
    // The one who has been still longest first.
    last: (a, b) => a.last - b.last || bySeat(a, b),
    amount: (a, b) => b.objects - a.objects || bySeat(a, b),
    check: (a, b) => (a.level ?? -1) - (b.level ?? -1) || bySeat(a, b),
});

/**
 * In which order tiles stand, and which are shown. Both are as they were when the teacher asked for them: who comes to
 * be like what is filtered by joins at the end, who is so no longer stays in its place, and nothing jumps.
 */
export class Order {
    private shown: Tile[] = [];
    private hidden: Tile[] = [];
    sort = 'seat';
    filter = '';
    /** Only those whom this teacher has taken on; empty for everyone. */
    mine = '';
    private readonly orders: ReturnType<typeof ordersBy>;

    /** @param  states  by their names, as tiles are sorted by state */
    constructor(states: readonly string[]) {
        this.orders = ordersBy(states);
    }

    private isLike(tile: Tile): boolean {
        return (
            (this.filter === '' || tile.states.includes(this.filter)) &&
            (this.mine === '' || tile.seat.takenBy?.by === this.mine)
        );
    }

    private sorted(tiles: Iterable<Tile>): Tile[] {
        return [...tiles].sort(this.orders[this.sort]);
    }

    /** As the teacher asks for it, from the present states. */
    begin(tiles: Iterable<Tile>): Tile[] {
        const sorted = this.sorted(tiles);
        this.shown = sorted.filter((tile) => this.isLike(tile));
        this.hidden = sorted.filter((tile) => !this.isLike(tile));
        return [...this.shown, ...this.hidden];
    }

    /** After states have changed, and after tiles have come and gone. */
    goOn(tiles: Iterable<Tile>): Tile[] {
        const there = new Set(tiles);
        this.shown = this.shown.filter((tile) => there.has(tile));
        const known = new Set(this.shown);
        const others = this.sorted([...there].filter((tile) => !known.has(tile)));
        if (this.filter === '' && this.mine === '' && (this.sort === 'seat' || this.sort === 'name')) {
            return this.begin(there);
        }
        this.shown.push(...others.filter((tile) => this.isLike(tile)));
        this.hidden = others.filter((tile) => !this.isLike(tile));
        return [...this.shown, ...this.hidden];
    }

    isShown(tile: Tile): boolean {
        return this.shown.includes(tile);
    }

    /** Shown in its place, but not like what is filtered by any more. */
    isPast(tile: Tile): boolean {
        return this.isShown(tile) && !this.isLike(tile);
    }

    /** Whether asking again would change anything. */
    get isStale(): boolean {
        return (
            this.shown.some((tile) => !this.isLike(tile)) ||
            this.sorted(this.shown).some((tile, i) => tile !== this.shown[i])
        );
    }
}
