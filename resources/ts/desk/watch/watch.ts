import type { Grid } from '../../grid/grid';
import { element, fill } from '../../page';
import { wordFor } from '../../protocol/wordfor';
import type { Desk } from '../shell/desk';
import type { Chosen } from './chosen';
import { WhoWrote } from './whowrote';
import type { AnswerGroup, Noticed, WatchAnswer } from '../../protocol/desk';
import { present } from '../../present';

const MOST_GROUPS = 24;
const MOST_NAMES = 2;

/** In place of a question's id: what pieces show that nothing was asked about. */
const PIECES = 'pieces';

/** What is worth a look, and which answers are equal. */
export class Watch {
    private answers: AnswerGroup[] = [];
    private drawn = '';
    private heard = new Set<string>();
    private signals: Noticed[] = [];
    private readonly whoWrote: WhoWrote;

    constructor(
        private readonly desk: Desk,
        private readonly grid: Grid,
        chosen: Chosen,
    ) {
        desk.bus.on('states', (answer) => this.take(answer));
        desk.bus.on('renamed', () => this.showSignals(this.signals));
        desk.actions.add({ 'choose-answer': (button) => chosen.choose(this.groupOf(button)?.seats ?? []) });
        this.whoWrote = new WhoWrote(desk, grid, chosen);
        const line = element('#answer-groups');
        line.addEventListener('pointerover', (event) => this.light(this.groupOf(event.target as Element)));
        line.addEventListener('pointerleave', () => this.light(undefined));
        line.addEventListener('focusin', (event) => this.light(this.groupOf(event.target as Element)));
        line.addEventListener('focusout', () => this.light(undefined));
    }

    private take({ answers, asksPieces, signals, knocking }: WatchAnswer): void {
        const all = asksPieces ? answers : [...answers, ...this.shown()];
        this.whoWrote.take(all);
        this.showAnswers(all);
        this.showSignals(signals);
        const button = element('#count-knocking');
        button.hidden = knocking === 0;
        element('.count', button).textContent = String(knocking);
    }

    /** Why one student is worth a look. */
    reasons(seat: string): string {
        return this.signals
            .filter((one) => one.seat === seat)
            .map(({ reason }) => reason)
            .join(' · ');
    }

    /** What pieces show, equal ones together, the most frequent first: read off the canvases that are here. */
    private shown(): AnswerGroup[] {
        const seats = new Map<string, string[]>();
        this.grid.tiles.forEach((tile, seat) => {
            const says = tile.pieceSays;
            if (says !== '') {
                seats.set(says, [...(seats.get(says) ?? []), seat]);
            }
        });
        return [...seats]
            .sort(([, a], [, b]) => b.length - a.length)
            .map(([written, some]) => ({ question: PIECES, n: 0, written, outcome: null, seats: some, otherwise: {} }));
    }

    private groupOf(target: Element): AnswerGroup | undefined {
        const at = target.closest<HTMLElement>('[data-answer]')?.dataset.answer;
        return at === undefined ? undefined : this.answers[Number(at)];
    }

    private light(group: AnswerGroup | undefined): void {
        this.grid.tiles.forEach((tile, seat) =>
            tile.root.classList.toggle('is-alike', group?.seats.includes(seat) === true),
        );
    }

    private showAnswers(answers: AnswerGroup[]): void {
        const now = JSON.stringify(answers);
        if (now === this.drawn && this.grid.tiles.size > 0) {
            this.markTiles();
            return;
        }
        this.drawn = now;
        this.answers = answers;
        const questions = [...new Map(answers.map(({ question, n }) => [question, n]))].sort(([, a], [, b]) => a - b);
        const line = element('#answer-groups');
        const focused = (document.activeElement as HTMLElement | null)?.dataset.key;
        line.hidden = answers.length === 0;
        line.replaceChildren(
            ...questions.flatMap(([question, n]) => [
                ...(questions.length > 1
                    ? [
                          Object.assign(document.createElement('b'), {
                              textContent: fill(this.desk.words.question_n, { n }),
                              className: 'answer-question',
                          }),
                      ]
                    : []),
                ...answers
                    .map((group, i) => [group, i] as const)
                    .filter(([group]) => group.question === question)
                    .slice(0, MOST_GROUPS)
                    .map(([group, i]) => this.chip(group, i)),
            ]),
        );
        if (answers.some(({ outcome }) => outcome !== null)) {
            line.append(this.proposal());
        }
        if (focused !== undefined) {
            [...line.querySelectorAll<HTMLElement>('[data-key]')]
                .find(({ dataset }) => dataset.key === focused)
                ?.focus();
        }
        this.markTiles();
        this.grid.showAnswers(answers.length > 0);
    }

