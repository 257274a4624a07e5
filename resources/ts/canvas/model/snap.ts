import type { Backdrop } from './objects';
import { paperOf } from './paper';

const STEPS: Record<string, number> = { small: 25, middle: 50, large: 100 };
const LINED = 60;
const MM = 10;
/** Between the axes' grid and the page's edges, in units, as core/src/Render/AxesSvg.php draws it. */
const AXES_MARGIN = 70;
const LINE_MARGIN = 90;
/** Where nothing is ruled, things still line up with each other. */
const PLAIN = 25;

/** The nearest point of what is ruled on a backdrop; in units. */
export function snapped(backdrop: Backdrop, x: number, y: number): [number, number] {
    const [width] = paperOf(backdrop);
    const step = stepOf(backdrop);
    switch (backdrop.kind) {
        case 'squared':
        case 'dotted':
            return [nearest(x, step), nearest(y, step)];
        case 'isometric': {
            const across = (step * Math.sqrt(3)) / 2;
            const column = Math.round(x / across);
            return [column * across, nearest(y, step, (column % 2) * (step / 2))];
        }
        case 'lined':
            return [nearest(x, PLAIN), nearest(y, LINED)];
        case 'millimetre':
            return [nearest(x, MM), nearest(y, MM)];
        case 'staves':
            return [nearest(x, PLAIN), onStave(y)];
        case 'axes':
            return onAxes(backdrop, x, y);
        case 'number-line':
            return [onAxis(x, backdrop, '', LINE_MARGIN, width - LINE_MARGIN), nearest(y, PLAIN)];
        default:
            return [nearest(x, PLAIN), nearest(y, PLAIN)];
    }
}

/** The first stave's highest line, from there to the next stave's, and from a line to the space below it, in units. */
const STAVE = { top: 90, next: 180, half: 11 };

/** The nearest line or space of the nearest stave, with four beyond its lines on either side. */
function onStave(y: number): number {
    const middle = STAVE.top + 4 * STAVE.half;
    const stave = middle + STAVE.next * Math.max(0, Math.round((y - middle) / STAVE.next));
    return Math.max(stave - 8 * STAVE.half, Math.min(stave + 8 * STAVE.half, nearest(y, STAVE.half, stave)));
}

/** From one line or dot of a ruling to the next, in units. */
export function stepOf(backdrop: Backdrop): number {
    return STEPS[String(backdrop.size)] ?? 50;
}

/** How many units of the page one is on the axes, across and up; on a number line, across. */
export function axisUnit(backdrop: Backdrop): [x: number, y: number] {
    const [width] = paperOf(backdrop);
    if (backdrop.kind === 'number-line') {
        const unit = (width - 2 * LINE_MARGIN) / (Number(backdrop.to) - Number(backdrop.from));
        return [unit, unit];
    }
    const [across, up] = axesSize(backdrop);
    return [
        across / (Number(backdrop.x_to) - Number(backdrop.x_from)),
        up / (Number(backdrop.y_to) - Number(backdrop.y_from)),
    ];
}

function nearest(value: number, step: number, from = 0): number {
    return Math.round((value - from) / step) * step + from;
}

/** As core/src/Render/AxesSvg.php frames the grid: its width and height, in units. */
function axesSize(backdrop: Backdrop): [width: number, height: number] {
    const paper = paperOf(backdrop);
    const [width, height] = [paper[0] - 2 * AXES_MARGIN, paper[1] - 2 * AXES_MARGIN];
    if (Number(backdrop.equal ?? 1) !== 1) {
        return [width, height];
    }
    const [across, up] = [
        Number(backdrop.x_to) - Number(backdrop.x_from),
        Number(backdrop.y_to) - Number(backdrop.y_from),
    ];
    const unit = Math.min(width / across, height / up);
    return [unit * across, unit * up];
}

function onAxes(backdrop: Backdrop, x: number, y: number): [number, number] {
    const paper = paperOf(backdrop);
    const [width, height] = axesSize(backdrop);
    return [
        onAxis(x, backdrop, 'x_', (paper[0] - width) / 2, (paper[0] + width) / 2),
        onAxis(y, backdrop, 'y_', (paper[1] + height) / 2, (paper[1] - height) / 2),
    ];
}

/** The nearest tick, or part of a tick, of an axis that runs from one place to another. */
function onAxis(place: number, backdrop: Backdrop, prefix: string, first: number, last: number): number {
    const [from, to, step] = [
        Number(backdrop[`${prefix}from`]),
        Number(backdrop[`${prefix}to`]),
        Number(backdrop[`${prefix}step`]),
    ];
    const unit = (last - first) / (to - from);
    const value = from + (place - first) / unit;
    const tick = step / Number(backdrop.parts ?? 1);
    return first + (Math.max(from, Math.min(to, nearest(value, tick))) - from) * unit;
}
