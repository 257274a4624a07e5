import type { Backdrop } from '../canvas/model';
import { element, fill } from '../page';

/** The hand-out form: what stands in it is the present prompt, until the teacher changes something. */
export class HandOutForm {
    private readonly form = element<HTMLFormElement>('#handout form');
    private readonly words = element<HTMLTextAreaElement>('#handout-words');
    private drafted = false;

    constructor(
        private readonly sentences: { handout: string; handout_next: string },
        private readonly canvases: () => number,
    ) {
        this.form.addEventListener('input', () => {
            this.drafted = true;
            this.sayEffect();
        });
    }

    /** A draft that was not handed out yet is still there; otherwise the present prompt is. */
    show(): void {
        if (!this.drafted) {
            const { words, backdrop } = element('#now').dataset;
            this.form.reset();
            this.words.value = words!;
            this.fillBackdrop(JSON.parse(backdrop!) as Backdrop);
            this.choose('place', 'under');
        }
        this.say('');
        this.sayEffect();
        this.words.focus();
    }

    handedOut(): void {
        this.drafted = false;
    }

    say(problem: string): void {
        element('#handout-problem').textContent = problem;
    }

    private fillBackdrop({ kind, ...settings }: Backdrop): void {
        this.choose('backdrop', kind);
        for (const [name, value] of Object.entries(settings)) {
            const field = this.form.elements.namedItem(`settings[${name}]`) as HTMLInputElement | null;
            if (field !== null) {
                field.value = String(value);
            }
        }
    }

    private choose(name: string, value: string): void {
        element<HTMLInputElement>(`input[name=${name}][value=${value}]`, this.form).checked = true;
    }

    private sayEffect(): void {
        const data = new FormData(this.form);
        for (const settings of this.form.querySelectorAll<HTMLElement>('[data-settings]')) {
            settings.hidden = !settings.dataset.settings!.split(' ').includes(String(data.get('backdrop')));
        }
        const next = data.get('place') === 'next';
        const sentence = next ? this.sentences.handout_next : this.sentences.handout;
        element('#handout-effect').textContent = fill(sentence, { n: this.canvases() });
    }
}
