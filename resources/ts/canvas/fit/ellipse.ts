import { present } from '../../present';
import { LIMIT } from './limits';
import { degrees, tenths, turnedAbout, type FittedShape, type Trace, type XY } from './trace';

/** The ellipse that has the middle and the second moments of the area that the stroke goes around. */
export function fitEllipse(trace: Trace): FittedShape | null {
    const moments = momentsOf(trace.points);
    if (moments === null) {
        return null;
    }
    const { middle, xx, yy, xy } = moments;
    const mean = (xx + yy) / 2;
    const apart = Math.sqrt(((xx - yy) / 2) * ((xx - yy) / 2) + xy * xy);
    if (mean - apart <= 0) {
        return null;
    }
    const [a, b] = [2 * Math.sqrt(mean + apart), 2 * Math.sqrt(mean - apart)];
    const turn = 0.5 * Math.atan2(2 * xy, xx - yy);
    const residual = residualOf(trace, middle, a, b, turn);
    if (residual > LIMIT.ellipse) {
        return null;
    }
    if (b >= LIMIT.circle * a) {
        const radius = Math.sqrt(a * b);
        return { kind: 'circle', object: around(middle, radius, radius), place: null, residual };
    }
    const turned = degrees(turn);
    const isLevel = Math.abs(turned) <= 1.5 * LIMIT.level;
    const isUpright = Math.abs(turned) >= 90 - 1.5 * LIMIT.level;
    return {
        kind: 'ellipse',
        object: isUpright ? around(middle, b, a) : around(middle, a, b),
        place: isLevel || isUpright ? null : turnedAbout(middle, turned),
        residual,
    };
}

/** The middle and the second moments about it, for an area of 1 (Steger, 1996). */
function momentsOf(points: XY[]): { middle: XY; xx: number; yy: number; xy: number } | null {
    const n = points.length;
    const [startX, startY] = present(points[0]);
    let [area, x, y, xx, yy, xy] = [0, 0, 0, 0, 0, 0];
    for (let i = 0; i < n; i++) {
        const [here, next] = [present(points[i]), present(points[(i + 1) % n])];
        const [ax, ay, bx, by] = [here[0] - startX, here[1] - startY, next[0] - startX, next[1] - startY];
        const cross = ax * by - bx * ay;
        area += cross / 2;
        x += (cross * (ax + bx)) / 6;
        y += (cross * (ay + by)) / 6;
        xx += (cross * (ax * ax + ax * bx + bx * bx)) / 12;
        yy += (cross * (ay * ay + ay * by + by * by)) / 12;
        xy += (cross * (2 * ax * ay + ax * by + bx * ay + 2 * bx * by)) / 24;
    }
    if (Math.abs(area) < 1) {
        return null;
    }
    [x, y] = [x / area, y / area];
    return { middle: [x + startX, y + startY], xx: xx / area - x * x, yy: yy / area - y * y, xy: xy / area - x * y };
}

function residualOf({ points, size }: Trace, middle: XY, a: number, b: number, turn: number): number {
    const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
    let sum = 0;
    for (const point of points) {
        const [dx, dy] = [point[0] - middle[0], point[1] - middle[1]];
        const [u, v] = [cos * dx + sin * dy, cos * dy - sin * dx];
        const away = Math.sqrt((u / a) * (u / a) + (v / b) * (v / b));
        sum += away === 0 ? b : (Math.abs(away - 1) / away) * Math.sqrt(u * u + v * v);
    }
    return sum / points.length / size;
}

function around(middle: XY, a: number, b: number): FittedShape['object'] {
    return {
        type: 'ellipse',
        x: tenths(middle[0] - a),
        y: tenths(middle[1] - b),
        w: tenths(2 * a),
        h: tenths(2 * b),
    };
}
