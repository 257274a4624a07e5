import { Visitor } from './visitor';
import { WebSocket } from 'ws';
import { encodeInk, type Sample } from '../resources/ts/canvas/model/ink';
import { newId, type Operation, type Stroke, type Text, type WetInk } from '../resources/ts/canvas/model/objects';
import { WORN } from '../resources/ts/live/inkline';
import { KeeperLine, type Kept } from '../resources/ts/live/keeper';
import { present } from '../resources/ts/present';

/** As the page sends it: resources/ts/live/wet.ts. */
const BEAT_MS = 33;
const LONGEST_WAIT_MS = 8_000;

export interface Watch {
    /** A point was made at `at` and went out as the stroke's sample number `index`. */
    sent?(stroke: string, index: number, at: number): void;
    /** It is stored: how long that took. */
    posted?(ms: number, ids: string[]): void;
    /** A batch went out over HTTP. */
    overHttp?(): void;
    /** The page has shown what the teacher did: milliseconds since 1970. */
    heard?(what: string, at: number): void;
    /** What the page has of its own canvas's log, from the socket or from catching up. */
    operations?(operations: Operation[]): void;
}

export const sleep = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, Math.max(0, ms)));

/** What a student's page is told, as far as a simulated one goes by it. */
type Told =
    | { type: 'prompt'; body: { prompt: { id: string } } }
    | { type: 'room'; body: { room: { pens: unknown } } }
    | { type: 'handout'; body: { handout: string } }
    | { type: 'own'; body: { own: { ask?: Asked | null; prompt: string | null; together: Near | null } } }
    | { type: 'ended' };

interface Asked {
    id: string;
    isOpen: boolean;
    mine: unknown;
    /** Where it is answered by drawing: on which canvas. */
    pad?: { canvas: string | null } | null;
    question: { kind: string; options?: { id: string }[]; from?: number; to?: number };
}

const FORCES = ['80 N', '80 N', '80 N', '240 N', '60 N', '720 N', '80'];
const WORDS = ['the pivot', 'the pivot', 'the strut', 'moments balance', 'I am not sure'];

const one = <T>(of: readonly T[]): T => present(of[Math.floor(Math.random() * of.length)]);

/** What such a student might say. */
function guess({ kind, options, from, to }: Asked['question']): unknown {
    switch (kind) {
        case 'choice':
            return one(present(options)).id;
        case 'choices':
            return present(options)
                .filter(() => Math.random() < 0.5)
                .map(({ id }) => id);
        case 'scale':
            return present(from) + Math.floor(Math.random() * (present(to) - present(from) + 1));
        case 'text':
            return one(WORDS);
        default:
            return one(FORCES);
    }
}

/** Where ink on a canvas that several draw on goes. */
interface Near {
    group: string;
    channel: string;
    ink: string;
}

/** What a page begins with, as far as a simulated one goes by it. */
interface Opening {
    canvas: string;
    ended: boolean;
    waiting?: boolean;
    own?: { together: Near | null };
}

/** One simulated student: joins over HTTP, opens the socket, draws wet and posts dry, as a browser's page does. */
export class SimulatedStudent {
    private readonly visitor: Visitor;
    private socket: WebSocket | null = null;
    /** What is drawn, to the desks. */
    private line: WebSocket | null = null;
    private sentOnLine = 0;
    private seat = '';
    private session = '';
    private ink = '';
    private near: Near | null = null;
    private canvas = '';
    /** Up to here the canvas's log is whole. */
    private known = 0;
    private readonly keeper = new KeeperLine({
        seat: () => this.seat,
        key: () => this.key,
        send: (text) => {
            const isOpen = this.socket?.readyState === WebSocket.OPEN;
            if (isOpen) {
                this.socket?.send(text);
            }
            return isOpen;
        },
    });
    private key = '';
    private token = '';
    private readonly failures = { seat: 0, wet: 0 };
    private arePensDown = false;
    private answered = '';
    private ahead: (Opening & { prompt: { id: string } }) | undefined;
    /** A message of ink has gone out: its stroke, and the number of its first point. */
    sendsPoint: ((stroke: string, index: number) => void) | undefined;
    /** Ended sessions take no more strokes. */
    over = false;

