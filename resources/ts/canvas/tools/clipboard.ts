import { newId, type Placing } from '../model/objects';
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

/** Copies belong together among themselves, not with what they were copied from. */
export function regrouped(placings: Placing[]): Placing[] {
    const groups = new Map<string, string>();
    return placings.map(({ group, ...rest }) => {
        if (group === undefined) {
            return rest;
        }
        if (!groups.has(group)) {
            groups.set(group, newId());
        }
        return { ...rest, group: present(groups.get(group)) };
    });
}
