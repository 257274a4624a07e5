import { around, overlaps, pageBox, union, type Box } from '../model/bounds';
import { drawPlaced, drawWetStroke, growStroke, type Palette } from './draw';
import { Log } from '../model/log';
import {
    HEIGHT,
    WIDTH,
    type CanvasObject,
    type Operation,
    type Placed,
    type Stroke,
    type WetStroke,
} from '../model/objects';
import { Paper } from './paper';
import { mayTouch, type KeptScene } from '../model/scene';
import { present } from '../../present';

/** Where the page stands in the frame: CSS pixels for each unit, and where its top left corner is. */
export interface Camera {
    scale: number;
    x: number;
    y: number;
}

/** A drawing that took longer than this is not made anew for every frame of a gesture. */
const QUICK_MS = 8;
/** So long after the last movement the picture is drawn sharply again. */
const REST_MS = 140;
const LARGEST = 16;
/** A pointer that is not heard of for so long is no longer shown. */
const POINT_MS = 6000;

/**
 * One page of a canvas on the screen: the paper with its backdrop as a picture, the dry ink on one drawing surface and
 * what is being drawn on another above it, so that a growing stroke never makes the page draw what is dry again.
 */
export class View {
    log = new Log();
    page = '';
    camera: Camera = { scale: 1, x: 0, y: 0 };
    readonly wetInk = new Map<string, WetStroke>();
    /** What is shown, on the wet surface, otherwise than it stands on the page: dragged, or about to be changed. */
    readonly floating = new Map<string, Placed>();
    /** Called after the camera has moved. */
    moved: () => void = () => undefined;
    private readonly wetObjects = new Map<string, { object: CanvasObject; page: string }>();
    private readonly hidden = new Set<string>();
    private readonly paper: Paper;
    private readonly dry: CanvasRenderingContext2D;
    private readonly wet: CanvasRenderingContext2D;
    /** Holds both surfaces, so that a highlighter's wet line darkens the dry ink and nothing below it. */
    private readonly ink: HTMLElement;
    /** The part of the page that is drawn anew with the next frame. */
    private stale: Box | null = null;
    private staleFrame = 0;
    private readonly leftOut = new Set<Placed['layer']>();
    private isAsleep = false;
    /** The frame's, in CSS pixels, as it was fitted last. */
    private size: [number, number] = [0, 0];
    private pointed: { x: number; y: number; page: string; name: string } | null = null;
    private pointer: HTMLElement | null = null;
    private isFitted = true;
    private drawnWith: Camera = this.camera;
    private drawingTook = 0;
    private restTimer = 0;
    private pointTimer = 0;
    private frameAsked = 0;
    private readonly pictures = new Map<string, HTMLImageElement>();
    private readonly palette: Palette;

    /** `frame` gets the surfaces; its size is that of the window onto the page. */
    constructor(
        readonly frame: HTMLElement,
        private assets: string,
        stamps: Record<string, string>,
        /** No line is drawn thinner than this, in CSS pixels: small pictures stay readable. */
        private readonly thinnest = 0,
    ) {
        this.palette = { stamps, picture: (asset) => this.picture(asset) };
        this.paper = new Paper(assets);
        this.dry = this.surface('page-dry');
        this.wet = this.surface('page-wet');
        this.ink = Object.assign(document.createElement('div'), { className: 'page-ink' });
        this.ink.append(this.dry.canvas, this.wet.canvas);
        frame.replaceChildren(this.paper.root, this.ink);
    }

    /** A sheet of its own between the paper and the ink, or over all: whoever draws there follows `camera`. */
    insert(sheet: HTMLElement, where: 'under' | 'over'): void {
        if (where === 'under') {
            this.paper.root.after(sheet);
        } else {
            this.ink.after(sheet);
        }
    }

    /** Nobody sees it: nothing is drawn, and the surfaces are given back, until it is seen again. */
    sleep(): void {
        if (!this.isAsleep) {
            this.isAsleep = true;
            window.clearTimeout(this.restTimer);
            for (const { canvas } of [this.dry, this.wet]) {
                canvas.width = canvas.height = 0;
            }
        }
    }

    wake(size?: [number, number]): void {
        if (this.isAsleep) {
            this.isAsleep = false;
            this.fit(size);
        }
    }

