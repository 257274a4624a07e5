import type { Label } from './figures';

/** A measure in words: Crag\Construct\Written. */
export function written({ value, unit }: Label, per: number, name: string): string {
    switch (unit) {
        case 'length':
            return `${number(value / per, 1)} ${name}`.trim();
        case 'area':
            return `${number(value / per ** 2, 1)}${name === '' ? '' : ` ${name}²`}`;
        case 'degrees':
            return `${number(value, 1)}°`;
        default:
            return number(value, 2);
    }
}

function number(value: number, places: number): string {
    const power = 10 ** places;
    const rounded = Math.floor(Math.abs(value) * power + 0.5);
    return `${value < 0 && rounded > 0 ? '−' : ''}${String(rounded / power)}`;
}
