// @vitest-environment happy-dom
import assert from 'node:assert/strict';
import { afterEach, beforeEach, test, vi } from 'vitest';
import { Commands, fieldsOf } from '../../resources/ts/desk/shell/commands';
import { Notice } from '../../resources/ts/live/notice';
import { Drawer } from '../../resources/ts/desk/shell/drawer';
import { Freshness } from '../../resources/ts/desk/shell/freshness';

interface Sent {
    address: string;
    body: unknown;
}

let sent: Sent[] = [];
/** What the server answers next, in turn; without one it says that all is well. */
let answers: (() => Promise<Response>)[] = [];

const json = (body: unknown, status = 200): Response =>
    new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } });
const settle = async (): Promise<void> => {
    for (let i = 0; i < 10; i++) {
        await Promise.resolve();
    }
    await new Promise((then) => setTimeout(then));
};

beforeEach(() => {
    sent = [];
    answers = [];
    document.body.innerHTML = '<p id="desk-notice" hidden></p>';
    vi.stubGlobal('fetch', async (address: string, init: RequestInit) => {
        sent.push({ address, body: JSON.parse(String(init.body)) });
        return (answers.shift() ?? (() => Promise.resolve(json({}))))();
    });
});
afterEach(() => vi.unstubAllGlobals());

/** One for all tests: it listens to the whole page, as on the desk. */
const done: string[] = [];
const commands = new Commands(new Notice('#desk-notice'), {
    words: { undo: 'Undo', unreachable: 'That didn’t reach the server.' },
    then: (what) => done.push(what),
    mend: () => done.push('mend'),
});

const said = (): string => document.querySelector('#desk-notice')!.textContent;

test('a button sends what it says, and what the server answers is said with a way back', async () => {
    document.body.innerHTML += `<button data-post="/desk/1/pens" data-body='{"down":true}'>Pens down</button>`;
    answers = [
        () => Promise.resolve(json({ said: 'Pens down for Rafe.', undo: { address: '/desk/1/undo', body: { n: 1 } } })),
    ];
    document.querySelector('button')!.click();
    await settle();
    assert.equal(said(), 'Pens down for Rafe. Undo');
    document.querySelector<HTMLButtonElement>('#desk-notice button')!.click();
    await settle();
    assert.deepEqual(sent, [
        { address: '/desk/1/pens', body: { down: true } },
        { address: '/desk/1/undo', body: { n: 1 } },
    ]);
    assert.equal(document.querySelector<HTMLElement>('#desk-notice')!.hidden, true);
});

test('a refusal is said as the server says it, and no answer at all in our words', async () => {
    answers = [
        () => Promise.resolve(json({ message: 'Only the teacher running this session can do that.' }, 403)),
        () => Promise.reject(new TypeError('network')),
    ];
    assert.equal(await commands.run('/desk/1/end', {}), false);
    assert.equal(said(), 'Only the teacher running this session can do that.');
    assert.equal(await commands.run('/desk/1/end', {}), false);
    assert.equal(said(), 'That didn’t reach the server.');
    assert.deepEqual(done.slice(-2), ['mend', 'mend']);
});

test('a setting sends what was changed and nothing that the form remembers, one after the other', async () => {
    document.body.innerHTML += `<form data-post="/desk/1/settings" data-live>
        <input type="checkbox" name="sound" checked><input name="watch.still_minutes" value="4">
        <input type="checkbox" name="feedback.what[]" value="note" checked>
        <input type="checkbox" name="feedback.what[]" value="level"></form>`;
    let first = (): void => undefined;
    answers = [
        () =>
            new Promise((then) => {
                first = () => then(json({}));
            }),
    ];
    const change = (name: string): boolean =>
        document.querySelector(`[name="${name}"]`)!.dispatchEvent(new Event('change', { bubbles: true }));
    change('sound');
    change('watch.still_minutes');
    change('feedback.what[]');
    await settle();
    assert.equal(sent.length, 1, 'the second waits for the first');
    first();
    await commands.settled();
    assert.deepEqual(
        sent.map(({ body }) => body),
        [{ sound: true }, { watch: { still_minutes: '4' } }, { feedback: { what: ['note'] } }],
    );
});

test('two buttons pressed fast after one another are done in their order', async () => {
    document.body.innerHTML += `<button data-post="/desk/1/line-up/a/show">A</button>
        <button data-post="/desk/1/line-up/b/show">B</button>`;
    let first = (): void => undefined;
    answers = [
        () =>
            new Promise((then) => {
                first = () => then(json({}));
            }),
    ];
    document.querySelectorAll('button').forEach((button) => button.click());
    await settle();
    assert.deepEqual(
        sent.map(({ address }) => address),
        ['/desk/1/line-up/a/show'],
    );
    first();
    await settle();
    assert.deepEqual(
        sent.map(({ address }) => address),
        ['/desk/1/line-up/a/show', '/desk/1/line-up/b/show'],
    );
});

