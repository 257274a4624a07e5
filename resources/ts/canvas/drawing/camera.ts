import type { PaperSize } from '../model/paper';

/** Where the page stands in the frame: CSS pixels for each unit, and where its top left corner is. */
export interface Camera {
    scale: number;
    x: number;
    y: number;
}

/** A frame's width and height, in CSS pixels. */
export type Size = readonly [width: number, height: number];

/** A part of a page, in units. */
export interface Part {
    x: number;
    y: number;
    w: number;
    h: number;
}

/** How much smaller and larger the page can be made than when it is seen whole. */
const SMALLEST = 0.5;
const LARGEST = 16;
/** So much of the shorter of page and frame can be pushed out of sight. */
const SLACK = 0.3;

/** How a page is seen before anybody has moved it. */
export type FirstLook = (size: Size, paper: PaperSize, focus: Edges | null) => Camera;

interface Edges {
    left: number;
    top: number;
    right: number;
    bottom: number;
}

/** The whole page, as large as the frame allows. */
export function whole([width, height]: Size, paper: PaperSize): Camera {
    const [across, down] = [Math.max(1, width), Math.max(1, height)];
    const scale = Math.min(across / paper[0], down / paper[1]);
    // At the top, under the words of the prompt.
    return { scale, x: (across - paper[0] * scale) / 2, y: 0 };
}

/** Where the whole page fills less of the frame than this, it is opened larger. */
const MUCH = 0.72;
/** A wide page on a narrow screen is opened at most so much larger than it is seen whole. */
const WRITING = 2.5;

/**
 * As large as one writes: the whole page where it fills the frame; a tall one as wide as the frame, to be scrolled;
 * a wide one as tall as the frame, or as large as that is of use. What is to be worked there is seen, as wide as it is.
 */
export function forWriting(size: Size, paper: PaperSize, focus: Edges | null = null): Camera {
    const first = asTall(size, paper);
    if (focus === null) {
        return first;
    }
    const [across, down] = [Math.max(1, size[0]), Math.max(1, size[1])];
    const wide = focus.right - focus.left + 2 * AROUND;
    const scale = Math.max(whole(size, paper).scale, Math.min(first.scale, across / wide));
    const place = (middle: number, frame: number, page: number): number =>
        Math.min(0, Math.max(frame - page * scale, frame / 2 - middle * scale));
    const x = place((focus.left + focus.right) / 2, across, paper[0]);
    const y = place((focus.top + focus.bottom) / 2, down, paper[1]);
    const isWhole = scale <= whole(size, paper).scale;
    return isWhole ? whole(size, paper) : { scale, x, y };
}

function asTall(size: Size, paper: PaperSize): Camera {
    const all = whole(size, paper);
    const [across, down] = [Math.max(1, size[0]), Math.max(1, size[1])];
    const isTaller = down / paper[1] < across / paper[0];
    const share = isTaller ? (all.scale * paper[0]) / across : (all.scale * paper[1]) / down;
    if (share >= MUCH) {
        return all;
    }
    return { scale: isTaller ? across / paper[0] : Math.min(down / paper[1], WRITING * all.scale), x: 0, y: 0 };
}

/** Around what is drawn, in units. */
const AROUND = 24;
/** What is drawn is shown no larger than this beside the whole page: a dot stays a dot. */
const CLOSEST = 4;

/** The part of the page that is drawn on, as large as the frame allows, in its middle. */
export function drawnPart(drawn: Edges | null, size: Size, paper: PaperSize): Camera {
    const all = whole(size, paper);
    if (drawn === null) {
        return all;
    }
    const [across, down] = [Math.max(1, size[0]), Math.max(1, size[1])];
    const [w, h] = [drawn.right - drawn.left + 2 * AROUND, drawn.bottom - drawn.top + 2 * AROUND];
    const scale = Math.max(all.scale, Math.min(CLOSEST * all.scale, across / w, down / h));
    const [x, y] = [(drawn.left + drawn.right) / 2, (drawn.top + drawn.bottom) / 2];
    const place = (middle: number, frame: number, page: number): number =>
        Math.min(Math.max(0, frame - page * scale), Math.max(frame - page * scale, frame / 2 - middle * scale));
    return { scale, x: place(x, across, paper[0]), y: place(y, down, paper[1]) };
}

/** A camera from which some of the page can always be seen. */
export function within({ scale, x, y }: Camera, [width, height]: Size, paper: PaperSize): Camera {
    const limit = (at: number, frame: number, page: number): number => {
        const slack = Math.min(frame, page) * SLACK;
        return Math.max(Math.min(0, frame - page) - slack, Math.min(Math.max(0, frame - page) + slack, at));
    };
    return { scale, x: limit(x, width, paper[0] * scale), y: limit(y, height, paper[1] * scale) };
}

/** Larger or smaller about a point of the frame, which stays where it is. */
export function zoomed(
    camera: Camera,
    factor: number,
    [x, y]: readonly [number, number],
    size: Size,
    paper: PaperSize,
): Camera {
    const least = whole(size, paper).scale;
    const scale = Math.max(least * SMALLEST, Math.min(least * LARGEST, camera.scale * factor));
    const by = scale / camera.scale;
    return within({ scale, x: x - (x - camera.x) * by, y: y - (y - camera.y) * by }, size, paper);
}

export function panned(camera: Camera, dx: number, dy: number, size: Size, paper: PaperSize): Camera {
    return within({ ...camera, x: camera.x + dx, y: camera.y + dy }, size, paper);
}

/** How far inside the frame a place is brought that was to stay in sight, in CSS pixels. */
const INSIDE = 48;

/** Moved no more than is needed for a place on the page to be seen. */
export function showing(camera: Camera, [left, top]: readonly [number, number], size: Size): Camera {
    const [x, y] = inFrame(camera, left, top);
    const by = (at: number, frame: number): number => {
        const inside = Math.min(INSIDE, frame / 2);
        return Math.max(inside, Math.min(frame - inside, at)) - at;
    };
    return { ...camera, x: camera.x + by(x, size[0]), y: camera.y + by(y, size[1]) };
}

/** The part of the page that is seen. */
export function seenThrough({ scale, x, y }: Camera, [width, height]: Size): Part {
    return { x: -x / scale, y: -y / scale, w: width / scale, h: height / scale };
}

/** From a place in the frame to one on the page. */
export function onPage({ scale, x, y }: Camera, left: number, top: number): [number, number] {
    return [(left - x) / scale, (top - y) / scale];
}

/** From a place on the page to one in the frame. */
export function inFrame({ scale, x, y }: Camera, left: number, top: number): [number, number] {
    return [left * scale + x, top * scale + y];
}

/** How a picture that was drawn with one camera is moved to look as if it were drawn with another. */
export function movedFrom(drawn: Camera, now: Camera): string {
    const by = now.scale / drawn.scale;
    return now === drawn ? '' : `translate(${now.x - drawn.x * by}px, ${now.y - drawn.y * by}px) scale(${by})`;
}
