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
    turnedAbout,
    type FittedShape,
    type Trace,
    type XY,
} from './trace';

/** Straight sides between corners: a triangle, a rectangle where four corners are right, or another polygon. */
export function fitPolygon(trace: Trace): FittedShape | null {
    const at = clean(trace, cornersAround(trace));
    if (at.length < 3 || at.length > LIMIT.mostCorners) {
        return null;
    }
    const corners = sharpened(trace, at);
    if (crossesItself(corners)) {
        return null;
    }
    let sum = 0;
    for (const point of trace.points) {
        sum += Math.min(...corners.map((corner, i) => fromSide(point, corner, after(corners, i))));
    }
    const residual = sum / trace.points.length / trace.size;
    if (residual > LIMIT.polygon) {
        return null;
    }
    if (corners.length === 4 && isRight(corners)) {
        return rectangle(corners, residual);
    }
    const points = levelled(corners).flatMap(([x, y]) => [tenths(x), tenths(y)]);
    const kind = corners.length === 3 ? 'triangle' : 'polygon';
    return { kind, object: { type: 'polygon', points }, place: null, residual };
}

/** The one after the i-th, around. */
function after<T>(list: T[], i: number, steps = 1): T {
    return present(list[(i + steps) % list.length]);
}

/** Places of the corners along the stroke, from the point farthest from its middle and back. */
function cornersAround({ points, size }: Trace): number[] {
    const n = points.length;
    const first = farthest(points, middleOf(points));
    const round = Array.from({ length: n + 1 }, (_, i) => after(points, first, i));
    const across = farthest(round, present(round[0]));
    const bend = LIMIT.bend * size;
    const found = [
        ...cornersOf(round, 0, across, bend).slice(0, -1),
        ...cornersOf(round, across, n, bend).slice(0, -1),
    ];
    return found.map((i) => (first + i) % n);
}

function farthest(points: XY[], from: XY): number {
    let [found, most] = [0, -1];
    points.forEach((point, i) => {
        const away = distance(point, from);
        if (away > most) {
            [found, most] = [i, away];
        }
    });
    return found;
}

/** Without corners that are none: those close to another, and those where the way hardly turns. */
function clean({ points, size }: Trace, at: number[]): number[] {
    const left = [...at];
    for (let i = 0; i < left.length && left.length > 2; i++) {
        const here = present(points[present(left[i])]);
        const last = present(points[after(left, i, left.length - 1)]);
        const next = present(points[after(left, i)]);
        if (distance(here, next) < LIMIT.cornersApart * size || angleAt(last, here, next) > LIMIT.flat) {
            left.splice(i, 1);
            i = -1;
        }
    }
    return left;
}

/** In degrees. */
function angleAt(a: XY, at: XY, b: XY): number {
    const [ax, ay, bx, by] = [a[0] - at[0], a[1] - at[1], b[0] - at[0], b[1] - at[1]];
    return Math.abs(degrees(Math.atan2(ax * by - ay * bx, ax * bx + ay * by)));
}

/** Corners where the sides beside them meet: a hand rounds a corner off. */
function sharpened({ points, size }: Trace, at: number[]): XY[] {
    const sides = at.map((place, i) => sideAlong(points, place, after(at, i)));
    return at.map((place, i) => {
        const drawn = present(points[place]);
        const meet = meeting(sides.at(i - 1) ?? null, sides[i] ?? null);
        return meet !== null && distance(meet, drawn) < LIMIT.cornersApart * size ? meet : drawn;
    });
}

type Side = [x: number, y: number, cos: number, sin: number] | null;

/** The straight line nearest to the middle part of a side. */
function sideAlong(points: XY[], from: number, to: number): Side {
    const count = ((to - from + points.length) % points.length) + 1;
    const skip = Math.floor(count / 5);
    const used: XY[] = [];
    for (let i = skip; i < count - skip; i++) {
        used.push(after(points, from, i));
    }
    if (used.length < 3) {
        return null;
    }
    const [x, y] = middleOf(used);
    let [xx, yy, xy] = [0, 0, 0];
    for (const point of used) {
        xx += (point[0] - x) * (point[0] - x);
        yy += (point[1] - y) * (point[1] - y);
        xy += (point[0] - x) * (point[1] - y);
    }
    const turn = 0.5 * Math.atan2(2 * xy, xx - yy);
    return [x, y, Math.cos(turn), Math.sin(turn)];
}

function meeting(one: Side, other: Side): XY | null {
    if (one === null || other === null) {
        return null;
    }
    const cross = one[2] * other[3] - one[3] * other[2];
    if (Math.abs(cross) < 0.2) {
        return null;
    }
    const share = ((other[0] - one[0]) * other[3] - (other[1] - one[1]) * other[2]) / cross;
    return [one[0] + share * one[2], one[1] + share * one[3]];
}

/** Whether two of its sides cross that have no corner in common. */
function crossesItself(corners: XY[]): boolean {
    const n = corners.length;
    for (let i = 0; i < n - 2; i++) {
        for (let k = i + 2; k < (i === 0 ? n - 1 : n); k++) {
            const [a, b, c, d] = [after(corners, i, 0), after(corners, i), after(corners, k, 0), after(corners, k)];
            if (sideOf(c, a, b) * sideOf(d, a, b) < 0 && sideOf(a, c, d) * sideOf(b, c, d) < 0) {
                return true;
            }
        }
    }
    return false;
}

function isRight(corners: XY[]): boolean {
    return corners.every(
        (corner, i) => Math.abs(angleAt(after(corners, i, 3), corner, after(corners, i)) - 90) <= LIMIT.right,
    );
}

function rectangle(corners: XY[], residual: number): FittedShape {
    // Four times its angle, every side of a rectangle points the same way.
    let [cosines, sines] = [0, 0];
    corners.forEach((corner, i) => {
        const next = after(corners, i);
        const angle = 4 * Math.atan2(next[1] - corner[1], next[0] - corner[0]);
        cosines += distance(corner, next) * Math.cos(angle);
        sines += distance(corner, next) * Math.sin(angle);
    });
    const drawn = Math.atan2(sines, cosines) / 4;
    const isLevel = Math.abs(degrees(drawn)) <= 1.5 * LIMIT.level;
    const turn = isLevel ? 0 : drawn;
    const middle = middleOf(corners);
    let [across, down] = [0, 0];
    for (const corner of corners) {
        const [dx, dy] = [corner[0] - middle[0], corner[1] - middle[1]];
        across += Math.abs(Math.cos(turn) * dx + Math.sin(turn) * dy) / 4;
        down += Math.abs(Math.cos(turn) * dy - Math.sin(turn) * dx) / 4;
    }
    return {
        kind: 'rectangle',
        object: {
            type: 'rectangle',
            x: tenths(middle[0] - across),
            y: tenths(middle[1] - down),
            w: tenths(2 * across),
            h: tenths(2 * down),
        },
        place: isLevel ? null : turnedAbout(middle, degrees(turn)),
        residual,
    };
}

/** Sides that nearly lie level or stand upright do. */
function levelled(corners: XY[]): XY[] {
    const slope = Math.tan(radians(LIMIT.level));
    const level = corners.map(([x, y]): XY => [x, y]);
    level.forEach((here, i) => {
        const next = after(level, i);
        const [w, h] = [next[0] - here[0], next[1] - here[1]];
        if (Math.abs(h) <= slope * Math.abs(w)) {
            here[1] = next[1] = (here[1] + next[1]) / 2;
        } else if (Math.abs(w) <= slope * Math.abs(h)) {
            here[0] = next[0] = (here[0] + next[0]) / 2;
        }
    });
    return level;
}
