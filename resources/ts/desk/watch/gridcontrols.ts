import type { PagesShown } from '../../grid/tile';
import { element } from '../../page';
import type { Desk } from '../shell/desk';
import type { Canvases } from './canvases';

/** By how much a key makes tiles larger or smaller, in pixels. */
const TILE_STEP = 40;

/** How the grid is sorted and filtered, which pages it shows, and how large. */
export function listenToGridControls({ actions, bus }: Desk, { grid }: Canvases): void {
    const size = element<HTMLInputElement>('#size');
    const resize = (by: number): void => {
        size.value = String(Math.min(Number(size.value), grid.visible()[0]?.root.offsetWidth ?? Infinity) + by);
        grid.resize(Number(size.value));
    };
    const sort = element<HTMLSelectElement>('#sort');
    const pages = element<HTMLSelectElement>('#pages-shown');
    size.addEventListener('input', () => grid.resize(Number(size.value)));
    sort.addEventListener('change', () => grid.sortBy(sort.value));
    pages.addEventListener('change', () => {
        const { value } = pages;
        const shown: PagesShown = value === 'theirs' || value === 'all' ? value : Number(value);
        grid.showPages(shown);
    });
    const part = element('#drawn-part');
    const drawn = (): void => {
        const isOn = part.getAttribute('aria-pressed') !== 'true';
        part.setAttribute('aria-pressed', String(isOn));
        grid.seeDrawn(isOn);
    };
    actions.add(
        {
            'drawn-part': drawn,
            'order-again': () => grid.orderAgain(),
            filter: ({ dataset: { filter = '' } }) => {
                grid.filterBy(filter);
                document
                    .querySelectorAll<HTMLElement>('#counts [data-filter]')
                    .forEach((one) => one.setAttribute('aria-pressed', String(one.dataset.filter === filter)));
                bus.tell('tiles', null);
            },
        },
        { 'drawn-part': drawn, larger: () => resize(TILE_STEP), smaller: () => resize(-TILE_STEP) },
    );
}
