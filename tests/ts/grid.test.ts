import assert from 'node:assert/strict';
import { test } from 'vitest';
import { columnGap, pictureSize, tileWidth } from '../../resources/ts/grid/layout';
import { Order } from '../../resources/ts/grid/order';
import type { Tile } from '../../resources/ts/grid/tile';
import { present } from '../../resources/ts/present';

type Facts = Partial<Pick<Tile, 'nameShown' | 'state' | 'states' | 'last' | 'objects' | 'level'>>;

/** What an order reads of a tile. */
function tile(n: number, facts: Facts = {}): Tile {
    return {
        seat: { n },
        nameShown: `Student ${n}`,
        state: 'drawing',
        states: ['drawing'],
        last: 0,
        objects: 0,
        level: null,
        ...facts,
    } as unknown as Tile;
}

const seats = (tiles: Tile[]): number[] => tiles.map(({ seat }) => seat.n);

function ordered(sort: string, tiles: Tile[]): number[] {
    const order = new Order(STATES);
    order.sort = sort;
    return seats(order.begin(tiles));
}

/** As tiles are sorted by state. */
const STATES = ['hand_up', 'sent', 'quiet', 'not_started', 'pausing', 'drawing', 'elsewhere', 'away'];

test('every order puts first what a teacher looks for, and the seat decides between equals', () => {
    assert.deepEqual(ordered('seat', [tile(3), tile(1), tile(2)]), [1, 2, 3]);
    assert.deepEqual(
        ordered('name', [
            tile(1, { nameShown: 'Wren' }),
            tile(2, { nameShown: 'Élan' }),
            tile(4, { nameShown: 'Otis' }),
            tile(3, { nameShown: 'Otis' }),
        ]),
        [2, 3, 4, 1],
    );
    assert.deepEqual(
        ordered('state', [
            tile(1),
            tile(2, { state: 'away' }),
            tile(3, { state: 'hand_up' }),
            tile(4, { state: 'quiet' }),
            tile(5, { state: 'sent' }),
        ]),
        [3, 5, 4, 1, 2],
    );
    assert.deepEqual(
        ordered('last', [tile(1, { last: 900 }), tile(2, { last: 100 }), tile(3, { last: 500 })]),
        [2, 3, 1],
    );
    assert.deepEqual(
        ordered('amount', [tile(1, { objects: 2 }), tile(3, { objects: 40 }), tile(2, { objects: 40 })]),
        [2, 3, 1],
    );
    assert.deepEqual(ordered('check', [tile(1, { level: 3 }), tile(2), tile(3, { level: 0 })]), [2, 3, 1]);
});

test('nothing jumps while the pens move, and asking again puts it right', () => {
    const order = new Order(STATES);
    order.sort = 'amount';
    const tiles = [tile(1, { objects: 9 }), tile(2, { objects: 5 }), tile(3, { objects: 1 })];
    assert.deepEqual(seats(order.begin(tiles)), [1, 2, 3]);
    assert.equal(order.isStale, false);
    present(tiles[2]).objects = 30;
    assert.deepEqual(seats(order.goOn(tiles)), [1, 2, 3]);
    assert.equal(order.isStale, true);
    assert.deepEqual(seats(order.begin(tiles)), [3, 1, 2]);
    assert.equal(order.isStale, false);
});

test('who comes late stands at the end, by seat or name in the own place, and who is gone leaves no gap', () => {
    const order = new Order(STATES);
    order.sort = 'amount';
    const [one, two, late] = [tile(1, { objects: 2 }), tile(2, { objects: 8 }), tile(3, { objects: 99 })];
    order.begin([one, two]);
    assert.deepEqual(seats(order.goOn([one, two, late])), [2, 1, 3]);
    assert.deepEqual(seats(order.goOn([one, late])), [1, 3]);
    order.sort = 'seat';
    order.begin([late, two]);
    assert.deepEqual(seats(order.goOn([late, two, one])), [1, 2, 3]);
});

