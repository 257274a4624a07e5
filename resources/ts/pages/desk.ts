import './plain';
import htmx from 'htmx.org';
import type { Operation, WetInk } from '../canvas/model';
import { Drawer } from '../desk/drawer';
import { HandOutForm } from '../desk/handout';
import { listenToKeys } from '../desk/keys';
import { CloseUp } from '../grid/closeup';
import { Lead } from '../desk/lead';
import { Grid, type Kept } from '../grid/grid';
import type { SeatAnswer, StateAnswer, StateWords, Tile } from '../grid/tile';
import { get, HttpProblem, post } from '../live/http';
import { Socket } from '../live/socket';
import { Streams, type Message } from '../live/streams';
import { element, pageData } from '../page';

interface Page {
    session: string;
    prompt: string;
    address: string;
    assets: string;
    stamps: Record<string, string>;
    words: StateWords & { handout: string; handout_next: string };
}

interface CanvasesAnswer {
    prompt: string;
    position: Record<string, number>;
    seats: SeatAnswer[];
    kept: Record<string, Kept>;
    operations: Operation[];
}

type Tally = Record<string, number>;

const STATES_MS = 3000;

const page = pageData<Page>();
let current = page.prompt;
let looking = page.prompt;
/** How many have started, as the rail says it. */
let started = 0;
let lastOperation = 0;
let loading: Promise<void> | null = null;
/** Operations that came while the page was loading the log. */
let early: Operation[] = [];
const overtaking = new Set<number>();

const closeUp = new CloseUp(page);
const lead = new Lead({ ...page, say });
const grid = new Grid({
    assets: page.assets,
    stamps: page.stamps,
    words: page.words,
    operations: (seat, operations) => closeUp.take(seat, operations),
    short: (tile) => void takeWhole(tile),
    wet: (seat, message) => closeUp.wet(seat, message),
    count: showCounts,
});
const drawer = new Drawer((panel) => {
    if (panel === 'closeup') {
        closeUp.hide();
        grid.tiles.forEach((tile) => tile.root.classList.remove('is-close'));
    }
});

const handOut = new HandOutForm(page.words, () => grid.tiles.size);

const socket = new Socket({
    path: `/live/desk/${page.session}`,
    message: receive,
    catchUp: () => streams.catchUp(),
    state: (connection) => {
        const said = element('#connection');
        said.dataset.state = connection;
        said.textContent = page.words[connection];
        said.hidden = connection === 'live';
    },
});

const streams = new Streams({}, {
    address: `${page.address}/catch-up`,
    also: () => ({ operations: lastOperation }),
    event: takeEvent,
    operations: takeOperations,
    refused: () => location.reload(),
});

function receive(text: string): void {
    const message = JSON.parse(text) as Message | WetInk;
    if ('k' in message) {
        grid.wet(message);
    } else if ('operations' in message) {
        takeOperations(message.operations, false);
    } else if ('event' in message) {
        streams.take(message.stream, message.event);
    }
}

/** Operations are numbered through the session: a number too high means that some are missing. */
function takeOperations(operations: Operation[], caughtUp = false): void {
    if (loading !== null) {
        early.push(...operations);
        return;
    }
    lead.take(operations);
    grid.take(operations);
    operations.forEach(({ s }) => overtaking.add(s!));
    if (caughtUp && operations.length > 0) {
        lastOperation = Math.max(lastOperation, ...operations.map(({ s }) => s!));
    }
    while (overtaking.delete(lastOperation + 1)) {
        lastOperation++;
    }
    overtaking.forEach((s) => s <= lastOperation && overtaking.delete(s));
    if (overtaking.size > 0) {
        streams.askSoon(() => overtaking.size > 0);
    }
}

function takeEvent(stream: string, { type, body }: { type: string; body: Record<string, unknown> }): void {
    if (type === 'seat') {
        const seat = body.seat as Omit<SeatAnswer, 'canvas'>;
        grid.add({ ...seat, canvas: body.prompt === looking ? (body.canvas as string) : null });
        refreshBands();
    } else if (type === 'check') {
        grid.ofCanvas(body.canvas as string)?.showLevel(body.level as number | null);
        closeUp.freshen();
        if (grid.ofCanvas(body.canvas as string) !== undefined) {
            showTally(body.tally as Tally);
        }
    } else if (type === 'prompt') {
        const { id: next, again } = body.prompt as { id: string; again?: boolean };
        const follow = looking === current;
        current = next;
        refreshBands();
        // A prompt that nobody was at yet has no canvases; one that its plan changed may have others.
        const isNew = again === true || [...grid.tiles.values()].some(({ seat }) => seat.canvas === null);
        if (looking === next ? isNew : follow) {
            void look(next);
        }
    } else if (stream === 'room' && type === 'ended') {
        location.href = `${page.address}/ended`;
    } else if (type === 'screen' || type === 'tray') {
        refreshBands();
    }
}

