import { element, fill } from '../page';
import type { PlanWords } from '../protocol/words';
import type { PlanState } from './model';

/** A field's name where each is: as those say it that tell what could not be saved there. */
function fieldOf(within: Element | null): string {
    const places = [...document.querySelectorAll<HTMLElement>('[data-refused]')];
    const place = places.find(({ dataset }) => within !== null && within.closest(dataset.of ?? '') !== null);
    return place?.dataset.refused ?? '';
}

/** At which field of the open prompt this teacher is. */
export function whereIAm(open: string): string {
    return `${open} ${fieldOf(document.activeElement)}`;
}

/** Who else is at the open prompt, beside the field that they are in; and in the list, who is at which prompt. */
export function showWhoIsHere(here: PlanState['here'], open: string, words: PlanWords): void {
    document.querySelectorAll('.is-here').forEach((one) => one.remove());
    for (const { name, prompt, field } of here) {
        const said = Object.assign(document.createElement('span'), {
            className: 'is-here',
            textContent: fill(words.is_here, { name }),
            dir: 'auto',
        });
        const place = document.querySelector(`[data-refused="${field}"]`);
        if (prompt === open && field !== '' && place !== null) {
            place.before(said);
        } else {
            document.querySelector(`#plan-prompts [data-prompt="${prompt}"]`)?.append(said);
        }
    }
    element('#plan-here').textContent = here.map(({ name }) => fill(words.is_here, { name })).join(' ');
}
