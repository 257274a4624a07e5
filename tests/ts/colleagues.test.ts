// @vitest-environment happy-dom
import assert from 'node:assert/strict';
import { afterEach, beforeEach, test, vi } from 'vitest';
import { Bus } from '../../resources/ts/desk/shell/bus';
import type { Desk } from '../../resources/ts/desk/shell/desk';
import { Colleagues } from '../../resources/ts/desk/watch/colleagues';
import type { Grid } from '../../resources/ts/grid/grid';
import type { Colleague } from '../../resources/ts/protocol/desk';

let told: unknown[] = [];
let answers: ((others: Colleague[]) => Promise<void>)[] = [];
let bus: Bus<{ closeUp: string | null; here: Colleague }>;

const settle = (): Promise<void> => new Promise((then) => setTimeout(then));
const abara = (seat: string | null): Colleague => ({ by: 't2', name: 'Mr Abara', seat, isHelper: false });
const said = (): string => document.querySelector('#colleagues span')!.textContent;

beforeEach(() => {
    told = [];
    answers = [];
    bus = new Bus();
    document.body.innerHTML = '<p id="colleagues" hidden><span></span></p>';
    vi.stubGlobal('fetch', (_address: string, init: RequestInit) => {
        told.push((JSON.parse(String(init.body)) as { seat: unknown }).seat);
        return new Promise<Response>((answer) =>
            answers.push((others) => {
                answer(new Response(JSON.stringify({ others })));
                return settle();
            }),
        );
    });
    const tile = { seat: { id: 'quill' }, nameShown: 'Quill', showColleagues: () => undefined };
    const desk = {
        page: { isShared: true, me: 't1', name: 'Ms Quarrie' },
        address: '/desk/s',
        bus,
        words: { colleague_at: ':name, at :student’s canvas', colleague_helps: ':name (helper)' },
    };
    const grid = { ofSeat: (seat: string) => (seat === 'quill' ? tile : undefined), tiles: new Map([['quill', tile]]) };
    new Colleagues(desk as unknown as Desk, grid as unknown as Grid);
});
afterEach(() => vi.unstubAllGlobals());

test('where a desk is now is told after where it was, and what lay between is left out', async () => {
    bus.tell('closeUp', 'percival');
    bus.tell('closeUp', 'quill');
    await settle();
    assert.deepEqual(told, [null]);
    await answers[0]!([]);
    assert.deepEqual(told, [null, 'quill']);
    await answers[1]!([]);
    assert.deepEqual(told, [null, 'quill']);
});

test('an answer that is older than what was heard since is not taken, and asked for anew', async () => {
    await answers[0]!([abara(null)]);
    assert.equal(said(), 'Mr Abara');
    bus.tell('closeUp', 'quill');
    bus.tell('here', abara('quill'));
    assert.equal(said(), 'Mr Abara, at Quill’s canvas');
    await answers[1]!([abara(null)]);
    assert.equal(said(), 'Mr Abara, at Quill’s canvas');
    await answers[2]!([abara('quill')]);
    assert.equal(said(), 'Mr Abara, at Quill’s canvas');
    assert.equal(told.length, 3);
});
