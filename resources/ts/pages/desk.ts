import './plain';
import type { Operation, WetInk } from '../canvas/model';
import { mountWindow } from '../bench/window';
import { Bands, WaitingList } from '../desk/bands';
import { CloseUp } from '../desk/closeup';
import { Commands, listenToCancels, Notice, openWindow } from '../desk/commands';
import { Compare } from '../desk/compare';
import { Drawer } from '../desk/drawer';
import { deskEvents, type Tally } from '../desk/events';
import { HandOutForm } from '../desk/handout';
import { listenToKeys } from '../desk/keys';
import { Lead } from '../desk/lead';
import { PickWindow } from '../desk/pick';
import { RoomDesk } from '../desk/room';
import { Some } from '../desk/some';
import { StrataMenu } from '../desk/strata';
import { Watch, type WatchAnswer } from '../desk/watch';
import { Chosen } from '../grid/chosen';
import { Grid, type Kept } from '../grid/grid';
import type { PagesShown, SeatAnswer, StateWords, Tile } from '../grid/tile';
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
    /** In which coach ink and private notes begin. */
    colours: Record<'coach' | 'private', string>;
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
/** How often it is looked whether somebody has fallen silent. */
const SILENCE_MS = 1000;
/** By how much a key makes tiles larger or smaller, in pixels. */
const TILE_STEP = 40;
/** States that are counted only while there are any. */
const RARE = new Set(['hand_up', 'sent', 'elsewhere', 'covered']);

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
const closeUp: CloseUp = new CloseUp({ ...page, say, run, reasons: (seat) => watch.reasons(seat) });
const compare = new Compare({ ...page, say });
const lead = new Lead({ ...page, say, mayDraw: page.role === 'colleague', run, send: (text) => socket.send(text) });
const room = new RoomDesk({ words: page.words, address: page.address, now: () => Date.now() + ahead, run, say });
const grid = new Grid({
    assets: page.assets,
    stamps: page.stamps,
    words: page.words,
    short: (tile) => void takeWhole(tile),
    wet: (seat, message) => {
        closeUp.wet(seat, message);
        compare.wet(seat, message);
    },
    count: showCounts,
    arranged: showArranged,
});
const watch = new Watch(grid, page.words);
const chosen = new Chosen(grid, page.words);
const some = new Some({
    address: page.address,
    words: page.words,
    notice,
    run,
    problem: (problem) => {
        tellProblem(problem);
        void countStates();
    },
    tiles: meant,
    checked: (tally) => {
        tally !== null && showTally(tally);
        closeUp.freshen();
    },
    pageOf: (tile) => closeUp.pageOf(tile),
    withNotes: () => closeUp.isOpen && closeUp.withNotes,
});
const pick = new PickWindow(grid, { address: page.address, words: page.words, run, problem: tellProblem, open: (tile) => openCloseUp(tile) });
const drawer = new Drawer((panel) => {
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
        connection === 'live' || grid.forgetSilence();
    },
});

const events = deskEvents({
    me: page.me, address: page.address, words: page.words, grid, closeUp, bands, notice, at,
    look, openTalk, takeWhole, takeRoom, countStates, showTally, run, closeCloseUp,
    changed: () => chosen.show(),
    heardPick: (which, seat) => pick.hear(which, seat),
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
    if (!at.isCovered) {
        grid.take(operations);
        closeUp.take(operations);
        compare.take(operations);
    }
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
    closeEverything();
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
    const { silent } = grid;
    const answer = await get<WatchAnswer>(`${page.address}/prompt/${asked}/states${silent.length === 0 ? '' : `?silent=${silent.join(',')}`}`).catch(() => null);
    if (answer !== null && asked === at.looking) {
        grid.showStates(answer.states);
        watch.take(answer);
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
        button.hidden = RARE.has(button.dataset.filter!) && n === 0 && button.getAttribute('aria-pressed') !== 'true';
    }
}

/** Whether the order has changed meanwhile, and how many pages there are to choose from. */
function showArranged(isStale: boolean, mostPages: number): void {
    element('#order-again').hidden = !isStale;
    const select = element<HTMLSelectElement>('#pages-shown');
    while (select.options.length - 2 < mostPages) {
        select.add(new Option(String(select.options.length - 1), String(select.options.length - 2)));
    }
    while (select.options.length - 2 > mostPages) {
        select.remove(select.options.length - 1);
    }
    select.closest('label')!.hidden = mostPages === 1;
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
    }
}

function flip(): void {
    if (lead.isOpen) {
        lead.close();
    } else {
        closeEverything();
        void tell(lead.open(at.looking));
    }
}

