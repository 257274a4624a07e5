import { present } from '../../../present';
import type { Element } from './elements';
import { exactLength, exactSlope } from './exact';

/** In units of the page, x to the right and y down. */
export type Point = readonly [x: number, y: number];

export type Extent = 'segment' | 'ray' | 'line' | 'vector';

/** What an element comes to be at the moment: Crag\Construct\Figure. */
export type Figure =
    | { is: 'point'; at: Point }
    | { is: 'straight'; extent: Extent; from: Point; to: Point }
    | { is: 'circle'; centre: Point; radius: number }
    | { is: 'arc'; centre: Point; radius: number; from: number; sweep: number }
    | { is: 'polygon'; corners: Point[] }
    | {
          is: 'path';
          pieces: Point[][];
          /** Of a graph: as it was typed; empty for a locus. */
          words: string;
          /** What is shaded. */
          fills: Point[][];
          isDashed: boolean;
      }
    | {
          is: 'label';
          at: Point;
          value: number;
          unit: 'length' | 'area' | 'degrees' | 'number' | 'place';
          arc: Arc | null;
          /** The value where it can be told exactly; else empty. */
          exact: string;
          /** Of a place: up. */
          second: number;
      };

/** In what is measured: Crag\Construct\Scale. */
export interface Scale {
    origin: Point;
    across: number;
    up: number;
    isAxes: boolean;
}

export const CENTIMETRES: Scale = { origin: [0, 0], across: 58.9, up: 58.9, isAxes: false };

export function scaleOf(axes: { x: number; y: number; across: number; up: number } | undefined): Scale {
    return axes === undefined
        ? CENTIMETRES
        : { origin: [axes.x / 10, axes.y / 10], across: axes.across / 1000, up: axes.up / 1000, isAxes: true };
}

const counted = ({ across, up }: Scale, [x, y]: Point): Point => [x / across, -y / up];

export type Straight = Extract<Figure, { is: 'straight' }>;
export type Circle = Extract<Figure, { is: 'circle' }>;
export type Arc = Extract<Figure, { is: 'arc' }>;
export type Label = Extract<Figure, { is: 'label' }>;

export const plus = (a: Point, b: Point, times = 1): Point => [a[0] + times * b[0], a[1] + times * b[1]];
export const minus = (a: Point, b: Point): Point => [a[0] - b[0], a[1] - b[1]];
export const dot = (a: Point, b: Point): number => a[0] * b[0] + a[1] * b[1];
export const cross = (a: Point, b: Point): number => a[0] * b[1] - a[1] * b[0];
export const length = (a: Point): number => Math.hypot(a[0], a[1]);
export const distance = (a: Point, b: Point): number => length(minus(a, b));
export const quarter = ([x, y]: Point): Point => [-y, x];

export function turned([x, y]: Point, radians: number): Point {
    const [c, s] = [Math.cos(radians), Math.sin(radians)];
    return [c * x - s * y, s * x + c * y];
}

const isNear = (a: Point, b: Point): boolean => distance(a, b) < 1e-6;
const middle = (a: Point, b: Point): Point => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
const point = (at: Point): Figure => ({ is: 'point', at });

function straight(extent: Extent, from: Point, to: Point): Straight | null {
    return isNear(from, to) ? null : { is: 'straight', extent, from, to };
}

const line = (from: Point, way: Point): Straight | null => straight('line', from, plus(from, way));

export const wayOf = ({ from, to }: Straight): Point => minus(to, from);
export const atOf = (one: Straight, t: number): Point => plus(one.from, wayOf(one), t);

/** Where along it the foot of a perpendicular from a point stands. */
export function alongOf(one: Straight, at: Point): number {
    const way = wayOf(one);
    return dot(minus(at, one.from), way) / dot(way, way);
}

export function nearestOf(extent: Extent, t: number): number {
    return extent === 'line' ? t : extent === 'ray' ? Math.max(0, t) : Math.max(0, Math.min(1, t));
}

function holds(extent: Extent, t: number): boolean {
    return extent === 'line' || (t >= -1e-9 && (extent === 'ray' || t <= 1 + 1e-9));
}

function circle(centre: Point, radius: number): Circle | null {
    return radius < 1e-6 ? null : { is: 'circle', centre, radius };
}

export function onCircle({ centre, radius }: { centre: Point; radius: number }, t: number): Point {
    return [centre[0] + radius * Math.cos(t), centre[1] + radius * Math.sin(t)];
}

export const directionOf = ({ centre }: { centre: Point }, at: Point): number =>
    Math.atan2(at[1] - centre[1], at[0] - centre[0]);

