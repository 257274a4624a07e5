import { inside } from '../hit';
import { TENTHS } from '../objects';
import { sketchOf, type Manipulative } from './manipulative';
import type { Part } from './sketch';

/** The topmost part of its picture at a place, in units as it is before it is placed. */
export function partAt(object: Manipulative, x: number, y: number): Part | null {
    const [atX, atY] = [x - object.x / TENTHS, y - object.y / TENTHS];
    const found = sketchOf(object).parts.filter(
        ({ outline, isControl }) => !isControl && inside(pairs(outline), atX, atY),
    );
    return found.at(-1) ?? null;
}

function pairs(numbers: number[]): [number, number][] {
    return numbers.flatMap((one, i): [number, number][] => (i % 2 === 0 ? [[one, numbers[i + 1] ?? 0]] : []));
}
