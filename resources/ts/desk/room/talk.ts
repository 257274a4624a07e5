import type { Desk } from '../shell/desk';
import { clear, freshen } from '../shell/freshen';
import type { CloseUp } from '../watch/closeup';

/** One student in the drawer: what was written, and what can be done. */
export class Talk {
    constructor(
        private readonly desk: Desk,
        closeUp: CloseUp,
    ) {
        const { bus, store, actions } = desk;
        const again = (): void => {
            if (store.now.talked !== '') {
                this.open(store.now.talked, false);
            }
        };
        bus.on('closed', (panel) => panel === 'talk' && store.put({ talked: '' }));
        bus.on('opened', (seat) => this.open(seat, false));
        bus.on('done', (what) => what === 'talk' && again());
        bus.on('seat', ({ seat }) => seat.id === store.now.talked && again());
        actions.add({
            talk: (button) => this.open(button.dataset.seat ?? ''),
            'talk-closeup': () => closeUp.shown !== null && this.open(closeUp.shown.seat.id),
        });
    }

    open(seat: string, focus = true): void {
        const { address, drawer, store } = this.desk;
        // What was being typed to one student is never left standing under another's name.
        if (store.now.talked !== seat) {
            clear('#talk-body');
        }
        store.put({ talked: seat });
        if (drawer.panel !== 'talk') {
            drawer.open('talk', false);
        }
        void freshen(`${address}/student/${seat}`, '#talk-body').then(() => {
            if (focus) {
                document.querySelector<HTMLElement>('#talk-words')?.focus();
            }
        });
    }
}
