import type { KeptScene } from './model/scene';
import type { BenchWords } from '../protocol/words';
import { post } from '../live/http';
import type { WetSender } from '../live/wet';
import { regrouped } from './tools/clipboard';
import { listenToGestures, type Hand, type Point, type Tool, type Works } from './tools/gestures';
import { Incoming } from './tools/incoming';
import { MathsWindow } from './tools/maths';
import {
    TENTHS,
    newId,
    type CanvasObject,
    type Kind,
    type Operation,
    type Place,
    type Placed,
    type Placing,
} from './model/objects';
import { asPieces, type PieceUse } from './model/pieces';
import { placeAfter } from './model/place';
import { PartsHand } from './tools/parts';
import { PieceDrag } from './tools/piecedrag';
import { Putting } from './tools/putting';
import { Selection } from './tools/selection';
import { history } from './model/scene';
import { worked, type Act } from './model/manipulative/manipulative';
import type { Part } from './model/manipulative/sketch';
import { EraserTool } from './tools/eraser';
import { InkTool } from './tools/ink';
import { SelectTool } from './tools/select';
import { firstSettings, type Settings, type ToolName } from './tools/settings';
import { ConstructTool } from './tools/construct';
import { ShapeTool } from './tools/shape';
import { TapTool } from './tools/tap';
import { Typing, grown } from './tools/typing';
import { View } from './drawing/view';
import { readsBackwards, typed, widthOf, wrap } from './model/words';
import { present } from '../present';

/** More strokes than this are no line: Crag\Handwriting\InkInBox. */
const MOST_READ = 50;

export interface WorkbenchSettings {
    /** Holds the stage, the tray and the windows of the tools. */
    root: HTMLElement;
    layer: 'student' | 'lead' | 'coach' | 'private';
    assets: string;
    stamps: Record<string, string>;
    words: BenchWords;
    /** Of what holds the canvas: takes files in, works graphs out. */
    address: string;
    /** Plain letters are the desk's keys: tools are taken up with Shift. */
    isOnDesk?: boolean;
    /** Pieces may be given other settings for each student. */
    varies?: boolean;
    wet: WetSender | null;
    /** Something finished, to be delivered. */
    put(canvas: string, operation: Operation): void;
    /** The whole log of the canvas, when something older than what is here is to be undone. */
    whole(canvas: string): Promise<Operation[]>;
    say(sentence: string): void;
    /** Reads what strokes say: in words, and in LaTeX; empty where they cannot be read. */
    readInk?(canvas: string, strokes: string[]): Promise<{ text: string; latex?: string }>;
    /** Another page is shown. */
    turned?(): void;
    /** What is to be seen around the page has changed: history, selection, pages. */
    changed(): void;
}

/** A canvas with its tools: what a student draws on, and the teacher's lead canvas. */
export class Workbench {
    readonly view: View;
    readonly surface: HTMLElement;
    readonly settings: Settings;
    readonly selection: Selection;
    readonly typing: Typing;
    canvas = '';
    /** Milliseconds that the server's clock is ahead of this device's. */
    clockAhead = 0;
    private older = { undo: false, redo: false };
    readonly putting: Putting;
    readonly incoming: Incoming;
    private readonly shape: ShapeTool;
    readonly constructs: ConstructTool;
    private readonly select: SelectTool;
    private readonly pieceDrag: PieceDrag;
    private readonly parts: PartsHand;
    /** Whether a stylus has touched this page, and whether fingers draw beside it. */
    hasStylus = false;
    /** What was chosen for fingers; until then they draw where no stylus does. */
    private fingers: boolean | null = null;
    private readonly tools: Record<ToolName, Tool | null>;
    private lastTap: [string | null, number] = [null, 0];
    private lastWet = 0;
    private asking: Promise<void> | null = null;
    private readonly hands: Hand[] = [];
    /** Where a pointer last was at work, in units. */
    lastPlace: [number, number] | null = null;
    /** Why nothing can be drawn now; empty when it can. */
    private lock = '';
    private drawsOn: WorkbenchSettings['layer'];
    /** The page is looked at alone: nothing draws, and its keys are others'. */
    isLooking = false;

