import type { View } from '../canvas/drawing/view';
import { get } from '../live/http';

/** A line of a page's words with left, top, width and height in ten-thousandths of the page. */
type Line = [words: string, x: number, y: number, w: number, h: number];

const PARTS = 10_000;
const asked = new Map<string, Promise<Line[]>>();

/**
 * The words of a page that was brought in as a PDF, where they stand on its picture: for those who hear the page, and
 * for the browser's own search.
 */
export class PageText {
    private readonly root = Object.assign(document.createElement('section'), { className: 'page-text' });
    private shown = '';

    constructor(
        private readonly view: View,
        stage: HTMLElement,
        label: string,
    ) {
        this.root.setAttribute('aria-label', label);
        this.root.hidden = true;
        stage.append(this.root);
        view.whenSeen(() => void this.show());
        const before = view.moved;
        view.moved = () => {
            before();
            this.place();
        };
    }

    private async show(): Promise<void> {
        const { asset = '', kind } = this.view.log.scene.pages.get(this.view.page) ?? { kind: 'blank' };
        const wanted = kind === 'picture' ? asset : '';
        if (wanted === this.shown) {
            return;
        }
        this.shown = wanted;
        this.root.hidden = true;
        const lines = wanted === '' ? [] : await linesOf(wanted);
        if (this.shown !== wanted) {
            return;
        }
        const [width, height] = this.view.paperSize;
        this.root.replaceChildren(
            ...lines.map(([words, x, y, w, h]) => {
                const line = Object.assign(document.createElement('p'), { textContent: words, dir: 'auto' });
                line.style.left = `${(x * width) / PARTS}px`;
                line.style.top = `${(y * height) / PARTS}px`;
                line.style.width = `${(w * width) / PARTS}px`;
                line.style.fontSize = `${(0.8 * h * height) / PARTS}px`;
                return line;
            }),
        );
        this.root.hidden = lines.length === 0;
        this.place();
    }

    private place(): void {
        const { scale, x, y } = this.view.camera;
        this.root.style.transform = `translate(${x}px, ${y}px) scale(${scale})`;
    }
}

/** What has no words, or cannot be asked for now, has none. */
async function linesOf(asset: string): Promise<Line[]> {
    const before = asked.get(asset);
    if (before !== undefined) {
        return before;
    }
    const lines = get<{ lines: Line[] }>(`/asset/${asset}/text`).then(
        (answer) => answer.lines,
        () => {
            asked.delete(asset);
            return [];
        },
    );
    asked.set(asset, lines);
    return lines;
}
