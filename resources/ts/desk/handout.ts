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
        element('#handout-picture').addEventListener('change', () => this.choose('backdrop', 'picture'));
    }

    /** A draft that was not handed out yet is still there; otherwise the present prompt is. */
    show(): void {
        if (!this.drafted) {
            const { words, backdrop } = element('#now').dataset;
            this.form.reset();
            this.words.value = words!;
            this.choose('backdrop', backdrop!);
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

    private choose(name: string, value: string): void {
        element<HTMLInputElement>(`input[name=${name}][value=${value}]`, this.form).checked = true;
    }

    private sayEffect(): void {
        const next = new FormData(this.form).get('place') === 'next';
        const sentence = next ? this.sentences.handout_next : this.sentences.handout;
        element('#handout-effect').textContent = fill(sentence, { n: this.canvases() });
    }
}
