import assert from 'node:assert/strict';
import { test } from 'vitest';
import { encodeInk, type Sample } from '../../resources/ts/canvas/model/ink';
import type { Operation } from '../../resources/ts/canvas/model/objects';
import type { View } from '../../resources/ts/canvas/drawing/view';
import { Film, finishedAt, type ReplayAnswer } from '../../resources/ts/grid/film';

const samples: Sample[] = Array.from({ length: 11 }, (_, i): Sample => [1000 + 100 * i, 2000, 128, 20 * i]);
const stroke = (n: number): Operation =>
    ({
        n,
        id: `s${n}`,
        kind: 'add',
        layer: 'student',
        at: 0,
        body: { object: { type: 'stroke', colour: '#25323b', width: 40, ink: encodeInk(samples) } },
    }) as Operation;
const replay: ReplayAnswer = {
    lasts: 900,
    rubbed: [],
    filmed: false,
    captions: [],
    boxes: [],
    steps: [
        [0, 200],
        [400, 600],
        [700, 900],
    ],
    operations: [stroke(1), stroke(2), stroke(3)],
};

/** What a view is told, in short. */
function remembered(): { view: View; told: string[] } {
    const told: string[] = [];
    const view = {
        page: '',
        log: { scene: { pages: new Map([['', null]]) } },
        reset: () => told.push('reset'),
        take: (operations: Operation[]) => told.push(`take ${operations.map(({ id }) => id).join(' ')}`),
        dropWet: () => undefined,
        growWet: (_: string, __: string, ___: string, ____: number, drawn: Sample[]) =>
            told.push(`grow ${drawn.length}`),
        showPage: (page: string) => told.push(`page ${page}`),
    };
    return { view: view as unknown as View, told };
}

test('as many steps are finished as have ended', () => {
    assert.deepEqual(
        [0, 199, 200, 599, 600, 5000].map((at) => finishedAt(replay.steps, at)),
        [0, 0, 1, 1, 2, 3],
    );
    assert.equal(finishedAt([], 5), 0);
});

test('a film goes on by what was finished, and the stroke under way grows', () => {
    const { view, told } = remembered();
    const film = new Film(view, replay);
    film.show(100);
    film.show(250);
    film.show(500);
    film.show(900);
    assert.deepEqual(told, ['grow 6', 'take s1', 'grow 6', 'take s2 s3']);
    assert.equal(film.finished, 3);
});

test('back in time it begins anew', () => {
    const { view, told } = remembered();
    const film = new Film(view, replay);
    film.show(900);
    film.show(250);
    assert.deepEqual(told, ['take s1 s2 s3', 'reset', 'take s1']);
});
