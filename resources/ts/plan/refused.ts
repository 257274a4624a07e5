import { present } from '../present';
import type { PlanWords } from '../protocol/words';
import type { Refused } from './saver';

interface Settings {
    words: PlanWords;
    /** What holds for the prompt that is open. */
    of(field: string): Refused | undefined;
    /** The field that a place belongs to: a backdrop belongs to a page. */
    nameOf(place: string): string;
    /** The one that is saved is used instead. */
    giveUp(one: Refused): void;
}

/** Beside each field that holds something that could not be saved: why, and a way out. */
export function showRefused(settings: Settings): void {
    for (const place of document.querySelectorAll<HTMLElement>('[data-refused]')) {
        const one = settings.of(settings.nameOf(place.dataset.refused ?? ''));
        place.hidden = one === undefined;
        for (const input of document.querySelectorAll<HTMLElement>(present(place.dataset.of))) {
            if (one === undefined) {
                input.removeAttribute('aria-invalid');
            } else {
                input.setAttribute('aria-invalid', 'true');
            }
        }
        if (one !== undefined && place.dataset.message !== one.message) {
            const back = Object.assign(document.createElement('button'), {
                type: 'button',
                className: 'btn btn-link btn-sm',
                textContent: settings.words.give_up,
            });
            back.addEventListener('click', () => settings.giveUp(one));
            place.replaceChildren(one.message, ' ', back);
            place.closest('details')?.setAttribute('open', '');
        }
        place.dataset.message = one?.message ?? '';
    }
}
