import { element } from '../../page';
import type { Maths } from '../model/objects';
import type { Outline } from '../drawing/mathjax';
import { present } from '../../present';

/** Setting begins so long after the last key. */
const PAUSE_MS = 150;

/** The window in which a formula is written: its LaTeX, a pad of signs, and how it will look. */
export class MathsWindow {
    private readonly dialog: HTMLDialogElement;
    private readonly field: HTMLInputElement;
    private readonly preview: SVGSVGElement;
    private readonly problem: HTMLElement;
    private outline: Outline | null = null;
    private settled: ((made: (Outline & Pick<Maths, 'source'>) | null) => void) | null = null;
    private timer = 0;

    constructor(root: ParentNode) {
        this.dialog = element<HTMLDialogElement>('.maths-window', root);
        this.field = element<HTMLInputElement>('.maths-source', this.dialog);
        this.preview = present(this.dialog.querySelector<SVGSVGElement>('svg.maths-preview'));
        this.problem = element('.maths-problem', this.dialog);
        this.field.addEventListener('input', () => this.soon());
        this.dialog.addEventListener('keydown', (event) => event.stopPropagation());
        this.dialog.addEventListener('click', (event) => {
            const sign = (event.target as Element).closest<HTMLElement>('[data-latex]')?.dataset.latex;
            if (sign !== undefined) {
                this.insert(sign);
            }
        });
        this.dialog.addEventListener('submit', (event) => {
            event.preventDefault();
            void this.finish();
        });
        element('[data-cancel]', this.dialog).addEventListener('click', () => this.dialog.close());
        this.dialog.addEventListener('close', () => this.settle(null));
    }

    /** Resolves to the formula, or to null when it was given up. */
    async ask(source = ''): Promise<(Outline & Pick<Maths, 'source'>) | null> {
        this.settle(null);
        this.field.value = source;
        this.outline = null;
        this.say('');
        this.dialog.showModal();
        this.field.focus();
        const made = new Promise<(Outline & Pick<Maths, 'source'>) | null>((resolve) => {
            this.settled = resolve;
        });
        await this.set();
        return made;
    }

    /** Puts a sign in; what was chosen goes into its first place, and the cursor into its next empty one. */
    private insert(sign: string): void {
        const { field } = this;
        const [from, to] = [field.selectionStart ?? field.value.length, field.selectionEnd ?? field.value.length];
        const chosen = field.value.slice(from, to);
        const put = chosen === '' ? sign : sign.replace('{}', `{${chosen}}`);
        field.setRangeText(put, from, to, 'end');
        const empty = put.indexOf('{}');
        if (empty !== -1) {
            field.setSelectionRange(from + empty + 1, from + empty + 1);
        }
        field.focus();
        this.soon();
    }

    private soon(): void {
        window.clearTimeout(this.timer);
        this.timer = window.setTimeout(() => void this.set(), PAUSE_MS);
    }

    private async set(): Promise<void> {
        window.clearTimeout(this.timer);
        const source = this.field.value.trim();
        this.outline = null;
        if (source !== '') {
            try {
                const { outlineOf } = await import('../drawing/mathjax');
                this.outline = outlineOf(source);
                this.say('');
            } catch (problem) {
                this.say((problem as Error).message);
                return;
            }
        }
        const { path, wide, tall } = this.outline ?? { path: '', wide: 1, tall: 1 };
        this.preview.setAttribute('viewBox', `0 0 ${Math.max(1, wide)} ${Math.max(1, tall)}`);
        present(this.preview.querySelector('path')).setAttribute('d', path);
    }

    private async finish(): Promise<void> {
        await this.set();
        const source = this.field.value.trim();
        if (source === '') {
            this.dialog.close();
        } else if (this.outline !== null) {
            this.settle({ source, ...this.outline });
            this.dialog.close();
        }
    }

    private settle(made: (Outline & Pick<Maths, 'source'>) | null): void {
        const { settled } = this;
        this.settled = null;
        settled?.(made);
    }

    private say(problem: string): void {
        this.problem.textContent = problem;
    }
}
