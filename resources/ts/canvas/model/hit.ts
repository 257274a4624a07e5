import { boxOf } from './bounds';
import { TENTHS, type BoxShape, type CanvasObject, type Placed } from './objects';
import { back, matrixOf } from './place';
import { samplesOf } from './scene';
import { farFrom, figuresIn } from './construct/places';
import { present } from '../../present';

/** How near a pointer must come, in units on the page. */
const REACH = 9;
/** Into so many pieces an ellipse is taken apart, and each piece of a curve. */
const ROUND = 48;
const BENDS = 8;

/** Whether an object lies at a place on the page, in units. What is not filled is touched at its line alone. */
export function touches({ object, place }: Placed, x: number, y: number, reach = REACH): boolean {
    const scale = (place?.[3] ?? 10000) / 10000;
    const [atX, atY] = place === undefined ? [x, y] : back(matrixOf(place), x, y);
    const near = reach / scale;
    const box = boxOf(object);
    if (atX < box.left - near || atX > box.right + near || atY < box.top - near || atY > box.bottom + near) {
        return false;
    }
    if (object.type === 'stroke' || object.type === 'highlight') {
        const width = near + object.width / TENTHS / 2;
        const samples = samplesOf(object);
        return samples.some((sample, i) => {
            const before = present(samples[Math.max(0, i - 1)]);
            return distance(atX * TENTHS, atY * TENTHS, before[0], before[1], sample[0], sample[1]) <= width * TENTHS;
        });
    }
    if (object.type === 'line' || object.type === 'arrow') {
        const { x: fromX, y: fromY, w, h } = object;
        return (
            distance(atX * TENTHS, atY * TENTHS, fromX, fromY, fromX + w, fromY + h) <=
            (near + object.width / TENTHS / 2) * TENTHS
        );
    }
    if (object.type === 'construction') {
        return [...figuresIn(object).values()].some((figure) => farFrom(figure, [atX, atY]) <= near + 4);
    }
    const line = outline(object);
    if (line === null || ('filled' in object && object.filled && object.type !== 'curve' && inside(line, atX, atY))) {
        return true;
    }
    const width = near + (object as BoxShape).width / TENTHS / 2;
    const isClosed = object.type !== 'curve';
    return line.some(([x2, y2], i) => {
        const [x1, y1] = present(line[i === 0 ? (isClosed ? line.length - 1 : 0) : i - 1]);
        return distance(atX, atY, x1, y1, x2, y2) <= width;
    });
}

/** The line around a shape, as points in units; null for what is not hollow: words, stamps, pictures, pieces. */
function outline(object: CanvasObject): [number, number][] | null {
    switch (object.type) {
        case 'polygon':
            return pairs(object.points);
        case 'curve':
            return along(pairs(object.points));
        case 'rectangle':
        case 'triangle':
        case 'ellipse': {
            const [x, y, w, h] = [object.x / TENTHS, object.y / TENTHS, object.w / TENTHS, object.h / TENTHS];
            if (object.type === 'rectangle') {
                return [
                    [x, y],
                    [x + w, y],
                    [x + w, y + h],
                    [x, y + h],
                ];
            }
            return object.type === 'triangle'
                ? [
                      [x + w / 2, y],
                      [x + w, y + h],
                      [x, y + h],
                  ]
                : Array.from({ length: ROUND }, (_, i): [number, number] => {
                      const angle = (2 * Math.PI * i) / ROUND;
                      return [x + (w / 2) * (1 + Math.cos(angle)), y + (h / 2) * (1 + Math.sin(angle))];
                  });
        }
        default:
            return null;
    }
}

function pairs(points: number[]): [number, number][] {
    return Array.from({ length: points.length / 2 }, (_, i): [number, number] => [
        present(points[2 * i]) / TENTHS,
        present(points[2 * i + 1]) / TENTHS,
    ]);
}

/** Points along a curve through these, as `shapePath` draws it. */
function along(points: [number, number][]): [number, number][] {
    const last = points.length - 1;
    return points.flatMap((from, i): [number, number][] => {
        if (i === last) {
            return [from];
        }
        const before = present(points[Math.max(0, i - 1)]);
        const to = present(points[i + 1]);
        const after = present(points[Math.min(last, i + 2)]);
        return Array.from({ length: BENDS }, (_, step): [number, number] => {
            const t = step / BENDS;
            const at = (k: 0 | 1): number => {
                const [c1, c2] = [from[k] + (to[k] - before[k]) / 6, to[k] - (after[k] - from[k]) / 6];
                return (1 - t) ** 3 * from[k] + 3 * (1 - t) ** 2 * t * c1 + 3 * (1 - t) * t ** 2 * c2 + t ** 3 * to[k];
            };
            return [at(0), at(1)];
        });
    });
}

/** From a point to a piece of a line. */
function distance(x: number, y: number, x1: number, y1: number, x2: number, y2: number): number {
    const dx = x2 - x1;
    const dy = y2 - y1;
    const length = dx * dx + dy * dy;
    const along = length === 0 ? 0 : Math.max(0, Math.min(1, ((x - x1) * dx + (y - y1) * dy) / length));
    return Math.hypot(x - x1 - along * dx, y - y1 - along * dy);
}

/** Whether a point lies inside a closed line of points (even-odd rule). */
export function inside(outline: [number, number][], x: number, y: number): boolean {
    let is = false;
    for (let i = 0, j = outline.length - 1; i < outline.length; j = i++) {
        const [xi, yi] = present(outline[i]);
        const [xj, yj] = present(outline[j]);
        if (yi > y !== yj > y && x < ((xj - xi) * (y - yi)) / (yj - yi) + xi) {
            is = !is;
        }
    }
    return is;
}
