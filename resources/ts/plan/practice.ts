import { mountWindow } from '../bench/window';
import { element } from '../page';
import { showAllWords } from '../questions/words';
import type { Fields } from './model';

export type PlannedPractice = NonNullable<Fields['practice']>;

const USUAL = { level: 1, n: 10 };

interface Around {
    changed(practice: Fields['practice']): void;
    /** Below which address the open prompt's practice is looked at and printed. */
    address(): string;
    say(sentence: string): void;
    words: { unreachable: string };
}

/** Tasks of which each student has their own: about what, which kinds, how hard, how many. */
export class PracticeForm {
    private readonly family = element<HTMLSelectElement>('#practice-family');
    private readonly kinds = element('#practice-kinds');
    private readonly level = element<HTMLSelectElement>('#practice-level');
    private readonly n = element<HTMLInputElement>('#practice-n');
    private shown = '';

    constructor(private readonly around: Around) {
        this.family.addEventListener('change', () => {
            // Another family has other kinds: all of them, until some are chosen.
            this.offerKinds([]);
            this.tell();
        });
        for (const field of [this.kinds, this.level, this.n]) {
            field.addEventListener('change', () => this.tell());
        }
        element('#practice-look').addEventListener('click', () => void this.look());
        mountWindow('#practice-sheets', () => undefined);
        mountWindow('#practice-print', () => this.print());
        element('#practice-paper').addEventListener('click', () =>
            element<HTMLDialogElement>('#practice-print').showModal(),
        );
    }

    show(practice: Fields['practice']): void {
        const shown = JSON.stringify(practice);
        element('#practice-count').textContent = practice === null ? '' : String(practice.n);
        if (shown === this.shown || document.activeElement === this.n) {
            return;
        }
        this.shown = shown;
        this.family.value = practice?.family ?? '';
        this.level.value = String(practice?.level ?? USUAL.level);
        this.n.value = String(practice?.n ?? USUAL.n);
        this.offerKinds(practice?.kinds ?? []);
    }

    private offerKinds(chosen: string[]): void {
        const { selectedOptions, value } = this.family;
        const kinds = JSON.parse(selectedOptions[0]?.dataset.kinds ?? '{}') as Record<string, string>;
        element('#practice-settings').hidden = value === '';
        this.kinds.replaceChildren(
            ...Object.entries(kinds).map(([key, words]) => {
                const box = Object.assign(document.createElement('input'), {
                    type: 'checkbox',
                    value: key,
                    checked: chosen.length === 0 || chosen.includes(key),
                });
                const label = Object.assign(document.createElement('label'), { className: 'choice' });
                label.append(box, ` ${words}`);
                return label;
            }),
        );
    }

    private tell(): void {
        if (this.n.validity.badInput) {
            return;
        }
        const boxes = [...this.kinds.querySelectorAll<HTMLInputElement>('input:checked')];
        const practice =
            this.family.value === ''
                ? null
                : {
                      family: this.family.value,
                      kinds: boxes.map(({ value }) => value),
                      level: Number(this.level.value),
                      n: Number(this.n.value),
                  };
        this.shown = JSON.stringify(practice);
        this.around.changed(practice);
    }

    /** What three students would have. */
    private async look(): Promise<void> {
        const answer = await fetch(`${this.around.address()}/practice`).catch(() => null);
        if (answer?.ok !== true) {
            this.around.say(this.around.words.unreachable);
            return;
        }
        const place = element('#practice-sheets-body');
        place.innerHTML = await answer.text();
        showAllWords(place);
        element<HTMLDialogElement>('#practice-sheets').showModal();
    }

    private print(): void {
        const form = element<HTMLFormElement>('#practice-print form');
        const data = new FormData(form);
        const query = new URLSearchParams(
            [...data.entries()].flatMap(([name, value]) => (typeof value === 'string' ? [[name, value]] : [])),
        );
        window.open(`${this.around.address()}/practice/print?${query}`, '_blank', 'noopener');
    }
}
