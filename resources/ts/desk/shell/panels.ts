import { element } from '../../page';
import type { Desk } from './desk';

/** Opens a small window that asks for a reason or a name about one student, whose name stands in it. */
export function openWindow(id: string, { seat = '', name = '' }: { seat?: string; name?: string }): void {
    const window = element<HTMLDialogElement>(`#${id}`);
    for (const field of window.querySelectorAll<HTMLInputElement>('input[type=hidden]')) {
        field.value = seat;
    }
    const title = window.querySelector<HTMLElement>('.window-name');
    if (title !== null) {
        title.textContent = name;
    }
    const typed = window.querySelector<HTMLInputElement>('input[name=name]');
    if (typed !== null) {
        typed.value = name;
    }
    window.showModal();
    typed?.select();
}

/** Drawer panels and windows that a button or a key only opens. */
export function listenToPanels({ actions, drawer, bands }: Desk): void {
    const panel = (id: string) => (): void => drawer.open(id);
    const window = (id: string) => (button: HTMLElement) => openWindow(id, button.dataset);
    const modal = (id: string) => () => element<HTMLDialogElement>(`#${id}`).showModal();
    // For how long somebody has been waiting, and what was done, as of now.
    const fresh = (id: string) => (): void => {
        drawer.open(id);
        bands.refresh();
    };
    const waiting = fresh('waiting-panel');
    const done = fresh('done');
    actions.add(
        {
            keys: panel('keys'),
            waiting,
            done,
            settings: panel('settings'),
            timer: panel('timing'),
            'big-code': modal('big-code'),
            'add-prompt': modal('add-prompt'),
            rename: window('rename'),
            'turn-away': window('turn-away'),
            'send-out': window('send-out'),
        },
        { timer: panel('timing'), waiting, done, keys: panel('keys') },
    );
    document.addEventListener('click', (event) => {
        const button = (event.target as Element).closest<HTMLElement>('dialog [data-cancel]');
        button?.closest('dialog')?.close();
    });
}