    constructor(private readonly around: WorkbenchSettings) {
        this.drawsOn = around.layer;
        const { root, stamps } = around;
        this.surface = present(root.querySelector<HTMLElement>('.page-frame'));
        this.settings = firstSettings(present(Object.keys(stamps)[0]));
        this.view = new View(present(root.querySelector<HTMLElement>('.page')), around.assets, stamps);
        this.typing = new Typing(this.view, around.words.typing, {
            type: (id, object) => this.showWet(id, object),
            operation: (kind, id, body) => this.make(kind, body, id),
        });
        this.selection = new Selection(this);
        this.putting = new Putting(this, new MathsWindow(root));
        this.shape = new ShapeTool(this);
        this.constructs = new ConstructTool(this);
        this.select = new SelectTool(this);
        this.pieceDrag = new PieceDrag(this, this.select);
        this.parts = new PartsHand(this);
        const ink = new InkTool(this);
        const tap = new TapTool(this);
        this.tools = {
            pen: ink,
            highlighter: ink,
            eraser: new EraserTool(this),
            move: this.select,
            shapes: this.shape,
            text: tap,
            maths: tap,
            construct: this.constructs,
            pieces: new PieceDrag(this, this.select, (from) => this.select.isOn(from)),
            note: tap,
            stamps: tap,
            picture: null,
        };
        this.view.moved = () => {
            this.typing.fit();
            this.selection.place();
        };
        this.hands.push(
            listenToGestures(
                this.surface,
                this.view,
                this.works(() => this.view.seeOther()),
            ),
        );
        new ResizeObserver(() => this.view.fit()).observe(this.surface);
        this.view.fit();
        this.incoming = new Incoming(this, `${around.address}/bring-in`);
    }

    /**
     * The same tools draw on another view of the page.
     *
     * @param  lifted  after a pointer has left it
     */
    drawOn(surface: HTMLElement, view: View, lifted: () => void): void {
        this.hands.push(listenToGestures(surface, view, { ...this.works(() => undefined), lifted }));
    }

    private works(tappedTwice: () => void): Works {
        return {
            tool: (at) => this.toolAt(at),
            finger: (at) => this.finger(at),
            fingersDraw: () => this.fingersDraw,
            tappedTwice,
            sawStylus: () => this.seeStylus(),
            worked: ({ x, y }) => {
                this.lastPlace = [x, y];
                this.view.keepInSight(x, y);
            },
        };
    }

    /** On which layer it draws. */
    get layer(): WorkbenchSettings['layer'] {
        return this.drawsOn;
    }

    get wet(): WetSender | null {
        return this.around.wet;
    }

    get words(): BenchWords {
        return this.around.words;
    }

    get varies(): boolean {
        return this.around.varies === true;
    }

    get isOnDesk(): boolean {
        return this.around.isOnDesk === true;
    }

    say(sentence: string): void {
        this.around.say(sentence);
    }

    get isDrawing(): boolean {
        return this.hands.some((hand) => hand.isDrawing()) || this.typing.isOpen;
    }

    /** What has been begun is finished as it stands, and counts. */
    rest(): void {
        this.hands.forEach((hand) => hand.rest());
        this.typing.close();
        this.finishShape();
        this.selection.clear();
    }

    /** Nothing more can be drawn, for a reason; with an empty one it can again. */
    lockBy(reason: string): void {
        if (reason !== '' && this.lock === '') {
            this.rest();
        }
        this.lock = reason;
        this.surface.classList.toggle('is-locked', reason !== '');
    }

    /** Whether fingers draw, or move the page. */
    get fingersDraw(): boolean {
        return this.fingers ?? !this.hasStylus;
    }

    letFingersDraw(doThey: boolean): void {
        this.fingers = doThey;
        this.refresh();
    }

    private seeStylus(): void {
        if (!this.hasStylus) {
            this.hasStylus = true;
            this.refresh();
        }
    }

