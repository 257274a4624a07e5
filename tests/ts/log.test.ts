import assert from 'node:assert/strict';
import { test } from 'vitest';
import { Log } from '../../resources/ts/canvas/model/log';
import type { Operation } from '../../resources/ts/canvas/model/objects';

const stroke = (id: string, n?: number): Operation => ({
    id,
    n,
    kind: 'add',
    layer: 'student',
    at: 0,
    body: { object: { type: 'stroke', colour: '#000000', width: 40, ink: 'AgICAg' } },
});
const remove = (id: string, target: string, n?: number): Operation => ({
    id,
    n,
    kind: 'remove',
    layer: 'student',
    at: 0,
    body: { targets: [target] },
});
const shown = (log: Log): string[] => [...log.scene.objects.keys()];

test('a stroke on top needs only itself drawn', () => {
    const log = new Log();
    assert.equal((log.take([stroke('a', 1)]) as unknown[]).length, 1);
    assert.equal(log.take([stroke('a', 1)]), 'nothing');
    assert.equal(log.take([remove('r', 'a', 2)]), 'all');
    assert.deepEqual(shown(log), []);
});

test('what is on its way stands above what is stored, and settles without a redraw when nothing came between', () => {
    const log = new Log();
    log.take([stroke('a', 1)]);
    log.take([stroke('mine')]);
    assert.deepEqual(shown(log), ['a', 'mine']);
    assert.equal(log.confirm('mine', 2), false);
    assert.equal(log.known, 2);
    assert.equal(log.confirm('mine', 2), false);
    assert.equal(log.confirm('stranger', 3), false);
});

test('an operation of another tab that came between puts everything in the order of the log', () => {
    const log = new Log();
    log.take([stroke('mine')]);
    log.take([stroke('theirs', 1)]);
    assert.deepEqual(shown(log), ['theirs', 'mine']);
    log.confirm('mine', 2);
    assert.deepEqual(shown(log), ['theirs', 'mine']);
    assert.equal(log.known, 2);
});

test('any order of arrival gives one scene', () => {
    const operations = [stroke('a', 1), stroke('b', 2), remove('r', 'a', 3), stroke('c', 4), stroke('d', 5)];
    const expected = ['b', 'c', 'd'];
    for (let round = 0; round < 60; round++) {
        const log = new Log();
        const shuffled = [...operations, ...operations].sort(() => Math.random() - 0.5);
        shuffled.forEach((operation) => log.take([{ ...operation }]));
        assert.deepEqual(shown(log), expected);
        assert.equal(log.known, 5);
    }
});

test('a hole shows between what is known and the highest', () => {
    const log = new Log();
    log.take([stroke('a', 1), stroke('c', 3)]);
    assert.equal(log.known, 1);
    assert.equal(log.highest, 3);
    log.take([stroke('b', 2)]);
    assert.equal(log.known, 3);
});

test('what the server refused goes again', () => {
    const log = new Log();
    log.take([stroke('a', 1), stroke('bad')]);
    log.drop('bad');
    assert.deepEqual(shown(log), ['a']);
    assert.equal(log.has('bad'), false);
});

test('an operation that comes back with its number before the answer to its post counts once', () => {
    const log = new Log();
    log.take([stroke('mine')]);
    log.take([stroke('mine', 1)]);
    assert.deepEqual(shown(log), ['mine']);
    assert.equal(log.known, 1);
    assert.equal([...log.all()].length, 1);
});
