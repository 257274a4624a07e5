import type { View } from '../canvas/drawing/view';
import type { Selection } from '../canvas/tools/selection';

/** Between a pop-up and what it belongs to, and to the edges, in CSS pixels. */
const GAP = 6;
/** How wide it may become, as a bar beside what is chosen and as a tool's settings, in CSS pixels. */
const BAR = 560;
const PANEL = 440;
/** Above what is chosen stands the handle that turns it. */
const HANDLE = 44;

/** Where a pop-up stands: beside its button in the tray, or beside what is chosen on the page. */
export class PopUp {
    constructor(
        readonly root: HTMLElement,
        private readonly tray: HTMLElement,
        /** It stays within this. */
        private readonly scope: HTMLElement,
    ) {}

    get isOpen(): boolean {
        return !this.root.hidden;
    }

    close(): void {
        this.root.hidden = true;
    }

    /** Beside a button of the tray: above it, or at its side where the tray stands upright. */
    openAt(button: HTMLElement): void {
        this.root.hidden = false;
        const { bounds, own, tray } = this.measured();
        const at = button.getBoundingClientRect();
        const isUpright = tray.height > tray.width;
        const left = isUpright ? tray.left - GAP - own.width : at.left + at.width / 2 - own.width / 2;
        const top = isUpright ? at.top + at.height / 2 - own.height / 2 : tray.top - GAP - own.height;
        this.put(
            clamp(left, bounds.left, bounds.right - own.width),
            clamp(top, bounds.top, bounds.bottom - own.height),
        );
    }

    /** Beside what is chosen: above it, or below where there is no room; it never covers it whole. */
    openBeside(selection: Selection, view: View): void {
        const box = selection.box();
        if (box === null) {
            this.close();
            return;
        }
        this.root.hidden = false;
        const { bounds, own, tray } = this.measured();
        const frame = view.frame.getBoundingClientRect();
        const [left, top] = view.toFrame(box.left, box.top);
        const [right, bottom] = view.toFrame(box.right, box.bottom);
        const floor = tray.height > tray.width ? bounds.bottom : tray.top - GAP;
        const above = frame.top + top - HANDLE - own.height;
        const below = frame.top + bottom + 2 * GAP;
        const ceiling = Math.max(bounds.top, frame.top);
        const place = above >= ceiling ? above : below + own.height <= floor ? below : floor - own.height;
        this.put(
            clamp(frame.left + (left + right) / 2 - own.width / 2, bounds.left, bounds.right - own.width),
            clamp(place, ceiling, floor - own.height),
        );
    }

    private measured(): { bounds: DOMRect; own: DOMRect; tray: DOMRect } {
        const scope = this.scope.getBoundingClientRect();
        // It is as wide as it likes before it is moved: a place near an edge would squeeze it.
        const widest = this.root.dataset.using === 'move' ? BAR : PANEL;
        this.root.style.maxWidth = `${Math.min(widest, scope.width - 2 * GAP)}px`;
        return {
            bounds: new DOMRect(scope.left + GAP, scope.top + GAP, scope.width - 2 * GAP, scope.height - 2 * GAP),
            own: this.root.getBoundingClientRect(),
            tray: this.tray.getBoundingClientRect(),
        };
    }

    private put(left: number, top: number): void {
        const tray = this.tray.getBoundingClientRect();
        Object.assign(this.root.style, {
            left: `${left - tray.left - this.tray.clientLeft}px`,
            top: `${top - tray.top - this.tray.clientTop}px`,
            right: 'auto',
            bottom: 'auto',
        });
    }
}

function clamp(at: number, least: number, most: number): number {
    return Math.max(least, Math.min(most, at));
}
