import { TENTHS, type CanvasObject, type Placed } from '../model/objects';
import { matrixOf } from '../model/place';
import { present } from '../../present';

export type Side = 'w' | 'h';

/** No object is made smaller, in tenths of a unit, but lines, which may be level. */
const SMALLEST = 50;

/** Which sides of an object can be pulled by themselves. */
export function sides({ object }: Placed): Side[] {
    switch (object.type) {
        case 'text':
            return ['w'];
        case 'note':
        case 'picture':
        case 'rectangle':
        case 'ellipse':
        case 'triangle':
        case 'line':
        case 'arrow':
            return ['w', 'h'];
        default:
            return [];
    }
}

/** An object one of whose sides is pulled from one place of the page to another, however it is turned. */
export function stretched(
    placed: Placed,
    side: Side,
    start: readonly [number, number],
    now: readonly [number, number],
): CanvasObject {
    const [a, b, c, d] = matrixOf(placed.place);
    const [dx, dy] = [now[0] - start[0], now[1] - start[1]];
    const all = a * d - b * c;
    const by = side === 'w' ? (d * dx - c * dy) / all : (a * dy - b * dx) / all;
    const { object } = placed;
    const was = present((object as unknown as Record<string, number>)[side]);
    const next = Math.round(was + (was < 0 ? -by : by) * TENTHS);
    const least = object.type === 'line' || object.type === 'arrow' ? 0 : SMALLEST;
    const value = was < 0 ? Math.min(-SMALLEST, next) : Math.max(least, next);
    // Words keep the width that they were given.
    return { ...object, [side]: value, ...(object.type === 'text' && { fixed: true }) } as CanvasObject;
}

/** What an operation says of an object that was stretched. */
export function stretchOf(object: CanvasObject, side: Side): Record<string, unknown> {
    return {
        [side]: (object as unknown as Record<string, unknown>)[side],
        // Words are wrapped otherwise.
        ...((object.type === 'text' || object.type === 'note') && { text: object.text }),
        ...(object.type === 'text' && { fixed: true }),
    };
}
