import { areConvex, paperCorners, wholePhoto, type Corner, type Corners } from './corners';
import { evenlyLit, flattened } from './flatten';
import { element } from '../../page';
import { present } from '../../present';

/** A photo is worked on with no more than so many pixels along its longer side. */
const LONGEST = 2400;
/** A key moves a corner so far, in CSS pixels; with Shift finely. */
const STEP = 10;
const FINE = 1;

/**
 * A window with a photo of a sheet of paper: its corners, found and to be dragged. Flattened and evenly lit it is what
 * is written over.
 */
export class PaperWindow {
    private readonly dialog: HTMLDialogElement;
    private readonly canvas: HTMLCanvasElement;
    private readonly outline: SVGPolygonElement;
    private readonly handles: HTMLElement[];
    private corners: Corners = wholePhoto({ width: 1, height: 1 });
    private settled: ((picture: Blob) => void) | null = null;
    private original: Blob | null = null;

    constructor(root: ParentNode) {
        this.dialog = element<HTMLDialogElement>('.paper-window', root);
        this.canvas = element<HTMLCanvasElement>('canvas', this.dialog);
        this.outline = element<SVGPolygonElement & HTMLElement>('polygon', this.dialog);
        this.handles = [...this.dialog.querySelectorAll<HTMLElement>('.paper-corner')];
        this.handles.forEach((handle, i) => this.mount(handle, i));
        element('[data-flatten]', this.dialog).addEventListener('click', () => void this.flatten());
        element('[data-as-it-is]', this.dialog).addEventListener('click', () => this.end(this.original));
        element('[data-whole]', this.dialog).addEventListener('click', () => this.put(wholePhoto(this.canvas)));
        this.dialog.addEventListener('close', () => this.end(null));
        new ResizeObserver(() => this.show()).observe(this.canvas);
    }

    /** Resolves to the picture that is to be used; never when none is. Rejects what is no picture. */
    async ask(photo: Blob): Promise<Blob> {
        const image = await createImageBitmap(photo);
        const scale = Math.min(1, LONGEST / Math.max(image.width, image.height));
        this.canvas.width = Math.round(image.width * scale);
        this.canvas.height = Math.round(image.height * scale);
        this.context.drawImage(image, 0, 0, this.canvas.width, this.canvas.height);
        image.close();
        this.original = photo;
        this.dialog.showModal();
        this.put(paperCorners(this.pixels) ?? wholePhoto(this.canvas));
        return new Promise((resolve) => {
            this.settled = resolve;
        });
    }

    private get context(): CanvasRenderingContext2D {
        return present(this.canvas.getContext('2d', { willReadFrequently: true }));
    }

    private get pixels(): ImageData {
        return this.context.getImageData(0, 0, this.canvas.width, this.canvas.height);
    }

    /** Photo pixels for each CSS pixel. */
    private get scale(): number {
        return this.canvas.width / Math.max(1, this.canvas.clientWidth);
    }

    private put(corners: Corners): void {
        this.corners = corners;
        this.show();
    }

    private show(): void {
        const { scale, canvas } = this;
        this.corners.forEach(([x, y], i) => {
            present(this.handles[i]).style.transform = `translate(${x / scale}px, ${y / scale}px)`;
        });
        present(this.outline.ownerSVGElement).setAttribute('viewBox', `0 0 ${canvas.width} ${canvas.height}`);
        this.outline.setAttribute('points', this.corners.map((one) => one.join(',')).join(' '));
    }

    private mount(handle: HTMLElement, i: number): void {
        let from: { x: number; y: number; corner: Corner } | null = null;
        handle.addEventListener('pointerdown', (event) => {
            event.preventDefault();
            handle.focus();
            handle.setPointerCapture(event.pointerId);
            from = { x: event.clientX, y: event.clientY, corner: present(this.corners[i]) };
        });
        handle.addEventListener('pointermove', (event) => {
            if (from !== null) {
                this.move(i, from.corner, event.clientX - from.x, event.clientY - from.y);
            }
        });
        for (const kind of ['pointerup', 'pointercancel']) {
            handle.addEventListener(kind, () => {
                from = null;
            });
        }
        handle.addEventListener('keydown', (event) => {
            const steps: Record<string, [number, number]> = {
                ArrowLeft: [-1, 0],
                ArrowRight: [1, 0],
                ArrowUp: [0, -1],
                ArrowDown: [0, 1],
            };
            const step = steps[event.key];
            if (step !== undefined) {
                event.preventDefault();
                const far = event.shiftKey ? FINE : STEP;
                this.move(i, present(this.corners[i]), step[0] * far, step[1] * far);
            }
        });
    }

    /** A corner goes so many CSS pixels, within the photo, and never past the others. */
    private move(i: number, [x, y]: Corner, dx: number, dy: number): void {
        const corners = this.corners.map((one): Corner => [...one]) as Corners;
        corners[i] = [
            Math.max(0, Math.min(this.canvas.width, x + dx * this.scale)),
            Math.max(0, Math.min(this.canvas.height, y + dy * this.scale)),
        ];
        if (areConvex(corners)) {
            this.put(corners);
        }
    }

    private async flatten(): Promise<void> {
        const sheet = flattened(this.pixels, this.corners);
        if (element<HTMLInputElement>('[name=even]', this.dialog).checked) {
            evenlyLit(sheet);
        }
        const made = new OffscreenCanvas(sheet.width, sheet.height);
        const image = new ImageData(new Uint8ClampedArray(sheet.data), sheet.width, sheet.height);
        present(made.getContext('2d')).putImageData(image, 0, 0);
        this.end(await made.convertToBlob({ type: 'image/jpeg', quality: 0.9 }));
    }

    private end(picture: Blob | null): void {
        const { settled } = this;
        this.settled = null;
        this.original = null;
        this.dialog.close();
        if (picture !== null) {
            settled?.(picture);
        }
    }
}
