import { pageBox, type Box } from './bounds';
import type { Placed } from './objects';

/** Side of a field of the page, in units. */
const FIELD = 64;

/** What lies near a place on a page: each object is found by the fields of the page that its box covers. */
export class Nearby {
    private readonly fields = new Map<number, [string, Placed][]>();
    readonly boxes = new Map<string, Box>();

    constructor(objects: Iterable<[string, Placed]>) {
        for (const one of objects) {
            const box = pageBox(one[1]);
            this.boxes.set(one[0], box);
            for (let x = field(box.left); x <= field(box.right); x++) {
                for (let y = field(box.top); y <= field(box.bottom); y++) {
                    const there = this.fields.get(key(x, y));
                    if (there === undefined) {
                        this.fields.set(key(x, y), [one]);
                    } else {
                        there.push(one);
                    }
                }
            }
        }
    }

    /** Those whose box may come so near, each once, in no order. */
    *at(x: number, y: number, reach: number): Iterable<[string, Placed]> {
        const seen = new Set<string>();
        for (let i = field(x - reach); i <= field(x + reach); i++) {
            for (let j = field(y - reach); j <= field(y + reach); j++) {
                for (const one of this.fields.get(key(i, j)) ?? []) {
                    if (!seen.has(one[0])) {
                        seen.add(one[0]);
                        yield one;
                    }
                }
            }
        }
    }
}

/** Far outside the page everything is in the outermost fields. */
function field(at: number): number {
    return Math.max(-8, Math.min(40, Math.floor(at / FIELD)));
}

function key(x: number, y: number): number {
    return (x + 8) * 64 + y + 8;
}
