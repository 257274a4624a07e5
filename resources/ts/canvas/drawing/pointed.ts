import { inFrame, type Camera } from './camera';

/** Where somebody points, in units, and their name. */
export interface Pointing {
    x: number;
    y: number;
    page: string;
    name: string;
    /** Where there are several: the number of the colour in which it stands, from 1. */
    colour?: number;
}

/** A pointer that is not heard of for so long is no longer shown. */
const POINT_MS = 6000;

/** Where somebody else points on the page that is shown. */
export class Pointed {
    private at: Pointing | null = null;
    private mark: HTMLElement | null = null;
    private timer = 0;

    /** @param  moved  the mark is to be placed anew */
    constructor(
        private readonly frame: HTMLElement,
        private readonly moved: (one: Pointed) => void,
    ) {}

    /** Until nothing is heard of it for a while; null, or off the page, for nowhere. */
    show(at: Pointing | null): void {
        this.at = at === null || at.x < 0 || at.y < 0 ? null : at;
        this.moved(this);
        window.clearTimeout(this.timer);
        this.timer = window.setTimeout(() => this.show(null), POINT_MS);
    }

    place(page: string, camera: Camera): void {
        const { at } = this;
        if (at === null || at.page !== page) {
            this.mark?.remove();
            return;
        }
        this.mark ??= Object.assign(document.createElement('span'), { className: 'page-pointer' });
        this.mark.textContent = at.name;
        this.mark.dataset.colour = String(at.colour ?? '');
        const [x, y] = inFrame(camera, at.x, at.y);
        this.mark.style.transform = `translate(${x}px, ${y}px)`;
        if (!this.mark.isConnected) {
            this.frame.append(this.mark);
        }
    }
}
