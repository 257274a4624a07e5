import assert from 'node:assert/strict';
import { beforeEach, test } from 'vitest';
import {
    heightOf,
    linesOf,
    measureWith,
    readsBackwards,
    SOFT_END,
    typed,
    widthOf,
    wrap,
} from '../../resources/ts/canvas/model/words';

// Every letter is as wide as half its height.
beforeEach(() => measureWith((line, size) => [...line].length * size * 0.5));

test('a line ends where the next word would not fit, and the words can be typed on as they were', () => {
    const wrapped = wrap('the force at the right end', 20, 100);
    assert.deepEqual(linesOf(wrapped), ['the force ', 'at the ', 'right end']);
    assert.equal(typed(wrapped), 'the force at the right end');
    assert.equal(wrapped.split(SOFT_END).length, 3);
});

test('a line end that was typed stays one', () => {
    assert.deepEqual(linesOf(wrap('F = 80 N\nR = 320 N', 20, 400)), ['F = 80 N', 'R = 320 N']);
    assert.equal(typed(wrap('a b\nc d', 20, 15)), 'a b\nc d');
});

test('a word that is wider than its box is cut between letters, never within one', () => {
    const wrapped = wrap('👩‍🔧🔧🔧🔧🔧', 20, 30);
    assert.ok(linesOf(wrapped).every((line) => line !== '' && !line.includes('\ufffd')));
    assert.equal(typed(wrapped), '👩‍🔧🔧🔧🔧🔧');
    assert.equal(linesOf(wrap('abcdefghi', 20, 30)).join('|'), 'abc|def|ghi');
});

test('words are as wide as their widest line and as tall as all of them', () => {
    assert.equal(widthOf('ab\nabcd', 20), 40);
    assert.equal(widthOf('', 20), 0);
    assert.equal(heightOf('ab\nabcd', 20), 50);
});

test('a line reads backwards by its first letter, whatever stands before it', () => {
    assert.equal(readsBackwards('قوة'), true);
    assert.equal(readsBackwards('80 قوة'), true);
    assert.equal(readsBackwards('F قوة'), false);
    assert.equal(readsBackwards('240'), false);
});
