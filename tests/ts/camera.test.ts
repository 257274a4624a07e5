import assert from 'node:assert/strict';
import { test } from 'vitest';
import {
    inFrame,
    movedFrom,
    onPage,
    panned,
    seenThrough,
    whole,
    within,
    zoomed,
    type Size,
} from '../../resources/ts/canvas/drawing/camera';

const WIDE: Size = [1600, 1000];
const PHONE: Size = [390, 700];

test('the whole page is as large as the frame allows, and at its top', () => {
    assert.deepEqual(whole(WIDE), { scale: 1, x: 0, y: 0 });
    const { scale, x, y } = whole(PHONE);
    assert.equal(scale, 390 / 1600);
    assert.equal(x, 0);
    assert.equal(y, 0);
    // A frame that is not laid out yet has no size, and the page one that can be divided by.
    assert.ok(whole([0, 0]).scale > 0);
});

test('a point that is zoomed about stays under the finger', () => {
    const before = whole(PHONE);
    const point: [number, number] = [200, 120];
    const after = zoomed(before, 3, point, PHONE);
    assert.ok(Math.abs(after.scale / before.scale - 3) < 1e-9);
    const [x, y] = onPage(before, ...point);
    const [left, top] = inFrame(after, x, y);
    assert.ok(Math.hypot(left - point[0], top - point[1]) < 1e-6);
});

test('it is made neither smaller than a half nor larger than sixteen times', () => {
    const all = whole(WIDE).scale;
    assert.equal(zoomed(whole(WIDE), 0.001, [0, 0], WIDE).scale, all * 0.5);
    assert.equal(zoomed(whole(WIDE), 1000, [0, 0], WIDE).scale, all * 16);
});

test('some of the page is always seen, however far it is pushed', () => {
    for (const [dx, dy] of [
        [1e6, 1e6],
        [-1e6, -1e6],
        [1e6, -1e6],
    ] as const) {
        for (const size of [WIDE, PHONE]) {
            const camera = panned(zoomed(whole(size), 4, [10, 10], size), dx, dy, size);
            const { x, y, w, h } = seenThrough(camera, size);
            assert.ok(x < 1600 && x + w > 0 && y < 1000 && y + h > 0, `${dx} ${dy} ${size}`);
        }
    }
    // What is within its bounds already stays where it is.
    assert.deepEqual(within(whole(WIDE), WIDE), whole(WIDE));
});

test('there and back is the same place', () => {
    const camera = { scale: 2.5, x: -300, y: 40 };
    const [x, y] = onPage(camera, 123, 456);
    assert.deepEqual(inFrame(camera, x, y).map(Math.round), [123, 456]);
});

test('a picture that is moved looks as if it were drawn there', () => {
    const drawn = { scale: 1, x: 10, y: 20 };
    assert.equal(movedFrom(drawn, drawn), '');
    // The page's corner was at (10, 20); scaled by 2 and moved it is at (5, 6).
    assert.equal(movedFrom(drawn, { scale: 2, x: 5, y: 6 }), 'translate(-15px, -34px) scale(2)');
});
