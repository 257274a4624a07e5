import { pieceUse } from '../../canvas/model/pieces';
import type { Room } from '../../protocol/room';
import { mountWindow } from '../../bench/window';
import type { Tray } from '../../bench/tray';
import type { Operation } from '../../canvas/model/objects';
import type { Workbench } from '../../canvas/workbench';
import { getWhile, reasonOf } from '../../live/http';
import type { Outbox } from '../../live/outbox';
import { WetSender } from '../../live/wet';
import { element, fill } from '../../page';
import type { Desk } from '../shell/desk';
import { freshen } from '../shell/freshen';
import { openTeacherBench, type OpenedCanvas } from './teacherbench';
import { present } from '../../present';

/** The teacher's own canvas, in the grid's place: opened with the prompt that the teacher is looking at. */
export class Lead {
    private readonly root = element('#lead');
    private readonly dialog = element<HTMLDialogElement>('#pieces');
    private bench: Workbench | null = null;
    private tray: Tray | null = null;
    private outbox: Outbox | null = null;
    private begun: Promise<void> | null = null;
    private prompt = '';
    /** How often it was opened: what an earlier opening asked for is not wanted any more. */
    private asked = 0;
    private seen: Room['lead'] = { shown: null, ink: null, from: 0 };
    private readonly wet: WetSender;
    private readonly inkOff: HTMLDialogElement;

    readonly work = 'own';

    /** @param  send  what is drawn, to those who may see it */
    constructor(
        private readonly settings: Desk,
        send: (text: string) => boolean,
    ) {
        const { actions, bus, store, tell } = settings;
        settings.leadPart = async () => {
            await this.deliver();
            return this.isOpen && this.bench !== null
                ? { page: this.bench.view.page, cut: this.bench.view.seenPart }
                : null;
        };
        const flip = (): void => (this.isOpen ? this.close() : void tell(this.open(store.now.looking)));
        bus.on('operations', (operations) => this.take(operations));
        bus.on('room', ({ room }) => this.showSeen(room.lead));
        bus.on('talk', ({ canvas }) => canvas === this.canvas && this.showTalks());
        // As the now band says it.
        bus.on('written', () => this.showSeen((JSON.parse(element('#now').dataset.room ?? '') as Room).lead));
        actions.add({ lead: flip }, { lead: flip });
        // What is drawn goes out as it is drawn to those who may see it, and to nobody else.
        this.wet = new WetSender('lead', (text) => this.isSeen && send(text));
        this.dialog.addEventListener('submit', (event) => {
            event.preventDefault();
            void this.handOut();
        });
        this.inkOff = mountWindow('#ink-off', (how) => void this.tell('ink', { on: false, stays: how === 'stays' }));
        element('#lead-ink').addEventListener('click', () =>
            this.isInkOn ? this.inkOff.showModal() : void this.tell('ink', { on: true }),
        );
        element('#lead-screen').addEventListener('click', () => {
            const shown = { prompt: this.prompt, page: present(this.bench).view.page, alone: true };
            void this.deliver().then(() => settings.run(`${settings.address}/lead-beside`, shown));
        });
        element('#lead-show').addEventListener(
            'click',
            () => void this.tell('show', { page: this.isPageShown ? null : present(this.bench).view.page }),
        );
    }

    /** What students have of it, as the room says. */
    private showSeen(seen: Room['lead']): void {
        this.seen = seen;
        if (this.bench === null) {
            return;
        }
        const { words } = this.settings;
        const show = element('#lead-show');
        show.setAttribute('aria-pressed', String(this.isPageShown));
        element('span', show).textContent = this.isPageShown ? words.hide_page : words.show_page;
        element('#lead-ink').setAttribute('aria-pressed', String(this.isInkOn));
        const live = JSON.parse(element('#now').dataset.live ?? '[]') as [string, string][];
        const isOnScreen =
            live.length === 1 &&
            present(live[0])[0] === this.bench.canvas &&
            present(live[0])[1] === this.bench.view.page;
        const screen = element('#lead-screen');
        screen.setAttribute('aria-pressed', String(isOnScreen));
        element('span', screen).textContent = isOnScreen ? words.screen_down : words.screen_up;
        const [canvas, page] = seen.shown ?? ['', ''];
        const n = this.bench.pages.indexOf(page) + 1;
        element('#lead-shown').textContent =
            seen.shown === null ? words.look_none : canvas === this.bench.canvas ? fill(words.look_here, { n }) : '';
    }

    /** What is on it as it stands now is with the server, or has been tried to be. */
    async deliver(): Promise<void> {
        this.bench?.rest();
        await this.outbox?.flush();
    }

    get canvas(): string {
        return this.bench?.canvas ?? '';
    }

    get clockAhead(): number {
        return this.bench?.clockAhead ?? 0;
    }

