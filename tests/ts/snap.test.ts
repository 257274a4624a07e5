import assert from 'node:assert/strict';
import { test } from 'vitest';
import { snapped } from '../../resources/ts/canvas/model/snap';

test('on staves things stand on the lines, between them, and a little beyond', () => {
    const staves = { kind: 'staves' };
    // The first stave's lines stand at 90, 112 … 178, the second's from 270 on.
    assert.deepEqual(snapped(staves, 203, 92), [200, 90]);
    assert.deepEqual(snapped(staves, 203, 99), [200, 101]);
    assert.deepEqual(snapped(staves, 203, 265), [200, 270]);
    // Far above the first stave a note stands on the fourth ledger line's space, and no farther.
    assert.deepEqual(snapped(staves, 203, 5), [200, 46]);
});

test('on squares things stand on corners, on lined paper on the lines', () => {
    assert.deepEqual(snapped({ kind: 'squared', size: 'small' }, 31, 38), [25, 50]);
    assert.deepEqual(snapped({ kind: 'lined' }, 31, 95), [25, 120]);
});
