import { HttpProblem, sendForm } from '../../live/http';
import { element } from '../../page';
import { present } from '../../present';

/** So long after the last change the server is asked. */
const STILL_MS = 250;

/** What would lie on an empty canvas, drawn by the server as it is chosen. */
export class HandOutPreview {
    private timer = 0;
    private asked = 0;
    private readonly figure = element('#handout-preview');

    constructor(
        /** Where to ask. */
        private readonly address: () => string,
        /** What is chosen; null where there is nothing to show yet. */
        private readonly chosen: () => Promise<FormData | null>,
    ) {}

    refresh(): void {
        window.clearTimeout(this.timer);
        this.timer = window.setTimeout(() => void this.ask(), STILL_MS);
    }

    private async ask(): Promise<void> {
        const mine = ++this.asked;
        try {
            const form = await this.chosen();
            const told = form === null ? null : await sendForm<{ picture: string; said: string }>(this.address(), form);
            if (mine === this.asked) {
                this.show(told?.picture ?? '', told?.said ?? '');
            }
        } catch (problem) {
            if (mine === this.asked) {
                this.show('', problem instanceof HttpProblem && problem.status > 0 ? problem.message : '');
            }
        }
    }

    private show(picture: string, said: string): void {
        const image = present(this.figure.querySelector('img'));
        image.hidden = picture === '';
        if (picture !== '') {
            image.src = picture;
        }
        element('figcaption', this.figure).textContent = said;
    }
}
