import type { Sentence } from './said';

/** Colours by their names, as core/src/Manipulative/Sketch.php has them; '' is none. */
export const COLOURS: Record<string, string> = {
    slate: '#25323b',
    stone: '#8b8578',
    pale: '#dad4c7',
    paper: '#fffdf8',
    lichen: '#4f7a3a',
    moss: '#c4d8b8',
    ochre: '#c98a1b',
    sand: '#f0dcae',
    rust: '#a8452e',
    clay: '#e9c3b6',
    lake: '#2c6e8f',
    sky: '#b9d6e4',
    wood: '#b99463',
    glass: '#2c6e8f22',
};

/** Something drawn; its numbers are units from the upper left corner. */
export type Shape =
    | { is: 'rect'; at: number[]; radius: number; fill: string; line: string }
    | { is: 'circle'; at: number[]; fill: string; line: string }
    | { is: 'line'; at: number[]; line: string; width: number; dashed: boolean }
    | { is: 'polygon'; at: number[]; fill: string; line: string }
    | { is: 'words'; at: number[]; words: string; size: number; fill: string; anchor: string };

/** A part that a hand can take. */
export interface Part {
    name: string;
    n: number;
    label: Sentence;
    /** x, y, x, y … in units. */
    outline: number[];
    does: 'press' | 'drag' | 'type';
    /** How far an arrow key drags it. */
    step: number;
    /** What stands in it, where one types. */
    value: number;
    /** A button beside the drawing. */
    isControl: boolean;
}

/** As core/src/Manipulative/Sketch.php: what a manipulative looks like, and what can be taken hold of. */
export class Sketch {
    left = 0;
    top = 0;
    width = 0;
    height = 0;
    readonly shapes: Shape[] = [];
    readonly parts: Part[] = [];

    size(width: number, height: number): void {
        this.width = width;
        this.height = height;
    }

    around(points: number[]): void {
        const [xs, ys] = [points.filter((_, i) => i % 2 === 0), points.filter((_, i) => i % 2 === 1)];
        this.left = Math.floor(Math.min(...xs));
        this.top = Math.floor(Math.min(...ys));
        this.size(Math.ceil(Math.max(...xs)) - this.left, Math.ceil(Math.max(...ys)) - this.top);
    }

    rect(x: number, y: number, w: number, h: number, fill: string, line = 'slate', radius = 0): void {
        this.shapes.push({ is: 'rect', at: tenths([x, y, w, h]), radius, fill, line });
    }

    circle(x: number, y: number, radius: number, fill: string, line = 'slate'): void {
        this.shapes.push({ is: 'circle', at: tenths([x, y, radius]), fill, line });
    }

    line(points: number[], line = 'slate', width = 2, dashed = false): void {
        this.shapes.push({ is: 'line', at: tenths(points), line, width, dashed });
    }

    polygon(points: number[], fill: string, line = 'slate'): void {
        this.shapes.push({ is: 'polygon', at: tenths(points), fill, line });
    }

    words(x: number, y: number, words: string, size = 28, fill = 'slate', anchor = 'middle'): void {
        this.shapes.push({ is: 'words', at: tenths([x, y]), words, size, fill, anchor });
    }

    press(name: string, n: number, label: Sentence, x: number, y: number, w: number, h: number): void {
        this.part({ name, n, label, outline: box(x, y, w, h) });
    }

    pressOn(name: string, n: number, label: Sentence, outline: number[]): void {
        this.part({ name, n, label, outline: tenths(outline) });
    }

    drag(name: string, n: number, label: Sentence, x: number, y: number, w: number, h: number, step: number): void {
        this.part({ name, n, label, outline: box(x, y, w, h), does: 'drag', step });
    }

    dragOn(name: string, n: number, label: Sentence, outline: number[], step: number): void {
        this.part({ name, n, label, outline: tenths(outline), does: 'drag', step });
    }

    type(name: string, n: number, label: Sentence, x: number, y: number, w: number, h: number, value: number): void {
        this.part({ name, n, label, outline: box(x, y, w, h), does: 'type', value });
    }

    button(name: string, n: number, label: Sentence, x: number, y: number, w = 64, h = 56): void {
        this.part({ name, n, label, outline: box(x, y, w, h), isControl: true });
    }

    private part(part: Pick<Part, 'name' | 'n' | 'label' | 'outline'> & Partial<Part>): void {
        this.parts.push({ does: 'press', step: 0, value: 0, isControl: false, ...part });
    }
}

function box(x: number, y: number, w: number, h: number): number[] {
    return tenths([x, y, x + w, y, x + w, y + h, x, y + h]);
}

function tenths(numbers: number[]): number[] {
    return numbers.map((one) => Math.floor(one * 10 + 0.5) / 10);
}
