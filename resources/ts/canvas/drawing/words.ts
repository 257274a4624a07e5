import { TENTHS, type Note, type Text } from '../model/objects';

export const FONT = '"Atkinson Hyperlegible Next", "DejaVu Sans", sans-serif';
export const LINE_HEIGHT = 1.25;
const ASCENT = 0.95;
/** Between a note's edge and its words, in units. */
export const NOTE_MARGIN = 16;
/** A line end that was not typed: the words ran out of room. */
export const SOFT_END = '\u2028';
const BACKWARDS = /^[^\p{L}]*[\u0590-\u08FF\uFB1D-\uFDFF\uFE70-\uFEFC]/u;

let measure: CanvasRenderingContext2D | undefined;

function measuring(size: number): CanvasRenderingContext2D {
    measure ??= document.createElement('canvas').getContext('2d')!;
    measure.font = `${size}px ${FONT}`;
    measure.textRendering = 'geometricPrecision';
    return measure;
}

export function linesOf(text: string): string[] {
    return text.split(/[\n\u2028]/);
}

/** The words as they were typed. */
export function typed(text: string): string {
    return text.replaceAll(SOFT_END, '');
}

export function readsBackwards(line: string): boolean {
    return BACKWARDS.test(line);
}

/** Width in units of the widest line. */
export function widthOf(text: string, size: number): number {
    const context = measuring(size);
    return Math.max(0, ...linesOf(text).map((line) => context.measureText(line).width));
}

export function heightOf(text: string, size: number): number {
    return linesOf(text).length * size * LINE_HEIGHT;
}

/** Ends lines where the next word would not fit into a width in units; a word longer than that is cut. */
export function wrap(text: string, size: number, width: number): string {
    const context = measuring(size);
    const fits = (line: string): boolean => context.measureText(line.trimEnd()).width <= width;
    return text
        .split('\n')
        .map((paragraph) => {
            const lines: string[] = [];
            let line = '';
            for (const word of paragraph.match(/\S*\s*/g) ?? []) {
                if (line !== '' && !fits(line + word)) {
                    lines.push(line);
                    line = '';
                }
                let rest = word;
                while (!fits(rest) && [...rest].length > 1) {
                    const letters = [...rest];
                    let n = letters.length - 1;
                    while (n > 1 && !fits(letters.slice(0, n).join(''))) {
                        n--;
                    }
                    lines.push(letters.slice(0, n).join(''));
                    rest = letters.slice(n).join('');
                }
                line += rest;
            }
            lines.push(line);
            return lines.join(SOFT_END);
        })
        .join('\n');
}

export function drawText(context: CanvasRenderingContext2D, { text, x, y, w, size, colour, align }: Text): void {
    context.fillStyle = colour;
    drawLines(context, text, x, y, w ?? 0, size, align ?? 'start');
}

export function drawNote(context: CanvasRenderingContext2D, note: Note): void {
    const { text, x, y, w, h, size, colour } = note;
    context.beginPath();
    context.roundRect(x / TENTHS, y / TENTHS, Math.max(0, w) / TENTHS, Math.max(0, h) / TENTHS, 4);
    context.fillStyle = colour;
    context.fill();
    context.strokeStyle = '#8b8578';
    context.lineWidth = 1;
    context.stroke();
    context.fillStyle = '#25323b';
    const margin = NOTE_MARGIN * TENTHS;
    drawLines(context, text, x + margin, y + margin, Math.max(0, w - 2 * margin), size, 'start');
}

function drawLines(
    context: CanvasRenderingContext2D,
    text: string,
    x: number,
    y: number,
    w: number,
    size: number,
    align: Text['align'],
): void {
    context.font = `${size}px ${FONT}`;
    context.textBaseline = 'alphabetic';
    context.textRendering = 'geometricPrecision';
    linesOf(text).forEach((line, i) => {
        const backwards = readsBackwards(line);
        const at = align === 'middle' ? 0.5 : (align === 'end') === backwards ? 0 : 1;
        context.direction = backwards ? 'rtl' : 'ltr';
        context.textAlign = at === 0.5 ? 'center' : at === 1 ? 'right' : 'left';
        context.fillText(line, (x + w * at) / TENTHS, y / TENTHS + size * (ASCENT + i * LINE_HEIGHT));
    });
    context.direction = 'ltr';
}
