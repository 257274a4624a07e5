import assert from 'node:assert/strict';
import { test } from 'vitest';
import { entries } from '../../resources/ts/bench/describe';
import { inside, touches } from '../../resources/ts/canvas/model/hit';
import { encodeInk } from '../../resources/ts/canvas/model/ink';
import { outlineOf } from '../../resources/ts/canvas/drawing/mathjax';
import type { Placed } from '../../resources/ts/canvas/model/objects';
import { Nearby } from '../../resources/ts/canvas/model/nearby';
import { back, matrixOf, placeAfter, through } from '../../resources/ts/canvas/model/place';
import { snapped } from '../../resources/ts/canvas/model/snap';

const near = (a: [number, number], b: [number, number], within = 0.2): void => {
    assert.ok(Math.hypot(a[0] - b[0], a[1] - b[1]) <= within, `${a} is not ${b}`);
};

test('a place takes a point to the page and back', () => {
    const matrix = matrixOf([500, -300, 3000, 15000]);
    const [x, y] = through(matrix, 120, 80);
    near(back(matrix, x, y), [120, 80], 1e-6);
});

test('turning and scaling about a point leaves that point where it is', () => {
    const before = placeAfter(undefined, { by: [100, 50] });
    const at = through(matrixOf(before), 200, 200);
    const after = placeAfter(before, { about: at, turn: 37, scale: 1.6 });
    near(through(matrixOf(after), 200, 200), at);
    assert.equal(after[2], 3700);
    assert.equal(after[3], 16000);
});

test('a place stays within what a log takes, however far it is dragged or shrunk', () => {
    const [x, y, turn, scale] = placeAfter([0, 0, 0, 10000], { by: [1e9, -1e9], scale: 1e-9, turn: -725.5 });
    assert.deepEqual([x, y], [200000, -200000]);
    assert.ok(turn >= 0 && turn < 36000);
    assert.equal(scale, 200);
});

test('many small turns come back to where they began', () => {
    let place = placeAfter(undefined, {});
    for (let i = 0; i < 72; i++) {
        place = placeAfter(place, { about: [800, 500], turn: 5 });
    }
    near(through(matrixOf(place), 800, 300), [800, 300], 4);
    assert.equal(place[2], 0);
});

test('points snap to what is ruled', () => {
    assert.deepEqual(snapped({ kind: 'squared', size: 'small' }, 61, 13.1), [50, 25]);
    assert.deepEqual(snapped({ kind: 'dotted', size: 'large' }, 149, 151), [100, 200]);
    const [x, y] = snapped({ kind: 'isometric', size: 'middle' }, 44, 26);
    near([x, y], [43.3, 25], 0.01);
    // An axis from -5 to 10 over the page between its margins: nought lies a third of the way.
    const axes = { kind: 'axes', x_from: -5, x_to: 10, x_step: 1, y_from: 0, y_to: 10, y_step: 2 };
    near(snapped({ ...axes, equal: 0 }, 560, 900), [70 + 1460 / 3, 930], 0.01);
    near(snapped({ ...axes, equal: 0 }, -900, 400), [70, 930 - 860 * 0.6], 0.01);
    // The same scale both ways: 86 units for each of ten upwards, so 1290 for the fifteen across.
    near(snapped(axes, 560, 900), [155 + 430, 930], 0.01);
    near(snapped({ kind: 'number-line', from: 0, to: 2, step: 1, parts: 4 }, 280, 490), [90 + 1420 / 8, 500], 0.01);
});

test('what was turned and scaled is touched where it is seen', () => {
    const line: Placed = {
        layer: 'student',
        page: '',
        place: [5000, 2000, 9000, 20000],
        object: { type: 'line', x: 0, y: 0, w: 1000, h: 0, colour: '#000000', width: 40, filled: false },
    };
    assert.equal(touches(line, 500, 300), true);
    assert.equal(touches(line, 600, 200), false);
    assert.equal(touches(line, 500, 420), false);
});

test('a lasso holds what lies inside it, dents and all', () => {
    const dented: [number, number][] = [
        [0, 0],
        [10, 0],
        [10, 10],
        [5, 4],
        [0, 10],
    ];
    assert.equal(inside(dented, 2, 3), true);
    assert.equal(inside(dented, 5, 8), false);
    assert.equal(inside(dented, 11, 5), false);
});

