import type { Grid } from '../../grid/grid';
import { element } from '../../page';
import type { Desk } from '../shell/desk';
import type { Scale } from '../../protocol/desk';
import { present } from '../../present';

function levelButton(model: HTMLElement, key: number, level: number, word: string): HTMLElement {
    const button = model.cloneNode(true) as HTMLElement;
    const mark = element('.strata', button);
    button.dataset.level = String(key);
    mark.dataset.level = String(level);
    button.title = `${word} (${key})`;
    const isShort = button.querySelector('.visually-hidden') !== null;
    button.replaceChildren(
        mark,
        isShort
            ? Object.assign(document.createElement('span'), { className: 'visually-hidden', textContent: word })
            : document.createTextNode(` ${word} `),
    );
    if (!isShort) {
        button.append(Object.assign(document.createElement('kbd'), { textContent: String(key) }));
    }
    return button;
}

/** The small menu of levels that a tile's Strata mark opens. */
export class StrataMenu {
    private readonly root = element('#strata-menu');

    constructor(
        desk: Desk,
        readonly grid: Grid,
    ) {
        desk.bus.on('states', ({ scale }) => this.show(scale));
        desk.actions.add({ strata: (button) => this.open(button) });
        document.addEventListener('click', (event) => this.pressedOutside(event.target as Element));
    }

    /** The levels of a teacher's own scale, the lowest first; null for Strata. */
    private scale: Scale | null = null;
    private readonly strata = new Map<HTMLElement, string>();

    get isStrata(): boolean {
        return this.scale === null;
    }

    /** The menu, and the row for those that are chosen, say the levels of the prompt that is looked at. */
    private show(scale: Scale | null): void {
        if (JSON.stringify(scale) === JSON.stringify(this.scale)) {
            return;
        }
        this.scale = scale;
        for (const place of document.querySelectorAll<HTMLElement>('#strata-menu, .chosen-strata')) {
            if (!this.strata.has(place)) {
                this.strata.set(place, place.innerHTML);
            }
            place.innerHTML = present(this.strata.get(place));
            if (scale === null) {
                continue;
            }
            const model = element('[data-level="3"]', place);
            const buttons = scale.map(({ word, level }, i) => levelButton(model, i + 1, level, word)).reverse();
            place
                .querySelectorAll('[data-level="3"], [data-level="2"], [data-level="1"]')
                .forEach((button) => button.remove());
            place.prepend(...(place.id === 'strata-menu' ? buttons : buttons.reverse()));
        }
    }

    /** The seat whose mark was pressed. */
    get seat(): string {
        return this.root.dataset.seat ?? '';
    }

    get isOpen(): boolean {
        return !this.root.hidden;
    }

    private open(button: HTMLElement): void {
        const box = button.getBoundingClientRect();
        this.root.dataset.seat = present(present(button.closest<HTMLElement>('.tile')).dataset.seat);
        this.root.hidden = false;
        this.root.style.left = `${Math.min(box.left, window.innerWidth - this.root.offsetWidth - 8)}px`;
        this.root.style.top = `${Math.max(8, box.top - this.root.offsetHeight - 4)}px`;
        element('button', this.root).focus();
    }

    close(): void {
        this.root.hidden = true;
    }

    private pressedOutside(target: Element): void {
        if (this.isOpen && target.closest('#strata-menu, [data-do="strata"]') === null) {
            this.close();
        }
    }
}
