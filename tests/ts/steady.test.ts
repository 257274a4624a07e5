import assert from 'node:assert/strict';
import { test } from 'vitest';
import { Steady } from '../../resources/ts/canvas/model/steady';

/** The same numbers each time, evenly spread from -1 to 1. */
function* noise(): Generator<number> {
    let seed = 1;
    for (;;) {
        seed = (seed * 16807) % 2147483647;
        yield (2 * seed) / 2147483647 - 1;
    }
}

/** A round 0 of so many pixels, drawn twice over, as a pointer tells it. */
function drawn(radius: number, hertz: number, tremble: number): { given: number[]; steadied: number[] } {
    const steady = new Steady(true);
    const shake = noise();
    const given: number[] = [];
    const steadied: number[] = [];
    const count = Math.round(1.2 * hertz);
    for (let i = 0; i < count; i++) {
        const angle = (4 * Math.PI * i) / count;
        const x = 100 + radius * Math.cos(angle) + tremble * (shake.next().value as number);
        const y = 100 + radius * Math.sin(angle) + tremble * (shake.next().value as number);
        const [steadyX, steadyY] = steady.next(x, y, 128, (1000 * i) / hertz);
        // The first moments are not counted: it begins where the pointer does.
        if (i > count / 4) {
            given.push(Math.hypot(x - 100, y - 100));
            steadied.push(Math.hypot(steadyX - 100, steadyY - 100));
        }
    }
    return { given, steadied };
}

function spread(values: number[]): number {
    const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
    return Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / values.length);
}

/** How rough a line is: how far each point stands off the middle of its neighbours, above what roundness makes. */
function roughness(radii: number[]): number {
    return spread(radii.slice(1, -1).map((radius, i) => radius - (radii[i]! + radii[i + 2]!) / 2));
}

test('a trembling 0 is round: a third of the roughness is left, and hardly any of its size is lost', () => {
    for (const radius of [15, 40]) {
        const { given, steadied } = drawn(radius, 200, 0.3);
        assert.ok(roughness(steadied) < roughness(given) / 3, `${roughness(given)} ${roughness(steadied)}`);
        const size = steadied.reduce((sum, one) => sum + one, 0) / steadied.length;
        assert.ok(size > 0.93 * radius && size < 1.02 * radius, `${radius} ${size}`);
    }
});

test('a slow pointer keeps its own line: nearly all of its size is there', () => {
    const { steadied } = drawn(40, 30, 0);
    assert.ok(Math.min(...steadied) > 0.9 * 40, String(Math.min(...steadied)));
});

test('a hand at rest stands still, and a fast one does not lag behind', () => {
    const steady = new Steady(false);
    const shake = noise();
    const rest = Array.from(
        { length: 100 },
        (_, i) => steady.next(50 + 0.3 * (shake.next().value as number), 50, 0, 5 * i)[0],
    );
    assert.ok(spread(rest.slice(20)) < 0.06, String(spread(rest.slice(20))));
    const fast = new Steady(false);
    let at = 0;
    // A pixel and a half in each millisecond.
    for (let i = 0; i <= 40; i++) {
        at = fast.next(7.5 * i, 0, 0, 5 * i)[0];
    }
    assert.ok(7.5 * 40 - at < 9, String(7.5 * 40 - at));
});

test('a mouse writes thinner where it is fast, without a step; a pen as hard as it is pressed', () => {
    const mouse = new Steady(false);
    const pressures = Array.from(
        { length: 60 },
        (_, i) => mouse.next(i < 30 ? i : 30 + 12 * (i - 30), 0, 128, 8 * i)[2],
    );
    assert.equal(pressures[0], 128);
    assert.ok(pressures[29]! > 128 && pressures[59]! < 128, String(pressures));
    for (let i = 1; i < pressures.length; i++) {
        assert.ok(Math.abs(pressures[i]! - pressures[i - 1]!) <= 16);
    }
    const pen = new Steady(true);
    const pressed = Array.from({ length: 40 }, (_, i) => pen.next(i, 0, 200, 8 * i)[2]);
    assert.equal(pressed.at(-1), 200);
});

test('events of one moment break nothing', () => {
    const steady = new Steady(true);
    steady.next(0, 0, 128, 10);
    const [x, y, pressure] = steady.next(5, 5, 130, 10);
    assert.ok([x, y, pressure].every(Number.isFinite));
});
