import { element } from '../../page';
import type { Tally } from '../../protocol/desk';
import { present } from '../../present';

/** How many are in each state. */
export function showCounts(counts: Map<string, number>, all: number): void {
    for (const button of document.querySelectorAll<HTMLElement>('#counts [data-filter]')) {
        const n = button.dataset.filter === '' ? all : (counts.get(present(button.dataset.filter)) ?? 0);
        element('.count', button).textContent = String(n);
        button.hidden = button.dataset.rare !== undefined && n === 0 && button.getAttribute('aria-pressed') !== 'true';
    }
}

/** Whether the order has changed meanwhile, and how many pages there are to choose from. */
export function showArranged(isStale: boolean, mostPages: number): void {
    element('#order-again').hidden = !isStale;
    const select = element<HTMLSelectElement>('#pages-shown');
    while (select.options.length - 2 < mostPages) {
        select.add(new Option(String(select.options.length - 1), String(select.options.length - 2)));
    }
    while (select.options.length - 2 > mostPages) {
        select.remove(select.options.length - 1);
    }
    present(select.closest('label')).hidden = mostPages === 1;
}

export function showTally(tally: Tally): void {
    for (const place of document.querySelectorAll<HTMLElement>('#tally > [data-level]')) {
        element('.count', place).textContent = String(tally[present(place.dataset.level)] ?? 0);
    }
}

/** Which prompt the teacher is looking at. */
export function markRail(looking: string): void {
    for (const item of document.querySelectorAll<HTMLElement>('#rail [data-prompt]')) {
        item.setAttribute('aria-pressed', String(item.dataset.prompt === looking));
    }
    for (const actions of document.querySelectorAll<HTMLElement>('#rail [data-actions]')) {
        actions.hidden = actions.dataset.actions !== looking;
    }
}
