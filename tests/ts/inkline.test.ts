import assert from 'node:assert/strict';
import { afterEach, beforeEach, test, vi } from 'vitest';
import { InkLine, WORN } from '../../resources/ts/live/inkline';

/** A socket that does what it is told; all that were made are kept. */
class FakeSocket extends EventTarget {
    static readonly OPEN = 1;
    static made: FakeSocket[] = [];
    readyState = 0;
    bufferedAmount = 0;
    sent: string[] = [];

    constructor(readonly address: string) {
        super();
        FakeSocket.made.push(this);
    }

    opens(): void {
        this.readyState = FakeSocket.OPEN;
        this.dispatchEvent(new Event('open'));
    }

    send(text: string): void {
        this.sent.push(text);
    }

    close(): void {
        this.readyState = 3;
        this.dispatchEvent(new Event('close'));
    }
}

let place: string | null = '/live/wet/a/b';
let told: string[] = [];

function line(): InkLine {
    const made = new InkLine({
        path: () => place,
        opened: () => told.push('opened'),
        closed: () => told.push('closed'),
    });
    made.follow();
    FakeSocket.made[0]?.opens();
    return made;
}

beforeEach(() => {
    vi.useFakeTimers();
    FakeSocket.made = [];
    told = [];
    place = '/live/wet/a/b';
    Object.assign(globalThis, {
        WebSocket: FakeSocket,
        location: { protocol: 'http:', host: 'crag' },
        window: Object.assign(new EventTarget(), { setTimeout, clearTimeout }),
    });
});
afterEach(() => vi.useRealTimers());

test('a socket that has carried much is replaced when the pen rests, and no message is lost meanwhile', () => {
    const ink = line();
    for (let n = 0; n < WORN + 100; n++) {
        assert.equal(ink.send(String(n)), true);
        vi.advanceTimersByTime(33);
    }
    assert.equal(FakeSocket.made.length, 1, 'not while the pen moves');
    vi.advanceTimersByTime(250);
    const [first, second] = FakeSocket.made;
    assert.equal(FakeSocket.made.length, 2);
    assert.equal(ink.send('on the way'), true);
    assert.equal(first?.sent.at(-1), 'on the way', 'the old one goes on until the new one is open');
    second?.opens();
    assert.equal(first?.readyState, 3);
    assert.equal(ink.send('after'), true);
    assert.deepEqual(second?.sent, ['after']);
    vi.advanceTimersByTime(60_000);
    assert.equal(FakeSocket.made.length, 2, 'the one that was replaced does not come back');
    assert.deepEqual(told, ['opened', 'opened'], 'nobody is told that it closed');
});

test('where the line has moved meanwhile, the one that would have taken over is let go', () => {
    const ink = line();
    for (let n = 0; n < WORN; n++) {
        ink.send(String(n));
    }
    vi.advanceTimersByTime(250);
    place = '/live/wet/a/c';
    ink.follow();
    const [, late, moved] = FakeSocket.made;
    moved?.opens();
    late?.opens();
    assert.equal(late?.readyState, 3);
    ink.send('here');
    assert.deepEqual(moved?.sent, ['here']);
});

test('a socket that closes by itself comes back, one that is closed does not', () => {
    const ink = line();
    FakeSocket.made[0]?.close();
    assert.deepEqual(told, ['opened', 'closed']);
    vi.advanceTimersByTime(600);
    assert.equal(FakeSocket.made.length, 2);
    FakeSocket.made[1]?.opens();
    place = null;
    ink.follow();
    vi.advanceTimersByTime(60_000);
    assert.equal(FakeSocket.made.length, 2);
    assert.equal(ink.send('nobody hears'), false);
});
