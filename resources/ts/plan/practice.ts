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
    private readonly row = element<HTMLInputElement>('#practice-row');
    private readonly follows = element<HTMLInputElement>('#practice-follows');
    private readonly words = element<HTMLInputElement>('#practice-words');
    private readonly right = element<HTMLInputElement>('#practice-right');
    private readonly letters = element<HTMLInputElement>('#practice-letters');
    private shown = '';

    constructor(private readonly around: Around) {
        this.family.addEventListener('change', () => {
            // Another family has other kinds: all of them, until some are chosen.
            this.offerKinds([]);
            this.tell();
        });
        const { kinds, level, n, row, follows, words, right, letters } = this;
        for (const field of [kinds, level, n, row, follows, words, right, letters]) {
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
        const typing = [this.n, this.row, this.words, this.right];
        if (shown === this.shown || typing.some((field) => field === document.activeElement)) {
            return;
        }
        this.shown = shown;
        this.family.value = practice?.family ?? '';
        this.level.value = String(practice?.level ?? USUAL.level);
        this.n.value = String(practice?.n ?? USUAL.n);
        this.row.value = String(practice?.row ?? 0);
        this.follows.checked = practice?.follows === true;
        this.words.value = practice?.words ?? '';
        this.right.value = practice?.right ?? '';
        this.letters.checked = practice?.letters === true;
        this.offerKinds(practice?.kinds ?? []);
    }

    private offerKinds(chosen: string[]): void {
        const { selectedOptions, value } = this.family;
        const kinds = JSON.parse(selectedOptions[0]?.dataset.kinds ?? '{}') as Record<string, string>;
        const isOwn = value === 'own';
        const row = Number(this.row.value) || 0;
        element('#practice-settings').hidden = value === '';
        element('#practice-own').hidden = !isOwn;
        element('#practice-hard').hidden = isOwn;
        element('#practice-many').hidden = row > 0;
        element('#practice-following').hidden = row === 0 || isOwn;
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
        const { family, kinds, level, n, row, follows, words, right, letters } = this;
        element('#practice-many').hidden = Number(row.value) > 0;
        element('#practice-following').hidden = !(Number(row.value) > 0) || family.value === 'own';
        const isOwn = family.value === 'own';
        // Half a question is not sent: nothing could be drawn of it.
        const isHalf = isOwn && (words.value.trim() === '' || right.value.trim() === '');
        if (n.validity.badInput || row.validity.badInput || isHalf) {
            return;
        }
        const boxes = [...kinds.querySelectorAll<HTMLInputElement>('input:checked')];
        const practice =
            family.value === ''
                ? null
                : {
                      family: family.value,
                      kinds: isOwn ? ['own'] : boxes.map(({ value }) => value),
                      level: Number(level.value),
                      n: Number(n.value),
                      ...(Number(row.value) > 0 && { row: Number(row.value), follows: follows.checked }),
                      ...(isOwn && { words: words.value, right: right.value, letters: letters.checked }),
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
