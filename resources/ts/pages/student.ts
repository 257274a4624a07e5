import type { StudentWords } from '../protocol/words';
import type { Own, Room, Sharing } from '../protocol/room';
import type { CanvasAnswer, OwnTold, Prompt, RoomTold } from '../protocol/student';
import { mountBench } from '../bench/mount';
import type { Operation } from '../canvas/model/objects';
import { guardThePage } from '../guards';
import { get, post } from '../live/http';
import { KeeperLine } from '../live/keeper';
import { Outbox } from '../live/outbox';
import { InkLine } from '../live/inkline';
import { Notice } from '../live/notice';
import { Socket } from '../live/socket';
import { Streams, type Message } from '../live/streams';
import { WetSender } from '../live/wet';
import { element, fill, pageData } from '../page';
import { Questions } from '../questions/panel';
import type { ReadInk } from '../questions/written';
import { showWords } from '../questions/words';
import { AskSheet } from '../student/ask';
import { TaskList } from '../student/tasks';
import { AskPad } from '../student/pad';
import { CheckLine } from '../student/checks';
import { CoachSide } from '../student/coach';
import { LeadSide } from '../student/lead';
import { ShownWork } from '../student/shown';
import { RoomPage } from '../student/room';
import { forWriting } from '../canvas/drawing/camera';
import { forgetPages, keepPage, KeptPage } from '../student/keptpage';
import { Awaited } from '../student/awaited';
import { WritingWindow } from '../bench/writing';
import { PromptSheet } from '../student/promptsheet';
import { SavedLine } from '../student/saved';
import { TalkThrough } from '../bench/talkthrough';
import { LiveTalk, type Told as LiveTold } from '../student/livetalk';
import { Voices } from '../student/voices';
import { Together } from '../student/together';
import type { WetInk } from '../canvas/model/objects';
import { present } from '../present';

interface Page {
    session: string;
    seat: string;
    /** The seat's part of the socket's address: its id, and how often its channel was begun anew. */
    channel: string;
    join: string;
    ink: string;
    /** By this the keeper knows that work comes from this page. */
    keep: string;
    address: string;
    assets: string;
    stamps: Record<string, string>;
    words: StudentWords;
    /** What the page is made of, by address. */
    assets_kept: string[];
}

guardThePage();
const page = pageData<Page>();
const BEAT_MS = 1500;

/** A sentence stays long enough to be read between two strokes. */
const NOTICE_MS = 8000;
/** What was handed out and does not come by itself is asked for after so long. */
const AWAITED_MS = 1500;

const notice = new Notice('#notice');
const say = (sentence: string): void => notice.say(sentence, undefined, NOTICE_MS);
const saved = new SavedLine(page.words);

let prompt: Prompt = { id: '', n: 0, words: '' };
let ending = false;
/** The page came from this device, without the server: once there is one again, it begins anew. */
let isKept = false;

const socket: Socket = new Socket({
    path: () => `/live/${room.isLight ? 'light' : 'seat'}/${page.session}/${page.channel}`,
    message: receive,
    closed: () => keeper.closed(),
    catchUp: () => streams.catchUp(),
    state: (connection) => {
        saved.show({ connection });
        if (isKept && connection !== 'offline') {
            void beginAnew();
        }
        if (connection !== 'offline' && saved.waiting > 0) {
            void outbox.flush();
        }
    },
});
const keeper = new KeeperLine({
    seat: () => page.seat,
    key: () => page.keep,
    send: (text) => navigator.onLine && socket.send(text),
});
/** What is drawn here, to the desks; and what a teacher draws and points at on this canvas. */
const line = new InkLine({
    path: () => `/live/wet/${page.session}/${page.channel}${shared() === null ? '' : `/${shared()?.channel}`}`,
    hear: (ink) => coach.wet(ink),
});
/** What is drawn on a canvas that several draw on: to the desks and to them, under a key that is for them alone. */
const nearLine = new InkLine({
    path: () => (shared() === null ? null : `/live/near/${page.session}/${page.channel}/${shared()?.channel}`),
    hear: (ink) => together.hear(ink),
});
/** The teacher's ink, while it is shown. With light data the finished strokes do. */
const leadLine = new InkLine({
    path: () => (room.seesTeacherDraw && !room.isLight ? `/live/lead/${page.session}/${page.channel}` : null),
    hear: (ink) => {
        lead.wet(ink);
        shown.wet(ink);
    },
    // What was drawn before it was open.
    opened: () => void lead.load(),
});

