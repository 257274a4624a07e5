import { present } from '../../present';

/** A picture's pixels: red, green, blue and opacity for each, row after row. */
export interface Pixels {
    width: number;
    height: number;
    data: Uint8ClampedArray;
}

export type Corner = [x: number, y: number];

/** In pixels: the upper left one, then clockwise as the sheet is seen. */
export type Corners = [Corner, Corner, Corner, Corner];

/** What is looked for is looked for in a picture of so many pixels along its longer side. */
const SMALL = 240;
/** A sheet takes at least this share of the picture; what takes nearly all of it has no edges to be seen. */
const LEAST = 0.12;
const MOST = 0.97;
/** A sheet fills the four-sided figure around it; a window, or a patch of light, does not. */
const FULL = 0.82;

/**
 * The corners of the sheet of paper in a photo: the largest bright patch, if it has four sides. Brightness is parted by
 * Otsu's threshold (IEEE Trans. SMC 9, 1979). Null where no sheet is found.
 */
export function paperCorners(photo: Pixels): Corners | null {
    const small = grey(photo);
    const { width, height, values } = small;
    const threshold = otsu(values);
    const bright = values.map((value) => (value > threshold ? 1 : 0));
    const patch = largestPatch(bright, width, height);
    if (patch.length < LEAST * width * height) {
        return null;
    }
    const corners = extremes(patch, width);
    const size = areaOf(corners);
    if (size > MOST * width * height || patch.length < FULL * size) {
        return null;
    }
    const scale = photo.width / width;
    return corners.map(([x, y]) => [(x + 0.5) * scale, (y + 0.5) * scale]) as Corners;
}

/** The whole picture. */
export function wholePhoto({ width, height }: { width: number; height: number }): Corners {
    return [
        [0, 0],
        [width, 0],
        [width, height],
        [0, height],
    ];
}

/** Whether four corners make a sheet that can be flattened: in order, and with no corner turned inwards. */
export function areConvex(corners: Corners): boolean {
    return corners.every(([x, y], i) => {
        const [nextX, nextY] = present(corners[(i + 1) % 4]);
        const [afterX, afterY] = present(corners[(i + 2) % 4]);
        return (nextX - x) * (afterY - nextY) - (nextY - y) * (afterX - nextX) > 0;
    });
}

interface Grey {
    width: number;
    height: number;
    values: number[];
}

/** Smaller, and each pixel the mean of what it stands for: print and lines vanish in the paper. */
function grey({ width, height, data }: Pixels): Grey {
    const step = Math.max(1, Math.max(width, height) / SMALL);
    const [w, h] = [Math.max(1, Math.floor(width / step)), Math.max(1, Math.floor(height / step))];
    const values: number[] = [];
    for (let y = 0; y < h; y++) {
        for (let x = 0; x < w; x++) {
            let [sum, n] = [0, 0];
            const [right, bottom] = [Math.floor((x + 1) * step), Math.floor((y + 1) * step)];
            for (let py = Math.floor(y * step); py < bottom; py += 2) {
                for (let px = Math.floor(x * step); px < right; px += 2) {
                    const at = 4 * (py * width + px);
                    // Paper is bright in every colour: a yellow table is not.
                    sum += Math.min(present(data[at]), present(data[at + 1]), present(data[at + 2]));
                    n++;
                }
            }
            values.push(n === 0 ? 0 : Math.round(sum / n));
        }
    }
    return { width: w, height: h, values };
}

/** The brightness that parts the picture best into two. */
function otsu(values: number[]): number {
    const counts = new Array<number>(256).fill(0);
    values.forEach((value) => {
        counts[value] = (counts[value] ?? 0) + 1;
    });
    const all = values.reduce((sum, value) => sum + value, 0);
    let [below, sumBelow, best, at] = [0, 0, -1, 128];
    for (let value = 0; value < 256; value++) {
        const count = present(counts[value]);
        below += count;
        sumBelow += count * value;
        const above = values.length - below;
        if (below > 0 && above > 0) {
            const between = below * above * (sumBelow / below - (all - sumBelow) / above) ** 2;
            if (between > best) {
                [best, at] = [between, value];
            }
        }
    }
    return at;
}

/** The pixels of the largest patch that hangs together. */
function largestPatch(bright: number[], width: number, height: number): number[] {
    const seen = new Uint8Array(bright.length);
    let largest: number[] = [];
    for (let start = 0; start < bright.length; start++) {
        if (bright[start] === 0 || seen[start] === 1) {
            continue;
        }
        const patch = [start];
        seen[start] = 1;
        for (const at of patch) {
            const [x, y] = [at % width, Math.floor(at / width)];
            for (const [nextX, nextY] of [
                [x - 1, y],
                [x + 1, y],
                [x, y - 1],
                [x, y + 1],
            ] as const) {
                const next = nextY * width + nextX;
                const isIn = nextX >= 0 && nextX < width && nextY >= 0 && nextY < height;
                if (isIn && bright[next] === 1 && seen[next] === 0) {
                    seen[next] = 1;
                    patch.push(next);
                }
            }
        }
        largest = patch.length > largest.length ? patch : largest;
    }
    return largest;
}

/** What lies farthest towards each corner of the picture; of a sheet that is turned by much, towards its sides. */
function extremes(patch: number[], width: number): Corners {
    const towards = (ways: [number, number][]): Corners =>
        ways.map(([dx, dy]): Corner => {
            let [best, at] = [-Infinity, 0];
            for (const one of patch) {
                const far = dx * (one % width) + dy * Math.floor(one / width);
                if (far > best) {
                    [best, at] = [far, one];
                }
            }
            return [at % width, Math.floor(at / width)];
        }) as Corners;
    const slanted = towards([
        [-1, -1],
        [1, -1],
        [1, 1],
        [-1, 1],
    ]);
    const upright = towards([
        [0, -1],
        [1, 0],
        [0, 1],
        [-1, 0],
    ]);
    return areaOf(slanted) >= areaOf(upright) ? slanted : upright;
}

function areaOf(corners: Corners): number {
    const twice = corners.reduce((sum, [x, y], i) => {
        const [nextX, nextY] = present(corners[(i + 1) % 4]);
        return sum + x * nextY - nextX * y;
    }, 0);
    return Math.abs(twice) / 2;
}
