import { element } from '../../page';
import type { Desk } from './desk';

/** Where there is no room beside the grid, the prompt rail is a drawer at the left; the prompt's words unfold. */
export function listenToRail({ actions }: Desk): void {
    const rail = element('#rail-side');
    const button = element('#rail-button');
    const show = (isOpen: boolean): void => {
        rail.classList.toggle('is-open', isOpen);
        button.setAttribute('aria-expanded', String(isOpen));
    };
    actions.add({
        rail: () => show(!rail.classList.contains('is-open')),
        'prompt-words': () => {
            const isWhole = document.body.classList.toggle('is-prompt-whole');
            element('.now-prompt').setAttribute('aria-expanded', String(isWhole));
        },
    });
    document.addEventListener('pointerdown', (event) => {
        if ((event.target as Element).closest('#rail-side, #rail-button, dialog') === null) {
            show(false);
        }
    });
    document.addEventListener('keydown', (event) => {
        if (event.key === 'Escape') {
            show(false);
        }
    });
}
