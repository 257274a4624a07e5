import { mountBench } from '../bench/mount';
import type { Tray } from '../bench/tray';
import type { Operation } from '../canvas/model';
import type { Workbench } from '../canvas/workbench';
import { get } from '../live/http';
import { Outbox } from '../live/outbox';
import { element, fill } from '../page';

interface Settings {
    session: string;
    address: string;
    assets: string;
    stamps: Record<string, string>;
    words: Record<string, string>;
    say(sentence: string): void;
}

interface LeadAnswer {
    canvas: string;
    tray: { tools: string[] };
    clock: number;
    n: number;
    older: { undo: boolean; redo: boolean };
    scene: never;
    operations: Operation[];
}

/** The teacher's own canvas, in the grid's place: opened with the prompt that the teacher is looking at. */
export class Lead {
    private readonly root = element('#lead');
    private readonly dialog = element<HTMLDialogElement>('#pieces');
    private bench: Workbench | null = null;
    private tray: Tray | null = null;
    private outbox: Outbox | null = null;
    private prompt = '';

    constructor(private readonly settings: Settings) {
        element('[data-cancel]', this.dialog).addEventListener('click', () => this.dialog.close());
        this.dialog.addEventListener('submit', (event) => {
            event.preventDefault();
            void this.handOut();
        });
    }

    get isOpen(): boolean {
        return !this.root.hidden;
    }

    async open(prompt: string): Promise<void> {
        this.root.hidden = false;
        element('#lead-button').setAttribute('aria-pressed', 'true');
        document.body.classList.add('shows-lead');
        if (this.bench === null) {
            await this.begin();
        }
        if (this.prompt !== prompt) {
            await this.load(prompt);
        }
        this.bench!.view.fit();
        this.bench!.surface.focus();
    }

    close(): void {
        this.bench?.typing.close();
        this.root.hidden = true;
        element('#lead-button').setAttribute('aria-pressed', 'false');
        document.body.classList.remove('shows-lead');
    }

    /** Operations that a desk was told; those of the lead canvas are taken. */
    take(operations: Operation[]): void {
        const here = operations.filter(({ canvas }) => canvas === this.bench?.canvas && canvas !== '');
        if (here.length > 0) {
            this.bench!.take(here);
        }
    }

    private async begin(): Promise<void> {
        const { address, session, say } = this.settings;
        this.outbox = await Outbox.open({
            seat: `lead-${session}`,
            address: `${address}/operations`,
            accepted: (where, accepted) => {
                if (where === this.bench?.canvas) {
                    this.bench.view.confirm(accepted);
                }
            },
            refused: (where, id, reason) => {
                if (where === this.bench?.canvas) {
                    this.bench.view.log.drop(id);
                    this.bench.view.drawAll();
                }
                say(reason);
            },
            changed: (waiting, reachable) => {
                const words = this.settings.words[reachable ? (waiting > 0 ? 'saving' : 'saved') : 'offline_lead'];
                element('#lead-saved').textContent = fill(words, { n: waiting });
            },
        });
        const { bench, tray } = mountBench({
            root: this.root,
            layer: 'lead',
            assets: this.settings.assets,
            stamps: this.settings.stamps,
            words: this.settings.words,
            bringIn: `${address}/bring-in`,
            wet: null,
            put: (canvas, operation) => void this.outbox!.put(canvas, operation),
            whole: async (canvas) => (await get<LeadAnswer>(`${address}/canvas/${canvas}/log`)).operations,
            say,
        }, () => this.askForPieces());
        this.bench = bench;
        this.tray = tray;
        void this.outbox.flush();
    }

    private async load(prompt: string): Promise<void> {
        const answer = await get<LeadAnswer>(`${this.settings.address}/prompt/${prompt}/lead`);
        this.prompt = prompt;
        this.bench!.begin(answer, this.outbox!.waitingFor(answer.canvas));
        this.tray!.allow(answer.tray.tools);
        this.root.querySelector<HTMLElement>('.page-frame')!.dataset.ready = answer.canvas;
    }

    private askForPieces(): void {
        if (!this.bench!.selection.isEmpty) {
            this.dialog.showModal();
            element<HTMLInputElement>('#pieces-alt').focus();
        }
    }

    private async handOut(): Promise<void> {
        const form = new FormData(element<HTMLFormElement>('form', this.dialog));
        const alt = String(form.get('alt')).trim();
        const how = String(form.get('how')) as 'move' | 'locked' | 'stack';
        this.dialog.close();
        try {
            const n = await this.bench!.handOutPieces(`${this.settings.address}/prompt/${this.prompt}/pieces`, alt, how);
            this.settings.say(fill(this.settings.words.pieces_out, { n }));
        } catch (problem) {
            this.settings.say((problem as Error).message);
        }
    }
}
