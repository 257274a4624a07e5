// @vitest-environment happy-dom
import assert from 'node:assert/strict';
import { afterEach, beforeEach, test, vi } from 'vitest';
import { Flush } from '../../resources/ts/live/flush';
import { Notice } from '../../resources/ts/live/notice';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

/** Things that wait, a network that may be down, and what was sent. */
function sender(...waiting: string[]) {
    const state = { waiting, sent: [] as string[], isDown: false, told: 0 };
    const flush = new Flush({
        isWaiting: () => state.waiting.length > 0,
        send: () => {
            if (state.isDown) {
                return Promise.reject(new TypeError('network'));
            }
            state.sent.push(state.waiting.shift()!);
            return Promise.resolve();
        },
        changed: () => state.told++,
        wait: (failures) => failures * 1000,
    });
    return { state, flush };
}

test('everything that waits is sent, oldest first, what comes meanwhile too', async () => {
    const { state, flush } = sender('a', 'b');
    const done = flush.now();
    state.waiting.push('c');
    // Pressed again while it is sending, it is still one after the other.
    void flush.now();
    await done;
    assert.deepEqual(state.sent, ['a', 'b', 'c']);
    assert.equal(flush.isReachable, true);
});

test('who asks while something is on its way waits for it too', async () => {
    let answer = (): void => undefined;
    let waiting = 1;
    const flush = new Flush({
        isWaiting: () => waiting > 0,
        send: () => new Promise((resolve) => (answer = resolve)),
        changed: () => undefined,
        wait: () => 1000,
    });
    void flush.now();
    let isDone = false;
    const asked = flush.now().then(() => (isDone = true));
    await vi.advanceTimersByTimeAsync(10);
    assert.equal(isDone, false);
    waiting = 0;
    answer();
    await asked;
    assert.equal(flush.isSending, false);
    // And once more, with nothing to send.
    await flush.now();
});

test('without an answer it waits, longer each time, and goes on where it was', async () => {
    const { state, flush } = sender('a');
    state.isDown = true;
    await flush.now();
    assert.equal(flush.isReachable, false);
    await vi.advanceTimersByTimeAsync(1000);
    assert.deepEqual(state.sent, []);
    state.isDown = false;
    await vi.advanceTimersByTimeAsync(1999);
    assert.deepEqual(state.sent, []);
    await vi.advanceTimersByTimeAsync(1);
    assert.deepEqual(state.sent, ['a']);
    assert.equal(flush.isReachable, true);
    assert.ok(state.told >= 3);
});

test('what is put off is put off again by what comes after it', async () => {
    const { state, flush } = sender('a');
    flush.soon(600);
    await vi.advanceTimersByTimeAsync(500);
    flush.soon(600);
    await vi.advanceTimersByTimeAsync(500);
    assert.deepEqual(state.sent, []);
    await vi.advanceTimersByTimeAsync(100);
    assert.deepEqual(state.sent, ['a']);
});

test('a sentence goes after a while; one with something to press stays longer', async () => {
    document.body.innerHTML = '<p id="notice" hidden></p>';
    const place = document.querySelector<HTMLElement>('#notice')!;
    const notice = new Notice('#notice');
    notice.say('Checked 3 canvases.');
    assert.equal(place.hidden, false);
    await vi.advanceTimersByTimeAsync(7000);
    assert.equal(place.hidden, true);
    let pressed = 0;
    notice.say('Checked 3 canvases.', { word: 'Undo', press: () => pressed++ });
    await vi.advanceTimersByTimeAsync(14_000);
    assert.equal(place.hidden, false);
    place.querySelector('button')!.click();
    assert.equal(pressed, 1);
    assert.equal(place.hidden, true);
    notice.say('');
    assert.equal(place.hidden, true);
});
