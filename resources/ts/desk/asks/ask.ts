import htmx from 'htmx.org';
import type { Grid } from '../../grid/grid';
import { get, post, reasonOf } from '../../live/http';
import { TimerFace } from '../../live/timer';
import { element, fill } from '../../page';
import type { Chosen } from '../watch/chosen';
import type { Desk } from '../shell/desk';
import { present } from '../../present';

/** The ask before the class: App\Sessions\Asks\Asking::underWay. */
interface UnderWay {
    ends: number | null;
    run: string | null;
    at: number;
    auto: boolean;
    /** The answers to one ask of a run stand for so long before the next one comes. */
    pause: number;
}

/** How it was asked last, on this device. */
const REMEMBERED = 'crag-ask';

interface Remembered {
    kind?: string;
    seconds?: string;
    anonymous?: boolean;
    screen?: boolean;
}

function recalled(): Remembered {
    return JSON.parse(localStorage.getItem(REMEMBERED) ?? '{}') as Remembered;
}

/** Answers that come together are counted together. */
const WAIT_MS = 400;

/** The quick ask's panel: what is asked and how it counts; the server writes the tally. */
export class AskPanel {
    private readonly form = document.querySelector<HTMLFormElement>('#ask-form');
    private timer = 0;
    private ending = 0;
    private moving = 0;
    private choosing = 0;
    private choices: Record<string, string> = {};
    private isArmed = false;
    private isAsking = false;
    private readonly face: TimerFace;

    /** Puts back what stood in the run form before the panel was freshened. */
    private keep: () => void = () => undefined;

    constructor(
        private readonly desk: Desk,
        private readonly chosen: Chosen,
        private readonly grid: Grid,
    ) {
        const { actions, bus } = desk;
        const open = (): void => this.open();
        const step = (): void => void desk.run(`${desk.address}/ask-step`, {}).then(() => this.refresh(0));
        bus.on('written', () => this.follow());
        bus.on('ask', () => this.changed());
        bus.on('answered', () => this.changed());
        bus.on('tiles', () => this.showChoices());
        bus.on('done', (what) => what === 'ask' && this.refresh(0));
        actions.add(
            {
                ask: open,
                'ask-step': step,
                'ask-now': ({ dataset: { kind = '' } }) => void this.askNow(kind),
            },
            { ask: open, 'ask-step': step },
        );
        this.listenForTheSecondKey();
        this.recall();
        void this.takeChoices();
        this.face = new TimerFace(
            desk.now,
            (words) => {
                element('#ask-left').textContent = words ?? '';
            },
            () => undefined,
        );
        document.addEventListener('htmx:beforeSwap', (event) => {
            if ((event.target as Element).id === 'ask-body') {
                this.keep = typedRun();
            }
        });
        this.form?.addEventListener('input', () => this.showFields());
        this.form?.addEventListener('submit', (event) => {
            event.preventDefault();
            // Enter in the words asks as it was asked last; the button asks what was set up above it.
            const isOwn = element<HTMLDetailsElement>('#ask-own').open;
            void (isOwn ? this.ask(this.question()) : this.askNow(recalled().kind ?? 'abcd'));
        });
    }

    private open(): void {
        this.desk.drawer.open('ask');
        this.isArmed = true;
        this.showFields();
        this.refresh(0);
    }

    /** Something about asks has changed. */
    private refresh(wait = WAIT_MS): void {
        if (this.desk.drawer.panel === 'ask' && this.timer === 0) {
            this.timer = window.setTimeout(() => {
                this.timer = 0;
                void htmx
                    .ajax('get', `${this.desk.address}/ask`, {
                        source: '#ask-body',
                        target: '#ask-body',
                        swap: 'innerHTML',
                    })
                    .then(() => {
                        this.keep();
                    });
            }, wait);
        }
    }

