import assert from 'node:assert/strict';
import { afterEach, beforeEach, test, vi } from 'vitest';
import type { Operation } from '../../resources/ts/canvas/model/objects';
import { KeeperLine } from '../../resources/ts/live/keeper';

const operation = (id: string, words = ''): Operation => ({
    id,
    kind: 'add',
    layer: 'student',
    at: 5,
    body: { object: { type: 'text', text: words } as never },
});

interface Sent {
    b: string;
    c: string;
    s: string;
    k: string;
}

/** A page's line to the keeper, over a socket that is open or not. */
function line(): { keeper: KeeperLine; sent: Sent[]; open: boolean } {
    const page: { keeper: KeeperLine; sent: Sent[]; open: boolean } = {
        sent: [],
        open: true,
        keeper: new KeeperLine({
            seat: () => 'seat',
            key: () => 'key',
            send: (text) => {
                if (page.open) {
                    page.sent.push(JSON.parse(text) as Sent);
                }
                return page.open;
            },
        }),
    };
    return page;
}

const reply = (of: { b: string } | undefined): string => of?.b ?? '';

beforeEach(() => vi.useFakeTimers());
afterEach(() => vi.useRealTimers());

test('a batch goes out with the seat’s key, and its answer is the one that names it', async () => {
    const page = line();
    const asked = page.keeper.send('canvas', [operation('one')]);
    const { s, k, c } = page.sent[0] ?? { s: '', k: '', c: '' };
    assert.deepEqual([s, k, c], ['seat', 'key', 'canvas']);
    page.keeper.hear({ reply: 'another page’s', accepted: [], refused: [] });
    const answer = { reply: reply(page.sent[0]), accepted: [{ id: 'one', n: 4 }], refused: [], held: [] };
    page.keeper.hear(answer);
    assert.deepEqual(await asked, answer);
});

test('without an answer in time the batch is posted, and so are the next ones for a while', async () => {
    const page = line();
    const asked = page.keeper.send('canvas', [operation('one')]);
    vi.advanceTimersByTime(1999);
    assert.equal(await Promise.race([asked, Promise.resolve('waits')]), 'waits');
    vi.advanceTimersByTime(1);
    assert.equal(await asked, null);
    assert.equal(await page.keeper.send('canvas', [operation('two')]), null);
    assert.equal(page.sent.length, 1, 'nothing is sent to a keeper that is silent');
    // An answer that comes too late is nobody's.
    page.keeper.hear({ reply: reply(page.sent[0]), accepted: [], refused: [] });
    vi.advanceTimersByTime(10_000);
    void page.keeper.send('canvas', [operation('three')]);
    assert.equal(page.sent.length, 2, 'after a while it is tried again');
});

test('what the keeper does not judge is posted at once, and the next one goes over the socket again', async () => {
    const page = line();
    const asked = page.keeper.send('canvas', [operation('one')]);
    page.keeper.hear({ reply: reply(page.sent[0]), post: true });
    assert.equal(await asked, null);
    void page.keeper.send('canvas', [operation('two')]);
    assert.equal(page.sent.length, 2);
});

test('without a socket, with one that closes, and with more than a frame holds, it is posted', async () => {
    const page = line();
    page.open = false;
    assert.equal(await page.keeper.send('canvas', [operation('one')]), null);
    page.open = true;
    // Bytes count, not letters.
    assert.equal(await page.keeper.send('canvas', [operation('two', 'ا'.repeat(6500))]), null);
    assert.equal(page.sent.length, 0);
    const asked = page.keeper.send('canvas', [operation('three')]);
    page.keeper.closed();
    assert.equal(await asked, null);
});
