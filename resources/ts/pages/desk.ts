import './plain';
import type { Operation, WetInk } from '../canvas/model';
import { Bands, WaitingList } from '../desk/bands';
import { Commands, listenToCancels, Notice, openWindow } from '../desk/commands';
import { Drawer } from '../desk/drawer';
import { deskEvents, type Tally } from '../desk/events';
import { HandOutForm } from '../desk/handout';
import { listenToKeys } from '../desk/keys';
import { Lead } from '../desk/lead';
import { RoomDesk } from '../desk/room';
import { StrataMenu } from '../desk/strata';
import { CloseUp } from '../grid/closeup';
import { Grid, type Kept } from '../grid/grid';
import type { SeatAnswer, StateAnswer, StateWords, Tile } from '../grid/tile';
import { get, HttpProblem, post } from '../live/http';
import { Socket } from '../live/socket';
import { Streams, type Message } from '../live/streams';
import { element, pageData } from '../page';
import type { Room } from '../student/state';
import htmx from 'htmx.org';

interface Page {
    session: string;
    prompt: string;
    /** The teacher of this desk, to tell the own deeds from a colleague's. */
    me: string;
    role: string;
    /** The server's clock as the page was made. */
    clock: number;
    address: string;
    assets: string;
    stamps: Record<string, string>;
    words: StateWords & { handout: string; handout_next: string };
}

interface CanvasesAnswer {
    prompt: string;
    covered: boolean;
    position: Record<string, number>;
    seats: SeatAnswer[];
    kept: Record<string, Kept>;
    operations: Operation[];
}

const STATES_MS = 3000;

const page = pageData<Page>();
/** Where the students are, what the teacher looks at, whose messages are open, and whether work is hidden until it is revealed. */
const at = { current: page.prompt, looking: page.prompt, talked: '', isCovered: false };
/** How many have started, as the rail says it. */
let started = 0;
let lastOperation = 0;
let loading: Promise<void> | null = null;
/** Operations that came while the page was loading the log. */
let early: Operation[] = [];
const overtaking = new Set<number>();

/** Milliseconds that the server's clock is ahead of this device's. */
const ahead = page.clock - Date.now();

const notice = new Notice();
const say = (sentence: string): void => notice.say(sentence);
const bands = new Bands(`${page.address}/bands`, () => {
    document.body.dataset.names = element('#now').dataset.names;
    lead.showSeen(room.read().lead);
    markRail();
    waiting.listen();
    sayStates();
    void followCover();
});
const waiting = new WaitingList(page.words);
const commands = new Commands(notice, {
    words: page.words,
    then: (what) => {
        what === 'talk' && at.talked !== '' && openTalk(at.talked, false);
        bands.refresh();
    },
    mend: () => bands.refresh(),
});
const run = (address: string, body: unknown): Promise<boolean> => commands.run(address, body);
const closeUp = new CloseUp(page);
const lead = new Lead({ ...page, say, mayDraw: page.role === 'colleague', run, send: (text) => socket.send(text) });
const room = new RoomDesk({ words: page.words, address: page.address, now: () => Date.now() + ahead, run, say });
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
    at.talked = panel === 'talk' ? '' : at.talked;
});

const handOut = new HandOutForm({
    words: page.words,
    prompt: () => at.looking,
    leadPage: () => lead.page,
    done: (sentence, undo) => {
        drawer.close();
        sentence !== '' && notice.say(sentence, undo && { word: page.words.undo, press: () => void run(undo.address, undo.body) });
        bands.refresh();
    },
});

const socket: Socket = new Socket({
    path: () => `/live/desk/${page.session}`,
    message: receive,
    catchUp: () => streams.catchUp(),
    state: (connection) => {
        const said = element('#connection');
        said.dataset.state = connection;
        said.textContent = page.words[connection];
        said.hidden = connection === 'live';
    },
});

