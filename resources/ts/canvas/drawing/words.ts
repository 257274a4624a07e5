import { TENTHS, type Note, type Text } from '../model/objects';
import {
    LINE_HEIGHT,
    NOTE_MARGIN,
    SMALL,
    indentOf,
    measureWith,
    readsBackwards,
    rowsOf,
    runWidth,
    type Lettering,
    type Run,
    type RunLook,
} from '../model/words';
import { present } from '../../present';

const FONT = '"Atkinson Hyperlegible Next", "DejaVu Sans", sans-serif';
const CODE_FONT = '"Atkinson Hyperlegible Mono", "DejaVu Sans Mono", monospace';
const ASCENT = 0.95;

let measure: CanvasRenderingContext2D | undefined;

measureWith((words, size, look) => {
    measure ??= present(document.createElement('canvas').getContext('2d'));
    measure.font = fontOf(size, look);
    measure.textRendering = 'geometricPrecision';
    return measure.measureText(words).width;
});

function fontOf(size: number, { bold, italic, code }: RunLook): string {
    const font = `${italic ? 'italic ' : ''}${bold ? '700 ' : ''}${size}px ${code ? CODE_FONT : FONT}`;
    bring(font, bold || italic || code);
    return font;
}

const asked = new Set<string>();
const waiting = new Set<() => void>();

/** Letters that the page has not used so far are fetched; what is drawn with others meanwhile is drawn anew then. */
function bring(font: string, isRare: boolean): void {
    const name = font.replace(/[\d.]+px/, '16px');
    if (!isRare || asked.has(name)) {
        return;
    }
    asked.add(name);
    if (!document.fonts.check(name)) {
        document.fonts.load(name).then(
            () => waiting.forEach((redraw) => redraw()),
            // Without a network it stays as it is, and is asked for again.
            () => asked.delete(name),
        );
    }
}

/** Called when letters have come that something was drawn without. */
export function whenLettersCome(redraw: () => void): void {
    waiting.add(redraw);
}

export function drawText(context: CanvasRenderingContext2D, text: Text): void {
    const { x, y, w, colour, align } = text;
    context.fillStyle = colour;
    drawRows(context, text, x, y, w ?? 0, align ?? 'start');
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
    drawRows(context, { text, size }, x + margin, y + margin, Math.max(0, w - 2 * margin), 'start');
}

/** Positions and width in tenths; core/src/Render/TextSvg.php draws the same. */
function drawRows(
    context: CanvasRenderingContext2D,
    lettering: Lettering,
    x: number,
    y: number,
    w: number,
    align: Text['align'],
): void {
    const { size, face } = lettering;
    context.textBaseline = 'alphabetic';
    context.textRendering = 'geometricPrecision';
    const reads = readsBackwards(lettering.text);
    const indent = Math.round(indentOf(lettering) * TENTHS);
    const [left, width] = [x + (reads ? 0 : indent), Math.max(0, w - indent)];
    rowsOf(lettering).forEach(({ line, runs, mark }, i) => {
        const baseline = y / TENTHS + size * (ASCENT + i * LINE_HEIGHT);
        if (mark !== '') {
            const run = { words: mark, bold: false, italic: false, raised: 0, code: face === 'code' };
            drawRow(context, [run], reads, reads ? (x + w) / TENTHS : x / TENTHS, reads ? 1 : 0, baseline, size);
        }
        const backwards = readsBackwards(line);
        const side = align === 'middle' ? 0.5 : (align === 'end') === backwards ? 0 : 1;
        drawRow(context, runs, backwards, (left + width * side) / TENTHS, side, baseline, size);
    });
    context.direction = 'ltr';
}

/** @param side  which part of it stands at x: 0 its left edge, 1 its right one */
function drawRow(
    context: CanvasRenderingContext2D,
    runs: Run[],
    backwards: boolean,
    x: number,
    side: number,
    baseline: number,
    size: number,
): void {
    context.direction = backwards ? 'rtl' : 'ltr';
    const [only] = runs;
    if (runs.length === 1 && only !== undefined) {
        context.font = fontOf(only.raised === 0 ? size : size * SMALL, only);
        context.textAlign = side === 0.5 ? 'center' : side === 1 ? 'right' : 'left';
        context.fillText(only.words, x, baseline - only.raised * size);
        return;
    }
    const widths = runs.map((run) => runWidth(run, size));
    const whole = widths.reduce((sum, one) => sum + one, 0);
    context.textAlign = backwards ? 'right' : 'left';
    let at = x + whole * ((backwards ? 1 : 0) - side);
    runs.forEach((run, i) => {
        context.font = fontOf(run.raised === 0 ? size : size * SMALL, run);
        context.fillText(run.words, at, baseline - run.raised * size);
        at += (backwards ? -1 : 1) * present(widths[i]);
    });
}
