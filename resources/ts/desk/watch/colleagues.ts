import type { Grid } from '../../grid/grid';
import { post } from '../../live/http';
import { element, fill } from '../../page';
import type { Colleague } from '../../protocol/desk';
import type { Desk } from '../shell/desk';

/** How often a desk of several says that it is there; the server forgets it after a minute. */
const HERE_MS = 20_000;

/** Other teachers of the session: who is here, and at whose canvas, on its tile. */
export class Colleagues {
    private others = new Map<string, Colleague>();
    private seat: string | null = null;
    private isShared: boolean;

    constructor(
        private readonly desk: Desk,
        private readonly grid: Grid,
    ) {
        this.isShared = desk.page.isShared;
        desk.bus.on('closeUp', (seat) => {
            this.seat = seat;
            void this.tell();
        });
        desk.bus.on('here', (colleague) => {
            if (colleague.by !== desk.page.me) {
                const isNew = !this.others.has(colleague.by);
                this.isShared = true;
                this.others.set(colleague.by, colleague);
                this.show();
                // Who comes hears at once who is here.
                if (isNew) {
                    void this.tell();
                }
            }
        });
        desk.bus.on('tiles', () => this.show());
        desk.bus.on('renamed', () => this.show());
        window.setInterval(() => void this.tell(), HERE_MS);
        void this.tell();
    }

    private async tell(): Promise<void> {
        if (!this.isShared || document.visibilityState === 'hidden') {
            return;
        }
        const answer = await post<{ others: Colleague[] }>(`${this.desk.address}/here`, { seat: this.seat }).catch(
            () => null,
        );
        if (answer !== null) {
            this.others = new Map(answer.others.map((one) => [one.by, one]));
            this.show();
        }
    }

    private show(): void {
        const { words } = this.desk;
        const said: string[] = [];
        const at = new Map<string, string[]>();
        for (const { name, seat, isHelper } of this.others.values()) {
            // The same teacher's other device is no colleague.
            if (name === this.desk.page.name) {
                continue;
            }
            const tile = this.grid.ofSeat(seat ?? '');
            const who = isHelper ? fill(words.colleague_helps, { name }) : name;
            said.push(tile === undefined ? who : fill(words.colleague_at, { name: who, student: tile.nameShown }));
            if (tile !== undefined) {
                at.set(tile.seat.id, [...(at.get(tile.seat.id) ?? []), name]);
            }
        }
        this.grid.tiles.forEach((tile, seat) => tile.showColleagues(at.get(seat) ?? []));
        const place = element('#colleagues');
        place.hidden = said.length === 0;
        element('span', place).textContent = said.join(' · ');
    }
}
