import type { Room } from '../protocol/room';
import type { Operation, WetInk } from '../canvas/model/objects';
import type { KeptScene } from '../canvas/model/scene';
import { View } from '../canvas/drawing/view';
import type { Workbench } from '../canvas/workbench';
import { showWet } from '../grid/tile';
import { get } from '../live/http';
import { element } from '../page';

/** Where there was no answer it is asked once more after so long. */
const AGAIN_MS = 2000;

interface LeadAnswer {
    look: { canvas: string; page: string; n: number; scene: KeptScene } | null;
    ink: { canvas: string; prompt: string; n: number; scene: KeptScene } | null;
}

interface Settings {
    address: string;
    assets: string;
    stamps: Record<string, string>;
}

/** The teacher's own canvas on a student's page: a page of it beside the student's, and its ink under the student's. */
export class LeadSide {
    private readonly side = element('#lead-side');
    private readonly button = element<HTMLButtonElement>('#lead-look');
    private readonly look: View;
    private readonly ink: View;
    private readonly sheet = document.createElement('div');
    private told: Room['lead'] = { shown: null, ink: null, from: 0 };
    private asked = 0;
    private lookCanvas = '';
    private inkCanvas = '';
    private inkPages: string[] = [];
    /** What came while the canvases were being asked for; null at other times. */
    private early: { operations: Operation[]; wet: WetInk[] } | null = null;

    constructor(
        private readonly bench: Workbench,
        private readonly settings: Settings,
    ) {
        this.look = new View(element('#lead-page'), settings.assets, settings.stamps);
        this.sheet.className = 'page page-under';
        this.sheet.hidden = true;
        this.ink = new View(this.sheet, settings.assets, settings.stamps);
        bench.view.insert(this.sheet, 'under');
        const before = bench.view.moved;
        bench.view.moved = () => {
            before();
            this.followCamera();
        };
        new ResizeObserver(() => this.look.fit()).observe(element('#lead-page'));
        this.button.addEventListener('click', () => this.open(this.side.hidden));
        element('#lead-away').addEventListener('click', () => {
            this.open(false);
            this.button.focus();
        });
    }

    /** What the room says of the lead canvas. */
    set(lead: Room['lead'], isLight: boolean): void {
        const now = isLight ? { ...lead, ink: null } : lead;
        this.button.hidden = now.shown === null;
        if (now.shown === null) {
            this.open(false);
        }
        const changed = JSON.stringify(now) !== JSON.stringify(this.told);
        this.told = now;
        if (changed) {
            void this.load();
        }
    }

    open(isOpen: boolean): void {
        this.side.hidden = !isOpen;
        this.button.setAttribute('aria-expanded', String(isOpen));
        document.body.classList.toggle('shows-lead-side', isOpen);
        this.look.fit();
    }

    take(operations: Operation[]): void {
        this.early?.operations.push(...operations);
        const looked = operations.filter(({ canvas }) => canvas === this.lookCanvas);
        const inked = operations.filter(({ canvas }) => canvas === this.inkCanvas);
        if (looked.length > 0) {
            this.look.take(looked);
        }
        if (inked.length > 0) {
            this.ink.take(inked);
        }
        if (
            this.early === null &&
            (this.look.log.isShort || this.ink.log.isShort || inked.some(({ kind }) => kind === 'page'))
        ) {
            void this.load();
        }
    }

    wet(message: WetInk): void {
        this.early?.wet.push(message);
        for (const [canvas, view] of [
            [this.lookCanvas, this.look],
            [this.inkCanvas, this.ink],
        ] as const) {
            if (message.c === canvas && canvas !== '') {
                try {
                    showWet(view, message);
                } catch {
                    // What cannot be read is let go; the finished stroke still comes.
                }
            }
        }
    }

    /** The page of the student's that is shown has the ink of the teacher's page with the same number. */
    turned(): void {
        const page = this.inkPages[this.bench.pages.indexOf(this.bench.view.page)];
        this.sheet.hidden = page === undefined;
        if (page !== undefined && page !== this.ink.page) {
            this.ink.showPage(page);
        }
        this.followCamera();
    }

    /** The sheet costs nothing while there is no ink on it. */
    private followCamera(): void {
        if (!this.sheet.hidden) {
            this.ink.fit();
            this.ink.follow(this.bench.view.camera, this.bench.view.paperSize);
        }
    }

    /** Asks once more after a socket was away: what was drawn meanwhile was not kept for this page. */
    async load(): Promise<void> {
        const mine = ++this.asked;
        const wanted = this.told.shown !== null || this.told.ink !== null;
        const early = { operations: [], wet: [] } as NonNullable<typeof this.early>;
        this.early = early;
        const answer = wanted
            ? await get<LeadAnswer>(`${this.settings.address}/lead`).catch(() => null)
            : { look: null, ink: null };
        if (mine !== this.asked) {
            return;
        }
        this.early = null;
        if (answer === null) {
            window.setTimeout(() => mine === this.asked && void this.load(), AGAIN_MS);
            return;
        }
        const { look, ink } = answer;
        this.lookCanvas = look?.canvas ?? '';
        this.look.reset();
        if (look !== null) {
            this.look.begin(look.scene, look.n);
            this.look.showPage(look.page);
        }
        this.inkCanvas = ink?.canvas ?? '';
        this.inkPages = ink?.scene.pages.map(({ id }) => id) ?? [];
        this.ink.reset();
        if (ink !== null) {
            this.ink.begin(ink.scene, ink.n);
        }
        this.ink.page = '\0';
        this.turned();
        this.take(early.operations);
        early.wet.forEach((message) => this.wet(message));
    }
}
