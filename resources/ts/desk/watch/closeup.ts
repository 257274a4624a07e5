import type { Asked } from '../../protocol/questions';
import { mountBench } from '../../bench/mount';
import { placeBench } from '../../bench/place';
import type { Tray } from '../../bench/tray';
import { Log } from '../../canvas/model/log';
import type { Operation, WetInk } from '../../canvas/model/objects';
import type { KeptScene } from '../../canvas/model/scene';
import type { Workbench } from '../../canvas/workbench';
import { Player } from '../../grid/player';
import { showWet, type Tile } from '../../grid/tile';
import { get, post } from '../../live/http';
import { Outbox } from '../../live/outbox';
import { InkLine } from '../../live/inkline';
import { PointerSender } from '../../live/pointer';
import { WetSender } from '../../live/wet';
import { element, fill } from '../../page';
import { isOnPaper } from '../../questions/boxes';
import { Questions } from '../../questions/panel';
import type { Desk } from '../shell/desk';
import { CloseUpSide } from './closeupside';
import { TwoLogs } from './twologs';
import { present } from '../../present';

interface CloseAnswer {
    canvas: string;
    tray: { tools: string[] };
    clock: number;
    n: number;
    /** The student's own channel. */
    channel: string;
    /** Up to which operation a teacher had looked at it before. */
    looked: number;
    /** The prompt's, as this student has them. */
    questions: Asked[];
    /** The canvas of the private notes, where there are any. */
    notes: string | null;
    scene: KeptScene | null;
    operations: Operation[];
}

export type Mode = 'look' | 'coach' | 'private';

/**
 * One canvas as large as the page allows, as live as its tile. It is looked at, coached, or has private notes written
 * over it: the bench draws on one of the two logs, and the other lies over or under it on a sheet.
 */
export class CloseUp {
    private readonly root = element('#closeup');
    readonly side: CloseUpSide;
    /** What is drawn and pointed at goes to the student's page as it happens. */
    private readonly line: InkLine;
    private coached: string | null = null;
    private uses = 0;
    private readonly wetInk: WetSender;
    private readonly pointer: PointerSender;
    private readonly player: Player;
    private bench!: Workbench;
    private tray!: Tray;
    private logs!: TwoLogs;
    private questions!: Questions;
    private outbox!: Outbox;
    private tile: Tile | null = null;
    private mode: Mode = 'look';
    private told: CloseAnswer | null = null;
    private begun: Promise<void> | null = null;
    /** What the pen was wanted to do before the canvas was there, and before the page was. */
    private wanted: Mode | null = null;
    private early: Mode | null = null;
    private opening: Tile | null = null;
    private dipped: 'coach' | 'private' = 'coach';
    private readonly colours: Record<'coach' | 'private', string>;

    constructor(
        private readonly settings: Desk,
        /** Why a student is worth a look; empty for nothing. */
        private readonly reasons: (seat: string) => string,
    ) {
        const { bus } = settings;
        bus.on('work', (operations) => this.take(operations));
        bus.on('wet', ({ seat, ink }) => this.wet(seat, ink));
        bus.on('check', ({ canvas }) => this.checked(canvas));
        bus.on('states', () => this.freshen());
        bus.on('talk', ({ canvas }) => canvas === this.canvas && this.side.showTalks());
        for (const what of ['tiles', 'renamed'] as const) {
            bus.on(what, () => this.tile !== null && this.name(this.tile));
        }
        bus.on('done', (what) => what === 'phrases' && this.side.showAnswers());
        this.colours = { ...settings.colours };
        this.line = new InkLine({ path: () => this.coached && `/live/coach/${settings.session}/${this.coached}` });
        const send = (text: string): boolean => this.mode === 'coach' && this.line.send(text);
        this.wetInk = new WetSender('coach', send);
        this.pointer = new PointerSender('coach', send);
        this.player = new Player(
            element('#player'),
            settings,
            (isOpen) => this.root.classList.toggle('is-replayed', isOpen),
            (operation) => void this.giveBack(operation),
        );
        this.side = new CloseUpSide(this.root, (what) => (this.canvas === '' ? null : this.addressOf(what)));
        this.root.addEventListener('click', (event) => {
            const mode = (event.target as Element).closest<HTMLElement>('[data-mode]:not(#closeup)')?.dataset.mode as
                Mode | undefined;
            if (mode !== undefined) {
                void this.use(mode);
            }
        });
        this.root.addEventListener(
            'change',
            (event) => (event.target as Element).closest('[data-layer]') !== null && this.showLayers(),
        );
    }

