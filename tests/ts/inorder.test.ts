import assert from 'node:assert/strict';
import { afterEach, beforeEach, test, vi } from 'vitest';
import { InOrder } from '../../resources/ts/live/inorder';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

/** Requests that are answered, or fail, when they are told to. */
function requests() {
    const begun: string[] = [];
    const ends: Record<string, (failed?: Error) => void> = {};
    const order = new InOrder();
    const ask = (name: string): Promise<string> =>
        order.do(
            () =>
                new Promise((answer, fail) => {
                    begun.push(name);
                    ends[name] = (failed) => (failed === undefined ? answer(name) : fail(failed));
                }),
        );
    return { begun, ends, order, ask };
}

const settle = (): Promise<unknown> => vi.advanceTimersByTimeAsync(0);

test('what is asked is asked one thing after the other, and a failure is of its own only', async () => {
    const { begun, ends, order, ask } = requests();
    const [first, second] = [ask('secure'), ask('nearly')];
    await settle();
    assert.deepEqual(begun, ['secure']);
    ends.secure!(new Error('pens are down'));
    await assert.rejects(first, /pens are down/);
    await settle();
    assert.deepEqual(begun, ['secure', 'nearly']);
    ends.nearly!();
    assert.equal(await second, 'nearly');
    await order.settled();
});

test('an answer that hangs is waited for three seconds, and then it goes on', async () => {
    const { begun, ask } = requests();
    void ask('hand out');
    void ask('pens down');
    await vi.advanceTimersByTimeAsync(2999);
    assert.deepEqual(begun, ['hand out']);
    await vi.advanceTimersByTimeAsync(1);
    assert.deepEqual(begun, ['hand out', 'pens down']);
});