const events = deskEvents({
    me: page.me, address: page.address, words: page.words, grid, closeUp, drawer, bands, notice, at,
    look, openTalk, takeWhole, takeRoom, countStates, showTally, run,
});

const streams: Streams = new Streams({}, {
    address: `${page.address}/catch-up`,
    also: () => ({ operations: lastOperation }),
    event: takeEvent,
    operations: takeOperations,
    refused: () => location.reload(),
});

function receive(text: string): void {
    const message = JSON.parse(text) as Message | WetInk;
    if ('k' in message) {
        at.isCovered || grid.wet(message);
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
    // Covered work comes whole when it is revealed.
    at.isCovered || grid.take(operations);
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
    if (type !== 'ended' || stream === 'room') {
        events[type]?.(body);
    }
}

function takeRoom(now: Room): void {
    room.take(now);
    lead.showSeen(now.lead);
    bands.refresh();
}

/** Whether work is covered follows the settings. */
async function followCover(): Promise<void> {
    const item = document.querySelector<HTMLElement>(`#rail [data-prompt="${at.looking}"]`);
    if (item !== null && (item.dataset.covered === '1') !== at.isCovered && loading === null) {
        await look(at.looking);
    }
}

/** Shows a prompt's canvases; where the students are does not change. */
async function look(prompt: string): Promise<void> {
    at.looking = prompt;
    markRail();
    drawer.panel === 'closeup' && drawer.close();
    loading = (async () => {
        for (;;) {
            try {
                const answer = await get<CanvasesAnswer>(`${page.address}/prompt/${prompt}/canvases`);
                at.isCovered = answer.covered;
                document.body.classList.toggle('is-covered', at.isCovered);
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
    const asked = at.looking;
    const answer = await get<{ states: StateAnswer[]; started: number; tally: Tally }>(`${page.address}/prompt/${asked}/states`).catch(() => null);
    if (answer !== null && asked === at.looking) {
        grid.showStates(answer.states);
        sayStates();
        showTally(answer.tally);
        closeUp.freshen();
        if (answer.started !== started) {
            started = answer.started;
            bands.refresh();
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

function markRail(): void {
    for (const item of document.querySelectorAll<HTMLElement>('#rail [data-prompt]')) {
        item.setAttribute('aria-pressed', String(item.dataset.prompt === at.looking));
    }
    for (const actions of document.querySelectorAll<HTMLElement>('#rail [data-actions]')) {
        actions.hidden = actions.dataset.actions !== at.looking;
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
        void tell(lead.open(at.looking));
    }
}

function openCloseUp(tile: Tile, focus = true): void {
    if (at.isCovered) {
        say(page.words.covered);
        return;
    }
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

function show(tile: Tile): void {
    if (tile.seat.canvas !== null) {
        void tell(post(`${page.address}/showcase`, { canvas: tile.seat.canvas, page: closeUp.pageOf(tile) }));
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

function openHandOut(seat?: string): void {
    drawer.open('handout', false);
    handOut.show(seat);
}

/** One student: what was written, and what can be done. */
function openTalk(seat: string, focus = true): void {
    at.talked = seat;
    drawer.panel === 'talk' || drawer.open('talk', false);
    void htmx.ajax('get', `${page.address}/student/${seat}`, { source: '#talk-body', target: '#talk-body', swap: 'innerHTML' }).then(() => {
        const field = document.querySelector<HTMLElement>('#talk-words');
        focus && field?.focus();
    });
}

function gather(prompt: string): void {
    void run(`${page.address}/prompt/${prompt}/gather`, {});
}

/** What a button with `data-do` does, by name. */
const actions: Record<string, (button: HTMLElement) => void> = {
    'close-up': (button) => openCloseUp(grid.tiles.get(button.closest<HTMLElement>('.tile')!.dataset.seat!)!),
    'open-seat': (button) => grid.tiles.has(button.dataset.seat!) && openCloseUp(grid.tiles.get(button.dataset.seat!)!),
    'hand-out': () => openHandOut(),
    'hand-out-one': () => closeUp.shown !== null && openHandOut(closeUp.shown.seat.id),
    talk: (button) => openTalk(button.dataset.seat!),
    'talk-closeup': () => closeUp.shown !== null && openTalk(closeUp.shown.seat.id),
    door: () => openDoor(),
    keys: () => drawer.open('keys'),
    tools: () => drawer.open('tools'),
    settings: () => drawer.open('settings'),
    timer: () => drawer.open('timing'),
    pens: () => room.togglePens(),
    names: () => room.nextNames(),
    'set-timer': (button) => room.setTimer(Number(button.dataset.seconds)),
    'pause-timer': () => room.pauseTimer(),
    'big-code': () => element<HTMLDialogElement>('#big-code').showModal(),
    'add-prompt': () => element<HTMLDialogElement>('#add-prompt').showModal(),
    rename: (button) => openWindow('rename', button.dataset),
    'turn-away': (button) => openWindow('turn-away', button.dataset),
    'send-out': (button) => openWindow('send-out', button.dataset),
    gather: (button) => gather(button.dataset.prompt!),
    lead: flip,
    show: () => closeUp.shown !== null && show(closeUp.shown),
    next: () => step('ArrowRight'),
    previous: () => step('ArrowLeft'),
    check: (button) => closeUp.shown !== null && check(closeUp.shown, button.dataset.level === '' ? null : Number(button.dataset.level)),
    strata: (button) => strata.open(button),
    level: (button) => {
        const tile = grid.tiles.get(strata.seat);
        strata.close();
        tile && check(tile, button.dataset.level === '' ? null : Number(button.dataset.level));
        tile?.focus();
    },
    look: (button) => void look(button.dataset.prompt!),
    filter: (button) => {
        grid.filterBy(button.dataset.filter!);
        document.querySelectorAll('#counts [data-filter]').forEach((one) => one.setAttribute('aria-pressed', String(one === button)));
    },
};

const strata = new StrataMenu();

function openDoor(): void {
    drawer.open('door');
    sayStates();
}

/** The list of seats says each student's state as the grid has it. */
function sayStates(): void {
    grid.tiles.forEach((tile, seat) => {
        const place = document.querySelector<HTMLElement>(`[data-state-of="${seat}"]`);
        if (place !== null) {
            place.textContent = element('.tile-state-words', tile.root).textContent;
        }
    });
}

function step(key: string): void {
    const next = grid.beside(closeUp.shown ?? undefined, key);
    if (next !== undefined) {
        openCloseUp(next, false);
    }
}

document.addEventListener('click', (event) => {
    const button = (event.target as Element).closest<HTMLElement>('[data-do]');
    strata.pressedOutside(event.target as Element);
    if (button !== null && !button.matches(':disabled')) {
        button.closest<HTMLDetailsElement>('details.menu-details')?.removeAttribute('open');
        actions[button.dataset.do!]?.(button);
    }
});
listenToCancels();
element<HTMLSelectElement>('#sort').addEventListener('change', (event) => grid.sortBy((event.target as HTMLSelectElement).value));
element<HTMLInputElement>('#size').addEventListener('input', (event) => grid.resize(Number((event.target as HTMLInputElement).value)));
document.body.addEventListener('crag:handed-out', () => drawer.close());
document.addEventListener('crag:problem', (event) => {
    const told = (event as CustomEvent<string>).detail;
    if (drawer.panel === 'tools') {
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
    handOut: () => openHandOut(),
    flip,
    names: () => room.nextNames(),
    pens: () => room.togglePens(),
    timer: () => drawer.open('timing'),
    gather: () => gather(at.looking),
    door: () => openDoor(),
    talk: (tile) => openTalk(tile.seat.id),
    keys: () => drawer.open('keys'),
    escape: () => (strata.isOpen ? strata.close() : drawer.close()),
});

await document.fonts.ready;
await look(at.looking);
socket.open();
window.setInterval(() => void countStates(), STATES_MS);
