import type { Label, Scale } from './figures';

/** A measure in words: Crag\Construct\Written. */
export function written({ value, unit, exact, second }: Label, { isAxes }: Scale): string {
    if (exact !== '') {
        return exact;
    }
    const name = isAxes ? '' : 'cm';
    switch (unit) {
        case 'length':
            return `${number(value, 1)} ${name}`.trim();
        case 'area':
            return `${number(value, 1)}${name === '' ? '' : ` ${name}²`}`;
        case 'degrees':
            return `${number(value, 1)}°`;
        case 'place':
            return `(${number(value, 2)}, ${number(second, 2)})`;
        default:
            return number(value, 2);
    }
}

function number(value: number, places: number): string {
    const power = 10 ** places;
    const rounded = Math.floor(Math.abs(value) * power + 0.5);
    return `${value < 0 && rounded > 0 ? '−' : ''}${String(rounded / power)}`;
}