    private toolAt(at: Point): Tool | null {
        const tool = !this.isLooking && this.mayDraw() ? this.tools[this.settings.tool] : null;
        return tool === null ? null : this.parts.over(at, this.pieceDrag.over(at, tool));
    }

    /** Where a stylus draws, a finger moves what is chosen and pieces, with any tool; with Move it chooses too. */
    private finger(at: Point): Tool | null {
        if (this.isLooking || this.lock !== '') {
            return null;
        }
        const own = this.settings.tool === 'move' || this.select.isOnMovable(at) ? this.select : null;
        return this.parts.over(at, own);
    }

    private mayDraw(): boolean {
        if (this.lock !== '') {
            this.say(this.lock);
        }
        return this.lock === '';
    }

    /** What has been begun with one tool is ended before another is taken up. */
    choose(tool: ToolName): void {
        this.typing.close();
        this.finishShape();
        if (tool !== 'move') {
            this.selection.clear();
        }
        this.settings.tool = tool;
        this.surface.dataset.using = tool;
        this.refresh();
    }

    /** Something was done to a manipulative. What changes nothing is nothing to be kept. */
    work(id: string, act: Act): void {
        const placed = this.view.log.scene.objects.get(id);
        if (placed?.object.type !== 'manipulative') {
            return;
        }
        const given = Object.fromEntries(Object.entries(act).filter(([, value]) => value !== null));
        const after = worked(placed.object, { act: given });
        if (JSON.stringify(after.state) !== JSON.stringify(placed.object.state)) {
            this.make('change', { target: id, set: { act: given } });
        }
    }

    /** A number is to be typed into a part; who shows the parts has a field for it. */
    typeInto: (id: string, part: Part) => void = () => undefined;

    /** The boxes that are written in are known to who shows the questions. */
    isRead: (at: { x: number; y: number }) => boolean = () => false;

    finishShape(): void {
        if (this.shape.isUnfinished) {
            this.shape.finish();
        }
    }

    get hasUnfinishedShape(): boolean {
        return this.shape.isUnfinished;
    }

    /** Begins with a canvas as the server tells it. */
    begin(
        answer: {
            canvas: string;
            clock: number;
            n: number;
            older: { undo: boolean; redo: boolean };
            scene: KeptScene | null;
            operations: Operation[];
        },
        waiting: Operation[],
        /** Where several draw: who does so here, and who made what is in the kept scene. */
        shared: { me: string; authors: Record<string, string[]> } | null = null,
    ): void {
        this.typing.close();
        this.selection.clear();
        this.shape.cancel();
        const { page } = this.view;
        const fresh = answer.canvas !== this.canvas;
        this.canvas = answer.canvas;
        this.clockAhead = answer.clock - Date.now();
        this.older = answer.older;
        this.view.reset();
        if (shared !== null) {
            this.view.log.share(shared.me, shared.authors);
        }
        this.view.begin(answer.scene, answer.n);
        this.view.take(answer.operations);
        this.view.take(waiting);
        this.view.showPage(!fresh && this.view.log.scene.pages.has(page) ? page : '');
        this.refresh();
    }

    /** Begins with what another view of a canvas knows, drawing on a layer of it. */
    beginWith(canvas: string, log: View['log'], page: string, layer: WorkbenchSettings['layer']): void {
        this.rest();
        this.canvas = canvas;
        this.drawsOn = layer;
        this.older = { undo: true, redo: true };
        this.view.reset();
        this.view.log = log;
        this.view.showPage(page);
        this.refresh();
    }

    /** Operations of this canvas that the server has told. */
    take(operations: Operation[]): void {
        this.view.take(operations);
        if (this.view.log.isShort) {
            void this.takeWhole();
        }
        // A fresh start leaves one page.
        if (!this.view.log.scene.pages.has(this.view.page)) {
            this.view.showPage('');
        }
        this.refresh();
    }

