import { around, gathered, overlaps, pageBox, union, type Box } from '../model/bounds';
import {
    inFrame,
    movedFrom,
    onPage,
    panned,
    seenThrough,
    showing,
    whole,
    within,
    zoomed,
    type Camera,
    type FirstLook,
    type Part,
    type Size,
} from './camera';
import { Pictures } from './pictures';
import { Pointed, type Pointing } from './pointed';
import { Surfaces } from './surfaces';
import { WetLayer } from './wetlayer';
import { whenLettersCome } from './words';
import { drawPlaced, drawTip, growStroke, type Palette } from './draw';
import { Log } from '../model/log';
import {
    TENTHS,
    type CanvasObject,
    type Operation,
    type Place,
    type Placed,
    type Stroke,
    type WetStroke,
} from '../model/objects';
import { Paper } from './paper';
import { paperOf, WIDE, type PaperSize } from '../model/paper';
import { mayTouch, type KeptScene } from '../model/scene';
import { present } from '../../present';

/** A drawing that took longer than this is not made anew for every frame of a gesture. */
const QUICK_MS = 8;
/** What painting an object takes, on a slow device; 0.08 ms for a stroke here (`bench canvas`). */
const PAINTING_MS = 0.06;
/** Of what is drawn anew in parts, so much in one frame: a hand that rubs out is never held up by a crowded page. */
const PART_MS = 5;
/** So long after the last movement the picture is drawn sharply again. */
const REST_MS = 140;

/**
 * One page of a canvas on the screen: the paper with its backdrop as a picture, the dry ink on one drawing surface and
 * what is being drawn on another above it, so that a growing stroke never makes the page draw what is dry again.
 */
export class View {
    log = new Log();
    page = '';
    camera: Camera = { scale: 1, x: 0, y: 0 };
    /** Called after the camera has moved. */
    moved: () => void = () => undefined;
    /** Called when something was answered, or another page is seen. */
    private readonly seen: (() => void)[] = [];
    private wet: WetLayer;
    private hidden = new Set<string>();
    private twin: View | null = null;
    private readonly paper: Paper;
    private readonly surfaces = new Surfaces();
    private readonly pictures: Pictures;
    /** Where others point, by who they are. */
    private readonly pointed = new Map<string, Pointed>();
    /** The parts of the page that are drawn anew with the next frame. */
    private readonly stale: Box[] = [];
    private staleFrame = 0;
    private leftOut = new Set<Placed['layer']>();
    private isAsleep = false;
    /** The frame's, in CSS pixels, as it was fitted last. */
    private size: Size = [0, 0];
    /** The same, where it was told and not measured. */
    private given: Size | undefined;
    /** How the page stands: as it is seen at first, whole, or as somebody has moved it. */
    private stance: 'first' | 'whole' | 'moved' = 'first';
    private firstLook: FirstLook = whole;
    /** Around what was handed out to be worked on the page: it is seen at first. */
    private focus: Box | null = null;
    /** The paper of pages that this log does not tell of: a sheet of ink over another's page. */
    paperBelow: PaperSize = WIDE;
    private drawnPaper: PaperSize = WIDE;
    /** What is to stay in sight when the frame changes, in units. */
    private kept: [number, number] | null = null;
    private drawnWith: Camera = this.camera;
    private drawingTook = 0;
    /** Where the end of a growing stroke is drawn, in units. */
    private tipped: Box | null = null;
    private restTimer = 0;
    private frameAsked = 0;
    private readonly palette: Palette;

    /** `frame` gets the surfaces; its size is that of the window onto the page. */
    constructor(
        readonly frame: HTMLElement,
        assets: string,
        stamps: Record<string, string>,
        /** No line is drawn thinner than this, in CSS pixels: small pictures stay readable. */
        private readonly thinnest = 0,
    ) {
        this.pictures = new Pictures(assets, () => this.drawAll());
        whenLettersCome(() => this.drawAll());
        this.palette = { stamps, picture: (asset) => this.pictures.of(asset) };
        this.wet = new WetLayer(this.palette);
        this.paper = new Paper(assets);
        frame.replaceChildren(this.paper.root, this.surfaces.root);
    }

