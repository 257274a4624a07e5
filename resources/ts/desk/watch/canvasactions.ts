import { mountWindow } from '../../bench/window';
import { element } from '../../page';
import type { Talk } from '../room/talk';
import type { Desk } from '../shell/desk';
import { openWindow } from '../shell/panels';
import type { CloseUp } from './closeup';
import type { Looking } from './looking';

/** What a teacher does with one canvas or with several at once. */
export function listenToCanvasActions(desk: Desk, looking: Looking, closeUp: CloseUp, talk: Talk): void {
    const { address, run, words } = desk;
    const seats = (): string[] => looking.meant.map(({ seat }) => seat.id);
    const window = mountWindow('#write-chosen', () => {
        const field = element<HTMLTextAreaElement>('#write-chosen-words');
        void run(`${address}/hand`, { seats: seats(), words: field.value }).then((done) => {
            field.value = done ? '' : field.value;
        });
    });
    window.addEventListener('close', () => window.querySelector('textarea')?.blur());

    const write = (): void => {
        const [only, ...others] = seats();
        if (others.length > 0) {
            element<HTMLDialogElement>('#write-chosen').showModal();
        } else if (only !== undefined) {
            talk.open(only);
        }
    };
    desk.actions.add(
        {
            'write-chosen': write,
            'pens-chosen': () => {
                if (seats().length > 0) {
                    void run(`${address}/pens`, { down: true, seats: seats(), words: words.pens_for });
                }
            },
            'give-back-chosen': () => {
                const canvases = looking.meant.flatMap(({ seat }) => seat.canvas ?? []);
                if (canvases.length > 0) {
                    void run(`${address}/give-back`, { canvases });
                }
            },
            'send-out-one': () => {
                const { shown } = closeUp;
                if (shown !== null) {
                    openWindow('send-out', { seat: shown.seat.id, name: shown.nameShown });
                }
            },
        },
        { write },
    );
}
