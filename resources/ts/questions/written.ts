import type { BenchWords } from '../protocol/words';
import type { Asked, Spot } from '../protocol/questions';
import type { Workbench } from '../canvas/workbench';
import { fill } from '../page';
import { isByHand, isIn, isMiddleIn, LINE } from './boxes';

/** What the server read: App\Http\Controllers\Student\InkController. */
export interface ReadInk {
    text: string;
    sure?: boolean;
    others?: string[];
    latex?: string;
}

/** Who reads what was written by hand, and learns from what its writer says. */
export interface InkReader {
    read(question: string): Promise<ReadInk>;
    learn(question: string, says: string): void;
}

/** A hand that rests for so long has written its answer. */
const PAUSE_MS = 1200;
/** Of the frame's height: below this a box has the bar above it. */
const LOW = 0.6;

interface Written {
    asked: Asked & { spot: Spot };
    n: number;
    /** The strokes that were there when it was read or confirmed last. */
    known: string;
    /** What was read and waits to be confirmed. */
    waits: ReadInk | null;
}

/**
 * Answers that are written by hand in their boxes: read as the pen pauses, and shown at the edge of the page to be
 * confirmed, corrected by rewriting, or typed. Nothing counts before that.
 */
export class WrittenAnswers {
    readonly root = Object.assign(document.createElement('div'), { className: 'written-bar', hidden: true });
    private readonly says = Object.assign(document.createElement('output'), { className: 'written-says', dir: 'auto' });
    private readonly said = document.createElement('span');
    private readonly name = Object.assign(document.createElement('b'), { className: 'answer-strip-n' });
    private readonly others = Object.assign(document.createElement('span'), { className: 'written-others' });
    private readonly form = Object.assign(document.createElement('form'), { className: 'written-form', hidden: true });
    private readonly input = Object.assign(document.createElement('input'), {
        type: 'text',
        className: 'form-control',
        maxLength: 300,
        autocomplete: 'off',
        autocapitalize: 'off',
        spellcheck: false,
        dir: 'auto',
    });
    private all: Written[] = [];
    private open: Written | null = null;
    private timer = 0;
    private reads = 0;
    private canvas = '';

    constructor(
        private readonly bench: Workbench,
        private readonly words: BenchWords,
        private readonly reader: InkReader,
        private readonly answer: (question: string, says: string) => void,
    ) {
        this.root.setAttribute('role', 'group');
        this.root.setAttribute('aria-label', words.written_bar);
        this.input.setAttribute('aria-label', words.written_type);
        this.form.append(
            this.input,
            this.button(words.written_take, 'btn-go', () => this.form.requestSubmit()),
        );
        this.form.addEventListener('submit', (event) => {
            event.preventDefault();
            this.take(this.input.value.trim());
        });
        this.root.append(
            this.name,
            this.said,
            this.says,
            this.button(words.written_yes, 'btn-go', () => this.take(this.says.textContent ?? '')),
            this.others,
            this.button(words.written_type, 'btn-outline-slate', () => this.type()),
            this.form,
            this.button('✕', 'btn-icon', () => this.close(), words.box_close),
        );
        bench.surface.append(this.root);
        bench.isRead = ({ x, y }) => {
            const page = bench.pages.indexOf(bench.view.page);
            return this.all.some(({ asked: { spot } }) => spot.page === page && isIn(spot, x, y));
        };
        for (const kind of ['pointerdown', 'pointermove', 'pointerup', 'keydown', 'paste', 'wheel']) {
            this.root.addEventListener(kind, (event) => event.stopPropagation());
        }
        this.root.addEventListener('keydown', (event) => event.key === 'Escape' && this.close());
    }

    show(asked: Asked[]): void {
        const { canvas } = this.bench;
        // Another prompt's questions may be called the same.
        const isSame = canvas === this.canvas;
        this.canvas = canvas;
        const before = new Map(isSame ? this.all.map((one) => [one.asked.id, one]) : []);
        const { answers } = this.bench.view.log.scene;
        this.all = asked.flatMap((one, i): Written[] => {
            if (!isByHand(one)) {
                return [];
            }
            // What was confirmed before the page was opened is not asked about again.
            const known = before.get(one.id)?.known ?? (answers.has(one.id) ? this.inkIn(one.spot) : '');
            return [{ asked: one, n: i + 1, known, waits: before.get(one.id)?.waits ?? null }];
        });
        const open = isSame ? this.open : null;
        this.open = this.all.find(({ asked: { id } }) => id === open?.asked.id) ?? null;
        if (this.open === null) {
            this.close();
        }
        this.inked();
    }

