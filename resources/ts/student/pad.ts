import { mountBench } from '../bench/mount';
import type { Tray } from '../bench/tray';
import type { Operation } from '../canvas/model/objects';
import type { Workbench } from '../canvas/workbench';
import { get, post, reasonOf } from '../live/http';
import type { Outbox } from '../live/outbox';
import { WetSender } from '../live/wet';
import { element } from '../page';
import type { QuickAsk } from '../protocol/asks';
import type { CanvasAnswer } from '../protocol/student';
import type { StudentWords } from '../protocol/words';

interface Around {
    address: string;
    assets: string;
    stamps: Record<string, string>;
    words: StudentWords;
    /** By which desks know whose ink it is. */
    ink: string;
    outbox: Outbox;
    /** The canvas under it, which rests meanwhile. */
    main: Workbench;
    /** It has come before the student. */
    opened(): void;
    send(text: string): boolean;
    say(sentence: string): void;
}

/** A quick ask that is answered by drawing: a small canvas over the own one, which stays as it is. */
export class AskPad {
    private readonly root = element('#ask-pad');
    private readonly sending = element<HTMLButtonElement>('#ask-pad-send');
    private readonly again = element<HTMLButtonElement>('#ask-pad-again');
    private bench: Workbench | null = null;
    private tray: Tray | null = null;
    private ask: QuickAsk | null = null;
    /** The ask whose canvas is on its way, and the one whose canvas is here. */
    private loading = '';
    private loaded = '';
    private isOpen = false;
    private isSeen = false;

    constructor(private readonly around: Around) {
        this.sending.addEventListener('click', () => void this.tell('send'));
        this.again.addEventListener('click', () => void this.tell('take-back'));
    }

    /** The canvas that is drawn on; empty while there is none. */
    get canvas(): string {
        return this.bench?.canvas ?? '';
    }

    /** @param  isSeen  whether the sheet is unfolded */
    take(ask: QuickAsk | null, isOpen: boolean, isSeen: boolean): void {
        this.ask = ask;
        this.isOpen = isOpen;
        this.isSeen = isSeen;
        if (ask !== null && ask.pad !== null && this.loading !== ask.id) {
            this.loading = ask.id;
            this.loaded = '';
            this.bench?.rest();
            this.around.opened();
            void this.load(ask.id);
        }
        this.show();
    }

    private show(): void {
        const { main, words } = this.around;
        const pad = this.ask?.pad ?? null;
        const isHere = pad !== null && this.isSeen;
        this.root.hidden = pad === null;
        main.isLooking = isHere;
        this.sending.hidden = !isHere || pad.isSent || !this.isOpen;
        this.again.hidden = !isHere || !pad.isSent || !this.isOpen;
        if (this.bench === null) {
            return;
        }
        if (pad === null) {
            this.bench.rest();
        }
        // Until the canvas is there, nothing goes onto the one before.
        this.bench.isLooking = !isHere || this.loaded !== this.ask?.id;
        this.bench.lockBy(!this.isOpen ? words.ask_closed : pad?.isSent === true ? words.pad_sent : '');
    }

    /** What others have put on it, and what of the own is stored. */
    hear(operations: Operation[]): void {
        const here = operations.filter(({ canvas }) => canvas === this.canvas);
        if (this.bench !== null && here.length > 0) {
            this.bench.take(here);
        }
    }

    confirm(canvas: string, accepted: { id: string; n: number }[]): void {
        if (canvas !== '' && canvas === this.canvas) {
            this.bench?.view.confirm(accepted);
        }
    }

    refuse(canvas: string, id: string): void {
        if (this.bench !== null && canvas !== '' && canvas === this.canvas) {
            this.bench.view.log.drop(id);
            this.bench.view.drawAll();
            this.bench.refresh();
        }
    }

    private async load(ask: string): Promise<void> {
        const { address, outbox } = this.around;
        const answer = await get<CanvasAnswer & { bench: string | null }>(
            `${address}/pad${this.bench === null ? '?bench=1' : ''}`,
        ).catch(() => null);
        if (answer === null) {
            // Asked for again with the next word about it.
            this.loading = '';
            return;
        }
        if (this.ask?.id !== ask) {
            return;
        }
        if (this.bench === null) {
            this.root.innerHTML = answer.bench ?? '';
        }
        const bench = (this.bench ??= this.mount());
        bench.begin(answer, outbox.waitingFor(answer.canvas));
        this.tray?.allow(answer.tray.tools);
        this.loaded = ask;
        element('.page-frame', this.root).dataset.ready = answer.canvas;
        this.show();
    }

    private mount(): Workbench {
        const { address, assets, stamps, words, ink, outbox, main, send, say } = this.around;
        const { bench, tray } = mountBench({
            root: this.root,
            layer: 'student',
            assets,
            stamps,
            words,
            address,
            wet: new WetSender(ink, send),
            put: (canvas, operation) => void outbox.put(canvas, operation),
            whole: async (canvas) =>
                (await get<{ operations: Operation[] }>(`${address}/canvas/${canvas}/log`)).operations,
            say,
        });
        bench.clockAhead = main.clockAhead;
        this.tray = tray;
        return bench;
    }

    private async tell(what: 'send' | 'take-back'): Promise<void> {
        const { address, outbox, words, say } = this.around;
        this.bench?.rest();
        await outbox.flush();
        try {
            await post(`${address}/${what}`, { canvas: this.canvas });
        } catch (problem) {
            say(reasonOf(problem, words));
        }
    }
}