    /** Something finished: drawn here at once, kept here until the server has it. */
    make(kind: Kind, body: Operation['body'], id = newId()): void {
        if (!this.mayDraw()) {
            return;
        }
        const page = ['add', 'clear'].includes(kind) && this.view.page !== '' ? { page: this.view.page } : {};
        const operation: Operation = {
            id,
            kind,
            layer: this.layer,
            at: Date.now() + this.clockAhead,
            // On the page that is seen, where nothing else is said.
            body: { ...page, ...body },
        };
        this.view.take([operation]);
        this.refresh();
        this.around.put(this.canvas, operation);
    }

    add(object: CanvasObject, id = newId()): void {
        this.make('add', { object }, id);
    }

    /** Puts copies on the page, a little aside, and chooses them. */
    addCopies(placings: Placing[], by: [number, number]): void {
        if (placings.length === 0) {
            return;
        }
        const id = newId();
        const objects = regrouped(placings, (i) => `${id}.${i}`).map((one) => ({
            ...one,
            place: placeAfter(one.place, { by }),
        }));
        this.make('add', { objects }, id);
        this.choose('move');
        this.selection.choose(objects.map((_, i) => `${id}.${i}`));
    }

    /** A copy off a stack, moved so far. */
    takeCopy({ object, place }: Placed, by: [number, number]): void {
        const id = newId();
        this.make('add', { object: { ...object, stack: false } as CanvasObject, place: placeAfter(place, { by }) }, id);
        this.selection.choose([id]);
    }

    can(): { undo: boolean; redo: boolean } {
        const { undo, redo } = this.history();
        const older = this.view.log.hasOlder;
        return {
            undo: undo !== undefined || (older && this.older.undo),
            redo: redo !== undefined || (older && this.older.redo && undo === undefined),
        };
    }

    private history(): ReturnType<typeof history> {
        const { log } = this.view;
        return history(log.all(), this.layer, (id) => log.isOthers(id));
    }

    async step(kind: 'withdraw' | 'reinstate'): Promise<void> {
        this.typing.close();
        this.shape.cancel();
        const next = (): string | undefined => this.history()[kind === 'withdraw' ? 'undo' : 'redo'];
        if (next() === undefined && this.view.log.hasOlder) {
            await this.takeWhole();
        }
        const target = next();
        if (target !== undefined) {
            this.make(kind, { target });
        }
        this.refresh();
    }

    /** An object as it stands at this moment, to be seen here and by the teacher. */
    showWet(id: string, object: CanvasObject, place?: Place): void {
        this.view.putWet(id, object, this.view.page, place);
        // The last of a row that is drawn by hand comes as a finished one; what stands still must get through.
        const isStill = object.type === 'text' || object.type === 'note' || this.settings.tool === 'pen';
        if (performance.now() - this.lastWet > 33 || isStill) {
            this.lastWet = performance.now();
            this.wet?.object(this.canvas, id, object, this.view.page, place);
        }
    }

    dropWet(id: string): void {
        this.view.dropWet(id);
        this.wet?.drop(this.canvas, id);
    }

    refresh(): void {
        this.selection.freshen();
        this.around.changed();
    }

    /** A second tap on an object soon after the first opens what can be edited. */
    edit(id: string | null, ms: number): void {
        const [before, at] = this.lastTap;
        this.lastTap = [id, ms];
        if (id !== null && before === id && ms - at < 450) {
            this.open(id);
        }
    }

    /** Opens words or a formula to be changed. */
    open(id: string): void {
        const placed = this.view.log.scene.objects.get(id);
        const isFree = placed?.object.type === 'manipulative' && placed.object.free === true;
        if (placed === undefined || placed.locked === true || (placed.layer !== this.layer && !isFree)) {
            return;
        }
        if (placed.object.type === 'text' || placed.object.type === 'note') {
            this.selection.clear();
            this.typing.edit(id);
        } else if (placed.object.type === 'manipulative') {
            this.resetPiece(id);
        } else if (placed.object.type === 'maths') {
            void this.putting.rewriteMaths(id, placed.object.source);
        }
    }

