import type { Desk } from './desk';

/** Where a letter is typed, and no key of the desk's. */
const FIELD = 'input:not([type=range]):not([type=radio]):not([type=checkbox]), textarea, select, [contenteditable]';

/**
 * The desk's keys. Every one has a button; the page of keys lists them.
 *
 * @param  canvases  what is pressed about canvases; answers whether it was one of those keys
 * @param  escape  with nothing left to close
 */
export function listenToKeys(
    { actions, layers }: Desk,
    canvases: (event: KeyboardEvent) => boolean,
    escape: () => void,
): void {
    document.addEventListener('keydown', (event) => {
        const target = event.target as Element;
        const isTyping = target.closest(FIELD) !== null;
        const isModified = event.ctrlKey || event.metaKey || event.altKey;
        const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
        const letter = isModified ? undefined : actions.ofKey(key);
        // The Shield works from everywhere but from within words; while it is up, nothing is done that cannot be seen.
        const name = actions.nameOf(key);
        if (name === 'shield' && letter !== undefined && !isTyping) {
            event.preventDefault();
            letter(key);
        } else if (document.body.classList.contains('is-shielded')) {
            if (name === 'pens') {
                letter?.(key);
            }
        } else if (key === 'Escape' && !isModified) {
            if (target.closest('dialog') === null && !layers.escape()) {
                escape();
            }
        } else if (!isTyping && target.closest('dialog') === null) {
            if (canvases(event)) {
                event.preventDefault();
            } else if (letter !== undefined) {
                event.preventDefault();
                letter(key);
            }
        }
    });
}