test('a filter keeps who has come to be like it and does not drop who is so no longer', () => {
    const order = new Order(STATES);
    order.filter = 'hand_up';
    const up: Facts = { state: 'hand_up', states: ['hand_up', 'quiet'] };
    const [one, two, three] = [tile(1), tile(2, up), tile(3)];
    order.begin([one, two, three]);
    assert.deepEqual(
        [one, two, three].map((each) => order.isShown(each)),
        [false, true, false],
    );
    Object.assign(one, up);
    Object.assign(two, { state: 'drawing', states: ['drawing'] });
    assert.deepEqual(seats(order.goOn([one, two, three])), [2, 1, 3]);
    assert.deepEqual(
        [one, two, three].map((each) => order.isShown(each)),
        [true, true, false],
    );
    assert.deepEqual([order.isPast(one), order.isPast(two), order.isPast(three)], [false, true, false]);
    assert.equal(order.isStale, true);
    order.begin([one, two, three]);
    assert.deepEqual(
        [one, two, three].map((each) => order.isShown(each)),
        [true, false, false],
    );
});

test('each of two teachers sees just those whom they have taken on', () => {
    const order = new Order(STATES);
    const taken = (n: number, by: string | null): Tile => {
        const one = tile(n);
        Object.assign(one.seat, { takenBy: by === null ? null : { by, name: by } });
        return one;
    };
    const [one, two, three] = [taken(1, 'okafor'), taken(2, 'adeyemi'), taken(3, null)];
    const shown = (): boolean[] => [one, two, three].map((each) => order.isShown(each));
    order.mine = 'okafor';
    order.begin([one, two, three]);
    assert.deepEqual(shown(), [true, false, false]);
    // Who is taken on joins them, and nothing jumps.
    Object.assign(three.seat, { takenBy: { by: 'okafor', name: 'okafor' } });
    order.goOn([one, two, three]);
    assert.deepEqual(shown(), [true, false, true]);
    order.mine = '';
    order.begin([one, two, three]);
    assert.deepEqual(shown(), [true, true, true]);
});

/** Whether so many tiles stand within a height, in rows as the page lays them out. */
function fits(count: number, width: number, height: number, hasAnswers: boolean): boolean {
    const wide = tileWidth(count, width, height, 900, Number(hasAnswers));
    const columns = Math.floor((width + 8) / (wide + 8));
    const rows = Math.ceil(count / columns);
    return columns >= 1 && rows * (pictureSize(wide)[1] + 33 + (hasAnswers ? 22 : 0)) + (rows - 1) * 8 <= height;
}

test('a class fits on one screen as long as its tiles can be read', () => {
    for (const count of [1, 2, 7, 24, 30, 36]) {
        assert.ok(fits(count, 1240, 660, false), `${count} tiles`);
        assert.ok(fits(count, 1240, 660, true), `${count} tiles with answers`);
    }
    const narrowest = tileWidth(1000, 1240, 660, 900, 0);
    assert.ok(narrowest > 120 && narrowest <= 130, String(narrowest));
    assert.ok(tileWidth(1, 1240, 660, 300, 0) <= 300);
    assert.ok(tileWidth(24, 1240, 660, 900, 0) > tileWidth(48, 1240, 660, 900, 0));
    assert.ok(tileWidth(0, 1240, 660, 300, 0) > 0);
});

test('a picture is whole pixels high at every width a tile can have', () => {
    const widths = new Set(
        [1, 3, 12, 30, 60, 100].flatMap((count) =>
            [800, 1240, 1877].map((width) => tileWidth(count, width, 700, 900, 0)),
        ),
    );
    assert.ok(widths.size > 5);
    for (const wide of widths) {
        const [width, height] = pictureSize(wide);
        assert.deepEqual([width % 8, height % 5], [0, 0], `${width} × ${height}`);
    }
});

test('what whole rows leave over stands between the columns, and a row that is not full stands close', () => {
    // Four columns of 150 in 796 leave 196 for three gaps.
    assert.equal(columnGap(24, 796, 150), 11);
    assert.equal(5 * 150 + 4 * columnGap(24, 796, 150) <= 796, true);
    assert.equal(columnGap(5, 796, 150), 8);
    assert.equal(columnGap(9, 796, 360), 40);
    assert.equal(columnGap(3, 300, 280), 8);
});