    /** A layer's ink is left out, or shown again. */
    showLayer(layer: Placed['layer'], isShown: boolean): void {
        if (isShown) {
            this.leftOut.delete(layer);
        } else {
            this.leftOut.add(layer);
        }
        this.drawAll();
    }

    /**
     * Where somebody else points, in units, until nothing is heard of it for a while; null, or off the page, for
     * nowhere.
     */
    pointAt(at: { x: number; y: number; page: string; name: string } | null): void {
        this.pointed = at === null || at.x < 0 || at.y < 0 ? null : at;
        this.placePointer();
        window.clearTimeout(this.pointTimer);
        this.pointTimer = window.setTimeout(() => this.pointAt(null), POINT_MS);
    }

    /** Sees what another view of the same frame sees. */
    follow(camera: Camera): void {
        this.camera = camera;
        this.isFitted = false;
        this.drawAll();
    }

    /** Pictures come from another address from now on. */
    useAssets(assets: string): void {
        if (assets !== this.assets) {
            this.assets = assets;
            this.paper.assets = assets;
            this.pictures.clear();
            this.drawAll();
        }
    }

    /**
     * Fits the surfaces to the frame. A page that was seen whole is seen whole again.
     *
     * @param size the frame's width and height in CSS pixels, where they are known: measuring each of a hundred frames
     *      after
     * changing the one before makes the browser lay the whole page out a hundred times
     */
    fit(size?: [number, number]): void {
        if (this.isAsleep) {
            return;
        }
        this.size = size ?? [this.frame.clientWidth, this.frame.clientHeight];
        const ratio = window.devicePixelRatio || 1;
        const width = Math.max(1, Math.round(this.size[0] * ratio));
        const height = Math.max(1, Math.round(this.size[1] * ratio));
        if (this.dry.canvas.width === width && this.dry.canvas.height === height) {
            return;
        }
        for (const { canvas } of [this.dry, this.wet]) {
            canvas.width = width;
            canvas.height = height;
            // To the pixel: a frame of a broken height would smear every line over its neighbours.
            canvas.style.width = `${width / ratio}px`;
            canvas.style.height = `${height / ratio}px`;
        }
        this.camera = this.isFitted ? this.whole() : this.within(this.camera);
        this.drawAll();
        this.moved();
    }

    /** Units on the page for each CSS pixel. */
    get unitsPerPixel(): number {
        return 1 / this.camera.scale;
    }

    /** How much larger than when the whole page is seen. */
    get zoom(): number {
        return this.camera.scale / this.whole().scale;
    }

    /** The part of the page that is seen, in units. */
    get seenPart(): { x: number; y: number; w: number; h: number } {
        const { scale, x, y } = this.camera;
        return { x: -x / scale, y: -y / scale, w: this.size[0] / scale, h: this.size[1] / scale };
    }

    toPage(clientX: number, clientY: number): [number, number] {
        const box = this.frame.getBoundingClientRect();
        return [
            (clientX - box.left - this.camera.x) / this.camera.scale,
            (clientY - box.top - this.camera.y) / this.camera.scale,
        ];
    }

    toFrame(x: number, y: number): [number, number] {
        return [x * this.camera.scale + this.camera.x, y * this.camera.scale + this.camera.y];
    }

    /** The whole page, as large as the frame allows. */
    seeAll(): void {
        this.isFitted = true;
        this.look(this.whole());
    }

    /** Makes the page larger or smaller about a point of the frame, in CSS pixels. */
    zoomBy(factor: number, x = this.size[0] / 2, y = this.size[1] / 2): void {
        const least = this.whole().scale * 0.5;
        const scale = Math.max(least, Math.min(this.whole().scale * LARGEST, this.camera.scale * factor));
        const by = scale / this.camera.scale;
        this.isFitted = false;
        this.look(this.within({ scale, x: x - (x - this.camera.x) * by, y: y - (y - this.camera.y) * by }));
    }

    panBy(dx: number, dy: number): void {
        this.isFitted = false;
        this.look(this.within({ ...this.camera, x: this.camera.x + dx, y: this.camera.y + dy }));
    }

    /** Begins another canvas on the same surfaces. */
    reset(): void {
        this.log = new Log();
        this.wetInk.clear();
        this.wetObjects.clear();
        this.floating.clear();
        this.hidden.clear();
        this.page = '';
        this.drawAll();
    }

