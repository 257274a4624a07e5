import type { BenchWords } from '../protocol/words';
import type { Asked, Spot } from '../protocol/questions';
import type { AnswerValue } from '../canvas/model/objects';
import type { Workbench } from '../canvas/workbench';
import { questionField, type Field } from './fields';
import { AnswerBoxes, boxesAmong, isMiddleIn, isOnPaper } from './boxes';
import { Spots, type Placed } from './spots';
import { AnswerStrip, type InStrip } from './strip';
import { WrittenAnswers, type InkReader } from './written';
import { fill } from '../page';

/** Practice that goes on until enough answers in a row are right. */
type Course = { n: number; all: number; done: boolean } | null;

interface Settings {
    assets: string;
    words: BenchWords;
    /** Where those stand that have no place on the page; nowhere where the page shows them elsewhere. */
    list: HTMLElement | null;
    /** Something was answered here. */
    answered?(): void;
    /** Reads what is written by hand; nowhere where it is only looked at. */
    ink?: InkReader;
    /** Whether they are only looked at. */
    isFixed?: boolean;
}

/** A prompt's questions: under the words, or at their places on the canvas. */
export class Questions {
    private readonly spots: Spots;
    private readonly boxes: AnswerBoxes;
    private readonly strip: AnswerStrip;
    private readonly written: WrittenAnswers | null;
    private asked: Asked[] = [];
    private readonly dots = new Map<string, HTMLElement>();
    private fields = new Map<string, Field>();
    private shown = '';
    private beside: string[] = [];

    constructor(
        private readonly bench: Workbench,
        private readonly settings: Settings,
    ) {
        this.spots = new Spots(bench.view, bench.surface, () => bench.pages);
        this.boxes = new AnswerBoxes(bench.view, false);
        this.strip = new AnswerStrip(
            bench.surface,
            settings.words,
            () => this.spots.place(),
            (page) => bench.turnTo(bench.pages[page] ?? ''),
        );
        const { ink, words } = settings;
        this.written =
            ink === undefined
                ? null
                : new WrittenAnswers(bench, words, ink, (question, says) => this.answer(question, says));
        bench.view.whenSeen(() => this.strip.showPage(bench.pages.indexOf(bench.view.page)));
        this.spots.turned = (isSmall) => {
            // As they are on paper, with a dot each, where the page is seen small.
            this.boxes.show(isSmall ? boxesAmong(this.asked) : []);
            if (!isSmall) {
                this.strip.close();
            }
        };
    }

    /** The same questions again leave what is being typed alone. */
    show(questions: Asked[], course: Course = null): void {
        // What a piece shows is not answered here.
        const typed = questions.filter(
            (one) => one.spot === null && one.kind !== 'state' && one.kind !== 'graph' && !isOnPaper(one),
        );
        this.beside = typed.map(({ id }) => id);
        const now = JSON.stringify([this.bench.canvas, questions, course]);
        if (now !== this.shown) {
            this.shown = now;
            this.fields.clear();
            this.dots.clear();
            const under: HTMLElement[] = [];
            const placed: Placed[] = [];
            const inStrip: InStrip[] = [];
            this.asked = questions;
            questions.forEach((asked, i) => {
                const field = questionField(asked, i + 1, {
                    ...this.settings,
                    answer: (value) => this.answer(asked.id, value),
                });
                field.root.inert = this.settings.isFixed === true;
                this.fields.set(asked.id, field);
                if (asked.spot === null) {
                    under.push(field.root);
                } else {
                    placed.push({
                        element: field.root,
                        spot: asked.spot,
                        ...(asked.kind !== 'space' && { dot: this.dot(asked, i + 1) }),
                    });
                    if (!isOnPaper(asked)) {
                        const { root: home } = this.spots;
                        inStrip.push({ n: i + 1, element: field.root, home, page: asked.spot.page });
                    }
                }
            });
            const { list } = this.settings;
            if (list !== null) {
                const hadFocus = list.contains(document.activeElement);
                list.classList.toggle('is-course', course !== null);
                list.replaceChildren(...under, ...(course === null ? [] : [this.state(course)]));
                list.hidden = under.length === 0;
                if (hadFocus) {
                    // On to the task that is open.
                    under
                        .at(-1)
                        ?.querySelector<HTMLElement>('input:not([readonly]), textarea:not([readonly])')
                        ?.focus();
                }
            }
            this.strip.take(inStrip);
            this.spots.show(placed);
            this.boxes.show(this.spots.isSmall ? boxesAmong(questions) : []);
            this.written?.show(questions);
        }
        this.freshen();
    }

    /** Something was drawn, moved or rubbed out here. */
    inked(): void {
        this.written?.inked();
    }

    /** What has been answered, here or on another page. */
    freshen(answers = this.bench.view.log.scene.answers): void {
        this.fields.forEach((field, id) => field.show(answers.get(id)));
        for (const { id, kind, spot } of this.asked) {
            const isAnswered = answers.has(id) || (kind === 'drawing' && spot !== null && this.isDrawnIn(spot));
            this.dots.get(id)?.classList.toggle('is-answered', isAnswered && kind !== 'drawing');
            this.fields.get(id)?.root.classList.toggle('is-answered', isAnswered);
        }
        this.spots.place();
    }

    /** Whether the student drew there. */
    private isDrawnIn(spot: Spot): boolean {
        const id = this.bench.pages[spot.page];
        return [...this.bench.view.log.scene.objects.values()].some(
            (one) => one.layer === 'student' && one.page === id && isMiddleIn(spot, one),
        );
    }

    /** How many in a row are right, of how many. */
    private state({ n, all, done }: NonNullable<Course>): HTMLElement {
        const { words } = this.settings;
        const state = Object.assign(document.createElement('p'), {
            className: 'course-state',
            textContent: done ? fill(words.course_done, { all }) : fill(words.course_row, { n, all }),
        });
        state.classList.toggle('is-done', done);
        state.setAttribute('role', 'status');
        return state;
    }

    /** What is pressed on a page that is seen small: the box is answered at its foot. */
    private dot(asked: Asked, n: number): HTMLElement {
        const dot = Object.assign(document.createElement('button'), { type: 'button', className: 'spot-dot' });
        dot.append(Object.assign(document.createElement('span'), { textContent: String(n) }));
        dot.setAttribute(
            'aria-label',
            asked.words === '' ? fill(this.settings.words.question, { n }) : `${n}. ${asked.words}`,
        );
        // What is drawn or marked is answered on the page itself.
        dot.disabled = this.settings.isFixed === true || isOnPaper(asked);
        dot.addEventListener('click', () => this.strip.show(n));
        this.dots.set(asked.id, dot);
        return dot;
    }

    /** How many questions stand beside the page, and how many of them have an answer. */
    get listed(): number {
        return this.beside.length;
    }

    get answered(): number {
        const { answers } = this.bench.view.log.scene;
        return this.beside.filter((id) => answers.has(id)).length;
    }

    private answer(question: string, value: AnswerValue | null): void {
        this.bench.make('answer', { question, value });
        this.settings.answered?.();
    }
}