    /** The chosen strokes, where they can be read and set in type. */
    get readable(): string[] {
        const { own } = this.selection;
        const isInk = [...this.selection.placed()].every(([, { object }]) => object.type === 'stroke');
        const isRead = this.around.readInk !== undefined && this.settings.typesets !== 'nothing';
        return isRead && isInk && own.length <= MOST_READ ? own : [];
    }

    /** The chosen strokes are read, and stand in type below them once whoever wrote them has seen it. The ink stays. */
    async setInType(): Promise<void> {
        const { readable, canvas, around } = this;
        const box = this.selection.box();
        if (readable.length === 0 || box === null || around.readInk === undefined) {
            return;
        }
        const read = await around.readInk(canvas, readable).catch(() => null);
        if (read === null || read.text === '') {
            this.say(read === null ? this.words.unreachable : this.words.ink_unread);
        } else if (canvas === this.canvas) {
            const [x, y] = [Math.round(box.left * TENTHS), Math.round((box.bottom + 12) * TENTHS)];
            if (this.settings.typesets === 'text') {
                this.putting.putWords(x, y, read.text);
            } else {
                await this.putting.putMaths(x, y, read.latex ?? read.text);
            }
        }
    }

    /** A manipulative's settings are to be changed; the tray has the form. */
    resetPiece: (id: string) => void = () => undefined;

    /** Words in lines as wide as their box; where the box has no width of its own, as wide as the page has room. */
    rewrapped(object: CanvasObject): CanvasObject {
        if (object.type === 'note') {
            return { ...grown(object), h: Math.max(object.h, grown({ ...object, h: 0 }).h) };
        }
        if (object.type !== 'text') {
            return object;
        }
        if (object.fixed) {
            return { ...object, text: wrap({ ...object, text: typed(object.text) }, object.w / TENTHS) };
        }
        const backwards = readsBackwards(object.text);
        const room = backwards ? (object.x + object.w) / TENTHS : this.view.paperSize[0] - object.x / TENTHS;
        const text = wrap({ ...object, text: typed(object.text) }, Math.max(object.size * 3, room));
        const w = Math.ceil(widthOf({ ...object, text }) * TENTHS);
        return { ...object, text, w, x: backwards ? object.x + object.w - w : object.x };
    }

    addPage(): void {
        const id = newId();
        this.make('page', {}, id);
        this.turnTo(id);
    }

    turnTo(page: string): void {
        this.typing.close();
        this.finishShape();
        this.selection.clear();
        this.view.showPage(page);
        this.refresh();
        this.around.turned?.();
    }

    /** The pages' ids, in order. */
    get pages(): string[] {
        return [...this.view.log.scene.pages.keys()];
    }

    empty(what: 'ink' | 'all'): void {
        this.typing.close();
        const mine = [...this.view.mine(this.layer, false)].map(([id]) => id);
        if (mine.length > 0 && this.view.log.isShared) {
            // What others drew here is theirs.
            this.make('remove', { targets: mine });
        } else if (mine.length > 0) {
            this.make('clear', { what });
        }
    }

    /** What is chosen becomes pieces on every canvas of a prompt. Resolves to how many canvases got them. */
    async handOutPieces(address: string, use: PieceUse, to: { page: number; seats: string[] | null }): Promise<number> {
        const objects = asPieces(regrouped(this.selection.placings()), use);
        const body = { what: 'pieces', mode: 'pieces', objects, ...to };
        return (await post<{ canvases: number }>(address, body)).canvases;
    }

    /** Asked for once, however often it is wanted meanwhile. */
    private takeWhole(): Promise<void> {
        this.asking ??= this.askWhole().finally(() => {
            this.asking = null;
        });
        return this.asking;
    }

    private async askWhole(): Promise<void> {
        const { canvas } = this;
        try {
            const operations = await this.around.whole(canvas);
            if (canvas === this.canvas) {
                const { page } = this.view;
                // What was made while the answer was on its way is not in it.
                const here = [...this.view.log.all()];
                this.view.reset();
                this.view.take(operations);
                this.view.take(here);
                this.view.showPage(page);
            }
        } catch {
            this.around.say(this.words.unreachable);
        }
    }
}
