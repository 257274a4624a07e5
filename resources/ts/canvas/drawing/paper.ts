import type { Backdrop } from '../model/objects';
import type { PaperSize } from '../model/paper';

/** The paper of a page with its backdrop, as large as the page in units; the view puts it where the camera sees it. */
export class Paper {
    readonly root = document.createElement('div');
    private readonly picture = document.createElement('img');
    /** A backdrop with writing on it stands in the page itself: a picture cannot use the page's fonts. */
    private readonly lettered = document.createElement('div');
    private shown = '';

    constructor(public assets: string) {
        this.root.className = 'page-paper';
        this.picture.alt = '';
        this.picture.className = 'page-backdrop';
        this.picture.hidden = true;
        this.picture.draggable = false;
        this.lettered.className = 'page-lettered';
        this.lettered.setAttribute('aria-hidden', 'true');
        this.root.append(this.picture, this.lettered);
    }

    show(backdrop: Backdrop, [width, height]: PaperSize): void {
        this.root.style.width = `${width}px`;
        this.root.style.height = `${height}px`;
        const source = backdropAddress(backdrop, this.assets);
        if (source === this.shown) {
            return;
        }
        this.shown = source;
        const hasLetters = LETTERED.includes(backdrop.kind);
        this.picture.hidden = source === '' || hasLetters;
        this.lettered.replaceChildren();
        if (hasLetters) {
            void lettered(source).then((svg) => source === this.shown && this.lettered.replaceChildren(svg));
        } else if (source !== '') {
            this.picture.src = source;
        }
    }
}

const LETTERED = ['axes', 'number-line', 'polar'];
const drawings = new Map<string, Promise<Node>>();

/** A drawing of the server's own as part of the page; each is asked for once. */
async function lettered(source: string): Promise<Node> {
    let drawing = drawings.get(source);
    if (drawing === undefined) {
        drawing = fetch(source)
            .then((answer) => answer.text())
            .then((text) => new DOMParser().parseFromString(text, 'image/svg+xml').documentElement);
        drawing.catch(() => drawings.delete(source));
        drawings.set(source, drawing);
    }
    return (await drawing).cloneNode(true);
}

/** Where the picture of a backdrop is; nowhere for blank paper. */
export function backdropAddress({ kind, asset, ...settings }: Backdrop, assets: string): string {
    if (kind === 'picture') {
        return `${assets}/${asset}`;
    }
    const query = new URLSearchParams({ kind });
    Object.entries(settings).forEach(([name, value]) => query.set(name, String(value)));
    return kind === 'blank' ? '' : `/backdrop.svg?${query}`;
}
