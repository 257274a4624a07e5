import { readFileSync, writeFileSync } from 'node:fs';
import { decodeInk, encodeInk, type Sample } from '../resources/ts/canvas/model/ink';
import type { Operation, Stroke, Text } from '../resources/ts/canvas/model/objects';
import { newId } from '../resources/ts/canvas/model/objects';
import { countBetween } from './counter';
import { endure } from './enduring';
import { flood } from './flood';
import { SimulatedStudent, sleep } from './student';
import { SimulatedTeacher } from './teacher';
import { present } from '../resources/ts/present';

/*
 * A simulated class, played against the real addresses.
 *   class.mjs play    BASE CODE class.json STUDENTS          the recorded class, over and over
 *   class.mjs scribble BASE CODE STUDENTS SECONDS REPORT PAUSE BEFORE   a measurement: everybody draws, BEFORE strokes
 * being there already
 *   class.mjs reach   BASE CODE DESK STUDENTS ROUNDS REPORT  a measurement: what the teacher does, until every page
 * has it
 *   class.mjs record  BASE CODE DESK STUDENTS PROMPTS STROKES REPORT PDF   a measurement: a lesson, and its record
 *   class.mjs endure  BASE CODE STUDENTS REPORT              a measurement: a class that draws on whatever is broken
 * under it
 *   class.mjs flood   BASE SESSIONS STUDENTS SECONDS RATE WAY WET REPORT   a measurement: strokes by the clock, in the
 * sessions of a JSON list
 *   class.mjs count   PORT TARGET                            a measurement: counts the bytes between a browser and the
 * server
 */

interface Step {
    wait: number;
    stroke?: Omit<Stroke, 'type'>;
    text?: Text;
    rub?: number;
}

interface Recorded {
    name: string;
    /** What is typed as the force at the right end. */
    answer: string | null;
    steps: Step[];
}

/** Names for a class that is larger than the recorded one. */
const FIRST = [
    'Ida',
    'Corin',
    'Malia',
    'Teodor',
    'Wanda',
    'Ravi',
    'Sunniva',
    'Pim',
    'Lucasta',
    'Odell',
    'Zofia',
    'Bram',
    'Keziah',
    'Anselm',
    'Nila',
    'Eskil',
    'Tamar',
    'Joss',
    'Ulla',
];
const LAST = [
    'Fernhill',
    'Tarn',
    'Copperwell',
    'Moss',
    'Girder',
    'Hollins',
    'Strand',
    'Peat',
    'Lantern',
    'Rook',
    'Sallow',
    'Cairn',
    'Weir',
];

const [mode, base = '', code = '', ...rest] = process.argv.slice(2);

/** How much of the work is there already when the demo opens, so that the grid is worth a look at once. */
const HEAD_START = 0.55;

async function play(file: string, count: number): Promise<void> {
    const { students } = JSON.parse(readFileSync(file, 'utf8')) as { students: Recorded[] };
    for (let i = 0; i < count; i++) {
        const recorded = present(students[i % students.length]);
        const name = i < students.length ? recorded.name : `${FIRST[i % FIRST.length]} ${LAST[(i * 7) % LAST.length]}`;
        const student = new SimulatedStudent(base, name);
        await student.join(code);
        void perform(student, recorded, i).catch((problem: unknown) => console.error(name, problem));
    }
    console.log('joined');
}

async function perform(student: SimulatedStudent, { steps, answer }: Recorded, place: number): Promise<void> {
    const there: string[] = [];
    const start = Math.floor(steps.length * Math.min(1, HEAD_START * (0.4 + Math.random() * 1.2)));
    const before: Operation[] = [];
    for (const step of steps.slice(0, start)) {
        const object = step.stroke !== undefined ? { type: 'stroke' as const, ...step.stroke } : step.text;
        const id = newId();
        if (object !== undefined) {
            before.push({ id, kind: 'add', layer: 'student', at: Date.now(), body: { object } });
            there.push(id);
        } else {
            before.push({
                id,
                kind: 'remove',
                layer: 'student',
                at: Date.now(),
                body: { targets: there.splice(-present(step.rub)) },
            });
        }
    }
    for (let i = 0; i < before.length; i += 50) {
        await student.postAll(before.slice(i, i + 50));
    }
    const isDone = start === steps.length;
    if (isDone) {
        await give(student, answer, place);
    }
    for (const step of steps.slice(start)) {
        await once(student, step, there);
    }
    if (!isDone) {
        await give(student, answer, place);
    }
    // Gently on: the last few strokes are rubbed out now and then, and made again.
    const again = steps.filter((step) => step.stroke !== undefined).slice(-6);
    while (!student.over && again.length > 0) {
        await sleep(12_000 + Math.random() * 30_000);
        await once(student, { wait: 0, rub: Math.min(again.length, there.length) }, there);
        for (const step of again) {
            await once(student, step, there);
        }
    }
}

