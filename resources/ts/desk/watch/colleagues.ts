import type { Grid } from '../../grid/grid';
import { Flush } from '../../live/flush';
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
    private isDue = false;
    private heard = 0;
    /** One at a time: of two under way, the one that says where this desk was before could arrive last. */
    private readonly telling = new Flush({
        isWaiting: () => this.isDue,
        send: () => this.send(),
        changed: () => undefined,
        wait: () => HERE_MS,
    });

    constructor(
        private readonly desk: Desk,
        private readonly grid: Grid,
    ) {
        this.isShared = desk.page.isShared;
        desk.bus.on('closeUp', (seat) => {
            this.seat = seat;
            this.tell();
        });
        desk.bus.on('here', (colleague) => {
            if (colleague.by !== desk.page.me) {
                this.heard++;
                const isNew = !this.others.has(colleague.by);
                this.isShared = true;
                this.others.set(colleague.by, colleague);
                this.show();
                // Who comes hears at once who is here.
                if (isNew) {
                    this.tell();
                }
            }
        });
        desk.bus.on('tiles', () => this.show());
        desk.bus.on('renamed', () => this.show());
        window.setInterval(() => this.tell(), HERE_MS);
        this.tell();
    }

    private tell(): void {
        if (this.isShared && document.visibilityState !== 'hidden') {
            this.isDue = true;
            void this.telling.now();
        }
    }

    private async send(): Promise<void> {
        this.isDue = false;
        const { heard } = this;
        const { others } = await post<{ others: Colleague[] }>(`${this.desk.address}/here`, { seat: this.seat });
        // What was heard of since may be newer than the answer.
        if (heard !== this.heard) {
            this.isDue = true;
            return;
        }
        this.others = new Map(others.map((one) => [one.by, one]));
        this.show();
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
