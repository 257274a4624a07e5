// @vitest-environment happy-dom
import assert from 'node:assert/strict';
import { afterEach, beforeEach, test, vi } from 'vitest';
import type { Sample } from '../../resources/ts/canvas/model/ink';
import { Hold } from '../../resources/ts/canvas/tools/straighten';

const LINE: Sample[] = Array.from({ length: 20 }, (_, i): Sample => [1000 + 100 * i, 1000, 128, 10 * i]);

let told: string[] = [];

function begun(): Hold {
    told = [];
    const hold = new Hold(
        () => LINE,
        ({ kind }) => told.push(kind),
        () => told.push('ink'),
    );
    hold.begin(at(0, 0));
    hold.move(at(100, 200));
    return hold;
}

const at = (x: number, ms: number) => ({ x, y: 0, pressure: 128, ms, shift: false, pointer: 'pen', unitsPerPixel: 1 });

beforeEach(() => vi.useFakeTimers());
afterEach(() => vi.useRealTimers());

test('a pen that is still for half a second is offered a shape, and lifting takes it', () => {
    const hold = begun();
    vi.advanceTimersByTime(499);
    assert.deepEqual(told, []);
    // Trembling is still.
    hold.move(at(103, 600));
    vi.advanceTimersByTime(1);
    assert.deepEqual(told, ['line']);
    assert.equal(hold.take(720)?.kind, 'line');
    assert.equal(hold.end(), true);
    assert.equal(hold.end(), false);
});

test('moving on keeps the ink, and another rest offers anew', () => {
    const hold = begun();
    vi.advanceTimersByTime(500);
    hold.move(at(110, 800));
    assert.deepEqual(told, ['line'], 'a little is no moving on');
    hold.move(at(140, 900));
    assert.deepEqual(told, ['line', 'ink']);
    assert.equal(hold.take(950), null);
    vi.advanceTimersByTime(500);
    assert.deepEqual(told, ['line', 'ink', 'line']);
});

test('a pen that was lifted in time keeps its ink, however late a busy page hears of it', () => {
    const hold = begun();
    vi.advanceTimersByTime(900);
    assert.deepEqual(told, ['line']);
    assert.equal(hold.take(230), null);
    assert.deepEqual(told, ['line', 'ink']);
});

test('a page that was busy meanwhile begins to look anew', () => {
    const hold = begun();
    vi.advanceTimersByTime(400);
    // Nothing could run for a while: the next look comes late, and those before it do not count.
    const late = vi.spyOn(performance, 'now').mockReturnValue(performance.now() + 900);
    vi.advanceTimersByTime(100);
    late.mockRestore();
    assert.deepEqual(told, []);
    vi.advanceTimersByTime(1000);
    assert.deepEqual(told, ['line']);
    assert.equal(hold.end(), true);
});

test('a pen that never moved, or has left, is offered nothing', () => {
    const hold = begun();
    hold.end();
    vi.advanceTimersByTime(2000);
    hold.begin(at(0, 0));
    vi.advanceTimersByTime(2000);
    assert.deepEqual(told, []);
});
