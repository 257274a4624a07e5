import type { Backdrop } from './objects';
import { axisUnit, stepOf } from './snap';

/** How long a line is in the units of its backdrop, and how it stands. */
export interface Measure {
    /** Null where nothing is ruled that could be counted. */
    length: number | null;
    of: 'squares' | 'axes' | null;
    /** In degrees, against the level, up being more: -179 to 180. */
    angle: number;
    /** Width and height in the same units, for a shape. */
    across: number | null;
    up: number | null;
}

/** @param from,to  in units of the page */
export function measure(backdrop: Backdrop, from: readonly [number, number], to: readonly [number, number]): Measure {
    const [right, down] = [to[0] - from[0], to[1] - from[1]];
    const angle = Math.round((Math.atan2(-down, right) * 180) / Math.PI);
    const [unitX, unitY, of] = unitsOf(backdrop);
    const across = unitX === null ? null : Math.abs(right) / unitX;
    const up = unitY === null ? null : Math.abs(down) / unitY;
    const length =
        across !== null && up !== null ? Math.hypot(across, up) : across !== null && angle % 180 === 0 ? across : null;
    return { length, of: length === null && across === null ? null : of, angle, across, up };
}

/** How many units of the page one of the backdrop's is, across and up. */
function unitsOf(backdrop: Backdrop): [x: number | null, y: number | null, of: Measure['of']] {
    switch (backdrop.kind) {
        case 'squared':
        case 'dotted': {
            const step = stepOf(backdrop);
            return [step, step, 'squares'];
        }
        case 'axes': {
            const [x, y] = axisUnit(backdrop);
            return [x, y, 'axes'];
        }
        case 'number-line':
            return [axisUnit(backdrop)[0], null, 'axes'];
        default:
            return [null, null, null];
    }
}

/** As short as it can be read: two places where they say something. */
export function shortly(value: number): string {
    return String(Math.round(value * (value < 10 ? 100 : 10)) / (value < 10 ? 100 : 10));
}
