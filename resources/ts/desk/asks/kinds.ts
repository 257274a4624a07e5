import { present } from '../../present';
import type { Words } from '../../protocol/words';

/** How it was asked last, on this device. */
const REMEMBERED = 'crag-ask';

export interface Remembered {
    kind?: string;
    seconds?: string;
    anonymous?: boolean;
    screen?: boolean;
}

export function recalled(): Remembered {
    return JSON.parse(localStorage.getItem(REMEMBERED) ?? '{}') as Remembered;
}

export function remember(asked: Remembered): void {
    localStorage.setItem(REMEMBERED, JSON.stringify({ ...recalled(), ...asked }));
}

/** A question as the core reads it. */
export type Asked = Record<string, unknown>;

type Said = Words<'ask_yes' | 'ask_no' | 'ask_unsure' | 'ask_sure' | 'ask_guessed' | 'ask_certain'>;

/** One of the kinds that need nothing but a press. */
export function askedAtOnce(kind: string, words: string, said: Said): Asked {
    const choice = (...options: string[]): Asked => ({
        kind: 'choice',
        words,
        options: options.map((one, i) => ({ id: `o${i + 1}`, words: one })),
        right: [],
        shuffle: false,
    });
    const questions: Record<string, Asked> = {
        abcd: choice('A', 'B', 'C', 'D'),
        yesno: choice(said.ask_yes, said.ask_no, said.ask_unsure),
        number: { kind: 'number', words, right: '' },
        text: { kind: 'text', words, right: [] },
        scale: { kind: 'scale', words, from: 1, to: 5, low: '', high: '' },
        sure: {
            kind: 'scale',
            words: words === '' ? said.ask_sure : words,
            from: 1,
            to: 4,
            low: said.ask_guessed,
            high: said.ask_certain,
        },
        // What is drawn is sent; there is nothing to be typed.
        drawing: { kind: 'text', words, right: [] },
    };
    return present(questions[kind]);
}

/** With choices or a right answer of the teacher's own, from the form's fields. */
export function askedByForm(value: (name: string) => string): Asked {
    const words = value('words');
    const right = value('right').trim();
    const kind = value('kind');
    if (kind !== 'choice' && kind !== 'choices') {
        return { kind, words, right: kind !== 'text' ? right : right === '' ? [] : [right] };
    }
    const lines = value('options')
        .split('\n')
        .map((line) => line.trim())
        .filter((line) => line !== '');
    const options = lines.map((line, i) => ({ id: `o${i + 1}`, words: line.replace(/^\*\s*/, '') }));
    return {
        kind,
        words,
        options,
        right: options.filter((_, i) => present(lines[i]).startsWith('*')).map(({ id }) => id),
        shuffle: false,
    };
}
