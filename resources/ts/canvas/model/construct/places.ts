import { atOf, distance, figuresOf, plus, scaleOf, wayOf, type Figure, type Point, type Straight } from './figures';
import type { Construct, Element } from './elements';
import { present } from '../../../present';

const known = new WeakMap<Element[], Map<string, Figure | null>>();

/** Worked out once for each state of a construction. */
export function figuresIn({ elements, scale }: Construct): Map<string, Figure | null> {
    let figures = known.get(elements);
    if (figures === undefined) {
        figures = figuresOf(elements, scaleOf(scale));
        known.set(elements, figures);
    }
    return figures;
}

/** Its finite places, and where endless lines leave every page: what it covers at most. */
export function placesOf(object: Construct): Point[] {
    return [...figuresIn(object).values()].flatMap((figure): Point[] => {
        switch (figure?.is) {
            case 'point':
                return [figure.at];
            case 'label':
                return [plus(figure.at, [-90, -24]), plus(figure.at, [90, 24])];
            case 'circle':
            case 'arc':
                return [
                    plus(figure.centre, [-figure.radius, -figure.radius]),
                    plus(figure.centre, [figure.radius, figure.radius]),
                ];
            case 'polygon':
                return figure.corners;
            case 'path':
                return figure.pieces.flat();
            case 'straight':
                return figure.extent === 'segment' || figure.extent === 'vector'
                    ? [figure.from, figure.to]
                    : [
                          [-200, -200],
                          [2200, 2200],
                      ];
            default:
                return [];
        }
    });
}

/** How far a place is from what an element is, in units; Infinity for what is not there. */
export function farFrom(figure: Figure | null, at: Point): number {
    switch (figure?.is) {
        case 'point':
            return distance(figure.at, at);
        case 'label':
            return Math.max(0, distance(figure.at, at) - 24);
        case 'circle':
            return Math.abs(distance(figure.centre, at) - figure.radius);
        case 'arc':
            return Math.abs(distance(figure.centre, at) - figure.radius);
        case 'polygon':
            return Math.min(
                ...figure.corners.map((corner, i) =>
                    farFromSegment(corner, present(figure.corners[(i + 1) % figure.corners.length]), at),
                ),
            );
        case 'path':
            return Math.min(Infinity, ...figure.pieces.flat().map((place) => distance(place, at)));
        case 'straight':
            return farFromStraight(figure, at);
        default:
            return Infinity;
    }
}

function farFromSegment(from: Point, to: Point, at: Point): number {
    return distance(from, to) < 1e-6
        ? distance(from, at)
        : farFromStraight({ is: 'straight', extent: 'segment', from, to }, at);
}

function farFromStraight(one: Straight, at: Point): number {
    const way = wayOf(one);
    const t = ((at[0] - one.from[0]) * way[0] + (at[1] - one.from[1]) * way[1]) / (way[0] ** 2 + way[1] ** 2);
    const near = one.extent === 'line' ? t : one.extent === 'ray' ? Math.max(0, t) : Math.max(0, Math.min(1, t));
    return distance(atOf(one, near), at);
}
