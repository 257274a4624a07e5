import type { BenchWords } from '../protocol/words';
import { fill } from '../page';

/** A question that can be answered at the foot of the page. */
export interface InStrip {
    n: number;
    element: HTMLElement;
    /** Where it goes back to. */
    home: HTMLElement;
    page: number;
}

/** The foot of the page, where a box is answered that is too small to be answered where it stands. */
export class AnswerStrip {
    readonly root = Object.assign(document.createElement('div'), { className: 'answer-strip', hidden: true });
    private readonly place = document.createElement('div');
    private readonly name = document.createElement('b');
    private readonly before: HTMLButtonElement;
    private readonly next: HTMLButtonElement;
    private all: InStrip[] = [];
    private open: InStrip | null = null;

    constructor(
        surface: HTMLElement,
        private readonly words: BenchWords,
        /** Its boxes are seen elsewhere again. */
        private readonly changed: () => void,
        /** Another page is to be seen, counted from 0. */
        private readonly turn: (page: number) => void,
    ) {
        this.root.setAttribute('role', 'group');
        this.root.setAttribute('aria-label', words.answer_strip);
        this.name.className = 'answer-strip-n';
        this.place.className = 'answer-strip-field';
        this.before = this.button('‹', words.box_before, () => this.step(-1));
        this.next = this.button('›', words.box_next, () => this.step(1));
        this.root.append(
            this.before,
            this.name,
            this.place,
            this.next,
            this.button('✕', words.box_close, () => this.close()),
        );
        surface.append(this.root);
        for (const kind of ['pointerdown', 'pointermove', 'pointerup', 'keydown', 'paste', 'wheel']) {
            this.root.addEventListener(kind, (event) => event.stopPropagation());
        }
        this.root.addEventListener('keydown', (event) => event.key === 'Escape' && this.close());
        // Above a phone's keyboard.
        window.visualViewport?.addEventListener('resize', () => this.rise());
        window.visualViewport?.addEventListener('scroll', () => this.rise());
    }

    take(all: InStrip[]): void {
        const { open } = this;
        this.all = [...all].sort((a, b) => a.page - b.page || a.n - b.n);
        if (open !== null && !all.includes(open)) {
            this.close();
        }
    }

    show(n: number): void {
        const next = this.all.find((one) => one.n === n);
        if (next === undefined) {
            return;
        }
        this.giveBack();
        this.open = next;
        next.element.hidden = false;
        next.element.removeAttribute('style');
        this.place.replaceChildren(next.element);
        this.name.textContent = String(n);
        this.name.title = fill(this.words.question, { n });
        const at = this.all.indexOf(next);
        this.before.disabled = at === 0;
        this.next.disabled = at === this.all.length - 1;
        this.root.hidden = false;
        this.rise();
        next.element.querySelector<HTMLElement>('input, textarea')?.focus();
    }

    close(): void {
        const { open } = this;
        if (open !== null) {
            (document.activeElement as HTMLElement | null)?.blur();
            this.giveBack();
            this.root.hidden = true;
            this.changed();
        }
    }

    /** Another page is shown: what was open stays behind. */
    showPage(page: number): void {
        if (this.open !== null && this.open.page !== page) {
            this.close();
        }
    }

    private step(by: 1 | -1): void {
        const { open } = this;
        const next = open === null ? undefined : this.all[this.all.indexOf(open) + by];
        if (next !== undefined) {
            (document.activeElement as HTMLElement | null)?.blur();
            this.show(next.n);
            if (next.page !== open?.page) {
                this.turn(next.page);
            }
        }
    }

    private giveBack(): void {
        this.open?.home.append(this.open.element);
        this.open = null;
    }

    private rise(): void {
        const { height, offsetTop } = window.visualViewport ?? { height: window.innerHeight, offsetTop: 0 };
        const keyboard = Math.max(0, window.innerHeight - height - offsetTop);
        this.root.style.transform = keyboard > 0 ? `translateY(${-keyboard}px)` : '';
    }

    private button(sign: string, label: string, pressed: () => void): HTMLButtonElement {
        const button = Object.assign(document.createElement('button'), {
            type: 'button',
            textContent: sign,
            className: 'answer-strip-button',
        });
        button.setAttribute('aria-label', label);
        button.title = label;
        button.addEventListener('click', pressed);
        return button;
    }
}
