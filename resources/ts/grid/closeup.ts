import type { Operation, WetInk } from '../canvas/model';
import { View } from '../canvas/view';
import { element } from '../page';
import { showWet, type Tile } from './tile';

/** One canvas large, in the drawer, as live as its tile. */
export class CloseUp {
    private tile: Tile | null = null;
    private view: View | null = null;
    private readonly page = element('#closeup-page');

    constructor(private readonly assets: string) {
        new ResizeObserver(() => this.view?.fit()).observe(this.page);
    }

    get shown(): Tile | null {
        return this.tile;
    }

    show(tile: Tile): void {
        this.tile = tile;
        this.view = new View(this.page, this.assets);
        this.view.fit();
        this.view.take([...tile.view.log.all()]);
        tile.view.wetInk.forEach((stroke, id) => this.view!.growWet(id, stroke.colour, stroke.width, [...stroke.samples]));
        element('#closeup-name .name-real').textContent = tile.seat.name;
        element('#closeup-name .name-seat').textContent = element('.tile-name .name-seat', tile.root).textContent;
        this.freshen();
    }

    /** The state and the check as the tile has them. */
    freshen(): void {
        if (this.tile === null) {
            return;
        }
        element('#closeup-state').textContent = element('.tile-state-words', this.tile.root).textContent;
        for (const button of document.querySelectorAll<HTMLButtonElement>('#closeup [data-level]')) {
            button.setAttribute('aria-pressed', String(button.dataset.level === String(this.tile.level ?? '')));
        }
    }

    hide(): void {
        this.tile = null;
        this.view = null;
        this.page.replaceChildren();
    }

    take(seat: string, operations: Operation[]): void {
        if (this.tile?.seat.id === seat) {
            this.view!.take(operations);
        }
    }

    wet(seat: string, message: WetInk): void {
        if (this.tile?.seat.id === seat) {
            showWet(this.view!, message);
            this.freshen();
        }
    }
}