    /** Begins with a scene that the server kept. */
    begin(kept: KeptScene | null, n: number): void {
        this.log.begin(kept, n);
    }

    showPage(page: string): void {
        this.page = page;
        this.floating.clear();
        this.drawAll();
    }

    /** Takes operations in and draws what they change. Says what that was. */
    take(operations: Operation[]): ReturnType<Log['take']> {
        const change = this.log.take(operations);
        this.show(change, operations);
        return change;
    }

    /** Draws what operations have changed in the log, which another view has taken in. */
    show(change: ReturnType<Log['take']>, operations: Operation[]): void {
        let hadWet = false;
        for (const { id, body } of operations) {
            hadWet = this.wetInk.delete(id) || hadWet;
            hadWet = this.wetObjects.delete(body.target ?? id) || this.wetObjects.delete(id) || hadWet;
        }
        if (this.isAsleep) {
            return;
        }
        if (change === 'all') {
            this.drawAll();
        } else if (change !== 'nothing') {
            this.scale(this.dry);
            change.forEach(
                (placed) =>
                    placed.page === this.page && !this.leftOut.has(placed.layer) && this.drawOn(this.dry, placed),
            );
        }
        if (hadWet && change !== 'all') {
            this.drawWet();
        }
    }

    confirm(accepted: { id: string; n: number }[]): void {
        let redraw = false;
        for (const { id, n } of accepted) {
            redraw = this.log.confirm(id, n) || redraw;
        }
        if (redraw) {
            this.drawAll();
        }
    }

    /** What stands on the page that is shown, in drawing order. */
    *here(): Iterable<[string, Placed]> {
        for (const one of this.log.scene.objects) {
            if (one[1].page === this.page && !this.hidden.has(one[0])) {
                yield one;
            }
        }
    }

    /** What the author of a layer may work on here. */
    *mine(layer: Operation['layer'], pieces: boolean): Iterable<[string, Placed]> {
        for (const one of this.here()) {
            const { layer: its, locked } = one[1];
            const own = its === layer || (pieces && its === 'pieces' && mayTouch(one[1], layer === 'lead'));
            if (own && locked !== true) {
                yield one;
            }
        }
    }

    hide(...ids: string[]): void {
        ids.forEach((id) => this.hidden.add(id));
        this.redrawSoon(ids);
    }

    unhide(...ids: string[]): void {
        ids.forEach((id) => this.hidden.delete(id));
        this.redrawSoon(ids);
    }

    /** What floats is let go; what is on the page shows through again. */
    settle(): void {
        const ids = [...this.floating.keys()];
        this.floating.clear();
        this.redrawSoon(ids);
        this.drawWet();
    }

    /** Draws with the next frame, once, where these are: of a page full of ink the rest stays as it is. */
    private redrawSoon(ids: string[]): void {
        const boxes = ids
            .map((id) => this.log.scene.objects.get(id))
            .filter((placed) => placed?.page === this.page)
            .map((placed) => pageBox(present(placed)));
        if (boxes.length === 0 || this.isAsleep) {
            return;
        }
        this.stale = union(this.stale === null ? boxes : [this.stale, ...boxes]);
        if (this.staleFrame === 0) {
            this.staleFrame = requestAnimationFrame(() => {
                this.staleFrame = 0;
                if (this.stale !== null) {
                    this.drawPart(this.stale);
                }
            });
        }
    }

    /** Draws one part of the dry ink anew, to whole pixels, so that no seam is seen. */
    private drawPart(box: Box): void {
        this.stale = null;
        if (this.isAsleep) {
            return;
        }
        const context = this.dry;
        const { a, e, f } = context.getTransform();
        const [left, top] = [Math.floor(box.left * a + e) - 2, Math.floor(box.top * a + f) - 2];
        const [right, bottom] = [Math.ceil(box.right * a + e) + 2, Math.ceil(box.bottom * a + f) + 2];
        const part = { left: (left - e) / a, top: (top - f) / a, right: (right - e) / a, bottom: (bottom - f) / a };
        context.save();
        context.beginPath();
        context.rect(part.left, part.top, part.right - part.left, part.bottom - part.top);
        context.clip();
        context.clearRect(part.left, part.top, part.right - part.left, part.bottom - part.top);
        for (const [id, placed] of this.log.scene.objects) {
            if (this.isDry(id, placed) && overlaps(part, pageBox(placed))) {
                this.drawOn(context, placed);
            }
        }
        context.restore();
    }

