// @vitest-environment happy-dom
import assert from 'node:assert/strict';
import { afterEach, beforeEach, test, vi } from 'vitest';
import { getWhile, HttpProblem } from '../../resources/ts/live/http';

let answers: (() => Promise<Response>)[] = [];
let asked = 0;
const json =
    (body: unknown, status = 200) =>
    (): Promise<Response> =>
        Promise.resolve(new Response(JSON.stringify(body), { status }));
const nothing = (): Promise<Response> => Promise.reject(new Error('no network'));

beforeEach(() => {
    vi.useFakeTimers();
    asked = 0;
    vi.stubGlobal('fetch', () => {
        asked++;
        return (answers.shift() ?? nothing)();
    });
});
afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
});

test('it is asked again until there is an answer, and said each time that there was none', async () => {
    answers = [nothing, json({ message: 'Back in a moment' }, 503), json({ n: 7 })];
    let failed = 0;
    const answer = getWhile<{ n: number }>(
        '/canvas',
        () => true,
        () => failed++,
    );
    await vi.runAllTimersAsync();
    assert.deepEqual([await answer, asked, failed], [{ n: 7 }, 3, 2]);
});

test('what the server refuses is not asked again', async () => {
    answers = [json({ message: 'This prompt is gone.' }, 404)];
    await assert.rejects(
        getWhile('/canvas', () => true),
        (problem) => problem instanceof HttpProblem && problem.message === 'This prompt is gone.',
    );
    assert.equal(asked, 1);
});

test('an answer that nobody wants any more is dropped, and nothing more is asked or said', async () => {
    let isWanted = true;
    let failed = 0;
    answers = [json({ n: 1 })];
    const dropped = getWhile('/canvas', () => isWanted);
    isWanted = false;
    assert.equal(await dropped, null);
    isWanted = true;
    const given = getWhile(
        '/canvas',
        () => isWanted,
        () => failed++,
    );
    isWanted = false;
    await vi.runAllTimersAsync();
    assert.deepEqual([await given, asked, failed], [null, 2, 0]);
});
