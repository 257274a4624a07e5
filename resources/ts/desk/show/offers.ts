import htmx from 'htmx.org';
import { element } from '../../page';
import type { Desk } from '../shell/desk';
import { Board } from './board';

/** What students offer to the class, in the drawer. */
export function listenToOffers(desk: Desk): void {
    const { address, actions, bus, drawer } = desk;
    const board = new Board(desk);
    const body = (): HTMLElement => element('#offers-body');
    /** A heading that is being typed, or work that is held, stays where it is. */
    const isBusy = (): boolean =>
        board.isHeld ||
        (body().contains(document.activeElement) &&
            document.activeElement?.matches('input:not([type=checkbox])') === true);
    let held = '';
    const freshen = (): void => {
        if (drawer.panel === 'offers' && !isBusy()) {
            void htmx.ajax('get', `${address}/offers`, {
                source: '#offers-body',
                target: '#offers-body',
                swap: 'innerHTML',
            });
        }
    };
    const open = (): void => {
        drawer.open('offers');
        freshen();
    };
    document.addEventListener('htmx:beforeSwap', (event) => {
        if ((event.target as Element).id === 'offers-body') {
            const { detail } = event as CustomEvent<{ shouldSwap: boolean }>;
            detail.shouldSwap &&= !isBusy();
            const grip = document.activeElement?.closest<HTMLElement>('.offer-grip');
            held = grip?.closest<HTMLElement>('.offer')?.dataset.offer ?? '';
        }
    });
    document.addEventListener('htmx:afterSwap', (event) => {
        if ((event.target as Element).id === 'offers-body') {
            board.listen();
            // Who moves work by keys keeps it.
            body().querySelector<HTMLElement>(`[data-offer="${held}"] .offer-grip`)?.focus();
        }
    });
    bus.on('offer', freshen);
    bus.on('done', (what) => what === 'offers' && freshen());
    actions.add({ offers: open }, { offers: open });
}