const streams: Streams = new Streams(
    {},
    {
        address: `${page.address}/catch-up`,
        also: () => ({
            canvas: bench.canvas,
            operations: bench.view.log.known,
            ...(socket.isPolling ? { polling: 1 } : {}),
        }),
        // The server names the type; each stream has its own.
        event: (stream, event) =>
            stream === 'seat' ? takeOwn(event as unknown as OwnTold) : takeTold(event as unknown as RoomTold),
        operations: takeOperations,
        clock: (ahead) => {
            bench.clockAhead = ahead;
        },
        // The place is on another device, or forgotten: the way in says where it is.
        refused: (status) =>
            void forgetPages().then(() =>
                status === 403 || status === 404 ? location.assign(page.join) : location.reload(),
            ),
    },
);

const kept = await KeptPage.open(page.seat);
const outbox = await Outbox.open({
    seat: page.seat,
    address: `${page.address}/operations`,
    overSocket: (canvas, operations) => keeper.send(canvas, operations),
    accepted: (where, accepted) => {
        if (where === bench.canvas) {
            bench.view.confirm(accepted);
            const ids = new Set(accepted.map(({ id }) => id));
            const stored = bench.view.log.latest(ids.size).filter(({ id }) => ids.has(id));
            void goOn(stored);
            void kept.add(stored.map((operation) => ({ ...operation, canvas: where })));
        } else {
            pad.confirm(where, accepted);
        }
    },
    refused: (where, id, reason) => {
        if (where === bench.canvas) {
            bench.view.log.drop(id);
            bench.view.drawAll();
            bench.refresh();
        } else {
            pad.refuse(where, id);
        }
        say(fill(page.words.refused, { reason }));
    },
    changed: (waiting, isReachable, held) => saved.show({ waiting, isReachable, held }),
});

