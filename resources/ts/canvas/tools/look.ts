import type { CanvasObject, Mark, MarkKind, Text } from '../model/objects';
import { isOpen, isShape, wholeLook } from '../model/shapelook';
import { typed } from '../model/words';
import { HIGHLIGHT_WIDER } from './settings';

export const KINDS: readonly MarkKind[] = ['b', 'i', 'sup', 'sub'];

function isKind(name: string): name is MarkKind {
    return KINDS.some((kind) => kind === name);
}

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
    if (object.type === 'text') {
        Object.assign(look, { list: object.list ?? 'none', face: object.face ?? 'plain' });
        for (const kind of object.face === 'code' ? [] : KINDS) {
            look[kind] = isWhole(object, kind);
        }
    }
    if (isShape(object)) {
        const { isFilled, strength, fill, line, ends } = wholeLook(object);
        look.line = line;
        Object.assign(look, isOpen(object.type) ? { ends } : { strength: isFilled ? strength : 0, fill });
    }
    return look;
}

/** Whether all the words look so. */
function isWhole({ text, marks = [] }: Text, kind: MarkKind): boolean {
    const { length } = [...typed(text)];
    return marks.some(([from, to, its]) => its === kind && from === 0 && to === length);
}

/** What makes all the words of a text look so, or no longer. */
function marked(text: Text, kind: MarkKind, isOn: boolean): Mark[] {
    const others = (text.marks ?? []).filter(([, , its]) => its !== kind);
    return isOn ? [...others, [0, [...typed(text.text)].length, kind]] : others;
}

/** What a choice of the tray changes of an object; nothing where it has no such thing. */
export function restyled(object: CanvasObject, name: string, value: unknown): Record<string, unknown> {
    if (lookOf(object)[name] === undefined) {
        return {};
    }
    if (object.type === 'text' && isKind(name)) {
        return { marks: marked(object, name, value === true) };
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