function circleThrough(a: Point, b: Point, c: Point): Circle | null {
    if (isNear(a, b) || isNear(b, c) || isNear(c, a)) {
        return null;
    }
    const [p, q] = [minus(b, a), minus(c, a)];
    const twice = 2 * cross(p, q);
    if (Math.abs(twice) < 1e-9 * length(p) * length(q)) {
        return null;
    }
    const centre: Point = [
        (q[1] * dot(p, p) - p[1] * dot(q, q)) / twice,
        (p[0] * dot(q, q) - q[0] * dot(p, p)) / twice,
    ];
    return circle(plus(a, centre), length(centre));
}

/** Where each element is now, by id; null for what does not exist: as Crag\Construct\Construction::figures says. */
export function figuresOf(elements: Element[], scale = CENTIMETRES): Map<string, Figure | null> {
    const figures = new Map<string, Figure | null>();
    for (const element of elements) {
        figures.set(element.id, element.kind === 'locus' ? locus(elements, element) : figure(element, figures, scale));
    }
    return figures;
}

function figure(element: Element, figures: Map<string, Figure | null>, scale: Scale): Figure | null {
    const of: Figure[] = [];
    for (const id of element.of ?? []) {
        const one = figures.get(id) ?? null;
        if (one === null) {
            return null;
        }
        of.push(one);
    }
    return workedOut(element, of, scale);
}

function workedOut(element: Element, of: Figure[], scale: Scale): Figure | null {
    const points = of.flatMap((one) => (one.is === 'point' ? [one.at] : []));
    const [a, b, c] = points as [Point, Point, Point];
    const along = of.find((one): one is Straight => one.is === 'straight');
    const round = of.find((one): one is Circle => one.is === 'circle');
    switch (element.kind) {
        case 'point':
            return point([(element.x ?? 0) / 10, (element.y ?? 0) / 10]);
        case 'on':
            return on(present(of[0]), (element.t ?? 0) / 10000);
        case 'segment':
        case 'ray':
        case 'line':
        case 'vector':
            return straight(element.kind, a, b);
        case 'circle':
            return circle(a, distance(a, b));
        case 'compass':
            return circle(a, (element.by ?? 0) / 10);
        case 'circle3':
            return circleThrough(a, b, c);
        case 'arc':
            return arc(a, b, c);
        case 'polygon':
            return points.length === 0 ? null : { is: 'polygon', corners: points };
        case 'regular':
            return regular(a, b, element.n ?? 3);
        case 'midpoint':
            return point(middle(a, b));
        case 'perpendicular':
            return along === undefined ? null : line(a, quarter(wayOf(along)));
        case 'parallel':
            return along === undefined ? null : line(a, wayOf(along));
        case 'bisector':
            return isNear(a, b) ? null : line(middle(a, b), quarter(minus(b, a)));
        case 'angle_bisector':
            return angleBisector(a, b, c);
        case 'tangent':
            return round === undefined ? null : tangent(a, round, element.which ?? 0);
        case 'intersection':
            return meeting(present(of[0]), present(of[1]), element.which ?? 0);
        case 'reflection': {
            if (along === undefined) {
                return null;
            }
            const foot = atOf(along, alongOf(along, a));
            return point(plus(foot, minus(foot, a)));
        }
        case 'rotation':
            return point(plus(b, turned(minus(a, b), ((element.by ?? 0) / 100) * (Math.PI / 180))));
        case 'translation':
            return point(plus(a, minus(c, b)));
        case 'graph':
            return {
                is: 'path',
                pieces: (element.pieces ?? []).map(places),
                words: element.source ?? '',
                fills: (element.fills ?? []).map(places),
                isDashed: element.dashed === true,
            };
        case 'enlargement':
            return point(plus(b, minus(a, b), (element.by ?? 0) / 1000));
        default:
            return measured(element.kind, of, scale);
    }
}

const places = (piece: number[]): Point[] =>
    piece.flatMap((x, i): Point[] => (i % 2 === 0 ? [[x / 10, (piece[i + 1] ?? 0) / 10]] : []));

function on(figure: Figure, t: number): Figure | null {
    return figure.is === 'straight'
        ? point(atOf(figure, nearestOf(figure.extent, t)))
        : figure.is === 'circle'
          ? point(onCircle(figure, t))
          : null;
}

function arc(a: Point, b: Point, c: Point): Arc | null {
    const whole = circleThrough(a, b, c);
    if (whole === null) {
        return null;
    }
    const from = directionOf(whole, a);
    const round = 2 * Math.PI;
    const turn = (to: number): number => (((to - from) % round) + round) % round;
    const [through, end] = [turn(directionOf(whole, b)), turn(directionOf(whole, c))];
    return { ...whole, is: 'arc', from, sweep: through <= end ? end : end - round };
}

function regular(a: Point, b: Point, n: number): Figure | null {
    if (isNear(a, b)) {
        return null;
    }
    const corners: Point[] = [a, b];
    let side = minus(b, a);
    for (let i = 2; i < n; i++) {
        side = turned(side, (2 * Math.PI) / n);
        corners.push(plus(present(corners[i - 1]), side));
    }
    return { is: 'polygon', corners };
}

