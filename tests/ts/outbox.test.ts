import assert from 'node:assert/strict';
import { test } from 'vitest';
import type { Operation } from '../../resources/ts/canvas/model/objects';
import { Outbox } from '../../resources/ts/live/outbox';

/** A page without a database, and a server that answers as it is told. */
Object.assign(globalThis, {
    window: Object.assign(new EventTarget(), { setTimeout, clearTimeout }),
    document: { cookie: '' },
    PerformanceObserver: class {
        observe(): void {
            // Nothing is ever resized here.
        }
    },
});

const operation = (id: string): Operation => ({ id, kind: 'add', layer: 'student', at: 5, body: {} });

async function outbox(
    answer: (ids: string[]) => object,
): Promise<{ outbox: Outbox; sent: string[][]; said: string[] }> {
    const sent: string[][] = [];
    const said: string[] = [];
    globalThis.fetch = (async (_: string, { body }: { body: string }) => {
        const ids = (JSON.parse(body) as { operations: Operation[] }).operations.map(({ id }) => id);
        sent.push(ids);
        return new Response(JSON.stringify({ accepted: [], refused: [], held: [], ...answer(ids) }), {
            headers: { 'Content-Type': 'application/json' },
        });
    }) as typeof fetch;
    const made = await Outbox.open({
        seat: 's',
        address: '/operations',
        accepted: () => undefined,
        refused: () => undefined,
        changed: (waiting, _, held) => said.push(`${waiting} ${held}`),
    });
    return { outbox: made, sent, said };
}

test('what the server holds back stays, is said, and goes out again when something has changed', async () => {
    let arePensDown = true;
    const {
        outbox: box,
        sent,
        said,
    } = await outbox((ids) =>
        arePensDown
            ? { held: ids.map((id) => ({ id, why: 'pens_down', reason: 'Pens are down.' })) }
            : { accepted: ids.map((id, n) => ({ id, n })) },
    );
    await box.put('c', operation('one'));
    await box.put('c', operation('two'));
    assert.deepEqual(sent, [['one'], ['two']], 'none of them is sent over and over');
    assert.equal(said.at(-1), '2 Pens are down.');
    assert.equal(box.isDelivered, true);
    assert.deepEqual(
        box.waitingFor('c').map(({ id }) => id),
        ['one', 'two'],
    );
    arePensDown = false;
    box.release();
    await new Promise((later) => setTimeout(later, 20));
    assert.deepEqual(sent.at(-1), ['one', 'two']);
    assert.equal(said.at(-1), '0 ');
    assert.equal(box.count, 0);
});

test('what is held lets the rest through', async () => {
    const { outbox: box, said } = await outbox((ids) => ({
        accepted: ids.filter((id) => id !== 'late').map((id, n) => ({ id, n })),
        held: ids.filter((id) => id === 'late').map((id) => ({ id, why: 'sent', reason: 'Sent.' })),
    }));
    await box.put('c', operation('late'));
    await box.put('d', operation('early'));
    assert.deepEqual(
        [...box.waitingFor('c'), ...box.waitingFor('d')].map(({ id }) => id),
        ['late'],
    );
    assert.equal(said.at(-1), '1 Sent.');
});

test('what a page could not keep when it was left, the next page of the tab has, and another student’s has not', async () => {
    const kept = new Map<string, string>();
    Object.assign(globalThis, {
        sessionStorage: {
            getItem: (key: string) => kept.get(key) ?? null,
            setItem: (key: string, value: string) => kept.set(key, value),
            removeItem: (key: string) => kept.delete(key),
        },
    });
    const nothing = (): object => ({});
    const { outbox: box } = await outbox(nothing);
    void box.put('c', operation('begun'));
    box.leave('c');
    assert.equal(kept.size, 1);
    const { outbox: next } = await outbox(nothing);
    assert.deepEqual(
        next.waitingFor('c').map(({ id }) => id),
        ['begun'],
    );
    assert.equal(kept.size, 0, 'once');
    kept.set('crag-left', JSON.stringify([{ seat: 'another', canvas: 'c', operation: operation('theirs') }]));
    assert.equal((await outbox(nothing)).outbox.count, 0);
    assert.equal(kept.size, 0, 'and it does not stay there');
});
