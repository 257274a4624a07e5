import { present } from '../../present';

/**
 * A formula as rows of signs and of what holds further rows: a fraction holds two, a root one. What stands between them
 * is LaTeX: a fraction is "\frac{", its numerator, "}{", its denominator, "}".
 */
export interface Atom {
    latex: string[];
    rows: Row[];
    /** Its rows are words or chemistry: every key stands there as it is. */
    isRaw?: true;
}

export type Row = Atom[];

/** What can be read of a formula's LaTeX and be worked on; all else stands in it as one sign. */
const HOLDERS: Record<string, { latex: string[]; isRaw?: true }> = {
    frac: { latex: ['\\frac{', '}{', '}'] },
    dfrac: { latex: ['\\dfrac{', '}{', '}'] },
    sqrt: { latex: ['\\sqrt{', '}'] },
    vec: { latex: ['\\vec{', '}'] },
    overline: { latex: ['\\overline{', '}'] },
    text: { latex: ['\\text{', '}'], isRaw: true },
    ce: { latex: ['\\ce{', '}'], isRaw: true },
};
const RAISED = ['^{', '}'];
const LOWERED = ['_{', '}'];
const ROOT = ['\\sqrt[', ']{', '}'];
const BRACKETS = ['\\left(', '\\right)'];

export function sign(latex: string): Atom {
    return { latex: [latex], rows: [] };
}

function holder(latex: string[], rows: Row[], isRaw?: true): Atom {
    return { latex, rows, ...(isRaw && { isRaw }) };
}

/** @throws Error when braces or brackets do not match */
export function parseFormula(latex: string): Row {
    const reader = new Reader(latex);
    const row = reader.row(() => false);
    reader.end();
    return row;
}

class Reader {
    private at = 0;

    constructor(private readonly latex: string) {}

    end(): void {
        if (this.at < this.latex.length) {
            throw new Error('A brace is closed that was not opened.');
        }
    }

    row(isEnd: () => boolean): Row {
        const row: Row = [];
        while (this.at < this.latex.length && this.latex[this.at] !== '}' && !isEnd()) {
            row.push(...this.next());
        }
        return row;
    }

    private next(): Atom[] {
        const char = present(this.latex[this.at]);
        if (/\s/.test(char)) {
            this.at++;
            return [];
        }
        if (char === '{') {
            return this.group();
        }
        if (char === '^' || char === '_') {
            this.at++;
            return [holder(char === '^' ? RAISED : LOWERED, [this.argument()])];
        }
        if (char !== '\\') {
            const [letter = char] = this.latex.slice(this.at);
            this.at += letter.length;
            return [sign(letter)];
        }
        return [this.command()];
    }

    private command(): Atom {
        const name = /^\\([a-zA-Z]+|.)/su.exec(this.latex.slice(this.at))?.[1] ?? '';
        const from = this.at;
        this.at += name.length + 1;
        if (name === 'sqrt' && this.latex[this.at] === '[') {
            this.at++;
            const index = this.row(() => this.latex[this.at] === ']');
            this.at++;
            return holder(ROOT, [index, this.argument()]);
        }
        if (name === 'left' && this.latex[this.at] === '(') {
            this.at++;
            const inside = this.row(() => this.latex.startsWith('\\right', this.at));
            if (!this.latex.startsWith('\\right)', this.at)) {
                throw new Error('A bracket is not closed.');
            }
            this.at += '\\right)'.length;
            return holder(BRACKETS, [inside]);
        }
        const known = Object.hasOwn(HOLDERS, name) ? HOLDERS[name] : undefined;
        if (known?.isRaw === true) {
            const words = this.raw().slice(1, -1);
            return holder(known.latex, [[...words].map(sign)], true);
        }
        if (known !== undefined) {
            return holder(
                known.latex,
                known.latex.slice(1).map(() => this.argument()),
            );
        }
        if (name === 'begin' || name === 'left') {
            this.skipTo(name === 'begin' ? '\\end' : '\\right');
        }
        // A command of ours or not: with what stands in braces behind it, it is one sign.
        while (/^[a-zA-Z]/.test(name) && this.latex[this.at] === '{') {
            this.raw();
        }
        return sign(this.latex.slice(from, this.at));
    }

    private skipTo(end: string): void {
        const at = this.latex.indexOf(end, this.at);
        if (at === -1) {
            throw new Error('A bracket is not closed.');
        }
        this.at = at + end.length + (end === '\\right' ? 1 : 0);
    }

    /** What stands in braces here, or the one sign that does. */
    private argument(): Row {
        while (/\s/.test(this.latex[this.at] ?? '')) {
            this.at++;
        }
        return this.at >= this.latex.length ? [] : this.latex[this.at] === '{' ? this.group() : this.next();
    }

    private group(): Row {
        this.at++;
        const row = this.row(() => false);
        if (this.latex[this.at] !== '}') {
            throw new Error('A brace is not closed.');
        }
        this.at++;
        return row;
    }

    /** As it stands, its braces too. */
    private raw(): string {
        const from = this.at;
        let depth = 0;
        do {
            const char = this.latex[this.at];
            if (char === undefined) {
                throw new Error('A brace is not closed.');
            }
            this.at += char === '\\' ? 2 : 1;
            depth += char === '{' ? 1 : char === '}' ? -1 : 0;
        } while (depth > 0);
        return this.latex.slice(from, this.at);
    }
}

/** How a caret and a place with nothing in it are shown. */
export interface Shown {
    caret: { row: Row; at: number };
    caretLatex: string;
    slot: string;
}

/** @param shown  for the eye: with the caret and empty places; without it as it is kept */
export function printFormula(row: Row, shown?: Shown, isRaw = false): string {
    const parts = row.map(({ latex, rows, isRaw: holdsRaw }) =>
        latex.map((piece, i) => piece + (rows[i] === undefined ? '' : printFormula(rows[i], shown, holdsRaw))).join(''),
    );
    if (shown?.caret.row === row && !isRaw) {
        parts.splice(shown.caret.at, 0, shown.caretLatex);
    }
    if (shown !== undefined && row.length === 0 && !isRaw) {
        parts.push(shown.slot);
    }
    // A command is ended by what follows it, if that is no letter.
    return parts
        .map((part, i) =>
            !isRaw && /\\[a-zA-Z]+$/.test(part) && /^[a-zA-Z]/.test(parts[i + 1] ?? '') ? `${part} ` : part,
        )
        .join('');
}

/** What holds a row, and where; null for the outermost. */
export function holderOf(root: Row, row: Row): { row: Row; at: number; part: number } | null {
    for (const [at, atom] of root.entries()) {
        for (const [part, inner] of atom.rows.entries()) {
            const found = inner === row ? { row: root, at, part } : holderOf(inner, row);
            if (found !== null) {
                return found;
            }
        }
    }
    return null;
}

export const FRACTION = present(HOLDERS.frac).latex;
export { RAISED, LOWERED };
