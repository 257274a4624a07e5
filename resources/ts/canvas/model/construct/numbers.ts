import type { Element, ElementKind } from './elements';
import type { Scale } from './figures';

/** What is typed beside the kinds that have a number: Crag\Construct\ElementKind::number. */
export type Typed = Partial<Record<ElementKind, number>>;

/** What a kind has besides what it is made of, as Crag\Construct\Element stores it; within what that takes. */
export function numbersOf(kind: ElementKind, typed: Typed, scale: Scale): Partial<Element> {
    const number = typed[kind] ?? 0;
    const within = (value: number, least: number, most: number): number =>
        Math.round(Math.min(Math.max(value, least), most));
    switch (kind) {
        case 'regular':
            return { n: within(number, 3, 20) };
        case 'rotation':
            // Stored clockwise.
            return { by: within(-number * 100, -36_000, 36_000) };
        case 'enlargement':
            return { by: within(number * 1000, -100_000, 100_000) };
        case 'compass':
            return { by: within(number * scale.across * 10, 1, 30_000) };
        case 'intersection':
        case 'tangent':
            return { which: 0 };
        default:
            return {};
    }
}