/** The answer is typed; every sixth student is content with it and sends the work. */
async function give(student: SimulatedStudent, answer: string | null, place: number): Promise<void> {
    if (answer !== null) {
        await student.post('answer', { question: 'force', value: answer });
        if (place % 6 === 1) {
            await student.sendWork();
        }
    }
}

async function once(student: SimulatedStudent, step: Step, there: string[]): Promise<void> {
    await sleep(step.wait * (0.7 + Math.random() * 0.8));
    if (student.over) {
        return;
    }
    if (step.stroke !== undefined) {
        there.push(await student.draw(step.stroke, decodeInk(step.stroke.ink)));
    } else if (step.text !== undefined) {
        there.push(await student.type(step.text));
    } else if (step.rub !== undefined && there.length > 0) {
        await student.post('remove', { targets: there.splice(-step.rub) });
    }
}

async function scribble(count: number, seconds: number, report: string, pause: number, before: number): Promise<void> {
    const sent: [string, number, number][] = [];
    const posts: number[] = [];
    const ids: string[] = [];
    const watch = {
        sent: (stroke: string, index: number, at: number) => sent.push([stroke, index, at]),
        posted: (ms: number, posted: string[]) => {
            posts.push(ms);
            ids.push(...posted);
        },
    };
    const students = Array.from({ length: count }, (_, i) => new SimulatedStudent(base, `Student ${i + 1}`, watch));
    const joins: number[] = [];
    await Promise.all(
        students.map(async (student, i) => {
            await sleep((i * 10_000) / Math.max(100, count));
            joins.push(await student.join(code));
        }),
    );
    for (const [i, student] of students.entries()) {
        for (let n = 0; n < before; n += 50) {
            await student.postAll(
                Array.from({ length: Math.min(50, before - n) }, (_, k): Operation => ({
                    id: newId(),
                    kind: 'add',
                    layer: 'student',
                    at: Date.now(),
                    body: { object: { type: 'stroke', colour: '#25323b', width: 40, ink: encodeInk(line(i, n + k)) } },
                })),
            );
        }
    }
    console.log('joined');
    await new Promise((go) => process.stdin.once('data', go));
    const until = Date.now() + seconds * 1000;
    await Promise.all(
        students.map(async (student, i) => {
            await sleep(Math.random() * 1000);
            for (let n = 0; Date.now() < until; n++) {
                await student.draw({ colour: '#25323b', width: 40 }, line(i, before + n));
                await sleep(pause * (0.5 + Math.random()));
            }
        }),
    );
    writeFileSync(report, JSON.stringify({ sent, posts, ids, joins }));
    console.log('done');
    await new Promise((go) => process.stdin.once('data', go));
    students.forEach((student) => student.leave());
    process.exit(0);
}

