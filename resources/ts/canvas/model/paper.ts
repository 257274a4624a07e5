import type { Backdrop } from './objects';

/** A page's width and height in units, as core/src/Prompt/Paper.php has them. */
export type PaperSize = readonly [width: number, height: number];

/** What a page has that nobody gave another. */
export const WIDE: PaperSize = [1600, 1000];

/** The size of the page that a backdrop lies on. */
export function paperOf(backdrop: Backdrop | undefined): PaperSize {
    const [, width, height] = /^(\d+)x(\d+)$/.exec(String(backdrop?.paper ?? '')) ?? [];
    return width === undefined ? WIDE : [Number(width), Number(height)];
}

/** A place on the paper: itself, or the nearest one. */
export function ontoPaper([width, height]: PaperSize, x: number, y: number): [number, number] {
    return [Math.max(0, Math.min(width, x)), Math.max(0, Math.min(height, y))];
}