    /**
     * Another view of the same page, with a camera of its own: it shows all that this one does, wet ink too.
     */
    twinOn(frame: HTMLElement, assets: string, stamps: Record<string, string>): View {
        this.twin = new View(frame, assets, stamps);
        this.twin.wet = this.wet;
        this.twin.hidden = this.hidden;
        this.twin.leftOut = this.leftOut;
        this.twin.sleep();
        return this.twin;
    }

    /** Strokes that are being drawn, by their ids. */
    get wetInk(): ReadonlyMap<string, WetStroke> {
        return this.wet.strokes;
    }

    /** What is shown otherwise than it stands on the page. */
    get floating(): Map<string, Placed> {
        return this.wet.floating;
    }

    /** A sheet of its own between the paper and the ink, or over all: whoever draws there follows `camera`. */
    insert(sheet: HTMLElement, where: 'under' | 'over'): void {
        if (where === 'under') {
            this.paper.root.after(sheet);
        } else {
            this.surfaces.root.after(sheet);
        }
    }

    /** Says when something was answered, or another page is seen. */
    whenSeen(called: () => void): void {
        this.seen.push(called);
    }

    private tellSeen(): void {
        this.seen.forEach((called) => called());
    }

    /** Puts something on the paper under the ink, as large as the page in units. */
    onPaper(sheet: HTMLElement): void {
        this.paper.root.append(sheet);
    }

