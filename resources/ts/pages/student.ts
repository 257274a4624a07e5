import { encodeInk } from '../canvas/ink';
import { objectsAt } from '../canvas/erase';
import { history } from '../canvas/log';
import { newId, type Backdrop, type Operation } from '../canvas/model';
import { listenToPen, type PenSettings } from '../canvas/pen';
import { Typing } from '../canvas/typing';
import { View } from '../canvas/view';
import { get } from '../live/http';
import { Outbox } from '../live/outbox';
import { Socket, type Connection } from '../live/socket';
import { Streams, type Message } from '../live/streams';
import { WetSender } from '../live/wet';
import { element, fill, keepFitted, pageData } from '../page';
import { listenToTray } from '../student/tray';

interface Prompt {
    id: string;
    n: number;
    words: string;
    backdrop: Backdrop;
}

interface CanvasAnswer {
    canvas: string;
    prompt: Prompt;
    position: Record<string, number>;
    ended: boolean;
    operations: Operation[];
}

interface Page {
    session: string;
    seat: string;
    ink: string;
    address: string;
    assets: string;
    words: Record<'saved' | 'saving' | 'offline' | 'polling' | 'refused' | 'prompt' | 'typing', string>;
}

const page = pageData<Page>();
const settings: PenSettings = { tool: 'pen', colour: '#25323b', width: 40 };
const frame = element('#page-frame');
const notice = element('#notice');

const view = new View(element('#page'), page.assets);
let canvas = '';
let prompt = '';
let connection: Connection = 'live';
let waiting = 0;
let reachable = true;
let ending = false;
let rubbed = new Set<string>();

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
    also: () => ({ canvas, operations: view.log.known, ...(socket.isPolling ? { polling: 1 } : {}) }),
    event: (stream, event) => {
        if (stream === 'room' && event.type === 'prompt') {
            void takePrompt(event.body.prompt as Prompt);
        } else if (stream === 'room' && event.type === 'ended') {
            void leave();
        }
    },
    operations: takeOperations,
    refused: () => location.reload(),
});

const wet = new WetSender(page.ink, (text) => socket.send(text));

const typing = new Typing(view, page.words.typing, {
    type: (id, text) => wet.type(canvas, id, text),
    operation: (kind, id, body) => make(kind, body, id),
});

const outbox = await Outbox.open({
    seat: page.seat,
    address: `${page.address}/operations`,
    accepted: (where, accepted) => {
        if (where === canvas) {
            view.confirm(accepted);
        }
    },
    refused: (where, id, reason) => {
        if (where === canvas) {
            view.log.drop(id);
            view.drawAll();
            refreshTools();
        }
        notice.textContent = fill(page.words.refused, { reason });
        notice.hidden = false;
    },
    changed: (count, answered) => {
        waiting = count;
        reachable = answered;
        sayState();
    },
});

listenToPen(frame, view, settings, {
    grow: (id, samples, first) => wet.grow(canvas, id, samples, first, settings.colour, settings.width),
    finish: (id, samples) => {
        wet.finish();
        make('add', { object: { type: 'stroke', colour: settings.colour, width: settings.width, ink: encodeInk(samples) } }, id);
    },
    erase: (x, y) => {
        const hit = objectsAt(view, x, y).filter((id) => !rubbed.has(id));
        if (hit.length > 0) {
            hit.forEach((id) => rubbed.add(id));
            view.hide(...hit);
        }
    },
    eraseEnd: () => {
        const targets = [...rubbed].filter((id) => view.log.scene.objects.has(id));
        rubbed = new Set();
        if (targets.length > 0) {
            make('remove', { targets });
        }
        view.unhide(...targets);
    },
    tap: (x, y) => {
        const [there] = objectsAt(view, x, y, 'text');
        typing.open(x, y, settings.colour, 36, there);
    },
});

const refreshTools = listenToTray(settings, {
    undo: () => step('withdraw', history(view.log.all()).undo),
    redo: () => step('reinstate', history(view.log.all()).redo),
    empty: () => {
        if ([...view.log.scene.layers.entries()].some(([id, layer]) => layer === 'student' && view.log.scene.objects.has(id))) {
            make('clear', {});
        }
    },
    text: () => typing.open(80, 120, settings.colour, 36),
    chosen: () => {
        typing.close();
        frame.dataset.tool = settings.tool;
    },
    can: () => history(view.log.all()),
});

element('#unfold').addEventListener('click', () => {
    const open = element('#strip').classList.toggle('is-open');
    element('#unfold').setAttribute('aria-expanded', String(open));
});

keepFitted(element('#stage'), frame, () => {
    view.fit();
    typing.fit();
});
await document.fonts.ready;
await load();
socket.open();
void outbox.flush();

function step(kind: 'withdraw' | 'reinstate', target: string | undefined): void {
    typing.close();
    if (target !== undefined) {
        make(kind, { target });
    }
}

/** Something finished: drawn here at once, kept here until the server has it. */
function make(kind: Operation['kind'], body: Operation['body'], id = newId()): void {
    const operation: Operation = { id, kind, layer: 'student', at: Date.now(), body };
    view.take([operation]);
    refreshTools();
    void outbox.put(canvas, operation);
}

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
    typing.close();
    const fresh = answer.canvas !== canvas;
    canvas = answer.canvas;
    if (fresh) {
        view.reset();
    }
    streams.reset(answer.position);
    view.take(answer.operations);
    view.take(outbox.waitingFor(canvas));
    view.drawAll();
    showWords(answer.prompt);
    refreshTools();
    sayState();
    frame.dataset.ready = canvas;
}

async function takePrompt(next: Prompt): Promise<void> {
    if (next.id === prompt) {
        showWords(next);
        return;
    }
    typing.close();
    await load();
}

function showWords(now: Prompt): void {
    prompt = now.id;
    element('#prompt-number').textContent = fill(page.words.prompt, { n: now.n });
    element('#prompt-words').textContent = now.words;
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
    const here = operations.filter((operation) => operation.canvas === canvas);
    if (here.length === 0) {
        return;
    }
    view.take(here);
    refreshTools();
    const missing = (): boolean => view.log.highest > view.log.known;
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
    typing.close();
    await outbox.flush();
    if (outbox.count === 0) {
        socket.close();
        location.reload();
    } else {
        ending = false;
        window.setTimeout(() => void leave(), 2000);
    }
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