async function reach(desk: string, count: number, rounds: number, report: string): Promise<void> {
    const teacher = new SimulatedTeacher(base);
    const watch = { heard: (what: string, at: number) => teacher.heard(what, at) };
    const named = (name: string): SimulatedStudent[] =>
        Array.from({ length: count }, (_, i) => new SimulatedStudent(base, `${name} ${i + 1}`, watch));
    // Names are typed already: everybody presses in the same moment, or in the same second.
    const together = <T>(of: SimulatedStudent[], does: (student: SimulatedStudent) => Promise<T>): Promise<T[]> =>
        Promise.all(of.map(does));
    const within = <T>(of: SimulatedStudent[], does: (student: SimulatedStudent) => Promise<T>): Promise<T[]> =>
        Promise.all(of.map((student, i) => sleep((1000 * i) / count).then(() => does(student))));
    const atTheDoor = async (some: SimulatedStudent[]): Promise<SimulatedStudent[]> => {
        for (const student of some) {
            await student.comeToDoor(code);
        }
        await sleep(1000);
        return some;
    };
    const join = (student: SimulatedStudent): Promise<number> => student.join(code);
    const reload = (student: SimulatedStudent): Promise<number> => student.reload();
    const students = await atTheDoor(named('Student'));
    const joins = await together(students, join);
    await teacher.open(desk);
    await sleep(2000);
    const reloads = await together(students, reload);
    // The class works meanwhile, calmly.
    students.forEach(
        (student, i) =>
            void (async () => {
                for (let n = 0; !student.over; n++) {
                    await sleep(4000 + Math.random() * 8000);
                    await student.draw({ colour: '#25323b', width: 40 }, line(i, n));
                }
            })(),
    );
    await sleep(2000);
    const told = await teacher.measure(students, rounds);
    students.forEach((student) => student.leave());
    await sleep(1000);
    const later = await atTheDoor(named('Later'));
    const joinsInASecond = await within(later, join);
    await sleep(1000);
    const reloadsInASecond = await within(later, reload);
    later.forEach((student) => student.leave());
    const measured = {
        join: { times: joins, lost: 0 },
        join_in_a_second: { times: joinsInASecond, lost: 0 },
        reload: { times: reloads, lost: 0 },
        reload_in_a_second: { times: reloadsInASecond, lost: 0 },
        ...told,
    };
    writeFileSync(report, JSON.stringify(measured));
    process.exit(0);
}

async function record(
    desk: string,
    count: number,
    prompts: number,
    strokes: number,
    report: string,
    pdf: string,
): Promise<void> {
    const teacher = new SimulatedTeacher(base);
    const students = Array.from(
        { length: count },
        (_, i) => new SimulatedStudent(base, `Student ${i + 1}`, { heard: (what, at) => teacher.heard(what, at) }),
    );
    for (const student of students) {
        await student.join(code);
    }
    await teacher.open(desk);
    await teacher.teach(students, prompts, async (student, n) => {
        for (let i = 0; i < strokes; i += 50) {
            await student.postAll(
                Array.from({ length: Math.min(50, strokes - i) }, (_, k): Operation => ({
                    id: newId(),
                    kind: 'add',
                    layer: 'student',
                    at: Date.now(),
                    body: { object: { type: 'stroke', colour: '#25323b', width: 40, ink: encodeInk(line(n, i + k)) } },
                })),
            );
        }
    });
    const taken = await teacher.takeRecord();
    writeFileSync(pdf, taken.pdf);
    writeFileSync(report, JSON.stringify({ ms: taken.ms }));
    students.forEach((student) => student.leave());
    process.exit(0);
}

/** About a second of a wave across the page, 60 points a second. */
function line(seed: number, n: number): Sample[] {
    const y = 500 + ((n * 397 + seed * 71) % 9000);
    return Array.from({ length: 60 }, (_, i): Sample => [
        1000 + i * 230,
        Math.round(y + 300 * Math.sin((i + seed) / 5)),
        128,
        Math.round(i * 16.67),
    ]);
}

process.on('SIGTERM', () => process.exit(0));
process.on('SIGINT', () => process.exit(0));

if (mode === 'count') {
    countBetween(Number(base), Number(code));
} else if (mode === 'flood') {
    const [students, seconds, rate, way, isWet, report] = rest;
    await flood(
        base,
        JSON.parse(code) as { code: string; desk: string }[],
        Number(students),
        Number(seconds),
        Number(rate),
        way === 'http' ? 'http' : 'socket',
        isWet === 'wet',
        present(report),
        line,
    );
} else if (mode === 'endure') {
    await endure(base, code, Number(rest[0]), rest[1] ?? '', line);
} else if (mode === 'reach') {
    await reach(present(rest[0]), Number(rest[1]), Number(rest[2]), present(rest[3]));
} else if (mode === 'record') {
    await record(
        present(rest[0]),
        Number(rest[1]),
        Number(rest[2]),
        Number(rest[3]),
        present(rest[4]),
        present(rest[5]),
    );
} else if (mode === 'play') {
    await play(present(rest[0]), Number(rest[1]));
} else {
    await scribble(Number(rest[0]), Number(rest[1]), present(rest[2]), Number(rest[3] ?? 0), Number(rest[4] ?? 0));
}
