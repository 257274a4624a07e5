import assert from 'node:assert/strict';
import { beforeEach, test } from 'vitest';
import { Saver } from '../../resources/ts/plan/saver';
import { pagesOf, ranges } from '../../resources/ts/plan/takein';
import { formulaParts } from '../../resources/ts/questions/words';

interface Sent {
    address: string;
    field: string;
    from: unknown;
    to: unknown;
}

/** A server that has one field, and takes what says rightly what it was. */
let present: unknown;
let sent: Sent[];
let down: boolean;
const kept = new Map<string, string>();

beforeEach(() => {
    present = 'before';
    sent = [];
    down = false;
    kept.clear();
    Object.assign(globalThis, {
        window: {
            addEventListener: () => undefined,
            setTimeout,
            clearTimeout,
            localStorage: {
                getItem: (key: string) => kept.get(key) ?? null,
                setItem: (key: string, value: string) => kept.set(key, value),
            },
        },
        document: { cookie: '' },
        fetch: async (address: string, { body }: { body: string }) => {
            if (down) {
                throw new Error('no network');
            }
            const change = JSON.parse(body) as Omit<Sent, 'address'>;
            sent.push({ address, ...change });
            const bad = Array.isArray(change.to) ? change.to.flatMap((one, i) => (one === 'bad' ? [i] : [])) : [];
            if (change.to === 'bad' || bad.length > 0) {
                return new Response(JSON.stringify({ message: 'no good', lines: bad }), { status: 422 });
            }
            if (change.from !== present) {
                return new Response(JSON.stringify({ message: 'changed', present }), { status: 409 });
            }
            present = change.to;
            return new Response(JSON.stringify({ n: sent.length }), { status: 200 });
        },
    });
});

function saver(mine = true): { saver: Saver; known: () => unknown; conflicts: unknown[] } {
    let known: unknown = 'before';
    const conflicts: unknown[] = [];
    const made = new Saver({
        address: '/plan/p',
        present: () => known,
        saved: () => {
            known = present;
        },
        conflict: async (field, theirs, own) => {
            conflicts.push([field, theirs, own]);
            return mine;
        },
        kept: 'kept',
        good: (_prompt, _field, list, refused) => list.filter((_, i) => !refused.includes(i)),
        changed: () => undefined,
    });
    return { saver: made, known: () => known, conflicts };
}

test('what is typed while a change waits goes as one, from what it was at first', async () => {
    const { saver: one } = saver();
    one.set('x', 'words', 'b');
    one.set('x', 'words', 'be');
    assert.equal(one.holds('x', 'words'), true);
    await one.flush();
    assert.deepEqual(sent, [{ address: '/plan/p/prompt/x/edits', field: 'words', from: 'before', to: 'be' }]);
    assert.equal(one.isBusy, false);
});

test('what is typed while a change is on its way follows on top of it', async () => {
    const { saver: one } = saver();
    one.set(null, 'title', 'first');
    const flushing = one.flush();
    one.set(null, 'title', 'second');
    await flushing;
    await one.flush();
    assert.deepEqual(
        sent.map(({ from, to }) => [from, to]),
        [
            ['before', 'first'],
            ['first', 'second'],
        ],
    );
    assert.equal(present, 'second');
});

test('what stands here is what was typed until the server has it, and what it refused', async () => {
    const { saver: one } = saver();
    one.set('x', 'words', 'twelve');
    one.set('y', 'words', 'ten');
    assert.deepEqual(one.standing('x'), { words: 'twelve' });
    one.set('y', 'words', 'bad');
    await one.flush();
    assert.deepEqual([one.standing('x'), one.standing('y')], [{}, { words: 'bad' }]);
});

test('a field that another has changed is asked about, and mine is put on top when it shall stand', async () => {
    const { saver: one, conflicts } = saver(true);
    present = 'theirs';
    one.set('x', 'words', 'mine');
    await one.flush();
    assert.deepEqual(conflicts, [['words', 'theirs', 'mine']]);
    assert.equal(present, 'mine');
});

test('otherwise theirs stays and mine is given up', async () => {
    const { saver: one } = saver(false);
    present = 'theirs';
    one.set('x', 'words', 'mine');
    await one.flush();
    assert.equal(present, 'theirs');
    assert.equal(one.isBusy, false);
});

test('without a network nothing is given up', async () => {
    const { saver: one } = saver();
    down = true;
    one.set('x', 'words', 'kept');
    await one.flush();
    assert.equal(one.holds('x', 'words'), true);
    down = false;
    await one.flush();
    assert.equal(present, 'kept');
});

test('what is refused stays as it was typed, over a reload, until it is mended or given up', async () => {
    const { saver: one } = saver();
    one.set('x', 'points', 'bad');
    await one.flush();
    const refused = [{ prompt: 'x', field: 'points', to: 'bad', message: 'no good' }];
    assert.deepEqual([one.notTaken, one.isBusy, present], [refused, false, 'before']);
    const { saver: again } = saver();
    assert.deepEqual(again.notTaken, refused);
    again.set('x', 'points', 'good');
    await again.flush();
    assert.deepEqual([again.notTaken, saver().saver.notTaken, present], [[], [], 'good']);
    again.set('x', 'points', 'bad');
    await again.flush();
    again.drop('x', 'points');
    assert.deepEqual(saver().saver.notTaken, []);
});

test('the good lines of a list are saved, and the whole of it stays here', async () => {
    const { saver: one } = saver();
    one.set('x', 'asks', ['a', 'bad', 'c']);
    await one.flush();
    assert.deepEqual(present, ['a', 'c']);
    assert.deepEqual(
        one.notTaken.map(({ to }) => to),
        [['a', 'bad', 'c']],
    );
    one.set('x', 'asks', ['bad']);
    await one.flush();
    assert.deepEqual(present, ['a', 'c'], 'nothing good is no reason to save nothing');
});

test('chosen pages are written as ranges', () => {
    assert.equal(ranges([1, 2, 3, 7]), '1-3, 7');
    assert.equal(ranges([2]), '2');
    assert.deepEqual([...pagesOf('2, 4-5')], [2, 4, 5]);
    assert.deepEqual([...pagesOf(' 7–9,x,')], [7, 8, 9]);
    assert.equal(ranges([]), '');
    assert.equal(ranges([1, 3, 4, 6, 7, 8]), '1, 3-4, 6-8');
});

test('a price is no formula', () => {
    const formulas = (text: string): string[] => formulaParts(text).filter((_, i) => i % 2 === 1);
    assert.deepEqual(formulas('It costs $5 and then $6'), []);
    assert.deepEqual(formulas('It costs $5 for $x$ kg and $6'), ['$x$']);
    assert.deepEqual(formulas('From \\$5 to \\$6, $x$'), ['$x$']);
    assert.deepEqual(formulas('$\\frac{1}{2}$ of $ab$, $5,000–$6,000, a lone $ sign'), ['$\\frac{1}{2}$', '$ab$']);
});
