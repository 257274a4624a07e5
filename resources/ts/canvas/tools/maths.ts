import { element } from '../../page';
import type { Maths } from '../model/objects';
import type { Outline } from '../drawing/mathjax';
import { FormulaEditor } from '../maths/editor';
import { present } from '../../present';

/** Setting begins so long after the last key. */
const PAUSE_MS = 150;

/** What a key of the keyboard that is no sign does; false where it is the page's. */
const KEYS: Record<string, (editor: FormulaEditor, isBack: boolean) => boolean> = {
    ArrowLeft: (editor) => editor.left(),
    ArrowRight: (editor) => editor.right(),
    ArrowUp: (editor) => editor.upDown(-1),
    ArrowDown: (editor) => editor.upDown(1),
    Tab: (editor, isBack) => editor.tab(isBack ? -1 : 1),
    Home: (editor) => (editor.home(), true),
    End: (editor) => (editor.end(), true),
    Backspace: (editor) => (editor.backspace(), true),
    Delete: (editor) => (editor.delete(), true),
};
const MOVES: Record<string, (editor: FormulaEditor) => void> = {
    left: (editor) => editor.left(),
    right: (editor) => editor.right(),
    next: (editor) => editor.tab(1) || editor.right(),
    back: (editor) => editor.backspace(),
};

/** The window in which a formula is written: as it will look, a pad of signs, and its LaTeX. */
export class MathsWindow {
    private readonly dialog: HTMLDialogElement;
    /** Takes the keys; what is written is seen below it, with its caret. */
    private readonly keys: HTMLInputElement;
    private readonly field: HTMLInputElement;
    private readonly preview: SVGSVGElement;
    private readonly problem: HTMLElement;
    private readonly editor = new FormulaEditor();
    private outline: Outline | null = null;
    private settled: ((made: (Outline & Pick<Maths, 'source'>) | null) => void) | null = null;
    private timer = 0;

    constructor(root: ParentNode) {
        this.dialog = element<HTMLDialogElement>('.maths-window', root);
        this.keys = element<HTMLInputElement>('.maths-keys', this.dialog);
        this.field = element<HTMLInputElement>('.maths-source', this.dialog);
        this.preview = present(this.dialog.querySelector<SVGSVGElement>('svg.maths-preview'));
        this.problem = element('.maths-problem', this.dialog);
        this.field.addEventListener('input', () => this.soon());
        this.listenForKeys();
        this.dialog.addEventListener('keydown', (event) => event.stopPropagation());
        this.dialog.addEventListener('click', (event) => this.pressed(event.target as Element));
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
        this.keys.focus();
        const made = new Promise<(Outline & Pick<Maths, 'source'>) | null>((resolve) => {
            this.settled = resolve;
        });
        await this.set();
        return made;
    }

    private listenForKeys(): void {
        const { keys } = this;
        keys.addEventListener('keydown', (event) => {
            const does = event.ctrlKey || event.metaKey || event.altKey ? undefined : KEYS[event.key];
            if (does?.(this.editor, event.shiftKey) === true) {
                event.preventDefault();
                void this.written();
            }
        });
        keys.addEventListener('beforeinput', (event) => {
            if (event.isComposing) {
                return;
            }
            event.preventDefault();
            if (event.inputType === 'insertFromPaste' || event.inputType === 'insertText') {
                const words = event.data ?? event.dataTransfer?.getData('text/plain') ?? '';
                [...words].forEach((key) => this.editor.type(key));
            } else if (event.inputType.startsWith('delete')) {
                this.editor.backspace();
            }
            void this.written();
        });
        keys.addEventListener('compositionend', (event) => {
            [...event.data].forEach((key) => this.editor.type(key));
            void this.written();
        });
        keys.addEventListener('focus', () => void this.set());
        keys.addEventListener('blur', () => void this.set());
    }

    /** A key of the pad. Signs go where the caret is, in the formula or in its LaTeX. */
    private pressed(at: Element): void {
        const button = at.closest<HTMLElement>('[data-latex], [data-key], [data-move]');
        if (button === null) {
            return;
        }
        const { latex, key, move } = button.dataset;
        this.keys.focus({ preventScroll: true });
        if (latex !== undefined) {
            this.editor.insert(latex);
        } else if (key !== undefined) {
            this.editor.type(key);
        } else {
            MOVES[move ?? '']?.(this.editor);
        }
        void this.written();
    }

    /** What was written in the formula is its LaTeX too. */
    private async written(): Promise<void> {
        this.field.value = this.editor.source;
        await this.draw();
    }

    private soon(): void {
        window.clearTimeout(this.timer);
        this.timer = window.setTimeout(() => void this.set(), PAUSE_MS);
    }

    /** What stands in the LaTeX field is the formula. */
    private async set(): Promise<void> {
        window.clearTimeout(this.timer);
        if (this.field.value.trim() !== this.editor.source) {
            try {
                this.editor.read(this.field.value);
            } catch {
                // What cannot be worked on is set as it is, and what is wrong with it is said.
            }
        }
        await this.draw();
    }

    private async draw(): Promise<void> {
        const source = this.field.value.trim();
        this.keys.value = source;
        this.outline = null;
        const isWritten = document.activeElement === this.keys;
        try {
            const { outlineOf } = await import('../drawing/mathjax');
            // What was written since is drawn by itself, and its outline is no other's.
            if (source !== this.field.value.trim()) {
                return;
            }
            this.outline = source === '' ? null : outlineOf(source);
            this.say('');
            this.show(isWritten && this.editor.source === source ? outlineOf(this.editor.shown) : this.outline);
        } catch (problem) {
            this.say((problem as Error).message);
        }
    }

    private show(outline: Outline | null): void {
        const { path, wide, tall } = outline ?? { path: '', wide: 1, tall: 1 };
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
