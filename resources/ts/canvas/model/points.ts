import { boxOf } from './bounds';
import { TENTHS, type CanvasObject, type Placed, type Tie } from './objects';
import { back, matrixOf, through } from './place';
import { samplesOf } from './scene';
import { present } from '../../present';

/** A point of something that is on the page: where, in units, and what it is a point of. */
export interface PointOf {
    at: [number, number];
    tie: Tie;
}

/** Points lie within reach of an object's box. */
const reached = (
    { left, top, right, bottom }: ReturnType<typeof boxOf>,
    x: number,
    y: number,
    reach: number,
): boolean => x > left - reach && x < right + reach && y > top - reach && y < bottom + reach;

/** The nearest end, corner or middle of a side within reach (units); the topmost of several. */
export function nearestPoint(objects: Iterable<[string, Placed]>, x: number, y: number, reach: number): PointOf | null {
    let found: PointOf | null = null;
    let least = reach;
    for (const [on, { object, place }] of objects) {
        const matrix = matrixOf(place);
        const scale = (place?.[3] ?? 10000) / 10000;
        const [ownX, ownY] = back(matrix, x, y);
        if (!reached(boxOf(object), ownX, ownY, reach / scale)) {
            continue;
        }
        for (const [px, py] of pointsOf(object)) {
            const at = through(matrix, px, py);
            const far = Math.hypot(at[0] - x, at[1] - y);
            if (far <= least) {
                least = far;
                found = { at, tie: { on, x: Math.round(px * TENTHS), y: Math.round(py * TENTHS) } };
            }
        }
    }
    return found;
}

/** The points of an object to which one draws, in units, before it is placed. */
function pointsOf(object: CanvasObject): [number, number][] {
    switch (object.type) {
        case 'stroke':
        case 'highlight': {
            const samples = samplesOf(object);
            return [samples[0], samples.at(-1)].flatMap((one): [number, number][] =>
                one === undefined ? [] : [[one[0] / TENTHS, one[1] / TENTHS]],
            );
        }
        case 'polygon':
        case 'curve':
            return Array.from({ length: object.points.length / 2 }, (_, i): [number, number] => [
                present(object.points[2 * i]) / TENTHS,
                present(object.points[2 * i + 1]) / TENTHS,
            ]);
        case 'line':
        case 'arrow':
        case 'rectangle':
        case 'ellipse':
        case 'triangle': {
            const [left, top, w, h] = [object.x / TENTHS, object.y / TENTHS, object.w / TENTHS, object.h / TENTHS];
            const part = (across: number, down: number): [number, number] => [left + across * w, top + down * h];
            return present(PARTS[object.type]).map(([across, down]) => part(across, down));
        }
        case 'piece':
            return pointsOf(object.of);
        default: {
            const { left, top, right, bottom } = boxOf(object);
            return SIDES.map(([across, down]): [number, number] => [
                left + across * (right - left),
                top + down * (bottom - top),
            ]);
        }
    }
}

const SIDES: [number, number][] = [
    [0.5, 0],
    [1, 0.5],
    [0.5, 1],
    [0, 0.5],
];

/** As shares of the way from a shape's beginning to its far corner. */
const PARTS: Record<string, [number, number][]> = {
    line: [
        [0, 0],
        [0.5, 0.5],
        [1, 1],
    ],
    arrow: [
        [0, 0],
        [0.5, 0.5],
        [1, 1],
    ],
    rectangle: [...SIDES, [0, 0], [1, 0], [1, 1], [0, 1], [0.5, 0.5]],
    ellipse: [...SIDES, [0.5, 0.5]],
    triangle: [
        [0.5, 0],
        [1, 1],
        [0, 1],
        [0.75, 0.5],
        [0.25, 0.5],
        [0.5, 1],
    ],
};
