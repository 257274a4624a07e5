import assert from 'node:assert/strict';
import { beforeEach, test } from 'vitest';
import { Streams, type Caught, type LiveEvent } from '../../resources/ts/live/streams';
import { present } from '../../resources/ts/present';

const globals = globalThis as unknown as Record<string, unknown>;
globals.window = globalThis;
globals.document = { cookie: '' };

let asked: URL[] = [];
let answer: () => Response = () => new Response('{}', { status: 500 });
globals.fetch = (address: string) => {
    asked.push(new URL(address, 'http://crag.test'));
    return Promise.resolve(answer());
};

const event = (n: number): LiveEvent => ({ n, type: `e${n}`, body: {} });
const caught = (events: Caught['events']): Response =>
    new Response(
        JSON.stringify({ events, operations: [], more: Object.values(events).some((some) => some.length >= 500) }),
    );

function listen(): { streams: Streams; heard: string[]; refused: number[] } {
    const heard: string[] = [];
    const refused: number[] = [];
    const streams = new Streams(
        { room: 0, desk: 0 },
        {
            address: '/catch-up',
            also: () => ({ operations: 7 }),
            event: (stream, one) => heard.push(`${stream}${one.n}`),
            operations: () => undefined,
            refused: (status) => refused.push(status),
        },
    );
    return { streams, heard, refused };
}

beforeEach(() => {
    asked = [];
});

test('events are heard in order, each once, whatever order they come in', () => {
    const { streams, heard } = listen();
    [2, 1, 1, 3, 2].forEach((n) => streams.take('room', event(n)));
    streams.take('desk', event(1));
    assert.deepEqual(heard, ['room1', 'room2', 'room3', 'desk1']);
});

test('a message that was only overtaken costs no request', async () => {
    const { streams, heard } = listen();
    streams.take('room', event(2));
    streams.take('room', event(1));
    await new Promise((later) => setTimeout(later, 500));
    assert.deepEqual(heard, ['room1', 'room2']);
    assert.equal(asked.length, 0);
});

test('what does not come by itself is asked for, from the last number that is known', async () => {
    const { streams, heard } = listen();
    answer = () => caught({ room: [event(2), event(3)] });
    streams.take('room', event(1));
    streams.take('room', event(4));
    assert.deepEqual(heard, ['room1']);
    await new Promise((later) => setTimeout(later, 500));
    assert.equal(asked.length, 1);
    assert.equal(present(asked[0]).searchParams.get('room'), '1');
    assert.equal(present(asked[0]).searchParams.get('operations'), '7');
    assert.deepEqual(heard, ['room1', 'room2', 'room3', 'room4']);
});

test('a long absence is caught up in several answers', async () => {
    const { streams, heard } = listen();
    const full = Array.from({ length: 500 }, (_, i) => event(i + 1));
    const answers = [caught({ room: full }), caught({ room: [event(501)] })];
    answer = () => answers.shift()!;
    assert.equal(await streams.catchUp(), true);
    assert.equal(heard.length, 501);
    assert.equal(present(asked[1]).searchParams.get('room'), '500');
});

test('wishes to catch up while an answer is under way are one request more', async () => {
    const { streams, heard } = listen();
    const answers = [caught({}), caught({ room: [event(1)] })];
    answer = () => answers.shift()!;
    await Promise.all([streams.catchUp(), streams.catchUp(), streams.catchUp()]);
    assert.equal(asked.length, 2);
    assert.deepEqual(heard, ['room1'], 'what happened since the first answer was written');
});

test('a page that is filled with what was so a moment ago hears what came meanwhile once more', async () => {
    const { streams, heard } = listen();
    answer = () => caught({ room: [event(2), event(3)] });
    [1, 2, 3].forEach((n) => streams.take('room', event(n)));
    streams.reset({ room: 3, desk: 0 });
    assert.equal(asked.length, 0, 'nothing came meanwhile');
    streams.reset({ room: 1, desk: 0 });
    await new Promise((later) => setTimeout(later));
    assert.equal(asked.length, 1);
    assert.equal(present(asked[0]).searchParams.get('room'), '1');
    assert.deepEqual(heard, ['room1', 'room2', 'room3', 'room2', 'room3']);
});

test('no answer is no refusal, and a refusal is told', async () => {
    const { streams, refused } = listen();
    for (const status of [500, 502, 429]) {
        answer = () => new Response('{}', { status });
        assert.equal(await streams.catchUp(), false);
    }
    assert.deepEqual(refused, []);
    answer = () => new Response('{"message":"no"}', { status: 403 });
    assert.equal(await streams.catchUp(), false);
    assert.deepEqual(refused, [403]);
});

test('the clock is told as of half-way between question and answer, and not by a slow answer', async () => {
    const told: number[] = [];
    const streams = new Streams(
        {},
        {
            address: '/catch-up',
            also: () => ({}),
            event: () => undefined,
            operations: () => undefined,
            clock: (ahead) => told.push(ahead),
            refused: () => undefined,
        },
    );
    const now = Date.now;
    let at = 1_000_000;
    let took = 200;
    try {
        Date.now = () => at;
        answer = () => {
            at += took;
            return new Response(JSON.stringify({ events: {}, operations: [], more: false, clock: 1_005_000 }));
        };
        await streams.catchUp();
        assert.deepEqual(told, [4900]);
        took = 900;
        await streams.catchUp();
        answer = () => new Response(JSON.stringify({ events: {}, operations: [], more: false }));
        await streams.catchUp();
        assert.deepEqual(told, [4900]);
    } finally {
        Date.now = now;
    }
});
