// @vitest-environment happy-dom
import assert from 'node:assert/strict';
import { afterEach, beforeEach, test, vi } from 'vitest';
import { LiveTalk } from '../../resources/ts/desk/room/livetalk';
import { Bus } from '../../resources/ts/desk/shell/bus';
import type { Desk } from '../../resources/ts/desk/shell/desk';
import type { LiveTold } from '../../resources/ts/protocol/desk';

let said: string[] = [];
let answer: () => void = () => undefined;
let bus: Bus<{ live: LiveTold; renamed: null }>;
let name = '';
let talk: LiveTalk;

const settle = (): Promise<void> => new Promise((then) => setTimeout(then));
const bar = (): HTMLElement => document.querySelector('#live-desk')!;

beforeEach(() => {
    said = [];
    name = 'Wren';
    bus = new Bus();
    document.body.innerHTML = `<div id="live-desk" hidden><p id="live-desk-words"></p><p id="live-desk-time"></p>
        <button id="live-desk-mute"></button><button id="live-desk-end"></button></div>`;
    vi.stubGlobal('navigator', { mediaDevices: { getUserMedia: () => Promise.resolve({ getTracks: () => [] }) } });
    vi.stubGlobal(
        'fetch',
        () =>
            new Promise<Response>((then) => {
                answer = () => then(new Response(JSON.stringify({ id: 't1' })));
            }),
    );
    const desk = {
        bus,
        address: '/desk/s',
        words: {
            live_asking: 'Asking :name…',
            live_declined: ':name can’t talk right now.',
            live_connecting: 'Putting you through to :name…',
        },
        say: (sentence: string) => said.push(sentence),
    };
    talk = new LiveTalk(desk as unknown as Desk, () => name);
});
afterEach(() => vi.unstubAllGlobals());

test('a student who says no before the server’s answer is here has said no', async () => {
    void talk.ask('wren');
    await settle();
    assert.equal(bar().textContent.trim(), 'Asking Wren…');
    bus.tell('live', { id: 't0', is: 'ended' });
    bus.tell('live', { id: 't1', is: 'declined' });
    assert.equal(bar().hidden, false);
    answer();
    await settle();
    assert.deepEqual([bar().hidden, said], [true, ['Wren can’t talk right now.']]);
});

test('a student who says yes so early is put through', async () => {
    void talk.ask('wren');
    await settle();
    bus.tell('live', { id: 't1', is: 'accepted' });
    answer();
    await settle();
    assert.equal(document.querySelector('#live-desk-words')!.textContent, 'Putting you through to Wren…');
});

test('the bar calls the student as the desk does now, and who has left as they were called last', async () => {
    void talk.ask('wren');
    await settle();
    name = 'Seat 4';
    bus.tell('renamed', null);
    assert.equal(bar().textContent.trim(), 'Asking Seat 4…');
    answer();
    await settle();
    name = '';
    bus.tell('live', { id: 't1', is: 'declined' });
    assert.deepEqual([bar().hidden, said], [true, ['Seat 4 can’t talk right now.']]);
});