test('formulas become plain outlines, and what cannot be set says why', () => {
    const number = '-?\\d{1,6}';
    const simple = new RegExp(
        `^(?:M${number} ${number}(?:[ML]${number} ${number}|Q${number}(?: ${number}){3}|C${number}(?: ${number}){5}|Z)*)?$`,
    );
    for (const source of [
        'x',
        '\\frac{240\\times 1}{3}',
        '\\sqrt[3]{x^2+1}',
        '\\left(\\frac{a}{b}\\right)_{n}',
        '\\vec{F}\\cdot\\pi\\le\\Omega^\\circ',
        '\\text{N m}',
        '\\begin{pmatrix}1&0\\\\0&1\\end{pmatrix}',
    ]) {
        const { path, wide, tall } = outlineOf(source);
        assert.match(path, simple, source);
        assert.ok(wide > 100 && tall > 100 && wide < 20000, source);
    }
    const [small, large] = [outlineOf('\\frac12'), outlineOf('\\frac{\\frac12}{\\frac34}')];
    assert.ok(large.tall > small.tall);
    assert.throws(() => outlineOf('\\frac{1}{'), /brace/);
    assert.throws(() => outlineOf('\\nonsense'), /nonsense/);
    assert.throws(() => outlineOf('\\text{قوة}'), /no letter/);
});

function shape(type: string, more: Record<string, unknown> = {}): Placed {
    return {
        layer: 'student',
        page: '',
        object: {
            type,
            x: 1000,
            y: 1000,
            w: 4000,
            h: 2000,
            colour: '#000000',
            width: 40,
            filled: false,
            ...more,
        } as unknown as Placed['object'],
    };
}

test('what is hollow is touched at its line alone', () => {
    const polygon = shape('polygon', { points: [1000, 1000, 5000, 1000, 3000, 3000] });
    for (const [one, on] of [
        [shape('rectangle'), [100, 200]],
        [shape('ellipse'), [300, 100]],
        [shape('triangle'), [300, 300]],
        [polygon, [300, 100]],
        [shape('curve', { points: [1000, 1000, 3000, 3000, 5000, 1000] }), [300, 300]],
    ] as const) {
        assert.equal(touches(one, on[0], on[1]), true, `${one.object.type} at its line`);
        assert.equal(touches(one, 300, 190), false, `${one.object.type} in its middle`);
    }
    assert.equal(touches(shape('rectangle', { filled: true }), 300, 190), true, 'what is filled is touched anywhere');
    const piece: Placed = {
        ...shape('rectangle'),
        layer: 'pieces',
        object: { type: 'piece', alt: 'Frame', locked: false, stack: false, of: shape('rectangle').object },
    };
    assert.equal(touches(piece, 300, 190), true, 'a piece is made to be taken hold of');
});

test('what lies near a place is found without going through everything', () => {
    const objects = Array.from({ length: 400 }, (_, i): [string, Placed] => [
        `o${i}`,
        shape('line', { x: (i % 20) * 800, y: Math.floor(i / 20) * 500, w: 100, h: 0 }),
    ]);
    const nearby = new Nearby(objects);
    const found = [...nearby.at(160, 100, 12)].map(([id]) => id);
    assert.ok(found.includes('o42'), 'the one that is there');
    assert.ok(found.length < 12, `${found.length} of 400 were looked at`);
    assert.equal(new Set(found).size, found.length, 'each once');
    assert.deepEqual(
        [...new Nearby([['far', shape('line', { x: -90000, y: 90000, w: 10, h: 0 })]]).at(0, 0, 10)],
        [],
        'what lies outside the page breaks nothing',
    );
});

test('a line of writing is one entry of the list, a drawing each stroke', () => {
    const stroke = (x: number, y: number, w = 300, h = 300): Placed => ({
        layer: 'student',
        page: '',
        object: {
            type: 'stroke',
            colour: '#000000',
            width: 40,
            ink: encodeInk([
                [x, y, 128, 0],
                [x + w, y + h, 128, 20],
            ]),
        },
    });
    const all: [string, Placed][] = [
        ['a', stroke(1000, 1000)],
        ['b', stroke(1500, 1020)],
        ['c', stroke(2000, 980)],
        ['d', shape('rectangle')],
        ['e', stroke(1000, 4000)],
        ['f', stroke(1400, 4010)],
        ['g', stroke(1000, 6000, 9000, 3000)],
        ['h', stroke(1000, 9000)],
    ];
    assert.deepEqual(
        entries(all).map(({ ids }) => ids.join('')),
        ['abc', 'd', 'ef', 'g', 'h'],
    );
});
