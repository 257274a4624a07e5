import { HttpProblem, post, sendFile } from '../live/http';
import type { WetSender } from '../live/wet';
import { listenToGestures, type Tool } from './gestures';
import { keepCopy, readCopy, regrouped } from './clipboard';
import { MathsWindow } from './maths';
import { HEIGHT, TENTHS, WIDTH, newId, type CanvasObject, type Kind, type Operation, type Placed, type Placing, type Stamp } from './model';
import { placeAfter } from './place';
import { Selection } from './selection';
import { snapped } from './snap';
import { history } from './scene';
import { EraserTool } from './tools/eraser';
import { InkTool } from './tools/ink';
import { SelectTool } from './tools/select';
import { firstSettings, type Settings, type ToolName } from './tools/settings';
import { ShapeTool } from './tools/shape';
import { TapTool } from './tools/tap';
import { Typing, grown } from './typing';
import { View } from './view';
import { wrap, typed } from './words';

export interface WorkbenchSettings {
    /** Holds the stage, the tray and the windows of the tools. */
    root: HTMLElement;
    layer: 'student' | 'lead';
    assets: string;
    stamps: Record<string, string>;
    words: Record<string, string>;
    /** Takes files in. */
    bringIn: string;
    wet: WetSender | null;
    /** Something finished, to be delivered. */
    put(canvas: string, operation: Operation): void;
    /** The whole log of the canvas, when something older than what is here is to be undone. */
    whole(canvas: string): Promise<Operation[]>;
    say(sentence: string): void;
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
    private readonly maths: MathsWindow;
    private readonly shape: ShapeTool;
    private readonly tools: Record<ToolName, Tool | null>;
    private lastTap: [string | null, number] = [null, 0];
    private lastWet = 0;

    constructor(private readonly around: WorkbenchSettings) {
        const { root, stamps } = around;
        this.surface = root.querySelector<HTMLElement>('.page-frame')!;
        this.settings = firstSettings(Object.keys(stamps)[0]);
        this.view = new View(root.querySelector<HTMLElement>('.page')!, around.assets, stamps);
        this.typing = new Typing(this.view, around.words.typing, {
            type: (id, object) => this.showWet(id, object),
            operation: (kind, id, body) => this.make(kind, body, id),
        });
        this.maths = new MathsWindow(root);
        this.selection = new Selection(this);
        this.shape = new ShapeTool(this);
        const ink = new InkTool(this);
        const tap = new TapTool(this);
        this.tools = {
            pen: ink, highlighter: ink, eraser: new EraserTool(this), move: new SelectTool(this), shapes: this.shape,
            text: tap, maths: tap, note: tap, stamps: tap, picture: null,
        };
        this.view.moved = () => {
            this.typing.fit();
            this.selection.place();
        };
        listenToGestures(this.surface, this.view, () => this.tools[this.settings.tool]);
        new ResizeObserver(() => this.view.fit()).observe(this.surface);
        this.view.fit();
        this.listenToClipboard();
    }

    get layer(): WorkbenchSettings['layer'] {
        return this.around.layer;
    }

    get wet(): WetSender | null {
        return this.around.wet;
    }

    get words(): Record<string, string> {
        return this.around.words;
    }

