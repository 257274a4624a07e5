import assert from 'node:assert/strict';
import { test } from 'vitest';
import { boxOf, cornersOf, gathered, overlaps, pageBox, union, type Box } from '../../resources/ts/canvas/model/bounds';
import type { CanvasObject, Placed } from '../../resources/ts/canvas/model/objects';

const line = { type: 'line', x: 1000, y: 500, w: 2000, h: 0, width: 40, colour: '#25323b' } as CanvasObject;
const placed = (object: CanvasObject, place?: Placed['place']): Placed =>
    ({ layer: 'student', page: '', object, ...(place && { place }) }) as Placed;

test('half of its line belongs to a shape', () => {
    assert.deepEqual(boxOf(line), { left: 98, top: 48, right: 302, bottom: 52 });
});

test('a shape that was drawn from right to left has no negative size', () => {
    const box = boxOf({ ...line, type: 'rectangle', x: 3000, y: 900, w: -2000, h: -400 } as CanvasObject);
    assert.deepEqual(box, { left: 98, top: 48, right: 302, bottom: 92 });
});

test('what was moved is found where it stands', () => {
    // A hundred units to the right, and half as large.
    const box = pageBox(placed(line, [1000, 0, 0, 5000]));
    assert.deepEqual(box, { left: 149, top: 24, right: 251, bottom: 26 });
    // A quarter of a turn about the page's corner.
    const turned = pageBox(placed(line, [0, 0, 9000, 10000]));
    assert.deepEqual(
        [turned.left, turned.top, turned.right, turned.bottom].map((n) => Math.round(n)),
        [-52, 98, -48, 302],
    );
});

test('several together cover the box around all of them', () => {
    const a = { left: 0, top: 0, right: 10, bottom: 10 };
    const b = { left: 5, top: 20, right: 30, bottom: 25 };
    assert.deepEqual(union([a, b]), { left: 0, top: 0, right: 30, bottom: 25 });
    assert.equal(overlaps(a, b), false);
    assert.equal(overlaps(a, { ...b, top: 10 }), true, 'an edge in common');
    assert.deepEqual(cornersOf(a), [
        [0, 0],
        [10, 0],
        [10, 10],
        [0, 10],
    ]);
});

test('what lies near each other is drawn in one, what lies apart in several, and never in many', () => {
    const box = (left: number, top: number): Box => ({ left, top, right: left + 10, bottom: top + 10 });
    assert.equal(gathered([box(0, 0), box(5, 0), box(8, 4)]).length, 1);
    assert.equal(gathered([box(0, 0), box(500, 500), box(1000, 0)]).length, 3);
    const many = Array.from({ length: 40 }, (_, i) => box(100 * (i % 8), 100 * Math.floor(i / 8)));
    assert.deepEqual(gathered(many), [{ left: 0, top: 0, right: 710, bottom: 410 }]);
    assert.deepEqual(gathered([]), []);
});
