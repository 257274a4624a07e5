import { element } from '../../page';
import type { Desk } from './desk';

/** Hides everything on this desk, at once. */
export function listenToShield(desk: Desk): void {
    const toggle = (): void => {
        const isUp = document.body.classList.toggle('is-shielded');
        element('#shield').hidden = !isUp;
        // Neither keys nor a screen reader find what is hidden.
        for (const part of document.querySelectorAll<HTMLElement>('.desk-middle, #lineup, body > dialog')) {
            part.inert = isUp;
        }
        if (isUp) {
            element('#shield button').focus();
        }
        element('#shield-button').setAttribute('aria-pressed', String(isUp));
        desk.say(isUp ? desk.words.shielded : desk.words.unshielded);
    };
    desk.actions.add({ shield: toggle }, { shield: toggle });
}
