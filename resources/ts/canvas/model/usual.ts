import type { CanvasObject } from './objects';
import { isShape, usualLook } from './shapelook';
import { marksWithin } from './words';

/** What of an object may be left out, and what it is then. */
function usualOf(object: CanvasObject): Record<string, unknown> {
    if (isShape(object)) {
        return usualLook(object.type);
    }
    if (object.type === 'construction') {
        return { put: undefined, drop: undefined };
    }
    if (object.type === 'manipulative') {
        return { act: undefined, free: false };
    }
    return object.type === 'text' ? { marks: undefined, list: 'none', face: 'plain' } : {};
}

/** A field that an object may have, whether it has it or not. */
export function mayHave(object: CanvasObject, field: string): boolean {
    return field in object || field in usualOf(object);
}

/** Without what is as usual, as the core writes it. */
export function plain<T extends CanvasObject>(object: T): T {
    const usual = usualOf(object);
    const fields = Object.entries(object).filter(([field, value]) => !(field in usual && usual[field] === value));
    const kept = Object.fromEntries(fields) as T;
    if (kept.type === 'text' && kept.marks !== undefined) {
        const { marks, ...rest } = kept;
        const within = marksWithin(marks, kept.text);
        return (within.length === 0 ? rest : { ...rest, marks: within }) as T;
    }
    return kept;
}
