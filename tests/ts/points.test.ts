import assert from 'node:assert/strict';
import { test } from 'vitest';
import { nearestPoint } from '../../resources/ts/canvas/model/points';
import { regrouped } from '../../resources/ts/canvas/tools/clipboard';
import type { BoxShape, Placed } from '../../resources/ts/canvas/model/objects';

const LOOK = { colour: '#25323b', width: 40, filled: false };
const BOX: BoxShape = { type: 'rectangle', x: 1000, y: 1000, w: 2000, h: 1000, ...LOOK };
const ARROW: BoxShape = { type: 'arrow', x: 3000, y: 1500, w: 500, h: 0, ...LOOK };

function onPage(object: Placed['object'], place?: Placed['place']): Placed {
    return { layer: 'student', page: '', object, ...(place && { place }) };
}

test('the nearest corner or middle of a side is found, and told as a point of what was drawn', () => {
    const page: [string, Placed][] = [['box', onPage(BOX)]];
    assert.deepEqual(nearestPoint(page, 297, 148, 10), { at: [300, 150], tie: { on: 'box', x: 3000, y: 1500 } });
    assert.deepEqual(nearestPoint(page, 103, 99, 10)?.at, [100, 100]);
    assert.equal(nearestPoint(page, 250, 130, 10), null);
});

test('what was turned and scaled is met where it stands, and told as it was', () => {
    // By a quarter about the page's corner, twice as large, and 1000 units to the right.
    const page: [string, Placed][] = [['box', onPage(BOX, [10000, 0, 9000, 20000])]];
    const found = nearestPoint(page, 700, 602, 10);
    assert.deepEqual(found?.tie, { on: 'box', x: 3000, y: 1500 });
    assert.deepEqual(found?.at.map(Math.round), [700, 600]);
});

test('of several at the same place the one on top is met', () => {
    const page: [string, Placed][] = [
        ['box', onPage(BOX)],
        ['arrow', onPage(ARROW)],
    ];
    assert.equal(nearestPoint(page, 300, 150, 10)?.tie.on, 'arrow');
});

test('copies are tied to each other, and to nothing that was not copied', () => {
    const tied = { ...ARROW, start: { on: 'a', x: 1, y: 2 }, end: { on: 'b', x: 3, y: 4 } };
    const both = regrouped(
        [
            { id: 'a', object: BOX },
            { id: 'l', object: tied },
        ],
        (i) => `new.${i}`,
    );
    assert.deepEqual(both, [{ object: BOX }, { object: { ...ARROW, start: { on: 'new.0', x: 1, y: 2 } } }]);
    // Handed out as pieces they have ids of their own: nothing is tied.
    assert.deepEqual(
        regrouped([
            { id: 'a', object: BOX },
            { id: 'l', object: tied },
        ]).at(1),
        { object: ARROW },
    );
});
