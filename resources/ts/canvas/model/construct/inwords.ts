import { KINDS, serves, type Element, type ElementKind } from './elements';
import type { Scale } from './figures';
import { numbersOf, type Typed } from './numbers';

/** What each kind is called, as it may be typed. */
export type KindWords = Partial<Record<ElementKind, string>>;

/**
 * An element in words, for those who do not point: "segment A B", "point 3 2", "perpendicular C AB" (AB is the straight
 * one through A and B), "tangents P (A)" ((A) is the circle around A), "rotation A B 60", "A 4 1" (A goes there). Null for what is none.
 *
 * @param  typed  the numbers that stand beside the kinds
 * @param  scale  in what places are told: on axes up is more, elsewhere centimetres down the page
 */
export function inWords(
    line: string,
    elements: Element[],
    scale: Scale,
    words: KindWords,
    typed: Typed,
): Element | null {
    const tokens = line
        .trim()
        .split(/[\s,;]+/)
        .filter((one) => one !== '');
    const numbers = tokens.slice(-2).map((one) => Number(one.replace('−', '-')));
    const isPlace = numbers.length === 2 && numbers.every((one) => Number.isFinite(one));
    const moved = isPlace && tokens.length === 3 ? labelled(elements, tokens[0] ?? '') : undefined;
    if (moved?.kind === 'point') {
        return { ...moved, ...placed(numbers as [number, number], scale) };
    }
    const kind = kindOf(tokens, words);
    if (kind === null) {
        return null;
    }
    const { name, rest } = kind;
    if (name === 'point') {
        return isPlace && rest.length === 2
            ? { id: '', kind: 'point', ...placed(numbers as [number, number], scale) }
            : null;
    }
    const needs = KINDS[name][0];
    const letters = needs.replace('+', '');
    // "rotation A B 60"; without a number it is the one that stands beside the kind.
    const given = numbers[numbers.length - 1] ?? NaN;
    const isGiven = name in typed && rest.length === letters.length + 1 && Number.isFinite(given);
    const of = (isGiven ? rest.slice(0, -1) : rest).map((token, i) =>
        meant(elements, token, letters.charAt(Math.min(i, letters.length - 1))),
    );
    const isEnough = needs.endsWith('+') ? of.length >= letters.length : of.length === letters.length;
    return isEnough && of.every((one) => one !== null) && !['on', 'locus'].includes(name)
        ? { id: '', kind: name, of: of as string[], ...numbersOf(name, isGiven ? { [name]: given } : typed, scale) }
        : null;
}

/** The longest of the kinds' names that the line begins with. */
function kindOf(tokens: string[], words: KindWords): { name: ElementKind; rest: string[] } | null {
    let found: { name: ElementKind; rest: string[] } | null = null;
    for (const [name, word] of Object.entries(words) as [ElementKind, string][]) {
        const parts = word.toLowerCase().split(/\s+/);
        const isIt = parts.every((part, i) => tokens[i]?.toLowerCase() === part);
        if (isIt && (found === null || tokens.length - parts.length < found.rest.length)) {
            found = { name, rest: tokens.slice(parts.length) };
        }
    }
    return found;
}

const labelled = (elements: Element[], label: string): Element | undefined =>
    elements.find((one) => one.label?.toLowerCase() === label.toLowerCase());

/** What a token means where a letter is needed: a point by its label, AB, or (A). */
function meant(elements: Element[], token: string, letter: string): string | null {
    const point = labelled(elements, token);
    if (point !== undefined && serves(point.kind, letter)) {
        return point.id;
    }
    const round = /^\((.+)\)$/u.exec(token)?.[1];
    const centre = round === undefined ? undefined : labelled(elements, round)?.id;
    const ends =
        /^(\p{L}\d*)(\p{L}\d*)$/u
            .exec(token)
            ?.slice(1)
            .map((one) => labelled(elements, one)?.id) ?? [];
    const found = elements.find(({ kind, of = [] }) => {
        if (!serves(kind, letter)) {
            return false;
        }
        return centre !== undefined
            ? KINDS[kind][1] === 'c' && of[0] === centre
            : ends.length === 2 && ends.every((end) => end !== undefined && of.includes(end));
    });
    return found?.id ?? null;
}

function placed([x, y]: [number, number], scale: Scale): { x: number; y: number } {
    const down = scale.isAxes ? -y : y;
    return {
        x: Math.round((scale.origin[0] + x * scale.across) * 10),
        y: Math.round((scale.origin[1] + down * scale.up) * 10),
    };
}
