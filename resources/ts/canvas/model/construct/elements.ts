/** One element of a construction, stored as what it is: Crag\Construct\Element. */
export interface Element {
    id: string;
    kind: ElementKind;
    of?: string[];
    /** Tenths. */
    x?: number;
    y?: number;
    /** Along what it lies on, in ten-thousandths. */
    t?: number;
    which?: number;
    n?: number;
    by?: number;
    label?: string;
    hidden?: true;
    /** Of a graph: as it was typed, and its rows of x, y, x, y … in tenths. */
    source?: string;
    pieces?: number[][];
    /** What is shaded, in the same way, and whether the line does not belong to it. */
    fills?: number[][];
    dashed?: true;
}

/** A graph before it has its place in a construction. */
export type Plot = Pick<Element, 'kind' | 'source' | 'pieces' | 'fills' | 'dashed'>;

/** Points, lines and circles that depend on each other: Crag\Canvas\Object\Construct. */
export interface Construct {
    type: 'construction';
    elements: Element[];
    colour: string;
    width: number;
    /** On axes: where they cross, in tenths, and how long one is, in thousandths of a unit. */
    scale?: { x: number; y: number; across: number; up: number };
}

/** What each kind is made of, and what it is for others: Crag\Construct\ElementKind. */
export const KINDS = {
    point: ['', 'p'],
    on: ['f', 'p'],
    segment: ['pp', 's'],
    ray: ['pp', 's'],
    line: ['pp', 's'],
    vector: ['pp', 's'],
    circle: ['pp', 'c'],
    compass: ['p', 'c'],
    circle3: ['ppp', 'c'],
    arc: ['ppp', ''],
    polygon: ['ppp+', 'g'],
    regular: ['pp', 'g'],
    midpoint: ['pp', 'p'],
    perpendicular: ['ps', 's'],
    parallel: ['ps', 's'],
    bisector: ['pp', 's'],
    angle_bisector: ['ppp', 's'],
    tangent: ['pc', 's'],
    intersection: ['ff', 'p'],
    reflection: ['ps', 'p'],
    rotation: ['pp', 'p'],
    translation: ['ppp', 'p'],
    enlargement: ['pp', 'p'],
    locus: ['pp', ''],
    length: ['pp', ''],
    angle: ['ppp', ''],
    area: ['g', ''],
    slope: ['s', ''],
    coordinates: ['p', ''],
    graph: ['', ''],
} as const;

export type ElementKind = keyof typeof KINDS;

/** Whether an element of a kind can be taken where another needs a letter. */
export function serves(kind: ElementKind, letter: string): boolean {
    const made = KINDS[kind][1];
    return made !== '' && (letter === 'f' ? 'sc' : letter === 'g' ? 'gc' : letter).includes(made);
}

export const isFree = ({ kind }: Element): boolean => kind === 'point' || kind === 'on';

/** What goes with an element, in order. */
export function dependants(elements: Element[], id: string): string[] {
    const gone = new Set([id]);
    for (const one of elements) {
        if (one.of?.some((parent) => gone.has(parent)) === true) {
            gone.add(one.id);
        }
    }
    return [...gone].slice(1);
}

/** With an element more, or in place of the one of its id: as Crag\Construct\Construction::with does it. */
export function withElement(elements: Element[], element: Element): Element[] {
    const at = elements.findIndex(({ id }) => id === element.id);
    return at < 0 ? [...elements, element] : elements.map((one, i) => (i === at ? element : one));
}

/** Without an element and all that depends on it. */
export function withoutElement(elements: Element[], id: string): Element[] {
    const gone = new Set([id, ...dependants(elements, id)]);
    return elements.filter((one) => !gone.has(one.id));
}

/**
 * A construction with a change to it. One that does not fit leaves it as it was: an element that is not made of earlier
 * ones as its kind needs them.
 */
export function constructed(object: Construct, set: Record<string, unknown>): Construct {
    let { elements } = object;
    for (const element of (set.put as Element[] | undefined) ?? []) {
        if (!fits(elements, element)) {
            return object;
        }
        elements = withElement(elements, element);
    }
    if (typeof set.drop === 'string') {
        elements = withoutElement(elements, set.drop);
    }
    return {
        ...object,
        elements,
        ...(typeof set.colour === 'string' && { colour: set.colour }),
        ...(typeof set.width === 'number' && { width: set.width }),
    };
}

const MOST = 200;
const MOST_LOCI = 8;

function fits(elements: Element[], element: Element): boolean {
    const at = elements.findIndex(({ id }) => id === element.id);
    const before = at < 0 ? elements : elements.slice(0, at);
    const of = element.of ?? [];
    const needs = KINDS[element.kind][0];
    const letters = needs.replace('+', '');
    const isEnough = needs.endsWith('+') ? of.length >= letters.length : of.length === letters.length;
    const isMadeOf = of.every((id, i) => {
        const parent = before.find((one) => one.id === id);
        return parent !== undefined && serves(parent.kind, letters.charAt(Math.min(i, letters.length - 1)));
    });
    const after = withElement(elements, element);
    return (
        isEnough &&
        isMadeOf &&
        (at < 0 || elements[at]?.kind === element.kind) &&
        after.length <= MOST &&
        after.filter(({ kind }) => kind === 'locus').length <= MOST_LOCI
    );
}