function openCloseUp(tile: Tile, focus = true): void {
    if (at.isCovered) {
        say(page.words.covered);
        return;
    }
    if (tile.seat.canvas === null) {
        say(page.words.no_canvas);
        return;
    }
    lead.isOpen && lead.close();
    grid.tiles.forEach((one) => one.root.classList.toggle('is-close', one === tile));
    void tell(closeUp.show(tile, focus));
    // Messages stand beside the canvas of the one who writes.
    drawer.panel === 'talk' ? openTalk(tile.seat.id, false) : drawer.close();
}

function closeCloseUp(): void {
    const tile = closeUp.shown;
    closeUp.hide();
    grid.tiles.forEach((one) => one.root.classList.remove('is-close'));
    tile?.focus();
}

/** Back to the grid alone. */
function closeEverything(): void {
    compare.isOpen && compare.close();
    closeUp.isOpen && closeCloseUp();
}

/** The canvases that a key or a button means: the one in the close-up, those that are chosen, or the one that has the focus. */
function meant(): Tile[] {
    if (closeUp.shown !== null) {
        return [closeUp.shown];
    }
    return chosen.isEmpty ? [grid.focused].filter((tile) => tile !== undefined) : chosen.tiles;
}

function openCompare(): void {
    const { shown } = closeUp;
    if (shown !== null) {
        void closeUp.use('look').then(() => compare.open([[shown, closeUp.lookedAt], [shown]]));
    } else {
        void compare.open(chosen.tiles.map((tile) => [tile]));
    }
}

function shield(): void {
    const isUp = document.body.classList.toggle('is-shielded');
    element('#shield').hidden = !isUp;
    element('#shield-button').setAttribute('aria-pressed', String(isUp));
    say(isUp ? page.words.shielded : page.words.unshielded);
}

function filterBy(state: string): void {
    grid.filterBy(state);
    document.querySelectorAll<HTMLElement>('#counts [data-filter]').forEach((one) => one.setAttribute('aria-pressed', String(one.dataset.filter === state)));
    chosen.show();
}

function resize(by: number): void {
    const slider = element<HTMLInputElement>('#size');
    const width = grid.visible()[0]?.root.offsetWidth ?? Number(slider.value);
    slider.value = String(Math.min(Number(slider.value), width) + by);
    grid.resize(Number(slider.value));
}

function show(tile: Tile): void {
    if (tile.seat.canvas !== null) {
        void tell(post(`${page.address}/showcase`, { canvas: tile.seat.canvas, page: closeUp.pageOf(tile) }));
    }
}

/** A request whose failure is said. */
async function tell(request: Promise<unknown>): Promise<void> {
    try {
        await request;
    } catch (problem) {
        tellProblem(problem);
    }
}

function tellProblem(problem: unknown): void {
    say(problem instanceof HttpProblem && problem.status > 0 ? problem.message : page.words.unreachable);
}

