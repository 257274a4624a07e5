import type { Choice } from '../protocol/questions';
import type { PlanWords } from '../protocol/words';
import { element, fill } from '../page';
import { present } from '../present';
import type { Question } from './model';

const LOOSE = ['spelling', 'articles', 'order'] as const;

/** A question's form, with the fields of its kind and nothing in them. */
export function questionForm({ id, kind }: Question, words: PlanWords): HTMLElement {
    const form = copyOf('#question-template');
    Object.assign(form.dataset, { question: id, kind });
    element('.question-edit-kind', form).textContent = words[`kind_${kind}`];
    for (const part of form.querySelectorAll<HTMLElement>('[data-kinds]')) {
        part.hidden = !present(part.dataset.kinds).split(' ').includes(kind);
    }
    for (const option of form.querySelectorAll<HTMLOptionElement>('option[data-for]')) {
        if (!present(option.dataset.for).split(' ').includes(kind)) {
            option.remove();
        }
    }
    return form;
}

/**
 * The question into its form. What somebody is typing stays as it is typed, unless it has become something else.
 *
 * @param  was  as it was in this form; undefined for a form with nothing in it
 */
export function fillQuestion(form: HTMLElement, question: Question, was: Question | undefined, words: PlanWords): void {
    const before = was === undefined ? {} : fieldsOf(was);
    for (const [field, value] of Object.entries(fieldsOf(question))) {
        put(element<HTMLInputElement>(`[data-field="${field}"]`, form), value, before[field]);
    }
    if (question.kind === 'text') {
        showLoose(form, question.reads ?? 'words');
    }
    if (question.kind === 'state') {
        offerFacts(form, question.piece ?? '', question.fact ?? '');
    }
    // What is set stands open, so that it is not overlooked.
    if (isExact(question) && (was === undefined || !isExact(was))) {
        element<HTMLDetailsElement>('.question-exact', form).open = true;
    }
    const options = element('.question-options', form);
    const rows = new Map([...options.children].map((row) => [(row as HTMLElement).dataset.id, row as HTMLElement]));
    inPlace(
        options,
        (question.options ?? []).map((option) => {
            const row = rows.get(option.id) ?? copyOf('#option-template');
            const old = rows.has(option.id) ? was?.options?.find(({ id }) => id === option.id) : undefined;
            fillOption(row, question, option, old);
            return row;
        }),
    );
    element('[data-do="spot"] span', form).textContent = question.spot === null ? words.place : words.unplace;
    element('.question-where', form).textContent =
        question.spot === null ? '' : fill(words.on_page, { n: question.spot.page + 1 });
}

