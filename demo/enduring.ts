import { writeFileSync } from 'node:fs';
import { createInterface } from 'node:readline';
import { encodeInk, type Sample } from '../resources/ts/canvas/model/ink';
import { newId, type Operation } from '../resources/ts/canvas/model/objects';
import { SimulatedStudent, sleep } from './student';
import { present } from '../resources/ts/present';

/** What a student's page holds at the end: which strokes it was told are stored, and what it saw on its canvas. */
interface Endured {
    canvas: string;
    made: number;
    acknowledged: [id: string, n: number][];
    refused: string[];
    /** The log as the page has it from its socket and from catching up. */
    seen: [id: string, n: number][];
}

const PAUSE_MS = 400;
const PATIENCE_MS = 90_000;

/**
 * A student who draws on whatever happens: what is not acknowledged is sent again, now and then twice, and out of
 * order.
 */
export class EnduringStudent extends SimulatedStudent {
    private readonly waiting: Operation[] = [];
    private readonly acknowledged = new Map<string, number>();
    private readonly refused = new Set<string>();
    private readonly seen = new Map<string, number>();
    private made = 0;
    /** How often the next batches are sent at the same time, and whether they go in order. */
    mischief = { times: 1, turned: false };
    private done = false;

    constructor(base: string, name: string) {
        super(base, name, { operations: (some) => some.forEach(({ id, n }) => this.seen.set(id, present(n))) });
    }

    async endure(seed: number, line: (seed: number, n: number) => Sample[]): Promise<void> {
        void this.deliver();
        while (!this.done) {
            await sleep(PAUSE_MS * (0.5 + Math.random()));
            if (this.done) {
                return;
            }
            this.waiting.push({
                id: newId(),
                kind: 'add',
                layer: 'student',
                at: Date.now(),
                body: {
                    object: { type: 'stroke', colour: '#25323b', width: 40, ink: encodeInk(line(seed, this.made++)) },
                },
            });
        }
    }

    /** Makes no more, and waits until all that was made is answered for and seen. */
    async finish(): Promise<Endured> {
        this.done = true;
        const until = Date.now() + PATIENCE_MS;
        while (
            (this.waiting.length > 0 || [...this.acknowledged.keys()].some((id) => !this.seen.has(id))) &&
            Date.now() < until
        ) {
            await sleep(200);
            await this.catchUp().catch(() => undefined);
        }
        return {
            canvas: this.canvasId,
            made: this.made,
            acknowledged: [...this.acknowledged],
            refused: [...this.refused],
            seen: [...this.seen],
        };
    }

    private async deliver(): Promise<void> {
        for (let failures = 0; !this.done || this.waiting.length > 0;) {
            if (this.waiting.length === 0) {
                await sleep(100);
                continue;
            }
            const { times, turned } = this.mischief;
            this.mischief = { times: 1, turned: false };
            const batch = this.waiting.slice(0, 20);
            const parts = turned
                ? [batch.slice(batch.length / 2).reverse(), batch.slice(0, batch.length / 2)]
                : [batch];
            const answers = await Promise.all(
                Array.from({ length: times }, () => parts)
                    .flat()
                    .map((part) => (part.length === 0 ? null : this.tryToPost(part))),
            );
            for (const answer of answers) {
                answer?.accepted.forEach(({ id, n }) => this.acknowledged.set(id, n));
                answer?.refused.forEach(({ id }) => id !== null && this.refused.add(id));
            }
            const left = this.waiting.filter(({ id }) => !this.acknowledged.has(id) && !this.refused.has(id));
            failures = left.length < this.waiting.length ? 0 : failures + 1;
            this.waiting.splice(0, this.waiting.length, ...left);
            if (failures > 0) {
                await sleep(Math.min(2000, 150 * 2 ** failures));
            }
        }
    }
}

/** A class of them, told what to do line by line: twice, turned, cut, end. */
export async function endure(
    base: string,
    code: string,
    count: number,
    report: string,
    line: (seed: number, n: number) => Sample[],
): Promise<void> {
    const students = Array.from({ length: count }, (_, i) => new EnduringStudent(base, `Student ${i + 1}`));
    for (const student of students) {
        await student.join(code);
    }
    const drawing = students.map((student, i) => student.endure(i, line));
    console.log('joined');
    for await (const word of createInterface({ input: process.stdin })) {
        if (word === 'twice') {
            students.forEach((student) => (student.mischief = { times: 2, turned: false }));
        } else if (word === 'turned') {
            students.forEach((student) => (student.mischief = { times: 1, turned: true }));
        } else if (word === 'cut') {
            students.forEach((student) => student.cut());
        } else if (word === 'end') {
            const endured = await Promise.all(students.map((student) => student.finish()));
            await Promise.all(drawing);
            writeFileSync(report, JSON.stringify(endured));
            console.log('done');
            students.forEach((student) => student.leave());
            process.exit(0);
        }
    }
}
