import type { BoxShape, CanvasObject, PointShape, ShapeLook } from './objects';

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

/** A field that a shape may have, whether it has it or not. */
export function hasLook(object: CanvasObject, field: string): boolean {
    return isShape(object) && (field in USUAL || field === 'ends');
}

/** Without what is as usual, as the core writes it. */
export function plain<T extends CanvasObject>(object: T): T {
    if (!isShape(object)) {
        return object;
    }
    const usual: Record<string, unknown> = { ...USUAL, ends: usualEnds(object.type) };
    return Object.fromEntries(Object.entries(object).filter(([field, value]) => usual[field] !== value)) as T;
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