function angleBisector(a: Point, corner: Point, b: Point): Figure | null {
    const [p, q] = [minus(a, corner), minus(b, corner)];
    if (length(p) < 1e-6 || length(q) < 1e-6) {
        return null;
    }
    const way = plus(plus([0, 0], p, 1 / length(p)), q, 1 / length(q));
    return line(corner, length(way) < 1e-9 ? quarter(p) : way);
}

function tangent(at: Point, to: Circle, which: number): Figure | null {
    const way = minus(at, to.centre);
    const far = length(way);
    if (Math.abs(far - to.radius) < 1e-6 * to.radius) {
        return line(at, quarter(way));
    }
    if (far < to.radius) {
        return null;
    }
    const turn = Math.acos(to.radius / far) * (which === 0 ? 1 : -1);
    return straight('line', at, plus(to.centre, turned(way, turn), to.radius / far));
}

/** Of two places, the first and the second are told apart by what stays while figures are moved. */
function meeting(one: Figure, other: Figure, which: number): Figure | null {
    const at =
        one.is === 'straight' && other.is === 'straight'
            ? which === 0
                ? straights(one, other)
                : null
            : one.is === 'straight' && other.is === 'circle'
              ? straightAndCircle(one, other, which)
              : one.is === 'circle' && other.is === 'straight'
                ? straightAndCircle(other, one, which)
                : one.is === 'circle' && other.is === 'circle'
                  ? circles(one, other, which)
                  : null;
    return at === null ? null : point(at);
}

function straights(one: Straight, other: Straight): Point | null {
    const [p, q] = [wayOf(one), wayOf(other)];
    const across = cross(p, q);
    if (Math.abs(across) < 1e-9 * length(p) * length(q)) {
        return null;
    }
    const apart = minus(other.from, one.from);
    const [t, u] = [cross(apart, q) / across, cross(apart, p) / across];
    return holds(one.extent, t) && holds(other.extent, u) ? atOf(one, t) : null;
}

function straightAndCircle(one: Straight, { centre, radius }: Circle, which: number): Point | null {
    const foot = alongOf(one, centre);
    const away = distance(atOf(one, foot), centre);
    if (away > radius * (1 + 1e-9)) {
        return null;
    }
    const half = Math.sqrt(Math.max(0, radius ** 2 - away ** 2)) / length(wayOf(one));
    const t = which === 0 ? foot - half : foot + half;
    return holds(one.extent, t) ? atOf(one, t) : null;
}

function circles(one: Circle, other: Circle, which: number): Point | null {
    const way = minus(other.centre, one.centre);
    const far = length(way);
    const most = one.radius + other.radius;
    if (far < 1e-6 || far > most * (1 + 1e-9) || far < Math.abs(one.radius - other.radius) * (1 - 1e-9)) {
        return null;
    }
    const along = (far ** 2 + one.radius ** 2 - other.radius ** 2) / (2 * far);
    const aside = Math.sqrt(Math.max(0, one.radius ** 2 - along ** 2));
    return plus(plus(one.centre, way, along / far), quarter(way), ((which === 0 ? 1 : -1) * aside) / far);
}

/** How far beside what it measures a label stands, and an angle's mark, in units: Crag\Construct\Measured. */
const ASIDE = 26;
const WIDE = 34;
const BEYOND = 46;
const MARK = 44;

function measured(kind: Element['kind'], of: Figure[], scale: Scale): Label | null {
    const [one] = of;
    const points = of.flatMap((figure) => (figure.is === 'point' ? [figure.at] : []));
    const [a, b, c] = points as [Point, Point, Point];
    switch (kind) {
        case 'length':
            return lengthLabel(a, b, scale);
        case 'angle':
            return angleLabel(a, b, c);
        case 'coordinates': {
            const [x, y] = counted(scale, minus(a, scale.origin));
            return { ...label(plus(a, [0, BEYOND - 6]), x, 'place'), second: y };
        }
        case 'area':
            return one?.is === 'polygon' || one?.is === 'circle' ? areaLabel(one, scale) : null;
        case 'slope':
            return one?.is === 'straight' ? slopeLabel(one, scale) : null;
        default:
            return null;
    }
}

function label(at: Point, value: number, unit: Label['unit']): Label {
    return { is: 'label', at, value, unit, arc: null, exact: '', second: 0 };
}

function slopeLabel(one: Straight, scale: Scale): Label | null {
    const [x, y] = counted(scale, wayOf(one));
    return Math.abs(x) < 1e-9
        ? null
        : {
              ...label(plus(atOf(one, 0.5), [ASIDE, -ASIDE]), y / x, 'number'),
              exact: scale.isAxes ? exactSlope(x, y) : '',
          };
}

