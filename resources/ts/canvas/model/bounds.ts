import { NOTE_MARGIN, heightOf, widthOf } from './words';
import { TENTHS, type BoxShape, type CanvasObject, type Placed, type PointShape } from './objects';
import { wholeLook } from './shapelook';
import { matrixOf, through } from './place';
import { samplesOf } from './scene';
import { placesOf } from './construct/places';
import { sketchOf } from './manipulative/manipulative';
import { present } from '../../present';

/** In units; right and bottom are not less than left and top. */
export interface Box {
    left: number;
    top: number;
    right: number;
    bottom: number;
}

/** Half a line's width where the pen was pressed hardest, against the stroke's own. */
const WIDEST_HALF = 351 / 448;

const known = new WeakMap<CanvasObject, Box>();

/** What an object covers before it is placed, with half its line's width around it. */
export function boxOf(object: CanvasObject): Box {
    let box = known.get(object);
    if (box === undefined) {
        box = measured(object);
        known.set(object, box);
    }
    return box;
}

/** What it covers on the page: an upright box around it. */
export function pageBox({ object, place }: Placed): Box {
    const box = boxOf(object);
    return place === undefined ? box : around(cornersOf(box).map(([x, y]) => through(matrixOf(place), x, y)));
}

export function cornersOf({ left, top, right, bottom }: Box): [number, number][] {
    return [
        [left, top],
        [right, top],
        [right, bottom],
        [left, bottom],
    ];
}

export function around(points: [number, number][], margin = 0): Box {
    const box = { left: Infinity, top: Infinity, right: -Infinity, bottom: -Infinity };
    for (const [x, y] of points) {
        box.left = Math.min(box.left, x - margin);
        box.top = Math.min(box.top, y - margin);
        box.right = Math.max(box.right, x + margin);
        box.bottom = Math.max(box.bottom, y + margin);
    }
    return box;
}

export function union(boxes: Box[]): Box {
    return around(
        boxes.flatMap(({ left, top, right, bottom }): [number, number][] => [
            [left, top],
            [right, bottom],
        ]),
    );
}

/** How much more a box that holds two may cover than both of them do. */
const LOOSE = 1.5;
const MOST_GROUPS = 16;

/** Boxes put together where that covers little more: few of them, for what lies apart is not to be drawn in one. */
export function gathered(boxes: Box[]): Box[] {
    const groups: Box[] = [];
    for (const box of boxes) {
        const at = groups.findIndex((group) => area(union([group, box])) <= LOOSE * (area(group) + area(box)));
        if (at >= 0) {
            groups[at] = union([present(groups[at]), box]);
        } else {
            groups.push(box);
        }
    }
    return groups.length > MOST_GROUPS ? [union(groups)] : groups;
}

function area({ left, top, right, bottom }: Box): number {
    return (right - left) * (bottom - top);
}

export function overlaps(a: Box, b: Box): boolean {
    return a.left <= b.right && a.right >= b.left && a.top <= b.bottom && a.bottom >= b.top;
}

function measured(object: CanvasObject): Box {
    switch (object.type) {
        case 'stroke':
        case 'highlight':
            return around(
                samplesOf(object).map(([x, y]) => [x / TENTHS, y / TENTHS]),
                (object.width / TENTHS) * WIDEST_HALF,
            );
        case 'polygon':
        case 'curve': {
            const points: [number, number][] = [];
            for (let i = 0; i < object.points.length; i += 2) {
                points.push([present(object.points[i]) / TENTHS, present(object.points[i + 1]) / TENTHS]);
            }
            return around(points, lineMargin(object));
        }
        case 'text': {
            const width = Math.max(object.w / TENTHS || 0, widthOf(object));
            return box(object.x, object.y, width, heightOf(object.text, object.size));
        }
        case 'note':
            return box(
                object.x,
                object.y,
                object.w / TENTHS,
                Math.max(object.h / TENTHS, heightOf(object.text, object.size) + 2 * NOTE_MARGIN),
            );
        case 'maths':
            return box(object.x, object.y, (object.wide * object.size) / 1000, (object.tall * object.size) / 1000);
        case 'manipulative': {
            const { left, top, width, height } = sketchOf(object);
            return box(object.x + left * TENTHS, object.y + top * TENTHS, width, height);
        }
        case 'construction': {
            const places = placesOf(object);
            return places.length === 0
                ? around([[0, 0]])
                : around(
                      places.map(([x, y]): [number, number] => [x, y]),
                      40,
                  );
        }
        case 'stamp':
            return around([[object.x / TENTHS, object.y / TENTHS]], object.size / 2);
        case 'piece':
            return boxOf(object.of);
        case 'picture':
            return box(object.x, object.y, object.w / TENTHS, object.h / TENTHS);
        default: {
            return around(
                [
                    [object.x / TENTHS, object.y / TENTHS],
                    [(object.x + object.w) / TENTHS, (object.y + object.h) / TENTHS],
                ],
                lineMargin(object),
            );
        }
    }
}

/** Beyond the middle of a shape's line: half of it, or as far as a head reaches. */
function lineMargin(shape: BoxShape | PointShape): number {
    const { ends, width } = wholeLook(shape);
    return ends === 'none' ? width / TENTHS / 2 : (width / TENTHS) * 2.5 + 7;
}

function box(x: number, y: number, w: number, h: number): Box {
    return {
        left: x / TENTHS,
        top: y / TENTHS,
        right: x / TENTHS + Math.max(0, w),
        bottom: y / TENTHS + Math.max(0, h),
    };
}
