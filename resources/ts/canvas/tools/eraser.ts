import type { Point, Tool } from './gestures';
import { touches } from '../model/hit';
import { encodeInk, partOfInk, type Sample } from '../model/ink';
import { TENTHS, type Placed, type Stroke } from '../model/objects';
import { Nearby } from '../model/nearby';
import { back, matrixOf } from '../model/place';
import { samplesOf } from '../model/scene';
import type { Host } from './host';
import { present } from '../../present';

type Part = [from: number, to: number];

/** Rubs out whole objects, or the parts of strokes that it goes over. One rub is one step to undo. */
export class EraserTool implements Tool {
    private last: Point | null = null;
    private nearby = new Nearby([]);
    private rubbed = new Set<string>();
    /** What is rubbed out of each stroke, in sixteenths of a sample. */
    private gone = new Map<string, Part[]>();
    /** Whether it came over something of which no part can be rubbed out. */
    private cameOverWhole = false;
    private readonly ring: HTMLElement;

    constructor(
        private readonly bench: Pick<
            Host,
            'isLooking' | 'layer' | 'settings' | 'surface' | 'view' | 'words' | 'make' | 'say'
        >,
    ) {
        this.ring = Object.assign(document.createElement('span'), { className: 'eraser-ring', hidden: true });
        this.ring.setAttribute('aria-hidden', 'true');
        bench.surface.append(this.ring);
        bench.surface.addEventListener('pointermove', (event) => this.showRing(event));
        bench.surface.addEventListener('pointerdown', (event) => this.showRing(event));
        for (const leaves of ['pointerleave', 'pointercancel']) {
            bench.surface.addEventListener(leaves, () => this.hideRing());
        }
    }

    down(at: Point): void {
        this.last = at;
        this.rubbed = new Set();
        this.gone = new Map();
        this.cameOverWhole = false;
        this.nearby = new Nearby(this.bench.view.mine(this.bench.layer, false));
        this.rub([at]);
    }

    /** A fast hand leaves wide gaps between its events; they are filled. */
    move(points: Point[]): void {
        const places: { x: number; y: number }[] = [];
        const step = Math.max(4, this.reach / 2);
        for (const at of points) {
            const from = this.last ?? at;
            const steps = Math.max(1, Math.ceil(Math.hypot(at.x - from.x, at.y - from.y) / step));
            for (let i = 1; i <= steps; i++) {
                places.push({ x: from.x + ((at.x - from.x) * i) / steps, y: from.y + ((at.y - from.y) * i) / steps });
            }
            this.last = at;
        }
        this.rub(places);
    }

    up(): void {
        const { bench } = this;
        const there = bench.view.log.scene.objects;
        const targets = [...this.rubbed].filter((id) => there.has(id));
        const cuts = [...this.gone.keys()]
            .filter((id) => there.has(id))
            .map((target) => ({ target, keep: this.left(target) }));
        const didNothing = targets.length === 0 && cuts.length === 0;
        if (targets.length > 0) {
            bench.make('remove', { targets });
        }
        if (cuts.length > 0) {
            bench.make('cut', { cuts });
        }
        this.forget();
        if (didNothing && this.cameOverWhole) {
            bench.say(bench.words.only_lines_in_parts);
        }
    }

    cancel(): void {
        this.forget();
    }

    /** How far it reaches, in units: on a phone's page a unit is a fraction of a pixel. */
    private get reach(): number {
        return this.bench.settings.reach * this.bench.view.unitsPerPixel;
    }

    private forget(): void {
        const { view } = this.bench;
        view.settle();
        view.unhide(...this.rubbed);
        this.rubbed = new Set();
        this.gone = new Map();
        this.nearby = new Nearby([]);
        this.last = null;
    }

