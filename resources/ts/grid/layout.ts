import type { PaperSize } from '../canvas/model/paper';

const GAP = 8;
const WIDEST_GAP = 40;
/** What a tile's frame adds to its picture, and a line of answers to the frame. */
const FRAME = 33;
const LINE = 22;
const NARROWEST = 130;
/** A tile's border on both sides. */
const BORDER = 2;
/** Pictures so many pixels wide are whole pixels high, and no line in them is smeared. */
const STEP = 8;

/** The shapes between which a tile's picture stays, width to height: a narrower one has no room for a name. */
const SHAPES = [0.8, 1.6] as const;

/** The shape in which most pages are seen best: the one that most of them have. */
export function shapeOf(papers: Iterable<PaperSize>): number {
    const counts = new Map<number, number>();
    for (const [width, height] of papers) {
        counts.set(width / height, (counts.get(width / height) ?? 0) + 1);
    }
    const [most] = [...counts].sort((one, other) => other[1] - one[1] || other[0] - one[0]);
    return Math.max(SHAPES[0], Math.min(SHAPES[1], most?.[0] ?? SHAPES[1]));
}

/**
 * How wide a tile can be so that all of them fit, or as narrow as can still be read and the grid scrolls.
 *
 * @param shape  of the pages, width to height
 */
export function tileWidth(
    count: number,
    width: number,
    height: number,
    widest: number,
    /** In each frame beside the first: what is answered, who is in a group. */
    lines: number,
    shape: number = SHAPES[1],
): number {
    const frame = FRAME + lines * LINE;
    let best = 0;
    for (let columns = 1; columns <= Math.max(1, count); columns++) {
        const rows = Math.ceil(count / columns);
        const byWidth = (width - GAP * (columns - 1)) / columns;
        const byHeight = ((height - GAP * (rows - 1)) / rows - frame) * shape;
        best = Math.max(best, Math.min(byWidth, byHeight));
    }
    // Where not all of them fit, the grid scrolls, and rows fill its width.
    const columns = Math.max(1, Math.floor((width + GAP) / (NARROWEST + GAP)));
    const filling = best < NARROWEST ? (width - GAP * (columns - 1)) / columns : best;
    const tile = Math.max(NARROWEST, Math.min(widest, filling));
    return Math.floor((tile - BORDER) / STEP) * STEP + BORDER;
}

/** What whole rows leave over stands between their columns; where a row is not full, tiles stand close. */
export function columnGap(count: number, width: number, tile: number): number {
    const columns = Math.floor((width + GAP) / (tile + GAP));
    const between = Math.floor((width - columns * tile) / Math.max(1, columns - 1));
    return count <= columns || columns < 2 ? GAP : Math.min(WIDEST_GAP, between);
}

/** A tile's picture, in CSS pixels. */
export function pictureSize(tile: number, shape: number = SHAPES[1]): [number, number] {
    return [tile - BORDER, Math.round((tile - BORDER) / shape)];
}
