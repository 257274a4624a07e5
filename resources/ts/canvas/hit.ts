import { boxOf } from './bounds';
import type { Placed } from './model';
import { TENTHS } from './model';
import { back, matrixOf } from './place';
import { samplesOf } from './scene';

/** How near a pointer must come, in units on the page. */
const REACH = 9;

/** Whether an object lies at a place on the page, in units. */
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
            const before = samples[Math.max(0, i - 1)];
            return distance(atX * TENTHS, atY * TENTHS, before[0], before[1], sample[0], sample[1]) <= width * TENTHS;
        });
    }
    if (object.type === 'line' || object.type === 'arrow') {
        const { x: fromX, y: fromY, w, h } = object;
        return distance(atX * TENTHS, atY * TENTHS, fromX, fromY, fromX + w, fromY + h) <= (near + object.width / TENTHS / 2) * TENTHS;
    }
    return true;
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
        const [xi, yi] = outline[i];
        const [xj, yj] = outline[j];
        if (yi > y !== yj > y && x < ((xj - xi) * (y - yi)) / (yj - yi) + xi) {
            is = !is;
        }
    }
    return is;
}
