import assert from 'node:assert/strict';
import { test } from 'vitest';
import { measure, shortly } from '../../resources/ts/canvas/model/measure';

test('on squares a line is counted in squares, and up is more', () => {
    const squared = { kind: 'squared', size: 'middle' };
    assert.deepEqual(measure(squared, [100, 400], [250, 200]), {
        length: 5,
        of: 'squares',
        angle: 53,
        across: 3,
        up: 4,
    });
    assert.equal(measure({ kind: 'dotted', size: 'large' }, [0, 0], [250, 0]).length, 2.5);
});

test('on axes it is counted in their own units, each way by its own scale', () => {
    const axes = { kind: 'axes', x_from: 0, x_to: 10, x_step: 1, y_from: 0, y_to: 100, y_step: 10, equal: 0 };
    const { across, up } = measure(axes, [70, 930], [1530, 70]);
    assert.equal(Math.round(across!), 10);
    assert.equal(Math.round(up!), 100);
});

test('along a number line there is a length, across it there is none', () => {
    const line = { kind: 'number-line', from: 0, to: 10, step: 1 };
    assert.equal(measure(line, [90, 500], [90 + 142 * 3, 500]).length, 3);
    assert.equal(measure(line, [90, 500], [90, 300]).length, null);
});

test('where nothing is ruled there is an angle alone', () => {
    assert.deepEqual(measure({ kind: 'blank' }, [0, 0], [10, 10]), {
        length: null,
        of: null,
        angle: -45,
        across: null,
        up: null,
    });
});

test('numbers are as short as they can be read', () => {
    assert.deepEqual([5, 2.5, 3.14159, 12.34, 120.04].map(shortly), ['5', '2.5', '3.14', '12.3', '120']);
});
