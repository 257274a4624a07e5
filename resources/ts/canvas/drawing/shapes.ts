import { TENTHS, type BoxShape, type PointShape } from '../model/objects';
import type { WholeLook } from '../model/shapelook';
import { present } from '../../present';

const HEAD = 4;
const HEAD_LEAST = 14;
const ROUND = 0.5522847498;

/** The outline of a shape in units; core/src/Render/ShapePath.php draws the same. */
export function shapePath(shape: BoxShape | PointShape): Path2D {
    const path = new Path2D();
    if (shape.type === 'polygon' || shape.type === 'curve') {
        (shape.type === 'polygon' ? polygon : curve)(path, pairs(shape));
        return path;
    }
    const box = shape as BoxShape;
    const [x, y, w, h] = [box.x / TENTHS, box.y / TENTHS, box.w / TENTHS, box.h / TENTHS];
    if (shape.type === 'line' || shape.type === 'arrow') {
        path.moveTo(x, y);
        path.lineTo(x + w, y + h);
    } else if (shape.type === 'rectangle') {
        polygon(path, [
            [x, y],
            [x + w, y],
            [x + w, y + h],
            [x, y + h],
        ]);
    } else if (shape.type === 'triangle') {
        polygon(path, [
            [x + w / 2, y],
            [x + w, y + h],
            [x, y + h],
        ]);
    } else {
        ellipse(path, x + w / 2, y + h / 2, w / 2, h / 2);
    }
    return path;
}

/** The heads at the ends of a line, an arrow or a curve, which comes to them from the points beside them. */
export function headsPath(shape: BoxShape | PointShape, { ends, width }: WholeLook): Path2D {
    const path = new Path2D();
    const points: [number, number][] =
        'points' in shape
            ? pairs(shape)
            : [
                  [shape.x / TENTHS, shape.y / TENTHS],
                  [(shape.x + shape.w) / TENTHS, (shape.y + shape.h) / TENTHS],
              ];
    if (ends === 'both') {
        head(path, present(points[0]), present(points[1]), width / TENTHS);
    }
    head(path, present(points.at(-1)), present(points.at(-2)), width / TENTHS);
    return path;
}

function pairs({ points }: PointShape): [number, number][] {
    return Array.from({ length: points.length / 2 }, (_, i): [number, number] => [
        present(points[2 * i]) / TENTHS,
        present(points[2 * i + 1]) / TENTHS,
    ]);
}

function polygon(path: Path2D, points: [number, number][]): void {
    points.forEach(([x, y], i) => (i === 0 ? path.moveTo(x, y) : path.lineTo(x, y)));
    path.closePath();
}

function curve(path: Path2D, points: [number, number][]): void {
    path.moveTo(...present(points[0]));
    const last = points.length - 1;
    for (let i = 0; i < last; i++) {
        const before = present(points[Math.max(0, i - 1)]);
        const from = present(points[i]);
        const to = present(points[i + 1]);
        const after = present(points[Math.min(last, i + 2)]);
        path.bezierCurveTo(
            from[0] + (to[0] - before[0]) / 6,
            from[1] + (to[1] - before[1]) / 6,
            to[0] - (after[0] - from[0]) / 6,
            to[1] - (after[1] - from[1]) / 6,
            ...to,
        );
    }
}

function head(path: Path2D, [x, y]: [number, number], from: [number, number], width: number): void {
    const [w, h] = [x - from[0], y - from[1]];
    const length = Math.hypot(w, h);
    if (length === 0) {
        return;
    }
    const reach = Math.min(length, HEAD_LEAST + HEAD * width);
    const [dx, dy] = [(w / length) * reach, (h / length) * reach];
    path.moveTo(x - dx - dy / 2, y - dy + dx / 2);
    path.lineTo(x, y);
    path.lineTo(x - dx + dy / 2, y - dy - dx / 2);
}

function ellipse(path: Path2D, x: number, y: number, rx: number, ry: number): void {
    const [kx, ky] = [rx * ROUND, ry * ROUND];
    path.moveTo(x + rx, y);
    path.bezierCurveTo(x + rx, y + ky, x + kx, y + ry, x, y + ry);
    path.bezierCurveTo(x - kx, y + ry, x - rx, y + ky, x - rx, y);
    path.bezierCurveTo(x - rx, y - ky, x - kx, y - ry, x, y - ry);
    path.bezierCurveTo(x + kx, y - ry, x + rx, y - ky, x + rx, y);
    path.closePath();
}
