import assert from 'node:assert/strict';
import { test } from 'vitest';
// @ts-expect-error nginx runs it as it stands, without types
import gate from '../../deploy/nginx/gate.js';

type Reader = (data: Uint8Array, now: number) => string;

const reader = (): Reader => (gate as { reader(): Reader }).reader();
const head = Buffer.from('GET /live/wet/a/b HTTP/1.1\r\nHost: crag\r\nUpgrade: websocket\r\n\r\n');

/** RFC 6455, 5.2: a text frame as a browser sends it, masked. */
function frame(length: number, told = length): Buffer {
    const size =
        told < 126
            ? [0x80 | told]
            : told < 65536
              ? [0x80 | 126, told >> 8, told & 255]
              : [0x80 | 127, 0, 0, 0, 0, ...[24, 16, 8, 0].map((by) => (told >>> by) & 255)];
    return Buffer.concat([Buffer.from([0x81, ...size, 1, 2, 3, 4]), Buffer.alloc(length, 120)]);
}

test('a pen passes, in whatever pieces its bytes come', () => {
    for (const piece of [1, 7, 1000]) {
        const read = reader();
        const bytes = Buffer.concat([head, ...[0, 1, 125, 126, 200, 4000, 16384].map((length) => frame(length))]);
        for (let i = 0; i < bytes.length; i += piece) {
            assert.equal(read(bytes.subarray(i, i + piece), 0), '');
        }
        assert.match(read(frame(0, 16385), 0), /16385/);
    }
});

test('a frame that is too large ends the socket before any of it has come', () => {
    for (const told of [16385, 65535, 65536, 3_000_000_000]) {
        const read = reader();
        read(head, 0);
        assert.equal(read(frame(0, told), 0), `a frame of ${told} bytes`);
    }
});

test('so many frames or bytes in one second are too much, and the next second is a new one', () => {
    const frames = reader();
    frames(head, 0);
    for (let n = 0; n < 240; n++) {
        assert.equal(frames(frame(50), 10), '');
    }
    assert.equal(frames(frame(50), 1010), '');
    for (let n = 0; n < 239; n++) {
        assert.equal(frames(frame(50), 1020), '');
    }
    assert.notEqual(frames(frame(50), 1030), '');
    const bytes = reader();
    bytes(head, 0);
    const said = Array.from({ length: 20 }, () => bytes(frame(15_000), 10));
    assert.ok(said.indexOf('too much in a second') > 10);
});

test('a head without an end is not read for ever', () => {
    const read = reader();
    const said = Array.from({ length: 9 }, () => read(Buffer.alloc(4096, 65), 0));
    assert.equal(said.at(-1), 'a head without an end');
});

test('a socket that has brought very much is ended: what it took stays in memory until then', () => {
    let pass: (data: Uint8Array, flags: object) => void = () => undefined;
    let passed = 0;
    (gate as unknown as { gate(s: object): void }).gate({
        on: (_: string, hear: typeof pass) => {
            pass = hear;
        },
        send: () => passed++,
    });
    const now = Date.now;
    try {
        Date.now = () => 0;
        pass(head, {});
        for (let n = 1; n < 1500; n++) {
            // One each 33 ms, as a pen sends them.
            Date.now = () => n * 33;
            pass(frame(50), {});
        }
        assert.equal(passed, 1500);
        assert.throws(() => pass(frame(50), {}));
    } finally {
        Date.now = now;
    }
});
