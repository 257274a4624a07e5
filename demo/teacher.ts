import { Visitor } from './visitor';
import type { SimulatedStudent } from './student';
import { sleep } from './student';
import { present } from '../resources/ts/present';

/** What is measured: what the teacher does, and when each student's page shows it. */
export interface Reached {
    /** Milliseconds from the teacher's click, for each page and each time. */
    times: number[];
    lost: number;
}

const PATIENCE_MS = 10_000;

/** A simulated teacher at the desk: does something for everybody, and waits until the last page has it. */
export class SimulatedTeacher {
    private readonly visitor: Visitor;
    private desk = '';
    private readonly prompts: string[] = [];
    private waiting: { what: string; clicked: number; times: number[] } | null = null;

    constructor(private readonly base: string) {
        this.visitor = new Visitor(base);
    }

    /** Opens the desk with the private return link. */
    async open(link: string): Promise<void> {
        const opened = await this.visitor.request(new URL(link).pathname);
        this.desk = new URL(opened.headers.get('location') ?? '', this.base).pathname;
        const page = await (await this.visitor.request(this.desk)).text();
        this.prompts.push(present(/&quot;prompt&quot;:&quot;(\w+)/.exec(page)?.[1]));
        this.prompts.push(
            ((await (await this.post('/prompts', { words: 'Brace the frame.' })).json()) as { prompt: string }).prompt,
        );
    }

    /** A student's page has shown something. */
    heard(what: string, at: number): void {
        if (this.waiting?.what === what) {
            this.waiting.times.push(at - this.waiting.clicked);
        }
    }

    async measure(students: SimulatedStudent[], rounds: number): Promise<Record<string, Reached>> {
        const found: Record<string, Reached> = {};
        for (let round = 0; round < rounds; round++) {
            const here = this.prompts[(round + 1) % 2];
            const deeds: [string, string, unknown][] = [
                ['pens_down', '/pens', { down: true, words: 'Look here' }],
                ['pens_up', '/pens', { down: false }],
                ['gather', `/prompt/${here}/gather`, {}],
                ['hand_out', `/prompt/${here}/hand-out`, { what: 'prompt', mode: 'backdrop' }],
            ];
            for (const [what, address, body] of deeds) {
                const reached = (found[what] ??= { times: [], lost: 0 });
                const times = await this.once(what, address, body, students.length);
                reached.times.push(...times);
                reached.lost += students.length - times.length;
                await sleep(1500);
            }
        }
        return found;
    }

    /** So many prompts, on each of which every student draws. */
    async teach(
        students: SimulatedStudent[],
        prompts: number,
        draw: (student: SimulatedStudent, prompt: number) => Promise<void>,
    ): Promise<void> {
        for (let n = 0; n < prompts; n++) {
            if (n > 0) {
                const { prompt } = (await (await this.post('/prompts', { words: `Prompt ${n + 1}` })).json()) as {
                    prompt: string;
                };
                await this.once('gather', `/prompt/${prompt}/gather`, {}, students.length);
            }
            for (const student of students) {
                await draw(student, n);
            }
        }
    }

    /** Asks for the record and waits for it. Resolves to milliseconds, and to the file. */
    async takeRecord(): Promise<{ ms: number; pdf: Uint8Array }> {
        const began = performance.now();
        const asked = await this.post('/record', { kind: 'pdf' });
        if (!asked.ok) {
            throw new Error(`record: ${asked.status} ${await asked.text()}`);
        }
        for (;;) {
            await sleep(100);
            const said = await (await this.visitor.request(`${this.desk}/record`)).text();
            if (said.includes('record.pdf')) {
                break;
            }
            if (said.includes('role="alert"')) {
                throw new Error('The record couldn’t be made.');
            }
        }
        const ms = performance.now() - began;
        return { ms, pdf: new Uint8Array(await (await this.visitor.request(`${this.desk}/record.pdf`)).arrayBuffer()) };
    }

    private async once(what: string, address: string, body: unknown, count: number): Promise<number[]> {
        const waiting = { what, clicked: Date.now(), times: [] as number[] };
        this.waiting = waiting;
        const answer = await this.post(address, body);
        if (!answer.ok) {
            throw new Error(`${what}: ${answer.status} ${await answer.text()}`);
        }
        for (let waited = 0; waiting.times.length < count && waited < PATIENCE_MS; waited += 20) {
            await sleep(20);
        }
        this.waiting = null;
        return waiting.times;
    }

    private post(address: string, body: unknown): Promise<Response> {
        return this.visitor.post(this.desk + address, body);
    }
}
