import assert from 'node:assert/strict';
import { test } from 'vitest';
import { decodeInk, type Sample } from '../../resources/ts/canvas/model/ink';
import type { WetInk } from '../../resources/ts/canvas/model/objects';
import { tileWidth } from '../../resources/ts/grid/layout';
import { WetSender } from '../../resources/ts/live/wet';
import { fill } from '../../resources/ts/page';

(globalThis as unknown as Record<string, unknown>).window = globalThis;
const sleep = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));
const ink = { type: 'stroke' as const, colour: '#000000', width: 40, page: '' };
const samples = (from: number, count: number): Sample[] =>
    Array.from({ length: count }, (_, i): Sample => [from + i, 0, 128, from + i]);

function collect(open = true): { sender: WetSender; sent: WetInk[]; gate: { open: boolean } } {
    const sent: WetInk[] = [];
    const gate = { open };
    const sender = new WetSender('key', (text) => gate.open && sent.push(JSON.parse(text) as WetInk) > 0);
    return { sender, sent, gate };
}

/** The stroke as a desk puts it together. */
const together = (sent: WetInk[]): Sample[] => sent.flatMap(({ p }) => decodeInk(p!));

test('the first points go at once, the others together, and none is missing at the end', async () => {
    const { sender, sent } = collect();
    sender.grow('canvas', 'stroke', samples(0, 1), 0, ink);
    assert.equal(sent.length, 1);
    for (let i = 1; i < 20; i++) {
        sender.grow('canvas', 'stroke', samples(i, 1), i, ink);
    }
    await sleep(60);
    sender.grow('canvas', 'stroke', samples(20, 2), 20, ink);
    sender.finish();
    assert.deepEqual(together(sent), samples(0, 22));
    assert.ok(sent.length < 10, `${sent.length} messages for 22 points`);
    let first = 0;
    for (const { i, p } of sent) {
        assert.equal(i, first);
        first += decodeInk(p!).length;
    }
});

test('what a closed socket did not take goes with the next points', async () => {
    const { sender, sent, gate } = collect(false);
    sender.grow('canvas', 'stroke', samples(0, 3), 0, ink);
    gate.open = true;
    await sleep(40);
    sender.grow('canvas', 'stroke', samples(3, 1), 3, ink);
    await sleep(40);
    assert.deepEqual(together(sent), samples(0, 4));
});

test('a new stroke takes nothing over from the one before', async () => {
    const { sender, sent, gate } = collect(false);
    sender.grow('canvas', 'one', samples(0, 3), 0, ink);
    sender.finish();
    gate.open = true;
    await sleep(40);
    sender.grow('canvas', 'two', samples(9, 1), 0, { ...ink, colour: '#a8452e', width: 20 });
    sender.finish();
    assert.deepEqual(
        sent.map(({ o, i, s }) => [o, i, s]),
        [['two', 0, ['#a8452e', 20]]],
    );
});

test('tiles of a class of 30 fit beside the rail at 1280 by 800, with a line of answers too', () => {
    const width = 1120;
    for (const [hasAnswers, height, frame] of [
        [false, 644, 28],
        [true, 610, 50],
    ] as const) {
        for (const count of [1, 2, 7, 24, 30, ...(hasAnswers ? [] : [35])]) {
            const tile = tileWidth(count, width, height, 420, Number(hasAnswers));
            const columns = Math.floor((width + 8) / (tile + 8));
            const rows = Math.ceil(count / columns);
            assert.ok(tile >= 130 && tile <= 420 && (tile - 2) % 8 === 0, `${count}: ${tile}`);
            assert.ok(
                rows * (tile / 1.6 + frame) + (rows - 1) * 8 <= height + 1,
                `${count} tiles of ${tile} in ${rows} rows`,
            );
        }
    }
    assert.equal(tileWidth(100, width, 644, 420, 0), 130);
    // A picture of whole pixels: 192 by 120, and its border.
    assert.equal(tileWidth(4, width, 644, 200, 0), 194);
});

test('sentences are filled in', () => {
    assert.equal(fill('quiet :n min, :who', { n: 3 }), 'quiet 3 min, :who');
});

test('with light data fewer points go out, less often, and the last of them at the end', async () => {
    const { sender, sent } = collect();
    sender.light = true;
    const began = performance.now();
    for (let i = 0; i < 60; i++) {
        sender.grow('canvas', 'stroke', samples(i, 1), i, ink);
        await sleep(5);
    }
    sender.finish();
    assert.deepEqual(
        together(sent),
        samples(0, 60).filter((_, i) => i % 3 === 0),
    );
    // One in a fifth of a second, and one at either end; on a busy machine it all takes longer.
    const most = 2 + (performance.now() - began) / 200;
    assert.ok(sent.length <= most, `${sent.length} messages where ${most} are the most`);
});
