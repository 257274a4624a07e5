import { HEIGHT, WIDTH } from '../model/objects';

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

/** The whole page, as large as the frame allows. */
export function whole([width, height]: Size): Camera {
    const [across, down] = [Math.max(1, width), Math.max(1, height)];
    const scale = Math.min(across / WIDTH, down / HEIGHT);
    // At the top, so that the page stays where it is while the tray below grows and shrinks.
    return { scale, x: (across - WIDTH * scale) / 2, y: 0 };
}

/** A camera from which some of the page can always be seen. */
export function within({ scale, x, y }: Camera, [width, height]: Size): Camera {
    const limit = (at: number, frame: number, page: number): number => {
        const slack = Math.min(frame, page) * SLACK;
        return Math.max(Math.min(0, frame - page) - slack, Math.min(Math.max(0, frame - page) + slack, at));
    };
    return { scale, x: limit(x, width, WIDTH * scale), y: limit(y, height, HEIGHT * scale) };
}

/** Larger or smaller about a point of the frame, which stays where it is. */
export function zoomed(camera: Camera, factor: number, [x, y]: readonly [number, number], size: Size): Camera {
    const least = whole(size).scale;
    const scale = Math.max(least * SMALLEST, Math.min(least * LARGEST, camera.scale * factor));
    const by = scale / camera.scale;
    return within({ scale, x: x - (x - camera.x) * by, y: y - (y - camera.y) * by }, size);
}

export function panned(camera: Camera, dx: number, dy: number, size: Size): Camera {
    return within({ ...camera, x: camera.x + dx, y: camera.y + dy }, size);
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
