import htmx from 'htmx.org';
import { element } from '../../page';
import type { Desk } from '../shell/desk';

/** What students offer to the class, in the drawer. */
export function listenToOffers({ address, actions, bus, drawer }: Desk): void {
    const freshen = (): void => {
        const body = element('#offers-body');
        const { activeElement } = document;
        // A heading that is being typed stays.
        const isTyped = body.contains(activeElement) && activeElement?.matches('input:not([type=checkbox])') === true;
        if (drawer.panel === 'offers' && !isTyped) {
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
    bus.on('offer', freshen);
    bus.on('done', (what) => what === 'offers' && freshen());
    actions.add({ offers: open }, { offers: open });
}
