import { samplesOf, textSize } from './draw';
import { TENTHS, type CanvasObject } from './model';
import type { View } from './view';

/** How near the eraser must come, in units, beside half the line's width. */
const REACH = 9;

/** The student's own objects at a place, in units, the topmost first. */
export function objectsAt(view: View, x: number, y: number, only?: CanvasObject['type']): string[] {
    const found: string[] = [];
    for (const [id, object] of view.log.scene.objects) {
        const own = view.log.scene.layers.get(id) === 'student';
        if (own && (only === undefined || object.type === only) && touches(view.context, object, x, y)) {
            found.unshift(id);
        }
    }
    return found;
}

function touches(context: CanvasRenderingContext2D, object: CanvasObject, x: number, y: number): boolean {
    if (object.type === 'text') {
        const [width, height] = textSize(context, object);
        const left = object.x / TENTHS;
        const top = object.y / TENTHS;
        return x >= left - REACH && x <= left + width + REACH && y >= top && y <= top + height;
    }
    const reach = REACH + object.width / TENTHS / 2;
    const samples = samplesOf(object);
    return samples.some((sample, i) => {
        const before = samples[Math.max(0, i - 1)];
        return distance(x * TENTHS, y * TENTHS, before[0], before[1], sample[0], sample[1]) <= reach * TENTHS;
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
