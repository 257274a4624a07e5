import type { Point, Tool } from '../gestures';
import { touches } from '../hit';
import { encodeInk, partOfInk, type Sample } from '../ink';
import { TENTHS, type Placed, type Stroke } from '../model';
import { back, matrixOf } from '../place';
import { samplesOf } from '../scene';
import type { Workbench } from '../workbench';

/** Between two places that the eraser looks at, in units. */
const STEP = 8;
/** How far the eraser reaches when it rubs out a part of a line, in units. */
const RADIUS = 14;

type Part = [from: number, to: number];

/** Rubs out whole objects, or the parts of strokes that it goes over. One rub is one step to undo. */
export class EraserTool implements Tool {
    private last: Point | null = null;
    private rubbed = new Set<string>();
    /** What is rubbed out of each stroke, in sixteenths of a sample. */
    private gone = new Map<string, Part[]>();

    constructor(private readonly bench: Workbench) {}

    down(at: Point): void {
        this.last = at;
        this.rubbed = new Set();
        this.gone = new Map();
        this.rub(at.x, at.y);
    }

    /** A fast hand leaves wide gaps between its events; they are filled. */
    move(points: Point[]): void {
        for (const at of points) {
            const from = this.last ?? at;
            const steps = Math.max(1, Math.ceil(Math.hypot(at.x - from.x, at.y - from.y) / STEP));
            for (let i = 1; i <= steps; i++) {
                this.rub(from.x + ((at.x - from.x) * i) / steps, from.y + ((at.y - from.y) * i) / steps);
            }
            this.last = at;
        }
        if (this.gone.size > 0) {
            this.showWhatIsLeft();
        }
    }

    up(): void {
        const { bench } = this;
        const there = bench.view.log.scene.objects;
        const targets = [...this.rubbed].filter((id) => there.has(id));
        if (targets.length > 0) {
            bench.make('remove', { targets });
        }
        const cuts = [...this.gone.keys()].filter((id) => there.has(id)).map((target) => ({ target, keep: this.left(target) }));
        if (cuts.length > 0) {
            bench.make('cut', { cuts });
        }
        this.forget();
    }

    cancel(): void {
        this.forget();
    }

    private forget(): void {
        const { view } = this.bench;
        view.floating.clear();
        view.unhide(...this.rubbed);
        this.rubbed = new Set();
        this.gone = new Map();
    }

    private rub(x: number, y: number): void {
        const { bench } = this;
        const hit: string[] = [];
        for (const [id, placed] of bench.view.mine(bench.layer, false)) {
            if (bench.settings.rub === 'whole') {
                if (!this.rubbed.has(id) && touches(placed, x, y)) {
                    hit.push(id);
                }
            } else if (isStroke(placed) && touches(placed, x, y, RADIUS)) {
                this.gone.set(id, merged([...(this.gone.get(id) ?? []), ...covered(placed, x, y)]));
            }
        }
        if (hit.length > 0) {
            hit.forEach((id) => this.rubbed.add(id));
            bench.view.hide(...hit);
        }
    }

    /** What the eraser has left of a stroke; specks are not worth keeping. */
    private left(id: string): Part[] {
        const { object } = this.bench.view.log.scene.objects.get(id)!;
        const end = 16 * (samplesOf(object as Stroke).length - 1);
        const parts: Part[] = [];
        let from = 0;
        for (const [start, stop] of this.gone.get(id)!) {
            parts.push([from, start]);
            from = stop;
        }
        parts.push([from, end]);
        return parts.filter(([a, b]) => b - a >= 2).slice(0, 200);
    }

    private showWhatIsLeft(): void {
        const { view } = this.bench;
        const shown: [string, Placed][] = [];
        for (const id of this.gone.keys()) {
            const placed = view.log.scene.objects.get(id);
            if (placed === undefined) {
                continue;
            }
            const stroke = placed.object as Stroke;
            // What stands for the whole stroke while it is rubbed at: nothing, and beside it every part that is left.
            shown.push([id, { ...placed, page: '-' }]);
            this.left(id).forEach(([from, to], i) => {
                shown.push([`${id}~${i}`, { ...placed, object: { ...stroke, ink: encodeInk(partOfInk(samplesOf(stroke), from, to)) } }]);
            });
        }
        for (const id of [...view.floating.keys()].filter((one) => one.includes('~'))) {
            view.floating.delete(id);
        }
        view.float(shown);
    }
}

function isStroke({ object }: Placed): boolean {
    return object.type === 'stroke' || object.type === 'highlight';
}

/** The parts of a stroke under the eraser, in sixteenths of a sample. */
function covered({ object, place }: Placed, x: number, y: number): Part[] {
    const samples = samplesOf(object as Stroke);
    const [atX, atY] = place === undefined ? [x, y] : back(matrixOf(place), x, y);
    const radius = (RADIUS / ((place?.[3] ?? 10000) / 10000)) * TENTHS;
    const [cx, cy] = [atX * TENTHS, atY * TENTHS];
    if (samples.length === 1) {
        return [[0, 0]];
    }
    const parts: Part[] = [];
    for (let i = 0; i + 1 < samples.length; i++) {
        const part = crossing(samples[i], samples[i + 1], cx, cy, radius);
        if (part !== null) {
            parts.push([Math.floor((i + part[0]) * 16), Math.ceil((i + part[1]) * 16)]);
        }
    }
    return parts;
}

/** Where along a piece of a line, from 0 to 1, it lies in a circle. */
function crossing(a: Sample, b: Sample, cx: number, cy: number, radius: number): Part | null {
    const [dx, dy, fx, fy] = [b[0] - a[0], b[1] - a[1], a[0] - cx, a[1] - cy];
    const square = dx * dx + dy * dy;
    if (square === 0) {
        return fx * fx + fy * fy <= radius * radius ? [0, 1] : null;
    }
    const half = fx * dx + fy * dy;
    const root = half * half - square * (fx * fx + fy * fy - radius * radius);
    if (root < 0) {
        return null;
    }
    const from = Math.max(0, (-half - Math.sqrt(root)) / square);
    const to = Math.min(1, (-half + Math.sqrt(root)) / square);
    return from < to ? [from, to] : null;
}

function merged(parts: Part[]): Part[] {
    const result: Part[] = [];
    for (const [from, to] of parts.sort((a, b) => a[0] - b[0])) {
        const last = result.at(-1);
        if (last !== undefined && from <= last[1]) {
            last[1] = Math.max(last[1], to);
        } else {
            result.push([from, to]);
        }
    }
    return result;
}