    private rub(places: { x: number; y: number }[]): void {
        const { bench, reach } = this;
        const hit: string[] = [];
        const cut = new Set<string>();
        for (const { x, y } of places) {
            for (const [id, placed] of this.nearby.at(x, y, reach)) {
                if (this.rubbed.has(id) || !touches(placed, x, y, reach)) {
                    continue;
                }
                if (bench.settings.rub === 'whole') {
                    this.rubbed.add(id);
                    hit.push(id);
                } else if (isStroke(placed)) {
                    this.gone.set(id, merged([...(this.gone.get(id) ?? []), ...covered(placed, x, y, reach)]));
                    cut.add(id);
                } else {
                    this.cameOverWhole = true;
                }
            }
        }
        if (hit.length > 0) {
            bench.view.hide(...hit);
        }
        if (cut.size > 0) {
            this.showWhatIsLeft(cut);
        }
    }

    /** What the eraser has left of a stroke; specks are not worth keeping. */
    private left(id: string): Part[] {
        const { object } = present(this.bench.view.log.scene.objects.get(id));
        const end = 16 * (samplesOf(object as Stroke).length - 1);
        const parts: Part[] = [];
        let from = 0;
        for (const [start, stop] of present(this.gone.get(id))) {
            parts.push([from, start]);
            from = stop;
        }
        parts.push([from, end]);
        return parts.filter(([a, b]) => b - a >= 2).slice(0, 200);
    }

    /** Only the strokes that were rubbed at just now are cut anew. */
    private showWhatIsLeft(cut: Set<string>): void {
        const { view } = this.bench;
        const shown: [string, Placed][] = [];
        for (const id of [...view.floating.keys()].filter(
            (one) => cut.has(present(one.split('~')[0])) && one.includes('~'),
        )) {
            view.floating.delete(id);
        }
        for (const id of cut) {
            const placed = view.log.scene.objects.get(id);
            if (placed === undefined) {
                continue;
            }
            const stroke = placed.object as Stroke;
            // What stands for the whole stroke while it is rubbed at: nothing, and beside it every part that is left.
            shown.push([id, { ...placed, page: '-' }]);
            this.left(id).forEach(([from, to], i) => {
                shown.push([
                    `${id}~${i}`,
                    { ...placed, object: { ...stroke, ink: encodeInk(partOfInk(samplesOf(stroke), from, to)) } },
                ]);
            });
        }
        view.float(shown);
    }

    /** Where it is and how far it reaches. A finger has no pointer that hovers: there it is seen while it rubs. */
    private showRing(event: PointerEvent): void {
        const { settings, surface, isLooking } = this.bench;
        this.ring.hidden =
            settings.tool !== 'eraser' || isLooking || (event.pointerType === 'touch' && this.last === null);
        if (!this.ring.hidden) {
            const box = surface.getBoundingClientRect();
            const { style } = this.ring;
            style.width = style.height = `${2 * settings.reach}px`;
            style.transform = `translate(${event.clientX - box.left - settings.reach}px, ${event.clientY - box.top - settings.reach}px)`;
        }
    }

    private hideRing(): void {
        this.ring.hidden = true;
    }
}

function isStroke({ object }: Placed): boolean {
    return object.type === 'stroke' || object.type === 'highlight';
}

/** The parts of a stroke under the eraser, in sixteenths of a sample. */
function covered({ object, place }: Placed, x: number, y: number, reach: number): Part[] {
    const samples = samplesOf(object as Stroke);
    const [atX, atY] = place === undefined ? [x, y] : back(matrixOf(place), x, y);
    const radius = (reach / ((place?.[3] ?? 10000) / 10000) + (object as Stroke).width / TENTHS / 2) * TENTHS;
    const [cx, cy] = [atX * TENTHS, atY * TENTHS];
    if (samples.length === 1) {
        return [[0, 0]];
    }
    const parts: Part[] = [];
    for (let i = 0; i + 1 < samples.length; i++) {
        const part = crossing(present(samples[i]), present(samples[i + 1]), cx, cy, radius);
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
