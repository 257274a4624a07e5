import type { BoxShape, Placed, Tie } from './objects';
import { TENTHS } from './objects';
import { matrixOf, through } from './place';
import { present } from '../../present';

/** Farthest positions of what is drawn, in tenths, as core/src/Canvas/Object/ReadField.php has them. */
const NEAREST = -20000;
const FARTHEST = 40000;

type Tied = Placed & { object: BoxShape };

/**
 * Lines as they come to lie when these objects are moved: they go along with what they are tied to, and one that is
 * moved itself is tied no more to what is not moved with it. As core/src/Canvas/SceneDraft.php says it.
 *
 * @param  objects  as they stand after the move
 */
export function following(objects: ReadonlyMap<string, Placed>, moved: ReadonlySet<string>): Map<string, Placed> {
    const lines = new Map<string, Placed>();
    for (const [id, placed] of objects) {
        if (!isTied(placed)) {
            continue;
        }
        const kept = moved.has(id) ? tiedOnlyTo(placed.object, moved) : placed.object;
        const others = tiesOf(kept).filter((on) => moved.has(on));
        if (others.length === 0) {
            if (kept !== placed.object) {
                lines.set(id, { ...placed, object: kept });
            }
            continue;
        }
        const { place, ...line } = placed;
        let object = onPage(kept, place);
        for (const on of others) {
            const other = objects.get(on);
            object = other?.page === line.page ? after(object, on, other) : object;
        }
        lines.set(id, { ...line, object });
    }
    return lines;
}

/** A line without ties to anything but these. */
export function tiedOnlyTo({ start, end, ...line }: BoxShape, ids: ReadonlySet<string>): BoxShape {
    return {
        ...line,
        ...(start !== undefined && ids.has(start.on) && { start }),
        ...(end !== undefined && ids.has(end.on) && { end }),
    };
}

function isTied(placed: Placed): placed is Tied {
    return 'start' in placed.object || 'end' in placed.object;
}

function tiesOf({ start, end }: BoxShape): string[] {
    return [start, end].flatMap((tie) => (tie === undefined ? [] : [tie.on]));
}

/** As it lies on the page, to stand there without a place of its own. */
function onPage(line: BoxShape, place: Placed['place']): BoxShape {
    return between(line, moved(place, line.x, line.y), moved(place, line.x + line.w, line.y + line.h));
}

function after(line: BoxShape, on: string, { place }: Placed): BoxShape {
    const at = (tie: Tie | undefined, x: number, y: number): [number, number] =>
        tie?.on === on ? moved(place, tie.x, tie.y) : [x, y];
    return between(line, at(line.start, line.x, line.y), at(line.end, line.x + line.w, line.y + line.h));
}

function moved(place: Placed['place'], x: number, y: number): [number, number] {
    if (place === undefined) {
        return [x, y];
    }
    const [a, b, c, d, e, f] = matrixOf(place);
    const [px, py] = through([a, b, c, d, e * TENTHS, f * TENTHS], x, y);
    return [Math.round(px), Math.round(py)];
}

function between(line: BoxShape, from: [number, number], to: [number, number]): BoxShape {
    const [x, y, farX, farY] = [...from, ...to].map((one) => Math.max(NEAREST, Math.min(FARTHEST, one)));
    return { ...line, x: present(x), y: present(y), w: present(farX) - present(x), h: present(farY) - present(y) };
}
