import type { CanvasObject, Placing } from './objects';
import { typed } from './words';

/** What students do with a piece. */
export interface PieceUse {
    how: 'move' | 'stack' | 'locked' | 'area';
    /** What it is called; of several those that are words are called by them. */
    alt: string;
    /** What the pieces are called that belong into an area. */
    takes: string[];
}

/** Things as pieces, where they stand. */
export function asPieces(placings: Placing[], { how, alt, takes }: PieceUse): Placing[] {
    return placings.map(({ object, place, group }, i, all): Placing => ({
        // A construction or a manipulative is taken into the hand as it is.
        object:
            object.type === 'construction' || object.type === 'manipulative'
                ? object
                : {
                      type: 'piece',
                      alt: all.length > 1 ? (wordsOf(object) ?? `${alt} ${i + 1}`) : alt,
                      locked: how === 'locked',
                      stack: how === 'stack',
                      of: object.type === 'piece' ? object.of : object,
                      ...(how === 'area' && { area: true as const, ...(takes.length > 0 && { takes }) }),
                  },
        ...(place && { place }),
        ...(group && { group }),
    }));
}

function wordsOf(object: CanvasObject): string | null {
    const of = object.type === 'piece' ? object.of : object;
    const words =
        of.type === 'text' || of.type === 'note' ? typed(of.text).replace(/\s+/g, ' ').trim().slice(0, 280) : '';
    return words === '' ? null : words;
}

/** What was chosen in the window that makes pieces. */
export function pieceUse(form: HTMLFormElement): PieceUse {
    const data = new FormData(form);
    return {
        how: String(data.get('how')) as PieceUse['how'],
        alt: String(data.get('alt')).trim(),
        takes: String(data.get('takes') ?? '')
            .split('\n')
            .map((one) => one.trim())
            .filter((one) => one !== ''),
    };
}
