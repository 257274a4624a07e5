export const LINE_HEIGHT = 1.25;
/** Between a note's edge and its words, in units. */
export const NOTE_MARGIN = 16;
/** A line end that was not typed: the words ran out of room. */
export const SOFT_END = '\u2028';
const BACKWARDS = /^[^\p{L}]*[\u0590-\u08FF\uFB1D-\uFDFF\uFE70-\uFEFC]/u;

/** The width of a line in units, set in letters of a size. */
export type Ruler = (line: string, size: number) => number;

/** Half a letter's height a letter, until a page that has the font measures. */
let ruler: Ruler = (line, size) => [...line].length * size * 0.5;

export function measureWith(better: Ruler): void {
    ruler = better;
}

export function linesOf(text: string): string[] {
    return text.split(/[\n\u2028]/);
}

/** The words as they were typed. */
export function typed(text: string): string {
    return text.replaceAll(SOFT_END, '');
}

export function readsBackwards(line: string): boolean {
    return BACKWARDS.test(line);
}

/** Width in units of the widest line. */
export function widthOf(text: string, size: number): number {
    return Math.max(0, ...linesOf(text).map((line) => ruler(line, size)));
}

export function heightOf(text: string, size: number): number {
    return linesOf(text).length * size * LINE_HEIGHT;
}

/** Ends lines where the next word would not fit into a width in units; a word longer than that is cut. */
export function wrap(text: string, size: number, width: number): string {
    const fits = (line: string): boolean => ruler(line.trimEnd(), size) <= width;
    return text
        .split('\n')
        .map((paragraph) => {
            const lines: string[] = [];
            let line = '';
            for (const word of paragraph.match(/\S*\s*/g) ?? []) {
                if (line !== '' && !fits(line + word)) {
                    lines.push(line);
                    line = '';
                }
                let rest = word;
                while (!fits(rest) && [...rest].length > 1) {
                    const letters = [...rest];
                    let n = letters.length - 1;
                    while (n > 1 && !fits(letters.slice(0, n).join(''))) {
                        n--;
                    }
                    lines.push(letters.slice(0, n).join(''));
                    rest = letters.slice(n).join('');
                }
                line += rest;
            }
            lines.push(line);
            return lines.join(SOFT_END);
        })
        .join('\n');
}
