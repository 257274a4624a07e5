import type { StudentWords } from '../protocol/words';
import type { Counted, QuickAsk, RunForStudent } from '../protocol/asks';
import { questionField, type Field } from '../questions/fields';
import { HttpProblem, post } from '../live/http';
import { InOrder } from '../live/inorder';
import { TimerFace } from '../live/timer';
import { element, fill } from '../page';
import { showWords } from '../questions/words';
import type { AskPad } from './pad';
import type { AnswerValue } from '../canvas/model/objects';

interface Around {
    address: string;
    assets: string;
    words: StudentWords;
    now(): number;
    say(sentence: string): void;
}

/** A quick ask over the student's canvas: answered, folded away, and counted where the teacher shows it. */
export class AskSheet {
    private readonly root = element('#quick-ask');
    private readonly body = element('#quick-ask-body');
    private readonly title = element('#quick-ask-title');
    private readonly heading = this.title.textContent ?? '';
    private readonly state = element('#quick-ask-state');
    private ask: QuickAsk | null = null;
    private field: Field | null = null;
    private worked = '';
    private timer = 0;
    private readonly face: TimerFace;
    private waiting: AnswerValue | null | undefined;
    private readonly order = new InOrder();

    constructor(
        private readonly around: Around,
        private readonly pad: AskPad,
    ) {
        const left = element('#quick-ask-left');
        this.face = new TimerFace(
            around.now,
            (words) => {
                left.hidden = words === null;
                left.textContent = words ?? '';
            },
            () => undefined,
        );
        element('#quick-ask-fold').addEventListener('click', () => this.fold(!this.isFolded));
    }

    take(ask: QuickAsk | null, run: RunForStudent | null): void {
        const before = this.ask;
        const worked = ask === null ? (run?.worked ?? null) : null;
        this.ask = ask;
        this.root.hidden = ask === null && worked === null;
        const team = element('#quick-ask-team');
        team.hidden = run === null || run.team === null;
        team.textContent = fill(this.around.words.ask_team, { team: run?.team ?? '' });
        window.clearTimeout(this.timer);
        this.face.set(
            ask?.isOpen === true && ask.ends !== null ? { ends: ask.ends, left: 0, sound: false, pens: false } : null,
        );
        this.root.classList.toggle('has-pad', ask !== null && ask.pad !== null);
        // Over a drawing the words are the heading: there is no field for them to stand at.
        const words = ask === null || ask.pad === null ? '' : ask.question.words;
        showWords(this.title, words === '' ? this.heading : words);
        if (ask === null) {
            this.field = null;
            this.pad.take(null, false, false);
            this.read(worked);
            return;
        }
        this.worked = '';
        // Words may follow what was asked aloud.
        if (before?.id !== ask.id || before.question.words !== ask.question.words || this.field === null) {
            this.field = questionField(ask.question, ask.n, {
                ...this.around,
                answer: (value) => void this.answer(value),
            });
            this.body.replaceChildren(...this.picture(ask.picture), this.field.root);
            this.waiting = undefined;
            if (before?.id !== ask.id) {
                this.fold(false);
            }
        }
        this.field.show(this.waiting === undefined ? (ask.mine ?? undefined) : (this.waiting ?? undefined));
        if (ask.isOpen && ask.ends !== null) {
            this.timer = window.setTimeout(() => this.show(), Math.max(0, ask.ends - this.around.now()) + 50);
        }
        this.show();
    }

    /** A worked answer between two questions of a run. */
    private read(worked: RunForStudent['worked']): void {
        if (worked !== null && worked.id === this.worked) {
            return;
        }
        this.worked = worked?.id ?? '';
        this.body.replaceChildren();
        this.state.textContent = '';
        element('#quick-ask-tally').hidden = true;
        if (worked !== null) {
            this.title.textContent = this.around.words.worked;
            const words = document.createElement('p');
            words.dir = 'auto';
            words.className = 'quick-ask-worked';
            showWords(words, worked.words);
            this.body.replaceChildren(words, ...this.picture(worked.picture));
            this.fold(false);
        }
    }

    private picture(asset: string): HTMLElement[] {
        return asset === ''
            ? []
            : [
                  Object.assign(document.createElement('img'), {
                      src: `${this.around.assets}/${asset}`,
                      alt: this.around.words.ask_picture,
                      className: 'ask-picture',
                  }),
              ];
    }

    private get isFolded(): boolean {
        return this.root.classList.contains('is-folded');
    }

    private get isOpen(): boolean {
        return this.ask?.isOpen === true && (this.ask.ends === null || this.around.now() < this.ask.ends);
    }

    private show(): void {
        const { ask } = this;
        const { words } = this.around;
        if (ask === null) {
            return;
        }
        this.pad.take(ask, this.isOpen, !this.isFolded);
        this.body.querySelectorAll<HTMLFieldSetElement>('fieldset').forEach((set) => {
            set.disabled = !this.isOpen;
        });
        const said = !this.isOpen
            ? words.ask_closed
            : ask.mine === null && this.waiting === undefined && ask.pad?.isSent !== true
              ? ask.isAnonymous
                  ? words.ask_anonymous
                  : ''
              : words.ask_sent;
        this.state.textContent =
            ask.right === null ? said : `${said} ${fill(words.ask_right, { right: ask.right })}`.trim();
        const tally = element('#quick-ask-tally');
        tally.hidden = ask.tally === null;
        if (ask.tally !== null) {
            tally.replaceChildren(...bars(ask.tally, words));
        }
    }

    private fold(isFolded: boolean): void {
        this.root.classList.toggle('is-folded', isFolded);
        element('#quick-ask-fold').setAttribute('aria-expanded', String(!isFolded));
        if (this.ask !== null) {
            this.pad.take(this.ask, this.isOpen, !isFolded);
        }
    }

    private async answer(value: AnswerValue | null): Promise<void> {
        const { ask } = this;
        if (ask === null) {
            return;
        }
        this.waiting = value;
        try {
            await this.order.do(() => post(`${this.around.address}/ask`, { ask: ask.id, value }));
            if (this.ask?.id === ask.id) {
                this.ask = { ...this.ask, mine: value };
            }
        } catch (problem) {
            this.around.say(
                problem instanceof HttpProblem && problem.status > 0 ? problem.message : this.around.words.unreachable,
            );
        }
        // Another answer may be on its way already, to this ask or to the next.
        if (this.waiting === value) {
            this.waiting = undefined;
        }
        this.show();
    }
}

/** Bars with their counts; nobody is named. */
function bars({ bars: some, middle }: Counted, words: StudentWords): HTMLElement[] {
    const most = Math.max(1, ...some.map(({ count }) => count));
    const list = Object.assign(document.createElement('ol'), { className: 'tally-bars' });
    list.append(
        ...some.map(({ label, count, outcome }) => {
            const item = Object.assign(document.createElement('li'), { className: 'tally-bar' });
            item.dataset.outcome = outcome ?? '';
            const meter = Object.assign(document.createElement('meter'), {
                className: 'tally-meter',
                min: 0,
                max: most,
                value: count,
            });
            meter.setAttribute('aria-label', label);
            item.append(
                Object.assign(document.createElement('span'), {
                    className: 'tally-label',
                    dir: 'auto',
                    textContent: label,
                }),
                meter,
                Object.assign(document.createElement('b'), { className: 'tally-n', textContent: String(count) }),
            );
            return item;
        }),
    );
    return middle === null
        ? [list]
        : [
              list,
              Object.assign(document.createElement('p'), {
                  className: 'form-text',
                  textContent: fill(words.ask_middle, { middle }),
              }),
          ];
}
