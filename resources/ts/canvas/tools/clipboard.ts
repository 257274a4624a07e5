import { newId, type CanvasObject, type Placing, type Tie } from '../model/objects';
import { tiedOnlyTo } from '../model/ties';
import { present } from '../../present';

const KEY = 'crag-copied';
const MARK = 'crag:';

/**
 * What was copied, for this tab and every other one of this device; a little is also given to the system's clipboard.
 */
export function keepCopy(placings: Placing[], event: ClipboardEvent | null): void {
    const text = JSON.stringify(placings);
    try {
        localStorage.setItem(KEY, text);
    } catch {
        // Too much to keep, or a private window: the clipboard alone has it.
    }
    event?.clipboardData?.setData('text/plain', MARK + text);
}

/** The objects that were copied last, in this browser or as the clipboard's text has them. */
export function readCopy(clip: string | null): Placing[] {
    const text = clip?.startsWith(MARK) ? clip.slice(MARK.length) : localStorage.getItem(KEY);
    try {
        const placings = JSON.parse(text ?? '[]') as Placing[];
        return Array.isArray(placings) ? regrouped(placings) : [];
    } catch {
        return [];
    }
}

/**
 * Copies belong together among themselves, and are tied to each other, not to what they were copied from.
 *
 * @param  idOf  what the copies will be called; without it nothing is tied
 */
export function regrouped(placings: Placing[], idOf?: (i: number) => string): Placing[] {
    const groups = new Map<string, string>();
    const copies = new Map<string, string>();
    placings.forEach(({ id }, i) => id !== undefined && idOf !== undefined && copies.set(id, idOf(i)));
    return placings.map(({ place, group, object }) => {
        if (group !== undefined && !groups.has(group)) {
            groups.set(group, newId());
        }
        return {
            object: tiedAmong(object, copies),
            ...(place && { place }),
            ...(group !== undefined && { group: present(groups.get(group)) }),
        };
    });
}

function tiedAmong(object: CanvasObject, copies: Map<string, string>): CanvasObject {
    if (!('start' in object || 'end' in object)) {
        return object;
    }
    const kept = tiedOnlyTo(object, new Set(copies.keys()));
    const copied = (tie: Tie): Tie => ({ ...tie, on: present(copies.get(tie.on)) });
    return {
        ...kept,
        ...(kept.start !== undefined && { start: copied(kept.start) }),
        ...(kept.end !== undefined && { end: copied(kept.end) }),
    };
}
