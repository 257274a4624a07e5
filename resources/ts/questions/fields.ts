import type { BenchWords } from '../protocol/words';
import type { Asked } from '../protocol/questions';
import type { AnswerValue } from '../canvas/model/objects';
import { fill } from '../page';
import { wordFor } from '../protocol/wordfor';
import { showWords } from './words';
import { isByHand, isOnPaper, isRoom } from './boxes';
import { present } from '../present';

export interface Field {
    root: HTMLElement;
    show(value: AnswerValue | undefined): void;
}

export interface FieldSettings {
    assets: string;
    words: BenchWords;
    answer(value: AnswerValue | null): void;
}

/** An answer that is being typed is sent so long after the last key. */
const PAUSE_MS = 1000;
/** In units: from here on words find room for a second line. */
const TALL = 80;
const SIGNS = ['√', 'π', '²', '³', '^', '/', '×', '(', ')', '±', '≤', '≥', '°'];

/** One question with what is needed to answer it. */
export function questionField(asked: Asked, n: number, settings: FieldSettings): Field {
    const root = document.createElement('fieldset');
    root.className = 'question';
    root.dataset.kind = asked.kind;
    root.dataset.question = asked.id;
    const legend = document.createElement('legend');
    const number = Object.assign(document.createElement('span'), { className: 'question-n', textContent: `${n}.` });
    const words = document.createElement('span');
    words.dir = 'auto';
    showWords(words, asked.words);
    const name = fill(settings.words.question, { n });
    if (asked.words === '') {
        legend.append(
            Object.assign(document.createElement('span'), { className: 'visually-hidden', textContent: name }),
        );
    }
    // The page says what is asked: the box shows its number alone, and is called by what it is about.
    const isBare =
        asked.spot?.bare === true ||
        (isRoom(asked.kind) && asked.spot !== null) ||
        (asked.words === '' && asked.spot !== null);
    root.classList.toggle('is-bare', isBare);
    root.classList.toggle('is-tall', (asked.spot?.h ?? 0) >= TALL);
    words.classList.toggle('visually-hidden', isBare);
    legend.append(...(asked.kind === 'space' ? [] : [number, ' ']), words);
    root.append(legend);
    const show =
        asked.kind === 'tick'
            ? tick(root, name, asked, settings)
            : isByHand(asked)
              ? readAs(root)
              : isOnPaper(asked)
                ? () => undefined
                : asked.kind === 'choice' || asked.kind === 'choices'
                  ? choices(root, asked, settings)
                  : asked.kind === 'scale'
                    ? scale(root, asked, settings)
                    : asked.kind === 'state' || asked.kind === 'graph'
                      ? shownByPiece(root, asked, settings)
                      : typed(root, asked, name, settings);
    return { root, show };
}

/** The answer is the piece or the graph on the page: there is nothing to type. */
function shownByPiece(root: HTMLElement, asked: Asked, { words }: FieldSettings): Field['show'] {
    const hint = Object.assign(document.createElement('p'), { className: 'question-hint' });
    hint.textContent =
        asked.kind === 'graph'
            ? words.answer_by_graph
            : fill(words.answer_by_piece, { piece: wordFor(words, `piece_${asked.piece}`) });
    root.append(hint);
    return () => undefined;
}

/** What was written there, as it was read and confirmed. */
function readAs(root: HTMLElement): Field['show'] {
    root.dataset.byHand = '';
    const said = Object.assign(document.createElement('output'), { className: 'question-read', dir: 'auto' });
    root.append(said);
    return (value) => {
        said.textContent = typeof value === 'string' && value !== '' ? `✓ ${value}` : '';
    };
}

/** One box to tick, as large as it is on the sheet. */
function tick(root: HTMLElement, name: string, asked: Asked, settings: FieldSettings): Field['show'] {
    const input = Object.assign(document.createElement('input'), { type: 'checkbox', className: 'question-tick' });
    input.setAttribute('aria-label', asked.words === '' ? name : asked.words);
    input.addEventListener('change', () => settings.answer(input.checked ? 'ticked' : null));
    root.append(input);
    return (value) => {
        input.checked = value === 'ticked';
    };
}

