import assert from 'node:assert/strict';
import { test } from 'vitest';
import { Log } from '../../resources/ts/canvas/model/log';
import type { Operation } from '../../resources/ts/canvas/model/objects';
import { history } from '../../resources/ts/canvas/model/scene';

const stroke = (id: string, by: string | undefined, n?: number): Operation => ({
    id,
    kind: 'add',
    layer: 'student',
    at: 0,
    body: { object: { type: 'line', colour: '#25323b', width: 40, x: 0, y: 0, w: 900, h: 900 } as never },
    ...(by !== undefined && { by }),
    ...(n !== undefined && { n }),
});

function shared(): Log {
    const log = new Log();
    log.share('wren', { wren: ['old-of-wrens'], tamsin: ['old-of-tamsins'] });
    log.take([stroke('of-wrens', 'wren', 1), stroke('of-tamsins', 'tamsin', 2), stroke('on-its-way', undefined)]);
    return log;
}

test('what others made is known by its operation, from the kept scene and from what came since', () => {
    const log = shared();
    const others = ['old-of-wrens', 'old-of-tamsins', 'of-wrens', 'of-tamsins', 'on-its-way'];
    assert.deepEqual(
        others.map((id) => log.isOthers(id)),
        [false, true, false, true, false],
    );
    // Several objects of one operation are called by it and a number.
    assert.equal(log.isOthers('old-of-tamsins.3'), true);
    assert.equal(log.copy().isOthers('of-tamsins'), true);
});

test('undo takes back one’s own, whatever others did since', () => {
    const log = shared();
    const next = (): string | undefined => history(log.all(), 'student', (id) => log.isOthers(id)).undo;
    assert.equal(next(), 'on-its-way');
    log.take([{ ...stroke('undone', undefined), kind: 'withdraw', body: { target: 'on-its-way' } }]);
    assert.equal(next(), 'of-wrens');
    log.take([{ ...stroke('undone-too', undefined), kind: 'withdraw', body: { target: 'of-wrens' } }]);
    assert.equal(next(), undefined, 'what another drew is theirs to take back');
});

test('on a canvas of one’s own nothing is another’s', () => {
    const log = new Log();
    log.take([stroke('mine', 'wren', 1)]);
    assert.deepEqual([log.isShared, log.isOthers('mine')], [false, false]);
});
