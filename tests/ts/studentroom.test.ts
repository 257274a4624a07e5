// @vitest-environment happy-dom
import type { StudentWords } from '../../resources/ts/protocol/words';
import assert from 'node:assert/strict';
import { afterEach, beforeEach, test, vi } from 'vitest';
import type { May, Own, Room } from '../../resources/ts/protocol/room';
import { RoomPage } from '../../resources/ts/student/room';

const PAGE = `<header id="strip"><span class="strip-who"></span><span id="timer" hidden></span>
    <button id="hand"><span></span></button><button id="send"><span></span></button>
    <button id="prompt-before"></button><button id="prompt-after"></button></header>
    <button id="more"></button><div id="more-menu" hidden><p id="who-am-i"></p><button id="offer"></button><button id="keep-back"></button>
    <button id="light"><span class="light-rate"></span></button><button id="other-device"></button></div>
    <div id="letters" hidden></div><template id="letter-template"><p></p></template><div id="shown-work" hidden></div><div id="page-frame" tabindex="0"></div>
    <div id="cover" tabindex="-1" hidden><p id="cover-words"></p></div>
    <dialog id="hand-window"><form><textarea id="hand-words"></textarea></form></dialog><button id="hand-lower"></button>
    <dialog id="offer-window"><form><input id="offer-words"><input type="radio" name="part" value="seen"></form></dialog>
    <button id="leave-device"></button><dialog id="leave-window"><form></form></dialog>
    <dialog id="device-window"><p id="device-code"></p></dialog>`;

const WORDS = {
    pens_down: 'Pens down',
    send: 'Send to teacher',
    sent: 'Sent',
    take_back: 'Take back',
    why_pens_down: 'Pens are down.',
    why_sent: 'You’ve sent this.',
    why_revealed: 'All work has been revealed.',
    why_prompt_closed: 'This prompt is closed.',
    renamed: 'Your name here is now :name.',
    not_now: 'You can’t do that now: :reason',
} as unknown as Record<string, string>;

const may = (against: Partial<May> = {}): May => ({
    work: null,
    turn_to: null,
    send: null,
    take_back: null,
    write: null,
    offer: null,
    keep_back: null,
    ...against,
});

const room = (against: Partial<May> = {}, more: Partial<Room> = {}): Room =>
    ({
        pens: null,
        timer: null,
        pace: 'together',
        here: 'p1',
        prompts: [
            { id: 'p1', n: 1, state: 'open', may: may(against) },
            { id: 'p2', n: 2, state: 'open', may: may(against) },
        ],
        lead: { shown: null, ink: null, from: 0 },
        showcase: null,
        openUntil: null,
        sound: false,
        light: false,
        ...more,
    }) as Room;

const own = (against: Partial<May> = {}, more: Partial<Own> = {}): Own =>
    ({
        state: 'seated',
        name: 'Tamsin',
        seat: 'Seat 3',
        isSeenAsSeat: false,
        together: null,
        pens: null,
        prompt: 'p1',
        may: may(against),
        isCovered: false,
        isSent: false,
        hand: false,
        light: false,
        messages: [],
        checks: [],
        run: null,
        ask: null,
        ...more,
    }) as unknown as Own;

let locks: string[] = [];
let said: string[] = [];
let moves = 0;
let page: RoomPage;

beforeEach(() => {
    vi.useFakeTimers();
    document.body.innerHTML = PAGE;
    locks = [];
    said = [];
    moves = 0;
    page = new RoomPage({
        address: '/seat/s',
        // The sentences that these tests hear.
        words: WORDS as StudentWords,
        now: () => 0,
        lock: (reason) => locks.push(reason),
        canvas: () => 'c',
        seen: () => ({ page: '', cut: null }),
        rest: () => undefined,
        deliver: () => Promise.resolve(),
        leave: () => undefined,
        moved: () => moves++,
        light: () => undefined,
        say: (sentence) => said.push(sentence),
    });
});
afterEach(() => vi.useRealTimers());

const send = (): HTMLButtonElement => document.querySelector('#send')!;
const word = (): string => send().querySelector('span')!.textContent;

test('what the room stops is said as the reason, and comes before what the seat says', () => {
    page.take(room({ work: 'pens_down' }), own({ work: 'sent' }), true);
    assert.equal(locks.at(-1), 'Pens are down.');
    page.take(room(), undefined);
    assert.equal(locks.at(-1), 'You’ve sent this.');
    page.take(undefined, own());
    assert.equal(locks.at(-1), '', 'nothing stops it any more');
});

test('what was sent can be taken back, unless the work has been revealed', () => {
    page.take(room(), own({ work: 'sent', send: 'sent' }, { isSent: true }), true);
    assert.deepEqual([word(), send().disabled], ['Sent · Take back', false]);
    page.take(room({ take_back: 'revealed' }), undefined);
    assert.deepEqual([word(), send().disabled, send().title], ['Sent', true, 'All work has been revealed.']);
    assert.equal(locks.at(-1), 'All work has been revealed.');
});

test('a prompt that closes is said once, and only to who is at it', () => {
    page.take(room(), own(), true);
    page.take(room({ work: 'prompt_closed', send: 'prompt_closed' }), undefined);
    page.take(room({ work: 'prompt_closed', send: 'prompt_closed' }), undefined);
    assert.deepEqual(said, ['This prompt is closed.']);
    assert.equal(send().disabled, true);
    page.take(room(), own({}, { prompt: 'p2' }));
    assert.equal(moves, 1, 'the student is at another one now');
});

