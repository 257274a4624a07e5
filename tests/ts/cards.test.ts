// @vitest-environment happy-dom
import assert from 'node:assert/strict';
import { beforeEach, test, vi } from 'vitest';

vi.mock('sortablejs', () => ({ default: { create: () => undefined } }));
const posted = vi.hoisted(() => ({ answer: {} as unknown, fails: '' }));
vi.mock('../../resources/ts/live/http', () => ({
    post: async () => (posted.fails === '' ? posted.answer : Promise.reject(new Error(posted.fails))),
    sendFile: async () => ({ objects: [{ object: { asset: '01PICTURE' } }] }),
    reasonOf: (problem: Error) => problem.message,
}));

import type { Card } from '../../resources/ts/protocol/cards';
import { Aspects, type Aspect } from '../../resources/ts/plan/aspects';
import { Rows } from '../../resources/ts/plan/rows';
import { RunCards } from '../../resources/ts/questions/cards';

const WORDS = { picture_first: 'first', unreachable: 'no', ask_guessed: 'guessed', ask_certain: 'certain' };
const ROWS = `<ol class="rows-list"></ol><button data-rows="add"></button>
    <template data-rows="row"><li class="rows-row"><button class="rows-grip"></button><textarea></textarea><button data-rows="out"></button></li></template>`;
const ALL = 'choice number maths text scale sure worked';

let told: Card[] = [];
let cards: RunCards;

beforeEach(() => {
    told = [];
    posted.fails = '';
    document.body.innerHTML = `<div id="cards"><ol class="run-card-list"></ol><button data-cards="add"></button>
        <textarea data-cards="lines"></textarea><button data-cards="take"></button><p data-cards="problem" hidden></p>
        <template data-cards="card"><li class="run-card"><button class="run-card-grip"></button><b class="run-card-n"></b>
            <select data-card="kind">${`${ALL} work`
                .split(' ')
                .map((one) => `<option value="${one}"></option>`)
                .join('')}</select>
            <textarea data-card="words" data-for="${ALL}"></textarea><div class="run-card-choices" data-for="choice"></div>
            <button data-card="choice"></button><input data-card="right"><input data-card="seconds">
            <select data-card="look"><option value="none"></option><option value="bars"></option><option value="right"></option></select>
            <input type="file" data-card="file"><img data-card="picture"><button data-card="no-picture"></button>
            <button data-card="out"></button></li></template>
        <template data-cards="choice"><div class="run-card-choice"><input type="checkbox" data-choice="right">
            <input data-choice="words"><button data-choice="out"></button></div></template></div>`;
    cards = new RunCards(document.querySelector<HTMLElement>('#cards')!, {
        address: '/desk/s',
        assets: '/asset',
        words: WORDS,
        changed: (now) => {
            told = now;
        },
    });
});

const at = (selector: string): HTMLInputElement => document.querySelector<HTMLInputElement>(selector)!;
const set = (selector: string, value: string | boolean): void => {
    Object.assign(at(selector), typeof value === 'boolean' ? { checked: value } : { value });
    at(selector).dispatchEvent(new Event('change', { bubbles: true }));
};

const FORCE: Card = {
    kind: 'ask',
    question: {
        kind: 'number',
        words: 'F?',
        right: '80 N',
        ...({ tolerance: { kind: 'percent', most: '5' } } as object),
    },
    seconds: 20,
    picture: '',
    look: 'bars',
};

test('cards are shown and read back as they are, what they do not show included', () => {
    const all: Card[] = [
        FORCE,
        { kind: 'worked', words: '60 × 2 = 120', picture: '01P', seconds: null },
        { kind: 'work', seconds: 30 },
    ];
    cards.show(all);
    assert.deepEqual(cards.all, all);
});

test('a new card asks for a choice; several ticks make it one with several right', () => {
    at('[data-cards="add"]').click();
    assert.equal(told.length, 1);
    set('[data-card="words"]', 'Which hold?');
    set('.run-card-choice:nth-child(1) [data-choice="right"]', true);
    assert.equal((told[0] as { question: { kind: string } }).question.kind, 'choice');
    set('.run-card-choice:nth-child(3) [data-choice="right"]', true);
    at('.run-card-choice:nth-child(4) [data-choice="out"]').click();
    const { question } = told[0] as Extract<Card, { kind: 'ask' }>;
    assert.deepEqual([question.kind, question.right, question.options?.length], ['choices', ['o1', 'o3'], 3]);
});

