import { element, fill } from '../page';
import type { Own, Room } from './state';

interface Around {
    address: string;
    words: Record<string, string>;
    say(sentence: string): void;
}

/** Work of the class on the student's own page, as long as the teacher shows it; the canvas is one press away. */
export class ShownWork {
    private readonly root = element('#shown-work');
    private readonly button = element('#shown-look');
    private shown = '';
    private told = '';

    constructor(private readonly around: Around) {
        element('#shown-work-away').addEventListener('click', () => this.open(false));
        this.button.addEventListener('click', () => this.open(this.root.hidden));
    }

    take(showcase: Room['showcase'], own: Own): void {
        const now = JSON.stringify(showcase);
        this.button.hidden = showcase === null;
        if (now !== this.shown) {
            const isNew = showcase !== null && !this.shown.includes(showcase.id);
            this.shown = now;
            element('#shown-work-items').replaceChildren(...(showcase?.items ?? []).map((item) => this.work(showcase!.id, item)));
            element('#shown-work-items').dataset.count = String(showcase?.items.length ?? 0);
            showcase === null ? this.open(false) : isNew && this.open(true);
        }
        this.tellOwner(own);
    }

    /** Discreetly: whose work it is hears of it once. */
    private tellOwner({ isShown, shownName }: Own): void {
        const now = isShown ? 'shown' : '';
        if (now !== this.told) {
            this.told = now;
            isShown && this.around.say(shownName ? this.around.words.shown_named : this.around.words.shown_anonymous);
        }
    }

    private open(isOpen: boolean): void {
        const wasOpen = !this.root.hidden;
        this.root.hidden = !isOpen;
        if (isOpen) {
            element('#shown-work-title').focus({ preventScroll: true });
        } else if (wasOpen) {
            element('#page-frame').focus({ preventScroll: true });
        }
    }

    private work(id: string, { n, version, name }: { n: number; version: string; name: string }): HTMLElement {
        const figure = Object.assign(document.createElement('figure'), { className: 'shown-work' });
        const { words, address } = this.around;
        figure.append(Object.assign(document.createElement('img'), {
            className: 'shown-canvas', src: `${address}/showcase/${id}/${n}.svg?${version}`, alt: name === '' ? words.work_of_somebody : fill(words.work_of, { name }),
        }));
        name !== '' && figure.append(Object.assign(document.createElement('figcaption'), { dir: 'auto', textContent: name }));
        return figure;
    }
}
