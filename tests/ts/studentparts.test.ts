// @vitest-environment happy-dom
import assert from 'node:assert/strict';
import { afterEach, beforeEach, test, vi } from 'vitest';
import { questionField } from '../../resources/ts/questions/fields';
import { Awaited } from '../../resources/ts/student/awaited';
import { CheckLine } from '../../resources/ts/student/checks';
import { Letters } from '../../resources/ts/student/letters';
import { SavedLine } from '../../resources/ts/student/saved';
import type { Asked } from '../../resources/ts/protocol/questions';
import type { StudentWords } from '../../resources/ts/protocol/words';

const posted: { address: string; body: unknown }[] = [];
const WORDS = {
    saved: 'Saved',
    saving: 'Saving…',
    offline: 'Offline — 1 stroke kept here|Offline — :n strokes kept here',
    polling: 'Saved — slow connection',
    held: ':n not sent yet: :reason',
    points: ':n points',
    points_of: ':n of :most',
    question: 'Question :n',
    signs: 'Signs',
    choice: 'Choice :n',
} as unknown as StudentWords;

beforeEach(() => {
    vi.useFakeTimers();
    posted.length = 0;
    vi.stubGlobal('fetch', async (address: string, init: RequestInit) => {
        posted.push({ address, body: JSON.parse(String(init.body)) });
        return new Response('{}', { headers: { 'Content-Type': 'application/json' } });
    });
});
afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
    sessionStorage.clear();
});

test('“Saved” is said when the server has everything, and otherwise what waits and why', () => {
    document.body.innerHTML = '<span id="saved"><span class="saved-words"></span></span>';
    const place = document.querySelector<HTMLElement>('#saved')!;
    const line = new SavedLine(WORDS);
    const said = (): [string, string | undefined] => [place.textContent, place.dataset.state];
    line.show({ waiting: 2 });
    assert.deepEqual(said(), ['Saving…', 'saving']);
    line.show({ isReachable: false });
    assert.deepEqual(said(), ['Offline — 2 strokes kept here', 'offline']);
    line.show({ isReachable: true, held: 'pens are down' });
    assert.deepEqual(said(), ['2 not sent yet: pens are down', 'held']);
    line.show({ waiting: 0, held: '', connection: 'polling' });
    assert.deepEqual(said(), ['Saved — slow connection', 'saved']);
    line.show({ connection: 'live' });
    assert.deepEqual(said(), ['Saved', 'saved']);
});

test('the teacher hears that a hand-out came once it is on the page, and once only', () => {
    const there = new Set<string>();
    const awaited = new Awaited('/seat/s', (operation) => there.has(operation));
    awaited.expect('h1', 'op9', 'c1');
    assert.equal(awaited.isEmpty, false);
    assert.deepEqual(posted, []);
    there.add('op9');
    awaited.acknowledge('c1');
    awaited.acknowledge('c1');
    assert.deepEqual(posted, [{ address: '/seat/s/got', body: { canvas: 'c1', handout: 'h1' } }]);
    assert.equal(awaited.isEmpty, true);
});

test('a letter stays until it is read, over a reload too; one that the teacher removes goes', () => {
    document.body.innerHTML = `<div id="letters"></div><template id="letter-template"><div class="letter">
        <b class="letter-from"></b><p class="letter-words"></p><button class="letter-read"></button>
        <button class="letter-reply"></button></div></template>`;
    const root = document.querySelector<HTMLElement>('#letters')!;
    const one = { id: 'l1', mine: false, from: 'Ms Okafor-Lind', words: 'Which side <b>turns</b>?' };
    const mine = { id: 'l2', mine: true, from: 'me', words: 'I am stuck' };
    const letters = new Letters(() => undefined);
    letters.show([one, mine], false);
    letters.show([one, mine], false);
    assert.equal(root.children.length, 1);
    assert.equal(root.querySelector('.letter-words')!.textContent, 'Which side <b>turns</b>?');
    assert.equal(root.querySelector<HTMLElement>('.letter-reply')!.hidden, true);
    root.querySelector<HTMLElement>('.letter-read')!.click();
    new Letters(() => undefined).show([one], true);
    assert.equal(root.children.length, 0);
    letters.show([{ ...one, id: 'l3' }], true);
    letters.show([], true);
    assert.equal(root.children.length, 0);
});

