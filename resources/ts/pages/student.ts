import { mountBench } from '../bench/mount';
import type { Operation } from '../canvas/model';
import { get } from '../live/http';
import { Outbox } from '../live/outbox';
import { Socket, type Connection } from '../live/socket';
import { Streams, type Message } from '../live/streams';
import { WetSender } from '../live/wet';
import { element, fill, pageData } from '../page';
import type { Asked } from '../questions/fields';
import { Questions } from '../questions/panel';
import { showWords } from '../questions/words';

interface Prompt {
    id: string;
    n: number;
    words: string;
    questions?: Asked[];
    /** The plan's prompt was changed: there is more to fetch than the words. */
    again?: boolean;
    /** Each student has other values in the words. */
    own?: boolean;
}

interface CanvasAnswer {
    canvas: string;
    prompt: Prompt;
    tray: { tools: string[] };
    position: Record<string, number>;
    ended: boolean;
    clock: number;
    n: number;
    older: { undo: boolean; redo: boolean };
    scene: never;
    operations: Operation[];
}

interface Page {
    session: string;
    seat: string;
    ink: string;
    address: string;
    assets: string;
    stamps: Record<string, string>;
    words: Record<string, string>;
}

const page = pageData<Page>();
const notice = element('#notice');

let prompt: Prompt = { id: '', n: 0, words: '' };
let connection: Connection = 'live';
let waiting = 0;
let reachable = true;
let ending = false;
let hushed = 0;

const socket: Socket = new Socket({
    path: `/live/seat/${page.session}/${page.seat}`,
    message: (text) => receive(JSON.parse(text) as Message),
    catchUp: () => streams.catchUp(),
    state: (now) => {
        connection = now;
        sayState();
        if (now !== 'offline' && waiting > 0) {
            void outbox.flush();
        }
    },
});

const streams: Streams = new Streams({}, {
    address: `${page.address}/catch-up`,
    also: () => ({ canvas: bench.canvas, operations: bench.view.log.known, ...(socket.isPolling ? { polling: 1 } : {}) }),
    event: (stream, event) => {
        if (stream !== 'room') {
            return;
        }
        if (event.type === 'prompt') {
            void takePrompt(event.body.prompt as Prompt);
        } else if (event.type === 'tray') {
            tray.allow((event.body.tray as { tools: string[] }).tools);
            say(page.words.tray);
        } else if (event.type === 'ended') {
            void leave();
        }
    },
    operations: takeOperations,
    refused: () => location.reload(),
});

const outbox = await Outbox.open({
    seat: page.seat,
    address: `${page.address}/operations`,
    accepted: (where, accepted) => {
        if (where === bench.canvas) {
            bench.view.confirm(accepted);
        }
    },
    refused: (where, id, reason) => {
        if (where === bench.canvas) {
            bench.view.log.drop(id);
            bench.view.drawAll();
            bench.refresh();
        }
        say(fill(page.words.refused, { reason }));
    },
    changed: (count, answered) => {
        waiting = count;
        reachable = answered;
        sayState();
    },
});

const { bench, tray } = mountBench({
    root: element('#bench'),
    layer: 'student',
    assets: page.assets,
    stamps: page.stamps,
    words: page.words,
    bringIn: `${page.address}/bring-in`,
    wet: new WetSender(page.ink, (text) => socket.send(text)),
    put: (canvas, operation) => void outbox.put(canvas, operation),
    whole: async (canvas) => (await get<CanvasAnswer>(`${page.address}/canvas/${canvas}/log`)).operations,
    say,
});
const questions = new Questions(bench, page);

element('#unfold').addEventListener('click', () => {
    const open = element('#strip').classList.toggle('is-open');
    element('#unfold').setAttribute('aria-expanded', String(open));
});

await document.fonts.ready;
await load();
socket.open();
void outbox.flush();

/** The present prompt's canvas from the server, with what still waits here on top. */
async function load(): Promise<void> {
    let answer: CanvasAnswer | undefined;
    while (answer === undefined) {
        answer = await get<CanvasAnswer>(`${page.address}/canvas`).catch(() => undefined);
        if (answer === undefined) {
            reachable = false;
            sayState();
            await new Promise((again) => window.setTimeout(again, 1500));
        }
    }
    if (answer.ended) {
        void leave();
        return;
    }
    reachable = true;
    streams.reset(answer.position);
    bench.begin(answer, outbox.waitingFor(answer.canvas));
    tray.allow(answer.tray.tools);
    showPrompt(answer.prompt);
    sayState();
    element('#page-frame').dataset.ready = bench.canvas;
}

async function takePrompt(next: Prompt): Promise<void> {
    if (next.id !== prompt.id) {
        bench.typing.close();
        await load();
        return;
    }
    if (next.own !== true && next.again !== true) {
        showPrompt({ ...next, questions: prompt.questions });
        return;
    }
    // The same prompt with other words: the canvas, and the stroke that may be under way on it, stay as they are.
    const answer = await get<CanvasAnswer>(`${page.address}/canvas`).catch(() => undefined);
    if (answer === undefined || answer.canvas !== bench.canvas) {
        await load();
    } else {
        tray.allow(answer.tray.tools);
        showPrompt(answer.prompt);
    }
}

function showPrompt(now: Prompt): void {
    prompt = now;
    element('#prompt-number').textContent = fill(page.words.prompt, { n: now.n });
    showWords(element('#prompt-words'), now.words);
    questions.show(now.questions ?? []);
    element('#strip').classList.toggle('is-wordless', now.words === '');
}

function receive(message: Message): void {
    if ('operations' in message) {
        takeOperations(message.operations, false);
    } else if ('event' in message) {
        streams.take(message.stream, message.event);
    }
}

function takeOperations(operations: Operation[], caughtUp: boolean): void {
    const here = operations.filter((operation) => operation.canvas === bench.canvas);
    if (here.length === 0) {
        return;
    }
    bench.take(here);
    questions.freshen();
    const missing = (): boolean => bench.view.log.highest > bench.view.log.known;
    if (!caughtUp && missing()) {
        streams.askSoon(missing);
    }
}

/** The session has ended: what waits is delivered first. */
async function leave(): Promise<void> {
    if (ending) {
        return;
    }
    ending = true;
    bench.typing.close();
    await outbox.flush();
    if (outbox.count === 0) {
        socket.close();
        location.reload();
    } else {
        ending = false;
        window.setTimeout(() => void leave(), 2000);
    }
}

function say(sentence: string): void {
    window.clearTimeout(hushed);
    notice.textContent = sentence;
    notice.hidden = sentence === '';
    hushed = window.setTimeout(() => {
        notice.hidden = true;
    }, 8000);
}

function sayState(): void {
    const state = element('#saved');
    const offline = connection === 'offline' || !reachable;
    const words = offline ? page.words.offline : waiting > 0 ? page.words.saving : connection === 'polling' ? page.words.polling : page.words.saved;
    const said = fill(words, { n: waiting });
    if (state.textContent !== said) {
        state.textContent = said;
        state.dataset.state = offline ? 'offline' : waiting > 0 ? 'saving' : 'saved';
    }
}