const shared = (): Sharing | null => together.sharing;
const wet = new WetSender(
    page.ink,
    (text) => room.own?.isCovered !== true && (shared() === null ? line : nearLine).send(text),
);
let tasks: TaskList | null = null;
/** Something was drawn or answered here. */
let drawn = (): void => undefined;
const { bench, tray } = mountBench(
    {
        root: element('#bench'),
        layer: 'student',
        assets: page.assets,
        stamps: page.stamps,
        words: page.words,
        address: page.address,
        wet,
        put: (canvas, operation) => void outbox.put(canvas, operation),
        turned: () => lead.turned(),
        whole: async (canvas) => (await get<CanvasAnswer>(`${page.address}/canvas/${canvas}/log`)).operations,
        readInk: async (canvas, strokes) => {
            await outbox.flush();
            return post<ReadInk>(`${page.address}/read-ink`, { canvas, strokes });
        },
        say,
    },
    undefined,
    () => drawn(),
);
bench.view.openWith(forWriting);
new WritingWindow(bench, element('#bench'), page.assets, page.stamps);
const questions = new Questions(bench, {
    ...page,
    list: element('#questions'),
    answered: showAnswered,
    ink: {
        read: async (question) => {
            // What is read is what the server has.
            await outbox.flush();
            return post<ReadInk>(`${page.address}/read-ink`, { canvas: bench.canvas, question });
        },
        learn: (question, says) =>
            void post(`${page.address}/learn-ink`, { canvas: bench.canvas, question, says }).catch(() => undefined),
    },
});
drawn = () => {
    tasks?.freshen();
    questions.freshen();
    questions.inked();
};
tasks = new TaskList({
    words: page.words,
    say,
    scene: () => bench.view.log.scene,
    facts: () => ({ hand: room.own?.hadHandUp === true, send: room.own?.isSent === true }),
});
const lead = new LeadSide(bench, page);
const together: Together = new Together(bench, page);
const coach = new CoachSide(bench, {
    key: page.ink,
    words: page.words,
    send: (text) => line.send(text),
    isSpokenOf: () => voices.here.length > 0,
    handUp: (words) => room.openHand(words),
});
const pad: AskPad = new AskPad({
    ...page,
    outbox,
    main: bench,
    opened: () => sheet.open(false),
    send: (text) => line.send(text),
    say,
});
const ask = new AskSheet(
    {
        address: page.address,
        assets: page.assets,
        words: page.words,
        now: () => Date.now() + bench.clockAhead,
        say,
    },
    pad,
);
const sheet = new PromptSheet(bench.surface);
const checkLine = new CheckLine(bench.surface, page);
const shown = new ShownWork({ ...page, now: () => Date.now() + bench.clockAhead, say });
const room: RoomPage = new RoomPage({
    address: page.address,
    words: page.words,
    now: () => Date.now() + bench.clockAhead,
    lock: (reason) => bench.lockBy(reason),
    canvas: () => bench.canvas,
    seen: (isPart) => ({ page: bench.view.page, cut: isPart ? bench.view.seenPart : null }),
    rest: () => bench.rest(),
    deliver: () => outbox.flush(),
    moved: () => void move(),
    light: (isLight) => useLight(isLight),
    leave: () => void leaveDevice(),
    say,
});
const talk = new TalkThrough({
    bar: '#talk-bar',
    buttons: '#talk-through, #talk-filmed',
    key: page.seat,
    words: page.words,
    canvas: () => bench.canvas,
    clockAhead: () => bench.clockAhead,
    addressOf: (canvas) => `${page.address}/talk?canvas=${canvas}&`,
    begun: () => tray.closeMenu(),
    rest: () => bench.surface.focus({ preventScroll: true }),
    say,
});
const voices = new Voices({ ...page, canvas: () => bench.canvas });
const liveTalk = new LiveTalk({
    ...page,
    // One microphone at a time.
    begun: () => talk.stop(),
    hears: () => socket.opened(),
    rest: () => bench.surface.focus({ preventScroll: true }),
    say,
});
const awaited = new Awaited(page.address, (operation) => bench.view.log.has(operation));
let isLight = false;
/** How often the canvas was asked for. An answer that a later one has overtaken is dropped; who waits waits for it. */
let asked = 0;
let latest: Promise<void> = Promise.resolve();
/** What the server sent ahead of a gathering. */
let ahead: CanvasAnswer | undefined;

/**
 * The desk hears that this page is there, and which page of its canvas it shows; a socket can hang long after its
 * network has gone.
 */
function beat(isThere: 0 | 1): void {
    const message: WetInk = {
        k: page.ink,
        c: bench.canvas,
        o: '',
        b: isThere,
        ...(bench.view.page !== '' && { g: bench.view.page }),
    };
    line.send(JSON.stringify(message));
}

await document.fonts.ready;
await load();
void keepPage(page.seat, `${page.channel} ${page.assets_kept.join(' ')}`, page.assets_kept);
socket.open();
line.follow();
void outbox.flush();
// A page that is left or reloaded in the middle of a stroke keeps what there is of it.
window.addEventListener('pagehide', () => {
    bench.rest();
    outbox.leave(bench.canvas);
});
// In the background timers rest: then the socket alone tells.
window.setInterval(() => document.visibilityState === 'visible' && beat(1), BEAT_MS);
document.addEventListener('visibilitychange', () => beat(document.visibilityState === 'visible' ? 1 : 0));

/** The present prompt's canvas from the server, with what still waits here on top. */
function load(): Promise<void> {
    latest = loadNow(++asked);
    return latest;
}

