import { TENTHS, type Note, type Text } from '../model/objects';
import { LINE_HEIGHT, NOTE_MARGIN, linesOf, measureWith, readsBackwards } from '../model/words';
import { present } from '../../present';

export const FONT = '"Atkinson Hyperlegible Next", "DejaVu Sans", sans-serif';
const ASCENT = 0.95;

let measure: CanvasRenderingContext2D | undefined;

measureWith((line, size) => {
    measure ??= present(document.createElement('canvas').getContext('2d'));
    measure.font = `${size}px ${FONT}`;
    measure.textRendering = 'geometricPrecision';
    return measure.measureText(line).width;
});

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
