import { mountWindow } from '../../bench/window';
import { element } from '../../page';
import type { Desk } from '../shell/desk';

/** Somebody types the name of a student who is in: the teacher sees both devices before a place changes hands. */
export class WhoIsIt {
    private seat = '';
    private readonly window: HTMLDialogElement;

    constructor({ address, actions, run }: Desk) {
        actions.add({ 'who-is-it': (button) => this.ask(button.dataset) });
        this.window = mountWindow('#who-is-it', (answer) => {
            const seats = [this.seat];
            if (answer === 'yes' || answer === 'other') {
                void run(`${address}/let-in`, { seats, claimed: answer === 'yes' });
            } else if (answer === 'no') {
                void run(`${address}/turn-away`, { seats, reason: element('#turn-away-reason').getAttribute('value') });
            }
        });
    }

    private ask({ seat = '', name = '', there = '', asks = '' }: DOMStringMap): void {
        this.seat = seat;
        element('.window-name', this.window).textContent = name;
        element('#who-is-it-there').textContent = there;
        element('#who-is-it-asks').textContent = asks;
        this.window.showModal();
    }
}
