import type { Corner, Corners, Pixels } from './corners';
import { present } from '../../present';

function valueAt(list: ArrayLike<number>, at: number): number {
    return list[at] ?? 0;
}

/** No side of what is flattened is longer, in pixels: as sharp as a page is seen. */
const LONGEST = 1600;

/** The part of a photo between four corners, as if one had looked at it from straight above. */
export function flattened(photo: Pixels, corners: Corners): Pixels {
    const [width, height] = sizeOf(corners);
    const [a, b, c, d, e, f, g, h] = mapping(width, height, corners);
    const data = new Uint8ClampedArray(4 * width * height);
    const from = photo.data;
    const [lastX, lastY] = [photo.width - 1, photo.height - 1];
    let to = 0;
    for (let y = 0; y < height; y++) {
        for (let x = 0; x < width; x++, to += 4) {
            const w = g * (x + 0.5) + h * (y + 0.5) + 1;
            const px = Math.max(0, Math.min(lastX, (a * (x + 0.5) + b * (y + 0.5) + c) / w - 0.5));
            const py = Math.max(0, Math.min(lastY, (d * (x + 0.5) + e * (y + 0.5) + f) / w - 0.5));
            const [left, top] = [Math.floor(px), Math.floor(py)];
            const [tx, ty] = [px - left, py - top];
            const at = 4 * (top * photo.width + left);
            const right = left < lastX ? 4 : 0;
            const below = top < lastY ? 4 * photo.width : 0;
            for (let k = 0; k < 3; k++) {
                const upper = valueAt(from, at + k) * (1 - tx) + valueAt(from, at + right + k) * tx;
                const lower = valueAt(from, at + below + k) * (1 - tx) + valueAt(from, at + below + right + k) * tx;
                data[to + k] = upper * (1 - ty) + lower * ty;
            }
            data[to + 3] = 255;
        }
    }
    return { width, height, data };
}

/** As wide and as tall as the sheet's longer sides are in the photo. */
function sizeOf([nw, ne, se, sw]: Corners): [width: number, height: number] {
    const far = ([x, y]: Corner, [toX, toY]: Corner): number => Math.hypot(toX - x, toY - y);
    const [width, height] = [Math.max(far(nw, ne), far(sw, se)), Math.max(far(nw, sw), far(ne, se))];
    const scale = Math.min(1, LONGEST / Math.max(width, height));
    return [Math.max(1, Math.round(width * scale)), Math.max(1, Math.round(height * scale))];
}

type Mapping = [number, number, number, number, number, number, number, number];

/**
 * The projective mapping from a rectangle onto four corners: x' = (a x + b y + c) / (g x + h y + 1), y' likewise with
 * d, e, f. In closed form, by way of the unit square (P. Heckbert, Fundamentals of Texture Mapping, 1989).
 */
function mapping(width: number, height: number, [p0, p1, p2, p3]: Corners): Mapping {
    const [dx1, dx2, sx] = [p1[0] - p2[0], p3[0] - p2[0], p0[0] - p1[0] + p2[0] - p3[0]];
    const [dy1, dy2, sy] = [p1[1] - p2[1], p3[1] - p2[1], p0[1] - p1[1] + p2[1] - p3[1]];
    const det = dx1 * dy2 - dx2 * dy1;
    const g = (sx * dy2 - dx2 * sy) / det;
    const h = (dx1 * sy - sx * dy1) / det;
    return [
        (p1[0] - p0[0] + g * p1[0]) / width,
        (p3[0] - p0[0] + h * p3[0]) / height,
        p0[0],
        (p1[1] - p0[1] + g * p1[1]) / width,
        (p3[1] - p0[1] + h * p3[1]) / height,
        p0[1],
        g / width,
        h / height,
    ];
}

/** The light on the paper is measured in fields of so many pixels. */
const FIELD = 40;
/** What of a field's pixels is paper, by brightness: the rest is ink, or the print on it. */
const PAPER = 0.9;
/** Paper in full light. */
const WHITE = 250;
/** Nothing is made brighter than so many times: what is black is not paper in the shadow. */
const MOST = 4;

/** The same sheet in even light: each colour is measured against that of the paper around it. Changes the pixels. */
export function evenlyLit({ width, height, data }: Pixels): void {
    const [across, down] = [Math.ceil(width / FIELD), Math.ceil(height / FIELD)];
    const light = smoothed(paperLight({ width, height, data }, across, down), across, down);
    for (let y = 0, at = 0; y < height; y++) {
        const fy = Math.max(0, Math.min(down - 1, (y + 0.5) / FIELD - 0.5));
        const [top, ty] = [Math.floor(fy), fy - Math.floor(fy)];
        const bottom = Math.min(down - 1, top + 1);
        for (let x = 0; x < width; x++, at += 4) {
            const fx = Math.max(0, Math.min(across - 1, (x + 0.5) / FIELD - 0.5));
            const [left, tx] = [Math.floor(fx), fx - Math.floor(fx)];
            const right = Math.min(across - 1, left + 1);
            for (let k = 0; k < 3; k++) {
                const upper =
                    valueAt(light, 3 * (top * across + left) + k) * (1 - tx) +
                    valueAt(light, 3 * (top * across + right) + k) * tx;
                const lower =
                    valueAt(light, 3 * (bottom * across + left) + k) * (1 - tx) +
                    valueAt(light, 3 * (bottom * across + right) + k) * tx;
                const here = upper * (1 - ty) + lower * ty;
                data[at + k] = valueAt(data, at + k) * Math.min(MOST, WHITE / Math.max(1, here));
            }
        }
    }
}

/** For each field and colour, the brightness of its paper. */
function paperLight({ width, height, data }: Pixels, across: number, down: number): number[] {
    const light: number[] = [];
    for (let row = 0; row < down; row++) {
        for (let column = 0; column < across; column++) {
            const values: [number[], number[], number[]] = [[], [], []];
            for (let y = row * FIELD; y < Math.min(height, (row + 1) * FIELD); y += 2) {
                for (let x = column * FIELD; x < Math.min(width, (column + 1) * FIELD); x += 2) {
                    values.forEach((list, k) => list.push(present(data[4 * (y * width + x) + k])));
                }
            }
            for (const list of values) {
                list.sort((a, b) => a - b);
                light.push(list[Math.floor(PAPER * (list.length - 1))] ?? WHITE);
            }
        }
    }
    return light;
}

/** Each field and those around it, the brightest half: where all is ink, the neighbours' light counts. */
function smoothed(light: number[], across: number, down: number): number[] {
    const even: number[] = [];
    for (let row = 0; row < down; row++) {
        for (let column = 0; column < across; column++) {
            for (let k = 0; k < 3; k++) {
                const near: number[] = [];
                for (let y = Math.max(0, row - 1); y <= Math.min(down - 1, row + 1); y++) {
                    for (let x = Math.max(0, column - 1); x <= Math.min(across - 1, column + 1); x++) {
                        near.push(present(light[3 * (y * across + x) + k]));
                    }
                }
                near.sort((a, b) => b - a);
                const best = near.slice(0, Math.ceil(near.length / 2));
                even.push(best.reduce((sum, one) => sum + one, 0) / best.length);
            }
        }
    }
    return even;
}
