import type { PlanWords } from '../protocol/words';
import './plain';
import type { Backdrop } from '../canvas/model/objects';
import { get, HttpProblem, post, reasonOf } from '../live/http';
import { InOrder } from '../live/inorder';
import { Notice } from '../live/notice';
import { askWhich } from '../plan/conflict';
import { listenToHeading, tagsIn } from '../plan/heading';
import { showRefused } from '../plan/refused';
import { element, fill, pageData } from '../page';
import { Drawing } from '../plan/drawing';
import type { Fields, PlanPrompt, PlanState, Question } from '../plan/model';
import { Places } from '../plan/places';
import { showWhoIsHere, whereIAm } from '../plan/here';
import { OtherPlans } from '../plan/others';
import { DrawBoxes } from '../plan/boxes';
import { QuestionList } from '../plan/questions';
import { Rail } from '../plan/rail';
import { Saver } from '../plan/saver';
import { Side } from '../plan/side';
import { TakeIn, type Intake } from '../plan/takein';
import { ValueChips } from '../plan/values';
import { showWords } from '../questions/words';
import { present } from '../present';

interface Page {
    plan: string;
    address: string;
    assets: string;
    stamps: Record<string, string>;
    words: PlanWords;
    /** A PDF that was brought in as this plan, its pages still to be chosen. */
    intake: Intake | null;
    /** A larger file is not sent. */
    mostBytes: number;
}

const LOOK_MS = 3000;
const NOTICE_MS = 8000;

const page = pageData<Page>();
const notice = new Notice('#plan-notice');
const say = (sentence: string): void => notice.say(sentence, undefined, NOTICE_MS);
const prompts = new Map<string, PlanPrompt>();
let sequence: string[] = [];
// Somebody may write here before the server was asked for the first time.
let title = element<HTMLInputElement>('#plan-title').defaultValue;
let tags = tagsIn(element<HTMLInputElement>('#plan-tags').defaultValue);
let known = -1;
let isLoaded = (): void => undefined;
const loaded = new Promise<void>((done) => (isLoaded = done));
let here: PlanState['here'] = [];
let open = '';
/** Steps of drawing that are not delivered yet. */
let steps = 0;

/** Steps back and changes of the order, as they were pressed. */
const order = new InOrder();
const saver = new Saver({
    address: page.address,
    present: (prompt, field) =>
        prompt === null ? { title, tags }[field] : prompts.get(prompt)?.[field as keyof Fields],
    kept: `crag-refused-${page.plan}`,
    saved: take,
    conflict,
    good,
    changed: (waiting, reachable) => {
        sayRefused();
        sayState(waiting, reachable);
    },
});
const drawing = new Drawing({
    ...page,
    say,
    waiting: (count, reachable) => {
        steps = count;
        sayState(saver.isBusy, reachable);
    },
    changed: () => {
        showBackdrop();
        places.show(questions.all);
    },
});
const places = new Places(drawing.bench, {
    ...page,
    placed: (id, spot) => questions.place(id, spot),
    printed: (id, options) => questions.print(id, options),
});
const boxes = new DrawBoxes(drawing.bench, {
    ...page,
    say,
    drawn: (kind, box, to) => questions.addPrinted(to, box) ?? questions.addBox(kind, box),
});
const questions: QuestionList = new QuestionList({
    ...page,
    changed: (all) => {
        set('questions', all);
        places.show(all);
    },
    page: () => drawing.page,
    say,
});
element('#find-gaps').addEventListener('click', () => void findGaps());

/** What is to be filled in on the pages becomes questions there; one step back takes all of them away. */
async function findGaps(): Promise<void> {
    const prompt = open;
    const button = element<HTMLButtonElement>('#find-gaps');
    button.disabled = true;
    try {
        await saver.flush();
        const { gaps, all } = await get<{ gaps: Pick<Question, 'kind' | 'words' | 'spot'>[]; all: number }>(
            `${page.address}/prompt/${prompt}/gaps`,
        );
        if (prompt === open) {
            const added = gaps.length === 0 ? 0 : questions.addGaps(gaps);
            const said = added === 0 ? page.words.gaps_none : fill(page.words.gaps_found, { n: added });
            say(all > gaps.length ? `${said} ${fill(page.words.gaps_left, { n: all - gaps.length })}` : said);
        }
    } catch (problem) {
        say(reasonOf(problem, page.words));
    } finally {
        button.disabled = false;
    }
}