async function loadNow(mine: number): Promise<void> {
    // In a kept page stands what was so when it was kept; what was seen on it since is beside it.
    const here = document.body.dataset.kept !== undefined && bench.canvas === '' ? await kept.read() : null;
    let answer = here === null ? takeOpening() : undefined;
    while (answer === undefined) {
        answer = await get<CanvasAnswer>(`${page.address}/canvas`).catch(() => undefined);
        if (answer === undefined && here !== null) {
            isKept = true;
            answer = here;
            say(page.words.opened_offline);
        } else if (answer === undefined) {
            saved.show({ isReachable: false });
            await new Promise((again) => window.setTimeout(again, 1500));
        }
    }
    if (answer.ended) {
        void leave();
        return;
    }
    if (mine !== asked) {
        await latest;
        return;
    }
    saved.show({ isReachable: !isKept });
    await open(answer);
}

/** The server is there again: what was drawn without it is delivered, and the page begins anew with what it says. */
async function beginAnew(): Promise<void> {
    await outbox.flush();
    if (outbox.isDelivered && !bench.isDrawing) {
        location.reload();
    } else {
        window.setTimeout(() => void beginAnew(), 2000);
    }
}

/** What the server wrote into the page, the first time. */
function takeOpening(): CanvasAnswer | undefined {
    const place = document.querySelector('#opening');
    place?.remove();
    if (place === null) {
        return undefined;
    }
    const answer = JSON.parse(present(place.textContent)) as CanvasAnswer;
    // Its clock was read when the page was written: the scripts came, and were begun, since.
    const [loading] = performance.getEntriesByType('navigation') as PerformanceNavigationTiming[];
    return { ...answer, clock: Math.round(answer.clock + performance.now() - (loading?.responseStart ?? 0)) };
}

/** Begins with a canvas as the server tells it. */
async function open(answer: CanvasAnswer): Promise<void> {
    if (answer.position !== undefined) {
        streams.reset(answer.position);
    }
    if (!isKept) {
        void kept.begin(answer);
    }
    const sharing = answer.own.together;
    // A stroke that was begun while the canvas was on its way ends on the one where it was begun.
    if (bench.canvas !== '') {
        bench.rest();
    }
    bench.begin(
        answer,
        outbox.waitingFor(answer.canvas),
        sharing === null ? null : { me: page.seat, authors: answer.authors ?? {} },
    );
    tray.allow(answer.tray.tools);
    showPrompt(answer.prompt);
    takeRoom(answer.room, answer.own, true);
    lead.turned();
    coach.freshen();
    element('#page-frame').dataset.ready = bench.canvas;
    if (answer.waiting === true) {
        await post(`${page.address}/got`, { canvas: bench.canvas }).catch(() => undefined);
    }
}

/** Where this page was before the class was brought together: the way back leads there. */
let left: { prompt: string; page: string } | null = null;

/** @param at the number of a page that everybody is brought to; "back" to where this one was before that */
async function takePrompt(next: Prompt, now: Room, at: number | 'back' | undefined): Promise<void> {
    if (typeof at === 'number') {
        left = { prompt: prompt.id, page: bench.view.page };
    }
    if (next.id !== prompt.id) {
        bench.rest();
        await (ahead?.prompt.id === next.id ? openAhead(ahead) : load());
        ahead = undefined;
    } else {
        takeRoom(now, undefined);
        await takeSame(next);
    }
    const to =
        at === 'back'
            ? left?.prompt === prompt.id
                ? left.page
                : undefined
            : at === undefined
              ? undefined
              : bench.pages[at];
    if (to !== undefined && bench.pages.includes(to) && to !== bench.view.page) {
        bench.rest();
        bench.turnTo(to);
    }
}

function openAhead(answer: CanvasAnswer): Promise<void> {
    asked++;
    latest = open(answer);
    return latest;
}

