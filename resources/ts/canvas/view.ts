import { drawObject, drawText, growStroke } from './draw';
import { Log } from './log';
import { HEIGHT, WIDTH, type Backdrop, type CanvasObject, type Operation, type Text, type WetStroke } from './model';

/**
 * One canvas on the screen: the backdrop as a picture, the dry ink on one drawing surface and the wet ink on another
 * above it, so that a growing stroke never makes the page draw what is dry again.
 */
export class View {
    log = new Log();
    readonly wetInk = new Map<string, WetStroke>();
    private readonly wetText = new Map<string, Text>();
    private readonly hidden = new Set<string>();
    private readonly backdrop: HTMLImageElement;
    private readonly dry: CanvasRenderingContext2D;
    private readonly wet: CanvasRenderingContext2D;
    private shownBackdrop = '';

    /** `frame` gets the surfaces; its size is the page's size on the screen. */
    constructor(
        readonly frame: HTMLElement,
        private readonly assets: string,
        /** No line is drawn thinner than this, in CSS pixels: small pictures stay readable. */
        private readonly thinnest = 0,
    ) {
        this.backdrop = document.createElement('img');
        this.backdrop.alt = '';
        this.backdrop.className = 'page-backdrop';
        this.backdrop.hidden = true;
        this.backdrop.draggable = false;
        this.dry = this.surface('page-dry');
        this.wet = this.surface('page-wet');
        frame.replaceChildren(this.backdrop, this.dry.canvas, this.wet.canvas);
    }

    /** Fits the surfaces to the frame; draws anew when the size has changed. */
    fit(): void {
        const ratio = window.devicePixelRatio || 1;
        const width = Math.max(1, Math.round(this.frame.clientWidth * ratio));
        const height = Math.max(1, Math.round((width * HEIGHT) / WIDTH));
        if (this.dry.canvas.width === width && this.dry.canvas.height === height) {
            return;
        }
        for (const { canvas } of [this.dry, this.wet]) {
            canvas.width = width;
            canvas.height = height;
        }
        this.drawAll();
    }

    /** Units on the page for each CSS pixel. */
    get unitsPerPixel(): number {
        return WIDTH / Math.max(1, this.frame.clientWidth);
    }

    private get thinnestUnits(): number {
        return this.thinnest * this.unitsPerPixel;
    }

    get context(): CanvasRenderingContext2D {
        return this.dry;
    }

    /** Begins another canvas on the same surfaces. */
    reset(): void {
        this.log = new Log();
        this.wetInk.clear();
        this.wetText.clear();
        this.hidden.clear();
        this.drawAll();
    }

    take(operations: Operation[]): void {
        const change = this.log.take(operations);
        for (const { id, body } of operations) {
            this.wetText.delete(body.target ?? id);
            this.wetInk.delete(id);
        }
        if (change === 'all') {
            this.drawAll();
            return;
        }
        if (change !== 'nothing') {
            change.forEach((object) => this.drawDry(object));
        }
        this.drawWet();
    }

    /** Operations of this page's own were stored, each at its place in the log. */
    confirm(accepted: { id: string; n: number }[]): void {
        if (accepted.map(({ id, n }) => this.log.confirm(id, n)).includes(true)) {
            this.drawAll();
        }
    }

    /** Shows an object no more until it is shown again: one being rubbed out, or text being edited. */
    hide(...ids: string[]): void {
        ids.forEach((id) => this.hidden.add(id));
        this.drawAll();
    }

    unhide(...ids: string[]): void {
        ids.forEach((id) => this.hidden.delete(id));
        this.drawAll();
    }

    /** Ink that is being drawn: `samples` are added to the stroke called `id`. */
    growWet(id: string, colour: string, width: number, samples: WetStroke['samples']): void {
        if (this.log.has(id)) {
            return;
        }
        let stroke = this.wetInk.get(id);
        if (stroke === undefined) {
            stroke = { colour, width, samples: [] };
            this.wetInk.set(id, stroke);
        }
        const from = stroke.samples.length;
        stroke.samples.push(...samples);
        growStroke(this.wet, stroke, from, this.thinnestUnits);
    }

    typeWet(id: string, text: Text): void {
        if (text.text === '') {
            this.wetText.delete(id);
        } else {
            this.wetText.set(id, text);
        }
        this.drawAll();
    }

    dropWet(id: string): void {
        const hadText = this.wetText.delete(id);
        this.wetInk.delete(id);
        if (hadText) {
            this.drawAll();
        } else {
            this.drawWet();
        }
    }

    drawAll(): void {
        this.showBackdrop(this.log.scene.backdrop);
        this.dry.setTransform(1, 0, 0, 1, 0, 0);
        this.dry.clearRect(0, 0, this.dry.canvas.width, this.dry.canvas.height);
        this.scale(this.dry);
        for (const [id, object] of this.log.scene.objects) {
            if (!this.hidden.has(id) && !this.wetText.has(id)) {
                drawObject(this.dry, object, this.thinnestUnits);
            }
        }
        this.drawWet();
    }

    private drawDry(object: CanvasObject): void {
        drawObject(this.dry, object, this.thinnestUnits);
    }

    private drawWet(): void {
        this.wet.setTransform(1, 0, 0, 1, 0, 0);
        this.wet.clearRect(0, 0, this.wet.canvas.width, this.wet.canvas.height);
        this.scale(this.wet);
        this.wetInk.forEach((stroke) => growStroke(this.wet, stroke, 0, this.thinnestUnits));
        this.wetText.forEach((text) => drawText(this.wet, text));
    }

    private scale(context: CanvasRenderingContext2D): void {
        const scale = context.canvas.width / WIDTH;
        context.setTransform(scale, 0, 0, scale, 0, 0);
    }

    private surface(name: string): CanvasRenderingContext2D {
        const canvas = document.createElement('canvas');
        canvas.className = name;
        canvas.setAttribute('aria-hidden', 'true');
        return canvas.getContext('2d')!;
    }

    private showBackdrop({ kind, asset }: Backdrop): void {
        const source = kind === 'picture' ? `${this.assets}/${asset}` : kind === 'blank' ? '' : `/backdrop/${kind}.svg`;
        if (source !== this.shownBackdrop) {
            this.shownBackdrop = source;
            this.backdrop.hidden = source === '';
            if (source !== '') {
                this.backdrop.src = source;
            }
        }
    }
}
