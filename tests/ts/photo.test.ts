import assert from 'node:assert/strict';
import { test } from 'vitest';
import {
    areConvex,
    paperCorners,
    wholePhoto,
    type Corners,
    type Pixels,
} from '../../resources/ts/canvas/photo/corners';
import { evenlyLit, flattened } from '../../resources/ts/canvas/photo/flatten';
import { inside } from '../../resources/ts/canvas/model/hit';

/** A photo of a table with a sheet on it; `shade` is the light, 0 to 1, and `ink` whether there is ink, at a place. */
function photo(
    corners: Corners | null,
    shade: (x: number, y: number) => number = () => 1,
    ink: (x: number, y: number) => boolean = () => false,
): Pixels {
    const [width, height] = [640, 480];
    const data = new Uint8ClampedArray(4 * width * height);
    for (let y = 0; y < height; y++) {
        for (let x = 0; x < width; x++) {
            const isPaper = corners !== null && inside(corners, x + 0.5, y + 0.5);
            const colour = isPaper ? (ink(x, y) ? [30, 40, 120] : [235, 230, 220]) : [120, 80, 50];
            colour.forEach((one, k) => {
                data[4 * (y * width + x) + k] = one * shade(x, y);
            });
            data[4 * (y * width + x) + 3] = 255;
        }
    }
    return { width, height, data };
}

const SHEET: Corners = [
    [140, 60],
    [520, 90],
    [580, 400],
    [90, 420],
];

function at({ width, data }: Pixels, x: number, y: number): number[] {
    return [...data.slice(4 * (y * width + x), 4 * (y * width + x) + 3)];
}

function near(found: Corners | null, corners: Corners, by: number): void {
    assert.ok(found !== null);
    corners.forEach(([x, y], i) => {
        const [fx, fy] = found[i] ?? [0, 0];
        assert.ok(Math.hypot(fx - x, fy - y) <= by, `corner ${i}: ${fx}, ${fy} for ${x}, ${y}`);
    });
}

test('the corners of a sheet on a table are found, in a shadow and with writing on it too', () => {
    near(paperCorners(photo(SHEET)), SHEET, 6);
    const shadow = (x: number): number => 1 - 0.35 * (x / 640);
    near(paperCorners(photo(SHEET, shadow, (x, y) => y % 24 < 2 && x > 200 && x < 480)), SHEET, 8);
});

test('a sheet that lies across is found by what is farthest up, right, down and left', () => {
    const across: Corners = [
        [320, 40],
        [520, 240],
        [320, 440],
        [120, 240],
    ];
    near(paperCorners(photo(across)), across, 6);
});

test('where no sheet is seen, or nothing but the sheet, none is found', () => {
    assert.equal(paperCorners(photo(null)), null);
    assert.equal(paperCorners(photo(wholePhoto({ width: 640, height: 480 }))), null);
    // A bright patch that has no four sides.
    const ring = photo([
        [100, 100],
        [500, 120],
        [300, 160],
        [480, 400],
    ]);
    assert.equal(paperCorners(ring), null);
});

test('flattened, what was at a corner is in that corner, and what was straight is straight', () => {
    const line = photo(
        SHEET,
        () => 1,
        (x, y) => Math.abs((y - 60) * 380 - 30 * (x - 140)) < 2600,
    );
    const flat = flattened(line, SHEET);
    assert.deepEqual([flat.width, flat.height], [490, 363]);
    // The sheet's upper edge was inked along its whole length; below it is paper.
    for (const x of [20, 240, 470]) {
        assert.ok((at(flat, x, 2)[0] ?? 255) < 120, `ink at ${x}`);
        assert.ok((at(flat, x, 60)[0] ?? 0) > 200, `paper at ${x}`);
    }
    assert.equal(flattened(line, wholePhoto(line)).width, 640);
});

test('in even light paper is white where the shadow was, and ink stays as dark and as blue', () => {
    const sheet = photo(
        wholePhoto({ width: 640, height: 480 }),
        (x) => 1 - 0.6 * (x / 640),
        (x) => x % 80 < 3,
    );
    assert.ok((at(sheet, 600, 100)[0] ?? 255) < 110);
    evenlyLit(sheet);
    for (const x of [40, 300, 600]) {
        assert.ok(Math.min(...at(sheet, x, 100)) > 225, `white at ${x}: ${at(sheet, x, 100).join()}`);
    }
    const [red, , blue] = at(sheet, 561, 100);
    assert.ok((red ?? 255) < 60 && (blue ?? 0) > 2 * (red ?? 255), 'blue ink');
});

test('a corner that is dragged past the others makes no sheet', () => {
    assert.ok(areConvex(SHEET));
    assert.ok(!areConvex([SHEET[0], SHEET[1], [200, 100], SHEET[3]]));
    assert.ok(!areConvex([SHEET[1], SHEET[0], SHEET[2], SHEET[3]]));
});
