import { post } from '../../live/http';
import { mountWindow } from '../../bench/window';
import type { Grid } from '../../grid/grid';
import { element, fill } from '../../page';
import type { Desk } from '../shell/desk';
import type { Chosen } from './chosen';
import type { Looking } from './looking';

/** A fair random student: drawn by the server, seen by every teacher, undone where it did not count. */
export class PickWindow {
    private pick: number | null = null;
    private seat = '';
    /** Among whom it is drawn; null for everybody. */
    private among: string[] | null = null;
    /** A key pressed twice draws one. */
    private isDrawing = false;
    private readonly window: HTMLDialogElement;

    constructor(
        private readonly desk: Desk,
        private readonly grid: Grid,
        private readonly chosen: Chosen,
        private readonly looking: Looking,
    ) {
        const pick = (): void => {
            const { tiles } = this.chosen;
            void this.draw(tiles.length > 1 ? tiles.map(({ seat }) => seat.id) : null);
        };
        desk.bus.on('pick', ({ pick, seat }) => this.hear(pick, seat));
        desk.actions.add({ pick }, { pick });
        this.window = mountWindow('#pick', (how) => void this.done(how));
    }

    private async draw(among: string[] | null): Promise<void> {
        if (this.isDrawing) {
            return;
        }
        this.isDrawing = true;
        this.among = among;
        try {
            const told = await post<{ pick: number; seat: string; among: number }>(`${this.desk.address}/pick`, {
                seats: among,
            });
            this.show(told.pick, told.seat, told.among);
        } catch (problem) {
            this.desk.problem(problem);
        }
        this.isDrawing = false;
    }

    /** Another desk has drawn, or taken it back. */
    private hear(pick: number | null, seat: string): void {
        this.grid.tiles.forEach((tile) =>
            tile.root.classList.toggle('is-picked', pick !== null && tile === this.grid.ofSeat(seat)),
        );
    }

    private show(pick: number, seat: string, among: number): void {
        const tile = this.grid.ofSeat(seat);
        this.pick = pick;
        this.seat = seat;
        this.hear(pick, seat);
        const member = tile?.memberNames.find(({ id }) => id === seat);
        element('#pick-name').textContent = member?.name ?? tile?.nameShown ?? '';
        element('#pick-among').textContent = fill(this.desk.words.picked_among, { n: among });
        if (!this.window.open) {
            this.window.showModal();
        }
        tile?.root.scrollIntoView({ block: 'nearest' });
    }

    private async done(how: string): Promise<void> {
        const tile = this.grid.ofSeat(this.seat);
        if (how === 'undo') {
            await this.desk.run(`${this.desk.address}/pick/${this.pick}/undo`, {});
        } else if (how === 'again') {
            await this.draw(this.among);
        } else if (how === 'screen') {
            await this.desk.run(`${this.desk.address}/screen`, { view: 'pick' });
        } else if (how === 'close-up' && tile !== undefined) {
            this.looking.open(tile);
        } else {
            tile?.focus();
        }
    }
}
