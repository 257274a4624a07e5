import assert from 'node:assert/strict';
import { test } from 'vitest';
import type { Placed } from '../../resources/ts/canvas/model/objects';
import { sides, stretched, stretchOf } from '../../resources/ts/canvas/tools/stretch';

/** An object as it is placed: 100 units wide and 50 high, in tenths. */
function placed(type: string, more: object = {}, place?: Placed['place']): Placed {
    return {
        layer: 'student',
        page: '',
        place,
        object: { type, x: 0, y: 0, w: 1000, h: 500, colour: '#25323b', width: 40, ...more },
    } as unknown as Placed;
}

const size = (object: object): [number, number] => {
    const { w, h } = object as { w: number; h: number };
    return [w, h];
};

test('a side follows the hand, and the other stays', () => {
    assert.deepEqual(size(stretched(placed('rectangle'), 'w', [100, 20], [130, 90])), [1300, 500]);
    assert.deepEqual(size(stretched(placed('rectangle'), 'h', [50, 50], [90, 40])), [1000, 400]);
});

test('of an object that is turned, it follows along its own side', () => {
    // A quarter turn, and twice as large: what was across is now down.
    const turned = placed('rectangle', {}, [0, 0, 9000, 20000]);
    assert.deepEqual(size(stretched(turned, 'w', [0, 0], [0, 60])), [1300, 500]);
    assert.deepEqual(size(stretched(turned, 'w', [0, 0], [60, 0])), [1000, 500]);
});

test('nothing is pulled through itself; a line may be level', () => {
    assert.deepEqual(size(stretched(placed('rectangle'), 'w', [100, 0], [-500, 0])), [50, 500]);
    assert.deepEqual(size(stretched(placed('line'), 'h', [0, 50], [0, -500])), [1000, 0]);
    // One that was drawn to the left grows to the left.
    assert.deepEqual(size(stretched(placed('line', { w: -1000 }), 'w', [0, 0], [-20, 0])), [-800, 500]);
});

test('words keep the width that they are given, and only that can be pulled', () => {
    const text = placed('text', { text: 'moments balance', size: 24, fixed: false });
    assert.deepEqual(sides(text), ['w']);
    const wider = stretched(text, 'w', [0, 0], [40, 0]);
    assert.deepEqual(stretchOf(wider, 'w'), { w: 1400, text: 'moments balance', fixed: true });
    assert.deepEqual(stretchOf(stretched(placed('ellipse'), 'h', [0, 0], [0, 10]), 'h'), { h: 600 });
    assert.deepEqual(sides(placed('stroke')), []);
});
