import type { Room } from '../protocol/room';
import './plain';
import type { Operation } from '../canvas/model/objects';
import { Bands, WaitingList } from '../desk/shell/bands';
import { listenToDesk } from '../desk/shell/actions';
import { AskPanel } from '../desk/asks/ask';
import { CloseUp } from '../desk/watch/closeup';
import { Commands, listenToCancels, Notice } from '../desk/shell/commands';
import { Compare } from '../desk/watch/compare';
import { Drawer } from '../desk/shell/drawer';
import { markRail, showArranged, showCounts, showTally } from '../desk/watch/counts';
import { deskEvents } from '../desk/shell/events';
import { HandOutForm } from '../desk/work/handout';
import { Lead } from '../desk/work/lead';
import { Overlays } from '../desk/shell/overlays';
import { LineUpBar } from '../desk/show/lineup';
import { ClassPicture } from '../desk/checks/picture';
import { PickWindow } from '../desk/watch/pick';
import { RoomDesk } from '../desk/room/room';
import { CanvasActions } from '../desk/watch/canvasactions';
import { StrataMenu } from '../desk/checks/strata';
import { Talking } from '../desk/show/talking';
import { Watch, type WatchAnswer } from '../desk/watch/watch';
import { Chosen } from '../grid/chosen';
import { Freshness } from '../desk/shell/freshness';
import { Grid, type Kept } from '../grid/grid';
import type { PagesShown, SeatAnswer, StateWords, Tile } from '../grid/tile';
import { get, HttpProblem } from '../live/http';
import { InkLine } from '../live/inkline';
import { Socket } from '../live/socket';
import { Streams, type Message } from '../live/streams';
import { element, pageData } from '../page';