    /** What is before the class, as the now band says: the panel may be closed. */
    follow(): void {
        const under = JSON.parse(element('#now').dataset.ask ?? 'null') as UnderWay | null;
        this.face.set(
            typeof under?.ends !== 'number' ? null : { ends: under.ends, left: 0, sound: false, pens: false },
        );
        window.clearTimeout(this.ending);
        window.clearTimeout(this.moving);
        if (typeof under?.ends === 'number') {
            this.ending = window.setTimeout(() => this.refresh(), Math.max(0, under.ends - this.desk.now()) + 100);
        }
        if (under !== null && under.run !== null && under.auto && this.form !== null) {
            const wait = (under.ends === null ? 0 : Math.max(0, under.ends - this.desk.now())) + under.pause;
            this.moving = window.setTimeout(
                () =>
                    void post(`${this.desk.address}/run/${under.run}/next`, { at: under.at }).catch(() =>
                        this.refresh(),
                    ),
                wait,
            );
        }
    }

    private value(name: string): string {
        return String(new FormData(present(this.form)).get(name) ?? '');
    }

    private showFields(): void {
        if (this.form === null) {
            return;
        }
        const kind = this.value('kind');
        for (const part of this.form.querySelectorAll<HTMLElement>('[data-ask-for]')) {
            part.hidden = !present(part.dataset.askFor).split(' ').includes(kind);
        }
        const n = this.chosen.tiles.length;
        const chosen = element('#ask-chosen', this.form);
        chosen.hidden = n === 0;
        element('span', chosen).textContent = fill(this.desk.words.ask_chosen, { n });
    }

    /** A, then one key more: the panel is open and nothing in it has been touched yet. */
    private listenForTheSecondKey(): void {
        window.addEventListener(
            'keydown',
            (event) => {
                const isArmed = this.isArmed && this.desk.drawer.panel === 'ask';
                this.isArmed = false;
                const isTyping = (event.target as Element).matches('input, textarea, select');
                if (!isArmed || isTyping || event.ctrlKey || event.metaKey || event.altKey) {
                    return;
                }
                const kind = this.form?.querySelector<HTMLElement>(`[data-key="${event.key.toLowerCase()}"]`)?.dataset
                    .kind;
                if (kind !== undefined) {
                    event.preventDefault();
                    event.stopPropagation();
                    void this.askNow(kind);
                }
            },
            true,
        );
        document.addEventListener('pointerdown', () => {
            this.isArmed = false;
        });
    }

    /** How it was asked last is how it is asked next. */
    private recall(): void {
        const { seconds, anonymous, screen } = recalled();
        if (this.form !== null && seconds !== undefined) {
            element<HTMLSelectElement>('[name=seconds]', this.form).value = seconds;
            element<HTMLInputElement>('[name=anonymous]', this.form).checked = anonymous === true;
            const onScreen = this.form.querySelector<HTMLInputElement>('[name=screen]');
            if (onScreen !== null) {
                onScreen.checked = screen === true;
            }
        }
    }

    private changed(): void {
        this.refresh();
        if (this.choosing === 0) {
            this.choosing = window.setTimeout(() => {
                this.choosing = 0;
                void this.takeChoices();
            }, WAIT_MS);
        }
    }

    /** What each chose stands on their tiles while it is asked. */
    private async takeChoices(): Promise<void> {
        const { choices } = await get<{ choices: Record<string, string> }>(`${this.desk.address}/ask-choices`).catch(
            () => ({ choices: this.choices }),
        );
        this.choices = choices;
        this.showChoices();
    }

    private showChoices(): void {
        this.grid.tiles.forEach((tile, seat) => tile.showChoice(this.choices[seat] ?? ''));
    }

    /** One of the kinds that need nothing but a press. */
    private async askNow(kind: string): Promise<void> {
        if (this.form === null) {
            return;
        }
        const words = this.value('words');
        const { ask_yes, ask_no, ask_unsure } = this.desk.words;
        const choice = (...options: string[]): Record<string, unknown> => ({
            kind: 'choice',
            words,
            options: options.map((one, i) => ({ id: `o${i + 1}`, words: one })),
            right: [],
            shuffle: false,
        });
        const questions: Record<string, Record<string, unknown>> = {
            abcd: choice('A', 'B', 'C', 'D'),
            yesno: choice(ask_yes, ask_no, ask_unsure),
            number: { kind: 'number', words, right: '' },
            text: { kind: 'text', words, right: [] },
            scale: { kind: 'scale', words, from: 1, to: 5, low: '', high: '' },
            sure: this.sure(words),
            drawing: { kind: 'text', words, right: [] },
        };
        await this.ask(present(questions[kind]), kind);
    }

