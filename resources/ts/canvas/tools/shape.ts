import type { Point, Tool } from './gestures';
import { TENTHS, newId, type BoxShape, type CanvasObject, type PointShape, type Tie } from '../model/objects';
import { measure, shortly } from '../model/measure';
import { ontoPaper } from '../model/paper';
import { plain } from '../model/usual';
import { nextLook } from './settings';
import { Snapping } from './snapping';
import { fill } from '../../page';
import type { Host } from './host';
import { present } from '../../present';

/** A drag shorter than this, in CSS pixels, is a tap. */
const TAP = 6;
/** How near to the first corner a tap must come to close a polygon, in CSS pixels. */
const CLOSE = 14;
const TWICE_MS = 350;
/** How far beside the pointer its measure stands, in CSS pixels. */
const LABEL_AWAY = 14;

/** Straight shapes by dragging from corner to corner; polygons and curves by tapping point after point. */
export class ShapeTool implements Tool {
    private id = '';
    private start: [number, number] = [0, 0];
    private from: Point | null = null;
    private object: CanvasObject | null = null;
    private points: number[] = [];
    private lastTap = 0;
    /** What the points that were tapped become, whatever is chosen meanwhile. */
    private settled: PointShape['type'] = 'polygon';
    /** What the line's beginning is tied to. */
    private startTie: Tie | null = null;
    private readonly snapping: Snapping;

    private readonly label = Object.assign(document.createElement('span'), {
        className: 'shape-measure',
        hidden: true,
    });

    constructor(
        private readonly bench: Pick<
            Host,
            'layer' | 'settings' | 'surface' | 'view' | 'words' | 'add' | 'showWet' | 'dropWet' | 'refresh'
        >,
    ) {
        this.snapping = new Snapping(bench);
        this.label.setAttribute('aria-hidden', 'true');
        bench.surface.append(this.label);
    }

    down(at: Point): void {
        this.from = at;
        if (this.isUnfinished && this.settled !== this.bench.settings.shape) {
            this.finish();
        }
        if (this.byPoints) {
            this.show(this.through(this.place(at)));
            return;
        }
        this.id = newId();
        this.start = this.place(at);
        this.startTie = this.snapping.tie;
    }

    move(points: Point[]): void {
        const at = present(points[points.length - 1]);
        this.show(
            this.byPoints
                ? this.through(this.place(at, this.lastPoint(), this.isEven(at)))
                : this.between(this.place(at, this.start, this.isEven(at)), this.isEven(at)),
        );
    }

    up(at: Point): void {
        if (this.byPoints) {
            this.addPoint(at);
            return;
        }
        const drawn =
            this.from !== null &&
            Math.hypot(at.x - this.from.x, at.y - this.from.y) * this.bench.view.camera.scale > TAP;
        this.end(drawn ? this.object : null);
    }

    cancel(): void {
        this.points = [];
        this.drop();
    }

    /** Whether points were tapped that make no shape yet. */
    get isUnfinished(): boolean {
        return this.points.length > 0;
    }

    /** The points so far become the shape. */
    finish(): void {
        const enough = this.points.length >= (this.settled === 'polygon' ? 6 : 4);
        const object = enough ? this.shape(this.points) : null;
        this.points = [];
        this.end(object);
        this.bench.refresh();
    }

    private isEven(at: Point): boolean {
        return at.shift || this.bench.settings.even;
    }

    private get byPoints(): boolean {
        return ['polygon', 'curve'].includes(this.bench.settings.shape);
    }

    private addPoint(at: Point): void {
        const [x, y] = this.place(at, this.lastPoint(), this.isEven(at));
        const pixels = (ax: number, ay: number): number => Math.hypot(ax - x, ay - y) * this.bench.view.camera.scale;
        const closes =
            this.points.length >= 6 &&
            this.bench.settings.shape === 'polygon' &&
            pixels(present(this.points[0]) / TENTHS, present(this.points[1]) / TENTHS) < CLOSE;
        const last = this.lastPoint();
        const again = last !== undefined && pixels(...last) < CLOSE && at.ms - this.lastTap < TWICE_MS;
        this.lastTap = at.ms;
        if (closes || again) {
            this.finish();
            return;
        }
        if (this.points.length === 0) {
            this.settled = this.bench.settings.shape as PointShape['type'];
        }
        this.points.push(Math.round(x * TENTHS), Math.round(y * TENTHS));
        this.show(this.through([x, y]));
        this.bench.refresh();
    }

    private lastPoint(): [number, number] | undefined {
        const n = this.points.length;
        return n === 0 ? undefined : [present(this.points[n - 2]) / TENTHS, present(this.points[n - 1]) / TENTHS];
    }

