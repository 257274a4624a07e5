import { around, pageBox } from '../model/bounds';
import type { Point, Tool } from './gestures';
import { inside, touches } from '../model/hit';
import type { Placed } from '../model/objects';
import { placeAfter } from '../model/place';
import { snapped } from '../model/snap';
import type { Host } from './host';
import type { Selection } from './selection';
import { present } from '../../present';

type SelectHost = Pick<Host, 'layer' | 'settings' | 'view'> & {
    readonly selection: Selection;
    edit(id: string | null, ms: number): void;
    takeCopy(placed: Placed, by: [number, number]): void;
};

const TAP = 5;

/** Chooses objects by tap, box or lasso, and drags what is chosen. From a stack a copy is dragged. */
export class SelectTool implements Tool {
    private from: Point | null = null;
    private outline: [number, number][] = [];
    private does: 'drag' | 'choose' = 'choose';
    /** A copy on its way off its stack. */
    private copy: Placed | null = null;
    private tapped: string | null = null;

    constructor(private readonly bench: SelectHost) {}

    down(at: Point): void {
        const { selection } = this.bench;
        this.from = at;
        this.copy = null;
        this.outline = [[at.x, at.y]];
        const hit = this.at(at);
        this.tapped = hit?.[0] ?? null;
        if (hit !== null && isStack(hit[1])) {
            this.does = 'drag';
            selection.clear();
            this.copy = hit[1];
            return;
        }
        if (hit === null && at.pointer === 'touch' && this.isInChosen(at)) {
            this.does = 'drag';
            return;
        }
        if (hit === null) {
            this.does = 'choose';
            if (!at.shift) {
                selection.clear();
            }
            return;
        }
        this.does = 'drag';
        if (at.shift) {
            selection.toggle(hit[0]);
        } else if (!selection.ids.has(hit[0])) {
            selection.choose([hit[0]]);
        }
    }

    move(points: Point[]): void {
        const at = present(points[points.length - 1]);
        if (this.does === 'drag') {
            const by = this.by(at);
            if (this.copy !== null) {
                this.bench.view.float([['copy~', { ...this.copy, place: placeAfter(this.copy.place, { by }) }]]);
            } else {
                this.bench.selection.shift({ by });
            }
            return;
        }
        if (this.bench.settings.select === 'lasso') {
            points.forEach(({ x, y }) => this.outline.push([x, y]));
        } else {
            const { x, y } = present(this.from);
            this.outline = [
                [x, y],
                [at.x, y],
                [at.x, at.y],
                [x, at.y],
            ];
        }
        this.bench.selection.showOutline(this.outline);
    }

    up(at: Point): void {
        const { bench } = this;
        const moved =
            this.from !== null && Math.hypot(at.x - this.from.x, at.y - this.from.y) * bench.view.camera.scale > TAP;
        bench.selection.showOutline([]);
        if (this.does === 'choose') {
            if (moved) {
                this.chooseInside(at.shift);
            }
        } else if (this.copy !== null) {
            bench.view.land();
            const by: [number, number] = moved ? this.by(at) : [30, 30];
            bench.takeCopy(this.copy, by);
        } else if (moved) {
            bench.selection.land();
        } else {
            bench.view.land();
            bench.edit(this.tapped, at.ms);
        }
        this.from = null;
    }

    cancel(): void {
        this.bench.selection.showOutline([]);
        this.bench.view.land();
    }

    /** Whether something lies there that a finger may move whatever the tool: what is chosen, a piece, a stack. */
    isOnMovable(at: Point): boolean {
        const hit = this.at(at);
        return hit === null ? this.isInChosen(at) : this.bench.selection.ids.has(hit[0]) || hit[1].layer === 'pieces';
    }

    /** Whether something lies there that may be moved. */
    isOn(at: Point): boolean {
        return this.at(at) !== null;
    }

    /** The piece that lies there to be moved, with nothing over it. */
    pieceAt(at: Point): Placed | null {
        const placed = this.at(at)?.[1];
        return placed?.object.type === 'piece' ? placed : null;
    }

    /** A fingertip covers the line that it means: all that the frame holds will do. */
    private isInChosen({ x, y }: Point): boolean {
        const box = this.bench.selection.box();
        return box !== null && x >= box.left && x <= box.right && y >= box.top && y <= box.bottom;
    }

    private at({ x, y }: Point): [string, Placed] | null {
        let found: [string, Placed] | null = null;
        const reach = Math.max(9, 14 * this.bench.view.unitsPerPixel);
        for (const one of this.bench.view.here()) {
            const own =
                one[1].layer === this.bench.layer ||
                this.bench.selection.mayMove(...one) ||
                (isStack(one[1]) && one[1].layer === 'pieces');
            if (own && touches(one[1], x, y, reach)) {
                found = one;
            }
        }
        return found;
    }

    private by(at: Point): [number, number] {
        const { view, settings } = this.bench;
        const by: [number, number] = [at.x - present(this.from).x, at.y - present(this.from).y];
        const shown = this.copy === null ? this.bench.selection.box() : pageBox(this.copy);
        if (!settings.snap || shown === null) {
            return by;
        }
        const backdrop = view.log.scene.pages.get(view.page) ?? { kind: 'blank' };
        const [x, y] = snapped(backdrop, shown.left + by[0], shown.top + by[1]);
        return [x - shown.left, y - shown.top];
    }

    private chooseInside(add: boolean): void {
        const { view, selection } = this.bench;
        const lasso = this.bench.settings.select === 'lasso';
        const box = around(this.outline);
        const chosen: string[] = add ? [...selection.ids] : [];
        for (const [id, placed] of view.here()) {
            const its = pageBox(placed);
            const [x, y] = [(its.left + its.right) / 2, (its.top + its.bottom) / 2];
            const within = lasso
                ? inside(this.outline, x, y)
                : its.left >= box.left && its.right <= box.right && its.top >= box.top && its.bottom <= box.bottom;
            if (within && selection.mayMove(id, placed)) {
                chosen.push(id);
            }
        }
        selection.choose(chosen);
    }
}

export function isStack({ object }: Placed): boolean {
    return object.type === 'piece' && object.stack;
}
