import { present } from '../../present';

/** x and y in tenths of a unit, pressure 0–255, milliseconds since the stroke began. */
export type Sample = [x: number, y: number, pressure: number, ms: number];

/** The text form of ink; core/src/Canvas/Drawing/Ink.php describes it. */
export function encodeInk(samples: readonly Sample[]): string {
    const bytes: number[] = [];
    let before: Sample = [0, 0, 0, 0];
    for (const sample of samples) {
        for (let i = 0; i < 4; i++) {
            const difference = present(sample[i]) - present(before[i]);
            let zigzag = difference < 0 ? -2 * difference - 1 : 2 * difference;
            while (zigzag > 0x7f) {
                bytes.push((zigzag & 0x7f) | 0x80);
                zigzag >>>= 7;
            }
            bytes.push(zigzag);
        }
        before = sample;
    }
    let binary = '';
    for (const byte of bytes) {
        binary += String.fromCharCode(byte);
    }
    return btoa(binary).replace(/=+$/, '');
}

/** Throws a RangeError when the text is not whole samples. */
export function decodeInk(text: string): Sample[] {
    const samples: Sample[] = [];
    walkInk(text, (x, y, pressure, ms) => samples.push([x, y, pressure, ms]));
    return samples;
}

/**
 * Goes through the samples without making any: a class at work has hundreds of thousands of them.
 *
 * Throws a RangeError when the text is not whole samples.
 */
export function walkInk(text: string, visit: (...sample: Sample) => void): void {
    const binary = atob(text);
    let [x, y, pressure, ms] = [0, 0, 0, 0];
    let at = 0;
    let value = 0;
    let shift = 0;
    for (let i = 0; i < binary.length; i++) {
        const byte = binary.charCodeAt(i);
        value |= (byte & 0x7f) << shift;
        if (byte >= 0x80) {
            shift += 7;
            continue;
        }
        const difference = (value >>> 1) ^ -(value & 1);
        value = shift = 0;
        if (at === 0) {
            x += difference;
        } else if (at === 1) {
            y += difference;
        } else if (at === 2) {
            pressure += difference;
        } else {
            ms += difference;
            visit(x, y, pressure, ms);
        }
        at = (at + 1) & 3;
    }
    if (at !== 0 || shift !== 0) {
        throw new RangeError('The ink ends in the middle of a point.');
    }
}

/** The part between two places, in sixteenths of a sample; core/src/Canvas/Drawing/Ink.php cuts the same. */
export function partOfInk(samples: readonly Sample[], from: number, to: number): Sample[] {
    const part = [between(samples, from)];
    for (let i = Math.floor(from / 16) + 1; i * 16 < to; i++) {
        part.push(present(samples[i]));
    }
    if (to > from) {
        part.push(between(samples, to));
    }
    const start = present(part[0])[3];
    return part.map(([x, y, pressure, ms]): Sample => [x, y, pressure, ms - start]);
}

function between(samples: readonly Sample[], place: number): Sample {
    const a = present(samples[Math.floor(place / 16)]);
    const b = present(samples[Math.min(samples.length - 1, Math.floor(place / 16) + 1)]);
    const share = place % 16;
    return a.map((value, i) => Math.floor((16 * value + (present(b[i]) - value) * share + 8) / 16)) as Sample;
}