const side: Side = new Side({
    ...page,
    set,
    putUnder: (backdrop) => drawing.putUnder(backdrop),
    say,
    where: () => `${open} ${drawing.page}`,
    refused: (backdrop, message) =>
        message === null
            ? saver.drop(open, backdropField())
            : saver.refuse({ prompt: open, field: backdropField(), to: backdrop, message }),
});
const rail = new Rail({
    ...page,
    open: (prompt) => void show(prompt),
    copy: (prompt) => void add({ copy: prompt }, prompt),
    copyAll: (chosen) =>
        void change(async () => {
            let after = chosen.at(-1) ?? open;
            for (const copy of chosen) {
                after = present(take(await post<PlanState>(`${page.address}/prompts`, { copy, after })).added);
            }
        }),
    removeAll: (chosen) =>
        void change(async () => {
            for (const prompt of chosen) {
                take(await post<PlanState>(`${page.address}/prompt/${prompt}/place`, { after: false }));
            }
            say(fill(page.words.removed_all, { n: chosen.length }));
        }),
    keep: (chosen) =>
        void change(async () => {
            let said = '';
            for (const prompt of chosen) {
                ({ said } = await post<{ said: string }>(`${page.address}/prompt/${prompt}/keep`, {}));
            }
            say(said);
        }),
    takeFrom: (prompt, after) => void takeFrom(prompt, after),
    isRefused: (prompt) => saver.notTaken.some((one) => one.prompt === prompt),
    place: (prompt, after) =>
        void change(async () => {
            const n = sequence.indexOf(prompt) + 1;
            take(await post<PlanState>(`${page.address}/prompt/${prompt}/place`, { after }));
            if (after === false) {
                say(fill(page.words.removed, { n }));
            }
        }),
});
const takeIn = new TakeIn({
    ...page,
    after: () => open,
    sequence: () => sequence,
    arrived: async (before) => {
        // While something is being saved nothing is looked at.
        await saver.flush();
        await look();
        const first = sequence.find((id) => !before.includes(id));
        if (first !== undefined) {
            await show(first);
        }
    },
    say,
});

/**
 * What the server has now. Fields with changes on their way keep what stands here, and an answer that a later one has
 * overtaken is passed over.
 */
function take(state: PlanState): PlanState {
    if (state.n < known) {
        return state;
    }
    known = state.n;
    title = state.title;
    tags = state.tags;
    sequence = state.sequence;
    const redrawn = state.prompts.some(({ id, n }) => id === open && n > (prompts.get(id)?.n ?? 0));
    state.prompts.forEach((prompt) => prompts.set(prompt.id, prompt));
    element<HTMLButtonElement>('#plan-undo').disabled = !state.undo;
    element<HTMLButtonElement>('#plan-redo').disabled = !state.redo;
    showRunning(state.running);
    showOriginal(state.original);
    here = state.here;
    // A prompt that comes back brings along what could not be saved of it.
    sayState(saver.isBusy, true);
    if (!sequence.includes(open)) {
        void show(sequence[0] ?? '');
    } else {
        rail.show(
            sequence.map((id) => present(prompts.get(id))),
            open,
        );
        fillIn();
        if (redrawn && !drawing.isBusy) {
            void drawing.catchUp(open).catch(() => undefined);
        }
    }
    return state;
}

/** A prompt of another plan, or one that was kept, comes into this one. */
const takeFrom = (copy: string, after: string | null): Promise<void> =>
    change(async () => {
        const state = take(await post<PlanState>(`${page.address}/prompts`, { copy, after }));
        await show(present(state.added));
    });

/** The plan as the page opens: asked for until it comes. */
async function firstState(): Promise<PlanState> {
    for (;;) {
        try {
            return await get<PlanState>(`${page.address}/state`);
        } catch {
            sayState(false, false);
            await new Promise((again) => window.setTimeout(again, LOOK_MS));
        }
    }
}

async function look(): Promise<void> {
    const at = new URLSearchParams({ after: String(known), at: whereIAm(open) });
    const state = await get<PlanState>(`${page.address}/state?${at}`);
    if (!saver.isBusy) {
        take(state);
    }
}

