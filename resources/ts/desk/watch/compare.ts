import type { Operation, WetInk } from '../../canvas/model/objects';
import { View } from '../../canvas/drawing/view';
import type { Grid } from '../../grid/grid';
import { showWet, type Tile } from '../../grid/tile';
import { get } from '../../live/http';
import { AnswerBoxes } from '../../questions/boxes';
import { element, fill } from '../../page';
import type { CanvasContext } from '../shell/context';
import type { Desk } from '../shell/desk';
import { present } from '../../present';

/** One of the canvases that stand side by side: at a moment of its own, or live. */
class Pane {
    readonly root: HTMLElement;
    private readonly view: View;
    private readonly slider: HTMLInputElement;
    private operations: Operation[] = [];
    private at = 0;
    private isLive = true;
    /** It has its log: what comes before is only kept. */
    private isBegun = false;

    constructor(
        public tile: Tile,
        template: HTMLTemplateElement,
        private readonly settings: CanvasContext,
    ) {
        this.root = (template.content.cloneNode(true) as DocumentFragment).firstElementChild as HTMLElement;
        this.name();
        this.view = new View(element('.page', this.root), settings.assets, settings.stamps);
        new AnswerBoxes(this.view).show(tile.seat.boxes ?? []);
        this.slider = element<HTMLInputElement>('.compare-at', this.root);
        this.slider.addEventListener('input', () => this.show(Number(this.slider.value)));
        element('.compare-pages', this.root).addEventListener('click', (event) => {
            const page = (event.target as Element).closest<HTMLElement>('[data-turn]')?.dataset.turn;
            if (page !== undefined) {
                this.view.showPage(page);
                this.sayPages();
            }
        });
    }

    name(): void {
        this.tile.nameOn(element('.compare-name', this.root));
    }

    /** Its log from the server, and the moment at which it begins; none for now. */
    async begin(moment?: number): Promise<void> {
        this.add(await this.log());
        this.isBegun = true;
        this.view.fit();
        this.view.page = this.tile.view.page;
        const all = this.operations.length;
        // A moment that is none would show the same twice.
        this.show(moment === undefined ? all : moment > 0 && moment < all ? moment : Math.floor(all / 2));
    }

    /** The same canvas, of which the grid has another tile. What was missed meanwhile is asked for. */
    async goOn(tile: Tile): Promise<void> {
        this.tile = tile;
        this.name();
        this.take(await this.log());
    }

    /** What it shows: a page of its canvas after so many operations. */
    get moment(): { canvas: string; page: string; at: number } {
        return {
            canvas: present(this.tile.seat.canvas),
            page: this.view.page,
            at: this.operations[this.at - 1]?.n ?? 0,
        };
    }

    fit(): void {
        this.view.fit();
    }

    take(operations: Operation[]): void {
        const shown = this.operations[this.at - 1];
        if (!this.add(operations) || !this.isBegun) {
            return;
        }
        // What was missed lies before what is shown.
        const isAnew = this.operations[this.at - 1] !== shown;
        if (this.isLive) {
            this.show(this.operations.length, isAnew);
        } else if (isAnew) {
            this.show(this.operations.indexOf(present(shown)) + 1, true);
        } else {
            this.say();
        }
    }

    wet(message: WetInk): void {
        if (this.isBegun && this.isLive && message.at === undefined) {
            showWet(this.view, message);
        }
    }

    /** Answers whether something was new. */
    private add(operations: Operation[]): boolean {
        const fresh = operations.filter(
            ({ canvas, id }) => canvas === this.tile.seat.canvas && !this.operations.some((one) => one.id === id),
        );
        this.operations.push(...fresh);
        this.operations.sort((a, b) => present(a.n) - present(b.n));
        this.slider.max = String(this.operations.length);
        return fresh.length > 0;
    }

    private async log(): Promise<Operation[]> {
        const { address } = this.settings;
        return (await get<{ operations: Operation[] }>(`${address}/canvas/${this.tile.seat.canvas}/log`)).operations;
    }

