import type { View } from '../canvas/view';
import type { Spot } from './fields';

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
        const { scale, x, y } = this.view.camera;
        const page = this.pages().indexOf(this.view.page);
        for (const { element, spot } of this.all) {
            element.hidden = spot.page !== page;
            element.style.left = `${x + spot.x * scale}px`;
            element.style.top = `${y + spot.y * scale}px`;
            element.style.width = `${spot.w * scale}px`;
        }
    }
}
