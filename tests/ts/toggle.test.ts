import assert from 'node:assert/strict';
import { test } from 'vitest';
import { Toggle } from '../../resources/ts/live/toggle';

/** A server that answers when it is told to. */
function server(isOn = false) {
    const told: boolean[] = [];
    const answers: (() => void)[] = [];
    return {
        told,
        answer: async (): Promise<void> => {
            answers.shift()!();
            await new Promise((then) => setTimeout(then));
        },
        toggle: new Toggle(
            () => isOn,
            (next) => {
                told.push(next);
                return new Promise<void>((done) =>
                    answers.push(() => {
                        isOn = next;
                        done();
                    }),
                );
            },
        ),
    };
}

const settle = (): Promise<void> => new Promise((then) => setTimeout(then));

test('two presses before the server answers are two steps, in their order', async () => {
    const { toggle, told, answer } = server();
    const presses = [toggle.press(), toggle.press()];
    await settle();
    assert.deepEqual(told, [true]);
    await answer();
    assert.deepEqual(told, [true, false]);
    await answer();
    assert.deepEqual(await Promise.all(presses), [true, false]);
});

test('between presses it goes by what the server says', async () => {
    const { toggle, told, answer } = server(true);
    void toggle.press();
    await settle();
    await answer();
    void toggle.press();
    await settle();
    assert.deepEqual(told, [false, true]);
});

test('what the server refuses is forgotten, and the next press begins from what holds', async () => {
    const told: boolean[] = [];
    const toggle = new Toggle(
        () => false,
        (next) => {
            told.push(next);
            return Promise.reject(new Error('no'));
        },
    );
    await toggle.press();
    await toggle.press();
    assert.deepEqual(told, [true, true]);
});