    /** Where a pointer means: on the ruling when snapping, in whole eighths of a turn from `from` with Shift. */
    private place(at: Point, from?: [number, number], shift = false): [number, number] {
        const { view, settings } = this.bench;
        const straight = ['line', 'arrow', 'polygon', 'curve'].includes(settings.shape);
        const isTurned = shift && from !== undefined && straight;
        const own = ontoPaper(view.paperSize, at.x, at.y);
        const [x, y] = this.snapping.place(own, { isShown: !isTurned, isTouch: at.pointer === 'touch' });
        if (!isTurned) {
            return [x, y];
        }
        const angle = Math.round(Math.atan2(y - from[1], x - from[0]) / (Math.PI / 12)) * (Math.PI / 12);
        const length = Math.hypot(x - from[0], y - from[1]);
        return [from[0] + length * Math.cos(angle), from[1] + length * Math.sin(angle)];
    }

    private between([x, y]: [number, number], even: boolean): BoxShape {
        const { settings } = this.bench;
        const { shape } = settings;
        let [w, h] = [x - this.start[0], y - this.start[1]];
        if (even && !['line', 'arrow'].includes(shape)) {
            const side = Math.max(Math.abs(w), Math.abs(h));
            [w, h] = [Math.sign(w || 1) * side, Math.sign(h || 1) * side];
        }
        const tenths = (value: number): number => Math.round(value * TENTHS);
        const isLine = shape === 'line' || shape === 'arrow';
        const { tie } = this.snapping;
        return plain({
            type: shape as BoxShape['type'],
            x: tenths(this.start[0]),
            y: tenths(this.start[1]),
            w: tenths(w),
            h: tenths(h),
            ...nextLook(settings),
            ...(isLine && this.startTie !== null && { start: this.startTie }),
            ...(isLine && tie !== null && { end: tie }),
        });
    }

    private through([x, y]: [number, number]): CanvasObject {
        const all = [...this.points, Math.round(x * TENTHS), Math.round(y * TENTHS)];
        return this.shape(all.length === 2 ? [...all, present(all[0]) + 1, present(all[1])] : all);
    }

    private shape(points: number[]): PointShape {
        const { settings } = this.bench;
        return plain({
            type: this.isUnfinished || !this.byPoints ? this.settled : (settings.shape as PointShape['type']),
            points: [...points],
            ...nextLook(settings),
        });
    }

    private show(object: CanvasObject): void {
        this.object = object;
        if (this.id === '') {
            this.id = newId();
        }
        this.bench.showWet(this.id, object);
        this.tell(object);
    }

    /** Says beside the pointer how long and how steep the line is, or how large the shape. */
    private tell(object: CanvasObject): void {
        const { view, words } = this.bench;
        const last = (object as PointShape).points;
        const [from, to]: [[number, number], [number, number]] =
            last === undefined
                ? [this.start, boxEnd(object as BoxShape)]
                : [this.lastPoint() ?? pointAt(last, 0), pointAt(last, last.length / 2 - 1)];
        if (from[0] === to[0] && from[1] === to[1]) {
            this.label.hidden = true;
            return;
        }
        const backdrop = view.log.scene.pages.get(view.page) ?? { kind: 'blank' };
        const isLine = last !== undefined || ['line', 'arrow'].includes(object.type);
        const { length, of, angle, across, up } = measure(backdrop, from, to);
        const counted =
            isLine && length !== null
                ? shortly(length)
                : !isLine && across !== null && up !== null
                  ? `${shortly(across)} × ${shortly(up)}`
                  : '';
        const said = counted === '' || of !== 'squares' ? counted : fill(words.squares, { n: counted });
        this.label.textContent = [said, isLine ? `${Math.abs(angle)}°` : ''].filter((one) => one !== '').join(' · ');
        this.label.hidden = this.label.textContent === '';
        const [x, y] = view.toFrame(...to);
        this.label.style.transform = `translate(${Math.round(x + LABEL_AWAY)}px, ${Math.round(y - 2 * LABEL_AWAY)}px)`;
    }

    /** The next shape has an id of its own: whatever is shown under this one's would hide it. */
    private end(object: CanvasObject | null): void {
        const { id } = this;
        this.label.hidden = !this.isUnfinished;
        this.snapping.forget();
        if (object === null || id === '') {
            this.drop();
            return;
        }
        this.object = null;
        this.id = '';
        this.bench.add(object, id);
    }

    private drop(): void {
        this.label.hidden = true;
        this.snapping.forget();
        this.object = null;
        if (this.id !== '') {
            this.bench.dropWet(this.id);
            this.id = '';
        }
    }
}

/** In units, where a shape that is dragged has come to. */
function boxEnd({ x, y, w, h }: BoxShape): [number, number] {
    return [(x + w) / TENTHS, (y + h) / TENTHS];
}

function pointAt(points: number[], i: number): [number, number] {
    return [present(points[2 * i]) / TENTHS, present(points[2 * i + 1]) / TENTHS];
}