/** Shows a prompt's canvases; where the students are does not change. */
async function look(prompt: string): Promise<void> {
    looking = prompt;
    markRail();
    drawer.panel === 'closeup' && drawer.close();
    loading = (async () => {
        for (;;) {
            try {
                const answer = await get<CanvasesAnswer>(`${page.address}/prompt/${prompt}/canvases`);
                grid.fill(answer.seats, answer.kept, answer.operations);
                streams.reset({ room: answer.position.room, desk: answer.position.desk });
                lastOperation = answer.position.operations;
                overtaking.clear();
                return;
            } catch (problem) {
                if (problem instanceof HttpProblem && problem.status >= 400 && problem.status < 500) {
                    location.reload();
                    return;
                }
                await new Promise((again) => window.setTimeout(again, 1500));
            }
        }
    })();
    await loading;
    loading = null;
    takeOperations(early.splice(0));
    await countStates();
    element('#grid').dataset.ready = prompt;
}

async function countStates(): Promise<void> {
    const asked = looking;
    const answer = await get<{ states: StateAnswer[]; started: number; tally: Tally }>(`${page.address}/prompt/${asked}/states`).catch(() => null);
    if (answer !== null && asked === looking) {
        grid.showStates(answer.states);
        showTally(answer.tally);
        closeUp.freshen();
        if (answer.started !== started) {
            started = answer.started;
            refreshBands();
        }
    }
}

function showCounts(counts: Map<string, number>): void {
    for (const button of document.querySelectorAll<HTMLElement>('#counts [data-filter]')) {
        const n = button.dataset.filter === '' ? grid.tiles.size : (counts.get(button.dataset.filter!) ?? 0);
        element('.count', button).textContent = String(n);
    }
}

function showTally(tally: Tally): void {
    for (const place of document.querySelectorAll<HTMLElement>('#tally > [data-level]')) {
        element('.count', place).textContent = String(tally[place.dataset.level!] ?? 0);
    }
}

function refreshBands(): void {
    void htmx.ajax('get', `${page.address}/bands`, { source: '#bands-sink', target: '#bands-sink', swap: 'none' });
}

function markRail(): void {
    for (const item of document.querySelectorAll<HTMLElement>('#rail [data-prompt]')) {
        item.setAttribute('aria-pressed', String(item.dataset.prompt === looking));
    }
    const elsewhere = document.querySelector<HTMLElement>('#bring-here');
    if (elsewhere !== null) {
        elsewhere.hidden = looking === current;
    }
}

/** The whole log of a canvas, where something older than what its tile has was taken back. */
async function takeWhole(tile: Tile): Promise<void> {
    const answer = await get<{ operations: Operation[] }>(`${page.address}/canvas/${tile.seat.canvas}/log`).catch(() => null);
    if (answer !== null) {
        tile.restart(answer.operations);
        if (closeUp.shown === tile) {
            closeUp.show(tile);
        }
    }
}

function flip(): void {
    if (lead.isOpen) {
        lead.close();
    } else {
        void tell(lead.open(looking));
    }
}

function openCloseUp(tile: Tile, focus = true): void {
    grid.tiles.forEach((one) => one.root.classList.toggle('is-close', one === tile));
    drawer.open('closeup', focus);
    closeUp.show(tile);
}

function check(tile: Tile, level: number | null): void {
    if (tile.seat.canvas === null) {
        return;
    }
    tile.showLevel(level);
    closeUp.freshen();
    void tell(post<{ tally: Tally }>(`${page.address}/checks`, { canvas: tile.seat.canvas, level }).then(({ tally }) => showTally(tally)), countStates);
}

function show(tile: Tile, named = false): void {
    if (tile.seat.canvas !== null) {
        void tell(post(`${page.address}/showcase`, { canvas: tile.seat.canvas, named, page: closeUp.pageOf(tile) }));
    }
}

