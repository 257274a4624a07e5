import { HttpProblem, sendFile } from '../../live/http';
import { fill } from '../../page';
import { keepCopy, readCopy } from './clipboard';
import { TENTHS, type Placing } from '../model/objects';
import type { Host } from './host';
import type { Selection } from './selection';
import { wrap } from '../model/words';

type IncomingHost = Pick<Host, 'canvas' | 'settings' | 'surface' | 'view' | 'words' | 'add' | 'say'> & {
    readonly selection: Selection;
    addCopies(placings: Placing[], by: [number, number]): void;
};

const LONGEST_PASTE = 1500;

/**
 * What comes onto a page from elsewhere: copies, pasted words, pictures and drawings from files, a drop or a camera.
 */
export class Incoming {
    constructor(
        private readonly bench: IncomingHost,
        /** Takes files in. */
        private readonly address: string,
    ) {
        this.listen();
    }

    copy(event: ClipboardEvent | null = null): void {
        keepCopy(this.bench.selection.placings(), event);
    }

    cut(event: ClipboardEvent | null = null): void {
        this.copy(event);
        this.bench.selection.remove();
    }

    paste(clip: string | null = null): void {
        this.bench.addCopies(readCopy(clip), [30, 30]);
    }

    /** A picture, a drawing or ink from outside. */
    async bringIn(file: Blob, x?: number, y?: number): Promise<void> {
        const { canvas } = this.bench;
        this.bench.say(this.bench.words.bringing);
        try {
            const { objects } = await sendFile<{ objects: Placing[] }>(this.address, file);
            this.bench.say('');
            if (canvas !== this.bench.canvas) {
                return;
            }
            const [only] = objects;
            if (objects.length === 1 && only?.object.type === 'picture') {
                const seen = this.bench.view.seenPart;
                const [atX, atY] = [x ?? seen.x + seen.w / 2, y ?? seen.y + seen.h / 2];
                only.object = {
                    ...only.object,
                    x: Math.round(atX * TENTHS - only.object.w / 2),
                    y: Math.round(atY * TENTHS - only.object.h / 2),
                };
            }
            this.bench.addCopies(objects, [0, 0]);
        } catch (problem) {
            this.bench.say(
                problem instanceof HttpProblem && problem.status > 0 ? problem.message : this.bench.words.unreachable,
            );
        }
    }

    private listen(): void {
        const elsewhere = (event: Event): boolean =>
            this.bench.surface.offsetParent === null ||
            (event.target instanceof Element &&
                event.target.closest('input, textarea, [contenteditable], dialog') !== null);
        document.addEventListener('copy', (event) => {
            if (!elsewhere(event) && !this.bench.selection.isEmpty) {
                event.preventDefault();
                this.copy(event);
            }
        });
        document.addEventListener('cut', (event) => {
            if (!elsewhere(event) && !this.bench.selection.isEmpty) {
                event.preventDefault();
                this.cut(event);
            }
        });
        document.addEventListener('paste', (event) => {
            if (elsewhere(event)) {
                return;
            }
            event.preventDefault();
            const file = [...(event.clipboardData?.files ?? [])][0];
            const text = event.clipboardData?.getData('text/plain') ?? '';
            if (file !== undefined) {
                void this.bringIn(file);
            } else if (text !== '' && !text.startsWith('crag:')) {
                this.pasteText(text);
            } else {
                this.paste(text);
            }
        });
        this.bench.surface.addEventListener('dragover', (event) => event.preventDefault());
        this.bench.surface.addEventListener('drop', (event) => {
            event.preventDefault();
            const file = event.dataTransfer?.files[0];
            if (file !== undefined) {
                void this.bringIn(file, ...this.bench.view.toPage(event.clientX, event.clientY));
            }
        });
    }

    private pasteText(text: string): void {
        const { colour, size, align } = this.bench.settings;
        const width = this.bench.view.paperSize[0] * 0.7;
        const words = wrap({ text: text.slice(0, LONGEST_PASTE).trim(), size }, width);
        if (text.length > LONGEST_PASTE) {
            this.bench.say(fill(this.bench.words.paste_cut, { n: LONGEST_PASTE }));
        }
        if (words !== '') {
            this.bench.add({
                type: 'text',
                x: 2000,
                y: 2000,
                w: Math.round(width * TENTHS),
                size,
                colour,
                align,
                fixed: true,
                text: words,
            });
        }
    }
}
