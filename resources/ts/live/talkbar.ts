import { element } from '../page';
import { timePassed } from './timer';

/** Where a live talk stands: asked about, being put through, or on, with how long it has been. */
export type TalkState = 'none' | 'asked' | 'connecting' | 'on';

/** The bar of a live talk, on a student's page and at the desk alike: its light, its words, its time, its buttons. */
export class TalkBar {
    private readonly root: HTMLElement;
    private readonly words: HTMLElement;
    private readonly mute: HTMLButtonElement;
    private since = 0;
    private timer = 0;

    constructor(id: string, around: { mute(isMuted: boolean): void; end(): void }) {
        this.root = element(`#${id}`);
        this.words = element(`#${id}-words`);
        this.mute = element<HTMLButtonElement>(`#${id}-mute`);
        this.mute.addEventListener('click', () => {
            const isMuted = this.mute.getAttribute('aria-pressed') !== 'true';
            this.mute.setAttribute('aria-pressed', String(isMuted));
            around.mute(isMuted);
        });
        element(`#${id}-end`).addEventListener('click', () => around.end());
    }

    get state(): TalkState {
        return (this.root.dataset.state ?? 'none') as TalkState;
    }

    get hasFocus(): boolean {
        return this.root.contains(document.activeElement);
    }

    show(state: TalkState, words: string): void {
        const isNew = state !== this.state;
        this.root.dataset.state = state;
        this.root.hidden = state === 'none';
        this.words.textContent = words;
        if (!isNew) {
            return;
        }
        window.clearInterval(this.timer);
        if (state === 'on') {
            this.since = performance.now();
            const tick = (): void => {
                element(`#${this.root.id}-time`).textContent = timePassed(performance.now() - this.since);
            };
            tick();
            this.timer = window.setInterval(tick, 500);
        } else {
            this.mute.setAttribute('aria-pressed', 'false');
        }
    }
}
