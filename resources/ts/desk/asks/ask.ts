import htmx from 'htmx.org';
import { post, reasonOf } from '../../live/http';
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

/** Answers that come together are counted together. */
const WAIT_MS = 400;

/** The quick ask's panel: what is asked and how it counts; the server writes the tally. */
export class AskPanel {
    private readonly form = document.querySelector<HTMLFormElement>('#ask-form');
    private timer = 0;
    private ending = 0;
    private moving = 0;
    private readonly face: TimerFace;

    /** Puts back what stood in the run form before the panel was freshened. */
    private keep: () => void = () => undefined;

    constructor(
        private readonly desk: Desk,
        private readonly chosen: Chosen,
    ) {
        const { actions, bus } = desk;
        const open = (): void => this.open();
        bus.on('written', () => this.follow());
        bus.on('ask', () => this.refresh());
        bus.on('answered', () => this.refresh());
        bus.on('done', (what) => what === 'ask' && this.refresh(0));
        actions.add({ ask: open }, { ask: open });
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
            void this.ask();
        });
    }

    private open(): void {
        this.desk.drawer.open('ask');
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

    private async ask(): Promise<void> {
        const chosen = this.chosen.tiles.map(({ seat }) => seat.id);
        const seconds = this.value('seconds');
        element('#ask-problem').textContent = '';
        try {
            await post(`${this.desk.address}/asks`, {
                question: this.question(),
                seconds: seconds === '' ? null : Number(seconds),
                anonymous: this.value('anonymous') === '1',
                seats: chosen.length > 0 && this.value('chosen') === '1' ? chosen : null,
            });
            this.refresh(0);
        } catch (problem) {
            element('#ask-problem').textContent = reasonOf(problem, this.desk.words);
        }
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
            case 'scale':
                return { kind: 'scale', words, from: 1, to: 5, low: '', high: '' };
            case 'sure':
                return {
                    kind: 'scale',
                    words: words === '' ? this.desk.words.ask_sure : words,
                    from: 1,
                    to: 4,
                    low: this.desk.words.ask_guessed,
                    high: this.desk.words.ask_certain,
                };
            case 'text':
                return { kind: 'text', words, right: right === '' ? [] : [right] };
            default:
                return { kind: this.value('kind'), words, right };
        }
    }
}

/** What is being typed for a run outlives the panel's freshening: the open fold, its fields, and where the hand is. */
function typedRun(): () => void {
    const run = document.querySelector<HTMLDetailsElement>('#ask-run[open]');
    const fields = [...(run?.querySelectorAll<HTMLInputElement>('textarea, input') ?? [])].map(
        ({ name, value, checked }) => ({ name, value, checked }),
    );
    const focused =
        run?.contains(document.activeElement) === true ? (document.activeElement as HTMLInputElement).name : '';
    return () => {
        const now = document.querySelector<HTMLDetailsElement>('#ask-run');
        if (run === null || now === null) {
            return;
        }
        now.open = true;
        fields.forEach(({ name, value, checked }) => {
            const field = now.querySelector<HTMLInputElement>(`[name="${name}"]`);
            if (field !== null) {
                Object.assign(field, { value, checked });
            }
        });
        if (focused !== '') {
            now.querySelector<HTMLElement>(`[name="${focused}"]`)?.focus();
        }
    };
}