    private chip({ question, written, outcome, seats }: AnswerGroup, i: number): HTMLElement {
        const chip = Object.assign(document.createElement('button'), { type: 'button', className: 'answer-chip' });
        const [before = '', after = ''] = this.desk.words.answers_say.replace(':n', '').split(':answer');
        const answer = Object.assign(document.createElement('b'), { textContent: written, dir: 'auto' });
        chip.append(
            Object.assign(document.createElement('b'), { className: 'answer-n', textContent: String(seats.length) }),
            before,
            answer,
            after,
        );
        if (outcome !== null) {
            chip.append(
                Object.assign(document.createElement('span'), {
                    className: 'answer-outcome',
                    textContent: wordFor(this.desk.words, `outcome_${outcome}`),
                }),
            );
        }
        Object.assign(chip.dataset, {
            do: 'choose-answer',
            answer: String(i),
            outcome: outcome ?? '',
            key: `${question} ${written}`,
        });
        return chip;
    }

    /** What the answers would say of everybody, to be accepted. */
    private proposal(): HTMLElement {
        const button = Object.assign(document.createElement('button'), {
            type: 'button',
            className: 'chip chip-quiet',
            textContent: this.desk.words.propose,
        });
        Object.assign(button.dataset, { do: 'propose-answers', key: 'propose' });
        return button;
    }

    /** On each tile what its student says to the first question that is answered. */
    private markTiles(): void {
        const said = new Map<string, AnswerGroup>();
        this.answers.forEach((group) => group.seats.forEach((seat) => said.has(seat) || said.set(seat, group)));
        this.grid.tiles.forEach((tile, seat) =>
            tile.showAnswer(
                said.get(seat)?.otherwise[seat] ?? said.get(seat)?.written ?? '',
                said.get(seat)?.outcome ?? null,
            ),
        );
    }

    private showSignals(signals: Noticed[]): void {
        const known = signals.filter(({ seat }) => this.grid.tiles.has(seat));
        this.signals = known;
        const together = gathered(known);
        const list = element('#signals ul');
        element('#signals').hidden = known.length === 0;
        const there = new Map(
            [...list.children].map((item) => [present((item as HTMLElement).dataset.key), item as HTMLElement]),
        );
        const wanted = together.map((some) => {
            const one = present(some[0]);
            const key = `${one.signal} ${some.map(({ seat }) => seat).join(' ')}`;
            const item = there.get(key) ?? this.item(some);
            item.dataset.key = key;
            element('.signal-name', item).textContent = this.named(some);
            const reason = element('.signal-reason', item);
            if (reason.textContent !== one.reason) {
                reason.textContent = one.reason;
            }
            return item;
        });
        if (wanted.some((item, i) => list.children[i] !== item) || list.children.length !== wanted.length) {
            const focused = document.activeElement as HTMLElement | null;
            list.replaceChildren(...wanted);
            if (focused !== null && focused.closest('#signals') !== null) {
                focused.focus();
            }
        }
        const marks = new Map(known.flatMap((one) => (one.mark === null ? [] : [[one.seat, one] as const])));
        this.grid.tiles.forEach((tile, seat) => tile.showSignal(this.reasons(seat), marks.get(seat)));
        this.sayNew(known);
    }

    /** The first few by name. */
    private named(some: Noticed[]): string {
        const names = some
            .slice(0, MOST_NAMES)
            .map(({ seat }) => present(this.grid.tiles.get(seat)).nameShown)
            .join(', ');
        return some.length > MOST_NAMES
            ? fill(this.desk.words.and_others, { names, n: some.length - MOST_NAMES })
            : names;
    }

    private item(some: Noticed[]): HTMLElement {
        const item = document.createElement('li');
        const button = Object.assign(document.createElement('button'), { type: 'button', className: 'signal' });
        const seats = some.map(({ seat }) => seat).join(' ');
        Object.assign(button.dataset, {
            do: some.length > 1 ? 'choose-seats' : 'open-seat',
            seat: seats,
            signal: present(some[0]).signal,
        });
        button.append(
            Object.assign(document.createElement('b'), { className: 'signal-name', dir: 'auto' }),
            Object.assign(document.createElement('span'), { className: 'signal-reason', dir: 'auto' }),
        );
        item.append(button);
        return item;
    }

    /** Says to those who hear the page what has come to be worth a look. */
    private sayNew(signals: Noticed[]): void {
        const fresh = signals.filter(({ signal, seat }) => !this.heard.has(`${signal} ${seat}`));
        this.heard = new Set(signals.map(({ signal, seat }) => `${signal} ${seat}`));
        if (fresh.length > 0) {
            element('#desk-heard').textContent = fresh
                .map(({ seat, reason }) =>
                    fill(this.desk.words.signal, { name: present(this.grid.tiles.get(seat)).nameShown, reason }),
                )
                .join('. ');
        }
    }
}

/** Those of whom the same is said stand together. */
function gathered(signals: Noticed[]): Noticed[][] {
    const groups = new Map<string, Noticed[]>();
    for (const one of signals) {
        const key = `${one.signal} ${one.reason}`;
        groups.set(key, [...(groups.get(key) ?? []), one]);
    }
    return [...groups.values()];
}
