import assert from 'node:assert/strict';
import { test } from 'vitest';
import {
    constructed,
    dependants,
    withoutElement,
    type Construct,
    type Element,
} from '../../resources/ts/canvas/model/construct/elements';
import { CENTIMETRES, figuresOf, movedTo, scaleOf } from '../../resources/ts/canvas/model/construct/figures';
import { exactLength, exactSlope } from '../../resources/ts/canvas/model/construct/exact';
import { inWords } from '../../resources/ts/canvas/model/construct/inwords';

const WORDS = {
    point: 'Point',
    segment: 'Segment',
    midpoint: 'Midpoint',
    perpendicular: 'Perpendicular',
    circle: 'Circle',
    tangent: 'Tangents',
    angle_bisector: 'Bisect an angle',
    polygon: 'Polygon',
    locus: 'Locus',
    rotation: 'Rotation',
    enlargement: 'Enlargement',
    regular: 'Regular polygon',
    compass: 'Circle of a radius',
};

const point = (id: string, x: number, y: number): Element => ({ id, kind: 'point', x, y, label: id.toUpperCase() });
const SOME: Element[] = [
    point('a', 0, 0),
    point('b', 6000, 0),
    point('c', 0, 3000),
    { id: 's', kind: 'segment', of: ['a', 'b'] },
    { id: 'k', kind: 'circle', of: ['a', 'b'] },
];
const said = (line: string, scale = CENTIMETRES): Element | null =>
    inWords(line, SOME, scale, WORDS, { regular: 4, rotation: 90, enlargement: 2, compass: 3 });

test('elements in words name points by their labels, lines by two of them, circles by their centre', () => {
    assert.deepEqual(said('segment A B'), { id: '', kind: 'segment', of: ['a', 'b'] });
    assert.deepEqual(said('Midpoint b c'), { id: '', kind: 'midpoint', of: ['b', 'c'] });
    assert.deepEqual(said('perpendicular C AB'), { id: '', kind: 'perpendicular', of: ['c', 's'] });
    assert.deepEqual(said('perpendicular C BA')?.of, ['c', 's']);
    assert.deepEqual(said('tangents C (A)'), { id: '', kind: 'tangent', of: ['c', 'k'], which: 0 });
    assert.deepEqual(said('bisect an angle B A C')?.of, ['b', 'a', 'c']);
    assert.deepEqual(said('polygon A B C')?.of, ['a', 'b', 'c']);
});

test('places are told in centimetres down the page, or as axes have them', () => {
    assert.deepEqual(said('point 1 2'), { id: '', kind: 'point', x: 589, y: 1178 });
    const axes = scaleOf({ x: 8000, y: 5000, across: 50_000, up: 50_000 });
    assert.deepEqual(said('point 3 −2', axes), { id: '', kind: 'point', x: 9500, y: 6000 });
    assert.deepEqual(said('A 1 1', axes), { ...SOME[0]!, x: 8500, y: 4500 });
});

test('kinds with a number take it last, and have their usual one without', () => {
    assert.deepEqual(said('rotation C A 60'), { id: '', kind: 'rotation', of: ['c', 'a'], by: -6000 });
    assert.equal(said('rotation C A')?.by, -9000);
    assert.equal(said('enlargement C A −0.5')?.by, -500);
    assert.equal(said('regular polygon A B 5')?.n, 5);
    assert.equal(said('regular polygon A B 99')?.n, 20, 'as many as there may be');
    assert.equal(said('circle of a radius A 2')?.by, 1178);
    const axes = scaleOf({ x: 8000, y: 5000, across: 50_000, up: 50_000 });
    assert.equal(said('circle of a radius A 2', axes)?.by, 1000);
    assert.equal(said('segment A B 3'), null);
});

test('what says nothing that can be made is nothing', () => {
    for (const line of [
        '',
        'segment',
        'segment A',
        'segment A X',
        'wish A B',
        'perpendicular C AC',
        'tangents C (B)',
    ]) {
        assert.equal(said(line), null, line);
    }
    assert.equal(said('point 1'), null);
    assert.equal(said('locus A B'), null, 'a locus needs a point that runs along something');
});

test('what goes with an element goes, and a change that does not fit changes nothing', () => {
    assert.deepEqual(dependants(SOME, 'b'), ['s', 'k']);
    assert.deepEqual(
        withoutElement(SOME, 'b').map(({ id }) => id),
        ['a', 'c'],
    );
    const object: Construct = { type: 'construction', elements: SOME, colour: '#25323b', width: 40 };
    assert.equal(constructed(object, { put: [{ id: 'm', kind: 'midpoint', of: ['a', 'nobody'] }] }), object);
    assert.equal(constructed(object, { put: [{ id: 's', kind: 'line', of: ['a', 'b'] }] }), object);
    assert.equal(constructed(object, { colour: '#8f2d1a' }).colour, '#8f2d1a');
});

test('a drag of a point moves what hangs on it, and what is not free stays', () => {
    const moved = movedTo(SOME, 'b', [300, 400]);
    assert.deepEqual([moved?.x, moved?.y], [3000, 4000]);
    assert.equal(movedTo(SOME, 's', [1, 1]), null);
    const figures = figuresOf(SOME.map((one) => (one.id === 'b' && moved !== null ? moved : one)));
    const circle = figures.get('k');
    assert.equal(circle?.is === 'circle' && circle.radius, 500);
});

test('lengths and slopes are exact where they can be', () => {
    assert.deepEqual(
        [exactLength(3, 4), exactLength(2, 4), exactLength(0.5, 0.5), exactLength(1.2345, 1), exactLength(0, 0)],
        ['5', '2√5', '√2/2', '', '0'],
    );
    assert.deepEqual([exactSlope(5, 3), exactSlope(-1, 2), exactSlope(3, 0), exactSlope(0, 1)], ['3/5', '−2', '0', '']);
});
