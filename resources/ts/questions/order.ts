import Sortable from 'sortablejs';
import { present } from '../present';

/** How things move out of the way. */
export function swiftly(): { animation: number } {
    return { animation: matchMedia('(prefers-reduced-motion: reduce)').matches ? 0 : 120 };
}

/** The items of a list change places by dragging their grips, with a finger too, and by the arrow keys on them. */
export function inOrder(list: HTMLElement, grip: string, changed: () => void): void {
    Sortable.create(list, { ...swiftly(), handle: grip, onEnd: changed });
    list.addEventListener('keydown', (event) => {
        const held = (event.target as Element).closest<HTMLElement>(grip);
        const isUp = event.key === 'ArrowUp';
        if (held === null || (!isUp && event.key !== 'ArrowDown')) {
            return;
        }
        event.preventDefault();
        event.stopPropagation();
        const item = present([...list.children].find((one) => one.contains(held)));
        const beside = isUp ? item.previousElementSibling : item.nextElementSibling;
        if (beside !== null) {
            beside[isUp ? 'before' : 'after'](item);
            held.focus();
            changed();
        }
    });
}
