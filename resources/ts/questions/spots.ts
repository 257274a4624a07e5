import type { Spot } from '../protocol/questions';
import type { View } from '../canvas/drawing/view';

/** Letters are so large on the page, in its units: as words that are written on it. */
const LETTERS = 28;
/** Whoever types sees letters of this size at least, in CSS px; with smaller ones phones zoom by themselves. */
const LEAST_TYPED = 16;

/** What stands at places on a canvas's pages and goes with them as they are moved and zoomed. */
export class Spots {
    readonly root = Object.assign(document.createElement('div'), { className: 'spots' });
    private all: { element: HTMLElement; spot: Spot }[] = [];

    constructor(
        private readonly view: View,
        surface: HTMLElement,
        private readonly pages: () => string[],
    ) {
        surface.append(this.root);
        for (const kind of ['pointerdown', 'pointermove', 'pointerup', 'keydown', 'paste', 'wheel']) {
            // What is done in a field is not done to the page under it.
            this.root.addEventListener(kind, (event) => event.target !== this.root && event.stopPropagation());
        }
        for (const kind of ['focusin', 'focusout']) {
            this.root.addEventListener(kind, () => requestAnimationFrame(() => this.place()));
        }
        const before = view.moved;
        view.moved = () => {
            before();
            this.place();
        };
    }

    show(all: { element: HTMLElement; spot: Spot }[]): void {
        this.all = all;
        this.root.replaceChildren(...all.map(({ element }) => element));
        this.place();
    }

    place(): void {
        const page = this.pages().indexOf(this.view.page);
        for (const { element, spot } of this.all) {
            element.hidden = spot.page !== page;
            this.put(element, spot);
        }
    }

    /** All of a box is as large as its letters, which are as large as the page. */
    put(element: HTMLElement, spot: Spot): void {
        const { scale, x, y } = this.view.camera;
        const letters = LETTERS * scale;
        element.style.left = `${x + spot.x * scale}px`;
        element.style.top = `${y + spot.y * scale}px`;
        element.style.width = `${spot.w * scale}px`;
        element.style.fontSize = `${element.matches(':focus-within') ? Math.max(LEAST_TYPED, letters) : letters}px`;
    }
}