test('one walks between prompts only where the teacher lets everyone go at their own pace', () => {
    const before = document.querySelector<HTMLButtonElement>('#prompt-before')!;
    const after = document.querySelector<HTMLButtonElement>('#prompt-after')!;
    page.take(room({ turn_to: 'together' }), own(), true);
    assert.equal(after.hidden, true);
    page.take(room({}, { pace: 'own' }), undefined);
    assert.deepEqual([before.hidden, before.disabled, after.disabled], [false, true, false], 'at the first of two');
});

test('pens down cover the page and give it back, with the words of the teacher', () => {
    const cover = document.querySelector<HTMLElement>('#cover')!;
    page.take(room({ work: 'pens_down' }, { pens: { since: 1, words: 'Eyes on the board.' } }), own(), true);
    assert.deepEqual(
        [cover.hidden, document.querySelector('#cover-words')!.textContent],
        [false, 'Eyes on the board.'],
    );
    assert.equal(document.querySelector<HTMLElement>('#strip')!.inert, true);
    page.take(room(), undefined);
    assert.deepEqual([cover.hidden, document.querySelector<HTMLElement>('#strip')!.inert], [true, false]);
    assert.equal(document.activeElement?.id, 'page-frame');
});

test('another name is said, the same one is not', () => {
    page.take(room(), own(), true);
    page.take(undefined, own({}, { name: 'Tamsin (2)' }));
    page.take(undefined, own({}, { name: 'Tamsin (2)' }));
    assert.deepEqual(said, ['Your name here is now Tamsin (2).']);
});

test('what was told since a press was sent is newer than its answer', async () => {
    const answers: ((own: Own) => void)[] = [];
    vi.stubGlobal(
        'fetch',
        () => new Promise<Response>((then) => answers.push((now) => then(new Response(JSON.stringify({ own: now }))))),
    );
    page.take(room(), own(), true);
    send().click();
    await vi.advanceTimersByTimeAsync(0);
    // The server has it, and tells so; the teacher gives it back; then the answer comes.
    page.take(undefined, own({ work: 'sent' }, { isSent: true }));
    page.take(undefined, own());
    answers.shift()!(own({ work: 'sent' }, { isSent: true }));
    await vi.advanceTimersByTimeAsync(0);
    assert.equal(word(), 'Send to teacher');
    // Where nothing was told, the answer is all that there is.
    send().click();
    await vi.advanceTimersByTimeAsync(0);
    answers.shift()!(own({ work: 'sent' }, { isSent: true }));
    await vi.advanceTimersByTimeAsync(0);
    assert.equal(word(), 'Sent · Take back');
    vi.unstubAllGlobals();
});

test('two presses on “next” lead two prompts on', async () => {
    const turned: unknown[] = [];
    const three = (): Room =>
        room(
            {},
            { pace: 'own', prompts: ['p1', 'p2', 'p3'].map((id, i) => ({ id, n: i + 1, state: 'open', may: may() })) },
        );
    vi.stubGlobal('fetch', async (_address: string, init: RequestInit) => {
        const { prompt } = JSON.parse(String(init.body)) as { prompt: string };
        turned.push(prompt);
        await new Promise((then) => setTimeout(then, 100));
        return new Response(JSON.stringify({ own: own({}, { prompt }) }));
    });
    page.take(three(), own(), true);
    const next = document.querySelector<HTMLButtonElement>('#prompt-after')!;
    next.click();
    await vi.advanceTimersByTimeAsync(10);
    next.click();
    await vi.advanceTimersByTimeAsync(500);
    assert.deepEqual(turned, ['p2', 'p3']);
    vi.unstubAllGlobals();
});

test('what was sent goes from its field, what was written since stays, and what is offered is what was there then', async () => {
    const answers: (() => void)[] = [];
    const sent: unknown[] = [];
    vi.stubGlobal('fetch', (_address: string, init: RequestInit) => {
        sent.push(JSON.parse(String(init.body)));
        return new Promise<Response>((then) =>
            answers.push(() => then(new Response(JSON.stringify({ own: own({}, { hand: true }) })))),
        );
    });
    const press = (window: string): void => {
        document
            .querySelector<HTMLFormElement>(`${window} form`)!
            .dispatchEvent(new Event('submit', { cancelable: true }));
    };
    const hand = document.querySelector<HTMLTextAreaElement>('#hand-words')!;
    const offer = document.querySelector<HTMLInputElement>('#offer-words')!;
    page.take(room(), own(), true);
    hand.value = 'Which end?';
    press('#hand-window');
    await vi.advanceTimersByTimeAsync(0);
    hand.value = 'And where is the pivot?';
    answers.shift()!();
    await vi.advanceTimersByTimeAsync(0);
    assert.equal(hand.value, 'And where is the pivot?');
    press('#hand-window');
    await vi.advanceTimersByTimeAsync(0);
    answers.shift()!();
    await vi.advanceTimersByTimeAsync(0);
    assert.equal(hand.value, '');
    // The work is still on its way to the server when the next words are written.
    offer.value = 'My way';
    press('#offer-window');
    offer.value = 'Another way';
    await vi.advanceTimersByTimeAsync(0);
    answers.shift()!();
    await vi.advanceTimersByTimeAsync(0);
    assert.deepEqual(sent.at(-1), { canvas: 'c', page: '', cut: null, words: 'My way' });
    assert.equal(offer.value, 'Another way');
    vi.unstubAllGlobals();
});