    private show(at: number, isAnew = at < this.at): void {
        const { page } = this.view;
        if (isAnew) {
            this.view.reset();
            this.view.take(this.operations.slice(0, at));
        } else {
            this.view.take(this.operations.slice(this.at, at));
        }
        this.at = at;
        this.isLive = at === this.operations.length;
        this.slider.value = String(at);
        this.view.showPage(this.view.log.scene.pages.has(page) ? page : '');
        this.say();
        this.sayPages();
    }

    private say(): void {
        const { words } = this.settings;
        element('.compare-when', this.root).textContent = this.isLive
            ? words.now
            : fill(words.step_of, { at: this.at, of: this.operations.length });
    }

    private sayPages(): void {
        const pages = [...this.view.log.scene.pages.keys()];
        element('.compare-pages', this.root).replaceChildren(
            ...(pages.length === 1
                ? []
                : pages.map((page, i) => {
                      const button = Object.assign(document.createElement('button'), {
                          type: 'button',
                          className: 'chip',
                          textContent: String(i + 1),
                      });
                      button.dataset.turn = page;
                      button.setAttribute('aria-label', fill(this.settings.words.page_n, { n: i + 1 }));
                      button.setAttribute('aria-pressed', String(page === this.view.page));
                      return button;
                  })),
        );
    }
}

/** Two to four canvases side by side, or one at two moments. */
export class Compare {
    private readonly root = element('#compare');
    private readonly template = element<HTMLTemplateElement>('#compare-template');
    private panes: Pane[] = [];
    private before: HTMLElement | null = null;
    readonly work = 'students';
    readonly goesOn = true;

    constructor(
        private readonly desk: Desk,
        private readonly grid: Grid,
    ) {
        desk.bus.on('work', (operations) => this.panes.forEach((pane) => pane.take(operations)));
        desk.bus.on('wet', ({ seat, ink }) =>
            this.panes.forEach((pane) => pane.tile.seat.id === seat && pane.wet(ink)),
        );
        for (const what of ['tiles', 'renamed'] as const) {
            desk.bus.on(what, () => this.panes.forEach((pane) => pane.name()));
        }
        desk.bus.on('filled', () => this.goOn());
        desk.actions.add({
            'show-compare': () => void desk.run(`${desk.address}/moments`, { items: this.moments }),
        });
        new ResizeObserver(() => this.panes.forEach((pane) => pane.fit())).observe(this.root);
    }

    get isOpen(): boolean {
        return !this.root.hidden;
    }

    /** @param some tiles, each with the number of the operation at which it begins, or none for now */
    async open(some: [Tile, number?][]): Promise<void> {
        const { words } = this.desk;
        if (some.length < 2 || some.length > 4 || some.some(([tile]) => tile.seat.canvas === null)) {
            this.desk.say(words.compare_few);
            return;
        }
        this.before = document.activeElement as HTMLElement | null;
        this.root.hidden = false;
        this.root.dataset.panes = String(some.length);
        this.panes = some.map(([tile]) => new Pane(tile, this.template, this.desk));
        element('.compare-panes', this.root).replaceChildren(...this.panes.map(({ root }) => root));
        element('#compare-title').focus();
        try {
            await Promise.all(this.panes.map((pane, i) => pane.begin(present(some[i])[1])));
            this.root.dataset.ready = '1';
        } catch {
            this.desk.say(words.unreachable);
            this.close();
        }
    }

    close(): void {
        this.root.hidden = true;
        delete this.root.dataset.ready;
        this.panes = [];
        element('.compare-panes', this.root).replaceChildren();
        this.before?.focus();
    }

    /** The grid has other tiles by now: canvases that can still be looked at stay beside each other. */
    private goOn(): void {
        if (!this.isOpen) {
            return;
        }
        const tiles = this.panes.map(({ tile: { seat } }) => {
            const tile = this.grid.ofSeat(seat.id);
            return tile?.seat.canvas === seat.canvas ? tile : undefined;
        });
        if (this.desk.store.now.isCovered || tiles.includes(undefined)) {
            this.close();
            return;
        }
        this.panes.forEach((pane, i) => void this.desk.tell(pane.goOn(present(tiles[i]))));
    }

    /** As they stand beside each other now. */
    private get moments(): { canvas: string; page: string; at: number }[] {
        return this.panes.map(({ moment }) => moment);
    }
}