async function show(prompt: string): Promise<void> {
    await saver.flush();
    boxes.end();
    open = prompt;
    element('#plan-empty').hidden = prompt !== '';
    element('#plan-prompt').hidden = prompt === '';
    element('#plan-side').hidden = prompt === '';
    rail.show(
        sequence.map((id) => present(prompts.get(id))),
        open,
    );
    if (prompt !== '') {
        element(`#plan-prompts [data-prompt="${prompt}"]`).scrollIntoView({ block: 'nearest' });
        element<HTMLTextAreaElement>('#words').value = present(shown(prompt)).words;
        fillIn();
        await drawing.open(prompt).catch((problem: Error) => say(problem.message));
    }
}

/** The open prompt's fields into the form, but for those in which somebody types. */
function fillIn(): void {
    put('#plan-title', title, null, 'title');
    put('#plan-tags', tags.join(', '), null, 'tags');
    const prompt = shown(open);
    if (prompt === undefined) {
        return;
    }
    put('#words', prompt.words, open, 'words');
    if (!saver.holds(open, 'questions')) {
        questions.show(prompt.questions, open);
        places.show(prompt.questions);
    }
    side.show(prompt);
    sayRefused();
    element('#plan-problems').textContent = prompt.problems.join(' ');
    showWhoIsHere(here, open, page.words);
    values.show();
    values.showDraws(prompt.draws);
    const preview = element('#words-shown');
    preview.hidden = !/[${]/.test(prompt.words);
    showWords(
        preview,
        prompt.words
            .replace(/\{\s*(\p{L})\s*[:=][^{}]*\}/gu, '{$1}')
            .replace(/(?<!\\\w+(?:\{[^{}]*\})?|[_^])\{(\p{L})\}/gu, '$1'),
    );
}

/** A prompt as it stands here: what was refused, or is on its way, is as it was typed. */
function shown(prompt: string): PlanPrompt | undefined {
    const there = prompts.get(prompt);
    return there && { ...there, ...saver.standing(prompt) };
}

/** A backdrop belongs to a page. */
function backdropField(): string {
    return `backdrop ${drawing.page}`;
}

function showBackdrop(): void {
    const typed = saver.notTaken.find((one) => one.prompt === open && one.field === backdropField());
    side.showBackdrop((typed?.to as Backdrop | undefined) ?? drawing.backdrop);
    sayRefused();
}

/** A list without what was refused; a question that was there before stays as it was. */
function good(prompt: string | null, field: string, list: unknown[], refused: number[]): unknown[] {
    const before = field === 'questions' && prompt !== null ? (prompts.get(prompt)?.questions ?? []) : [];
    return list.flatMap((one, i) =>
        refused.includes(i) ? before.filter(({ id }) => id === (one as { id: string }).id) : [one],
    );
}

function sayRefused(): void {
    showRefused({
        words: page.words,
        of: (field) => saver.notTaken.find((one) => one.field === field && (one.prompt ?? open) === open),
        nameOf: (place) => (place === 'backdrop' ? backdropField() : place),
        giveUp: (one) => {
            saver.drop(one.prompt, one.field);
            fillIn();
            showBackdrop();
        },
    });
}

function put(selector: string, value: string, prompt: string | null, field: string): void {
    const input = element<HTMLInputElement>(selector);
    if (document.activeElement !== input && !saver.holds(prompt, field)) {
        input.value = value;
    }
}

function set<F extends keyof Fields>(field: F, value: Fields[F]): void {
    if (open !== '') {
        saver.set(open, field, value);
    }
}

/** Something that changes the order: what waits is saved first, and the list follows the server. */
async function change(what: () => Promise<void>): Promise<void> {
    await order.do(async () => {
        await saver.flush();
        await drawing.deliver();
        try {
            await what();
        } catch (problem) {
            say(problem instanceof HttpProblem && problem.status > 0 ? problem.message : page.words.unreachable);
        }
    });
}

const add = (what: { ready?: string; copy?: string }, after?: string): Promise<void> =>
    change(async () => {
        const focused = document.activeElement;
        // Behind which prompt it comes is known once the plan is here.
        await loaded;
        const behind = after ?? (open === '' ? (sequence[0] ?? '') : open);
        // What is still on its way is copied too.
        await saver.flush();
        const state = await post<PlanState>(`${page.address}/prompts`, {
            ...what,
            after: behind === '' ? null : behind,
        });
        take(state);
        await show(present(state.added));
        // Whoever has gone on to another field meanwhile stays there.
        const isStill = [focused, document.body].includes(document.activeElement);
        if (what.ready === undefined && what.copy === undefined && isStill) {
            element('#words').focus();
        }
    });

async function step(again: boolean): Promise<void> {
    await order.do(async () => {
        await saver.flush();
        try {
            take(await post<PlanState>(`${page.address}/step`, { again }));
            fillIn();
        } catch (problem) {
            say(
                problem instanceof HttpProblem && problem.status === 409
                    ? page.words.changed_since
                    : page.words.unreachable,
            );
        }
    });
}

/** Resolves to whether what was typed here is to stay. */
async function conflict(field: string, theirs: unknown, mine: unknown): Promise<boolean> {
    const isMine = await askWhich(page.words, field, theirs, mine);
    if (!isMine) {
        (document.activeElement as HTMLElement | null)?.blur();
        window.setTimeout(() => void look().then(fillIn));
    }
    return isMine;
}

function showOriginal(changes: string[]): void {
    const bar = element('#plan-original');
    bar.hidden = changes.length === 0;
    element('span', bar).textContent = fill(page.words.original_changed, { changes: changes.join(', ') });
}

function showRunning(running: PlanState['running']): void {
    const bar = element('#plan-running');
    const [session] = running;
    bar.hidden = session?.behind !== true;
    if (session !== undefined) {
        const lacks = session.lacks.join(', ');
        element('span', bar).textContent = [
            fill(page.words.running, { since: session.since, lacks }),
            ...session.warnings,
        ].join(' ');
        const button = element('button', bar);
        button.textContent = page.words.follow;
        button.dataset.session = session.id;
    }
}

function sayState(waiting: boolean, reachable: boolean): void {
    const lost = saver.notTaken.filter(({ prompt }) => prompt === null || sequence.includes(prompt)).length;
    const [state, words] = !reachable
        ? ['offline', steps > 0 ? fill(page.words.offline, { n: steps }) : page.words.unsaved]
        : waiting || steps > 0
          ? ['saving', page.words.saving]
          : lost > 0
            ? ['refused', fill(page.words.not_saved, { n: lost })]
            : ['saved', page.words.saved];
    element('#plan-saved').textContent = words;
    element('#plan-saved').dataset.state = state;
}

const values = new ValueChips({
    ...page,
    changed: () => set('words', element<HTMLTextAreaElement>('#words').value),
    say,
});
element('#words').addEventListener('input', () => set('words', element<HTMLTextAreaElement>('#words').value));
listenToHeading({
    title: () => title,
    set: (field, value, atOnce) => saver.set(null, field, value, atOnce),
    untitled: () => say(page.words.untitled),
});
element('#plan-add').addEventListener('click', () => void add({}));
const others = new OtherPlans({ ...page, take: (prompt) => void takeFrom(prompt, open === '' ? null : open), say });
element('#plan-ready').addEventListener('click', () => {
    void others.showReady();
    element<HTMLDialogElement>('#ready-window').showModal();
});
element('#ready-window').addEventListener('click', (event) => {
    const ready = (event.target as Element).closest<HTMLElement>('[data-ready]')?.dataset.ready;
    if (ready !== undefined) {
        element<HTMLDialogElement>('#ready-window').close();
        void add({ ready });
    }
});
element('#plan-undo').addEventListener('click', () => void step(false));
element('#plan-redo').addEventListener('click', () => void step(true));
element('#plan-running button').addEventListener(
    'click',
    (event) =>
        void change(async () => {
            const { changed } = await post<{ changed: number }>(
                `${page.address}/follow/${(event.target as HTMLElement).dataset.session}`,
                {},
            );
            say(fill(page.words.follows, { n: changed }));
        }),
);
element('#plan-original button').addEventListener(
    'click',
    () =>
        void change(async () => {
            const { changed } = await post<{ changed: number }>(`${page.address}/take-changes`, {});
            await look();
            say(fill(page.words.took_over, { n: changed }));
        }),
);
drawing.bench.view.moved = ((before) => () => {
    before();
    showBackdrop();
})(drawing.bench.view.moved);

await document.fonts.ready;
await drawing.begin();
take(await firstState());
isLoaded();
if (page.intake !== null) {
    void takeIn.ask(page.intake);
}
window.setInterval(
    () => document.visibilityState === 'visible' && !saver.isBusy && void look().catch(() => undefined),
    LOOK_MS,
);
