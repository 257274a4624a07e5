import { present } from '../../present';
import { FRACTION, LOWERED, RAISED, holderOf, parseFormula, printFormula, sign, type Atom, type Row } from './formula';

/** The caret: a thin rule, as tall as a line. */
const CARET = '\\rule[-0.2em]{0.06em}{1em}';
const SLOT = '\\square';

/** A formula that is being written: its rows, and where the next key goes. */
export class FormulaEditor {
    private root: Row = [];
    private row: Row = this.root;
    private at = 0;

    /** @throws Error when it cannot be read */
    read(latex: string): void {
        this.root = parseFormula(latex);
        this.row = this.root;
        this.at = this.root.length;
    }

    get source(): string {
        return printFormula(this.root);
    }

    /** For the eye: with the caret, and a box where something is to be written. */
    get shown(): string {
        return printFormula(this.root, { caret: { row: this.row, at: this.at }, caretLatex: CARET, slot: SLOT });
    }

    /** A key of the keyboard. */
    type(key: string): void {
        if (this.isRaw) {
            this.put([sign(key)]);
        } else if (key === '/') {
            this.divide();
        } else if (key === '^') {
            this.insert('^{}');
        } else if (key === '_') {
            this.insert('_{}');
        } else if (key === '*') {
            this.insert('\\times');
        } else if (key === '(') {
            this.insert('\\left({}\\right)');
        } else if (key === ')' && this.leave()) {
            // It ends the bracket that it stands in.
        } else if (!/[\s{}\\#$%&~]/.test(key)) {
            this.put([sign(key)]);
        }
    }

    /** A sign or a holder of the pad: the caret goes into its first empty place. */
    insert(latex: string): void {
        this.put(this.isRaw ? [...latex].map(sign) : parseFormula(latex));
    }

    /** What stands before the caret becomes the numerator, and the caret goes below the line. */
    private divide(): void {
        let from = this.at;
        while (from > 0 && isFactor(present(this.row[from - 1]))) {
            from--;
        }
        const numerator = this.row.splice(from, this.at - from);
        this.at = from;
        this.put([{ latex: FRACTION, rows: [numerator, []] }]);
    }

    private put(atoms: Row): void {
        this.row.splice(this.at, 0, ...atoms);
        this.at += atoms.length;
        const slot = firstEmpty(atoms);
        if (slot !== null) {
            this.row = slot;
            this.at = 0;
        }
    }

    left(): boolean {
        if (this.at > 0) {
            const inner = present(this.row[this.at - 1]).rows.at(-1);
            if (inner === undefined) {
                this.at--;
            } else {
                this.go(inner, inner.length);
            }
            return true;
        }
        const holder = holderOf(this.root, this.row);
        if (holder === null) {
            return false;
        }
        const before = present(holder.row[holder.at]).rows[holder.part - 1];
        if (before === undefined) {
            this.go(holder.row, holder.at);
        } else {
            this.go(before, before.length);
        }
        return true;
    }

    right(): boolean {
        if (this.at < this.row.length) {
            const [inner] = present(this.row[this.at]).rows;
            if (inner === undefined) {
                this.at++;
            } else {
                this.go(inner, 0);
            }
            return true;
        }
        const holder = holderOf(this.root, this.row);
        if (holder === null) {
            return false;
        }
        const after = present(holder.row[holder.at]).rows[holder.part + 1];
        if (after === undefined) {
            this.go(holder.row, holder.at + 1);
        } else {
            this.go(after, 0);
        }
        return true;
    }

    /** From numerator to denominator and back. */
    upDown(by: -1 | 1): boolean {
        const holder = holderOf(this.root, this.row);
        const other = holder === null ? undefined : present(holder.row[holder.at]).rows[holder.part + by];
        if (other !== undefined) {
            this.go(other, Math.min(this.at, other.length));
        }
        return other !== undefined;
    }

    home(): void {
        this.go(this.root, 0);
    }

    end(): void {
        this.go(this.root, this.root.length);
    }

    /** To the next empty place, or out of what the caret stands in; false at the end of all. */
    tab(by: -1 | 1): boolean {
        const rows = allRows(this.root);
        const here = rows.indexOf(this.row);
        const later = by === 1 ? rows.slice(here + 1) : rows.slice(0, here).reverse();
        const empty = later.find((row) => row.length === 0 && row !== this.root);
        if (empty !== undefined) {
            this.go(empty, 0);
            return true;
        }
        return by === 1 && this.leave();
    }

    /** Behind what holds the caret's row. */
    private leave(): boolean {
        const holder = holderOf(this.root, this.row);
        if (holder !== null) {
            this.go(holder.row, holder.at + 1);
        }
        return holder !== null;
    }

    backspace(): void {
        if (this.at > 0) {
            const before = present(this.row[this.at - 1]);
            if (before.rows.some((row) => row.length > 0)) {
                this.left();
            } else {
                this.row.splice(--this.at, 1);
            }
            return;
        }
        const holder = holderOf(this.root, this.row);
        if (holder !== null) {
            const { rows } = present(holder.row[holder.at]);
            this.go(holder.row, holder.at);
            // What it held stays.
            this.row.splice(this.at, 1, ...rows.flat());
        }
    }

    delete(): void {
        if (this.at < this.row.length) {
            const [inner] = present(this.row[this.at]).rows;
            if (inner === undefined || present(this.row[this.at]).rows.every((row) => row.length === 0)) {
                this.row.splice(this.at, 1);
            } else {
                this.go(inner, 0);
            }
        }
    }

    private go(row: Row, at: number): void {
        this.row = row;
        this.at = at;
    }

    /** Whether the caret stands among words or chemistry. */
    private get isRaw(): boolean {
        const holder = holderOf(this.root, this.row);
        return holder !== null && present(holder.row[holder.at]).isRaw === true;
    }
}

/** What a fraction takes up when it is begun behind it: numbers, letters and what is raised or lowered at them. */
function isFactor({ latex, rows }: Atom): boolean {
    return rows.length > 0
        ? latex === RAISED || latex === LOWERED || latex[0] !== FRACTION[0]
        : /^[\p{L}\p{N}.,]$|^\\[a-z]+$/iu.test(latex[0] ?? '') && !OPERATORS.has(latex[0] ?? '');
}

const OPERATORS = new Set(['\\times', '\\div', '\\pm', '\\le', '\\ge', '\\ne', '\\approx', '\\cdot', '\\to']);

function firstEmpty(row: Row): Row | null {
    for (const { rows } of row) {
        for (const inner of rows) {
            const found = inner.length === 0 ? inner : firstEmpty(inner);
            if (found !== null) {
                return found;
            }
        }
    }
    return null;
}

/** The row and those within it, in the order in which they are read. */
function allRows(row: Row): Row[] {
    return [row, ...row.flatMap(({ rows }) => rows.flatMap(allRows))];
}
