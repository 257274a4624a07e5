import htmx from 'htmx.org';
import { morph } from './morph';

const WAIT_MS = 120;

interface Swap {
    shouldSwap: boolean;
    target: Element;
    fragment: DocumentFragment;
}

/**
 * The parts of the desk that the server writes: asked for again, together, a moment after something has changed. What
 * the teacher has ticked or opened in them meanwhile stays.
 */
export class Bands {
    private timer = 0;
    private ticked = new Map<string, boolean>();
    private open = new Set<string>();
    private focused = '';
    private chosen = '';
    private isWriting = false;

    constructor(
        private readonly address: string,
        private readonly changed: () => void,
    ) {
        document.addEventListener('htmx:oobBeforeSwap', (event) => this.write((event as CustomEvent<Swap>).detail));
    }

    refresh(): void {
        if (this.timer === 0) {
            this.timer = window.setTimeout(() => {
                this.timer = 0;
                void htmx.ajax('get', this.address, { source: '#bands-sink', target: '#bands-sink', swap: 'none' });
            }, WAIT_MS);
        }
    }

    private write(swap: Swap): void {
        swap.shouldSwap = false;
        if (!this.isWriting) {
            this.isWriting = true;
            this.keep();
            // After all the bands of an answer.
            queueMicrotask(() => {
                this.isWriting = false;
                this.restore();
                this.changed();
            });
        }
        morph(swap.target, [...swap.fragment.children], 'outerHTML');
        htmx.process(swap.target);
    }

    private keep(): void {
        for (const field of document.querySelectorAll<HTMLInputElement>(
            '#doorway input[type=checkbox], #recipients input',
        )) {
            this.ticked.set(`${field.name} ${field.value} ${field.dataset.seats ?? ''}`, field.checked);
        }
        this.chosen = document.querySelector<HTMLSelectElement>('#pieces-seats')?.value ?? '';
        this.open = new Set(
            [...document.querySelectorAll<HTMLDetailsElement>('details[id][open]')].map(({ id }) => id),
        );
        this.focused = document.activeElement?.id ?? '';
    }

    private restore(): void {
        for (const field of document.querySelectorAll<HTMLInputElement>(
            '#doorway input[type=checkbox], #recipients input',
        )) {
            const was = this.ticked.get(`${field.name} ${field.value} ${field.dataset.seats ?? ''}`);
            field.checked = was ?? field.checked;
        }
        const pieces = document.querySelector<HTMLSelectElement>('#pieces-seats');
        if (pieces !== null && [...pieces.options].some(({ value }) => value === this.chosen)) {
            pieces.value = this.chosen;
        }
        document.querySelectorAll<HTMLDetailsElement>('details[id]').forEach((details) => {
            details.open = details.open || this.open.has(details.id);
        });
        if (this.focused !== '' && document.activeElement === document.body) {
            document.querySelector<HTMLElement>(`#${CSS.escape(this.focused)}`)?.focus({ preventScroll: true });
        }
    }
}