    private isDry(id: string, placed: Placed): boolean {
        return (
            placed.page === this.page &&
            !this.hidden.has(id) &&
            !this.leftOut.has(placed.layer) &&
            !this.wetObjects.has(id) &&
            !this.floating.has(id)
        );
    }

    /** Shows objects otherwise than they stand on the page, until `land` is called. */
    float(some: Iterable<[string, Placed]>): void {
        const fresh = [...some];
        const lifted = fresh.map(([id]) => id).filter((id) => !this.floating.has(id) && this.log.scene.objects.has(id));
        fresh.forEach(([id, placed]) => this.floating.set(id, placed));
        this.redrawSoon(lifted);
        this.drawWet();
    }

    land(): void {
        this.floating.clear();
        this.drawAll();
    }

    /** Ink that is being drawn: `samples` are added to the stroke called `id`. */
    growWet(
        id: string,
        type: Stroke['type'],
        colour: string,
        width: number,
        samples: WetStroke['samples'],
        page: string,
    ): void {
        if (this.log.has(id)) {
            return;
        }
        let stroke = this.wetInk.get(id);
        if (stroke === undefined) {
            stroke = { type, colour, width, samples: [], page };
            this.wetInk.set(id, stroke);
        }
        const from = stroke.samples.length;
        stroke.samples.push(...samples);
        if (page !== this.page || this.isAsleep) {
            return;
        }
        if (type === 'highlight' || this.thinnest === 0) {
            this.drawWet();
        } else {
            this.scale(this.wet);
            growStroke(this.wet, stroke, from, this.thinnestUnits);
        }
    }

    /** An object as it stands at this moment: words being typed, a shape being drawn. */
    putWet(id: string, object: CanvasObject, page: string): void {
        const fresh = !this.wetObjects.has(id);
        this.wetObjects.set(id, { object, page });
        if (fresh && this.log.scene.objects.has(id)) {
            this.drawAll();
        } else {
            this.drawWet();
        }
    }

    dropWet(id: string): void {
        const wasThere = this.wetObjects.delete(id) && this.log.scene.objects.has(id);
        this.wetInk.delete(id);
        if (wasThere) {
            this.drawAll();
        } else {
            this.drawWet();
        }
    }

    drawAll(): void {
        if (this.isAsleep) {
            return;
        }
        const began = performance.now();
        this.stale = null;
        window.clearTimeout(this.restTimer);
        this.restTimer = 0;
        this.paper.show(this.log.scene.pages.get(this.page) ?? { kind: 'blank' });
        this.drawnWith = this.camera;
        this.place();
        this.clear(this.dry);
        const { scale, x, y } = this.camera;
        const seen = around([
            [-x / scale, -y / scale],
            [(this.size[0] - x) / scale, (this.size[1] - y) / scale],
        ]);
        for (const [id, placed] of this.log.scene.objects) {
            const shown = this.isDry(id, placed);
            // Where the whole page is seen, nothing is worth the measuring.
            if (shown && (this.isFitted || overlaps(seen, pageBox(placed)))) {
                this.drawOn(this.dry, placed);
            }
        }
        this.drawWet();
        this.drawingTook = performance.now() - began;
    }

    private get thinnestUnits(): number {
        return this.thinnest * this.unitsPerPixel;
    }

    private drawOn(context: CanvasRenderingContext2D, placed: Placed): void {
        drawPlaced(context, placed, this.palette, this.thinnestUnits);
    }

    private drawWet(): void {
        if (this.isAsleep) {
            return;
        }
        this.clear(this.wet);
        this.floating.forEach((placed) => placed.page === this.page && this.drawOn(this.wet, placed));
        this.wetInk.forEach(
            (stroke) => stroke.page === this.page && drawWetStroke(this.wet, stroke, this.thinnestUnits),
        );
        const highlights = [...this.wetInk.values()].some(
            ({ type, page }) => type === 'highlight' && page === this.page,
        );
        this.wet.canvas.classList.toggle('is-highlighting', highlights);
        this.wetObjects.forEach(({ object, page }, id) => {
            const place = this.log.scene.objects.get(id)?.place;
            if (page === this.page) {
                this.drawUnchecked(id, { layer: 'student', page, object, place });
            }
        });
    }