test('a check folds away, and comes back when it is another', () => {
    document.body.innerHTML = `<div id="surface"></div><div id="own-check" hidden><i class="strata"></i>
        <b id="own-check-words"></b><p id="own-check-note"></p><button id="own-check-away"></button></div>`;
    const root = document.querySelector<HTMLElement>('#own-check')!;
    const line = new CheckLine(document.querySelector<HTMLElement>('#surface')!, { words: WORDS });
    const check = { canvas: 'c1', n: 1, level: 2, words: 'Nearly', points: 2.5, most: 4, note: 'Mind the unit.' };
    line.take([check], 'c1');
    assert.equal(document.querySelector('#own-check-words')!.textContent, 'Nearly · 2.5 of 4');
    document.querySelector<HTMLElement>('#own-check-away')!.click();
    line.take([check], 'c1');
    assert.equal(root.hidden, true);
    line.take([{ ...check, level: 3, words: 'Secure' }], 'c1');
    assert.equal(root.hidden, false);
    line.take([check], 'c2');
    assert.equal(root.hidden, true);
});

/** A question in the page, and what was answered. */
function field(asked: Partial<Asked>) {
    const answered: unknown[] = [];
    const made = questionField({ id: 'q', kind: 'text', words: '', spot: null, ...asked } as Asked, 1, {
        assets: '/asset',
        words: WORDS,
        answer: (value) => answered.push(value),
    });
    document.body.replaceChildren(made.root);
    return { ...made, answered };
}

test('what is typed is sent after a pause, once, and an emptied field takes the answer back', async () => {
    const { root, answered, show } = field({ kind: 'number', words: 'F = ?' });
    const input = root.querySelector('input')!;
    assert.equal(input.getAttribute('aria-label'), 'F = ?');
    input.value = ' 80 N ';
    input.dispatchEvent(new Event('input'));
    await vi.advanceTimersByTimeAsync(999);
    assert.deepEqual(answered, []);
    await vi.advanceTimersByTimeAsync(1);
    input.dispatchEvent(new Event('blur'));
    assert.deepEqual(answered, ['80 N']);
    input.value = '';
    input.dispatchEvent(new Event('change'));
    assert.deepEqual(answered, ['80 N', null]);
    show('60 N');
    assert.equal(input.value, '60 N');
});

test('a sign goes where the hand is', () => {
    const { root, answered } = field({ kind: 'maths' });
    const input = root.querySelector('input')!;
    input.value = '24';
    input.setSelectionRange(1, 1);
    [...root.querySelectorAll('button')].find(({ textContent }) => textContent === '√')!.click();
    assert.equal(input.value, '2√4');
    input.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter' }));
    assert.deepEqual(answered, ['2√4']);
});

test('one of several is chosen, or some of several, or a step of a scale', () => {
    const options = [
        { id: 'a', words: 'left' },
        { id: 'b', words: 'right' },
    ];
    const press = (root: HTMLElement, value: string): void => {
        const input = root.querySelector<HTMLInputElement>(`input[value="${value}"]`)!;
        input.checked = !input.checked;
        input.dispatchEvent(new Event('change', { bubbles: true }));
    };
    const choice = field({ kind: 'choice', options });
    press(choice.root, 'b');
    assert.deepEqual(choice.answered, ['b']);
    const choices = field({ kind: 'choices', options });
    press(choices.root, 'a');
    press(choices.root, 'a');
    assert.deepEqual(choices.answered, [['a'], null]);
    const scale = field({ kind: 'scale', from: 1, to: 5, low: 'guessed', high: 'certain' });
    assert.equal(scale.root.querySelectorAll('input').length, 5);
    press(scale.root, '4');
    assert.deepEqual(scale.answered, [4]);
    scale.show(2);
    assert.equal(scale.root.querySelector<HTMLInputElement>('input[value="2"]')!.checked, true);
});