test('another kind forgets what belonged to the one before', () => {
    cards.show([FORCE]);
    set('[data-card="kind"]', 'text');
    set('[data-card="right"]', 'pivot / hinge');
    const { question } = told[0] as Extract<Card, { kind: 'ask' }>;
    assert.deepEqual(question, { kind: 'text', words: 'F?', right: ['pivot', 'hinge'] });
    set('[data-card="kind"]', 'sure');
    assert.deepEqual((told[0] as Extract<Card, { kind: 'ask' }>).question, {
        kind: 'scale',
        words: 'F?',
        from: 1,
        to: 4,
        low: 'guessed',
        high: 'certain',
    });
});

test('lines that cannot be read stay where they were pasted, and it is said', async () => {
    at('[data-cards="lines"]').value = 'F? | 80 N | soon';
    posted.fails = 'Card 1: Write a time like 20 s or 2 min.';
    at('[data-cards="take"]').click();
    await vi.waitFor(() => assert.equal(at('[data-cards="problem"]').hidden, false));
    assert.equal(at('[data-cards="lines"]').value, 'F? | 80 N | soon');
    posted.fails = '';
    posted.answer = { cards: [FORCE] };
    at('[data-cards="take"]').click();
    await vi.waitFor(() => assert.equal(told.length, 1));
    assert.deepEqual([at('[data-cards="lines"]').value, at('[data-cards="problem"]').hidden], ['', true]);
});

test('what the server sends again does not take away what is being written', () => {
    cards.show([FORCE]);
    at('[data-card="words"]').value = 'F at the end?';
    cards.show([FORCE]);
    assert.equal(at('[data-card="words"]').value, 'F at the end?');
});

test('rows: Enter adds one, Backspace in an empty one takes it away, empty ones are not told', () => {
    document.body.innerHTML = `<div id="rows">${ROWS}</div>`;
    let lines: string[] = [];
    const rows = new Rows(at('#rows'), (now) => {
        lines = now;
    });
    rows.show(['pivot', 'load']);
    const key = (n: number, name: string): boolean =>
        at(`.rows-row:nth-child(${n}) textarea`).dispatchEvent(
            new KeyboardEvent('keydown', { key: name, bubbles: true, cancelable: true }),
        );
    key(1, 'Enter');
    assert.deepEqual([document.querySelectorAll('.rows-row').length, lines], [3, ['pivot', 'load']]);
    assert.equal(document.activeElement, at('.rows-row:nth-child(2) textarea'));
    assert.equal(key(1, 'Backspace'), true, 'what is written is rubbed out letter by letter');
    key(2, 'Backspace');
    assert.equal(document.querySelectorAll('.rows-row').length, 2);
    at('.rows-row:nth-child(1) [data-rows="out"]').click();
    assert.deepEqual(lines, ['load']);
});

test('what is checked has Strata or levels of its own', () => {
    document.body.innerHTML = `<ol id="aspect-list"></ol><button id="aspect-add"></button><template id="aspect-template">
        <li class="aspect" data-first="not there|complete"><button class="aspect-grip"></button><input data-aspect="name">
        <select data-aspect="scale"><option value="strata"></option><option value="own"></option></select>
        <button data-aspect="out"></button><div class="rows" hidden>${ROWS}</div></li></template>`;
    let now: Aspect[] = [];
    const aspects = new Aspects((all) => {
        now = all;
    });
    aspects.show([{ name: 'Method', levels: [] }]);
    set('[data-aspect=scale]', 'own');
    assert.deepEqual(now, [{ name: 'Method', levels: ['not there', 'complete'] }]);
    set('.rows-row:nth-child(2) textarea', 'all of it');
    assert.deepEqual(now[0]?.levels, ['not there', 'all of it']);
    at('[data-aspect=out]').click();
    assert.deepEqual(now, []);
});
