import type { BoxShape, PointShape, ShapeLook } from './objects';

/** Per cent of its colour that a shape's inside has as usual. */
export const LIGHT = 18;

const USUAL = { fill: 'own', strength: LIGHT, line: 'solid' } as const;

const OPEN = new Set(['line', 'arrow', 'curve']);
const SHAPES = new Set(['line', 'arrow', 'rectangle', 'ellipse', 'triangle', 'polygon', 'curve']);

/** How a shape looks, what is as usual said too; core/src/Canvas/Object/ShapeLook.php says the same. */
export interface WholeLook extends Required<ShapeLook> {
    isFilled: boolean;
}

export function isShape(object: { type: string }): object is BoxShape | PointShape {
    return SHAPES.has(object.type);
}

/** Whether it has ends, and no inside. */
export function isOpen(type: string): boolean {
    return OPEN.has(type);
}

export function usualEnds(type: string): 'none' | 'end' {
    return type === 'arrow' ? 'end' : 'none';
}

export function wholeLook(shape: BoxShape | PointShape): WholeLook {
    const isFilled = shape.filled && !isOpen(shape.type);
    const ends = isOpen(shape.type) ? (shape.ends ?? usualEnds(shape.type)) : 'none';
    return { ...USUAL, ...shape, ends, isFilled };
}

/** What of a shape's look may be left out, and what it is then. */
export function usualLook(type: string): Record<string, unknown> {
    return { ...USUAL, ends: usualEnds(type) };
}

/** Lengths of dashes and gaps in units; none for an even line. */
export function dashes({ line, width }: WholeLook): number[] {
    const units = width / 10;
    switch (line) {
        case 'dashed':
            return [3 * units + DASH, 2.5 * units + DASH];
        case 'dotted':
            return [0.01, 2 * units + DASH / 3];
        default:
            return [];
    }
}

/** What a thin line's dashes are long, beside their share of its width. */
const DASH = 6;
