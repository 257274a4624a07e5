import { HttpProblem, post, reasonOf, sendFile } from '../../live/http';
import { TimerFace } from '../../live/timer';
import { clearSent, element, fill } from '../../page';
import type { Chosen } from '../watch/chosen';
import type { Desk } from '../shell/desk';
import { present } from '../../present';
import { askedAtOnce, askedByForm, recalled, remember, type Asked } from './kinds';
import { listenToRuns } from './run';
import { freshen } from '../shell/freshen';

/** The ask before the class: App\Sessions\Asks\Asking::underWay. */
interface UnderWay {
    ends: number | null;
    run: string | null;
    at: number;
    looked: boolean;
    /** When its run takes the next step by itself. */
    steps: number | null;
}

/** Answers that come together are counted together. */
const WAIT_MS = 400;

/** The quick ask's panel: what is asked and how it counts; the server writes the tally. */
export class AskPanel {
    private readonly form = document.querySelector<HTMLFormElement>('#ask-form');
    private timer = 0;
    private ending = 0;
    private moving = 0;
    private isArmed = false;
    /** What is being asked, so that a button pressed twice asks once. */
    private asking = '';
    private readonly face: TimerFace;

    constructor(
        private readonly desk: Desk,
        private readonly chosen: Chosen,
    ) {
        const { actions, bus } = desk;
        const open = (): void => this.open();
        const step = (): void => void desk.run(`${desk.address}/ask-step`, {}).then(() => this.refresh(0));
        bus.on('written', () => this.follow());
        // Another is before the class: what stands here would stop, or show, the one before.
        bus.on('ask', () => this.refresh(0));
        bus.on('answered', () => this.refresh());
        bus.on('done', (what) => what === 'ask' && this.refresh(0));
        actions.add(
            {
                ask: open,
                'ask-step': step,
                'ask-now': ({ dataset: { kind = '' } }) => void this.askNow(kind),
            },
            { ask: open, 'ask-step': step },
        );
        listenToRuns(desk);
        this.listenForTheSecondKey();
        this.recall();
        this.face = new TimerFace(
            desk.now,
            (words) => {
                element('#ask-left').textContent = words ?? '';
            },
            () => undefined,
        );
        this.form?.addEventListener('input', () => this.showFields());
        this.form?.addEventListener('submit', (event) => {
            event.preventDefault();
            // Enter in the words asks as it was asked last; the button asks what was set up above it.
            const isOwn = element<HTMLDetailsElement>('#ask-own').open;
            void (isOwn ? this.ask(askedByForm((name) => this.value(name))) : this.askNow(recalled().kind ?? 'abcd'));
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
                void freshen(`${this.desk.address}/ask`, '#ask-body');
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
        if (under !== null && under.run !== null && under.steps !== null && this.form !== null) {
            const { run, at, looked } = under;
            this.moving = window.setTimeout(
                () => void post(`${this.desk.address}/run/${run}/next`, { at, looked }).catch(() => this.refresh()),
                Math.max(0, under.steps - this.desk.now()),
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
        element('#ask-picture').hidden = this.value('pad') !== 'picture';
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

    /** On what is drawn. */
    private async base(): Promise<Record<string, unknown>> {
        const pad = this.value('pad');
        if (pad === 'lead-part') {
            return { pad, ...(await this.desk.leadPart()) };
        }
        if (pad !== 'picture') {
            return { pad };
        }
        const file = element<HTMLInputElement>('#ask-picture input').files?.[0];
        if (file === undefined) {
            throw new HttpProblem(422, this.desk.words.picture_first);
        }
        const { objects } = await sendFile<{ objects: { object: { asset?: string } }[] }>(
            `${this.desk.address}/bring-in`,
            file,
        );
        return { pad, picture: objects[0]?.object.asset ?? '' };
    }

    private async askNow(kind: string): Promise<void> {
        if (this.form !== null) {
            await this.ask(askedAtOnce(kind, this.value('words'), this.desk.words), kind);
        }
    }

    private async ask(question: Asked, kind = ''): Promise<void> {
        const asking = JSON.stringify(question);
        if (asking === this.asking) {
            return;
        }
        this.asking = asking;
        const chosen = this.chosen.tiles.map(({ seat }) => seat.id);
        const seconds = this.value('seconds');
        const words = element<HTMLInputElement>('#ask-words');
        const written = words.value;
        element('#ask-problem').textContent = '';
        try {
            const body = async (): Promise<unknown> => ({
                question,
                seconds: seconds === '' ? null : Number(seconds),
                anonymous: this.value('anonymous') === '1',
                screen: this.value('screen') === '1',
                ...(kind === 'drawing' ? await this.base() : {}),
                seats: chosen.length > 0 && this.value('chosen') === '1' ? chosen : null,
            });
            const { drawings } = await this.desk.commands.inOrder(async () =>
                post<{ drawings: string | null }>(`${this.desk.address}/asks`, await body()),
            );
            remember({
                ...(kind !== '' && { kind }),
                seconds,
                anonymous: this.value('anonymous') === '1',
                screen: this.value('screen') === '1',
            });
            if (drawings !== null) {
                this.desk.bands.refresh();
                // They are seen as they are drawn.
                this.desk.bus.tell('wanted', drawings);
            }
            clearSent(words, written);
            if (words.value === '') {
                element<HTMLDetailsElement>('#ask-own').open = false;
            }
            // The answers come in at the top.
            element('#ask').scrollIntoView({ block: 'start' });
            this.refresh(0);
        } catch (problem) {
            element('#ask-problem').textContent = reasonOf(problem, this.desk.words);
        } finally {
            if (this.asking === asking) {
                this.asking = '';
            }
        }
    }
}
