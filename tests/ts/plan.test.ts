import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import type { PlanState } from '../../resources/ts/plan/model';
import { Saver } from '../../resources/ts/plan/saver';
import { ranges } from '../../resources/ts/plan/takein';
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

beforeEach(() => {
    present = 'before';
    sent = [];
    down = false;
    Object.assign(globalThis, {
        window: { addEventListener: () => undefined, setTimeout, clearTimeout },
        document: { cookie: '' },
        fetch: async (address: string, { body }: { body: string }) => {
            if (down) {
                throw new Error('no network');
            }
            const change = JSON.parse(body) as Omit<Sent, 'address'>;
            sent.push({ address, ...change });
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
        saved: (_: PlanState) => {
            known = present;
        },
        conflict: async (field, theirs, own) => {
            conflicts.push([field, theirs, own]);
            return mine;
        },
        refused: () => undefined,
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
    assert.deepEqual(sent.map(({ from, to }) => [from, to]), [['before', 'first'], ['first', 'second']]);
    assert.equal(present, 'second');
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

test('chosen pages are written as ranges', () => {
    assert.equal(ranges([1, 2, 3, 7]), '1-3, 7');
    assert.equal(ranges([2]), '2');
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
