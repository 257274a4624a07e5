// @vitest-environment happy-dom
import assert from 'node:assert/strict';
import { afterEach, beforeEach, test, vi } from 'vitest';
import type { AnswerValue } from '../../resources/ts/canvas/model/objects';
import type { QuickAsk } from '../../resources/ts/protocol/asks';
import type { StudentWords } from '../../resources/ts/protocol/words';
import { AskSheet } from '../../resources/ts/student/ask';
import type { AskPad } from '../../resources/ts/student/pad';

const WORDS = {
    question: 'Question :n',
    ask_sent: 'Sent.',
    ask_closed: 'Closed.',
    ask_team: 'Team :team',
    choice: 'Choice :n',
};

let told: unknown[] = [];
let answers: ((status?: number) => Promise<void>)[] = [];
let sheet: AskSheet;

const settle = (): Promise<void> => new Promise((then) => setTimeout(then));
const ask = (mine: AnswerValue | null = null): QuickAsk =>
    ({
        id: 'a1',
        n: 1,
        question: {
            id: 'q1',
            kind: 'choice',
            words: '',
            options: [
                { id: 'a', words: 'A' },
                { id: 'b', words: 'B' },
            ],
            spot: null,
        },
        picture: '',
        ends: null,
        isOpen: true,
        isAnonymous: false,
        pad: null,
        mine,
        tally: null,
        right: null,
    }) as unknown as QuickAsk;
const choices = (): HTMLInputElement[] => [...document.querySelectorAll<HTMLInputElement>('#quick-ask-body input')];
const chosen = (): number => choices().findIndex(({ checked }) => checked);

beforeEach(() => {
    told = [];
    answers = [];
    document.body.innerHTML = `<section id="quick-ask"><h2 id="quick-ask-title">Your teacher asks</h2>
        <p id="quick-ask-team"></p><p id="quick-ask-left"></p><button id="quick-ask-fold"></button>
        <div id="quick-ask-body"></div><p id="quick-ask-state"></p><div id="quick-ask-tally"></div></section>`;
    vi.stubGlobal('fetch', (_address: string, init: RequestInit) => {
        told.push((JSON.parse(String(init.body)) as { value: unknown }).value);
        return new Promise<Response>((then) =>
            answers.push((status = 200) => {
                then(new Response('{}', { status }));
                return settle();
            }),
        );
    });
    sheet = new AskSheet(
        { address: '/seat/s', assets: '/asset', words: WORDS as StudentWords, now: () => 0, say: () => undefined },
        { take: () => undefined } as unknown as AskPad,
    );
});
afterEach(() => vi.unstubAllGlobals());

test('of two answers fast after one another the second one holds, and is seen throughout', async () => {
    sheet.take(ask(), null);
    choices()[0]!.click();
    choices()[1]!.click();
    await settle();
    assert.equal(told.length, 1, 'the second waits for the first');
    // The server says what it has: the first, while the second is on its way.
    sheet.take(ask(told[0] as AnswerValue), null);
    assert.equal(chosen(), 1);
    await answers[0]!();
    sheet.take(ask(told[0] as AnswerValue), null);
    assert.equal(chosen(), 1);
    await answers[1]!();
    assert.equal(told.length, 2);
    assert.notDeepEqual(told[0], told[1]);
    sheet.take(ask(told[1] as AnswerValue), null);
    assert.equal(chosen(), 1);
});
