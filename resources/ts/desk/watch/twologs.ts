import type { Log } from '../../canvas/model/log';
import type { Operation } from '../../canvas/model/objects';
import type { KeptScene } from '../../canvas/model/scene';
import { paperOf, WIDE } from '../../canvas/model/paper';
import { View } from '../../canvas/drawing/view';
import type { Workbench } from '../../canvas/workbench';

/** Which of the two the bench draws on. */
export type Top = 'canvas' | 'notes';

/**
 * A student's canvas and the private notes over it: two logs on one page. The bench draws on the one that is on top;
 * the other lies over or under it on a sheet, and sees what the bench sees.
 */
export class TwoLogs {
    private readonly sheet = document.createElement('div');
    private readonly other: View;
    private top: Top = 'canvas';
    /** Their ids; nothing where there is none. */
    canvas = '';
    notes = '';

    constructor(
        private readonly bench: Workbench,
        assets: string,
        stamps: Record<string, string>,
    ) {
        this.sheet.className = 'page page-over';
        this.other = new View(this.sheet, assets, stamps);
        bench.view.insert(this.sheet, 'over');
        const before = bench.view.moved;
        bench.view.moved = () => {
            before();
            this.followCamera();
        };
    }

    get canvasView(): View {
        return this.top === 'canvas' ? this.bench.view : this.other;
    }

    get notesView(): View {
        return this.top === 'notes' ? this.bench.view : this.other;
    }

    get hasNotes(): boolean {
        return this.notes !== '' && this.notesView.log.scene.objects.size > 0;
    }

    /** Another canvas, with what is known of it; the notes are not here yet. */
    begin(canvas: string, log: Log, page: string): void {
        this.bringUp('canvas');
        this.canvas = canvas;
        this.notes = '';
        this.bench.beginWith(canvas, log, page, 'coach');
        this.other.reset();
        this.show();
    }

    beginNotes(notes: string, scene: KeptScene | null, n: number, operations: Operation[]): void {
        this.notes = notes;
        this.notesView.reset();
        this.notesView.begin(scene, n);
        this.notesView.take(operations);
        this.turned();
        this.show();
    }

    /** Puts one of them under the pen. */
    bringUp(top: Top): void {
        const { bench, other } = this;
        bench.rest();
        if (top === this.top) {
            return;
        }
        const { page, camera, paperSize } = bench.view;
        const [down, up] = [bench.view.log, other.log];
        this.top = top;
        const isNotes = top === 'notes';
        bench.view.insert(this.sheet, isNotes ? 'under' : 'over');
        this.sheet.className = isNotes ? 'page page-below' : 'page page-over';
        // Notes lie on the canvas's paper; the canvas has its own.
        bench.view.paperBelow = isNotes ? paperSize : WIDE;
        bench.beginWith(isNotes ? this.notes : this.canvas, up, page, isNotes ? 'private' : 'coach');
        other.reset();
        other.log = down;
        other.page = page;
        other.follow(camera, paperSize);
        this.mirrorPages();
        this.show();
    }

    /** Takes what concerns one of them; answers what concerns the canvas. */
    take(operations: Operation[]): Operation[] {
        const ofCanvas = operations.filter(({ canvas }) => canvas === this.canvas);
        const ofNotes = this.notes === '' ? [] : operations.filter(({ canvas }) => canvas === this.notes);
        if (ofCanvas.length > 0) {
            this.put('canvas', ofCanvas);
        }
        if (ofNotes.length > 0) {
            this.put('notes', ofNotes);
        }
        return ofCanvas;
    }

    /** Takes what is known to concern one of them, whichever is on top. */
    put(which: Top, operations: Operation[]): void {
        if (which === this.top) {
            this.bench.take(operations);
        } else {
            this.other.take(operations);
            this.layOver();
        }
    }

    viewOf(canvas: string): View | null {
        if (canvas === '') {
            return null;
        }
        return canvas === this.canvas ? this.canvasView : canvas === this.notes ? this.notesView : null;
    }

    /** Another page, or another of them, is looked at. */
    turned(): void {
        this.mirrorPages();
        this.other.page = this.bench.view.page;
        this.layOver();
        this.followCamera();
    }

    /** With the notes on top, the page is as large as the canvas's below them. */
    private layOver(): void {
        const { view } = this.bench;
        if (this.top === 'notes') {
            view.lieOver(paperOf(this.other.log.scene.pages.get(view.page)));
        }
    }

    showLayers(coach: boolean, notes: boolean): void {
        this.canvasView.showLayer('coach', coach);
        this.canvasView.showLayer('private', true);
        this.notesView.showLayer('private', notes);
        this.notesView.showLayer('coach', true);
    }

    /** Fits both to the frame. */
    fit(): void {
        this.bench.view.fit();
        this.followCamera();
    }

    private show(): void {
        this.sheet.hidden = this.notes === '';
    }

    private followCamera(): void {
        if (!this.sheet.hidden) {
            this.other.fit();
            this.other.follow(this.bench.view.camera, this.bench.view.paperSize);
        }
    }

    /** The notes have the pages of the canvas. */
    private mirrorPages(): void {
        if (this.top === 'notes') {
            for (const page of this.other.log.scene.pages.keys()) {
                if (!this.bench.pages.includes(page)) {
                    this.bench.make('page', {}, page);
                }
            }
        }
    }
}
