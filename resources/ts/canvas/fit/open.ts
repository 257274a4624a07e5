import { present } from '../../present';
import { LIMIT } from './limits';
import {
    cornersOf,
    degrees,
    distance,
    fromSide,
    middleOf,
    radians,
    sideOf,
    tenths,
    type FittedShape,
    type Trace,
    type XY,
} from './trace';

/** A line from where the pen began to where it is. */
export function fitLine({ points, first, last, length, size }: Trace): FittedShape | null {
    const way = distance(first, last);
    if (way === 0 || length > LIMIT.lineLonger * way) {
        return null;
    }
    let sum = 0;
    for (const point of points) {
        const away = fromSide(point, first, last);
        if (away > LIMIT.line * way) {
            return null;
        }
        sum += away;
    }
    const residual = sum / points.length / size;
    return { kind: 'line', object: { type: 'line', ...between(first, last) }, place: null, residual };
}

/** A box shape's position, level or upright where it nearly is. */
function between(from: XY, to: XY): { x: number; y: number; w: number; h: number } {
    let [w, h] = [to[0] - from[0], to[1] - from[1]];
    const slope = Math.tan(radians(LIMIT.level / 2));
    if (Math.abs(h) <= slope * Math.abs(w)) {
        h = 0;
    } else if (Math.abs(w) <= slope * Math.abs(h)) {
        w = 0;
    }
    return { x: tenths(from[0]), y: tenths(from[1]), w: tenths(w), h: tenths(h) };
}

/** An arrow in one stroke: the shaft, then its head as a barb and, across or by way of the tip again, the other. */
export function fitArrow({ points, size }: Trace): FittedShape | null {
    const corners = cornersOf(points, 0, points.length - 1, LIMIT.bend * size).map((i) => present(points[i]));
    if (corners.length < 4 || corners.length > 5) {
        return null;
    }
    const [from, tip, one] = [present(corners[0]), present(corners[1]), present(corners[2])];
    const other = present(corners.at(-1));
    const longest = LIMIT.barb * distance(from, tip);
    const isBehind = (end: XY): boolean =>
        (end[0] - tip[0]) * (from[0] - tip[0]) + (end[1] - tip[1]) * (from[1] - tip[1]) > 0 &&
        distance(end, tip) <= longest;
    const isHead =
        isBehind(one) &&
        isBehind(other) &&
        sideOf(one, from, tip) * sideOf(other, from, tip) < 0 &&
        (corners.length === 4 || distance(present(corners[3]), tip) < 0.5 * distance(one, tip));
    return isHead
        ? { kind: 'arrow', object: { type: 'arrow', ...between(from, tip) }, place: null, residual: 0 }
        : null;
}

/** Degrees from one point of an arc's curve to the next. */
const STEP = 15;

/** A part of a circle, as a curve through points of it. */
export function fitArc({ points, first, length, size }: Trace): FittedShape | null {
    const circle = circleThrough(points);
    if (circle === null) {
        return null;
    }
    const [x, y, radius] = circle;
    let [away, turn] = [0, 0];
    let before: number | null = null;
    for (const point of points) {
        away += Math.abs(distance(point, [x, y]) - radius);
        const angle = Math.atan2(point[1] - y, point[0] - x);
        turn += before === null ? 0 : shorter(angle - before);
        before = angle;
    }
    const residual = away / points.length / size;
    const turned = Math.abs(degrees(turn));
    const isArc =
        residual <= LIMIT.arc &&
        turned >= LIMIT.arcLeast &&
        turned <= LIMIT.arcMost &&
        // A way there and back turns less than it is long.
        Math.abs(turn) * radius >= 0.85 * length;
    if (!isArc) {
        return null;
    }
    const begin = Math.atan2(first[1] - y, first[0] - x);
    const steps = Math.max(2, Math.ceil(turned / STEP));
    const through: number[] = [];
    for (let i = 0; i <= steps; i++) {
        const angle = begin + (turn * i) / steps;
        through.push(tenths(x + radius * Math.cos(angle)), tenths(y + radius * Math.sin(angle)));
    }
    return { kind: 'arc', object: { type: 'curve', points: through }, place: null, residual };
}

/** The shorter way round. */
function shorter(step: number): number {
    return step > Math.PI ? step - 2 * Math.PI : step < -Math.PI ? step + 2 * Math.PI : step;
}

/** The circle whose equation holds best for all points (Kåsa, 1976); null where they lie on a line. */
function circleThrough(points: XY[]): [x: number, y: number, radius: number] | null {
    const [meanX, meanY] = middleOf(points);
    let [xx, xy, yy, xr, yr] = [0, 0, 0, 0, 0];
    for (const point of points) {
        const [x, y] = [point[0] - meanX, point[1] - meanY];
        const square = x * x + y * y;
        xx += x * x;
        xy += x * y;
        yy += y * y;
        xr += x * square;
        yr += y * square;
    }
    const all = xx * yy - xy * xy;
    if (all <= 1e-9 * (xx + yy) * (xx + yy)) {
        return null;
    }
    const x = (xr * yy - yr * xy) / (2 * all);
    const y = (yr * xx - xr * xy) / (2 * all);
    return [x + meanX, y + meanY, Math.sqrt(x * x + y * y + (xx + yy) / points.length)];
}
