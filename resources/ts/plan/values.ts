import type { PlanWords } from '../protocol/words';
import { mountWindow } from '../bench/window';
import { element, fill } from '../page';
import { present } from '../present';

/** What is drawn of a prompt's values: how many different draws there are, and three students' words. */
export interface Draws {
    count: number;
    more: boolean;
    samples: string[];
}

/** Values in braces, {a: 2..9; a ≠ b}: where they stand, and what they say. */
export interface WrittenValue {
    from: number;
    to: number;
    name: string;
    choices: string;
    conditions: string[];
}

const VALUE = /\{\s*(\p{L})\s*:\s*([^{};]*?)\s*(?:;([^{}]*))?\}/gu;
const NUMBER = /[-−]?\d+(?:\.\d+)?/g;
const RANGE = /^([-−]?\d+(?:\.\d+)?)\s*(?:\.\.+|…)\s*([-−]?\d+(?:\.\d+)?)(?:\s+step\s+(\d+(?:\.\d+)?))?$/u;
const DASHED = /^([-−]?\d+(?:\.\d+)?)\s*[-–—]\s*(\d+(?:\.\d+)?)$/u;
const CONDITION = /^\s*(.+?)\s*(≠|≤|≥|<|>|=)\s*(.+?)\s*$/u;
const LETTERS = 'abcdefghkmnpqrstuvwxyz';

/** All values that a text draws, in its order. */
export function valuesIn(text: string): WrittenValue[] {
    return [...text.matchAll(VALUE)].map((found) => ({
        from: found.index,
        to: found.index + found[0].length,
        name: present(found[1]),
        choices: present(found[2]),
        conditions: (found[3] ?? '')
            .split(';')
            .map((one) => one.trim())
            .filter((one) => one !== ''),
    }));
}

/** The number that is chosen, or in which the caret stands. */
export function numberAt(text: string, from: number, to: number): { from: number; to: number } | null {
    const inBraces = (at: number): boolean =>
        [...text.matchAll(/\{[^{}]*\}/g)].some(({ index, 0: braces }) => at > index && at < index + braces.length);
    for (const { index, 0: number } of text.matchAll(NUMBER)) {
        if (index <= from && index + number.length >= to && !inBraces(index)) {
            return { from: index, to: index + number.length };
        }
    }
    return null;
}

