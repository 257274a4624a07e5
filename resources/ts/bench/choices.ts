import type { Look } from '../canvas/tools/look';
import type { Settings } from '../canvas/tools/settings';
import { usualEnds } from '../canvas/model/shapelook';

/** How things look: what is chosen on the page takes these over too. */
const LOOKS = [
    'colour',
    'highlight',
    'note',
    'width',
    'strength',
    'fill',
    'line',
    'ends',
    'size',
    'align',
    'list',
    'face',
] as const;

/** Which setting a button in the tray chooses: `data-colour`, `data-width` … */
export const CHOICES = [
    ...LOOKS,
    'shape',
    'construct',
    'piece',
    'subject',
    'stamp',
    'stamps',
    'rub',
    'reach',
    'select',
] as const;

export type Choice = (typeof CHOICES)[number];

const NUMBERS = new Set<Choice>(['width', 'strength', 'size', 'reach']);

export const RESTYLES: ReadonlySet<Choice> = new Set(LOOKS);

/** A button's value as the setting has it. */
export function worthOf(choice: Choice, value: string): string | number {
    return NUMBERS.has(choice) ? Number(value) : value;
}

/** What a choice changes of the settings. */
export function chosen(choice: Choice, worth: string | number): Partial<Settings> {
    switch (choice) {
        case 'strength':
            return worth === 0 ? { filled: false } : { filled: true, strength: worth as number };
        case 'shape':
            // Another shape ends as it usually does.
            return { shape: worth as Settings['shape'], ends: null };
        default:
            return { [choice]: worth };
    }
}

/** What stands chosen, as the buttons name it: how what is chosen looks, or how the next thing will. */
export function current(settings: Settings, look: Look): Record<Choice, string> {
    const { filled, strength, ends, shape } = settings;
    const next: Record<string, unknown> = {
        ...settings,
        strength: filled ? strength : 0,
        ends: ends ?? usualEnds(shape),
    };
    return Object.fromEntries(CHOICES.map((name) => [name, String(look[name] ?? next[name])])) as Record<
        Choice,
        string
    >;
}