    /** Something was drawn, moved or rubbed out. */
    inked(): void {
        const changed = this.all.find((one) => this.inkIn(one.asked.spot) !== one.known);
        window.clearTimeout(this.timer);
        if (changed !== undefined) {
            this.timer = window.setTimeout(() => void this.read(changed), PAUSE_MS);
        }
    }

    private async read(one: Written): Promise<void> {
        if (this.bench.isDrawing) {
            this.inked();
            return;
        }
        const ink = this.inkIn(one.asked.spot);
        const { canvas } = this;
        const turn = ++this.reads;
        one.known = ink;
        if (ink === '') {
            one.waits = null;
            if (this.open === one) {
                this.close();
            }
            this.inked();
            return;
        }
        let found: ReadInk;
        try {
            found = await this.reader.read(one.asked.id);
        } catch {
            // Without a network it can be typed.
            found = { text: '', others: [] };
        }
        if (canvas !== this.bench.canvas) {
            return;
        }
        // Written on meanwhile: that is read next.
        if (turn !== this.reads || this.inkIn(one.asked.spot) !== ink) {
            this.inked();
            return;
        }
        const confirmed = this.bench.view.log.scene.answers.get(one.asked.id);
        one.waits = found.text === '' || found.text !== confirmed ? found : null;
        if (one.waits !== null) {
            this.offer(one, one.waits);
        } else if (this.open === one) {
            this.close();
        }
        this.inked();
    }

    private offer(one: Written, { text, sure = false, others = [] }: ReadInk): void {
        this.open = one;
        this.name.textContent = String(one.n);
        this.name.title = fill(this.words.question, { n: one.n });
        this.said.textContent =
            text === '' ? this.words.written_unread : sure ? this.words.written_as : this.words.written_unsure;
        this.says.textContent = text;
        this.root.classList.toggle('is-unread', text === '');
        this.others.replaceChildren(
            ...(sure ? [] : others).map((other) => this.button(other, 'btn-outline-slate', () => this.take(other))),
        );
        this.form.hidden = text !== '';
        this.input.value = '';
        const { top = 0, height = 1 } = this.bench.surface.getBoundingClientRect();
        const [, y] = this.bench.view.toFrame(one.asked.spot.x, one.asked.spot.y + (one.asked.spot.h ?? LINE));
        const frame = this.bench.view.frame.getBoundingClientRect();
        this.root.classList.toggle('is-high', (frame.top + y - top) / height > LOW);
        this.root.hidden = false;
    }

    private type(): void {
        this.form.hidden = false;
        this.input.value = this.says.textContent ?? '';
        this.input.focus();
        this.input.select();
    }

    private take(text: string): void {
        const { open } = this;
        if (open === null || text === '') {
            return;
        }
        this.answer(open.asked.id, text);
        this.reader.learn(open.asked.id, text);
        this.close();
    }

    /** Seen to, or not wanted now: whatever else was written is asked about next. */
    private close(): void {
        if (this.open !== null) {
            this.open.waits = null;
        }
        this.open = null;
        this.root.hidden = true;
        this.form.hidden = true;
        for (const one of this.all) {
            if (one.waits !== null) {
                this.offer(one, one.waits);
                break;
            }
        }
    }

    /** The strokes whose middle lies there, in the order of the log; empty for none. */
    private inkIn(spot: Spot): string {
        const id = this.bench.pages[spot.page];
        return [...this.bench.view.log.scene.objects]
            .filter(
                ([, one]) =>
                    one.layer === 'student' && one.page === id && one.object.type === 'stroke' && isMiddleIn(spot, one),
            )
            .map(([stroke, { place }]) => `${stroke} ${String(place ?? '')}`)
            .join('|');
    }

    private button(text: string, look: string, pressed: () => void, name = text): HTMLButtonElement {
        const button = Object.assign(document.createElement('button'), {
            type: 'button',
            className: `btn btn-sm ${look}`,
            textContent: text,
        });
        button.setAttribute('aria-label', name);
        button.addEventListener('click', pressed);
        return button;
    }
}