    /**
     * What comes over the socket was checked by nobody: what cannot be drawn is let go, and the rest of the page stays.
     */
    private drawUnchecked(id: string, placed: Placed): void {
        this.wet.save();
        try {
            this.drawOn(this.wet, placed);
        } catch {
            this.wetObjects.delete(id);
        }
        this.wet.restore();
    }

    /**
     * The camera has moved: drawn anew at once where that is quick; else the picture is moved, and drawn when it rests.
     */
    private look(camera: Camera): void {
        this.camera = camera;
        if (this.drawingTook <= QUICK_MS) {
            if (this.frameAsked === 0) {
                this.frameAsked = requestAnimationFrame(() => {
                    this.frameAsked = 0;
                    this.drawAll();
                    this.moved();
                });
            }
            return;
        }
        this.place();
        this.moved();
        window.clearTimeout(this.restTimer);
        this.restTimer = window.setTimeout(() => this.drawAll(), REST_MS);
    }

    /** Puts paper and surfaces where the camera sees them; the surfaces were drawn with `drawnWith`. */
    private place(): void {
        const { scale, x, y } = this.camera;
        this.paper.root.style.transform = `translate(${x}px, ${y}px) scale(${scale})`;
        const by = scale / this.drawnWith.scale;
        const moved =
            this.camera === this.drawnWith
                ? ''
                : `translate(${x - this.drawnWith.x * by}px, ${y - this.drawnWith.y * by}px) scale(${by})`;
        this.frame.classList.toggle('is-moving', moved !== '');
        this.ink.style.transform = moved;
        this.placePointer();
    }

    private placePointer(): void {
        const { pointed } = this;
        if (pointed === null || pointed.page !== this.page) {
            this.pointer?.remove();
            return;
        }
        this.pointer ??= Object.assign(document.createElement('span'), { className: 'page-pointer' });
        this.pointer.textContent = pointed.name;
        const [x, y] = this.toFrame(pointed.x, pointed.y);
        this.pointer.style.transform = `translate(${x}px, ${y}px)`;
        if (!this.pointer.isConnected) {
            this.frame.append(this.pointer);
        }
    }

    private whole(): Camera {
        const [width, height] = [Math.max(1, this.size[0]), Math.max(1, this.size[1])];
        const scale = Math.min(width / WIDTH, height / HEIGHT);
        // At the top, so that the page stays where it is while the tray below grows and shrinks.
        return { scale, x: (width - WIDTH * scale) / 2, y: 0 };
    }

    /** A camera from which some of the page can always be seen. */
    private within({ scale, x, y }: Camera): Camera {
        const limit = (at: number, frame: number, page: number): number => {
            const slack = Math.min(frame, page) * 0.3;
            return Math.max(Math.min(0, frame - page) - slack, Math.min(Math.max(0, frame - page) + slack, at));
        };
        return {
            scale,
            x: limit(x, this.size[0], WIDTH * scale),
            y: limit(y, this.size[1], HEIGHT * scale),
        };
    }

    private clear(context: CanvasRenderingContext2D): void {
        // Setting the transform first would leave the clip of the last drawing in force.
        context.restore();
        context.setTransform(1, 0, 0, 1, 0, 0);
        context.clearRect(0, 0, context.canvas.width, context.canvas.height);
        this.scale(context);
        context.save();
        context.beginPath();
        context.rect(0, 0, WIDTH, HEIGHT);
        context.clip();
    }

    private scale(context: CanvasRenderingContext2D): void {
        const ratio = context.canvas.width / Math.max(1, this.size[0]);
        const { scale, x, y } = this.drawnWith;
        context.setTransform(scale * ratio, 0, 0, scale * ratio, x * ratio, y * ratio);
    }

    private surface(name: string): CanvasRenderingContext2D {
        const canvas = document.createElement('canvas');
        canvas.className = name;
        canvas.setAttribute('aria-hidden', 'true');
        const context = present(canvas.getContext('2d'));
        context.save();
        return context;
    }

    private picture(asset: string): HTMLImageElement | null {
        let picture = this.pictures.get(asset);
        if (picture === undefined) {
            picture = new Image();
            picture.onload = () => this.drawAll();
            picture.src = `${this.assets}/${asset}`;
            this.pictures.set(asset, picture);
        }
        return picture.complete && picture.naturalWidth > 0 ? picture : null;
    }
}