    private async ask(question: Record<string, unknown>, kind = ''): Promise<void> {
        if (this.isAsking) {
            return;
        }
        this.isAsking = true;
        const chosen = this.chosen.tiles.map(({ seat }) => seat.id);
        const seconds = this.value('seconds');
        element('#ask-problem').textContent = '';
        try {
            const { drawings } = await post<{ drawings: string | null }>(`${this.desk.address}/asks`, {
                question,
                seconds: seconds === '' ? null : Number(seconds),
                anonymous: this.value('anonymous') === '1',
                screen: this.value('screen') === '1',
                pad: kind === 'drawing' ? this.value('pad') : null,
                seats: chosen.length > 0 && this.value('chosen') === '1' ? chosen : null,
            });
            localStorage.setItem(
                REMEMBERED,
                JSON.stringify({
                    ...recalled(),
                    ...(kind !== '' && { kind }),
                    seconds,
                    anonymous: this.value('anonymous') === '1',
                    screen: this.value('screen') === '1',
                }),
            );
            if (drawings !== null) {
                this.desk.bands.refresh();
                // They are seen as they are drawn.
                this.desk.bus.tell('wanted', drawings);
            }
            element<HTMLInputElement>('#ask-words').value = '';
            element<HTMLDetailsElement>('#ask-own').open = false;
            // The answers come in at the top.
            element('#ask').scrollIntoView({ block: 'start' });
            this.refresh(0);
        } catch (problem) {
            element('#ask-problem').textContent = reasonOf(problem, this.desk.words);
        } finally {
            this.isAsking = false;
        }
    }

    private sure(words: string): Record<string, unknown> {
        const { ask_sure, ask_guessed, ask_certain } = this.desk.words;
        return {
            kind: 'scale',
            words: words === '' ? ask_sure : words,
            from: 1,
            to: 4,
            low: ask_guessed,
            high: ask_certain,
        };
    }

    /** As the core reads it. */
    private question(): Record<string, unknown> {
        const words = this.value('words');
        const right = this.value('right').trim();
        switch (this.value('kind')) {
            case 'choice':
            case 'choices': {
                const lines = this.value('options')
                    .split('\n')
                    .map((line) => line.trim())
                    .filter((line) => line !== '');
                const options = lines.map((line, i) => ({ id: `o${i + 1}`, words: line.replace(/^\*\s*/, '') }));
                return {
                    kind: this.value('kind'),
                    words,
                    options,
                    right: options.filter((_, i) => present(lines[i]).startsWith('*')).map(({ id }) => id),
                    shuffle: false,
                };
            }
            case 'text':
                return { kind: 'text', words, right: right === '' ? [] : [right] };
            default:
                return { kind: this.value('kind'), words, right };
        }
    }
}

/** What is being typed here outlives the panel's freshening: the open fold, its fields, and where the hand is. */
function typedRun(): () => void {
    const TYPED = '#ask-run[open] textarea, #ask-run[open] input, .ask-add-words input';
    const isOpen = document.querySelector('#ask-run[open]') !== null;
    const { activeElement } = document;
    const fields = [...document.querySelectorAll<HTMLInputElement>(TYPED)].map((field) => ({
        name: field.name,
        value: field.value,
        checked: field.checked,
        isFocused: field === activeElement,
    }));
    return () => {
        const run = document.querySelector<HTMLDetailsElement>('#ask-run');
        if (run !== null && isOpen) {
            run.open = true;
        }
        for (const { name, value, checked, isFocused } of fields) {
            const field = [...document.querySelectorAll<HTMLInputElement>(TYPED)].find((one) => one.name === name);
            if (field !== undefined) {
                Object.assign(field, { value, checked });
                if (isFocused) {
                    field.focus();
                }
            }
        }
    };
}
