import type { PlanWords } from '../protocol/words';
import type { PrintedChoice } from '../protocol/questions';
import { element, fill } from '../page';
import { reasonOf, sendFile } from '../live/http';
import { isRoom } from '../questions/boxes';
import { blankQuestion } from './blank';
import type { Rectangle } from './boxes';
import { fillQuestion, inPlace, questionForm, readQuestion } from './form';
import type { BoxKind, Question } from './model';
import { present } from '../present';

interface Settings {
    address: string;
    words: PlanWords;
    changed(questions: Question[]): void;
    /** The page in view, for a question that is to be placed. */
    page(): number;
    say(sentence: string): void;
}

/** Crag\Plan\PlanPrompt::MOST_QUESTIONS. */
const MOST = 40;
/** In units: what stands nearer to a question's box has that question already. */
const NEAR = 30;
/** In units: Crag\Prompt\Question\Spot::NARROWEST. */
const NARROWEST = 40;
/** Crag\\Prompt\\Question\\MarkedAsked::MOST_OPTIONS. */
const MOST_PRINTED = 20;
/** In units: from one printed answer to one more. */
const APART = 20;

/** The list of a prompt's questions in the editor. */
export class QuestionList {
    private readonly list = element('#question-list');
    private questions: Question[] = [];
    private prompt = '';

    constructor(private readonly settings: Settings) {
        element<HTMLSelectElement>('#question-new').addEventListener('change', (event) => {
            const select = event.target as HTMLSelectElement;
            if (select.value !== '') {
                this.add(select.value as Question['kind']);
            }
            select.value = '';
        });
        this.list.addEventListener('input', (event) =>
            this.collect(present((event.target as Element).closest<HTMLElement>('li'))),
        );
        this.list.addEventListener('click', (event) => {
            const button = (event.target as Element).closest<HTMLElement>('[data-do], [data-option="out"]');
            const item = button?.closest<HTMLElement>('li');
            if (button !== null && item !== null && item !== undefined) {
                this.pressed(item, button);
            }
        });
        this.list.addEventListener('change', (event) => {
            const input = event.target as HTMLInputElement;
            if (event.target instanceof HTMLSelectElement) {
                this.collect(present(event.target.closest<HTMLElement>('li')));
            }
            if (input.dataset.option === 'picture' && input.files?.[0] !== undefined) {
                void this.picture(input, input.files[0]);
            }
        });
    }

    /**
     * What the server has, unless this page is just changing it. Forms that are there stay, with whoever types in them.
     *
     * @param  prompt  whose questions they are
     */
    show(questions: Question[], prompt: string): void {
        if (prompt !== this.prompt) {
            this.prompt = prompt;
            this.questions = [];
            this.list.replaceChildren();
        }
        const isShown = this.list.children.length === questions.length;
        if (!isShown || JSON.stringify(questions) !== JSON.stringify(this.questions)) {
            this.draw(questions);
        }
    }

    private draw(questions: Question[]): void {
        const before = new Map(this.questions.map((question) => [question.id, question]));
        this.questions = structuredClone(questions);
        const forms = new Map([...this.list.children].map((item) => [(item as HTMLElement).dataset.question, item]));
        const items = this.questions.map((question, i) => {
            const form = forms.get(question.id) as HTMLElement | undefined;
            const was = before.get(question.id);
            const isSame = form !== undefined && form.dataset.kind === question.kind;
            const item = isSame ? form : questionForm(question, this.settings.words);
            fillQuestion(item, question, isSame ? was : undefined, this.settings.words);
            element('.question-edit-n', item).textContent = `${i + 1}.`;
            return item;
        });
        inPlace(this.list, items);
        element('#question-count').textContent = questions.length === 0 ? '' : String(questions.length);
    }

    get all(): Question[] {
        return this.questions;
    }

    /** A question has been moved on the page. */
    place(id: string, spot: Question['spot']): void {
        this.change(this.questions.map((question) => (question.id === id ? { ...question, spot } : question)));
    }

    /**
     * Places that were found on a worksheet, each as a question; those that have a question already are left out.
     *
     * @return how many were added
     */
    addGaps(gaps: Pick<Question, 'kind' | 'words' | 'spot'>[]): number {
        const all = [...this.questions];
        for (const { kind, words, spot } of gaps) {
            const isThere = all.some(
                (one) =>
                    one.spot !== null &&
                    spot !== null &&
                    one.spot.page === spot.page &&
                    Math.abs(one.spot.x - spot.x) < NEAR &&
                    Math.abs(one.spot.y - spot.y) < NEAR,
            );
            if (!isThere && all.length < MOST) {
                all.push({ ...blankQuestion(kind, all), words, spot });
            }
        }
        const added = all.length - this.questions.length;
        if (added > 0) {
            this.change(all);
        }
        return added;
    }

