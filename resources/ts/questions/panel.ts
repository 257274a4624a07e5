import type { AnswerValue } from '../canvas/model';
import type { Workbench } from '../canvas/workbench';
import { element } from '../page';
import { questionField, type Asked, type Field } from './fields';
import { Spots } from './spots';

/** A prompt's questions on the student's page: under the words, or at their places on the canvas. */
export class Questions {
    private readonly list = element('#questions');
    private readonly spots: Spots;
    private fields = new Map<string, Field>();
    private shown = '';

    constructor(
        private readonly bench: Workbench,
        private readonly settings: { assets: string; words: Record<string, string> },
    ) {
        this.spots = new Spots(bench.view, bench.surface, () => bench.pages);
    }

    /** The same questions again leave what is being typed alone. */
    show(questions: Asked[]): void {
        const now = JSON.stringify([this.bench.canvas, questions]);
        if (now !== this.shown) {
            this.shown = now;
            this.fields.clear();
            const under: HTMLElement[] = [];
            const placed: { element: HTMLElement; spot: NonNullable<Asked['spot']> }[] = [];
            questions.forEach((asked, i) => {
                const field = questionField(asked, i + 1, { ...this.settings, answer: (value) => this.answer(asked.id, value) });
                this.fields.set(asked.id, field);
                asked.spot === null ? under.push(field.root) : placed.push({ element: field.root, spot: asked.spot });
            });
            this.list.replaceChildren(...under);
            this.list.hidden = under.length === 0;
            this.spots.show(placed);
        }
        this.freshen();
    }

    /** What has been answered, here or on another page. */
    freshen(): void {
        const { answers } = this.bench.view.log.scene;
        this.fields.forEach((field, id) => field.show(answers.get(id)));
        this.spots.place();
    }

    private answer(question: string, value: AnswerValue | null): void {
        this.bench.make('answer', { question, value });
    }
}
