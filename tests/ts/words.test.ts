import assert from 'node:assert/strict';
import { beforeEach, test } from 'vitest';
import {
    heightOf,
    linesOf,
    marksWithin,
    rowsOf,
    runsOf,
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
    const wrapped = wrap({ text: 'the force at the right end', size: 20 }, 100);
    assert.deepEqual(linesOf(wrapped), ['the force ', 'at the ', 'right end']);
    assert.equal(typed(wrapped), 'the force at the right end');
    assert.equal(wrapped.split(SOFT_END).length, 3);
});

test('a line end that was typed stays one', () => {
    assert.deepEqual(linesOf(wrap({ text: 'F = 80 N\nR = 320 N', size: 20 }, 400)), ['F = 80 N', 'R = 320 N']);
    assert.equal(typed(wrap({ text: 'a b\nc d', size: 20 }, 15)), 'a b\nc d');
});

test('a word that is wider than its box is cut between letters, never within one', () => {
    const wrapped = wrap({ text: '👩‍🔧🔧🔧🔧🔧', size: 20 }, 30);
    assert.ok(linesOf(wrapped).every((line) => line !== '' && !line.includes('\ufffd')));
    assert.equal(typed(wrapped), '👩‍🔧🔧🔧🔧🔧');
    assert.equal(linesOf(wrap({ text: 'abcdefghi', size: 20 }, 30)).join('|'), 'abc|def|ghi');
});

test('words are as wide as their widest line and as tall as all of them', () => {
    assert.equal(widthOf({ text: 'ab\nabcd', size: 20 }), 40);
    assert.equal(widthOf({ text: '', size: 20 }), 0);
    assert.equal(heightOf('ab\nabcd', 20), 50);
});

test('a line reads backwards by its first letter, whatever stands before it', () => {
    assert.equal(readsBackwards('قوة'), true);
    assert.equal(readsBackwards('80 قوة'), true);
    assert.equal(readsBackwards('F قوة'), false);
    assert.equal(readsBackwards('240'), false);
});

test('words are cut into runs where their look changes, in characters and not in halves of them', () => {
    const runs = runsOf('👩x² m', 0, {
        marks: [
            [0, 1, 'b'],
            [1, 3, 'i'],
            [2, 3, 'sup'],
        ],
    });
    assert.deepEqual(
        runs.map(({ words, bold, italic, raised }) => [words, bold, italic, raised > 0]),
        [
            ['👩', true, false, false],
            ['x', false, true, false],
            ['²', false, true, true],
            [' m', false, false, false],
        ],
    );
});

test('small letters take less room, and a list stands in', () => {
    const plain = widthOf({ text: 'F12', size: 20 });
    assert.equal(plain, 30);
    assert.equal(widthOf({ text: 'F12', size: 20, marks: [[1, 3, 'sub']] }), 10 + 2 * 6.5);
    assert.equal(widthOf({ text: 'F12', size: 20, list: 'bullets' }), 30 + 18);
    // What fits as small letters stands in one line.
    assert.equal(linesOf(wrap({ text: 'a bcdef', size: 20, marks: [[2, 7, 'sup']] }, 54)).length, 1);
    assert.equal(linesOf(wrap({ text: 'a bcdef', size: 20 }, 54)).length, 2);
});

test('paragraphs of a list are counted, lines for want of room and empty ones are not', () => {
    const rows = rowsOf({ text: `one\u2028more\n\ntwo`, size: 20, list: 'numbers' });
    assert.deepEqual(
        rows.map(({ mark }) => mark),
        ['1.', '', '', '2.'],
    );
});

test('marks end with the words', () => {
    assert.deepEqual(
        marksWithin(
            [
                [0, 9, 'b'],
                [4, 6, 'i'],
            ],
            'a\u2028bc',
        ),
        [[0, 3, 'b']],
    );
});
