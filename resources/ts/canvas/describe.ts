import { fill } from '../page';
import type { CanvasObject, Placed } from './model';
import { pageBox } from './bounds';
import { typed } from './words';

/** What an object is, for those who do not see it. `words` holds the sentences by kind. */
export function describe(placed: Placed, words: Record<string, string>): string {
    const { left, top } = pageBox(placed);
    const where = words[`at_${top < 333 ? 'top' : top < 667 ? 'middle' : 'bottom'}_${left < 533 ? 'left' : left < 1067 ? 'centre' : 'right'}`] ?? '';
    return fill(words.object, { what: what(placed.object, words), where });
}

function what(object: CanvasObject, words: Record<string, string>): string {
    switch (object.type) {
        case 'text':
        case 'note':
            return fill(words[`a_${object.type}`], { text: typed(object.text).replace(/\s+/g, ' ').slice(0, 80) });
        case 'maths':
            return fill(words.a_maths, { text: object.source });
        case 'picture':
            return object.alt === '' ? words.a_picture : fill(words.a_named_picture, { text: object.alt });
        case 'piece':
            return fill(object.stack ? words.a_stack : words.a_piece, { text: object.alt });
        case 'stamp':
            return fill(words.a_stamp, { text: words[`stamp_${object.stamp}`] ?? object.stamp });
        default:
            return words[`a_${object.type}`] ?? object.type;
    }
}
