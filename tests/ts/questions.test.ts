// @vitest-environment happy-dom
import { beforeEach, describe, expect, it } from 'vitest';
import type { Question } from '../../resources/ts/plan/model';
import { QuestionList } from '../../resources/ts/plan/questions';
import type { PlanWords } from '../../resources/ts/protocol/words';

const INPUTS = ['words', 'right', 'tolerance-most', 'form-digits', 'to', 'low', 'high', 'piece'];
const CHECKED = ['shuffle', 'own_unit', 'by_hand', 'several', 'loose-spelling', 'loose-articles', 'loose-order'];
const CHOSEN = { 'tolerance-kind': ['none', 'within'], 'form-kind': ['any', 'surd'], reads: ['words', 'chemistry'] };

const FORM = `<template id="question-template"><li>
    <b class="question-edit-n"></b><i class="question-edit-kind"></i>
    ${INPUTS.map((name) => `<input data-field="${name}">`).join('')}
    ${CHECKED.map((name) => `<input type="checkbox" data-field="${name}">`).join('')}
    ${Object.entries(CHOSEN)
        .map(
            ([name, all]) =>
                `<select data-field="${name}">${all.map((one) => `<option>${one}</option>`).join('')}</select>`,
        )
        .join('')}
    <textarea data-field="rights"></textarea>
    <div class="question-loose"></div><div class="question-options"></div>
    <details class="question-exact"></details>
    <button data-do="spot"><span></span></button><button data-do="up">Move up</button><em class="question-where"></em>
</li></template>
<template id="option-template"><div class="option-edit">
    <input data-option="right"><input data-option="words"><label class="option-picture"></label>
</div></template>`;

const number = (id: string, more: Partial<Question> = {}): Question => ({
    id,
    kind: 'number',
    words: 'What is the moment?',
    spot: null,
    right: '240 N m',
    form: { kind: 'any', digits: 0 },
    tolerance: { kind: 'none', most: '' },
    own_unit: false,
    by_hand: false,
    ...more,
});

let list: QuestionList;
let told: Question[][];

const field = (question: string, name: string): HTMLInputElement =>
    document.querySelector(`[data-question="${question}"] [data-field="${name}"]`) as HTMLInputElement;

/** Typed on, as a hand does it. */
function type(into: HTMLInputElement, text: string): void {
    into.focus();
    into.value = text;
    into.dispatchEvent(new Event('input', { bubbles: true }));
}

beforeEach(() => {
    document.body.innerHTML = `${FORM}<ol id="question-list"></ol><b id="question-count"></b>
        <select id="question-new"><option></option><option>number</option></select>`;
    told = [];
    list = new QuestionList({
        address: '/plan/1',
        words: { kind_number: 'Number', kind_text: 'Text', place: 'Place', unplace: 'Take off' } as PlanWords,
        changed: (questions) => told.push(questions),
        page: () => 0,
        say: () => undefined,
    });
    list.show([number('q1'), number('q2')], 'p1');
});

describe('what is saved while somebody types', () => {
    it('leaves the field, its space and its caret alone', () => {
        const words = field('q1', 'words');
        type(words, 'Find ');
        words.setSelectionRange(2, 2);
        // Saved: trimmed, with its parts in another order.
        const { id, ...more } = number('q1', { words: 'Find' });
        list.show([{ ...more, id }, number('q2')], 'p1');
        expect(field('q1', 'words')).toBe(words);
        expect([words.value, words.selectionStart]).toEqual(['Find ', 2]);
        expect(document.activeElement).toBe(words);
        type(words, 'Find the mass');
        expect(told.at(-1)?.[0]?.words).toBe('Find the mass');
        // Left, it says what is saved.
        words.blur();
        list.show([number('q1', { words: 'Find the force' }), number('q2')], 'p1');
        expect(words.value).toBe('Find the force');
    });

    it('leaves what stands open open', () => {
        const exact = document.querySelector<HTMLDetailsElement>('[data-question="q1"] details') as HTMLDetailsElement;
        exact.open = true;
        list.show([number('q1', { words: 'Find the mass' }), number('q2')], 'p1');
        expect(exact.isConnected && exact.open).toBe(true);
    });

    it('takes what a colleague wrote meanwhile, in the field that is open too', () => {
        const words = field('q1', 'words');
        words.focus();
        list.show([number('q1', { words: 'Find the mass', right: '3 kg' }), number('q2')], 'p1');
        expect([words.value, field('q1', 'right').value]).toEqual(['Find the mass', '3 kg']);
        expect(document.activeElement).toBe(words);
    });
});

describe('the order', () => {
    it('is changed with the key that was pressed still under the finger', () => {
        const up = document.querySelector('[data-question="q2"] [data-do="up"]') as HTMLElement;
        up.focus();
        up.click();
        expect(list.all.map(({ id }) => id)).toEqual(['q2', 'q1']);
        expect(document.activeElement).toBe(up);
        expect([...document.querySelectorAll('.question-edit-n')].map((n) => n.textContent)).toEqual(['1.', '2.']);
    });
});

describe('another prompt', () => {
    it('has forms of its own, though its questions are called the same', () => {
        type(field('q1', 'words'), 'Find ');
        list.show([number('q1', { words: '', own_unit: true })], 'p2');
        expect([field('q1', 'words').value, document.querySelectorAll('#question-list > li').length]).toEqual(['', 1]);
        expect(document.querySelector('details')?.open).toBe(true);
    });

    it('may have another kind under the same name', () => {
        list.show([{ id: 'q1', kind: 'text', words: '', spot: null, right: ['up', 'down'] }], 'p1');
        expect([field('q1', 'rights').value, document.querySelector('.question-edit-kind')?.textContent]).toEqual([
            'up\ndown',
            'Text',
        ]);
        // Nothing more than a new line is nothing new.
        const rights = field('q1', 'rights');
        type(rights, 'up\ndown\n');
        list.show([{ id: 'q1', kind: 'text', reads: 'words', words: '', spot: null, right: ['up', 'down'] }], 'p1');
        expect(rights.value).toBe('up\ndown\n');
    });
});