    say(sentence: string): void {
        this.around.say(sentence);
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

    finishShape(): void {
        if (this.shape.isUnfinished) {
            this.shape.finish();
        }
    }

    get hasUnfinishedShape(): boolean {
        return this.shape.isUnfinished;
    }

    /** Begins with a canvas as the server tells it. */
    begin(answer: { canvas: string; clock: number; n: number; older: { undo: boolean; redo: boolean }; scene: never; operations: Operation[] }, waiting: Operation[]): void {
        this.typing.close();
        this.selection.clear();
        this.shape.cancel();
        const { page } = this.view;
        const fresh = answer.canvas !== this.canvas;
        this.canvas = answer.canvas;
        this.clockAhead = answer.clock - Date.now();
        this.older = answer.older;
        this.view.reset();
        this.view.begin(answer.scene, answer.n);
        this.view.take(answer.operations);
        this.view.take(waiting);
        this.view.showPage(!fresh && this.view.log.scene.pages.has(page) ? page : '');
        this.refresh();
    }

    /** Operations of this canvas that the server has told. */
    take(operations: Operation[]): void {
        this.view.take(operations);
        if (this.view.log.isShort) {
            void this.takeWhole();
        }
        this.refresh();
    }

    /** Something finished: drawn here at once, kept here until the server has it. */
    make(kind: Kind, body: Operation['body'], id = newId()): void {
        const page = ['add', 'clear'].includes(kind) && this.view.page !== '' ? { page: this.view.page } : {};
        const operation: Operation = { id, kind, layer: this.layer, at: Date.now() + this.clockAhead, body: { ...body, ...page } };
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
        const objects = regrouped(placings).map((one) => ({ ...one, place: placeAfter(one.place, { by }) }));
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
        const { undo, redo } = history(this.view.log.all(), this.layer);
        const older = this.view.log.hasOlder;
        return { undo: undo !== undefined || (older && this.older.undo), redo: redo !== undefined || (older && this.older.redo && undo === undefined) };
    }

    async step(kind: 'withdraw' | 'reinstate'): Promise<void> {
        this.typing.close();
        this.shape.cancel();
        const next = (): string | undefined => history(this.view.log.all(), this.layer)[kind === 'withdraw' ? 'undo' : 'redo'];
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
    showWet(id: string, object: CanvasObject): void {
        this.view.putWet(id, object, this.view.page);
        if (performance.now() - this.lastWet > 33 || object.type === 'text' || object.type === 'note') {
            this.lastWet = performance.now();
            this.wet?.object(this.canvas, id, object, this.view.page);
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

    /** A tap with a tool that puts one thing there. */
    tap(x: number, y: number): void {
        const { tool, colour, size, align, note, stamp, snap } = this.settings;
        if (snap && tool !== 'text') {
            [x, y] = snapped(this.view.log.scene.pages.get(this.view.page) ?? { kind: 'blank' }, x, y);
        }
        [x, y] = [Math.max(0, Math.min(WIDTH, x)), Math.max(0, Math.min(HEIGHT, y))];
        const at = { x: Math.round(x * TENTHS), y: Math.round(y * TENTHS) };
        if (tool === 'text') {
            this.typing.begin(x, y, { colour, size, align });
        } else if (tool === 'note') {
            const id = newId();
            const [w, h] = [2600, 1800];
            this.add({ type: 'note', x: Math.min(at.x, WIDTH * TENTHS - w), y: Math.min(at.y, HEIGHT * TENTHS - h), w, h, size: 26, colour: note, text: '' }, id);
            this.typing.edit(id);
        } else if (tool === 'stamps') {
            this.add({ type: 'stamp', stamp, ...at, size: 90, colour } satisfies Stamp);
        } else if (tool === 'maths') {
            void this.writeMaths(at.x, at.y);
        }
    }

    /** The same without a pointer: in the middle of what is to be seen. */
    tapMiddle(): void {
        const box = this.surface.getBoundingClientRect();
        const [x, y] = this.view.toPage(box.left + box.width * 0.4, box.top + box.height * 0.4);
        if (this.settings.tool === 'shapes') {
            this.addShape(x, y);
        } else {
            this.tap(x, y);
        }
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
        if (placed === undefined || placed.layer !== this.layer || placed.locked === true) {
            return;
        }
        if (placed.object.type === 'text' || placed.object.type === 'note') {
            this.selection.clear();
            this.typing.edit(id);
        } else if (placed.object.type === 'maths') {
            void this.rewriteMaths(id, placed.object.source);
        }
    }

    /** Words in lines as wide as their box. */
    rewrapped(object: CanvasObject, fixed: boolean): CanvasObject {
        if (object.type === 'note') {
            return { ...grown(object), h: Math.max(object.h, grown({ ...object, h: 0 }).h) };
        }
        return object.type === 'text' && fixed ? { ...object, text: wrap(typed(object.text), object.size, object.w / TENTHS) } : object;
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
    }

    /** The pages' ids, in order. */
    get pages(): string[] {
        return [...this.view.log.scene.pages.keys()];
    }

    empty(what: 'ink' | 'all'): void {
        this.typing.close();
        if ([...this.view.mine(this.layer, false)].length > 0) {
            this.make('clear', { what });
        }
    }

    copy(event: ClipboardEvent | null = null): void {
        keepCopy(this.selection.placings(), event);
    }

    cut(event: ClipboardEvent | null = null): void {
        this.copy(event);
        this.selection.remove();
    }

    paste(clip: string | null = null): void {
        this.addCopies(readCopy(clip), [30, 30]);
    }

    /** A picture, a drawing or ink from outside. */
    async bringIn(file: Blob, x?: number, y?: number): Promise<void> {
        const { canvas } = this;
        this.around.say(this.words.bringing);
        try {
            const { objects } = await sendFile<{ objects: Placing[] }>(this.around.bringIn, file);
            this.around.say('');
            if (canvas !== this.canvas) {
                return;
            }
            const [only] = objects;
            if (objects.length === 1 && only.object.type === 'picture' && x !== undefined && y !== undefined) {
                only.object = { ...only.object, x: Math.round(x * TENTHS - only.object.w / 2), y: Math.round(y * TENTHS - only.object.h / 2) };
            }
            this.addCopies(objects, [0, 0]);
        } catch (problem) {
            this.around.say(problem instanceof HttpProblem && problem.status > 0 ? problem.message : this.words.unreachable);
        }
    }

    /** What is chosen becomes pieces on every canvas of a prompt. Resolves to how many canvases got them. */
    async handOutPieces(address: string, alt: string, how: 'move' | 'locked' | 'stack'): Promise<number> {
        const objects = this.selection.placings().map(({ object, place }, i, all) => ({
            object: {
                type: 'piece', alt: all.length > 1 ? `${alt} ${i + 1}` : alt, locked: how === 'locked', stack: how === 'stack',
                of: object.type === 'piece' ? object.of : object,
            },
            ...(place && { place }),
        }));
        return (await post<{ canvases: number }>(address, { objects })).canvases;
    }

    private addShape(x: number, y: number): void {
        const { shape, colour, width, filled } = this.settings;
        const [left, top] = [Math.round(x * TENTHS), Math.round(y * TENTHS)];
        const id = newId();
        if (shape === 'polygon' || shape === 'curve') {
            const points = [left, top, left + 2000, top, left + 2400, top + 1400, left + 1000, top + 2000];
            this.add({ type: shape, points, colour, width, filled }, id);
        } else {
            this.add({ type: shape, x: left, y: top, w: 3000, h: shape === 'line' || shape === 'arrow' ? 0 : 2000, colour, width, filled }, id);
        }
        this.choose('move');
        this.selection.choose([id]);
    }

    private async writeMaths(x: number, y: number): Promise<void> {
        const made = await this.maths.ask();
        if (made !== null) {
            const { colour, size } = this.settings;
            this.add({ type: 'maths', x, y, size: Math.max(40, size), colour, ...made });
        }
        this.surface.focus();
    }

    private async rewriteMaths(id: string, source: string): Promise<void> {
        const made = await this.maths.ask(source);
        if (made !== null && made.source !== source) {
            this.make('change', { target: id, set: { ...made } });
        }
        this.surface.focus();
    }

    private async takeWhole(): Promise<void> {
        const { canvas } = this;
        const waiting = [...this.view.log.all()].filter(({ n }) => n === undefined);
        try {
            const operations = await this.around.whole(canvas);
            if (canvas === this.canvas) {
                const { page } = this.view;
                this.view.reset();
                this.view.take(operations);
                this.view.take(waiting);
                this.view.showPage(page);
            }
        } catch {
            this.around.say(this.words.unreachable);
        }
    }

    private listenToClipboard(): void {
        const elsewhere = (event: Event): boolean =>
            this.surface.offsetParent === null || (event.target instanceof Element && event.target.closest('input, textarea, dialog') !== null);
        document.addEventListener('copy', (event) => {
            if (!elsewhere(event) && !this.selection.isEmpty) {
                event.preventDefault();
                this.copy(event);
            }
        });
        document.addEventListener('cut', (event) => {
            if (!elsewhere(event) && !this.selection.isEmpty) {
                event.preventDefault();
                this.cut(event);
            }
        });
        document.addEventListener('paste', (event) => {
            if (elsewhere(event)) {
                return;
            }
            event.preventDefault();
            const file = [...(event.clipboardData?.files ?? [])][0];
            const text = event.clipboardData?.getData('text/plain') ?? '';
            if (file !== undefined) {
                void this.bringIn(file);
            } else if (text !== '' && !text.startsWith('crag:')) {
                this.pasteText(text);
            } else {
                this.paste(text);
            }
        });
        this.surface.addEventListener('dragover', (event) => event.preventDefault());
        this.surface.addEventListener('drop', (event) => {
            event.preventDefault();
            const file = event.dataTransfer?.files[0];
            if (file !== undefined) {
                void this.bringIn(file, ...this.view.toPage(event.clientX, event.clientY));
            }
        });
    }

    private pasteText(text: string): void {
        const { colour, size, align } = this.settings;
        const words = wrap(text.slice(0, 1500).trim(), size, WIDTH * 0.7);
        if (words !== '') {
            this.add({ type: 'text', x: 2000, y: 2000, w: WIDTH * 7, size, colour, align, fixed: true, text: words });
        }
    }
}