async function takeSame(next: Prompt): Promise<void> {
    if (next.own !== true && next.again !== true) {
        showPrompt({ ...next, questions: prompt.questions });
        return;
    }
    latest = takeWords(++asked);
    await latest;
}

/** The same prompt with other words: the canvas, and the stroke that may be under way on it, stay as they are. */
async function takeWords(mine: number): Promise<void> {
    const answer = await get<CanvasAnswer>(`${page.address}/canvas`).catch(() => undefined);
    if (mine !== asked) {
        await latest;
        return;
    }
    if (answer === undefined || answer.canvas !== bench.canvas) {
        await load();
    } else {
        tray.allow(answer.tray.tools);
        showPrompt(answer.prompt);
    }
}

function takeRoom(now: Room | undefined, own: Own | undefined, isHere = false): void {
    room.take(now, own, isHere);
    lead.set(present(room.room).lead, room.isLight);
    leadLine.follow();
    if (own !== undefined) {
        together.take(own.together);
        wet.key = own.together?.ink ?? page.ink;
        line.follow();
        nearLine.follow();
        ask.take(own.ask, own.run);
    }
    tasks?.freshen();
    if (room.own !== null) {
        shown.take(present(room.room).showcase, room.own);
    }
    if (room.own !== null) {
        checkLine.take(room.own.checks, bench.canvas);
    }
    talk.allow(present(room.room).recording, present(room.room).camera);
    if (room.own !== null) {
        voices.take(room.own.voices);
        coach.freshen();
        liveTalk.take(room.own.liveTalk, present(room.room).sound);
    }
    outbox.release();
}

function takeTold(told: RoomTold): void {
    switch (told.type) {
        case 'room':
            takeRoom(told.body.room, undefined);
            break;
        case 'prompt':
            void takePrompt(told.body.prompt, told.body.room, told.body.back === true ? 'back' : told.body.page);
            break;
        case 'tray':
            tray.allow(told.body.tray.tools);
            say(page.words.tray);
            break;
        case 'ended':
            void leave();
    }
}

function takeOwn(told: OwnTold): void {
    switch (told.type) {
        case 'own':
            takeRoom(undefined, told.body.own);
            break;
        case 'handout':
            if (told.body.prompt === prompt.id) {
                takeHandout(told.body);
            }
            break;
        case 'moved':
            void outbox
                .flush()
                .then(forgetPages)
                .then(() => location.assign(page.join));
    }
}

function takeHandout({ handout, last, again }: { handout: string; last: string; again?: boolean }): void {
    if (again === true) {
        void load();
    } else {
        awaited.expect(handout, last, bench.canvas);
        window.setTimeout(() => !awaited.isEmpty && void streams.catchUp(), AWAITED_MS);
    }
}

/** Another prompt, or out of the room: what waits is delivered first. */
async function move(): Promise<void> {
    bench.rest();
    if (room.own?.state === 'seated') {
        await load();
    } else {
        await outbox.flush();
        location.reload();
    }
}

function useLight(now: boolean): void {
    if (now !== isLight) {
        isLight = now;
        wet.light = now;
        bench.view.useAssets(now ? '/asset-light' : page.assets);
        if (socket.isOpen) {
            socket.again();
        }
    }
}

function showPrompt(now: Prompt): void {
    const isOther = now.id !== prompt.id || now.words !== prompt.words;
    prompt = now;
    element('#prompt-number').textContent = fill(page.words.prompt, { n: now.n });
    showWords(element('#prompt-words'), now.words);
    showWords(element('#prompt-line'), now.words);
    questions.show(now.questions ?? [], now.course ?? null);
    tasks?.take(now.tasks ?? []);
    showAnswered();
    if (isOther) {
        sheet.take(now.words !== '', questions.listed + (tasks?.listed ?? 0) > 0, isBegun());
    }
}

/** Whether the student has drawn or answered something here: the prompt has been read. */
function isBegun(): boolean {
    const { objects, answers } = bench.view.log.scene;
    return answers.size > 0 || [...objects.values()].some(({ layer }) => layer === 'student');
}

