import { clear, freshen } from '../shell/freshen';
import { element } from '../../page';
import { present } from '../../present';

/** The answers are asked for so long after the last stroke in a box. */
const RESTS_MS = 1200;

/** What the server writes beside the close-up: answers, what was found, what a reader proposes. */
export class CloseUpSide {
    private readonly answers = element('#closeup-answers');
    private readonly reader = element<HTMLDetailsElement>('#closeup-reader');
    private timer = 0;

    constructor(
        private readonly root: HTMLElement,
        /** Where something about the canvas is; nothing while none is open. */
        private readonly addressOf: (what: string) => string | null,
    ) {
        this.answers.addEventListener('keydown', (event) => {
            const isNote = event.target === this.note && !event.isComposing;
            if (isNote && (event.key === 'Escape' || (event.key === 'Enter' && !event.shiftKey))) {
                event.preventDefault();
                event.stopPropagation();
                // Its change is told as it is left.
                element('#closeup-name').focus();
            }
        });
        // What a reader proposes is asked for when it is opened.
        this.reader.addEventListener('toggle', () => this.showReading());
    }

    /** Another canvas: nothing of the one before stays. */
    begin(): void {
        ['#closeup-answers', '#closeup-reading', '#closeup-talks'].forEach(clear);
        this.showAnswers();
        this.showTalks();
        this.showReading();
    }

    /** What was said about the canvas. */
    showTalks(): void {
        const address = this.addressOf('talks');
        if (address !== null) {
            void freshen(address, '#closeup-talks');
        }
    }

    /** When the pen rests for a moment. */
    showAnswersSoon(): void {
        window.clearTimeout(this.timer);
        this.timer = window.setTimeout(() => this.showAnswers(), RESTS_MS);
    }

    showAnswers(): void {
        window.clearTimeout(this.timer);
        const { activeElement } = document;
        // What is being typed there stays.
        const isTyped = this.answers.contains(activeElement) && present(activeElement).matches('textarea, input');
        const address = this.addressOf('answers');
        if (address !== null && !isTyped) {
            void freshen(address, '#closeup-answers').then(() => {
                element('.closeup-checks', this.root).hidden =
                    this.answers.querySelector('.marking[data-own]') !== null;
            });
        }
    }

    /** Null until it is there. */
    private get note(): HTMLTextAreaElement | null {
        return this.answers.querySelector<HTMLTextAreaElement>('textarea[name=note]');
    }

    /** The note by keys alone: Enter and Esc go back to the canvas, and what was written is kept. */
    writeNote(): void {
        const { note } = this;
        note?.focus();
        note?.setSelectionRange(note.value.length, note.value.length);
    }

    /** The phrase at a place, from 0. */
    phraseAt(at: number): void {
        this.answers.querySelectorAll<HTMLElement>('[data-do=phrase]')[at]?.click();
    }

    /** So many points more or less; the first key gives one, or none. */
    points(by: number): void {
        const field = this.answers.querySelector<HTMLInputElement>('input[type=number][name=points]');
        if (field !== null) {
            const [least, most] = [Number(field.min), Number(field.max)];
            field.value = String(Math.max(least, Math.min(most, (Number(field.value) || 0) + by)));
            field.dispatchEvent(new Event('change', { bubbles: true }));
        }
    }

    /** A phrase goes into the note. */
    phrase(words: string): void {
        const { note } = this;
        if (note === null) {
            return;
        }
        note.value = note.value.trim() === '' ? words : `${note.value.trim()} ${words}`;
        note.dispatchEvent(new Event('change', { bubbles: true }));
    }

    private showReading(): void {
        const address = this.addressOf('reading');
        if (address !== null && this.reader.open) {
            void freshen(address, '#closeup-reading');
        }
    }
}