    /** What was said about it. */
    private showTalks(): void {
        void freshen(`${this.settings.address}/canvas/${this.canvas}/talks`, '#lead-talks');
    }

    /** The number of the page that is open, from 1. */
    get page(): number {
        return this.bench === null ? 1 : Math.max(0, this.bench.pages.indexOf(this.bench.view.page)) + 1;
    }

    private get isPageShown(): boolean {
        return this.seen.shown?.[0] === this.bench?.canvas && this.seen.shown?.[1] === this.bench?.view.page;
    }

    private get isInkOn(): boolean {
        return this.seen.ink !== null && this.seen.ink === this.bench?.canvas;
    }

    private get isSeen(): boolean {
        return this.isInkOn || this.isPageShown;
    }

    private async tell(what: 'show' | 'ink', body: unknown): Promise<void> {
        const address = `${this.settings.address}/prompt/${this.prompt}/lead/${what}`;
        // Lead ink begins, and ends, with what is stored by then: a stroke drawn before the press is to be there first.
        await this.deliver();
        await this.settings.run(address, body);
    }

    get isOpen(): boolean {
        return !this.root.hidden;
    }

    private async open(prompt: string): Promise<void> {
        this.settings.layers.makeRoomFor(this);
        this.root.hidden = false;
        element('#lead-button').setAttribute('aria-pressed', 'true');
        document.body.classList.add('shows-lead');
        // Once, however fast it is opened, shut and opened again.
        await (this.begun ??= this.begin());
        await this.load(prompt);
        present(this.bench).view.fit();
        present(this.bench).surface.focus();
    }

    close(): void {
        this.bench?.typing.close();
        this.root.hidden = true;
        element('#lead-button').setAttribute('aria-pressed', 'false');
        document.body.classList.remove('shows-lead');
    }

    /** Operations that a desk was told; those of the lead canvas are taken. */
    private take(operations: Operation[]): void {
        const here = operations.filter(({ canvas }) => canvas === this.bench?.canvas && canvas !== '');
        if (here.length > 0) {
            present(this.bench).take(here);
        }
    }

    private async begin(): Promise<void> {
        const { bench, tray, outbox } = await openTeacherBench({
            ...this.settings,
            root: this.root,
            saved: '#lead-saved',
            box: `lead-${this.settings.session}`,
            wet: this.wet,
            turned: () => this.showSeen(this.seen),
            pieces: () => this.askForPieces(),
        });
        this.outbox = outbox;
        this.bench = bench;
        this.tray = tray;
        if (this.settings.page.may.lead !== null) {
            bench.lockBy(this.settings.words.not_yours);
            element<HTMLButtonElement>('#lead-show').disabled = true;
            element<HTMLButtonElement>('#lead-screen').disabled = true;
            element<HTMLButtonElement>('#lead-ink').disabled = true;
        }
    }

    /** Until it is here nothing is drawn or shown: that would be the canvas before it. */
    private async load(prompt: string): Promise<void> {
        const { address, say, words } = this.settings;
        const mine = ++this.asked;
        const isWanted = (): boolean => mine === this.asked && this.isOpen;
        this.wait(this.prompt !== prompt);
        if (this.prompt === prompt) {
            return;
        }
        const frame = present(this.root.querySelector<HTMLElement>('.page-frame'));
        delete frame.dataset.ready;
        const answer = await getWhile<OpenedCanvas>(`${address}/prompt/${prompt}/lead`, isWanted, () =>
            say(words.unreachable),
        );
        if (answer === null) {
            return;
        }
        this.wait(false);
        this.prompt = prompt;
        present(this.bench).begin(answer, present(this.outbox).waitingFor(answer.canvas));
        present(this.tray).allow(answer.tray.tools);
        this.showSeen(this.seen);
        this.showTalks();
        frame.dataset.ready = answer.canvas;
    }

    /** What is in it does nothing meanwhile. It stays before the grid itself: no press goes through to a tile. */
    private wait(isWaiting: boolean): void {
        this.root.ariaBusy = String(isWaiting);
        for (const part of this.root.children) {
            (part as HTMLElement).inert = isWaiting;
        }
    }

    private askForPieces(): void {
        if (!present(this.bench).selection.isEmpty) {
            this.dialog.showModal();
            element<HTMLInputElement>('#pieces-alt').focus();
        }
    }

    private async handOut(): Promise<void> {
        const form = element<HTMLFormElement>('form', this.dialog);
        const to = String(new FormData(form).get('to'));
        this.dialog.close();
        try {
            const n = await present(this.bench).handOutPieces(
                `${this.settings.address}/prompt/${this.prompt}/hand-out`,
                pieceUse(form),
                { page: this.page - 1, seats: to === '' ? null : to.split(' ') },
            );
            this.settings.say(fill(this.settings.words.pieces_out, { n }));
        } catch (problem) {
            this.settings.say(reasonOf(problem, this.settings.words));
        }
    }
}
