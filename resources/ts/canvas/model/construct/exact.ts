/** Values that are exact on axes: Crag\Construct\Exact. */
const DENOMINATORS = [1, 2, 3, 4, 5, 8, 10];
const SLACK = 0.001;
const LARGEST_ROOT = 999;

/** The length of a way, such as 5, 2√5 or √2/3; empty where it is no such value. */
export function exactLength(x: number, y: number): string {
    const [p, q] = [fraction(x), fraction(y)];
    if (p === null || q === null) {
        return '';
    }
    const over = (p[1] * q[1]) / divisor(p[1], q[1]);
    const square = (p[0] * (over / p[1])) ** 2 + (q[0] * (over / q[1])) ** 2;
    if (square === 0) {
        return '0';
    }
    let out = 1;
    for (let k = Math.floor(Math.sqrt(square)); k > 1; k--) {
        if (square % (k * k) === 0) {
            out = k;
            break;
        }
    }
    const root = square / (out * out);
    if (root > LARGEST_ROOT) {
        return '';
    }
    const common = divisor(out, over);
    const [times, under] = [out / common, over / common];
    const above = root === 1 ? String(times) : `${times === 1 ? '' : times}√${root}`;
    return under === 1 ? above : `${above}/${under}`;
}

/** How much it goes up for one to the right, such as 3/5 or −2; empty where it is no such value, or upright. */
export function exactSlope(x: number, y: number): string {
    const [p, q] = [fraction(x), fraction(y)];
    if (p === null || q === null || p[0] === 0) {
        return '';
    }
    const [above, under] = [q[0] * p[1], q[1] * p[0]];
    const common = divisor(Math.abs(above), Math.abs(under));
    const sign = above !== 0 && above < 0 !== under < 0 ? '−' : '';
    const below = Math.abs(under) / common;
    return `${sign}${Math.abs(above) / common}${below === 1 ? '' : `/${below}`}`;
}

function fraction(value: number): [number, number] | null {
    for (const under of DENOMINATORS) {
        // Halves are rounded away from zero, as the core does it.
        const above = Math.sign(value) * Math.round(Math.abs(value) * under);
        if (Math.abs(value * under - above) < SLACK * under) {
            return [above + 0, under];
        }
    }
    return null;
}

function divisor(a: number, b: number): number {
    while (b !== 0) {
        [a, b] = [b, a % b];
    }
    return Math.max(1, a);
}
