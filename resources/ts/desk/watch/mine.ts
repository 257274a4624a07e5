import type { Grid } from '../../grid/grid';
import { element } from '../../page';
import type { Desk } from '../shell/desk';
import type { Chosen } from './chosen';

/** Several teachers split the room: each takes some students on, and can have the grid show just those. */
export class Mine {
    private readonly filter = element('#mine');
    private readonly take = element('#take-chosen');
    private isShared: boolean;

    constructor(
        private readonly desk: Desk,
        private readonly grid: Grid,
        private readonly chosen: Chosen,
    ) {
        const { bus, actions, page } = desk;
        this.isShared = page.isShared;
        bus.on('here', ({ by }) => {
            this.isShared ||= by !== page.me;
            this.show();
        });
        for (const what of ['tiles', 'renamed', 'group', 'seat', 'states'] as const) {
            bus.on(what, () => this.show());
        }
        chosen.changed = () => this.show();
        actions.add({
            mine: () => {
                const isOn = this.filter.getAttribute('aria-pressed') !== 'true';
                this.filter.setAttribute('aria-pressed', String(isOn));
                this.grid.showOf(isOn ? (page.me ?? '') : '');
                bus.tell('tiles', null);
            },
            'take-on-chosen': () => {
                const seats = this.chosen.tiles.map(({ seat }) => seat.id);
                if (seats.length > 0) {
                    void desk.run(`${desk.address}/take-on`, { seats, on: !this.areMine });
                }
            },
        });
        this.show();
    }

    private isMine = ({ seat }: { seat: { takenBy: { by: string } | null } }): boolean =>
        seat.takenBy?.by === this.desk.page.me;

    private get areMine(): boolean {
        return this.chosen.tiles.every(this.isMine);
    }

    private show(): void {
        const n = [...this.grid.tiles.values()].filter(this.isMine).length;
        const isOn = this.filter.getAttribute('aria-pressed') === 'true';
        this.filter.hidden = n === 0 && !isOn;
        element('.count', this.filter).textContent = String(n);
        this.take.hidden = !this.isShared && n === 0;
        element('span', this.take).textContent = this.areMine ? this.desk.words.not_mine : this.desk.words.take_on;
    }
}
