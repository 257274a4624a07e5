import { element, fill } from '../../page';
import type { Tile } from '../../grid/tile';
import type { Desk } from '../shell/desk';
import type { Canvases } from '../watch/canvases';
import type { Looking } from '../watch/looking';
import type { Checking } from './checking';
import type { ClassPicture } from './picture';
import { present } from '../../present';

const NAMELESS = 'crag-pass-nameless';

/** A check pass: one canvas after the other, large, and one key for each. It ends with the class picture. */
export class CheckPass {
    private queue: Tile[] = [];
    private at = -1;
    private telling: Promise<void>[] = [];
    private readonly bar = element('#pass');
    private readonly nameless = element<HTMLInputElement>('#pass-nameless');

    constructor(
        private readonly desk: Desk,
        private readonly canvases: Canvases,
        private readonly looking: Looking,
        private readonly checking: Checking,
        private readonly picture: ClassPicture,
    ) {
        const begin = (): void => this.begin();
        desk.actions.add(
            {
                pass: begin,
                'pass-end': () => this.end(),
                'pass-check': ({ dataset: { level = '0' } }) => this.check(Number(level)),
            },
            { pass: begin },
        );
        this.nameless.checked = localStorage.getItem(NAMELESS) === '1';
        this.nameless.addEventListener('change', () => {
            localStorage.setItem(NAMELESS, this.nameless.checked ? '1' : '0');
            this.show();
        });
        desk.bus.on('closeUp', (seat) => this.follow(seat));
        const close = looking.gone;
        looking.gone = () => (this.isOn ? this.goOn() : close());
        desk.bus.on('seat', ({ seat, state }) => state !== 'seated' && this.leaveOut(seat.id));
        desk.bus.on('filled', () => this.renew());
    }

    private get isOn(): boolean {
        return this.at >= 0;
    }

    /** A check of what is meant; in a pass, of the canvas whose turn it is, and then the next. */
    check(level: number | null): void {
        const tile = this.queue[this.at];
        if (tile === undefined) {
            void this.checking.check(level);
            return;
        }
        this.telling.push(this.checking.check(level, [tile]));
        if (level !== null) {
            this.goOn();
        }
    }

    /** Through what is chosen, or all that is shown. */
    private begin(): void {
        const { chosen } = this.looking;
        const tiles = chosen.isEmpty ? this.canvases.grid.visible() : chosen.tiles;
        const queue = tiles.filter(({ seat }) => seat.canvas !== null);
        const { store, words } = this.desk;
        if (queue.length === 0 || store.now.isCovered) {
            this.desk.say(store.now.isCovered ? words.covered : words.no_canvas);
            return;
        }
        const shown = this.looking.closeUp.shown;
        this.queue = queue;
        this.at = Math.max(0, shown === null ? 0 : queue.indexOf(shown));
        this.looking.open(present(queue[this.at]));
        this.show();
    }

    private goOn(): void {
        if (this.at + 1 < this.queue.length) {
            this.at++;
            this.looking.open(present(this.queue[this.at]), false);
            this.show();
            return;
        }
        this.end();
        this.looking.close();
        // With the checks that are still on their way.
        void Promise.all(this.telling.splice(0)).then(() => this.picture.open());
    }

    /** Who has left the room is not gone through any more. */
    private leaveOut(seat: string): void {
        const at = this.queue.findIndex((tile) => tile.seat.id === seat);
        if (this.isOn && at >= 0) {
            this.queue.splice(at, 1);
            this.at -= at < this.at ? 1 : 0;
            this.show();
        }
    }

    /** The grid has other tiles by now: it goes through those. */
    private renew(): void {
        const { grid } = this.canvases;
        this.queue
            .filter(({ seat }) => grid.ofSeat(seat.id) === undefined)
            .forEach(({ seat }) => this.leaveOut(seat.id));
        this.queue = this.queue.map((tile) => grid.ofSeat(tile.seat.id) ?? tile);
    }

    /** The close-up has turned to another canvas, or was closed. */
    private follow(seat: string | null): void {
        if (!this.isOn) {
            return;
        }
        const at = this.queue.findIndex((tile) => tile.seat.id === seat);
        if (at < 0) {
            this.end();
        } else {
            this.at = at;
            this.show();
        }
    }

    private end(): void {
        this.queue = [];
        this.at = -1;
        this.show();
    }

    private show(): void {
        this.bar.hidden = !this.isOn;
        document.body.classList.toggle('is-nameless', this.isOn && this.nameless.checked);
        const said = fill(this.desk.words.pass_at, { n: this.at + 1, all: this.queue.length });
        const place = element('#pass-at');
        if (this.isOn && place.textContent !== said) {
            place.textContent = said;
        }
    }
}