/** A letter that no value of a text has. */
export function freeLetter(text: string): string {
    const taken = [...text.matchAll(/\{\s*(\p{L})\s*[:=]/gu)].map(([, name]) => name);
    return [...LETTERS].find((letter) => !taken.includes(letter)) ?? 'a';
}

function written(name: string, choices: string, conditions: string[]): string {
    return `{${[`${name}: ${choices}`, ...conditions].join('; ')}}`;
}

interface Settings {
    words: PlanWords;
    /** The words have been changed here. */
    changed(): void;
    say(sentence: string): void;
}

/** The values in a prompt's words as chips: chosen in the words, set in a small window, drawn for three students. */
export class ValueChips {
    private readonly field = element<HTMLTextAreaElement>('#words');
    private readonly add = element<HTMLButtonElement>('#value-add');
    private readonly chips = element('#value-chips');
    private readonly draws = element('#value-draws');
    private readonly dialog: HTMLDialogElement;
    private open: WrittenValue | null = null;
    /** What stood there when the window was opened. */
    private was = '';
    private shown = '';

    constructor(private readonly settings: Settings) {
        this.add.addEventListener('click', () => this.addValue());
        this.dialog = mountWindow('#value-window', (pressed) => this.take(pressed));
        element('#condition-add').addEventListener('click', () => {
            this.row('').querySelector<HTMLElement>('select')?.focus();
        });
        this.field.addEventListener('input', () => this.show());
    }

    /** What the server drew of it, where it has. */
    showDraws(draws: Draws | null): void {
        const { words } = this.settings;
        this.draws.hidden = draws === null;
        this.draws.replaceChildren(
            ...(draws === null
                ? []
                : [
                      fill(draws.more ? words.draws_many : words.draws, { n: draws.count }),
                      ...draws.samples.map((sample) =>
                          Object.assign(document.createElement('span'), {
                              className: 'value-sample',
                              textContent: sample,
                              dir: 'auto',
                          }),
                      ),
                  ]),
        );
    }

    /** The chips of what stands in the words now. */
    show(): void {
        const { value: text } = this.field;
        if (text === this.shown) {
            return;
        }
        this.shown = text;
        const { words } = this.settings;
        this.chips.replaceChildren(
            ...valuesIn(text).map((value) => {
                const range = RANGE.exec(value.choices);
                const dashed = DASHED.exec(value.choices);
                const chip = Object.assign(document.createElement('button'), {
                    type: 'button',
                    className: 'chip value-chip',
                    textContent:
                        dashed !== null
                            ? fill(words.value_dash, { from: present(dashed[1]), to: present(dashed[2]) })
                            : range !== null
                              ? fill(words.value_range, {
                                    name: value.name,
                                    from: present(range[1]),
                                    to: present(range[2]),
                                })
                              : fill(words.value_list, { name: value.name, list: value.choices }),
                });
                chip.classList.toggle('is-asking', dashed !== null);
                chip.addEventListener('click', () =>
                    dashed === null
                        ? this.ask(value)
                        : this.put(value, `${present(dashed[1])}..${present(dashed[2])}`, value.conditions),
                );
                return chip;
            }),
        );
    }

    /** The chosen number becomes one that is drawn. */
    private addValue(): void {
        const { field } = this;
        const number = numberAt(field.value, field.selectionStart, field.selectionEnd);
        if (number === null) {
            this.settings.say(this.settings.words.value_choose);
            field.focus();
            return;
        }
        const was = Number(field.value.slice(number.from, number.to).replace('−', '-'));
        const name = freeLetter(field.value);
        const from = Number.isInteger(was) ? Math.min(2, was) : 1;
        this.ask({
            ...number,
            name,
            choices: `${from}..${Math.max(9, Math.ceil(was))}`,
            conditions: [],
        });
    }

    private ask(value: WrittenValue): void {
        this.open = value;
        this.was = this.field.value.slice(value.from, value.to);
        const range = RANGE.exec(value.choices);
        input('value-from').value = range?.[1] ?? '';
        input('value-to').value = range?.[2] ?? '';
        input('value-step').value = range?.[3] ?? '1';
        input('value-list').value = range === null ? value.choices : '';
        element('#conditions').replaceChildren();
        value.conditions.forEach((condition) => this.row(condition));
        element<HTMLButtonElement>('#value-window [value=same]').hidden = this.field.value[value.from] !== '{';
        this.dialog.showModal();
        input(range === null ? 'value-list' : 'value-from').focus();
    }

    /** One condition in words: "a is not b". */
    private row(condition: string): HTMLElement {
        const row = present(element<HTMLTemplateElement>('#condition-template').content.firstElementChild).cloneNode(
            true,
        ) as HTMLElement;
        const [, one = this.open?.name ?? 'a', sign = '≠', two = ''] = CONDITION.exec(condition) ?? [];
        element<HTMLInputElement>('[data-condition=one]', row).value = one;
        element<HTMLSelectElement>('[data-condition=sign]', row).value = sign;
        element<HTMLInputElement>('[data-condition=two]', row).value = two;
        element('[data-condition=out]', row).addEventListener('click', () => row.remove());
        element('#conditions').append(row);
        return row;
    }

    private take(pressed: string): void {
        const { open } = this;
        if (open === null) {
            return;
        }
        if (this.field.value.slice(open.from, open.to) !== this.was) {
            // Somebody else has changed the words meanwhile.
            this.settings.say(this.settings.words.value_moved);
            return;
        }
        if (pressed === 'same') {
            const first = RANGE.exec(open.choices)?.[1] ?? present(open.choices.split(',')[0]).trim();
            this.replace(open, first);
            return;
        }
        const list = input('value-list').value.trim();
        const [from, to, step] = ['from', 'to', 'step'].map((field) => input(`value-${field}`).value.trim());
        const range = `${from}..${to}${step === '' || step === '1' ? '' : ` step ${step}`}`;
        const conditions = [...element('#conditions').children].flatMap((row) => {
            const [one, sign, two] = ['one', 'sign', 'two'].map((part) =>
                element<HTMLInputElement>(`[data-condition=${part}]`, row as HTMLElement).value.trim(),
            );
            return one === '' || two === '' ? [] : [`${one} ${sign} ${two}`];
        });
        this.put(open, list === '' ? range : list, conditions);
    }

    private put(value: WrittenValue, choices: string, conditions: string[]): void {
        this.replace(value, written(value.name, choices, conditions));
    }

    private replace({ from, to }: WrittenValue, by: string): void {
        this.field.setRangeText(by, from, to, 'end');
        this.field.focus();
        this.show();
        this.settings.changed();
    }
}

function input(id: string): HTMLInputElement {
    return element<HTMLInputElement>(`#${id}`);
}
