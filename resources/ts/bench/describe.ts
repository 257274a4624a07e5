import { saidOf } from '../canvas/model/manipulative/manipulative';
import { partsOf } from './constructing';
import { sentence } from '../said';
import type { BenchWords } from '../protocol/words';
import { fill } from '../page';
import { wordFor } from '../protocol/wordfor';
import type { CanvasObject, Piece, Placed } from '../canvas/model/objects';
import { pageBox, union, type Box } from '../canvas/model/bounds';
import type { PaperSize } from '../canvas/model/paper';
import { typed } from '../canvas/model/words';
import { present } from '../present';

/** What an object is, for those who do not see it. `words` holds the sentences by kind. */
export function describe(placed: Placed, words: BenchWords, paper: PaperSize): string {
    return fill(words.object, { what: what(placed.object, words), where: whereIs(pageBox(placed), words, paper) });
}

/** Strokes larger than this, in units, are drawing, not writing. */
const TALLEST = 160;
const WIDEST = 400;
/** As far apart as words in a line are at most. */
const GAP = 60;

/** What the list of objects says in one entry: an object, or the strokes of a line of writing together. */
export interface Entry {
    ids: string[];
    placed: Placed[];
}

/** Objects in drawing order, strokes that follow each other in a line as one. */
export function entries(objects: Iterable<[string, Placed]>): Entry[] {
    const all: Entry[] = [];
    let line: Box | null = null;
    for (const [id, placed] of objects) {
        const box = pageBox(placed);
        const last = all.at(-1);
        const isWriting =
            placed.object.type === 'stroke' && box.bottom - box.top <= TALLEST && box.right - box.left <= WIDEST;
        if (
            isWriting &&
            last !== undefined &&
            line !== null &&
            present(last.placed[0]).layer === placed.layer &&
            present(last.placed[0]).group === placed.group &&
            isInLine(line, box)
        ) {
            last.ids.push(id);
            last.placed.push(placed);
            line = union([line, box]);
        } else {
            all.push({ ids: [id], placed: [placed] });
            line = isWriting ? box : null;
        }
    }
    return all;
}

function isInLine(line: Box, box: Box): boolean {
    const middle = (box.top + box.bottom) / 2;
    const room = Math.max(20, (line.bottom - line.top) / 2);
    return (
        middle >= line.top - room &&
        middle <= line.bottom + room &&
        box.left - line.right <= GAP &&
        line.left - box.right <= GAP &&
        line.bottom - line.top <= TALLEST
    );
}

/** What an entry is, for those who do not see it. */
export function describeEntry({ placed }: Entry, words: BenchWords, paper: PaperSize): string {
    return placed.length === 1
        ? describe(present(placed[0]), words, paper)
        : fill(words.object, {
              what: fill(words.a_writing, { n: placed.length }),
              where: whereIs(union(placed.map(pageBox)), words, paper),
          });
}

/** In which ninth of the page it begins. */
function whereIs({ left, top }: Box, words: BenchWords, [width, height]: PaperSize): string {
    const down = top < height / 3 ? 'top' : top < (2 * height) / 3 ? 'middle' : 'bottom';
    const across = left < width / 3 ? 'left' : left < (2 * width) / 3 ? 'centre' : 'right';
    return words[`at_${down}_${across}`] ?? '';
}

function pieceWord({ area, stack, locked }: Piece): 'a_area' | 'a_stack' | 'a_locked' | 'a_piece' {
    return area === true ? 'a_area' : stack ? 'a_stack' : locked ? 'a_locked' : 'a_piece';
}

function what(object: CanvasObject, words: BenchWords): string {
    switch (object.type) {
        case 'text':
        case 'note':
            return fill(words[`a_${object.type}`], { text: typed(object.text).replace(/\s+/g, ' ').slice(0, 80) });
        case 'maths':
            return fill(words.a_maths, { text: object.source });
        case 'picture':
            return object.alt === '' ? words.a_picture : fill(words.a_named_picture, { text: object.alt });
        case 'piece':
            return fill(words[pieceWord(object)], { text: object.alt });
        case 'manipulative':
            return fill(words.a_manipulative, {
                what: wordFor(words, `piece_${object.kind}`),
                state: sentence(saidOf(object)),
            });
        case 'construction':
            return fill(words.a_construction, { text: partsOf(object, words) });
        case 'stamp':
            return fill(words.a_stamp, { text: wordFor(words, `stamp_${object.stamp}`) });
        default:
            return words[`a_${object.type}`] ?? object.type;
    }
}
