import { describe, expect, it } from 'vitest';
import { captionAt } from '../../resources/ts/grid/film';
import { pausesIn, skipped } from '../../resources/ts/grid/pauses';

const RATE = 8000;

/** Speech and silence by turns, each so many milliseconds. */
function recording(...parts: [loud: number, ms: number][]): Float32Array {
    return Float32Array.from(
        parts.flatMap(([loud, ms]) =>
            Array.from({ length: (ms * RATE) / 1000 }, (_, i) => loud * Math.sin((i * 2 * Math.PI * 200) / RATE)),
        ),
    );
}

describe('pauses of a recording', () => {
    it('are found where nobody speaks for long, with a little left at both ends', () => {
        expect(pausesIn(recording([0.5, 1000], [0.001, 2000], [0.5, 1000]), RATE, [])).toEqual([[1200, 2800]]);
    });

    it('are not those between words', () => {
        expect(pausesIn(recording([0.5, 1000], [0, 600], [0.5, 1000]), RATE, [])).toEqual([]);
    });

    it('are none while somebody draws', () => {
        const quiet = recording([0.5, 1000], [0, 3000], [0.5, 1000]);
        expect(pausesIn(quiet, RATE, [[1000, 4000]])).toEqual([]);
        expect(pausesIn(quiet, RATE, [[2480, 2500]])).toEqual([
            [1200, 2280],
            [2720, 3800],
        ]);
    });

    it('are measured by how loud the speaker is, above what cannot be heard', () => {
        expect(pausesIn(recording([0.05, 1000], [0.02, 2000], [0.05, 1000]), RATE, [])).toEqual([]);
        expect(pausesIn(recording([0.0005, 2000]), RATE, [])).toEqual([[200, 1800]]);
        expect(pausesIn(new Float32Array(0), RATE, [[0, 10]])).toEqual([]);
    });

    it('are left out as they are reached, and never by going back', () => {
        const pauses: [number, number][] = [
            [1000, 2000],
            [3000, 4000],
        ];
        expect([0, 999, 1000, 1500, 2000, 3500].map((at) => skipped(pauses, at))).toEqual([
            0, 999, 2000, 2000, 2000, 4000,
        ]);
    });
});

describe('captions', () => {
    it('are those of the moment', () => {
        const captions = [
            { from: 0, to: 1000, words: 'The plank' },
            { from: 1500, to: 2000, words: 'tips' },
        ];
        expect([0, 999, 1000, 1500, 2000].map((at) => captionAt(captions, at))).toEqual([
            'The plank',
            'The plank',
            '',
            'tips',
            '',
        ]);
    });
});
