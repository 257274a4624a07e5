import type { BenchWords } from '../protocol/words';
import type { Asked } from '../protocol/questions';
import type { AnswerValue } from '../canvas/model/objects';
import type { Workbench } from '../canvas/workbench';
import { questionField, type Field } from './fields';
import { Spots } from './spots';

interface Settings {
    assets: string;
    words: BenchWords;
    /** Where those stand that have no place on the page; nowhere where the page shows them elsewhere. */
    list: HTMLElement | null;
    /** Something was answered here. */
    answered?(): void;
    /** Whether they are only looked at. */
    isFixed?: boolean;
}

/** A prompt's questions: under the words, or at their places on the canvas. */
export class Questions {
    private readonly spots: Spots;
    private fields = new Map<string, Field>();
    private shown = '';
    private beside: string[] = [];

    constructor(
        private readonly bench: Workbench,
        private readonly settings: Settings,
    ) {
        this.spots = new Spots(bench.view, bench.surface, () => bench.pages);
    }

    /** The same questions again leave what is being typed alone. */
    show(questions: Asked[]): void {
        // What a piece shows is not answered here.
        const typed = questions.filter(({ spot, kind }) => spot === null && kind !== 'state' && kind !== 'graph');
        this.beside = typed.map(({ id }) => id);
        const now = JSON.stringify([this.bench.canvas, questions]);
        if (now !== this.shown) {
            this.shown = now;
            this.fields.clear();
            const under: HTMLElement[] = [];
            const placed: { element: HTMLElement; spot: NonNullable<Asked['spot']> }[] = [];
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
                    placed.push({ element: field.root, spot: asked.spot });
                }
            });
            const { list } = this.settings;
            list?.replaceChildren(...under);
            if (list !== null) {
                list.hidden = under.length === 0;
            }
            this.spots.show(placed);
        }
        this.freshen();
    }

    /** What has been answered, here or on another page. */
    freshen(answers = this.bench.view.log.scene.answers): void {
        this.fields.forEach((field, id) => field.show(answers.get(id)));
        this.spots.place();
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
