import htmx from 'htmx.org';
import { element } from '../../page';
import { present } from '../../present';

/** What the server writes beside the close-up: answers, what was found, what a reader proposes. */
export class CloseUpSide {
    private readonly answers = element('#closeup-answers');
    private readonly reader = element<HTMLDetailsElement>('#closeup-reader');

    constructor(
        private readonly root: HTMLElement,
        /** Where something about the canvas is; nothing while none is open. */
        private readonly addressOf: (what: string) => string | null,
    ) {
        // What a reader proposes is asked for when it is opened.
        this.reader.addEventListener('toggle', () => this.showReading());
    }

    /** Another canvas: nothing of the one before stays. */
    begin(): void {
        this.answers.replaceChildren();
        element('#closeup-reading').replaceChildren();
        this.showAnswers();
        this.showReading();
    }

    showAnswers(): void {
        const { activeElement } = document;
        // What is being typed there stays.
        const isTyped = this.answers.contains(activeElement) && present(activeElement).matches('textarea, input');
        const address = this.addressOf('answers');
        if (address !== null && !isTyped) {
            void htmx
                .ajax('get', address, { source: '#closeup-answers', target: '#closeup-answers', swap: 'innerHTML' })
                .then(() => {
                    element('.closeup-checks', this.root).hidden =
                        this.answers.querySelector('.marking[data-own]') !== null;
                });
        }
    }

    /** A phrase goes into the note. */
    phrase(words: string): void {
        const note = element<HTMLTextAreaElement>('textarea[name=note]', this.answers);
        note.value = note.value.trim() === '' ? words : `${note.value.trim()} ${words}`;
        note.dispatchEvent(new Event('change', { bubbles: true }));
    }

    private showReading(): void {
        const address = this.addressOf('reading');
        if (address !== null && this.reader.open) {
            void htmx.ajax('get', address, {
                source: '#closeup-reading',
                target: '#closeup-reading',
                swap: 'innerHTML',
            });
        }
    }
}
