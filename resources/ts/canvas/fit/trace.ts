import type { Sample } from '../model/ink';
import { TENTHS, type Place } from '../model/objects';
import { present } from '../../present';
import { LIMIT } from './limits';

export type XY = [x: number, y: number];

/** The way that a pen went, in points evenly spaced along it. In units. */
export interface Trace {
    points: XY[];
    /** Along the way. */
    length: number;
    /** The diagonal of the box around it. */
    size: number;
    first: XY;
    last: XY;
}

/** The shape that a stroke was meant as, without its colour and width. */
export interface FittedShape {
    kind: 'line' | 'arrow' | 'arc' | 'circle' | 'ellipse' | 'triangle' | 'rectangle' | 'polygon';
    object:
        | { type: 'line' | 'arrow' | 'rectangle' | 'ellipse'; x: number; y: number; w: number; h: number }
        | { type: 'polygon' | 'curve'; points: number[] };
    place: Place | null;
    /** The mean distance of the stroke from it, as a share of the stroke's size. */
    residual: number;
}

export function traceOf(samples: readonly Sample[]): Trace {
    const raw = samples.map(([x, y]): XY => [x / TENTHS, y / TENTHS]);
    let length = 0;
    let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
    raw.forEach((point, i) => {
        length += i === 0 ? 0 : distance(present(raw[i - 1]), point);
        [left, right] = [Math.min(left, point[0]), Math.max(right, point[0])];
        [top, bottom] = [Math.min(top, point[1]), Math.max(bottom, point[1])];
    });
    const points = evenly(raw, length);
    const size = distance([left, top], [right, bottom]);
    return { points, length, size, first: present(points[0]), last: present(points.at(-1)) };
}

export function isClosed({ first, last, length }: Trace): boolean {
    return distance(first, last) <= LIMIT.closed * length;
}

export function distance(a: XY, b: XY): number {
    return Math.sqrt((a[0] - b[0]) * (a[0] - b[0]) + (a[1] - b[1]) * (a[1] - b[1]));
}

/** How far a point lies from the straight way between two others. */
export function fromSide(point: XY, a: XY, b: XY): number {
    const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
    const square = dx * dx + dy * dy;
    const along = square === 0 ? 0 : ((point[0] - a[0]) * dx + (point[1] - a[1]) * dy) / square;
    const share = Math.max(0, Math.min(1, along));
    return distance(point, [a[0] + share * dx, a[1] + share * dy]);
}

/** On which side of a line a point lies, by its sign. */
export function sideOf(point: XY, from: XY, to: XY): number {
    return (to[0] - from[0]) * (point[1] - from[1]) - (to[1] - from[1]) * (point[0] - from[0]);
}

/** The corners between two points of a list, both included: where the way bends away from the straight one. */
export function cornersOf(points: XY[], from: number, to: number, bend: number): number[] {
    let [farthest, most] = [from, bend];
    for (let i = from + 1; i < to; i++) {
        const away = fromSide(present(points[i]), present(points[from]), present(points[to]));
        if (away > most) {
            [farthest, most] = [i, away];
        }
    }
    return farthest === from
        ? [from, to]
        : [...cornersOf(points, from, farthest, bend).slice(0, -1), ...cornersOf(points, farthest, to, bend)];
}

function evenly(raw: XY[], length: number): XY[] {
    const even: XY[] = [present(raw[0])];
    const step = length / (LIMIT.points - 1);
    let [gone, next] = [0, step];
    for (let i = 1; i < raw.length && step > 0; i++) {
        const [a, b] = [present(raw[i - 1]), present(raw[i])];
        const way = distance(a, b);
        while (way > 0 && gone + way >= next && even.length < LIMIT.points - 1) {
            const share = (next - gone) / way;
            even.push([a[0] + share * (b[0] - a[0]), a[1] + share * (b[1] - a[1])]);
            next += step;
        }
        gone += way;
    }
    even.push(present(raw.at(-1)));
    return even;
}

/** Halves upwards; never minus nought. */
export function whole(value: number): number {
    return Math.floor(value + 0.5) + 0;
}

export function tenths(units: number): number {
    return whole(units * TENTHS);
}

export function radians(degrees: number): number {
    return (degrees / 180) * Math.PI;
}

export function degrees(turn: number): number {
    return (turn / Math.PI) * 180;
}

/** The place of what is turned about a point of its own, which stays where it is. */
export function turnedAbout([x, y]: XY, turn: number): Place {
    const hundredths = ((whole(turn * 100) % 36000) + 36000) % 36000;
    const [cos, sin] = [Math.cos(radians(hundredths / 100)), Math.sin(radians(hundredths / 100))];
    return [tenths(x - cos * x + sin * y), tenths(y - sin * x - cos * y), hundredths, 10000];
}

export function middleOf(points: XY[]): XY {
    let [x, y] = [0, 0];
    for (const point of points) {
        x += point[0];
        y += point[1];
    }
    return [x / points.length, y / points.length];
}