interface Page {
    session: string;
    prompt: string;
    /** The teacher of this desk, to tell the own deeds from a colleague's. */
    me: string;
    /** Why this teacher cannot do it; null where they may. */
    may: Record<'lead', string | null>;
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
/** A page that was turned away from for so long leaves the ink. */
const UNSEEN_MS = 3000;
/** So long after the grid the small class screen is opened. */
const SMALL_SCREEN_MS = 1500;

const page = pageData<Page>();
/**
 * Where the students are, what the teacher looks at, whose messages are open, and whether work is hidden until it is
 * revealed.
 */
const at = { current: page.prompt, looking: page.prompt, talked: '', isCovered: false };
/** How many have started, as the rail says it. */
let started = 0;
let lastOperation = 0;
let loading: Promise<void> | null = null;
/** Operations that came while the page was loading the log. */
const early: Operation[] = [];
const overtaking = new Set<number>();

/** Milliseconds that the server's clock is ahead of this device's. */
const ahead = page.clock - Date.now();

const notice = new Notice();
const say = (sentence: string): void => notice.say(sentence);
const bands = new Bands(`${page.address}/bands`, () => {
    room.showNames();
    room.showSettings();
    ask.follow();
    lead.showSeen(room.read().lead);
    markRail(at.looking);
    waiting.listen();
    sayStates();
    void followCover();
});
const waiting = new WaitingList(page.words);
const commands = new Commands(notice, {
    words: page.words,
    then: (what) => {
        if (what === 'ask') {
            ask.refresh(0);
        }
        if (what === 'talk' && at.talked !== '') {
            opened.talk(at.talked, false);
        }
        if (what === 'offers') {
            opened.freshenOffers();
        }
        if (what === 'phrases') {
            closeUp.side.showAnswers();
        }
        bands.refresh();
    },
    mend: () => bands.refresh(),
});
commands.leaveInOrder();
const run = (address: string, body: unknown): Promise<boolean> => commands.run(address, body);
const closeUp: CloseUp = new CloseUp({ ...page, say, run, reasons: (seat) => watch.reasons(seat) });
const compare = new Compare({ ...page, say });
const lead = new Lead({ ...page, say, mayDraw: page.may.lead === null, run, send: (text) => leading.send(text) });
const talking = new Talking({ ...page, say, run, send: (text) => leading.send(text) });
const room = new RoomDesk({
    words: page.words,
    address: page.address,
    now: () => Date.now() + ahead,
    run,
    say,
    inOrder: (address, body) => commands.inOrder(address, body),
    renamed: () => {
        grid.renamed();
        watch.renamed();
    },
    refresh: () => bands.refresh(),
});
const grid = new Grid({
    assets: page.assets,
    stamps: page.stamps,
    words: page.words,
    short: (tile) => void takeWhole(tile),
    wet: (seat, message) => {
        closeUp.wet(seat, message);
        compare.wet(seat, message);
    },
    count: (counts) => showCounts(counts, grid.tiles.size),
    arranged: showArranged,
});
const watch = new Watch(grid, page.words);
const freshness = new Freshness(element('#stale'), page.words.stale);
const chosen = new Chosen(grid, page.words);
const some = new CanvasActions({
    address: page.address,
    words: page.words,
    notice,
    run,
    problem: (problem) => {
        opened.problem(problem);
        void countStates();
    },
    tiles: () => opened.meant,
    checked: (tally) => {
        if (tally !== null) {
            showTally(tally);
        }
        closeUp.freshen();
    },
    pageOf: (tile) => closeUp.pageOf(tile),
    withNotes: () => closeUp.isOpen && closeUp.withNotes,
    isStrata: () => strata.isStrata,
});
const pick = new PickWindow(grid, {
    address: page.address,
    words: page.words,
    run,
    problem: (problem) => opened.problem(problem),
    open: (tile) => opened.closeUp(tile),
});
const drawer = new Drawer((panel) => {
    at.talked = panel === 'talk' ? '' : at.talked;
});

const handOut = new HandOutForm({
    words: page.words,
    prompt: () => at.looking,
    leadPage: () => lead.page,
    done: (sentence, undo) => {
        drawer.close();
        if (sentence !== '') {
            notice.say(sentence, undo && { word: page.words.undo, press: () => void run(undo.address, undo.body) });
        }
        bands.refresh();
    },
});

const ask = new AskPanel({ address: page.address, words: page.words, drawer, chosen, now: () => Date.now() + ahead });
const picture = new ClassPicture({ address: page.address, words: page.words, run });
const lineUp = new LineUpBar({ address: page.address, run });
const strata = new StrataMenu();
const opened: Overlays = new Overlays({
    address: page.address,
    words: page.words,
    at,
    grid,
    chosen,
    closeUp,
    compare,
    lead,
    drawer,
    handOut,
    strata,
    talking,
    picture: () => picture,
    say,
    sayStates,
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
        if (connection !== 'live') {
            grid.forgetSilence();
        }
    },
});

const events = deskEvents({
    me: page.me,
    address: page.address,
    words: page.words,
    grid,
    closeUp,
    bands,
    notice,
    at,
    look,
    takeWhole,
    takeRoom,
    countStates,
    showTally,
    run,
    openTalk: (seat, focus) => opened.talk(seat, focus),
    closeCloseUp: () => opened.closeCloseUp(),
    changed: () => chosen.show(),
    asked: () => ask.refresh(),
    shown: () => void talking.freshen(),
    offered: () => opened.freshenOffers(),
    heardPick: (which, seat) => pick.hear(which, seat),
});

const streams: Streams = new Streams(
    {},
    {
        address: `${page.address}/catch-up`,
        also: () => ({ operations: lastOperation }),
        event: takeEvent,
        operations: takeOperations,
        refused: () => location.reload(),
    },
);

/** What pens draw, while this page is looked at. */
const pens = new InkLine({
    path: () => (isLookedAt ? `/live/pens/${page.session}` : null),
    // Covered ink is not shown; that a page is there still counts.
    hear: (ink) => (ink.b !== undefined || (!at.isCovered && document.visibilityState === 'visible')) && grid.wet(ink),
    closed: () => grid.forgetSilence(),
});
/** What this teacher draws, to those who are shown it. */
const leading = new InkLine({
    path: () => (page.may.lead === null && isLookedAt ? `/live/leading/${page.session}` : null),
});
let isLookedAt = true;
let unseen = 0;

