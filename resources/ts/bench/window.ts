import { element } from '../page';

/** A small window with a form: what its form does, and a way out. */
export function mountWindow(selector: string, done: (pressed: string) => void): HTMLDialogElement {
    const window = element<HTMLDialogElement>(selector);
    window.querySelector('[data-cancel]')?.addEventListener('click', () => window.close());
    element<HTMLFormElement>('form', window).addEventListener('submit', (event) => {
        event.preventDefault();
        window.close();
        done((event.submitter as HTMLButtonElement | null)?.value ?? '');
    });
    return window;
}