/** In practice that goes on, an answer that is stored brings the next task. */
async function goOn(stored: { kind: string }[]): Promise<void> {
    if (prompt.course !== null && prompt.course !== undefined && stored.some(({ kind }) => kind === 'answer')) {
        await takeSame({ ...prompt, again: true }).catch(() => undefined);
    }
}

/** How many of the prompt's questions have an answer, on the strip. */
function showAnswered(): void {
    const place = element('#answered');
    const { course } = prompt;
    const [answered, listed] =
        course === null || course === undefined ? [questions.answered, questions.listed] : [course.n, course.all];
    place.hidden = questions.listed === 0;
    place.textContent = `${answered}/${listed}`;
    place.ariaLabel = fill(page.words.answered, { n: answered, all: listed });
    place.classList.toggle('is-done', answered === listed);
}

function receive(message: Message): void {
    if ('live' in message) {
        liveTalk.hear(message.live as LiveTold);
    } else if ('together' in message) {
        together.hearWho(message.together as Sharing);
    } else if ('opening' in message) {
        ahead = message.opening as CanvasAnswer;
    } else if ('operations' in message && message.stream === 'lead') {
        if (message.ask === true) {
            void lead.load();
        } else {
            lead.take(message.operations);
        }
    } else if ('operations' in message) {
        if (message.kept !== undefined) {
            keeper.hear(message.kept);
        }
        takeOperations(message.operations, false);
        if (message.ask === true) {
            void streams.catchUp();
        }
    } else if ('event' in message) {
        streams.take(message.stream, message.event);
    }
}

function takeOperations(operations: Operation[], caughtUp: boolean): void {
    pad.hear(operations);
    const here = operations.filter((operation) => operation.canvas === bench.canvas);
    if (here.length === 0) {
        return;
    }
    const fresh = here.filter(({ id }) => !bench.view.log.has(id));
    bench.take(here);
    void goOn(here);
    void kept.add(here);
    questions.freshen();
    showAnswered();
    tasks?.freshen();
    coach.freshen();
    awaited.acknowledge(bench.canvas);
    sayNew(fresh);
    const missing = (): boolean => bench.view.log.highest > bench.view.log.known;
    if (!caughtUp && missing()) {
        streams.askSoon(missing);
    }
}

/** What the teacher has put on this canvas while it was open. */
function sayNew(operations: Operation[]): void {
    const theirs = operations.filter(
        ({ layer, kind }) => layer !== 'student' && layer !== 'coach' && ['add', 'backdrop', 'fresh'].includes(kind),
    );
    if (theirs.length === 0) {
        return;
    }
    const at = bench.pages.indexOf(present(theirs.at(-1)).body.page ?? '');
    const isElsewhere = bench.pages[at] !== undefined && bench.pages[at] !== bench.view.page;
    say(
        theirs.some(({ kind }) => kind === 'fresh')
            ? page.words.fresh
            : isElsewhere
              ? fill(page.words.new_page, { n: at + 1 })
              : page.words.new_work,
    );
}

/** Nothing stays on this device, once the server has all of it. */
async function leaveDevice(): Promise<void> {
    bench.rest();
    await outbox.flush();
    if (!outbox.isDelivered) {
        say(page.words.left_waiting);
        return;
    }
    try {
        await post(`${page.address}/leave`, {});
    } catch {
        say(page.words.unreachable);
        return;
    }
    ending = true;
    await talk.drop();
    await forgetPages();
    location.assign(page.join);
}

/** The session has ended: what waits is delivered first. */
async function leave(): Promise<void> {
    if (ending) {
        return;
    }
    ending = true;
    bench.typing.close();
    await outbox.flush();
    if (outbox.isDelivered) {
        socket.close();
        await talk.drop();
        await forgetPages();
        location.reload();
    } else {
        ending = false;
        window.setTimeout(() => void leave(), 2000);
    }
}
