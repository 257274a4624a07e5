import type { CanvasObject, Place, Placed, Stroke, WetStroke } from '../model/objects';
import { drawPlaced, drawWetStroke, type Palette } from './draw';

/** What stands on a page for a moment: ink and objects that are being drawn, and what floats above its place. */
export class WetLayer {
    readonly strokes = new Map<string, WetStroke>();
    readonly objects = new Map<string, { object: CanvasObject; page: string; place?: Place }>();
    /** What is shown otherwise than it stands on the page: dragged, or about to be changed. */
    readonly floating = new Map<string, Placed>();

    constructor(private readonly palette: Palette) {}

    clear(): void {
        this.strokes.clear();
        this.objects.clear();
        this.floating.clear();
    }

    /** Whether something that was wet is dry by now. */
    dry(id: string, target: string): boolean {
        const hadStroke = this.strokes.delete(id);
        return this.objects.delete(target) || this.objects.delete(id) || hadStroke;
    }

    /** The stroke called so, with more samples; and how many it had before. */
    grow(
        id: string,
        begun: { type: Stroke['type']; colour: string; width: number; page: string },
        samples: WetStroke['samples'],
    ): [stroke: WetStroke, from: number] {
        const stroke = this.strokes.get(id) ?? { ...begun, samples: [] };
        this.strokes.set(id, stroke);
        const from = stroke.samples.length;
        stroke.samples.push(...samples);
        return [stroke, from];
    }

    /**
     * @param  thinnest  in units
     * @param  placeOf  where an object stands that is shown otherwise
     */
    draw(
        context: CanvasRenderingContext2D,
        shown: string,
        thinnest: number,
        placeOf: (id: string) => Place | undefined,
    ): void {
        this.floating.forEach((placed) => placed.page === shown && drawPlaced(context, placed, this.palette, thinnest));
        const here = [...this.strokes.values()].filter(({ page }) => page === shown);
        here.forEach((stroke) => drawWetStroke(context, stroke, thinnest));
        context.canvas.classList.toggle(
            'is-highlighting',
            here.some(({ type }) => type === 'highlight'),
        );
        this.objects.forEach(({ object, page, place }, id) => {
            if (page === shown) {
                this.drawUnchecked(
                    context,
                    id,
                    { layer: 'student', page, object, place: place ?? placeOf(id) },
                    thinnest,
                );
            }
        });
    }

    /**
     * What comes over the socket was checked by nobody: what cannot be drawn is let go, and the rest of the page stays.
     */
    private drawUnchecked(context: CanvasRenderingContext2D, id: string, placed: Placed, thinnest: number): void {
        context.save();
        try {
            drawPlaced(context, placed, this.palette, thinnest);
        } catch {
            this.objects.delete(id);
        }
        context.restore();
    }
}
