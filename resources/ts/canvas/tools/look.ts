import type { CanvasObject } from '../model/objects';
import { isOpen, isShape, wholeLook } from '../model/shapelook';
import { HIGHLIGHT_WIDER } from './settings';

/** How an object looks, by the names of the tray's choices; what it has none of is left out. */
export type Look = Record<string, string | number | boolean>;

export function lookOf(object: CanvasObject): Look {
    const look: Look = {};
    const fields = object as unknown as Record<string, string | number | boolean | undefined>;
    for (const name of ['colour', 'note', 'highlight', 'width', 'size', 'align']) {
        const field = fieldOf(object, name);
        const value = field === null ? undefined : fields[field];
        if (value !== undefined) {
            look[name] = value;
        }
    }
    if (object.type === 'highlight') {
        look.width = object.width / HIGHLIGHT_WIDER;
    }
    if (isShape(object)) {
        const { isFilled, strength, fill, line, ends } = wholeLook(object);
        look.line = line;
        Object.assign(look, isOpen(object.type) ? { ends } : { strength: isFilled ? strength : 0, fill });
    }
    return look;
}

/** What a choice of the tray changes of an object; nothing where it has no such thing. */
export function restyled(object: CanvasObject, name: string, value: unknown): Record<string, unknown> {
    if (lookOf(object)[name] === undefined) {
        return {};
    }
    if (name === 'strength') {
        return value === 0 ? { filled: false } : { filled: true, strength: value };
    }
    if (name === 'width' && object.type === 'highlight') {
        return { width: (value as number) * HIGHLIGHT_WIDER };
    }
    return { [fieldOf(object, name) ?? name]: value };
}

/** The field of an object that a choice of the tray sets; null where it has none. */
function fieldOf(object: CanvasObject, name: string): string | null {
    switch (name) {
        case 'note':
            return object.type === 'note' ? 'colour' : null;
        case 'highlight':
            return object.type === 'highlight' ? 'colour' : null;
        case 'colour':
            return 'colour' in object && object.type !== 'note' && object.type !== 'highlight' ? 'colour' : null;
        case 'size':
            return ['text', 'note', 'maths'].includes(object.type) ? 'size' : null;
        default:
            return name in object ? name : null;
    }
}
