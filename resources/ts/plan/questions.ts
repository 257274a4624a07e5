import type { PlanWords } from '../protocol/words';
import type { Choice, PrintedChoice } from '../protocol/questions';
import { element, fill } from '../page';
import { reasonOf, sendFile } from '../live/http';

import { isRoom } from '../questions/boxes';
import { blankQuestion } from './blank';
import type { Rectangle } from './boxes';
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
const LOOSE = ['spelling', 'articles', 'order'] as const;
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

    /** What the server has, unless this page is just changing it. */
    show(questions: Question[]): void {
        if (
            JSON.stringify(questions) === JSON.stringify(this.questions) &&
            this.list.children.length === questions.length
        ) {
            return;
        }
        const focus = this.list.contains(document.activeElement)
            ? this.pathOf(document.activeElement as HTMLElement)
            : null;
        const caret = focus === null ? null : caretIn(document.activeElement);
        this.questions = structuredClone(questions);
        this.list.replaceChildren(...this.questions.map((question, i) => this.item(question, i)));
        element('#question-count').textContent = questions.length === 0 ? '' : String(questions.length);
        if (focus !== null) {
            const field = this.list.querySelector<HTMLInputElement>(focus);
            field?.focus();
            if (caret !== null) {
                field?.setSelectionRange(...caret);
            }
        }
    }

    get all(): Question[] {
        return this.questions;
    }

    /** A question has been moved on the page. */
    place(id: string, spot: Question['spot']): void {
        this.questions = this.questions.map((question) => (question.id === id ? { ...question, spot } : question));
        this.again();
    }

    /**
     * Places that were found on a worksheet, each as a question; those that have a question already are left out.
     *
     * @return how many were added
     */
    addGaps(gaps: Pick<Question, 'kind' | 'words' | 'spot'>[]): number {
        const before = this.questions.length;
        for (const { kind, words, spot } of gaps) {
            const isThere = this.questions.some(
                (one) =>
                    one.spot !== null &&
                    spot !== null &&
                    one.spot.page === spot.page &&
                    Math.abs(one.spot.x - spot.x) < NEAR &&
                    Math.abs(one.spot.y - spot.y) < NEAR,
            );
            if (!isThere && this.questions.length < MOST) {
                this.questions = [...this.questions, { ...blankQuestion(kind, this.questions), words, spot }];
            }
        }
        const added = this.questions.length - before;
        if (added > 0) {
            this.again();
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
        this.questions = [
            ...this.questions,
            kind === 'marked' ? { ...question, options: [{ id: 'c1', words: '', x, y, w, h }] } : question,
        ];
        this.again();
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
        this.questions = this.questions.map((question) => (question.id === id ? { ...question, options } : question));
        this.again();
        return one.id;
    }

    /** A question's printed answers have been moved on the page. */
    print(id: string, options: PrintedChoice[]): void {
        this.questions = this.questions.map((question) => (question.id === id ? { ...question, options } : question));
        this.again();
    }

    private pathOf(field: HTMLElement): string | null {
        const id = field.closest('li')?.dataset.question;
        return id === undefined || field.dataset.field === undefined
            ? null
            : `[data-question="${id}"] [data-field="${field.dataset.field}"]`;
    }

    private add(kind: Question['kind']): void {
        if (isRoom(kind)) {
            // It is nothing without a place.
            this.addBox(kind, { x: 400, y: 300, w: kind === 'marked' ? 60 : 500, h: kind === 'marked' ? 40 : 200 });
        } else {
            this.questions = [...this.questions, blankQuestion(kind, this.questions)];
            this.again();
        }
        present(this.list.querySelector<HTMLElement>('li:last-child [data-field="words"]')).focus();
    }

    private again(): void {
        const { questions } = this;
        this.questions = [];
        this.show(questions);
        this.settings.changed(this.questions);
    }

    private item(question: Question, i: number): HTMLElement {
        const item = present(element<HTMLTemplateElement>('#question-template').content.firstElementChild).cloneNode(
            true,
        ) as HTMLElement;
        item.dataset.question = question.id;
        element('.question-edit-n', item).textContent = `${i + 1}.`;
        element('.question-edit-kind', item).textContent = this.settings.words[`kind_${question.kind}`];
        for (const part of item.querySelectorAll<HTMLElement>('[data-kinds]')) {
            part.hidden = !present(part.dataset.kinds).split(' ').includes(question.kind);
        }
        for (const option of item.querySelectorAll<HTMLOptionElement>('option[data-for]')) {
            if (!present(option.dataset.for).split(' ').includes(question.kind)) {
                option.remove();
            }
        }
        const put = (field: string, value: string | number | boolean | undefined): void => {
            const input = element<HTMLInputElement>(`[data-field="${field}"]`, item);
            if (typeof value === 'boolean') {
                input.checked = value;
            } else {
                input.value = String(value ?? '');
            }
        };
        put('words', question.words);
        put('shuffle', question.shuffle === true);
        put('own_unit', question.own_unit === true);
        put('by_hand', question.by_hand === true);
        put('several', question.several === true);
        LOOSE.forEach((what) => put(`loose-${what}`, question.loose?.[what] === true));
        if (typeof question.right === 'string') {
            put(question.kind === 'tick' ? 'tick-right' : 'right', question.right);
        }
        if (question.kind === 'text') {
            put('reads', question.reads ?? 'words');
            showLoose(item, question.reads ?? 'words');
            put('rights', (question.right as string[]).join('\n'));
        }
        if (question.kind === 'state') {
            put('piece', question.piece);
            this.offerFacts(item, question.piece ?? '', question.fact ?? '');
        }
        put('tolerance-kind', question.tolerance?.kind ?? 'none');
        put('tolerance-most', question.tolerance?.most);
        put('form-kind', question.form?.kind ?? 'any');
        put('form-digits', question.form?.digits ?? 0);
        // What is set stands open, so that it is not overlooked.
        element<HTMLDetailsElement>('.question-exact', item).open =
            (question.tolerance?.kind ?? 'none') !== 'none' ||
            (question.form?.kind ?? 'any') !== 'any' ||
            question.own_unit === true;
        ['to', 'low', 'high'].forEach((field) => put(field, question[field as 'to' | 'low' | 'high']));
        element('.question-options', item).append(
            ...(question.options ?? []).map((option) => this.option(question, option)),
        );
        element('[data-do="spot"] span', item).textContent =
            question.spot === null ? this.settings.words.place : this.settings.words.unplace;
        element('.question-where', item).textContent =
            question.spot === null ? '' : fill(this.settings.words.on_page, { n: question.spot.page + 1 });
        return item;
    }

    /** Only what the chosen piece can tell; of another piece the first of it. */
    private offerFacts(item: HTMLElement, piece: string, fact: string): void {
        const select = element<HTMLSelectElement>('[data-field="fact"]', item);
        const own = [...select.options].filter((option) => {
            option.hidden = option.dataset.piece !== piece;
            option.disabled = option.hidden;
            return !option.hidden;
        });
        // Facts of several pieces have the same name.
        present(own.find(({ value }) => value === fact) ?? own[0]).selected = true;
    }

    private option(question: Question, option: Choice): HTMLElement {
        const row = present(element<HTMLTemplateElement>('#option-template').content.firstElementChild).cloneNode(
            true,
        ) as HTMLElement;
        row.dataset.id = option.id;
        row.dataset.picture = option.picture ?? '';
        row.classList.toggle('has-picture', option.picture !== undefined);
        element('.option-picture', row).hidden = question.kind === 'marked';
        const right = element<HTMLInputElement>('[data-option="right"]', row);
        right.type =
            question.kind === 'choice' || (question.kind === 'marked' && question.several !== true)
                ? 'radio'
                : 'checkbox';
        right.name = `right-${question.id}`;
        right.checked = (question.right as string[]).includes(option.id);
        element<HTMLInputElement>('[data-option="words"]', row).value = option.words;
        return row;
    }

    /** Reads a question back out of its form. */
    private collect(item: HTMLElement): void {
        const at = this.questions.findIndex(({ id }) => id === item.dataset.question);
        const before = present(this.questions[at]);
        const field = (name: string): HTMLInputElement => element<HTMLInputElement>(`[data-field="${name}"]`, item);
        const next: Question = { ...before, words: field('words').value };
        if (before.kind === 'drawing' || before.kind === 'space') {
            // Nothing but its words.
        } else if (before.kind === 'tick') {
            next.right = field('tick-right').value;
        } else if (before.kind === 'marked') {
            Object.assign(next, this.printed(item, before, field('several').checked));
        } else if (before.kind === 'choice' || before.kind === 'choices') {
            const rows = [...item.querySelectorAll<HTMLElement>('.option-edit')];
            next.options = rows.map((row) => ({
                id: present(row.dataset.id),
                words: element<HTMLInputElement>('[data-option="words"]', row).value,
                ...(row.dataset.picture !== '' && { picture: row.dataset.picture }),
            }));
            next.right = rows
                .filter((row) => element<HTMLInputElement>('[data-option="right"]', row).checked)
                .map((row) => present(row.dataset.id));
            next.shuffle = field('shuffle').checked;
        } else if (before.kind === 'text') {
            next.right = field('rights')
                .value.split('\n')
                .map((line) => line.trim())
                .filter((line) => line !== '');
            const [spelling = false, articles = false, order = false] = LOOSE.map(
                (what) => field(`loose-${what}`).checked,
            );
            next.loose = { spelling, articles, order };
            next.reads = field('reads').value;
            showLoose(item, next.reads);
        } else if (before.kind === 'state') {
            this.offerFacts(item, field('piece').value, field('fact').value);
            Object.assign(next, {
                piece: field('piece').value,
                fact: field('fact').value,
                right: field('right').value,
            });
        } else if (before.kind === 'graph') {
            next.right = field('right').value;
        } else if (before.kind === 'scale') {
            Object.assign(next, {
                to: Math.max(2, Math.min(10, Number(field('to').value) || 5)),
                low: field('low').value,
                high: field('high').value,
            });
        } else {
            next.right = field('right').value;
            next.form = {
                kind: field('form-kind').value,
                digits: Math.max(0, Math.min(12, Number(field('form-digits').value) || 0)),
            };
            next.by_hand = field('by_hand').checked;
            if (before.kind === 'number') {
                next.tolerance = { kind: field('tolerance-kind').value as 'none', most: field('tolerance-most').value };
                next.own_unit = field('own_unit').checked;
            }
        }
        this.questions = this.questions.map((question, i) => (i === at ? next : question));
        this.settings.changed(this.questions);
    }

    /** The printed answers as they are named in the form, and which of them are right. */
    private printed(item: HTMLElement, { options = [] }: Question, several: boolean): Partial<Question> {
        const rows = [...item.querySelectorAll<HTMLElement>('.option-edit')];
        const right = rows
            .filter((row) => element<HTMLInputElement>('[data-option="right"]', row).checked)
            .map((row) => present(row.dataset.id));
        return {
            options: options.map((option) => {
                const row = rows.find(({ dataset }) => dataset.id === option.id);
                return row === undefined
                    ? option
                    : { ...option, words: element<HTMLInputElement>('[data-option="words"]', row).value };
            }),
            several,
            right: several ? right : right.slice(0, 1),
        };
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
        this.questions = all;
        this.again();
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

/** Where somebody types in a field of words, as its selection's ends; null in a field of another kind. */
function caretIn(field: Element | null): [number, number] | null {
    const { selectionStart: from, selectionEnd: to } = field as HTMLInputElement;
    return typeof from === 'number' && typeof to === 'number' ? [from, to] : null;
}

/** An id that none of a question's choices has. */
function nextChoice({ options = [] }: Question): string {
    return `c${Math.max(0, ...options.map(({ id }) => Number(id.replace(/\D/g, '')) || 0)) + 1}`;
}

/** How strictly words are compared, where words are asked for. */
function showLoose(item: HTMLElement, reads: string): void {
    element('.question-loose', item).hidden = reads !== 'words';
}
