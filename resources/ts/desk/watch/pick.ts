import { post } from '../../live/http';
import { mountWindow } from '../../bench/window';
import type { Grid } from '../../grid/grid';
import type { Tile } from '../../grid/tile';
import { element, fill } from '../../page';

interface Around {
    address: string;
    words: Record<string, string>;
    run(address: string, body: unknown): Promise<boolean>;
    problem(problem: unknown): void;
    open(tile: Tile): void;
}

/** A fair random student: drawn by the server, seen by every teacher, undone where it did not count. */
export class PickWindow {
    private pick: number | null = null;
    private seat = '';
    /** Among whom it is drawn; null for everybody. */
    private among: string[] | null = null;
    private readonly window: HTMLDialogElement;

    constructor(
        private readonly grid: Grid,
        private readonly around: Around,
    ) {
        this.window = mountWindow('#pick', (how) => void this.done(how));
    }

    async draw(among: string[] | null): Promise<void> {
        this.among = among;
        try {
            const told = await post<{ pick: number; seat: string; among: number }>(`${this.around.address}/pick`, {
                seats: among,
            });
            this.show(told.pick, told.seat, told.among);
        } catch (problem) {
            this.around.problem(problem);
        }
    }

    /** Another desk has drawn, or taken it back. */
    hear(pick: number | null, seat: string): void {
        this.grid.tiles.forEach((tile) =>
            tile.root.classList.toggle('is-picked', pick !== null && tile.seat.id === seat),
        );
    }

    private show(pick: number, seat: string, among: number): void {
        const tile = this.grid.tiles.get(seat);
        this.pick = pick;
        this.seat = seat;
        this.hear(pick, seat);
        element('#pick-name').textContent = tile?.nameShown ?? '';
        element('#pick-among').textContent = fill(this.around.words.picked_among, { n: among });
        if (!this.window.open) {
            this.window.showModal();
        }
        tile?.root.scrollIntoView({ block: 'nearest' });
    }

    private async done(how: string): Promise<void> {
        const tile = this.grid.tiles.get(this.seat);
        if (how === 'undo') {
            await this.around.run(`${this.around.address}/pick/${this.pick}/undo`, {});
        } else if (how === 'again') {
            await this.draw(this.among);
        } else if (how === 'screen') {
            await this.around.run(`${this.around.address}/screen`, { view: 'pick' });
        } else if (how === 'close-up' && tile !== undefined) {
            this.around.open(tile);
        } else {
            tile?.focus();
        }
    }
}
