import { guidesOf } from '../model/manipulative/manipulative';
import { TENTHS } from '../model/objects';
import { matrixOf, through } from '../model/place';
import { present } from '../../present';
import type { Point } from './gestures';
import type { Host } from './host';
import { isWorkable } from './parts';

/** How near to an edge a pen must begin to be guided by it, in CSS pixels; a fingertip covers more. */
const REACH = 12;
const FINGER = 18;

/** What a pen goes along: it brings each of its places onto an edge, or onto a circle. */
export type Guide = (at: Place) => Place;

type Place = Pick<Point, 'x' | 'y'>;

/** The guide at a place: the nearest edge of an instrument that lies there. */
export function guideAt(bench: Pick<Host, 'layer' | 'view'>, at: Point): Guide | null {
    const reach = (at.pointer === 'touch' ? FINGER : REACH) * at.unitsPerPixel;
    let [best, found] = [reach, null as Guide | null];
    for (const [id, placed] of bench.view.here()) {
        if (!isWorkable(id, placed, bench)) {
            continue;
        }
        const { object } = placed;
        const matrix = matrixOf(placed.place);
        const scale = Math.hypot(matrix[0], matrix[1]);
        const onPage = (x = 0, y = 0): [number, number] =>
            through(matrix, object.x / TENTHS + x, object.y / TENTHS + y);
        for (const numbers of guidesOf(object)) {
            const guide =
                numbers.length === 3
                    ? round(onPage(numbers[0], numbers[1]), present(numbers[2]) * scale)
                    : along(onPage(numbers[0], numbers[1]), onPage(numbers[2], numbers[3]));
            const near = guide(at);
            const far = Math.hypot(near.x - at.x, near.y - at.y);
            if (far <= best) {
                [best, found] = [far, guide];
            }
        }
    }
    return found;
}

/** Along an edge, as far as it goes. */
function along([fromX, fromY]: [number, number], [toX, toY]: [number, number]): Guide {
    const [dx, dy] = [toX - fromX, toY - fromY];
    const length = dx * dx + dy * dy || 1;
    return (at) => {
        const t = Math.max(0, Math.min(1, ((at.x - fromX) * dx + (at.y - fromY) * dy) / length));
        return { x: fromX + t * dx, y: fromY + t * dy };
    };
}

function round([x, y]: [number, number], radius: number): Guide {
    return (at) => {
        const far = Math.hypot(at.x - x, at.y - y) || 1;
        return { x: x + ((at.x - x) * radius) / far, y: y + ((at.y - y) * radius) / far };
    };
}
