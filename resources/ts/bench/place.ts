import { element } from '../page';

/** What names another element of the bench, or is named. */
const NAMES = ['id', 'aria-controls', 'aria-labelledby'] as const;

/** What the ids in the template begin with. */
const BEFORE = 'bench-';

/**
 * Puts the page's bench where `root` has a place for it: `data-as` is what its ids begin with, `data-label` its canvas's
 * name, `data-files` where its files are, and with `data-pieces` what is chosen can become pieces. Does nothing where it
 * stands already.
 */
export function placeBench(root: ParentNode): void {
    const place = root.querySelector<HTMLElement>('.bench-place');
    if (place === null) {
        return;
    }
    const { as = '', label = '', files, pieces } = place.dataset;
    const bench = document.importNode(element<HTMLTemplateElement>('#bench').content, true);
    for (const name of NAMES) {
        for (const one of bench.querySelectorAll(`[${name}^="${BEFORE}"]`)) {
            one.setAttribute(name, as + String(one.getAttribute(name)).slice(BEFORE.length));
        }
    }
    element('.page-frame', bench).setAttribute('aria-label', label);
    for (const link of bench.querySelectorAll<HTMLElement>('[data-address]')) {
        if (files === undefined) {
            link.remove();
        } else {
            link.dataset.address = files;
        }
    }
    if (pieces === undefined) {
        bench.querySelector('[data-chosen=pieces]')?.remove();
    }
    place.replaceWith(bench);
}