    /** Nobody sees it: nothing is drawn, and the surfaces are given back, until it is seen again. */
    sleep(): void {
        if (!this.isAsleep) {
            this.isAsleep = true;
            window.clearTimeout(this.restTimer);
            this.surfaces.release();
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
     * Where somebody else points; null for nowhere.
     *
     * @param  who  where there are several
     */
    pointAt(at: Pointing | null, who = ''): void {
        let one = this.pointed.get(who);
        if (one === undefined) {
            one = new Pointed(this.frame, (moved) => moved.place(this.page, this.camera));
            this.pointed.set(who, one);
        }
        one.show(at);
    }

    /** Sees what another view of the same frame sees, on the same paper. */
    follow(camera: Camera, paper: PaperSize): void {
        this.camera = camera;
        this.paperBelow = paper;
        this.stance = 'moved';
        this.drawAll();
    }

    /** Lies over a page that another draws, on its paper. */
    lieOver(paper: PaperSize): void {
        this.paperBelow = paper;
        this.drawAll();
    }

    /** The size of the page that is shown. */
    get paperSize(): PaperSize {
        const backdrop = this.log.scene.pages.get(this.page);
        return backdrop?.paper === undefined ? this.paperBelow : paperOf(backdrop);
    }

    /** This place on the page, in units, stays in sight when the frame changes: somebody is at work there. */
    keepInSight(x: number, y: number): void {
        this.kept = [x, y];
    }

    /** Pictures come from another address from now on. */
    useAssets(assets: string): void {
        this.twin?.useAssets(assets);
        if (this.pictures.from(assets)) {
            this.paper.assets = assets;
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
    fit(size?: Size): void {
        if (this.isAsleep) {
            return;
        }
        this.given = size;
        this.size = size ?? [this.frame.clientWidth, this.frame.clientHeight];
        if (!this.surfaces.fit(this.size)) {
            return;
        }
        this.stand();
        this.drawAll();
        this.moved();
    }

    /** Puts the page into its frame, which has changed, or whose paper has. */
    private stand(): void {
        const { stance, size, paperSize: paper } = this;
        this.drawnPaper = paper;
        this.camera =
            stance === 'first'
                ? this.firstLook(size, paper, this.focus)
                : stance === 'whole'
                  ? whole(size, paper)
                  : within(this.camera, size, paper);
        if (this.kept !== null) {
            this.camera = within(showing(this.camera, this.kept, size), size, paper);
        }
    }

    /** Units on the page for each CSS pixel. */
    get unitsPerPixel(): number {
        return 1 / this.camera.scale;
    }

    /** How much larger than when the whole page is seen. */
    get zoom(): number {
        return this.camera.scale / whole(this.size, this.paperSize).scale;
    }

    /** The part of the page that is seen, in units. */
    get seenPart(): Part {
        return seenThrough(this.camera, this.size);
    }

    toPage(clientX: number, clientY: number): [number, number] {
        const box = this.frame.getBoundingClientRect();
        return onPage(this.camera, clientX - box.left, clientY - box.top);
    }

    toFrame(x: number, y: number): [number, number] {
        return inFrame(this.camera, x, y);
    }

    /** The whole page, as large as the frame allows. */
    seeAll(): void {
        this.stance = 'whole';
        this.look(whole(this.size, this.paperSize));
    }

    /** How a page is seen before anybody has moved it. */
    openWith(firstLook: FirstLook): void {
        this.firstLook = firstLook;
        this.stand();
        this.drawAll();
        this.moved();
    }

    /** As it is seen at first. */
    seeFirst(): void {
        this.stance = 'first';
        this.look(this.firstLook(this.size, this.paperSize, this.focus));
    }

    /** The whole page; where that is seen already, as large as one writes. */
    seeOther(): void {
        if (this.isWhole) {
            this.seeFirst();
        } else {
            this.seeAll();
        }
    }

    /** Whether all of the page is in the frame. */
    get isWhole(): boolean {
        const { x, y, w, h } = this.seenPart;
        const [width, height] = this.paperSize;
        return x <= 0.5 && y <= 0.5 && x + w >= width - 0.5 && y + h >= height - 0.5;
    }

    /** Makes the page larger or smaller about a point of the frame, in CSS pixels. */
    zoomBy(factor: number, x = this.size[0] / 2, y = this.size[1] / 2): void {
        this.stance = 'moved';
        this.look(zoomed(this.camera, factor, [x, y], this.size, this.paperSize));
    }

    panBy(dx: number, dy: number): void {
        this.stance = 'moved';
        this.look(panned(this.camera, dx, dy, this.size, this.paperSize));
    }

    /** Begins another canvas on the same surfaces. */
    reset(): void {
        this.log = new Log();
        this.wet.clear();
        this.hidden.clear();
        this.page = '';
        this.drawAll();
    }

    /** Begins with a scene that the server kept. */
    begin(kept: KeptScene | null, n: number): void {
        this.log.begin(kept, n);
    }

    showPage(page: string): void {
        if (page !== this.page) {
            this.kept = null;
        }
        this.page = page;
        this.wet.floating.clear();
        const pieces = [...this.here()].flatMap(([, one]) =>
            one.layer === 'pieces' && one.object.type === 'manipulative' ? [pageBox(one)] : [],
        );
        const had = this.focus;
        this.focus = pieces.length === 0 ? null : union(pieces);
        if ((had !== null || this.focus !== null) && this.stance === 'first' && !this.isAsleep) {
            this.stand();
            this.moved();
        }
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
            hadWet = this.wet.dry(id, body.target ?? id) || hadWet;
        }
        if (this.isAsleep) {
            return;
        }
        if (operations.some(({ kind }) => kind === 'answer')) {
            this.tellSeen();
        }
        if (change === 'all') {
            this.drawAll();
        } else if (change !== 'nothing') {
            this.drawOver(change);
            this.twin?.drawOver(change);
        }
        if (hadWet) {
            this.clearTip();
        }
        if (hadWet && change !== 'all') {
            this.drawWet();
        }
    }

    /** What came on top of all else is drawn over it. */
    private drawOver(fresh: Placed[]): void {
        if (this.isAsleep) {
            return;
        }
        this.surfaces.scale(this.surfaces.dry, this.drawnWith);
        fresh.forEach(
            (placed) =>
                placed.page === this.page && !this.leftOut.has(placed.layer) && this.drawOn(this.surfaces.dry, placed),
        );
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

    /** Whether the author of a layer made it: where several draw on it, not what another did. */
    isOwn(id: string, placed: Placed, layer: Operation['layer']): boolean {
        return placed.layer === layer && !this.log.isOthers(id);
    }

    /** The same, and what was handed out to be moved. */
    isOwnOrPiece(id: string, placed: Placed, layer: Operation['layer']): boolean {
        return this.isOwn(id, placed, layer) || (layer === 'student' && placed.layer === 'pieces');
    }

    /** What the author of a layer may work on here. */
    *mine(layer: Operation['layer'], pieces: boolean): Iterable<[string, Placed]> {
        for (const one of this.here()) {
            const { layer: its, locked } = one[1];
            const own = this.isOwn(...one, layer) || (pieces && its === 'pieces' && mayTouch(one[1], layer === 'lead'));
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
        const ids = [...this.wet.floating.keys()];
        this.wet.floating.clear();
        this.redrawSoon(ids);
        this.drawWet();
    }

    /** Draws soon, once, where these are: of a page full of ink the rest stays as it is. */
    private redrawSoon(ids: string[]): void {
        const boxes = ids
            .map((id) => this.log.scene.objects.get(id))
            .filter((placed) => placed?.page === this.page)
            .map((placed) => pageBox(present(placed)));
        this.twin?.redrawSoon(ids);
        if (boxes.length === 0 || this.isAsleep) {
            return;
        }
        this.stale.push(...boxes);
        this.drawStaleSoon();
    }

    /** A frame's worth of it with the next frame, the rest with those after it. */
    private drawStaleSoon(): void {
        if (this.staleFrame !== 0 || this.stale.length === 0) {
            return;
        }
        this.staleFrame = requestAnimationFrame(() => {
            this.staleFrame = 0;
            const began = performance.now();
            const parts = gathered(this.stale.splice(0));
            let painting = 0;
            while (parts.length > 0 && performance.now() - began + painting < PART_MS) {
                painting += PAINTING_MS * this.drawPart(present(parts.shift()));
            }
            this.stale.push(...parts);
            this.drawStaleSoon();
        });
    }

    /** Draws one part of the dry ink anew, to whole pixels, so that no seam is seen. Says of how many objects. */
    private drawPart(box: Box): number {
        if (this.isAsleep) {
            return 0;
        }
        let drawn = 0;
        const context = this.surfaces.dry;
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
                drawn++;
            }
        }
        context.restore();
        return drawn;
    }

    private isDry(id: string, placed: Placed): boolean {
        return (
            placed.page === this.page &&
            !this.hidden.has(id) &&
            !this.leftOut.has(placed.layer) &&
            !this.wet.objects.has(id) &&
            !this.wet.floating.has(id)
        );
    }

    /** Shows objects otherwise than they stand on the page, until `land` is called. */
    float(some: Iterable<[string, Placed]>): void {
        const fresh = [...some];
        const lifted = fresh
            .map(([id]) => id)
            .filter((id) => !this.wet.floating.has(id) && this.log.scene.objects.has(id));
        fresh.forEach(([id, placed]) => this.wet.floating.set(id, placed));
        this.redrawSoon(lifted);
        this.drawWet();
    }

    land(): void {
        this.wet.floating.clear();
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
        const [stroke, from] = this.wet.grow(id, { type, colour, width, page }, samples);
        if (page !== this.page || this.isAsleep) {
            return;
        }
        if (type === 'highlight' || this.thinnest === 0) {
            this.drawWet();
        } else {
            this.growOn(stroke, from);
            this.twin?.growOn(stroke, from);
        }
    }

    /** The end of a growing stroke, up to where its pointer is. */
    showTip(id: string, tip: WetStroke['samples']): void {
        const stroke = this.wet.strokes.get(id);
        if (stroke === undefined || stroke.page !== this.page) {
            return;
        }
        stroke.tip = tip;
        if (stroke.type === 'highlight') {
            this.drawWet();
        } else {
            this.drawTip(stroke);
            this.twin?.drawTip(stroke);
        }
    }

    private drawTip(stroke: WetStroke): void {
        if (this.isAsleep) {
            return;
        }
        this.clearTip();
        const { tip } = this.surfaces;
        this.surfaces.scale(tip, this.drawnWith);
        tip.save();
        tip.beginPath();
        tip.rect(0, 0, ...this.drawnPaper);
        tip.clip();
        drawTip(tip, stroke);
        tip.restore();
        const drawn = [...stroke.samples.slice(-2), ...(stroke.tip ?? [])];
        this.tipped = around(
            drawn.map(([x, y]) => [x / TENTHS, y / TENTHS]),
            stroke.width / TENTHS + 2 * this.unitsPerPixel,
        );
    }

    /** The stroke is dry, or dropped: its end is not drawn any more. */
    private clearTip(): void {
        const { tipped, surfaces } = this;
        this.tipped = null;
        if (tipped !== null && surfaces.hasTip) {
            surfaces.scale(surfaces.tip, this.drawnWith);
            surfaces.tip.clearRect(tipped.left, tipped.top, tipped.right - tipped.left, tipped.bottom - tipped.top);
        }
        this.twin?.clearTip();
    }

    private growOn(stroke: WetStroke, from: number): void {
        if (!this.isAsleep) {
            this.surfaces.scale(this.surfaces.wet, this.drawnWith);
            growStroke(this.surfaces.wet, stroke, from, this.thinnestUnits);
        }
    }

    /** An object as it stands at this moment: words being typed, a shape being drawn. */
    putWet(id: string, object: CanvasObject, page: string, place?: Place): void {
        const fresh = !this.wet.objects.has(id);
        this.wet.objects.set(id, { object, page, ...(place && { place }) });
        if (fresh && this.log.scene.objects.has(id)) {
            this.drawAll();
        } else {
            this.drawWet();
        }
    }

    dropWet(id: string): void {
        const wasThere = this.wet.objects.delete(id) && this.log.scene.objects.has(id);
        this.wet.strokes.delete(id);
        this.clearTip();
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
        if (this.twin !== null) {
            this.twin.log = this.log;
            this.twin.page = this.page;
            this.twin.paperBelow = this.paperSize;
            this.twin.drawAll();
        }
        this.stale.length = 0;
        window.clearTimeout(this.restTimer);
        this.restTimer = 0;
        const paper = this.paperSize;
        if (String(paper) !== String(this.drawnPaper)) {
            this.stand();
            this.frame.style.setProperty('--page-shape', String(paper[0] / paper[1]));
            // A frame in the page's shape is another now; whoever stands around the page follows once it is drawn.
            queueMicrotask(() => {
                this.fit(this.given);
                this.moved();
            });
        }
        this.paper.show(this.log.scene.pages.get(this.page) ?? { kind: 'blank' }, paper);
        this.tellSeen();
        this.clearTip();
        this.drawnWith = this.camera;
        this.place();
        this.surfaces.clear(this.surfaces.dry, this.drawnWith, paper);
        const { isWhole } = this;
        let drawn = 0;
        const { x, y, w, h } = this.seenPart;
        const seen = { left: x, top: y, right: x + w, bottom: y + h };
        for (const [id, placed] of this.log.scene.objects) {
            const shown = this.isDry(id, placed);
            // Where the whole page is seen, nothing is worth the measuring.
            if (shown && (isWhole || overlaps(seen, pageBox(placed)))) {
                this.drawOn(this.surfaces.dry, placed);
                drawn++;
            }
        }
        this.drawWet();
        // The browser paints after this: what it is given to paint costs more than giving it.
        this.drawingTook = performance.now() - began + drawn * PAINTING_MS;
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
        this.twin?.drawWet();
        this.surfaces.clear(this.surfaces.wet, this.drawnWith, this.drawnPaper);
        this.wet.draw(this.surfaces.wet, this.page, this.thinnestUnits, (id) => this.log.scene.objects.get(id)?.place);
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
        const moved = movedFrom(this.drawnWith, this.camera);
        this.frame.classList.toggle('is-moving', moved !== '');
        this.surfaces.root.style.transform = moved;
        this.pointed.forEach((one) => one.place(this.page, this.camera));
    }
}