    /** It is looked at, and all of the page is in sight: a finger has nothing else to do there. */
    get canTurn(): boolean {
        return this.mode === 'look' && this.begun !== null && this.bench.view.isWhole;
    }

    get shown(): Tile | null {
        return this.tile;
    }

    get isOpen(): boolean {
        return !this.root.hidden;
    }

    get isReplaying(): boolean {
        return this.player.isOpen;
    }

    get isDrawing(): boolean {
        return this.isOpen && this.mode !== 'look';
    }

    /** The private notes are to be taken along. */
    get withNotes(): boolean {
        return element<HTMLInputElement>('#closeup-with-notes input').checked;
    }

    /** What suggested feedback is about: its page, with a mark there for a moment. */
    showPlace(page: number, x: number, y: number): void {
        const { bench } = this;
        const id = bench.pages[page];
        if (id === undefined) {
            return;
        }
        if (id !== bench.view.page) {
            bench.turnTo(id);
        }
        bench.view.seeAll();
        bench.view.pointAt({ x, y, page: id, name: '' }, 'feedback');
    }

    /** The page of a tile's canvas that the teacher is looking at. */
    pageOf(tile: Tile): string {
        return tile === this.tile ? this.bench.view.page : tile.view.page;
    }

    async show(tile: Tile, focus: boolean): Promise<void> {
        this.leave();
        this.tile = tile;
        this.opening = tile;
        this.early = null;
        this.root.hidden = false;
        document.body.classList.add('shows-closeup');
        await (this.begun ??= this.begin());
        if (this.tile !== tile) {
            return;
        }
        this.opening = null;
        this.mode = 'look';
        this.told = null;
        this.wanted = this.early;
        this.early = null;
        this.questions.show([]);
        this.logs.begin(present(tile.seat.canvas), tile.view.log.copy(), tile.view.page);
        tile.view.wetInk.forEach((stroke, id) =>
            this.bench.view.growWet(id, stroke.type, stroke.colour, stroke.width, [...stroke.samples], stroke.page),
        );
        this.place();
        this.name(tile);
        this.side.begin();
        if (focus) {
            element('#closeup-name').focus({ preventScroll: true });
        }
        await this.ask(tile);
    }

    /** The same canvas, of which the grid has another tile. What was missed meanwhile is asked for. */
    async goOn(tile: Tile): Promise<void> {
        if (this.opening !== null) {
            await this.show(tile, false);
            return;
        }
        this.tile = tile;
        this.name(tile);
        await this.ask(tile);
    }

    hide(): void {
        this.leave();
        this.tile = null;
        this.root.hidden = true;
        document.body.classList.remove('shows-closeup');
    }

    /** What the pen does. Coach ink and private notes are drawn on logs of their own. */
    async use(mode: Mode): Promise<void> {
        const { tile } = this;
        if (this.bench === undefined || (tile !== null && this.opening === tile)) {
            // The page is only just opening.
            this.early = mode === 'look' ? null : mode;
            return;
        }
        this.wanted = null;
        // The last press counts: what waits for notes to come gives way to what was pressed since.
        const mine = ++this.uses;
        if (tile === null || mode === this.mode || !this.isOpen) {
            return;
        }
        this.player.close();
        if (mode === 'private' && this.logs.notes === '') {
            await this.takeNotes();
        }
        if (mine !== this.uses) {
            return;
        }
        if (mode === 'coach' && this.told === null && tile === this.tile) {
            this.wanted = mode;
            return;
        }
        if (tile !== this.tile || (mode === 'private' && this.logs.notes === '')) {
            return;
        }
        this.mode = mode;
        this.logs.bringUp(mode === 'private' ? 'notes' : 'canvas');
        this.dip(mode);
        if (mode === 'coach') {
            this.coach(present(this.told).channel);
        } else {
            this.pointer.leave(this.canvas);
        }
        this.place();
        this.bench.surface.focus({ preventScroll: true });
    }

    private coach(channel: string | null): void {
        this.coached = channel;
        this.line.follow();
    }

    /** What was said about this canvas, with the drawing. */
    playTalk(talk: string): void {
        if (this.tile !== null) {
            void this.play(() => this.player.openSpoken(this.addressOf(`talk/${talk}`)));
        }
    }

    /** What is played lies over the page: the pen is put down first. */
    private async play(open: () => Promise<void>): Promise<void> {
        await this.use('look');
        await open().catch(() => this.settings.say(this.settings.words.unreachable));
    }

    replay(): void {
        if (this.tile !== null) {
            void this.play(() => this.player.open(this.addressOf('replay')));
        }
    }