/** The question as it stands in its form. */
export function readQuestion(form: HTMLElement, before: Question): Question {
    const field = (name: string): HTMLInputElement => element<HTMLInputElement>(`[data-field="${name}"]`, form);
    const next: Question = { ...before, words: field('words').value };
    if (before.kind === 'drawing' || before.kind === 'space') {
        // Nothing but its words.
    } else if (before.kind === 'tick') {
        next.right = field('tick-right').value;
    } else if (before.kind === 'marked') {
        Object.assign(next, printed(form, before, field('several').checked));
    } else if (before.kind === 'choice' || before.kind === 'choices') {
        const rows = [...form.querySelectorAll<HTMLElement>('.option-edit')];
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
        next.right = linesOf(field('rights').value);
        const [spelling = false, articles = false, order = false] = LOOSE.map((what) => field(`loose-${what}`).checked);
        next.loose = { spelling, articles, order };
        next.reads = field('reads').value;
        showLoose(form, next.reads);
    } else if (before.kind === 'state') {
        offerFacts(form, field('piece').value, field('fact').value);
        Object.assign(next, { piece: field('piece').value, fact: field('fact').value, right: field('right').value });
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
    return next;
}

/** These in this order, and nothing else. What stays is not moved, and who types in it goes on. */
export function inPlace(list: HTMLElement, items: readonly HTMLElement[]): void {
    const focused = list.contains(document.activeElement) ? (document.activeElement as HTMLElement) : null;
    [...list.children].filter((one) => !items.includes(one as HTMLElement)).forEach((one) => one.remove());
    items.forEach((item, i) => {
        const there = list.children[i] ?? null;
        if (there !== item) {
            list.insertBefore(item, there);
        }
    });
    if (focused !== null && focused.isConnected && document.activeElement !== focused) {
        focused.focus();
    }
}

/** What stands in the fields, by their names. */
function fieldsOf(question: Question): Record<string, string | boolean> {
    const { right, loose, tolerance, form } = question;
    return {
        words: question.words,
        shuffle: question.shuffle === true,
        own_unit: question.own_unit === true,
        by_hand: question.by_hand === true,
        several: question.several === true,
        ...Object.fromEntries(LOOSE.map((what) => [`loose-${what}`, loose?.[what] === true])),
        ...(typeof right === 'string' && { [question.kind === 'tick' ? 'tick-right' : 'right']: right }),
        ...(question.kind === 'text' && {
            reads: question.reads ?? 'words',
            rights: (right as string[]).join('\n'),
        }),
        ...(question.kind === 'state' && { piece: question.piece ?? '' }),
        'tolerance-kind': tolerance?.kind ?? 'none',
        'tolerance-most': tolerance?.most ?? '',
        'form-kind': form?.kind ?? 'any',
        'form-digits': String(form?.digits ?? 0),
        to: String(question.to ?? ''),
        low: question.low ?? '',
        high: question.high ?? '',
    };
}

/**
 * A value into its field. What was typed there and is saved without its spaces, or within its bounds, is not corrected
 * under the hand that types it.
 */
function put(field: HTMLInputElement, value: string | boolean, was: string | boolean | undefined): void {
    if (typeof value === 'boolean') {
        field.checked = value;
        return;
    }
    const isTypedIn = document.activeElement === field;
    const isTheSame = value === was || linesOf(value).join('\n') === linesOf(field.value).join('\n');
    if (field.value !== value && !(isTypedIn && isTheSame)) {
        const caret = isTypedIn ? field.selectionEnd : null;
        field.value = value;
        if (caret !== null) {
            field.setSelectionRange(caret, caret);
        }
    }
}

function linesOf(text: string): string[] {
    return text
        .split('\n')
        .map((line) => line.trim())
        .filter((line) => line !== '');
}

function isExact({ tolerance, form, own_unit }: Question): boolean {
    return (tolerance?.kind ?? 'none') !== 'none' || (form?.kind ?? 'any') !== 'any' || own_unit === true;
}

/** Only what the chosen piece can tell; of another piece the first of it. */
function offerFacts(form: HTMLElement, piece: string, fact: string): void {
    const select = element<HTMLSelectElement>('[data-field="fact"]', form);
    const own = [...select.options].filter((option) => {
        option.hidden = option.dataset.piece !== piece;
        option.disabled = option.hidden;
        return !option.hidden;
    });
    // Facts of several pieces have the same name.
    present(own.find(({ value }) => value === fact) ?? own[0]).selected = true;
}

function fillOption(row: HTMLElement, question: Question, option: Choice, was: Choice | undefined): void {
    row.dataset.id = option.id;
    row.dataset.picture = option.picture ?? '';
    row.classList.toggle('has-picture', option.picture !== undefined);
    element('.option-picture', row).hidden = question.kind === 'marked';
    const right = element<HTMLInputElement>('[data-option="right"]', row);
    right.type =
        question.kind === 'choice' || (question.kind === 'marked' && question.several !== true) ? 'radio' : 'checkbox';
    right.name = `right-${question.id}`;
    right.checked = (question.right as string[]).includes(option.id);
    put(element<HTMLInputElement>('[data-option="words"]', row), option.words, was?.words);
}

/** The printed answers as they are named in the form, and which of them are right. */
function printed(form: HTMLElement, { options = [] }: Question, several: boolean): Partial<Question> {
    const rows = [...form.querySelectorAll<HTMLElement>('.option-edit')];
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

/** How strictly words are compared, where words are asked for. */
function showLoose(form: HTMLElement, reads: string): void {
    element('.question-loose', form).hidden = reads !== 'words';
}

function copyOf(template: string): HTMLElement {
    return present(element<HTMLTemplateElement>(template).content.firstElementChild).cloneNode(true) as HTMLElement;
}
