import type { PaperSize } from '../model/paper';
import { present } from '../../present';
import type { Camera, Size } from './camera';

/**
 * What is drawn on: one surface for dry ink, and one above it for what is being drawn, so that a growing stroke never
 * makes the page draw what is dry again. They are as fine as the screen.
 */
export class Surfaces {
    readonly dry: CanvasRenderingContext2D;
    readonly wet: CanvasRenderingContext2D;
    /** Holds both, so that a highlighter's wet line darkens the dry ink and nothing below it. */
    readonly root = Object.assign(document.createElement('div'), { className: 'page-ink' });
    private width = 0;
    private end: CanvasRenderingContext2D | null = null;

    constructor() {
        this.dry = surface('page-dry');
        this.wet = surface('page-wet');
        this.root.append(this.dry.canvas, this.wet.canvas);
    }

    /** A third one, where somebody draws here: for the end of what is being drawn, which is new with each movement. */
    get tip(): CanvasRenderingContext2D {
        if (this.end === null) {
            this.end = surface('page-tip');
            this.root.append(this.end.canvas);
            const { canvas } = this.wet;
            Object.assign(this.end.canvas, { width: canvas.width, height: canvas.height });
            this.end.canvas.style.cssText = canvas.style.cssText;
        }
        return this.end;
    }

    get hasTip(): boolean {
        return this.end !== null;
    }

    private get all(): CanvasRenderingContext2D[] {
        return this.end === null ? [this.dry, this.wet] : [this.dry, this.wet, this.end];
    }

    /** Fits them to a frame. Answers whether that changed anything; then they are empty. */
    fit([across, down]: Size): boolean {
        const ratio = window.devicePixelRatio || 1;
        const width = Math.max(1, Math.round(across * ratio));
        const height = Math.max(1, Math.round(down * ratio));
        this.width = across;
        if (this.dry.canvas.width === width && this.dry.canvas.height === height) {
            return false;
        }
        for (const { canvas } of this.all) {
            canvas.width = width;
            canvas.height = height;
            // To the pixel: a frame of a broken height would smear every line over its neighbours.
            canvas.style.width = `${width / ratio}px`;
            canvas.style.height = `${height / ratio}px`;
        }
        return true;
    }

    /** Gives back what they hold, until they are fitted again. */
    release(): void {
        for (const { canvas } of this.all) {
            canvas.width = canvas.height = 0;
        }
    }

    /** Empty, and ready to be drawn on in units; nothing is drawn beyond the page. */
    clear(context: CanvasRenderingContext2D, camera: Camera, [width, height]: PaperSize): void {
        // Setting the transform first would leave the clip of the last drawing in force.
        context.restore();
        context.setTransform(1, 0, 0, 1, 0, 0);
        context.clearRect(0, 0, context.canvas.width, context.canvas.height);
        this.scale(context, camera);
        context.save();
        context.beginPath();
        context.rect(0, 0, width, height);
        context.clip();
    }

    /** What is drawn next stands in units of the page. */
    scale(context: CanvasRenderingContext2D, { scale, x, y }: Camera): void {
        const ratio = context.canvas.width / Math.max(1, this.width);
        context.setTransform(scale * ratio, 0, 0, scale * ratio, x * ratio, y * ratio);
    }
}

function surface(name: string): CanvasRenderingContext2D {
    const canvas = document.createElement('canvas');
    canvas.className = name;
    canvas.setAttribute('aria-hidden', 'true');
    const context = present(canvas.getContext('2d'));
    context.save();
    return context;
}