    /** As it was when a teacher last looked. */
    lastLook(): void {
        const looked = this.told?.looked ?? 0;
        if (this.player.isOpen) {
            this.player.close();
        } else if (looked === 0) {
            this.settings.say(this.settings.words.never_looked);
        } else {
            void this.play(() => this.player.open(this.addressOf('replay'), looked));
            this.settings.say(this.settings.words.as_looked);
        }
    }

    get lookedAt(): number {
        return this.told?.looked ?? 0;
    }

    stopReplay(): void {
        this.player.close();
    }

    /** The state, the check and why it is worth a look, as the tile has them. */
    freshen(): void {
        const { tile } = this;
        if (tile === null) {
            return;
        }
        const members = element('#closeup-members');
        members.hidden = !tile.isGroup;
        members.replaceChildren(...element('.tile-members', tile.root).cloneNode(true).childNodes);
        element('#closeup-state').textContent = [
            element('.tile-state-words', tile.root).textContent,
            ...tile.counted,
        ].join(' · ');
        const reasons = this.reasons(tile.seat.id);
        const signals = element('#closeup-signals');
        signals.hidden = reasons === '';
        signals.textContent = reasons;
        for (const button of this.root.querySelectorAll<HTMLButtonElement>('.closeup-checks [data-level]')) {
            button.setAttribute('aria-pressed', String(button.dataset.level === String(tile.level ?? '')));
        }
    }

    /** A check was made: its history has one more. */
    private checked(canvas: string): void {
        if (canvas === this.tile?.seat.canvas) {
            this.side.showAnswers();
        }
        this.freshen();
    }

    private take(operations: Operation[]): void {
        if (this.tile === null || this.begun === null || this.bench === undefined) {
            return;
        }
        const ofCanvas = this.logs.take(operations);
        if (ofCanvas.some(({ kind }) => kind === 'answer' || kind === 'fresh')) {
            this.side.showAnswers();
            this.questions.freshen(this.logs.canvasView.log.scene.answers);
        } else if (ofCanvas.length > 0 && this.told?.questions.some(isOnPaper) === true) {
            // What is marked or drawn in a box is its answer.
            this.side.showAnswersSoon();
        }
        if (ofCanvas.some(({ kind }) => ['page', 'fresh', 'withdraw', 'reinstate', 'give_back'].includes(kind))) {
            this.logs.turned();
        }
    }

    private wet(seat: string, message: WetInk): void {
        if (this.tile?.seat.id !== seat || this.bench === undefined) {
            return;
        }
        const view = this.logs.canvasView;
        if (message.at !== undefined) {
            view.pointAt({ x: message.at[0], y: message.at[1], page: message.g ?? '', name: this.tile.nameShown });
        } else {
            showWet(view, message);
        }
        this.freshen();
    }

    /** The one that is large; empty for none. */
    get canvas(): string {
        return this.tile?.seat.canvas ?? '';
    }

    /** By how many milliseconds the clock of its operations is ahead of this device's. */
    get clockAhead(): number {
        return this.bench.clockAhead;
    }

    private addressOf(what: string): string {
        return `${this.settings.address}/canvas/${this.canvas}/${what}`;
    }

    private async begin(): Promise<void> {
        const { settings } = this;
        this.outbox = await Outbox.open({
            seat: `close-${settings.session}`,
            address: `${settings.address}/coach`,
            accepted: (where, accepted) => this.logs.viewOf(where)?.confirm(accepted),
            refused: (where, id, reason) => {
                const view = this.logs.viewOf(where);
                view?.log.drop(id);
                view?.drawAll();
                settings.say(reason);
            },
            changed: (waiting, reachable) => this.saySaved(waiting, reachable),
        });
        placeBench(this.root);
        const mounted = mountBench({
            root: element('.closeup-main', this.root),
            layer: 'coach',
            isOnDesk: true,
            assets: settings.assets,
            stamps: settings.stamps,
            words: settings.words,
            address: settings.address,
            wet: this.wetInk,
            put: (canvas, operation) => void this.outbox.put(canvas, operation),
            whole: async (canvas) =>
                (await get<{ operations: Operation[] }>(`${settings.address}/canvas/${canvas}/log`)).operations,
            say: settings.say,
            turned: () => this.logs.turned(),
        });
        this.bench = mounted.bench;
        this.bench.settings.colour = this.colours.coach;
        this.tray = mounted.tray;
        this.logs = new TwoLogs(mounted.bench, settings.assets, settings.stamps);
        this.bench.surface.addEventListener('pointermove', (event) =>
            this.pointer.move(this.canvas, this.bench.view.toPage(event.clientX, event.clientY), this.bench.view.page),
        );
        this.bench.surface.addEventListener('pointerleave', () => this.pointer.leave(this.canvas));
        this.questions = new Questions(this.bench, { ...settings, list: null, isFixed: true });
        void this.outbox.flush();
    }

