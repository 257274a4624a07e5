import { asPieces, pieceUse } from '../canvas/model/pieces';
import type { KeptScene } from '../canvas/model/scene';
import type { PlanWords } from '../protocol/words';
import { mountBench } from '../bench/mount';
import type { Tray } from '../bench/tray';
import type { Backdrop, Operation } from '../canvas/model/objects';
import type { Workbench } from '../canvas/workbench';
import { get, getWhile } from '../live/http';
import { Outbox } from '../live/outbox';
import { element } from '../page';
import { present } from '../present';

interface Settings {
    plan: string;
    address: string;
    assets: string;
    stamps: Record<string, string>;
    words: PlanWords;
    say(sentence: string): void;
    /** What waits to be delivered. */
    waiting(steps: number, reachable: boolean): void;
    changed(): void;
}

interface CanvasAnswer {
    canvas: string;
    clock: number;
    n: number;
    older: { undo: boolean; redo: boolean };
    scene: KeptScene | null;
    operations: Operation[];
    tray: { tools: string[] };
}

/** What is drawn for the open prompt, on its lead canvas. */
export class Drawing {
    readonly bench: Workbench;
    private readonly tray: Tray;
    private readonly dialog = element<HTMLDialogElement>('#pieces');
    private outbox: Outbox | null = null;
    private prompt = '';
    private loading = '';

    constructor(private readonly settings: Settings) {
        const { address, words, say } = settings;
        const { bench, tray } = mountBench(
            {
                root: element('#plan-bench'),
                layer: 'lead',
                assets: settings.assets,
                stamps: settings.stamps,
                words,
                address,
                varies: true,
                wet: null,
                put: (canvas, operation) => {
                    void present(this.outbox).put(canvas, operation);
                    settings.changed();
                },
                whole: async (canvas) => (await get<CanvasAnswer>(`${address}/canvas/${canvas}/log`)).operations,
                say,
            },
            () => this.askForPieces(),
        );
        this.bench = bench;
        this.tray = tray;
        element('[data-cancel]', this.dialog).addEventListener('click', () => this.dialog.close());
        this.dialog.addEventListener('submit', (event) => {
            event.preventDefault();
            this.makePieces();
        });
    }

    /** What was drawn a moment ago is stored, or cannot be now. */
    async deliver(): Promise<void> {
        this.bench.rest();
        await this.outbox?.flush();
    }

    get isBusy(): boolean {
        return (this.outbox?.count ?? 0) > 0;
    }

    async begin(): Promise<void> {
        const { settings, bench } = this;
        this.outbox = await Outbox.open({
            seat: `plan-${settings.plan}`,
            address: `${settings.address}/operations`,
            accepted: (where, accepted) => where === bench.canvas && bench.view.confirm(accepted),
            refused: (where, id, reason) => {
                if (where === bench.canvas) {
                    bench.view.log.drop(id);
                    bench.view.drawAll();
                }
                settings.say(reason);
            },
            changed: (steps, reachable) => settings.waiting(steps, reachable),
        });
        void this.outbox.flush();
    }

    /** Until the prompt's canvas is here nothing can be drawn: it would go onto the one before, or be lost. */
    async open(prompt: string): Promise<void> {
        const place = element('#plan-bench');
        this.loading = prompt;
        place.inert = true;
        delete this.bench.surface.dataset.ready;
        const answer = await getWhile<CanvasAnswer>(
            `${this.settings.address}/prompt/${prompt}/canvas`,
            () => this.loading === prompt,
            () => this.settings.say(this.settings.words.unreachable),
        );
        if (answer === null) {
            return;
        }
        this.prompt = prompt;
        this.bench.begin(answer, present(this.outbox).waitingFor(answer.canvas));
        this.tray.allow(answer.tray.tools);
        this.bench.view.fit();
        this.bench.surface.dataset.ready = answer.canvas;
        place.inert = false;
        this.settings.changed();
    }

    /** What others drew on it meanwhile. */
    async catchUp(prompt: string): Promise<void> {
        const { bench } = this;
        if (prompt === this.prompt) {
            const answer = await get<CanvasAnswer>(
                `${this.settings.address}/canvas/${bench.canvas}/log?after=${bench.view.log.known}`,
            );
            if (answer.canvas === bench.canvas) {
                bench.take(answer.operations);
            }
            this.settings.changed();
        }
    }

    get page(): number {
        return Math.max(0, this.bench.pages.indexOf(this.bench.view.page));
    }

    get backdrop(): Backdrop {
        return this.bench.view.log.scene.pages.get(this.bench.view.page) ?? { kind: 'blank' };
    }

    putUnder(backdrop: Backdrop): void {
        const { page } = this.bench.view;
        this.bench.make('backdrop', { backdrop, ...(page !== '' && { page }) });
    }

    private askForPieces(): void {
        if (!this.bench.selection.isEmpty) {
            this.dialog.showModal();
            element<HTMLInputElement>('#pieces-alt').focus();
        }
    }

    /** What is chosen makes room for pieces of the same look at the same places. */
    private makePieces(): void {
        const use = pieceUse(element<HTMLFormElement>('form', this.dialog));
        this.dialog.close();
        const { bench } = this;
        const targets = [...bench.selection.ids];
        const objects = asPieces(bench.selection.placings(), use);
        bench.selection.clear();
        bench.make('remove', { targets });
        bench.make('add', { objects });
        this.settings.changed();
    }
}
