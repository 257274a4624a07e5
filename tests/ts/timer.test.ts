import assert from 'node:assert/strict';
import { test } from 'vitest';
import { clockFace, timeLeft } from '../../resources/ts/live/timer';

test('a running timer is told by its end, a paused one by what is left', () => {
    const timer = { ends: 10_000, left: 0, sound: true, pens: false };
    assert.equal(timeLeft(timer, 4_000), 6_000);
    assert.equal(timeLeft(timer, 12_000), -2_000);
    assert.equal(timeLeft({ ...timer, ends: null, left: 7_000 }, 99_000), 7_000);
});

test('what has begun counts as a whole second, and zero is the end', () => {
    assert.equal(clockFace(245_000), '4:05');
    assert.equal(clockFace(59_001), '1:00');
    assert.equal(clockFace(1), '0:01');
    assert.equal(clockFace(0), '0:00');
    assert.equal(clockFace(-5_000), '0:00');
    assert.equal(clockFace(3_600_000), '60:00');
});
