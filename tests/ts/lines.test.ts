import assert from 'node:assert/strict';
import { test } from 'vitest';
import { held, lineStep, nextLine, onward } from '../../resources/ts/canvas/model/lines';

const BLANK = { kind: 'blank' };
const SEEN = { x: 0, y: 100, w: 500, h: 200 };

test('the window goes on along the line, and still shows what one goes on from', () => {
    const next = onward(BLANK, SEEN, 0);
    assert.deepEqual(next, { x: 350, y: 100 });
    // The last step ends at the edge of the page.
    assert.deepEqual(onward(BLANK, { ...SEEN, x: 1050 }, 0), { x: 1100, y: 100 });
});

test('from the end of a line it goes to where lines begin, one line below', () => {
    assert.deepEqual(onward(BLANK, { ...SEEN, x: 1100 }, 40), { x: 40, y: 260 });
    assert.deepEqual(nextLine(BLANK, SEEN, 40), { x: 40, y: 260 });
});

test('at the end of the page it stays where it is', () => {
    assert.equal(onward(BLANK, { ...SEEN, x: 1100, y: 800 }, 0), null);
    // A tall page has more lines.
    assert.notEqual(onward({ kind: 'blank', paper: '1000x1600' }, { ...SEEN, x: 500, y: 800 }, 0), null);
});

test('on lined paper it goes down by whole lines', () => {
    assert.equal(lineStep({ kind: 'lined' }, SEEN), 120);
    assert.equal(lineStep({ kind: 'lined' }, { ...SEEN, h: 60 }), 60);
    assert.equal(lineStep(BLANK, SEEN), 160);
});

test('it stays on the page, and in the middle where it is larger than that', () => {
    assert.deepEqual(held(BLANK, { x: -30, y: 950, w: 500, h: 200 }), { x: 0, y: 800 });
    assert.deepEqual(held(BLANK, { x: 10, y: 10, w: 2000, h: 200 }), { x: -200, y: 10 });
});
