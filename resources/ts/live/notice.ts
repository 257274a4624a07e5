import { element } from '../page';

/** A button beside a sentence. */
export interface NoticeButton {
    word: string;
    press(): void;
}

/** How long a sentence stays, in milliseconds; at least so long where there is something to press. */
const STAY_MS = 7000;
const PRESS_MS = 15_000;

/** Says sentences of the page's, one at a time, with a button where there is something to do about it. */
export class Notice {
    private hushed = 0;

    /** @param  place  where it is said */
    constructor(private readonly place: string) {}

    /** Nothing to say hides it. */
    say(sentence: string, button?: NoticeButton, ms = STAY_MS): void {
        const notice = element(this.place);
        notice.textContent = sentence;
        if (button !== undefined) {
            const press = Object.assign(document.createElement('button'), {
                type: 'button',
                className: 'btn btn-sm btn-paper',
                textContent: button.word,
            });
            press.addEventListener('click', () => {
                notice.hidden = true;
                button.press();
            });
            notice.append(' ', press);
        }
        notice.hidden = sentence === '';
        window.clearTimeout(this.hushed);
        this.hushed = window.setTimeout(
            () => {
                notice.hidden = true;
            },
            button === undefined ? ms : Math.max(ms, PRESS_MS),
        );
    }
}
