import { liteAdaptor, type LiteAdaptor } from 'mathjax-full/js/adaptors/liteAdaptor.js';
import type { LiteElement } from 'mathjax-full/js/adaptors/lite/Element.js';
import { RegisterHTMLHandler } from 'mathjax-full/js/handlers/html.js';
import { TeX } from 'mathjax-full/js/input/tex.js';
import 'mathjax-full/js/input/tex/ams/AmsConfiguration.js';
import 'mathjax-full/js/input/tex/base/BaseConfiguration.js';
import 'mathjax-full/js/input/tex/mhchem/MhchemConfiguration.js';
import { mathjax } from 'mathjax-full/js/mathjax.js';
import { SVG } from 'mathjax-full/js/output/svg.js';
import { through, type Matrix } from '../model/place';
import { present } from '../../present';

/** A formula as an outline: whole thousandths of its size, from its top left corner. */
export interface Outline {
    path: string;
    wide: number;
    tall: number;
}

const adaptor: LiteAdaptor = liteAdaptor();
RegisterHTMLHandler(adaptor);
const page = mathjax.document('', {
    InputJax: new TeX({
        packages: ['base', 'ams', 'mhchem'],
        maxMacros: 200,
        formatError: (_: unknown, problem: { message: string }) => {
            throw new Error(problem.message);
        },
    }),
    OutputJax: new SVG({ fontCache: 'none' }),
});

/** Sets LaTeX. Throws an Error that says what could not be understood. */
export function outlineOf(source: string): Outline {
    const { path, wide, tall } = outline(source, true);
    return { path, wide, tall };
}

/** Sets LaTeX to stand within a line; `deep` is how far it reaches below the line's foot. */
export function inlineOf(source: string): Outline & { deep: number } {
    return outline(source, false);
}

function outline(source: string, display: boolean): Outline & { deep: number } {
    const container = page.convert(source, { display }) as LiteElement;
    const svg = adaptor.firstChild(container) as LiteElement;
    const [left = 0, top = 0, wide = 1, tall = 1] = (adaptor.getAttribute(svg, 'viewBox') ?? '0 0 0 0')
        .split(' ')
        .map(Number);
    const path: string[] = [];
    walk(svg, [1, 0, 0, 1, -left, -top], path);
    return { path: path.join(''), wide: Math.ceil(wide), tall: Math.ceil(tall), deep: tall + top };
}

function walk(element: LiteElement, matrix: Matrix, path: string[]): void {
    for (const child of adaptor.childNodes(element) as LiteElement[]) {
        if (child.kind === '#text' || child.kind === '#comment') {
            continue;
        }
        const get = (name: string): number => Number(adaptor.getAttribute(child, name) ?? 0);
        let here = moved(matrix, adaptor.getAttribute(child, 'transform') ?? '');
        if (child.kind === 'svg') {
            here = nested(here, child);
        }
        if (child.kind === 'path') {
            path.push(flat(adaptor.getAttribute(child, 'd') ?? '', here));
        } else if (child.kind === 'rect') {
            const [x, y, w, h] = [get('x'), get('y'), get('width'), get('height')];
            path.push(flat(`M${x} ${y}L${x + w} ${y}L${x + w} ${y + h}L${x} ${y + h}Z`, here));
        } else if (child.kind === 'text') {
            throw new Error(
                `There is no letter for “${adaptor.textContent(child)}” in the type for formulas. Write it as text beside it.`,
            );
        } else {
            walk(child, here, path);
        }
    }
}

/** A stretched sign stands in a window of its own. */
function nested(matrix: Matrix, svg: LiteElement): Matrix {
    const get = (name: string): number => Number(adaptor.getAttribute(svg, name) ?? 0);
    const [left, top, wide, tall] = (adaptor.getAttribute(svg, 'viewBox') ?? '0 0 1 1').split(' ').map(Number);
    const [sx, sy] = [get('width') / wide || 1, get('height') / tall || 1];
    return times(matrix, [sx, 0, 0, sy, get('x') - left * sx, get('y') - top * sy]);
}

function moved(matrix: Matrix, transform: string): Matrix {
    let now = matrix;
    for (const [, name, inside = ''] of transform.matchAll(/(translate|scale|matrix)\(([^)]*)\)/g)) {
        const n = inside.split(/[\s,]+/).map(Number);
        const [first = 1, second] = n;
        if (name === 'translate') {
            now = times(now, [1, 0, 0, 1, first, second ?? 0]);
        } else if (name === 'scale') {
            now = times(now, [first, 0, 0, second ?? first, 0, 0]);
        } else {
            now = times(now, n as Matrix);
        }
    }
    return now;
}

function times(m: Matrix, n: Matrix): Matrix {
    return [
        m[0] * n[0] + m[2] * n[1],
        m[1] * n[0] + m[3] * n[1],
        m[0] * n[2] + m[2] * n[3],
        m[1] * n[2] + m[3] * n[3],
        m[0] * n[4] + m[2] * n[5] + m[4],
        m[1] * n[4] + m[3] * n[5] + m[5],
    ];
}

/** How many numbers follow a command of a path. */
const PLACES: Record<string, number> = { M: 2, L: 2, H: 1, V: 1, Q: 4, T: 2, C: 6, Z: 0 };

/** Path data with absolute whole numbers, in the few commands that a canvas takes. */
function flat(data: string, matrix: Matrix): string {
    let out = '';
    let [x, y, controlX, controlY] = [0, 0, 0, 0];
    const put = (letter: string, ...numbers: number[]): void => {
        const points: number[] = [];
        for (let i = 0; i < numbers.length; i += 2) {
            points.push(...through(matrix, present(numbers[i]), present(numbers[i + 1])).map(Math.round));
        }
        out += letter + points.join(' ');
        [x = x, y = y] = numbers.slice(-2);
    };
    for (const [, letter = '', inside = ''] of data.matchAll(/([MLHVQTCZ])([^MLHVQTCZ]*)/g)) {
        const all = (inside.match(/-?\d*\.?\d+/g) ?? []).map(Number);
        const each = PLACES[letter] ?? 0;
        if (letter === 'Z') {
            out += 'Z';
        }
        for (let i = 0; each > 0 && i + each <= all.length; i += each) {
            const n = all.slice(i, i + each);
            const [first = 0, second = 0] = n;
            if (letter === 'H' || letter === 'V') {
                put('L', ...(letter === 'H' ? [first, y] : [x, first]));
            } else if (letter === 'Q' || letter === 'T') {
                [controlX, controlY] = letter === 'Q' ? [first, second] : [2 * x - controlX, 2 * y - controlY];
                put('Q', controlX, controlY, ...n.slice(-2));
                continue;
            } else {
                put(letter, ...n);
            }
            [controlX, controlY] = [x, y];
        }
        if (letter !== 'Q' && letter !== 'T') {
            [controlX, controlY] = [x, y];
        }
    }
    return out;
}
