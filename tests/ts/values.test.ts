import { describe, expect, it } from 'vitest';
import { freeLetter, numberAt, valuesIn } from '../../resources/ts/plan/values';

describe('values in words', () => {
    it('are found with what they say, and formulas are left alone', () => {
        const text = 'A {a: 2..9; a ≠ b; a > 3} and {b: 3, 5} and $\\frac{1}{2}$ and {a*b} and {c = a}';
        expect(valuesIn(text).map(({ name, choices, conditions }) => [name, choices, conditions])).toEqual([
            ['a', '2..9', ['a ≠ b', 'a > 3']],
            ['b', '3, 5', []],
        ]);
        const [first] = valuesIn(text);
        expect(text.slice(first?.from, first?.to)).toBe('{a: 2..9; a ≠ b; a > 3}');
    });

    it('are made of the number that is chosen, or in which the caret stands', () => {
        const text = 'A load of 60 N at −2.5 m, {a: 2..9} times';
        expect(numberAt(text, 10, 12)).toEqual({ from: 10, to: 12 });
        expect(numberAt(text, 11, 11)).toEqual({ from: 10, to: 12 });
        expect(text.slice(...Object.values(numberAt(text, 19, 20) ?? { from: 0, to: 0 }))).toBe('−2.5');
        expect(numberAt(text, 3, 3)).toBeNull();
        expect(numberAt(text, 8, 12)).toBeNull();
        // A number within braces belongs to a value already.
        expect(numberAt(text, text.indexOf('2..9'), text.indexOf('2..9') + 1)).toBeNull();
    });

    it('have a letter that no other has', () => {
        expect(freeLetter('nothing yet')).toBe('a');
        expect(freeLetter('{a: 1..2} {b = a + 1}')).toBe('c');
    });
});