    private async ask(tile: Tile): Promise<void> {
        const told = await get<CloseAnswer>(this.addressOf('close')).catch(() => null);
        if (told === null || tile !== this.tile) {
            if (told === null && tile === this.tile) {
                this.settings.say(this.settings.words.unreachable);
            }
            return;
        }
        this.told = told;
        this.questions.show(told.questions);
        this.bench.clockAhead = told.clock - Date.now();
        this.tray.allow(told.tray.tools);
        this.bench.surface.dataset.ready = told.canvas;
        // What this desk has not heard yet, and what waits here for the server.
        this.logs.put('canvas', [...told.operations, ...this.outbox.waitingFor(told.canvas)]);
        if (told.notes !== null && told.notes !== this.logs.notes) {
            await this.takeNotes();
        }
        const { wanted } = this;
        this.wanted = null;
        if (wanted !== null && tile === this.tile) {
            await this.use(wanted);
        }
    }

    private async takeNotes(): Promise<void> {
        const { tile } = this;
        const told = await get<CloseAnswer>(this.addressOf('notes')).catch(() => null);
        if (told === null || tile !== this.tile) {
            if (told === null) {
                this.settings.say(this.settings.words.unreachable);
            }
            return;
        }
        this.logs.beginNotes(told.canvas, told.scene, told.n, [
            ...told.operations,
            ...this.outbox.waitingFor(told.canvas),
        ]);
        this.place();
    }

    /** Coach ink and private notes are told apart by their colours, which the teacher may change. */
    private dip(mode: Mode): void {
        this.colours[this.dipped] = this.bench.settings.colour;
        if (mode !== 'look') {
            this.dipped = mode;
            this.bench.settings.colour = this.colours[mode];
            this.tray.show();
        }
    }

    /** What stands around the page follows the mode. */
    private place(): void {
        this.root.dataset.mode = this.mode;
        this.bench.isLooking = this.mode === 'look';
        for (const button of this.root.querySelectorAll<HTMLElement>('.closeup-modes [data-mode]')) {
            button.setAttribute('aria-pressed', String(button.dataset.mode === this.mode));
        }
        element('#closeup-with-notes').hidden = !this.logs.hasNotes;
        this.showLayers();
        this.logs.fit();
        this.freshen();
        this.saySaved(this.outbox.count, true);
    }

    private showLayers(): void {
        const isShown = (layer: string): boolean =>
            element<HTMLInputElement>(`[data-layer="${layer}"]`, this.root).checked;
        this.logs.showLayers(this.mode === 'coach' || isShown('coach'), this.mode === 'private' || isShown('private'));
    }

    private name(tile: Tile): void {
        this.player.offer(tile.memberNames);
        tile.nameOn(element('#closeup-name'));
        // A group is not sent out: its members are, each from their own panel.
        this.root.querySelector('[data-do=send-out-one]')?.toggleAttribute('hidden', tile.isGroup);
        for (const link of this.root.querySelectorAll<HTMLAnchorElement>('[data-format]')) {
            link.href = `${this.settings.address}/work/${tile.seat.canvas}.${link.dataset.format}`;
        }
    }

    private saySaved(waiting: number, isReachable: boolean): void {
        const { words } = this.settings;
        const said = !isReachable
            ? fill(words.offline_close, { n: waiting })
            : waiting > 0
              ? words.saving
              : this.mode === 'coach'
                ? words.coach_saved
                : this.mode === 'private'
                  ? words.notes_saved
                  : '';
        element('#closeup-saved').textContent = said;
    }

    private async giveBack(operation: string): Promise<void> {
        if (await this.settings.run(this.addressOf('give-back'), { to: operation })) {
            this.player.close();
        }
    }

    /** The teacher turns away from the canvas: up to here it was seen. */
    private leave(): void {
        const { tile } = this;
        this.player.close();
        if (tile === null || this.bench === undefined) {
            return;
        }
        this.bench.rest();
        this.pointer.leave(this.canvas);
        this.coach(null);
        const seen = this.logs.canvasView.log.known;
        if (this.told !== null && seen > this.told.looked) {
            const waits = document.querySelector(`#waiting-all [data-kind=sent][data-seat="${tile.seat.id}"]`) !== null;
            void post(this.addressOf('looked'), { n: seen }).then(
                () => waits && this.settings.bands.refresh(),
                () => undefined,
            );
        }
        this.mode = 'look';
        this.bench.view.pointAt(null);
        this.logs.begin('', new Log(), '');
        delete this.bench.surface.dataset.ready;
    }
}
