import { writeFileSync } from 'node:fs';
import { WebSocket } from 'ws';
import { encodeInk, type Sample } from '../resources/ts/canvas/model/ink';
import { newId, type Operation } from '../resources/ts/canvas/model/objects';
import { present } from '../resources/ts/present';
import { SimulatedStudent, sleep } from './student';
import { Visitor } from './visitor';

/** What a flood measures, all times in milliseconds. */
interface Flooded {
    ids: string[];
    /** From the end of each stroke to the answer that it is stored. */
    saved: number[];
    /** When each of those ended, in milliseconds since 1970. */
    savedAt: number[];
    /** From the end of each stroke until its session's desk hears of it. */
    desk: number[];
    /** From a point of a pen until its session's desk hears of it. */
    wet: number[];
    wetSent: number;
    joins: number[];
    /** Batches that were posted. */
    posts: number;
}

const AT_ONCE = 50;
/** So many come in at the same time. */
const JOINING = 4;
/** As often as a desk asks that is told the states: resources/ts/desk/watch/canvases.ts. */
const STATES_MS = 15_000;

/** A student who finishes strokes by the clock, whatever became of the ones before: what waits goes out together. */
class FloodingStudent extends SimulatedStudent {
    private readonly waiting: { operation: Operation; at: number }[] = [];
    private isOver = false;
    private delivering: Promise<void> | null = null;

    constructor(
        base: string,
        name: string,
        way: 'socket' | 'http',
        private readonly found: Flooded,
        private readonly ended: Map<string, number>,
    ) {
        super(base, name, { overHttp: () => found.posts++ }, way);
    }

    /** A stroke has ended. */
    finish(ink: string, id = newId()): void {
        const body = { object: { type: 'stroke' as const, colour: '#25323b', width: 40, ink } };
        const at = performance.now();
        this.ended.set(id, at);
        this.found.ids.push(id);
        this.waiting.push({ operation: { id, kind: 'add', layer: 'student', at: Date.now(), body }, at });
        this.delivering ??= this.deliver().finally(() => (this.delivering = null));
    }

    async rest(): Promise<void> {
        this.isOver = true;
        await this.delivering;
    }

    private async deliver(): Promise<void> {
        while (this.waiting.length > 0 && !this.over) {
            const some = this.waiting.slice(0, AT_ONCE);
            await this.postAll(some.map(({ operation }) => operation));
            const now = performance.now();
            some.forEach(({ operation, at }) => {
                this.found.saved.push(now - at);
                this.found.savedAt.push(operation.at);
            });
            this.waiting.splice(0, some.length);
        }
    }

    /** So many strokes a second, evenly spread from a moment of its own on; with wet ink the pen moves all the time. */
    async flood(seconds: number, rate: number, ink: (n: number) => Sample[], isWet: boolean): Promise<void> {
        const gap = 1000 / rate;
        await sleep(Math.random() * gap);
        const began = performance.now();
        for (let n = 0; performance.now() - began < seconds * 1000 && !this.isOver && !this.over; n++) {
            const samples = ink(n);
            const id = newId();
            if (isWet) {
                await this.move({ colour: '#25323b', width: 40 }, samples, id);
            } else {
                await sleep(began + n * gap - performance.now());
            }
            this.finish(encodeInk(samples), id);
        }
    }
}

/** A desk, as far as the server has work with it: it hears what its session's students do, and asks for the states. */
class SimulatedDesk {
    private readonly visitor: Visitor;
    private readonly sockets: WebSocket[] = [];
    private timer: NodeJS.Timeout | undefined;

    constructor(
        private readonly base: string,
        private readonly hear: (ids: string[]) => void,
        private readonly point: (stroke: string, upTo: number) => void,
    ) {
        this.visitor = new Visitor(base);
    }