function typed(root: HTMLElement, asked: Asked, name: string, settings: FieldSettings): Field['show'] {
    // A tall box is for several lines of words.
    const isTall = asked.kind === 'text' && (asked.spot?.h ?? 0) >= TALL;
    const input = Object.assign(document.createElement(isTall ? 'textarea' : 'input'), {
        ...(!isTall && { type: 'text' }),
        maxLength: 300,
        autocomplete: 'off',
        className: 'form-control question-typed',
    });
    input.setAttribute('aria-label', asked.words === '' ? name : asked.words);
    input.autocapitalize = 'off';
    input.spellcheck = false;
    input.dir = 'auto';
    root.append(input);
    if (asked.kind !== 'text') {
        root.append(pad(input, settings.words.signs));
    }
    if (asked.mark !== undefined) {
        root.append(marked(asked.mark, settings.words));
        input.readOnly = true;
    }
    if (asked.once === true) {
        return handedIn(root, input, settings);
    }
    let sent = '';
    let timer = 0;
    const send = (): void => {
        window.clearTimeout(timer);
        const value = input.value.trim();
        if (value !== sent) {
            sent = value;
            settings.answer(value === '' ? null : value);
        }
    };
    input.addEventListener('input', () => {
        window.clearTimeout(timer);
        timer = window.setTimeout(send, PAUSE_MS);
    });
    input.addEventListener('change', send);
    input.addEventListener('blur', send);
    input.addEventListener('keydown', (event) => (event as KeyboardEvent).key === 'Enter' && !isTall && send());
    return (value) => {
        const text = typeof value === 'string' ? value : '';
        if (text !== sent && document.activeElement !== input) {
            sent = text;
            input.value = text;
        }
    };
}

/** What is typed counts when it is handed in, by a press or by Enter. */
function handedIn(
    root: HTMLElement,
    input: HTMLInputElement | HTMLTextAreaElement,
    settings: FieldSettings,
): Field['show'] {
    const button = Object.assign(document.createElement('button'), {
        type: 'button',
        className: 'btn btn-sm btn-go question-hand-in',
        textContent: settings.words.hand_in,
    });
    let isIn = false;
    const send = (): void => {
        const value = input.value.trim();
        if (value !== '' && !isIn) {
            isIn = true;
            button.disabled = true;
            input.readOnly = true;
            settings.answer(value);
        }
    };
    button.addEventListener('click', send);
    input.addEventListener('keydown', (event) => (event as KeyboardEvent).key === 'Enter' && send());
    root.append(button);
    return (value) => {
        if (isIn && value === undefined) {
            // It was refused, or taken back: it can be handed in again.
            isIn = false;
            button.disabled = false;
            input.readOnly = false;
        } else if (typeof value === 'string') {
            isIn = true;
            button.disabled = true;
            input.readOnly = true;
            input.value = value;
        }
    };
}

/** Whether an answer is right; of a wrong one what would have been, and how it is worked out. */
function marked({ right, key, steps }: NonNullable<Asked['mark']>, words: BenchWords): HTMLElement {
    const said = Object.assign(document.createElement('p'), { className: 'question-mark' });
    said.classList.toggle('is-right', right);
    const first = document.createElement('b');
    showWords(first, right ? words.mark_right : fill(words.mark_wrong, { key }));
    said.append(first);
    for (const step of steps) {
        const line = Object.assign(document.createElement('span'), { className: 'question-step' });
        showWords(line, step);
        said.append(line);
    }
    return said;
}

