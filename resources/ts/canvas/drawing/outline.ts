import type { Sample } from '../model/ink';
import { TENTHS } from '../model/objects';
import { present } from '../../present';

/** Of its sharpest curve's radius, the pen's own may be so much. */
const GENTLE = 0.9;
/** How large the disc between two pieces is, against the pen. */
const WITHIN = 0.94;

/** A place on the line and half its width there, in units. */
type Place = readonly [x: number, y: number, half: number];

/** What takes a path: a Path2D, or a drawing surface's own. */
type Path = Pick<CanvasPath, 'moveTo' | 'lineTo' | 'quadraticCurveTo' | 'arc' | 'closePath'>;

/**
 * The outline of a stroke, to be filled: as wide at each place as the pen was pressed there, with round ends and no
 * steps. core/src/Render/StrokeOutline.php says how it is made, and draws the same pieces.
 */
export function addOutline(path: Path, width: number, samples: readonly Sample[]): void {
    const places = placesOf(width, samples);
    const [first, last] = [present(places[0]), present(places.at(-1))];
    disc(path, first);
    if (places.length === 1) {
        return;
    }
    const ribbon = new Ribbon(path, first, present(places[1]));
    let from = middle(first, present(places[1]));
    ribbon.straightTo(from);
    for (let i = 1; i + 1 < places.length; i++) {
        const by = present(places[i]);
        const next = middle(by, present(places[i + 1]));
        ribbon.bendTo(from, by, next);
        from = next;
    }
    ribbon.straightTo(last);
    ribbon.end();
    disc(path, last);
}

/** A piece of an outline as long as it bends gently: one side of it there, and the other one back. */
class Ribbon {
    /** The side back, piece by piece: its control point, if it is curved, and where it leads. */
    private back: (readonly [byX: number, byY: number, x: number, y: number])[] = [];
    private x = 0;
    private y = 0;
    private at!: Place;

    constructor(
        private readonly path: Path,
        from: Place,
        to: Place,
    ) {
        this.begin(from, normal(from, to));
    }

    straightTo(to: Place): void {
        const { path, at, x, y } = this;
        const [fromX, fromY] = [at[0] - x * at[2], at[1] - y * at[2]];
        path.lineTo(to[0] + x * to[2], to[1] + y * to[2]);
        this.back.push([NaN, NaN, fromX, fromY]);
        this.at = to;
    }

    bendTo(from: Place, by: Place, to: Place): void {
        const { path } = this;
        const over = gentle(from, by, to);
        const next = normal(by, to);
        if (over === null) {
            this.end();
            straight(path, from, by);
            disc(path, by);
            straight(path, by, to);
            this.begin(to, next);
            return;
        }
        const [overX, overY] = over;
        path.quadraticCurveTo(by[0] + overX, by[1] + overY, to[0] + next[0] * to[2], to[1] + next[1] * to[2]);
        this.back.push([by[0] - overX, by[1] - overY, from[0] - this.x * from[2], from[1] - this.y * from[2]]);
        [this.x, this.y, this.at] = [next[0], next[1], to];
    }

    end(): void {
        const { path, at } = this;
        if (this.back.length > 0) {
            path.lineTo(at[0] - this.x * at[2], at[1] - this.y * at[2]);
            for (let i = this.back.length - 1; i >= 0; i--) {
                const [byX, byY, x, y] = present(this.back[i]);
                if (Number.isNaN(byX)) {
                    path.lineTo(x, y);
                } else {
                    path.quadraticCurveTo(byX, byY, x, y);
                }
            }
        }
        path.closePath();
    }

    private begin(from: Place, [x, y]: [number, number, number]): void {
        [this.x, this.y, this.at, this.back] = [x, y, from, []];
        this.path.moveTo(from[0] + x * from[2], from[1] + y * from[2]);
    }
}

/** The last half segment, which is straight, and the round end. */
function addEnd(path: Path, places: readonly Place[]): void {
    if (places.length > 1) {
        const [before, last] = [present(places.at(-2)), present(places.at(-1))];
        straight(path, middle(before, last), last);
        disc(path, last);
    }
}

/**
 * The end of a growing stroke, from the middle between its last two samples on: what `addGrowth` leaves open.
 *
 * @param samples  the last two of the stroke, and what goes on from them; the whole stroke where it has no more
 */
export function addTip(path: Path, width: number, samples: readonly Sample[], isWhole: boolean): void {
    if (isWhole) {
        addOutline(path, width, samples);
        return;
    }
    const places = placesOf(width, samples);
    for (let i = 1; i + 1 < places.length; i++) {
        addPiece(path, places, i);
    }
    addEnd(path, places);
}