    async open(link: string, withPens: boolean): Promise<void> {
        const opened = await this.visitor.request(new URL(link).pathname);
        const desk = new URL(opened.headers.get('location') ?? '', this.base).pathname;
        const page = await (await this.visitor.request(desk)).text();
        const prompt = present(/&quot;prompt&quot;:&quot;(\w+)/.exec(page)?.[1]);
        const session = present(desk.split('/').at(-1));
        await this.listen(`/live/desk/${session}`, (told) => {
            const { operations } = JSON.parse(told) as { operations?: { id?: string }[] };
            this.hear((operations ?? []).flatMap(({ id }) => id ?? []));
        });
        if (withPens) {
            await this.listen(`/live/pens/${session}`, (told) => {
                const { o, i } = JSON.parse(told) as { o: string; i?: number };
                if (i !== undefined) {
                    this.point(o, i);
                }
            });
            const ask = (): void =>
                void this.visitor.request(`${desk}/prompt/${prompt}/states?looks=1`).then((answer) => answer.text());
            ask();
            this.timer = setInterval(ask, STATES_MS);
        }
    }

    close(): void {
        clearInterval(this.timer);
        this.sockets.forEach((socket) => socket.close());
    }

    private listen(path: string, hear: (told: string) => void): Promise<void> {
        return new Promise((opened, failed) => {
            const socket = new WebSocket(this.base.replace(/^http/, 'ws') + path, {
                headers: { Cookie: this.visitor.cookie },
            });
            this.sockets.push(socket);
            socket.on('message', (data) => hear(String(data)));
            socket.on('open', () => opened());
            socket.on('error', failed);
        });
    }
}

/**
 * Sessions full of students who finish strokes by the clock, each with a desk that listens. Without wet ink no pen
 * moves: what is measured is storing alone.
 *
 * @param  sessions  join codes and desks' links
 */
export async function flood(
    base: string,
    sessions: { code: string; desk: string }[],
    count: number,
    seconds: number,
    rate: number,
    way: 'socket' | 'http',
    isWet: boolean,
    report: string,
    line: (seed: number, n: number) => Sample[],
): Promise<void> {
    const found: Flooded = { ids: [], saved: [], savedAt: [], desk: [], wet: [], wetSent: 0, joins: [], posts: 0 };
    const ended = new Map<string, number>();
    const points = new Map<string, Map<number, number>>();
    const desks = sessions.map(
        () =>
            new SimulatedDesk(
                base,
                (ids) =>
                    ids.forEach((id) => {
                        const at = ended.get(id);
                        if (at !== undefined) {
                            found.desk.push(performance.now() - at);
                            ended.delete(id);
                        }
                    }),
                (stroke, upTo) => {
                    const at = points.get(stroke)?.get(upTo);
                    if (at !== undefined) {
                        found.wet.push(performance.now() - at);
                    }
                },
            ),
    );
    for (const [i, desk] of desks.entries()) {
        await desk.open(present(sessions[i]).desk, isWet);
    }
    const students = Array.from({ length: count }, (_, i) => {
        const student = new FloodingStudent(base, `Student ${i + 1}`, way, found, ended);
        student.sendsPoint = (stroke, index) => {
            found.wetSent++;
            const of = points.get(stroke) ?? new Map<number, number>();
            points.set(stroke, of.set(index, performance.now()));
        };
        return student;
    });
    const waiting = students.map((student, i) => ({ student, code: present(sessions[i % sessions.length]).code }));
    const comeIn = async (): Promise<void> => {
        for (let next = waiting.shift(); next !== undefined; next = waiting.shift()) {
            found.joins.push(await next.student.join(next.code));
        }
    };
    await Promise.all(Array.from({ length: JOINING }, comeIn));
    console.log('joined');
    await new Promise((go) => process.stdin.once('data', go));
    await Promise.all(students.map((student, i) => student.flood(seconds, rate, (n) => line(i, n), isWet)));
    await Promise.all(students.map((student) => student.rest()));
    await sleep(1500);
    writeFileSync(report, JSON.stringify({ ...found, unheard: ended.size }));
    console.log('done');
    await new Promise((go) => process.stdin.once('data', go));
    students.forEach((student) => student.leave());
    desks.forEach((desk) => desk.close());
    process.exit(0);
}
