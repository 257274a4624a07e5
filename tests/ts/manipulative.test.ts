import assert from 'node:assert/strict';
import { test } from 'vitest';
import {
    begun,
    guidesOf,
    handedOut,
    isWorked,
    readManipulative,
    saidOf,
    sketchOf,
    worked,
    type Manipulative,
} from '../../resources/ts/canvas/model/manipulative/manipulative';
import { partAt } from '../../resources/ts/canvas/model/manipulative/parts';
import { RULES } from '../../resources/ts/canvas/model/manipulative/rules';
import { guideAt } from '../../resources/ts/canvas/tools/guides';
import { middleOf, nudged, pressed } from '../../resources/ts/canvas/tools/parts';
import type { Placed } from '../../resources/ts/canvas/model/objects';
import type { Point } from '../../resources/ts/canvas/tools/gestures';

test('a part is pressed where it lies, the topmost of several, and a button is none of the picture', () => {
    const bar = begun('fraction_bar', { parts: 4 }, [1000, 2000]);
    const part = partAt(bar, 100 + 160, 200 + 10);
    assert.deepEqual([part?.name, part?.n], ['cell', 1]);
    assert.equal(partAt(bar, 90, 210), null);
    const control = sketchOf(bar).parts.find(({ isControl }) => isControl)!;
    const [x, y] = middleOf(control);
    assert.equal(partAt(bar, 100 + x, 200 + y), null);
    const after = worked(bar, { act: { part: 'cell', n: 1 } });
    assert.deepEqual(saidOf(after), { words: ':all shaded', with: { all: '1/4' } });
    assert.ok(isWorked(after) && !isWorked(bar));
    // What was there before is as it was.
    assert.deepEqual(saidOf(bar).with, { all: '0/4' });
});

test('settings begin anew, those of each student are kept by their names, and fixed ones stay where handed out', () => {
    const bar = begun('fraction_bar', { parts: '{a}', rows: 2 });
    assert.deepEqual(bar.vary, { parts: '{a}' });
    assert.equal(bar.settings.parts, 4);
    const other = worked(bar, { settings: { parts: 3, rows: 1 } });
    assert.equal(other.vary, undefined);
    assert.deepEqual(other.state.parts, [3]);
    const set = { settings: { parts: 9 }, act: { part: 'cell', n: 0 } };
    assert.deepEqual(Object.keys(handedOut(bar, set)), ['act']);
    assert.deepEqual(handedOut({ ...bar, free: true }, set), set);
});

test('what another page sends is made to fit, whatever it is', () => {
    for (const kind of Object.keys(RULES)) {
        for (const state of [undefined, {}, { cells: 'x', tokens: [1e9, NaN, 'a'], values: Array(9000).fill(1e9) }]) {
            const sent = { type: 'manipulative', kind, x: 0, y: 0, settings: { rows: 1e9, parts: -5 }, state };
            const read = readManipulative(sent as unknown as Manipulative);
            assert.ok(sketchOf(read).shapes.length < 3000, kind);
            assert.notEqual(saidOf(read).words, '');
        }
    }
    const unknown = readManipulative({ type: 'manipulative', kind: 'later', x: 0, y: 0 } as unknown as Manipulative);
    assert.deepEqual([sketchOf(unknown).shapes, saidOf(unknown).words], [[], '']);
    assert.equal(worked(unknown, { act: { part: 'a', n: 0 } }), unknown);
});

test('an arrow key drags a part by its step', () => {
    const line = begun('number_line', {});
    const end = sketchOf(line).parts.find(({ name }) => name === 'end')!;
    const after = worked(line, { act: nudged(end, [end.step, 0]) });
    assert.deepEqual(after.state.jumps, [1]);
    assert.deepEqual(pressed(end), { part: 'end', n: 0, x: null, y: null, to: null });
});

test('a pen is guided by the edge that it begins at, and by nothing farther away', () => {
    const at = (x: number, y: number): Point => ({
        x,
        y,
        pressure: 128,
        ms: 0,
        shift: false,
        pointer: 'pen',
        unitsPerPixel: 1,
    });
    const bench = (object: Manipulative, layer: Placed['layer'] = 'student') =>
        ({
            layer: 'student',
            view: {
                here: () => [['one', { layer, page: '', object }]],
                isOwnOrPiece: (_: string, placed: Placed) => ['student', 'pieces'].includes(placed.layer),
            },
        }) as unknown as Parameters<typeof guideAt>[0];
    const ruler = begun('ruler', { length: 10 }, [1000, 1000]);
    assert.equal(guidesOf(ruler).length, 2);
    const edge = guideAt(bench(ruler), at(200, 94))!;
    assert.deepEqual(edge(at(300, 120)), { x: 300, y: 100 });
    // It ends where the ruler does.
    assert.ok(Math.abs(edge(at(5000, 90)).x - (100 + 10.6 * 58.9)) < 1e-6);
    assert.equal(guideAt(bench(ruler), at(200, 60)), null);
    assert.equal(guideAt(bench(ruler, 'coach'), at(200, 100)), null);
    assert.equal(guideAt(bench(begun('clock', {}, [1000, 1000])), at(100, 100)), null);
    const compass = begun('compass', { opening: 20 }, [5000, 5000]);
    const round = guideAt(bench(compass), at(500 + 118, 500))!;
    const { x, y } = round(at(500, 900));
    assert.ok(Math.abs(x - 500) < 1e-6 && Math.abs(y - 618) < 1);
});