test('a form that leaves the page waits for what was pressed before it, though it was replaced meanwhile', async () => {
    document.body.innerHTML += '<div id="now"><form method="post" action="/desk/1/end"></form></div>';
    commands.leaveInOrder();
    const left: string[] = [];
    vi.spyOn(HTMLFormElement.prototype, 'submit').mockImplementation(function (this: HTMLFormElement) {
        left.push(`${this.getAttribute('action')} ${this.isConnected ? 'from the page' : 'from nowhere'}`);
    });
    let first = (): void => undefined;
    answers = [
        () =>
            new Promise((then) => {
                first = () => then(json({}));
            }),
    ];
    void commands.run('/desk/1/settings', { desk_names: 'names' });
    document.querySelector('form')!.dispatchEvent(new Event('submit', { bubbles: true, cancelable: true }));
    await settle();
    assert.deepEqual(left, [], 'not before');
    document.querySelector('#now')!.innerHTML = '<form method="post" action="/desk/1/end"></form>';
    first();
    await settle();
    assert.deepEqual(left, ['/desk/1/end from the page']);
    vi.restoreAllMocks();
});

test('a form is read as the server wants it', () => {
    document.body.innerHTML = `<form><input name="title" value="Beams"><input type="radio" name="to" value="all">
        <input type="radio" name="to" value="some" checked><input type="checkbox" name="late">
        <input type="checkbox" name="seats[]" value="a" checked><input type="checkbox" name="seats[]" value="b">
        <button>Send</button></form>`;
    assert.deepEqual(fieldsOf(document.querySelector('form')!), {
        title: 'Beams',
        to: 'some',
        late: false,
        seats: ['a'],
    });
});

test('the drawer shows one panel at a time, and gives the focus back', () => {
    document.body.innerHTML = `<button id="before">Door</button><aside id="drawer" hidden>
        <section id="door" class="panel"><h2 tabindex="-1">Door</h2><button data-close>Close</button></section>
        <section id="ask" class="panel"><h2 tabindex="-1">Ask</h2></section></aside>`;
    const closed: string[] = [];
    const drawer = new Drawer((panel) => closed.push(panel));
    document.querySelector<HTMLElement>('#before')!.focus();
    drawer.open('door');
    assert.equal(document.activeElement?.textContent, 'Door');
    drawer.open('ask');
    assert.equal(drawer.panel, 'ask');
    assert.equal(document.querySelector<HTMLElement>('#door')!.hidden, true);
    document.querySelector<HTMLElement>('[data-close]')!.click();
    drawer.close();
    assert.deepEqual([closed, drawer.panel, document.activeElement?.id], [['door', 'ask'], '', 'before']);
});

test('a desk that could not be refreshed says since when, once, until it can again', () => {
    vi.useFakeTimers({ now: new Date(2026, 10, 28, 9, 41, 5) });
    const place = document.createElement('p');
    place.hidden = true;
    const freshness = new Freshness(place, 'As at :time.');
    vi.setSystemTime(new Date(2026, 10, 28, 9, 45));
    freshness.heard(false);
    freshness.heard(false);
    assert.match(place.textContent, /^As at 0?9:41:05/);
    freshness.heard(true, 'The server’s disk is full.');
    assert.deepEqual([place.textContent, place.hidden], ['The server’s disk is full.', false]);
    freshness.heard(true);
    assert.equal(place.hidden, true);
    vi.useRealTimers();
});

test('a message goes from its field, and what was written since stays', async () => {
    document.body.innerHTML += `<form data-post="/desk/1/hand"><input type="hidden" name="seat" value="s1">
        <textarea name="words">Look at the pivot.</textarea></form>`;
    const form = document.querySelector('form')!;
    const words = document.querySelector('textarea')!;
    const send = (): boolean => form.dispatchEvent(new Event('submit', { bubbles: true, cancelable: true }));
    send();
    words.value = 'And at the other end.';
    await settle();
    assert.equal(words.value, 'And at the other end.');
    send();
    // The server writes around it meanwhile.
    document.querySelector<HTMLInputElement>('[name=seat]')!.value = 's2';
    await settle();
    assert.equal(words.value, '');
    assert.deepEqual(
        sent.map(({ body }) => body),
        [
            { seat: 's1', words: 'Look at the pivot.' },
            { seat: 's1', words: 'And at the other end.' },
        ],
    );
});
