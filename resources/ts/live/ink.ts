import type { WetInk } from '../canvas/model/objects';

/** Characters in a message of ink; the server ends a socket that sends more than 16 kB at once. */
export const MOST_INK = 12_000;

/** A message of ink by its shape, or null: what other browsers send was checked by nobody. */
export function parseInk(text: string): WetInk | null {
    if (text.length > MOST_INK) {
        return null;
    }
    let ink: Partial<Record<keyof WetInk, unknown>> | null;
    try {
        ink = JSON.parse(text) as typeof ink;
    } catch {
        return null;
    }
    return typeof ink === 'object' &&
        ink !== null &&
        isText(ink.k) &&
        isText(ink.c) &&
        isText(ink.o) &&
        (ink.g === undefined || isText(ink.g)) &&
        isPoint(ink.at) &&
        (ink.b === undefined || ink.b === 0 || ink.b === 1) &&
        (ink.p === undefined || typeof ink.p === 'string')
        ? (ink as unknown as WetInk)
        : null;
}

function isText(value: unknown): value is string {
    return typeof value === 'string' && value.length <= 80;
}

function isPoint(value: unknown): boolean {
    return value === undefined || (Array.isArray(value) && value.length === 2 && value.every(Number.isFinite));
}

const FULL = 240;
const EACH_SECOND = 120;

/**
 * How much ink of each hand is taken: a pen sends 30 messages a second, and what floods is let go, whoever else draws.
 */
export class Ration {
    private readonly left = new Map<string, { n: number; at: number }>();

    constructor(private readonly now: () => number) {}

    allows(hand: string): boolean {
        const now = this.now();
        const before = this.left.get(hand) ?? { n: FULL, at: now };
        const n = Math.min(FULL, before.n + ((now - before.at) / 1000) * EACH_SECOND);
        this.left.set(hand, { n: Math.max(0, n - 1), at: now });
        return n >= 1;
    }
}
