import { present } from '../../present';
import type { Point, Tool } from './gestures';
import type { SelectTool } from './select';

/** A pointer that went farther, in CSS pixels, drags. */
const TAP = 6;

/** With the tool for pieces, what is pressed beside a part is moved as a whole. */
export class PiecesTool implements Tool {
    private from: Point | null = null;
    private isDragging = false;

    constructor(
        private readonly bench: { readonly selection: { clear(): void } },
        private readonly select: SelectTool,
    ) {}

    down(at: Point): void {
        this.from = at;
        this.isDragging = false;
    }

    move(points: Point[]): void {
        const from = present(this.from);
        const at = present(points[points.length - 1]);
        const isFar = Math.hypot(at.x - from.x, at.y - from.y) / at.unitsPerPixel > TAP;
        if (!this.isDragging && isFar && this.select.isOn(from)) {
            this.isDragging = true;
            this.select.down(from);
        }
        if (this.isDragging) {
            this.select.move(points);
        }
    }

    up(at: Point): void {
        if (this.isDragging) {
            this.select.up(at);
            this.bench.selection.clear();
        }
    }

    cancel(): void {
        if (this.isDragging) {
            this.select.cancel();
            this.bench.selection.clear();
        }
    }
}
