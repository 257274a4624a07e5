import type { Grid } from '../../grid/grid';
import { element } from '../../page';
import type { Desk } from '../shell/desk';

/** In the close-up all the others, in the grid's order: a press jumps to one of them. */
export class Strip {
    private readonly root = element('#closeup-strip');
    private seat: string | null = null;
    private listed = '';

    constructor(
        desk: Desk,
        private readonly grid: Grid,
    ) {
        desk.bus.on('closeUp', (seat) => {
            this.seat = seat;
            this.show();
        });
        for (const what of ['tiles', 'states', 'renamed'] as const) {
            desk.bus.on(what, () => this.show());
        }
    }

    private show(): void {
        if (this.seat === null) {
            return;
        }
        const tiles = this.grid.visible();
        const listed = tiles.map(({ seat, level }) => `${seat.id} ${seat.name} ${level}`).join('\n');
        if (listed !== this.listed) {
            this.listed = listed;
            const focused = (document.activeElement as HTMLElement | null)?.closest<HTMLElement>(
                '#closeup-strip button',
            );
            this.root.replaceChildren(
                ...tiles.map((tile) => {
                    const { seat, level } = tile;
                    const button = Object.assign(document.createElement('button'), { type: 'button' });
                    Object.assign(button.dataset, { do: 'open-seat', seat: seat.id, level: String(level ?? '') });
                    button.append(
                        Object.assign(document.createElement('span'), { className: 'name-real', dir: 'auto' }),
                        Object.assign(document.createElement('span'), { className: 'name-seat' }),
                    );
                    tile.nameOn(button);
                    return button;
                }),
            );
            this.root.querySelector<HTMLElement>(`[data-seat="${focused?.dataset.seat ?? ''}"]`)?.focus();
        }
        for (const button of this.root.children) {
            const isShown = (button as HTMLElement).dataset.seat === this.seat;
            button.toggleAttribute('aria-current', isShown);
            if (isShown) {
                button.scrollIntoView({ block: 'nearest', inline: 'center' });
            }
        }
    }
}