/** Signs that a phone's keyboard hides. */
function pad(input: HTMLInputElement | HTMLTextAreaElement, label: string): HTMLElement {
    const row = Object.assign(document.createElement('div'), { className: 'question-signs' });
    row.setAttribute('role', 'group');
    row.setAttribute('aria-label', label);
    // It floats at the foot of what can be seen, above a phone's keyboard: nothing moves when it comes and goes.
    const place = (): void => {
        const { height, offsetTop } = window.visualViewport ?? { height: window.innerHeight, offsetTop: 0 };
        // In the strip at the page's foot it stands on that.
        const isInStrip = row.closest('.answer-strip') !== null;
        row.style.bottom = isInStrip ? '' : `${Math.max(0, window.innerHeight - height - offsetTop) + 8}px`;
    };
    input.addEventListener('focus', () => {
        place();
        window.visualViewport?.addEventListener('resize', place);
        row.classList.add('is-there');
    });
    input.addEventListener('blur', () => {
        window.visualViewport?.removeEventListener('resize', place);
        row.classList.remove('is-there');
    });
    for (const sign of SIGNS) {
        const button = Object.assign(document.createElement('button'), { type: 'button', textContent: sign });
        // The field keeps the focus, and a phone its keyboard.
        button.addEventListener('pointerdown', (event) => event.preventDefault());
        button.addEventListener('click', () => {
            input.focus();
            input.setRangeText(
                sign,
                input.selectionStart ?? input.value.length,
                input.selectionEnd ?? input.value.length,
                'end',
            );
            input.dispatchEvent(new Event('input'));
        });
        row.append(button);
    }
    return row;
}

function choices(root: HTMLElement, asked: Asked, settings: FieldSettings): Field['show'] {
    const several = asked.kind === 'choices';
    const inputs = (asked.options ?? []).map((option, i) => {
        const label = Object.assign(document.createElement('label'), { className: 'question-option' });
        const input = Object.assign(document.createElement('input'), {
            type: several ? 'checkbox' : 'radio',
            name: `q-${asked.id}`,
            value: option.id,
        });
        const words = document.createElement('span');
        words.dir = 'auto';
        showWords(words, option.words);
        label.append(input, words);
        if (option.picture !== undefined) {
            label.append(
                Object.assign(document.createElement('img'), {
                    src: `${settings.assets}/${option.picture}`,
                    alt: option.words === '' ? fill(settings.words.choice, { n: i + 1 }) : '',
                    className: 'question-picture',
                }),
            );
        }
        root.append(label);
        return input;
    });
    const limit = (): void => {
        const isFull = asked.most !== undefined && inputs.filter(({ checked }) => checked).length >= asked.most;
        inputs.forEach((input) => {
            input.disabled = isFull && !input.checked;
        });
    };
    root.addEventListener('change', () => {
        const chosen = inputs.filter(({ checked }) => checked).map(({ value }) => value);
        limit();
        settings.answer(several ? (chosen.length === 0 ? null : chosen) : (chosen[0] ?? null));
    });
    return (value) => {
        inputs.forEach((input) => {
            input.checked = Array.isArray(value) ? value.includes(input.value) : value === input.value;
        });
        limit();
    };
}

function scale(root: HTMLElement, asked: Asked, settings: FieldSettings): Field['show'] {
    const row = Object.assign(document.createElement('div'), { className: 'question-steps' });
    row.append(Object.assign(document.createElement('span'), { textContent: asked.low ?? '' }));
    const inputs: HTMLInputElement[] = [];
    for (let step = present(asked.from); step <= present(asked.to); step++) {
        const label = Object.assign(document.createElement('label'), { className: 'question-option' });
        const input = Object.assign(document.createElement('input'), {
            type: 'radio',
            name: `q-${asked.id}`,
            value: String(step),
        });
        label.append(input, Object.assign(document.createElement('span'), { textContent: String(step) }));
        row.append(label);
        inputs.push(input);
    }
    row.append(Object.assign(document.createElement('span'), { textContent: asked.high ?? '' }));
    root.append(row);
    root.addEventListener('change', () =>
        settings.answer(Number(present(inputs.find(({ checked }) => checked)).value)),
    );
    return (value) =>
        inputs.forEach((input) => {
            input.checked = input.value === String(value ?? '');
        });
}
