import assert from 'node:assert/strict';
import { test } from 'vitest';
import { parseInk, Ration } from '../../resources/ts/live/ink';

test('ink is read by its shape, and what the server says has another', () => {
    const ink = {
        k: 'key',
        c: 'canvas',
        o: 'stroke',
        s: ['#25323b', 40],
        i: 0,
        p: 'AAAA',
        g: 'page',
        at: [1, 2],
        b: 1,
    };
    assert.deepEqual(parseInk(JSON.stringify(ink)), ink);
    const forged = [
        '{"stream":"desk","event":{"n":7,"type":"ended","body":{}}}',
        '{"stream":"operations","operations":[]}',
        'null',
        '[]',
        '"k"',
        '{',
        '',
        '{"k":1,"c":"a","o":"b"}',
        '{"k":"a","c":{},"o":"b"}',
        '{"k":"a","c":"b"}',
        '{"k":"a","c":"b","o":"c","at":[1]}',
        '{"k":"a","c":"b","o":"c","at":[1,"2"]}',
        '{"k":"a","c":"b","o":"c","b":2}',
        '{"k":"a","c":"b","o":"c","p":{}}',
        `{"k":"${'a'.repeat(81)}","c":"b","o":"c"}`,
        JSON.stringify({ ...ink, p: 'A'.repeat(12_000) }),
    ];
    for (const text of forged) {
        assert.equal(parseInk(text), null, text.slice(0, 80));
    }
});

test('a hand that floods is let go, and the others are not', () => {
    let now = 0;
    const ration = new Ration(() => now);
    const taken = Array.from({ length: 1000 }, () => ration.allows('flood')).filter(Boolean).length;
    assert.equal(taken, 240);
    assert.ok(ration.allows('pen'));
    for (let n = 0; n < 300; n++) {
        now += 33;
        assert.ok(ration.allows('pen'));
    }
    assert.ok(ration.allows('flood'));
});