/**
 * A page in the background draws nothing: it leaves the ink that it would pile up, and has the finished strokes when it
 * comes back.
 */
function followLook(): void {
    window.clearTimeout(unseen);
    const isVisible = document.visibilityState === 'visible';
    unseen = window.setTimeout(
        () => {
            isLookedAt = isVisible;
            pens.follow();
            leading.follow();
        },
        isVisible ? 0 : UNSEEN_MS,
    );
}

function receive(message: Message): void {
    if ('operations' in message) {
        takeOperations(message.operations, false);
        if (message.ask === true) {
            void streams.catchUp();
        }
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
    // Covered work comes whole when it is revealed.
    const open = operations.filter(({ covered }) => covered !== true);
    lead.take(open);
    talking.takeOperations(open);
    if (!at.isCovered) {
        grid.take(open);
        closeUp.take(open);
        compare.take(open);
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
    markRail(at.looking);
    opened.closeAll();
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
    const answer = await get<WatchAnswer>(
        `${page.address}/prompt/${asked}/states${silent.length === 0 ? '' : `?silent=${silent.join(',')}`}`,
    ).catch(() => null);
    freshness.heard(answer !== null, answer?.trouble);
    if (answer !== null && asked === at.looking) {
        grid.showStates(answer.states);
        watch.take(answer);
        strata.show(answer.scale);
        sayStates();
        showTally(answer.tally);
        closeUp.freshen();
        if (answer.started !== started) {
            started = answer.started;
            bands.refresh();
        }
    }
}

/** The whole log of a canvas, where something older than what its tile has was taken back. */
async function takeWhole(tile: Tile): Promise<void> {
    const answer = await get<{ operations: Operation[] }>(`${page.address}/canvas/${tile.seat.canvas}/log`).catch(
        () => null,
    );
    if (answer !== null) {
        tile.restart(answer.operations);
    }
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

listenToDesk({
    address: page.address,
    at,
    grid,
    chosen,
    closeUp,
    compare,
    drawer,
    opened,
    pick,
    room,
    some,
    strata,
    watch,
    ask,
    lineUp,
    picture,
    look,
    run,
});
listenToCancels();
element<HTMLSelectElement>('#sort').addEventListener('change', (event) =>
    grid.sortBy((event.target as HTMLSelectElement).value),
);
element<HTMLSelectElement>('#pages-shown').addEventListener('change', (event) => {
    const { value } = event.target as HTMLSelectElement;
    grid.showPages(value === 'theirs' || value === 'all' ? value : (Number(value) as PagesShown));
});
element<HTMLInputElement>('#size').addEventListener('input', (event) =>
    grid.resize(Number((event.target as HTMLInputElement).value)),
);
document.body.addEventListener('crag:handed-out', () => drawer.close());
document.addEventListener('crag:problem', (event) => {
    const told = (event as CustomEvent<string>).detail;
    if (drawer.panel === 'tools') {
        element('#tools-problem').textContent = told;
    } else {
        say(told);
    }
});

ask.follow();
await document.fonts.ready;
await look(at.looking);
socket.open();
followLook();
document.addEventListener('visibilitychange', followLook);
// The small class screen waits until the grid is there.
window.setTimeout(() => {
    const small = element<HTMLIFrameElement>('#mini-screen iframe');
    small.src = small.dataset.src!;
}, SMALL_SCREEN_MS);
window.setInterval(() => void countStates(), STATES_MS);
let silentBefore = '';
window.setInterval(() => {
    const silent = grid.silent.join(',');
    if (silent !== silentBefore) {
        void countStates();
    }
    silentBefore = silent;
}, SILENCE_MS);
