import type { Backdrop } from './objects';
import { paperOf } from './paper';

/** A part of a page, in units. */
interface Part {
    x: number;
    y: number;
    w: number;
    h: number;
}

/** Between the lines of lined paper, as core/src/Render/BackdropSvg.php rules it. */
const RULED = 60;
/** Where nothing is ruled, a line is so much of what the window shows. */
const LINE = 0.8;
/** Of what was seen before, so much is still seen after a step along the line: one sees what one goes on from. */
const OVERLAP = 0.3;

/** How far the next line is below this one. */
export function lineStep(backdrop: Backdrop, seen: Part): number {
    const step = seen.h * LINE;
    return backdrop.kind === 'lined' ? Math.max(1, Math.floor(step / RULED)) * RULED : step;
}

/**
 * Where a window onto a line of writing goes on: along the line, and from its end to the beginning of the next one.
 * Null at the end of the page.
 *
 * @param began  where the lines begin, in units from the left
 */
export function onward(backdrop: Backdrop, seen: Part, began: number): { x: number; y: number } | null {
    const [width, height] = paperOf(backdrop);
    const isEnd = seen.x + seen.w >= width - 1;
    if (!isEnd) {
        return { x: Math.min(width - seen.w, seen.x + seen.w * (1 - OVERLAP)), y: seen.y };
    }
    return nextLine(backdrop, seen, began, height);
}

/** The beginning of the next line; null below the last one. */
export function nextLine(
    backdrop: Backdrop,
    seen: Part,
    began: number,
    height = paperOf(backdrop)[1],
): { x: number; y: number } | null {
    const y = seen.y + lineStep(backdrop, seen);
    return y + seen.h / 2 > height ? null : { x: began, y };
}

/** The same place as near as the window can be to it: it stays on the page. */
export function held(backdrop: Backdrop, { x, y, w, h }: Part): { x: number; y: number } {
    const [width, height] = paperOf(backdrop);
    const within = (at: number, size: number, whole: number): number =>
        size >= whole ? (whole - size) / 2 : Math.max(0, Math.min(whole - size, at));
    return { x: within(x, w, width), y: within(y, h, height) };
}
