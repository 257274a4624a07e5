import type { Value } from './values';

/** As core/src/Manipulative/Setting.php: one field in a manipulative's form. */
export interface Setting {
    name: string;
    label: string;
    first: number | string;
    least: number;
    most: number;
    choices: string[];
}

/** As core/src/Manipulative/Field.php: what one name in its state may hold. */
export interface Field {
    name: string;
    least: number;
    most: number;
    longest: number | null;
    by: number;
}

const LONGEST = 120;

export const Setting = {
    whole: (name: string, label: string, first: number, least: number, most: number): Setting => ({
        name,
        label,
        first,
        least,
        most,
        choices: [],
    }),
    choice: (name: string, label: string, choices: string[], first = 0): Setting => ({
        name,
        label,
        first,
        least: 0,
        most: choices.length - 1,
        choices,
    }),
    words: (name: string, label: string, first: string): Setting => ({
        name,
        label,
        first,
        least: 0,
        most: 0,
        choices: [],
    }),
    /** What came from outside, made to fit. */
    fitted({ first, least, most }: Setting, value: unknown): number | string {
        if (typeof first === 'string') {
            return typeof value === 'string' ? [...value].slice(0, LONGEST).join('') : first;
        }
        return Math.min(most, Math.max(least, Number.isInteger(value) ? (value as number) : first));
    },
};

export const Field = {
    whole: (name: string, least: number, most: number): Field => ({ name, least, most, longest: null, by: 1 }),
    list: (name: string, longest: number, least: number, most: number, by = 1): Field => ({
        name,
        least,
        most,
        longest: longest * by,
        by,
    }),
    /** What came from outside, made to fit. */
    fitted({ least, most, longest, by }: Field, value: unknown): Value {
        const whole = (one: unknown): number =>
            Math.min(most, Math.max(least, Number.isInteger(one) ? (one as number) : 0));
        if (longest === null) {
            return whole(value);
        }
        const list = (Array.isArray(value) ? value : []).slice(0, longest);
        return list.slice(0, list.length - (list.length % by)).map(whole);
    },
};
