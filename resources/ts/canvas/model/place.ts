import { TENTHS, type Place } from './objects';

/** a to f as SVG and canvas write a matrix, in units. */
export type Matrix = [number, number, number, number, number, number];

export const UNTOUCHED: Place = [0, 0, 0, 10000];

export function matrixOf(place: Place | undefined): Matrix {
    if (place === undefined) {
        return [1, 0, 0, 1, 0, 0];
    }
    const turn = (place[2] / 100) * (Math.PI / 180);
    const scale = place[3] / 10000;
    const [cos, sin] = [scale * Math.cos(turn), scale * Math.sin(turn)];
    return [cos, sin, -sin, cos, place[0] / TENTHS, place[1] / TENTHS];
}

export function through([a, b, c, d, e, f]: Matrix, x: number, y: number): [number, number] {
    return [a * x + c * y + e, b * x + d * y + f];
}

/** The place on the untouched object that a place on the page shows. */
export function back([a, b, c, d, e, f]: Matrix, x: number, y: number): [number, number] {
    const all = a * d - b * c;
    return [(d * (x - e) - c * (y - f)) / all, (a * (y - f) - b * (x - e)) / all];
}

/** A place after being scaled and turned about a point of the page (units) and moved (units). */
export function placeAfter(
    place: Place | undefined,
    {
        about = [0, 0],
        scale = 1,
        turn = 0,
        by = [0, 0],
    }: { about?: [number, number]; scale?: number; turn?: number; by?: [number, number] },
): Place {
    const [x, y, turned, scaled] = place ?? UNTOUCHED;
    const radians = (turn * Math.PI) / 180;
    const limited = Math.max(0.02, Math.min(50, (scaled / 10000) * scale)) / (scaled / 10000);
    const [cos, sin] = [limited * Math.cos(radians), limited * Math.sin(radians)];
    const [dx, dy] = [x / TENTHS - about[0], y / TENTHS - about[1]];
    const nextX = about[0] + cos * dx - sin * dy + by[0];
    const nextY = about[1] + sin * dx + cos * dy + by[1];
    const reach = (value: number): number => Math.round(Math.max(-20000, Math.min(20000, value)) * TENTHS);
    return [
        reach(nextX),
        reach(nextY),
        (((turned + Math.round(turn * 100)) % 36000) + 36000) % 36000,
        Math.round(scaled * limited),
    ];
}
