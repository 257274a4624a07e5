import { pageBox } from '../model/bounds';
import type { Placed } from '../model/objects';
import type { Point, Tool } from './gestures';
import type { Host } from './host';
import type { SelectTool } from './select';
import { present } from '../../present';

/** A pointer that went farther, in CSS pixels, drags. */
const TAP = 5;
/** A piece that takes more of the page than this is written on, not moved. */
const SHEET = 1 / 4;

type DragHost = Pick<Host, 'layer' | 'settings' | 'view'> & { readonly selection: { clear(): void } };

/**
 * With any tool, a piece that is pressed and dragged is moved. A tap on it is the tool's own. As a tool itself it moves
 * whatever may be moved.
 */
export class PieceDrag implements Tool {
    private from: Point | null = null;
    private own: Tool | null = null;
    private isDragging = false;

    constructor(
        private readonly bench: DragHost,
        private readonly select: SelectTool,
        private readonly mayDrag: (from: Point) => boolean = () => true,
    ) {}

    /** Itself, where a piece is pressed that lies there to be moved; else the tool. */
    over(at: Point, own: Tool): Tool {
        const { settings, layer } = this.bench;
        if (layer !== 'student' || settings.tool === 'move' || !settings.movesPieces) {
            return own;
        }
        const piece = this.select.pieceAt(at);
        if (piece === null || this.isSheet(piece)) {
            return own;
        }
        this.own = own;
        return this;
    }

    down(at: Point): void {
        this.from = at;
        this.isDragging = false;
    }

    move(points: Point[]): void {
        const from = present(this.from);
        const at = present(points[points.length - 1]);
        const isFar = Math.hypot(at.x - from.x, at.y - from.y) / at.unitsPerPixel > TAP;
        if (!this.isDragging && isFar && this.mayDrag(from)) {
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
        } else {
            this.own?.down(present(this.from));
            this.own?.up(at);
        }
    }

    cancel(): void {
        if (this.isDragging) {
            this.select.cancel();
            this.bench.selection.clear();
        }
    }

    private isSheet(piece: Placed): boolean {
        const { left, top, right, bottom } = pageBox(piece);
        const [width, height] = this.bench.view.paperSize;
        return (right - left) * (bottom - top) > SHEET * width * height;
    }
}