/**
 * What came to a stroke since its first `from` samples were drawn, up to the middle before the last one: its end is not
 * known yet. Each piece begins with a disc, so that no seam is seen between two that are filled one after the other; it
 * is smaller than the pen, for what is filled twice would have a darker edge.
 */
export function addGrowth(path: Path, width: number, samples: readonly Sample[], from: number): void {
    const begin = Math.max(0, from - 2);
    const places = placesOf(width, samples.slice(begin));
    for (let i = begin === 0 ? 0 : 1; i + 1 < places.length; i++) {
        const place = present(places[i]);
        if (i > 0) {
            const [x, y, half] = middle(present(places[i - 1]), place);
            disc(path, [x, y, half * WITHIN]);
        } else {
            disc(path, place);
        }
        addPiece(path, places, i);
    }
}

/** How wide a line is where the pen was pressed so, in units. */
export function widthAt(width: number, pressure: number): number {
    return ((width / TENTHS) * (96 + pressure)) / 224;
}

function placesOf(width: number, samples: readonly Sample[]): Place[] {
    const places: Place[] = [];
    let [beforeX, beforeY] = [NaN, NaN];
    for (const [x, y, pressure] of samples) {
        if (x !== beforeX || y !== beforeY) {
            [beforeX, beforeY] = [x, y];
            places.push([x / TENTHS, y / TENTHS, widthAt(width, pressure) / 2]);
        }
    }
    return places;
}

/** The piece over a place, up to the middle before the next one. */
function addPiece(path: Path, places: readonly Place[], i: number): void {
    const by = present(places[i]);
    const next = middle(by, present(places[i + 1]));
    if (i === 0) {
        straight(path, by, next);
    } else {
        bend(path, middle(present(places[i - 1]), by), by, next);
    }
}

function middle(a: Place, b: Place): Place {
    return [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2, (a[2] + b[2]) / 2];
}

/** How far the control points of both sides stand off the line's own; null where it bends too sharply for that. */
function gentle(a: Place, by: Place, b: Place): [x: number, y: number] | null {
    const [firstX, firstY, first] = normal(a, by);
    const [secondX, secondY, second] = normal(by, b);
    // The cosine of the angle by which the line turns; from it the radius of the curve where it is sharpest.
    const turn = firstX * secondX + firstY * secondY;
    const sine = Math.sqrt(Math.max(0, (1 - turn) / 2));
    const radius = (Math.min(first, second) * (1 + turn)) / 2 / sine;
    if (turn <= 0 || by[2] > GENTLE * radius) {
        return null;
    }
    const across = by[2] / (1 + turn);
    return [(firstX + secondX) * across, (firstY + secondY) * across];
}

function bend(path: Path, a: Place, by: Place, b: Place): void {
    const over = gentle(a, by, b);
    if (over === null) {
        straight(path, a, by);
        disc(path, by);
        straight(path, by, b);
        return;
    }
    const [overX, overY] = over;
    const [firstX, firstY] = normal(a, by);
    const [secondX, secondY] = normal(by, b);
    path.moveTo(a[0] + firstX * a[2], a[1] + firstY * a[2]);
    path.quadraticCurveTo(by[0] + overX, by[1] + overY, b[0] + secondX * b[2], b[1] + secondY * b[2]);
    path.lineTo(b[0] - secondX * b[2], b[1] - secondY * b[2]);
    path.quadraticCurveTo(by[0] - overX, by[1] - overY, a[0] - firstX * a[2], a[1] - firstY * a[2]);
    path.closePath();
}

function straight(path: Path, a: Place, b: Place): void {
    const [x, y] = normal(a, b);
    path.moveTo(a[0] + x * a[2], a[1] + y * a[2]);
    path.lineTo(b[0] + x * b[2], b[1] + y * b[2]);
    path.lineTo(b[0] - x * b[2], b[1] - y * b[2]);
    path.lineTo(a[0] - x * a[2], a[1] - y * a[2]);
    path.closePath();
}

/** The other pieces turn the same way round. */
function disc(path: Path, [x, y, half]: Place): void {
    path.moveTo(x + half, y);
    path.arc(x, y, half, 0, 2 * Math.PI, true);
    path.closePath();
}

/** What stands square to the way from one place to the other, and its length. */
function normal(a: Place, b: Place): [x: number, y: number, length: number] {
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
    return [-(b[1] - a[1]) / length, (b[0] - a[0]) / length, length];
}
