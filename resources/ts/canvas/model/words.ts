import type { Mark, MarkKind, Text } from './objects';

export const LINE_HEIGHT = 1.25;
/** Between a note's edge and its words, in units. */
export const NOTE_MARGIN = 16;
/** A line end that was not typed: the words ran out of room. */
export const SOFT_END = '\u2028';
/** Of raised and lowered letters: how large, and how far off the line, in sizes. */
export const SMALL = 0.65;
const RAISED = { sup: 0.35, sub: -0.15 } as const;
/** How far the words of a list stand in from its marks, in sizes. */
const INDENT = { bullets: 0.9, numbers: 1.5 } as const;
const BACKWARDS = /^[^\p{L}]*[\u0590-\u08FF\uFB1D-\uFDFF\uFE70-\uFEFC]/u;

/** Words with what says how wide they are. */
export type Lettering = Pick<Text, 'text' | 'size' | 'marks' | 'list' | 'face'>;

export interface RunLook {
    bold: boolean;
    italic: boolean;
    /** Up in sizes; what is raised or lowered is small. */
    raised: number;
    code: boolean;
}

/** Words that look alike. */
export interface Run extends RunLook {
    words: string;
}

/** One line as it stands. */
export interface Row {
    line: string;
    runs: Run[];
    /** What stands before it, in a list. */
    mark: string;
}

/** The width of words in units, set in letters of a size. */
export type Ruler = (words: string, size: number, look: RunLook) => number;

/** Half a letter's height a letter, until a page that has the font measures. */
let ruler: Ruler = (words, size) => [...words].length * size * 0.5;

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

export function indentOf({ list, size }: Pick<Lettering, 'list' | 'size'>): number {
    return list === undefined ? 0 : INDENT[list] * size;
}

/** Marks without what lies beyond the end of the words; core/src/Canvas/Object/TextMarks.php says the same. */
export function marksWithin(marks: readonly Mark[], text: string): Mark[] {
    const { length } = [...typed(text)];
    return marks.filter(([from]) => from < length).map(([from, to, kind]): Mark => [from, Math.min(to, length), kind]);
}

/** A part of the words, which begins at a place in them, cut where its look changes. */
export function runsOf(line: string, from: number, { marks, face }: Pick<Lettering, 'marks' | 'face'>): Run[] {
    const code = face === 'code';
    if (marks === undefined || marks.length === 0) {
        return [{ words: line, bold: false, italic: false, raised: 0, code }];
    }
    const letters = [...line];
    const cuts = [...new Set([0, letters.length, ...marks.flatMap(([begin, end]) => [begin - from, end - from])])]
        .filter((at) => at >= 0 && at <= letters.length)
        .sort((a, b) => a - b);
    return cuts.slice(1).map((to, i): Run => {
        const begin = cuts[i] ?? 0;
        const kinds = new Set<MarkKind>(
            marks.filter(([a, b]) => a - from <= begin && b - from >= to).map(([, , kind]) => kind),
        );
        return {
            words: letters.slice(begin, to).join(''),
            // Code has one kind of letters.
            bold: kinds.has('b') && !code,
            italic: kinds.has('i') && !code,
            raised: (kinds.has('sup') ? RAISED.sup : 0) + (kinds.has('sub') ? RAISED.sub : 0),
            code,
        };
    });
}

/** The lines with their runs, and the marks of a list before its paragraphs. */
export function rowsOf(lettering: Lettering): Row[] {
    const rows: Row[] = [];
    let [from, paragraph] = [0, 0];
    for (const words of lettering.text.split('\n')) {
        const isEmpty = words.trim() === '';
        paragraph += isEmpty ? 0 : 1;
        words.split(SOFT_END).forEach((line, i) => {
            const mark = i > 0 || isEmpty ? '' : listMark(lettering.list, paragraph);
            rows.push({ line, runs: runsOf(line, from, lettering), mark });
            from += [...line].length;
        });
        from++;
    }
    return rows;
}

function listMark(list: Text['list'], n: number): string {
    return list === 'bullets' ? '•' : list === 'numbers' ? `${n}.` : '';
}

function lengthOf(runs: Run[], size: number): number {
    return runs.reduce((sum, run) => sum + ruler(run.words, run.raised === 0 ? size : size * SMALL, run), 0);
}

/** How wide a run stands, in units. */
export function runWidth(run: Run, size: number): number {
    return lengthOf([run], size);
}

/** Width in units of the widest line. */
export function widthOf(lettering: Lettering): number {
    const widest = Math.max(0, ...rowsOf(lettering).map(({ runs }) => lengthOf(runs, lettering.size)));
    return widest + indentOf(lettering);
}

export function heightOf(text: string, size: number): number {
    return linesOf(text).length * size * LINE_HEIGHT;
}

/**
 * The words in lines: one ends where the next word would not fit into a width in units; a word longer than that is cut.
 */
export function wrap(lettering: Lettering, width: number): string {
    const { size } = lettering;
    const room = width - indentOf(lettering);
    const fits = (line: string, from: number): boolean =>
        lengthOf(runsOf(line.trimEnd(), from, lettering), size) <= room;
    let from = 0;
    return lettering.text
        .split('\n')
        .map((paragraph) => {
            const lines: string[] = [];
            let line = '';
            const end = (): void => {
                lines.push(line);
                from += [...line].length;
                line = '';
            };
            for (const word of paragraph.match(/\S*\s*/g) ?? []) {
                if (line !== '' && !fits(line + word, from)) {
                    end();
                }
                let rest = word;
                while (!fits(rest, from) && [...rest].length > 1) {
                    const letters = [...rest];
                    let n = letters.length - 1;
                    while (n > 1 && !fits(letters.slice(0, n).join(''), from)) {
                        n--;
                    }
                    line = letters.slice(0, n).join('');
                    end();
                    rest = letters.slice(n).join('');
                }
                line += rest;
            }
            end();
            from++;
            return lines.join(SOFT_END);
        })
        .join('\n');
}
