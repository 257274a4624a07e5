import type { CanvasObject } from '../model/objects';
import { isShape } from '../model/shapelook';

/** In units, to the right and down. */
export const ASIDE = [2.5, 3.5] as const;

const COLOUR = '#b9bdbe';
const known = new WeakMap<CanvasObject, CanvasObject>();

/** The shadow of a piece: the same object in one dark colour; core/src/Render/PieceShadow.php draws the same. */
export function shadowOf(object: CanvasObject): CanvasObject {
    let shadow = known.get(object);
    if (shadow === undefined) {
        shadow = made(object);
        known.set(object, shadow);
    }
    return shadow;
}

function made(object: CanvasObject): CanvasObject {
    if (object.type === 'picture' || object.type === 'note') {
        const { x, y, w, h } = object;
        return { type: 'rectangle', x, y, w, h, colour: COLOUR, width: 10, filled: true, strength: 100 };
    }
    return {
        ...object,
        colour: COLOUR,
        ...(isShape(object) && { fill: 'own', strength: 100 }),
    } as CanvasObject;
}
