import type { Spot } from '../protocol/questions';
import type { View } from '../canvas/drawing/view';
import { LINE } from './boxes';

/** Letters are so large on the page, in its units: as words that are written on it. */
const LETTERS = 28;
/** Whoever types sees letters of this size at least, in CSS px; with smaller ones phones zoom by themselves. */
const LEAST_TYPED = 16;
/** On a page that is seen smaller than this, nobody can read or hit what stands in a box. */
const LEAST_SCALE = 0.6;

/** What stands at a place: a field, or what there is to press where a field would be too small. */
export interface Placed {
    element: HTMLElement;
    spot: Spot;
    /** Pressed instead, where the page is seen small; without one it is the same at every size. */
    dot?: HTMLElement;
}

/** What stands at places on a canvas's pages and goes with them as they are moved and zoomed. */
export class Spots {
    readonly root = Object.assign(document.createElement('div'), { className: 'spots' });
    /** Called when the page is seen small, or large again. */
    turned: (isSmall: boolean) => void = () => undefined;
    private all: Placed[] = [];
    private wasSmall = false;

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
        // Another page has other boxes.
        view.whenSeen(() => this.place());
        const before = view.moved;
        view.moved = () => {
            before();
            this.place();
        };
    }

    show(all: Placed[]): void {
        this.all = all;
        this.root.replaceChildren(
            ...all.flatMap(({ element, dot }) => (dot === undefined ? [element] : [dot, element])),
        );
        this.place();
    }

    /** Whether boxes are too small to be answered where they stand. */
    get isSmall(): boolean {
        return this.view.camera.scale < LEAST_SCALE;
    }

    place(): void {
        const page = this.pages().indexOf(this.view.page);
        const { isSmall } = this;
        if (isSmall !== this.wasSmall) {
            this.wasSmall = isSmall;
            this.turned(isSmall);
        }
        for (const { element, spot, dot } of this.all) {
            const isHere = spot.page === page;
            if (dot !== undefined) {
                dot.hidden = !isHere || !isSmall;
                this.put(dot, spot);
            }
            if (this.root.contains(element)) {
                element.hidden = !isHere || (isSmall && dot !== undefined);
                this.put(element, spot);
            }
        }
    }

    /** All of a box is as large as its letters, which are as large as the page. */
    put(element: HTMLElement, spot: Spot): void {
        const { scale, x, y } = this.view.camera;
        const letters = LETTERS * scale;
        element.style.left = `${x + spot.x * scale}px`;
        element.style.top = `${y + spot.y * scale}px`;
        element.style.width = `${spot.w * scale}px`;
        const height = `${(spot.h ?? LINE) * scale}px`;
        element.style.minHeight = height;
        // What was drawn as a box stays as tall as it was drawn.
        const isDrawn = spot.bare === true || element.dataset.byHand !== undefined;
        element.style.height = spot.h !== undefined && isDrawn ? height : '';
        element.style.fontSize = `${element.matches(':focus-within') ? Math.max(LEAST_TYPED, letters) : letters}px`;
    }
}