    /**
     * A box that was drawn on the page in view becomes a question there.
     *
     * @return its id; null where there is no room for one more
     */
    addBox(kind: BoxKind, { x, y, w, h }: Rectangle): string | null {
        if (this.questions.length >= MOST) {
            this.settings.say(fill(this.settings.words.boxes_full, { n: MOST }));
            return null;
        }
        const spot = { page: this.settings.page(), x, y, w: Math.max(NARROWEST, w), h, bare: true as const };
        const question =
            kind === 'written'
                ? { ...blankQuestion('number', this.questions), by_hand: true, spot }
                : { ...blankQuestion(kind, this.questions), spot };
        this.change([
            ...this.questions,
            kind === 'marked' ? { ...question, options: [{ id: 'c1', words: '', x, y, w, h }] } : question,
        ]);
        return question.id;
    }

    /**
     * One more printed answer of a question on the page in view.
     *
     * @return the question; null where it is none that can have one more here
     */
    addPrinted(id: string | null, box: Rectangle): string | null {
        const one = this.questions.find((question) => question.id === id);
        const isFull = (one?.options?.length ?? 0) >= MOST_PRINTED;
        if (one?.kind !== 'marked' || one.spot?.page !== this.settings.page() || isFull) {
            return null;
        }
        const options = [...(one.options ?? []), { id: nextChoice(one), words: '', ...box }];
        this.change(this.questions.map((question) => (question.id === id ? { ...question, options } : question)));
        return one.id;
    }

    /** A question's printed answers have been moved on the page. */
    print(id: string, options: PrintedChoice[]): void {
        this.change(this.questions.map((question) => (question.id === id ? { ...question, options } : question)));
    }

    private add(kind: Question['kind']): void {
        if (isRoom(kind)) {
            // It is nothing without a place.
            this.addBox(kind, { x: 400, y: 300, w: kind === 'marked' ? 60 : 500, h: kind === 'marked' ? 40 : 200 });
        } else {
            this.change([...this.questions, blankQuestion(kind, this.questions)]);
        }
        present(this.list.querySelector<HTMLElement>('li:last-child [data-field="words"]')).focus();
    }

    /** They are others, or in another order, from here. */
    private change(questions: Question[]): void {
        this.draw(questions);
        this.settings.changed(this.questions);
    }

    private collect(item: HTMLElement): void {
        this.questions = this.questions.map((question) =>
            question.id === item.dataset.question ? readQuestion(item, question) : question,
        );
        this.settings.changed(this.questions);
    }

    private pressed(item: HTMLElement, button: HTMLElement): void {
        const at = this.questions.findIndex(({ id }) => id === item.dataset.question);
        const question = present(this.questions[at]);
        const all = [...this.questions];
        if (button.dataset.option === 'out') {
            const id = present(button.closest<HTMLElement>('.option-edit')).dataset.id;
            all[at] = {
                ...question,
                options: present(question.options).filter((option) => option.id !== id),
                right: (question.right as string[]).filter((one) => one !== id),
            };
        } else if (button.dataset.do === 'option') {
            const last = question.options?.at(-1) as PrintedChoice | undefined;
            const place = question.kind === 'marked' && {
                ...(last ?? { x: question.spot?.x ?? 40, y: question.spot?.y ?? 40, w: 60, h: 40 }),
                ...(last !== undefined && { x: last.x + last.w + APART }),
            };
            all[at] = {
                ...question,
                options: [...(question.options ?? []), { ...place, id: nextChoice(question), words: '' }],
            };
        } else if (button.dataset.do === 'out') {
            all.splice(at, 1);
        } else if (button.dataset.do === 'up' && at > 0) {
            all.splice(at - 1, 0, ...all.splice(at, 1));
        } else if (button.dataset.do === 'spot') {
            const spot = { page: this.settings.page(), x: 560, y: 420 + 90 * (at % 5), w: 360 };
            all[at] = { ...question, spot: question.spot === null ? spot : null };
        }
        this.change(all);
        if (button.dataset.do === 'option') {
            present(
                present(this.list.children[at]).querySelector<HTMLElement>(
                    '.option-edit:last-child [data-option="words"]',
                ),
            ).focus();
        }
    }

    private async picture(input: HTMLInputElement, file: File): Promise<void> {
        const row = present(input.closest<HTMLElement>('.option-edit'));
        try {
            const { objects } = await sendFile<{ objects: { object: { asset?: string } }[] }>(
                `${this.settings.address}/bring-in`,
                file,
            );
            const asset = objects[0]?.object.asset;
            if (asset === undefined) {
                this.settings.say(this.settings.words.picture_first);
                return;
            }
            row.dataset.picture = asset;
            row.classList.add('has-picture');
            this.collect(present(row.closest('li')));
        } catch (problem) {
            this.settings.say(reasonOf(problem, this.settings.words));
        }
    }
}

/** An id that none of a question's choices has. */
function nextChoice({ options = [] }: Question): string {
    return `c${Math.max(0, ...options.map(({ id }) => Number(id.replace(/\D/g, '')) || 0)) + 1}`;
}