    constructor(
        private readonly base: string,
        readonly name: string,
        private readonly watch: Watch = {},
        /** Whether finished work goes over the socket where it can, as a page's does. */
        private readonly way: 'socket' | 'http' = 'socket',
    ) {
        this.visitor = new Visitor(base);
    }

    /** Opens the page on which a name is asked for. */
    async comeToDoor(code: string): Promise<void> {
        const form = await (await this.visitor.request(`/join/${code}`)).text();
        this.token = /name="_token" value="([^"]+)"/.exec(form)?.[1] ?? '';
    }

    /** Comes in. Resolves to the milliseconds from the name that was sent until the page is ready to be drawn on. */
    async join(code: string): Promise<number> {
        if (this.token === '') {
            await this.comeToDoor(code);
        }
        const began = performance.now();
        const joined = await this.visitor.request('/join', {
            method: 'POST',
            headers: { 'Content-Type': 'application/x-www-form-urlencoded' },
            body: new URLSearchParams({ _token: this.token, code, name: this.name }).toString(),
        });
        await this.openPage(new URL(joined.headers.get('location') ?? '/', this.base).pathname);
        return performance.now() - began;
    }

    /** As a browser that reloads the page. Resolves to the milliseconds until it is ready to be drawn on. */
    async reload(): Promise<number> {
        const began = performance.now();
        this.hangUp();
        await this.openPage(`/seat/${this.seat}`);
        return performance.now() - began;
    }

    private async openPage(path: string): Promise<void> {
        // A class opens thirty at once: of a page only what is needed is decoded.
        const page = Buffer.from(await (await this.visitor.request(path)).arrayBuffer());
        const between = (before: string, after: string): string | undefined => {
            const from = page.indexOf(before) + before.length;
            return from < before.length ? undefined : page.toString('utf8', from, page.indexOf(after, from));
        };
        const data = between('data-page="', '"');
        if (data === undefined) {
            throw new Error(`${this.name} did not get in.`);
        }
        const told = JSON.parse(data.replaceAll('&quot;', '"')) as {
            session: string;
            seat: string;
            ink: string;
            keep: string;
        };
        this.session = told.session;
        this.seat = told.seat;
        this.ink = told.ink;
        this.key = told.keep;
        const opening = between('<script id="opening" type="application/json">', '</script>');
        if (opening === undefined) {
            const said = page
                .toString()
                .replace(/<(script|style)\b.*?<\/\1>|<[^>]*>/gs, ' ')
                .replace(/\s+/g, ' ');
            throw new Error(`${this.name} is not in the room: ${said.slice(0, 400)}`);
        }
        await this.begin(JSON.parse(opening) as Opening);
        await this.connect();
    }

    /** The pen moves and comes up, and the stroke is stored. */
    async draw(stroke: Omit<Stroke, 'type' | 'ink'>, samples: Sample[]): Promise<string> {
        const id = newId();
        await this.move(stroke, samples, id);
        await this.post('add', { object: { type: 'stroke', ...stroke, ink: encodeInk(samples) } }, id);
        return id;
    }

    /** The pen moves; points are made in real time and go out a few at a time. */
    protected async move(stroke: Omit<Stroke, 'type' | 'ink'>, samples: Sample[], id: string): Promise<void> {
        const began = Date.now();
        let sent = 0;
        let made = 0;
        while (this.arePensDown && !this.over) {
            await sleep(200);
        }
        while (made < samples.length) {
            await sleep(Math.min(BEAT_MS, present(samples[samples.length - 1])[3] - (Date.now() - began) + 1));
            const elapsed = Date.now() - began;
            while (made < samples.length && present(samples[made])[3] <= elapsed) {
                made++;
            }
            if (made > sent) {
                const message: WetInk = {
                    k: this.near?.ink ?? this.ink,
                    c: this.canvas,
                    o: id,
                    s: [stroke.colour, stroke.width],
                    i: sent,
                    p: encodeInk(samples.slice(sent, made)),
                };
                if (this.send(message)) {
                    this.sendsPoint?.(id, sent);
                    for (let i = sent; i < made; i++) {
                        this.watch.sent?.(id, i, began + present(samples[i])[3]);
                    }
                    sent = made;
                }
            }
        }
        if (this.sentOnLine >= WORN) {
            void this.renewLine();
        }
    }

    /** Words letter by letter. */
    async type(text: Text): Promise<string> {
        const id = newId();
        for (let i = 1; i <= text.text.length; i++) {
            this.send({
                k: this.near?.ink ?? this.ink,
                c: this.canvas,
                o: id,
                t: { ...text, text: text.text.slice(0, i) },
            });
            await sleep(70 + Math.random() * 120);
        }
        await this.post('add', { object: text }, id);
        return id;
    }

    async post(kind: Operation['kind'], body: Operation['body'], id = newId()): Promise<void> {
        await this.postAll([{ id, kind, layer: 'student', at: Date.now(), body }]);
    }

    /** Sends until there is an answer, as the page's outbox does. */
    async postAll(operations: Operation[]): Promise<void> {
        for (let tries = 0; !this.over; tries++) {
            const began = performance.now();
            const done = (): void =>
                this.watch.posted?.(
                    performance.now() - began,
                    operations.map(({ id }) => id),
                );
            if (this.way === 'socket' && (await this.keeper.send(this.canvas, operations)) !== null) {
                done();
                return;
            }
            this.watch.overHttp?.();
            const response = await this.visitor
                .post(`/seat/${this.seat}/operations`, { canvas: this.canvas, operations })
                .catch(() => null);
            if (response?.ok) {
                await response.arrayBuffer();
                done();
                return;
            }
            if (response?.status === 410 || response?.status === 403 || response?.status === 404) {
                this.over = true;
                return;
            }
            await sleep(Math.min(8000, 500 * 2 ** tries));
        }
    }

    /** Once; null where there is no answer that says what became of them. */
    protected async tryToPost(
        operations: Operation[],
    ): Promise<{ accepted: { id: string; n: number }[]; refused: { id: string | null }[] } | null> {
        const kept = this.way === 'socket' ? await this.keeper.send(this.canvas, operations) : null;
        if (kept !== null) {
            return kept;
        }
        const response = await this.visitor
            .post(`/seat/${this.seat}/operations`, { canvas: this.canvas, operations }, AbortSignal.timeout(15_000))
            .catch(() => null);
        return response?.ok
            ? ((await response.json().catch(() => null)) as {
                  accepted: { id: string; n: number }[];
                  refused: { id: string | null }[];
              } | null)
            : null;
    }

    protected get canvasId(): string {
        return this.canvas;
    }

    /** Asks for what was missed on the canvas, until there is no more. */
    protected async catchUp(): Promise<void> {
        for (let more = true; more;) {
            const response = await this.visitor.request(
                `/seat/${this.seat}/catch-up?canvas=${this.canvas}&operations=${this.known}`,
                { signal: AbortSignal.timeout(15_000) },
            );
            const answer = (await response.json()) as { operations: Operation[]; more: boolean };
            this.take(answer.operations, true);
            more = answer.more;
        }
    }

    /** The network goes for a moment. */
    cut(): void {
        this.socket?.terminate();
        this.line?.terminate();
    }

    /** As a page does: what came live is kept, and where a number is missing it asks. */
    private take(operations: Operation[], caughtUp: boolean): void {
        const here = operations.filter(({ canvas }) => canvas === this.canvas);
        this.watch.operations?.(here);
        here.forEach(({ n }) =>
            caughtUp ? (this.known = Math.max(this.known, present(n))) : n === this.known + 1 && this.known++,
        );
    }

    /** Presses "Send to teacher"; what is sent is not drawn on any more. */
    async sendWork(): Promise<void> {
        await this.visitor.post(`/seat/${this.seat}/send`, { canvas: this.canvas });
        this.over = true;
    }

    leave(): void {
        this.over = true;
        this.hangUp();
    }

    private hangUp(): void {
        for (const socket of [this.socket, this.line]) {
            socket?.removeAllListeners('close');
            socket?.close();
        }
    }

    private send(message: WetInk): boolean {
        if (this.line?.readyState !== WebSocket.OPEN) {
            return false;
        }
        this.line.send(JSON.stringify(message));
        this.sentOnLine++;
        return true;
    }

    /** Another takes over from a worn line between two strokes, as in a page. */
    private async renewLine(): Promise<void> {
        const worn = this.line;
        this.sentOnLine = 0;
        await this.open('wet', (socket) => {
            this.line = socket;
        });
        worn?.removeAllListeners('close');
        worn?.close();
    }

    private async takeCanvas(): Promise<void> {
        const response = await this.visitor.request(`/seat/${this.seat}/canvas`, {
            headers: { Accept: 'application/json' },
        });
        await this.begin((await response.json()) as Opening);
    }

    private async begin(answer: Opening): Promise<void> {
        this.canvas = answer.canvas;
        this.over ||= answer.ended;
        if (answer.own !== undefined) {
            this.drawNear(answer.own.together);
        }
        if (answer.waiting === true) {
            await this.acknowledge();
        }
    }

    /** Ink goes where those hear it who draw on the same canvas, or to the desks alone. */
    private drawNear(near: Near | null): void {
        const moves = near?.channel !== this.near?.channel;
        this.near = near;
        if (moves && this.line !== null) {
            // It opens again of itself, where it belongs now.
            this.line.close();
        }
    }

    private async connect(): Promise<void> {
        await Promise.all([
            this.open('seat', (socket) => {
                this.socket = socket;
                socket.on('message', (data) => this.hear(String(data)));
            }),
            this.open('wet', (socket) => {
                this.line = socket;
            }),
        ]);
    }

    /** Opens a socket, again whenever it closes; resolves when it is open or cannot be. */
    private open(what: 'seat' | 'wet', begun: (socket: WebSocket) => void): Promise<void> {
        return new Promise((opened) => {
            const socket = new WebSocket(
                this.base.replace(/^http/, 'ws') +
                    (what === 'wet' && this.near !== null
                        ? `/live/near/${this.session}/${this.seat}/${this.near.channel}`
                        : `/live/${what}/${this.session}/${this.seat}`),
                { headers: { Cookie: this.visitor.cookie } },
            );
            begun(socket);
            socket.on('open', () => {
                this.failures[what] = 0;
                opened();
            });
            socket.on('error', () => opened());
            socket.on('close', () => {
                if (what === 'seat') {
                    this.keeper.closed();
                }
                if (!this.over) {
                    // As pages wait: resources/ts/live/socket.ts.
                    const wait = Math.min(LONGEST_WAIT_MS, 300 * 2 ** ++this.failures[what]);
                    setTimeout(() => void this.open(what, begun), wait * (0.7 + Math.random() * 0.6));
                }
            });
        });
    }

    /** What a page does about what it hears. */
    private hear(text: string): void {
        const { event, opening, operations, kept } = JSON.parse(text) as {
            operations?: Operation[];
            kept?: Kept;
            event?: Told;
            opening?: Opening & { prompt: { id: string } };
        };
        const at = Date.now();
        if (kept !== undefined) {
            this.keeper.hear(kept);
        }
        if (operations !== undefined) {
            this.take(operations, false);
        } else if (opening !== undefined) {
            this.ahead = opening;
        } else if (event?.type === 'prompt' && this.ahead?.prompt.id === event.body.prompt.id) {
            this.canvas = this.ahead.canvas;
            this.drawNear(this.ahead.own?.together ?? null);
            if (this.ahead.waiting === true) {
                void this.acknowledge();
            }
            this.watch.heard?.('gather', at);
        } else if (event?.type === 'prompt') {
            void this.takeCanvas()
                .then(() => this.watch.heard?.('gather', Date.now()))
                .catch(() => undefined);
        } else if (event?.type === 'room') {
            const { pens } = event.body.room;
            this.arePensDown = pens !== null;
            this.watch.heard?.(this.arePensDown ? 'pens_down' : 'pens_up', at);
        } else if (event?.type === 'handout') {
            this.watch.heard?.('hand_out', at);
            void this.acknowledge(event.body.handout);
        } else if (event?.type === 'own') {
            this.answer(event.body.own.ask ?? null);
            if (event.body.own.together?.group !== this.near?.group) {
                void this.takeCanvas().catch(() => undefined);
            } else {
                this.drawNear(event.body.own.together);
            }
        } else if (event?.type === 'ended') {
            this.leave();
        }
    }

    /** The page has what was handed out: one thing, or all that lies there. */
    private async acknowledge(handout?: string): Promise<void> {
        await this.visitor
            .post(`/seat/${this.seat}/got`, { canvas: this.canvas, ...(handout !== undefined && { handout }) })
            .catch(() => undefined);
    }

    /** A beam, a support and a force or two, on the canvas that a quick ask is answered on; most send it. */
    private async drawAnswer(canvas: string): Promise<void> {
        const line = (from: [number, number], to: [number, number]): Sample[] =>
            [0, 0.25, 0.5, 0.75, 1].map((at, i) => [
                Math.round(10 * (from[0] + at * (to[0] - from[0]) + Math.random() * 8)),
                Math.round(10 * (from[1] + at * (to[1] - from[1]) + Math.random() * 8)),
                128,
                40 * i,
            ]);
        const load = 350 + Math.random() * 900;
        const strokes = [
            line([250, 500], [1350, 500]),
            line([600, 505], [550, 600]),
            line([600, 505], [650, 600]),
            line([load, 250], [load, 490]),
            line([load, 490], [load - 35, 430]),
            line([load, 490], [load + 35, 430]),
        ];
        for (const samples of strokes.slice(0, 3 + Math.floor(Math.random() * 4))) {
            const object = { type: 'stroke', colour: '#25323b', width: 40, ink: encodeInk(samples) };
            const id = newId();
            await this.visitor
                .post(`/seat/${this.seat}/operations`, {
                    canvas,
                    operations: [{ id, kind: 'add', layer: 'student', at: Date.now(), body: { object } }],
                })
                .catch(() => undefined);
            await sleep(300 + Math.random() * 900);
        }
        if (Math.random() < 0.8) {
            await this.visitor.post(`/seat/${this.seat}/send`, { canvas }).catch(() => undefined);
        }
    }

    /** A quick ask is thought about for a moment, and answered once. */
    private answer(ask: Asked | null): void {
        if (ask === null || !ask.isOpen || ask.mine !== null || ask.id === this.answered) {
            return;
        }
        this.answered = ask.id;
        const canvas = ask.pad?.canvas ?? null;
        if (ask.pad !== undefined && ask.pad !== null) {
            setTimeout(() => canvas !== null && void this.drawAnswer(canvas), 800 + Math.random() * 4000);
            return;
        }
        setTimeout(
            () =>
                void this.visitor
                    .post(`/seat/${this.seat}/ask`, { ask: ask.id, value: guess(ask.question) })
                    .catch(() => undefined),
            800 + Math.random() * 5000,
        );
    }
}