function areaLabel(of: Circle | Extract<Figure, { is: 'polygon' }>, { across, up }: Scale): Label {
    if (of.is === 'circle') {
        return label(of.centre, (Math.PI * of.radius ** 2) / (across * up), 'area');
    }
    const { corners } = of;
    const at = corners.reduce<Point>((sum, corner) => plus(sum, corner, 1 / corners.length), [0, 0]);
    const twice = corners.reduce(
        (all, corner, i) => all + cross(corner, present(corners[(i + 1) % corners.length])),
        0,
    );
    return label(at, Math.abs(twice) / 2 / (across * up), 'area');
}

function lengthLabel(a: Point, b: Point, scale: Scale): Label {
    const way = minus(b, a);
    const across: Point = length(way) < 1e-6 ? [0, -1] : plus([0, 0], quarter(way), -1 / length(way));
    const aside: Point = [across[0] * (ASIDE + WIDE * Math.abs(across[0])), across[1] * ASIDE];
    const half = plus(a, way, 0.5);
    const at = aside[1] > 0 ? plus(half, aside, -1) : plus(half, aside);
    const [x, y] = counted(scale, way);
    return { ...label(at, Math.hypot(x, y), 'length'), exact: scale.isAxes ? exactLength(x, y) : '' };
}

function angleLabel(a: Point, corner: Point, b: Point): Label | null {
    const [p, q] = [minus(a, corner), minus(b, corner)];
    if (length(p) < 1e-6 || length(q) < 1e-6) {
        return null;
    }
    const sweep = Math.atan2(cross(p, q), dot(p, q));
    const from = Math.atan2(p[1], p[0]);
    const radius = Math.min(MARK, length(p) * 0.6, length(q) * 0.6);
    const way = turned([1, 0], from + sweep / 2);
    return {
        ...label(plus(corner, way, radius + BEYOND), (Math.abs(sweep) * 180) / Math.PI, 'degrees'),
        arc: { is: 'arc', centre: corner, radius: Math.max(1, radius), from, sweep },
    };
}

/** A free point, or one along something, moved to a place or as near to it as it comes; null for what is not free. */
export function movedTo(elements: Element[], id: string, [x, y]: Point): Element | null {
    const element = elements.find((one) => one.id === id);
    if (element?.kind === 'point') {
        const tenths = (value: number): number => Math.max(-20000, Math.min(40000, Math.round(value * 10)));
        return { ...element, x: tenths(x), y: tenths(y) };
    }
    if (element?.kind !== 'on') {
        return null;
    }
    const figure = figuresOf(elements).get(present(element.of?.[0])) ?? null;
    const t =
        figure?.is === 'straight'
            ? nearestOf(figure.extent, alongOf(figure, [x, y]))
            : figure?.is === 'circle'
              ? directionOf(figure, [x, y])
              : null;
    return t === null ? null : { ...element, t: Math.max(-1e8, Math.min(1e8, Math.round(t * 10000))) };
}

/** As Crag\Construct\Locus samples it. */
const SAMPLES = 240;
const FAR = 20;
const JUMP = 400;

function locus(elements: Element[], { id, of }: Element): Figure | null {
    const [traced, driver] = of as [string, string];
    const moving = elements.find((one) => one.id === driver);
    if (moving?.kind !== 'on') {
        return null;
    }
    const others = elements.filter((one) => one.id !== id && one.kind !== 'locus');
    const figure = figuresOf(others).get(present(moving.of?.[0])) ?? null;
    const pieces: Point[][] = [];
    let piece: Point[] = [];
    for (let i = 0; i <= SAMPLES; i++) {
        const place = placeOn(figure, i / SAMPLES);
        if (place === null) {
            continue;
        }
        const moved = movedTo(others, driver, place);
        const at =
            moved === null
                ? null
                : (figuresOf(others.map((one) => (one.id === driver ? moved : one))).get(traced) ?? null);
        const before = piece.at(-1);
        if (at?.is !== 'point' || (before !== undefined && distance(before, at.at) > JUMP)) {
            if (piece.length > 0) {
                pieces.push(piece);
            }
            piece = [];
        }
        if (at?.is === 'point') {
            piece.push(at.at);
        }
    }
    return {
        is: 'path',
        pieces: piece.length > 0 ? [...pieces, piece] : pieces,
        words: '',
        fills: [],
        isDashed: false,
    };
}

function placeOn(figure: Figure | null, part: number): Point | null {
    if (figure?.is === 'circle') {
        return onCircle(figure, 2 * Math.PI * part - Math.PI);
    }
    if (figure?.is === 'straight') {
        const t = figure.extent === 'line' ? FAR * (2 * part - 1) : figure.extent === 'ray' ? FAR * part : part;
        return atOf(figure, t);
    }
    return null;
}