/** A request whose failure is said, and after which the page puts itself right. */
async function tell(request: Promise<unknown>, mend?: () => Promise<void>): Promise<void> {
    try {
        await request;
    } catch (problem) {
        say(problem instanceof HttpProblem && problem.status > 0 ? problem.message : page.words.unreachable);
        await mend?.();
    }
}

function say(sentence: string): void {
    const notice = element('#desk-notice');
    notice.textContent = sentence;
    notice.hidden = false;
    window.setTimeout(() => {
        notice.hidden = true;
    }, 7000);
}

function openHandOut(): void {
    drawer.open('handout', false);
    handOut.show();
}

/** What a button with `data-do` does, by name. */
const actions: Record<string, (button: HTMLElement) => void> = {
    'close-up': (button) => openCloseUp(grid.tiles.get(button.closest<HTMLElement>('.tile')!.dataset.seat!)!),
    'hand-out': openHandOut,
    join: () => drawer.open('door'),
    keys: () => drawer.open('keys'),
    tools: () => drawer.open('tools'),
    lead: flip,
    show: () => closeUp.shown !== null && show(closeUp.shown),
    'show-named': () => closeUp.shown !== null && show(closeUp.shown, true),
    next: () => step('ArrowRight'),
    previous: () => step('ArrowLeft'),
    check: (button) => closeUp.shown !== null && check(closeUp.shown, button.dataset.level === '' ? null : Number(button.dataset.level)),
    strata: (button) => openStrata(button),
    level: (button) => {
        const tile = grid.tiles.get(strata.dataset.seat!);
        closeStrata();
        tile && check(tile, button.dataset.level === '' ? null : Number(button.dataset.level));
        tile?.focus();
    },
    look: (button) => void look(button.dataset.prompt!),
    bring: () => void tell(post(`${page.address}/prompt/${looking}/go`, {})),
    filter: (button) => {
        grid.filterBy(button.dataset.filter!);
        document.querySelectorAll('#counts [data-filter]').forEach((one) => one.setAttribute('aria-pressed', String(one === button)));
    },
};

const strata = element('#strata-menu');

function openStrata(button: HTMLElement): void {
    const seat = button.closest<HTMLElement>('.tile')!.dataset.seat!;
    const box = button.getBoundingClientRect();
    strata.dataset.seat = seat;
    strata.hidden = false;
    strata.style.left = `${Math.min(box.left, window.innerWidth - strata.offsetWidth - 8)}px`;
    strata.style.top = `${Math.max(8, box.top - strata.offsetHeight - 4)}px`;
    element('button', strata).focus();
}

function closeStrata(): void {
    strata.hidden = true;
}

function step(key: string): void {
    const next = grid.beside(closeUp.shown ?? undefined, key);
    if (next !== undefined) {
        openCloseUp(next, false);
    }
}

document.addEventListener('click', (event) => {
    const button = (event.target as Element).closest<HTMLElement>('[data-do]');
    if (!strata.hidden && button?.dataset.do !== 'strata' && (event.target as Element).closest('#strata-menu') === null) {
        closeStrata();
    }
    if (button !== null) {
        actions[button.dataset.do!]?.(button);
    }
});
element<HTMLSelectElement>('#sort').addEventListener('change', (event) => grid.sortBy((event.target as HTMLSelectElement).value));
element<HTMLInputElement>('#size').addEventListener('input', (event) => grid.resize(Number((event.target as HTMLInputElement).value)));
document.addEventListener('htmx:oobAfterSwap', () => {
    document.body.classList.toggle('names-hidden', element('#now').dataset.names === 'hidden');
    markRail();
});
document.body.addEventListener('crag:handed-out', () => {
    handOut.handedOut();
    drawer.close();
});
document.addEventListener('crag:problem', (event) => {
    const told = (event as CustomEvent<string>).detail;
    if (drawer.panel === 'handout') {
        handOut.say(told);
    } else if (drawer.panel === 'tools') {
        element('#tools-problem').textContent = told;
    } else {
        say(told);
    }
});

listenToKeys(grid, {
    tile: () => closeUp.shown ?? grid.focused,
    look: (tile) => (closeUp.shown === null ? tile.focus() : openCloseUp(tile, false)),
    check,
    show: (tile) => show(tile),
    handOut: openHandOut,
    flip,
    names: () => element('#names').click(),
    keys: () => drawer.open('keys'),
    escape: () => (strata.hidden ? drawer.close() : closeStrata()),
});

await document.fonts.ready;
await look(looking);
socket.open();
window.setInterval(() => void countStates(), STATES_MS);
