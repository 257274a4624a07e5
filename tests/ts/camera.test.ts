import assert from 'node:assert/strict';
import { test } from 'vitest';
import {
    drawnPart,
    forWriting,
    inFrame,
    movedFrom,
    onPage,
    panned,
    seenThrough,
    showing,
    whole,
    within,
    zoomed,
    type Size,
} from '../../resources/ts/canvas/drawing/camera';
import { WIDE, paperOf, type PaperSize } from '../../resources/ts/canvas/model/paper';

const FRAME: Size = [1600, 1000];
const PHONE: Size = [390, 700];

test('the whole page is as large as the frame allows, and at its top', () => {
    assert.deepEqual(whole(FRAME, WIDE), { scale: 1, x: 0, y: 0 });
    const { scale, x, y } = whole(PHONE, WIDE);
    assert.equal(scale, 390 / 1600);
    assert.equal(x, 0);
    assert.equal(y, 0);
    // A frame that is not laid out yet has no size, and the page one that can be divided by.
    assert.ok(whole([0, 0], WIDE).scale > 0);
});

test('a point that is zoomed about stays under the finger', () => {
    const before = whole(PHONE, WIDE);
    const point: [number, number] = [200, 120];
    const after = zoomed(before, 3, point, PHONE, WIDE);
    assert.ok(Math.abs(after.scale / before.scale - 3) < 1e-9);
    const [x, y] = onPage(before, ...point);
    const [left, top] = inFrame(after, x, y);
    assert.ok(Math.hypot(left - point[0], top - point[1]) < 1e-6);
});

test('it is made neither smaller than a half nor larger than sixteen times', () => {
    const all = whole(FRAME, WIDE).scale;
    assert.equal(zoomed(whole(FRAME, WIDE), 0.001, [0, 0], FRAME, WIDE).scale, all * 0.5);
    assert.equal(zoomed(whole(FRAME, WIDE), 1000, [0, 0], FRAME, WIDE).scale, all * 16);
});

test('some of the page is always seen, however far it is pushed', () => {
    for (const [dx, dy] of [
        [1e6, 1e6],
        [-1e6, -1e6],
        [1e6, -1e6],
    ] as const) {
        for (const size of [FRAME, PHONE]) {
            const camera = panned(zoomed(whole(size, WIDE), 4, [10, 10], size, WIDE), dx, dy, size, WIDE);
            const { x, y, w, h } = seenThrough(camera, size);
            assert.ok(x < 1600 && x + w > 0 && y < 1000 && y + h > 0, `${dx} ${dy} ${size}`);
        }
    }
    // What is within its bounds already stays where it is.
    assert.deepEqual(within(whole(FRAME, WIDE), FRAME, WIDE), whole(FRAME, WIDE));
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

/** So much of each stage is to be paper. */
const MUCH = 0.6;
const TALL: PaperSize = [1000, 1600];
const SHEET: PaperSize = [1064, 1504];

test('a page opens as large as one writes, from its upper left corner', () => {
    // The stage of a phone, upright and flat, of a tablet and of a laptop: how much of it is paper.
    const stages: Size[] = [
        [390, 744],
        [788, 346],
        [820, 1080],
        [1280, 700],
    ];
    for (const size of stages) {
        for (const paper of [WIDE, TALL, SHEET]) {
            const camera = forWriting(size, paper);
            const { x, y, w, h } = seenThrough(camera, size);
            const seen = (Math.min(paper[0], x + w) - Math.max(0, x)) * (Math.min(paper[1], y + h) - Math.max(0, y));
            assert.ok(seen / (w * h) >= MUCH, `${size} ${paper}`);
            assert.ok(x <= 0 && y <= 0, 'the corner is in sight');
            assert.ok(camera.scale >= whole(size, paper).scale);
        }
    }
    // A page that fills its frame is seen whole, and a wide one on a phone at two and a half times that.
    assert.deepEqual(forWriting(FRAME, WIDE), whole(FRAME, WIDE));
    assert.equal(forWriting([390, 744], WIDE).scale, 2.5 * whole([390, 744], WIDE).scale);
});

test('what one is at work on is brought back into sight by the shortest way', () => {
    const camera = { scale: 1, x: 0, y: 0 };
    assert.deepEqual(showing(camera, [200, 300], [390, 700]), camera);
    assert.deepEqual(showing(camera, [200, 690], [390, 300]), { scale: 1, x: 0, y: -438 });
    // A frame with no room to spare has the place in its middle.
    assert.deepEqual(showing(camera, [200, 300], [40, 40]), { scale: 1, x: -180, y: -280 });
});

test('a backdrop says how large its page is', () => {
    assert.deepEqual(paperOf(undefined), WIDE);
    assert.deepEqual(paperOf({ kind: 'lined' }), WIDE);
    assert.deepEqual(paperOf({ kind: 'lined', paper: '1000x1600' }), TALL);
    assert.deepEqual(paperOf({ kind: 'lined', paper: 'tall' }), WIDE);
});

test('the part that is drawn on fills the frame, stays within the page, and grows no more than four times', () => {
    const at = (left: number, top: number, right: number, bottom: number) => ({ left, top, right, bottom });
    assert.deepEqual(drawnPart(null, [160, 100], [1600, 1000]), whole([160, 100], [1600, 1000]));
    // A drawing in a quarter of the page, in its middle.
    const half = drawnPart(at(424, 274, 1176, 726), [160, 100], [1600, 1000]);
    assert.equal(half.scale, 0.2);
    assert.deepEqual([half.x, half.y], [-80, -50]);
    // In the corner: no more is seen beyond the page than of the whole page.
    const corner = drawnPart(at(0, 0, 100, 50), [160, 100], [1600, 1000]);
    assert.deepEqual(corner, { scale: 0.4, x: 0, y: 0 });
    // All over the page it is the whole page.
    assert.equal(drawnPart(at(0, 0, 1600, 1000), [160, 100], [1600, 1000]).scale, 0.1);
});

test('what is to be worked is seen at first, as wide as it is, and as large as one writes at most', () => {
    const beam = { left: 400, top: 160, right: 1320, bottom: 580 };
    const { scale, x, y } = forWriting(PHONE, WIDE, beam);
    assert.equal(scale, 390 / (920 + 48));
    const [left] = inFrame({ scale, x, y }, beam.left, beam.top);
    const [right] = inFrame({ scale, x, y }, beam.right, beam.top);
    assert.ok(left >= 0 && right <= 390);
    // Something small is no reason to come nearer than one writes.
    const clock = { left: 1400, top: 700, right: 1500, bottom: 800 };
    assert.equal(forWriting(PHONE, WIDE, clock).scale, forWriting(PHONE, WIDE).scale);
    const [, clockTop] = inFrame(forWriting(PHONE, WIDE, clock), 1450, 700);
    assert.ok(clockTop > 0 && clockTop < 700);
    // Where all of the page is seen anyway, it stands as it always does.
    assert.deepEqual(forWriting(FRAME, WIDE, beam), whole(FRAME, WIDE));
});
