import { fill } from '../../page';

/** Says that the desk could not be refreshed, and since when: what it shows may be old, and nobody would see it. */
export class Freshness {
    private last = Date.now();

    /** @param  words  a sentence with :time in it */
    constructor(
        private readonly place: HTMLElement,
        private readonly words: string,
    ) {}

    /** @param  trouble  what the server says of itself */
    heard(isFresh: boolean, trouble: string | null = null): void {
        if (isFresh) {
            this.last = Date.now();
            this.place.textContent = trouble;
            this.place.hidden = trouble === null;
        } else if (this.place.hidden) {
            const time = new Date(this.last).toLocaleTimeString([], {
                hour: '2-digit',
                minute: '2-digit',
                second: '2-digit',
            });
            this.place.textContent = fill(this.words, { time });
            this.place.hidden = false;
        }
    }
}