/** To those who are chosen, where some are; otherwise as it was left. */
function openHandOut(): void {
    drawer.open('handout', false);
    handOut.show(closeUp.shown !== null || !chosen.isEmpty ? meant().map(({ seat }) => seat.id) : []);
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

const tileOf = (button: HTMLElement): Tile => grid.tiles.get(button.closest<HTMLElement>('.tile')!.dataset.seat!)!;
const levelOf = (button: HTMLElement): number | null => (button.dataset.level === '' ? null : Number(button.dataset.level));
const emptyOne = mountWindow('#empty-one', (how) => {
    const { shown } = closeUp;
    how === 'empty' && shown !== null && void run(`${page.address}/prompt/${at.looking}/hand-out`, { what: 'prompt', mode: 'fresh', seats: [shown.seat.id] });
});

/** What a button with `data-do` does, by name. */
const actions: Record<string, (button: HTMLElement, event: MouseEvent) => void> = {
    'close-up': (button, event) => pressTile(tileOf(button), event),
    choose: (button, event) => (event.shiftKey ? chosen.upTo(tileOf(button)) : chosen.toggle(tileOf(button))),
    'choose-none': () => chosen.choose([]),
    'choose-answer': (button) => chosen.choose(watch.groupOf(button)?.seats ?? []),
    'choose-seats': (button) => chosen.choose(button.dataset.seat!.split(' ')),
    'open-seat': (button) => grid.tiles.has(button.dataset.seat!) && openCloseUp(grid.tiles.get(button.dataset.seat!)!),
    'close-closeup': () => closeCloseUp(),
    'close-compare': () => compare.close(),
    compare: () => openCompare(),
    replay: () => closeUp.replay(),
    'last-look': () => closeUp.lastLook(),
    'line-up': () => some.lineUp(),
    'copy-to-lead': () => closeUp.shown !== null && void run(`${page.address}/canvas/${closeUp.shown.seat.canvas}/copy-to-lead`, { page: closeUp.pageOf(closeUp.shown) }),
    'empty-one': () => emptyOne.showModal(),
    'send-out-one': () => closeUp.shown !== null && openWindow('send-out', { seat: closeUp.shown.seat.id, name: closeUp.shown.nameShown }),
    'check-chosen': (button) => void some.check(levelOf(button)),
    'pens-chosen': () => some.pensDown(),
    'write-chosen': () => write(),
    'give-back-chosen': () => some.giveBack(),
    pick: () => pickSomebody(),
    shield: () => shield(),
    'order-again': () => grid.orderAgain(),
    'hand-out': () => openHandOut(),
    'hand-out-one': () => openHandOut(),
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
    check: (button) => closeUp.shown !== null && void some.check(levelOf(button), [closeUp.shown]),
    strata: (button) => strata.open(button),
    level: (button) => {
        const tile = grid.tiles.get(strata.seat);
        strata.close();
        tile && void some.check(levelOf(button), [tile]);
        tile?.focus();
    },
    look: (button) => void look(button.dataset.prompt!),
    filter: (button) => filterBy(button.dataset.filter!),
};

/** A tile opens; with Ctrl it is chosen, with Shift all up to it. */
function pressTile(tile: Tile, event: MouseEvent): void {
    if (event.ctrlKey || event.metaKey) {
        chosen.toggle(tile);
    } else if (event.shiftKey) {
        chosen.upTo(tile);
    } else {
        openCloseUp(tile);
    }
}

function pickSomebody(): void {
    void pick.draw(chosen.tiles.length > 1 ? chosen.tiles.map(({ seat }) => seat.id) : null);
}

function write(): void {
    const [only, ...others] = meant();
    if (others.length > 0) {
        some.write();
    } else if (only !== undefined) {
        openTalk(only.seat.id);
    }
}

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
        actions[button.dataset.do!]?.(button, event);
    }
});
listenToCancels();
element<HTMLSelectElement>('#sort').addEventListener('change', (event) => grid.sortBy((event.target as HTMLSelectElement).value));
element<HTMLSelectElement>('#pages-shown').addEventListener('change', (event) => {
    const { value } = event.target as HTMLSelectElement;
    grid.showPages(value === 'theirs' || value === 'all' ? value : (Number(value) as PagesShown));
});
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
    hasTiles: () => meant().length > 0,
    look: (tile, choose) => {
        if (closeUp.shown !== null) {
            compare.isOpen || openCloseUp(tile, false);
            return;
        }
        if (choose) {
            grid.focused && chosen.startAt(grid.focused);
            chosen.upTo(tile);
        }
        tile.focus();
    },
    choose: (tile) => chosen.toggle(tile),
    chooseAll: () => chosen.choose(grid.visible().map(({ seat }) => seat.id)),
    check: (level) => void some.check(level),
    letter: {
        s: () => some.lineUp(),
        h: () => openHandOut(),
        f: flip,
        n: () => room.nextNames(),
        p: () => (closeUp.shown === null && !chosen.isEmpty ? some.pensDown() : room.togglePens()),
        t: () => drawer.open('timing'),
        g: () => gather(at.looking),
        d: () => openDoor(),
        w: () => write(),
        k: () => pickSomebody(),
        b: () => shield(),
        v: () => openCompare(),
        c: () => void closeUp.use('coach'),
        o: () => void closeUp.use('private'),
        r: () => closeUp.replay(),
        l: () => closeUp.isOpen && closeUp.lastLook(),
        '+': () => resize(TILE_STEP),
        '=': () => resize(TILE_STEP),
        '-': () => resize(-TILE_STEP),
        '?': () => drawer.open('keys'),
    },
    escape,
});

/** Closes what was opened last; with nothing open, nothing is chosen any more. */
function escape(): void {
    if (strata.isOpen) {
        strata.close();
    } else if (drawer.panel !== '') {
        drawer.close();
    } else if (compare.isOpen) {
        compare.close();
    } else if (closeUp.isReplaying) {
        closeUp.stopReplay();
    } else if (closeUp.isDrawing) {
        void closeUp.use('look');
    } else if (closeUp.isOpen) {
        closeCloseUp();
    } else if (!chosen.isEmpty) {
        chosen.choose([]);
    }
}

await document.fonts.ready;
await look(at.looking);
socket.open();
window.setInterval(() => void countStates(), STATES_MS);
let silentBefore = '';
window.setInterval(() => {
    const silent = grid.silent.join(',');
    silent === silentBefore || void countStates();
    silentBefore = silent;
}, SILENCE_MS);
