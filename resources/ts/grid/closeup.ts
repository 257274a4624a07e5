import htmx from 'htmx.org';
import type { Operation, WetInk } from '../canvas/model';
import { View } from '../canvas/view';
import { element, fill } from '../page';
import { Player } from './player';
import { showWet, type Tile } from './tile';

interface Settings {
    address: string;
    assets: string;
    stamps: Record<string, string>;
    words: Record<string, string>;
}

/** One canvas large, in the drawer, as live as its tile: its pages, its files, and its replay. */
export class CloseUp {
    private tile: Tile | null = null;
    private view: View | null = null;
    private readonly page = element('#closeup-page');
    private readonly player: Player;

    constructor(private readonly settings: Settings) {
        this.player = new Player(element('#player'), settings, (playing) => this.page.classList.toggle('is-replayed', playing));
        new ResizeObserver(() => this.view?.fit()).observe(this.page);
        element('#closeup-pages').addEventListener('click', (event) => {
            const page = (event.target as Element).closest<HTMLElement>('[data-turn]')?.dataset.turn;
            if (page !== undefined) {
                this.view!.showPage(page);
                this.freshen();
            }
        });
        element('#replay').addEventListener('click', () => void this.replay());
    }

    get shown(): Tile | null {
        return this.tile;
    }

    show(tile: Tile): void {
        this.player.close();
        this.tile = tile;
        this.view = new View(this.page, this.settings.assets, this.settings.stamps);
        this.view.fit();
        this.view.log = tile.view.log.copy();
        this.view.showPage(tile.view.page);
        tile.view.wetInk.forEach((stroke, id) => this.view!.growWet(id, stroke.type, stroke.colour, stroke.width, [...stroke.samples], stroke.page));
        element('#closeup-name .name-real').textContent = tile.seat.name;
        element('#closeup-name .name-stone').textContent = tile.seat.stone;
        element('#closeup-name .name-seat').textContent = element('.tile-name .name-seat', tile.root).textContent;
        for (const link of document.querySelectorAll<HTMLAnchorElement>('#closeup [data-format]')) {
            link.href = `${this.settings.address}/work/${tile.seat.canvas}.${link.dataset.format}`;
        }
        this.freshen();
        element('#closeup-answers').replaceChildren();
        this.showAnswers();
    }

    /** The page of a tile's canvas that the teacher is looking at. */
    pageOf(tile: Tile): string {
        return (tile === this.tile ? this.view! : tile.view).page;
    }

    /** The state, the check and the pages as the tile has them. */
    freshen(): void {
        if (this.tile === null) {
            return;
        }
        element('#closeup-state').textContent = element('.tile-state-words', this.tile.root).textContent;
        for (const button of document.querySelectorAll<HTMLButtonElement>('#closeup [data-level]')) {
            button.setAttribute('aria-pressed', String(button.dataset.level === String(this.tile.level ?? '')));
        }
        this.showPages();
    }

    hide(): void {
        this.player.close();
        this.tile = null;
        this.view = null;
        this.page.replaceChildren();
    }

    take(seat: string, operations: Operation[]): void {
        if (this.tile?.seat.id === seat) {
            this.view!.take(operations);
            operations.some(({ kind }) => kind === 'answer') && this.showAnswers();
            if (this.view!.log.isShort || operations.some(({ kind }) => kind === 'page')) {
                this.freshen();
            }
        }
    }

    wet(seat: string, message: WetInk): void {
        if (this.tile?.seat.id === seat) {
            showWet(this.view!, message);
            this.freshen();
        }
    }

    /** The answers beside what is right, as the server compares them. */
    private showAnswers(): void {
        if (this.tile !== null && this.tile.seat.canvas !== null) {
            void htmx.ajax('get', `${this.settings.address}/canvas/${this.tile.seat.canvas}/answers`, { source: '#closeup-answers', target: '#closeup-answers', swap: 'innerHTML' });
        }
    }

    private showPages(): void {
        const bar = element('#closeup-pages');
        const pages = [...this.view!.log.scene.pages.keys()];
        bar.hidden = pages.length === 1;
        if (bar.childElementCount !== pages.length) {
            bar.replaceChildren(...pages.map((page, i) => {
                const button = document.createElement('button');
                button.className = 'chip';
                button.dataset.turn = page;
                button.textContent = fill(this.settings.words.page, { n: i + 1, all: pages.length });
                return button;
            }));
        }
        for (const button of bar.querySelectorAll<HTMLElement>('[data-turn]')) {
            button.setAttribute('aria-pressed', String(button.dataset.turn === this.view!.page));
        }
    }

    private async replay(): Promise<void> {
        if (this.tile?.seat.canvas !== null && this.tile !== null) {
            await this.player.open(`${this.settings.address}/canvas/${this.tile.seat.canvas}/replay`);
        }
    }
}
