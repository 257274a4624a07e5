const GAP = 8;
/** What a tile's frame adds to its picture, and a line of answers to the frame. */
const FRAME = 28;
const ANSWERS = 22;
const NARROWEST = 130;
/** A tile's border on both sides. */
const BORDER = 2;
/** Pictures so many pixels wide are whole pixels high, and no line in them is smeared. */
const STEP = 8;

/** How wide a tile can be so that all of them fit, or as narrow as can still be read and the grid scrolls. */
export function tileWidth(count: number, width: number, height: number, widest: number, hasAnswers: boolean): number {
    const frame = FRAME + (hasAnswers ? ANSWERS : 0);
    let best = 0;
    for (let columns = 1; columns <= Math.max(1, count); columns++) {
        const rows = Math.ceil(count / columns);
        const byWidth = (width - GAP * (columns - 1)) / columns;
        const byHeight = ((height - GAP * (rows - 1)) / rows - frame) * 1.6;
        best = Math.max(best, Math.min(byWidth, byHeight));
    }
    const tile = Math.max(NARROWEST, Math.min(widest, best));
    return Math.floor((tile - BORDER) / STEP) * STEP + BORDER;
}

/** A tile's picture, in CSS pixels. */
export function pictureSize(tile: number): [number, number] {
    return [tile - BORDER, (tile - BORDER) / 1.6];
}
