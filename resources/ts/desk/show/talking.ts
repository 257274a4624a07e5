import type { ShownItem } from '../../protocol/show';
import type { Tray } from '../../bench/tray';
import type { Operation } from '../../canvas/model/objects';
import type { Workbench } from '../../canvas/workbench';
import { get, post } from '../../live/http';
import { InOrder } from '../../live/inorder';
import type { Outbox } from '../../live/outbox';
import { PointerSender } from '../../live/pointer';
import { WetSender } from '../../live/wet';
import { element } from '../../page';
import type { Desk } from '../shell/desk';
import { openTeacherBench, type OpenedCanvas } from '../work/teacherbench';
import { present } from '../../present';

type Item = ShownItem & { prompt: string; owner: string };

/** So long after the hand rests the class sees the part that the teacher sees. */
const LOOK_MS = 250;

/**
 * The teacher talks about what is shown: draws over it and points, for everybody who sees it; makes a part of it
 * larger; plays its replay. What is drawn is a log of its own, and never on the student's canvas.
 */
export class Talking {
    private readonly root = element('#talking');
    private readonly picture = new Image();
    private readonly sheet = document.createElement('div');
    private readonly wet: WetSender;
    private readonly pointer: PointerSender;
    private bench: Workbench | null = null;
    private tray: Tray | null = null;
    private outbox: Outbox | null = null;
    private begun: Promise<void> | null = null;
    private showcase = '';
    private items: Item[] = [];
    private n = 1;
    private lookTimer = 0;
    private looked = 'null';
    private asked = 0;
    private taking = 0;
    private readonly order = new InOrder();

    readonly work = 'students';

    /** @param  send  what is drawn and pointed at, to those who see it */
    constructor(
        private readonly settings: Desk,
        send: (text: string) => boolean,
    ) {
        const { actions, bus, tell } = settings;
        const toggle = (): void => (this.isOpen ? this.close() : void tell(this.open()));
        bus.on('operations', (operations) => this.takeOperations(operations));
        bus.on('screen', () => void this.freshen());
        actions.add({ talking: toggle }, { talking: toggle });
        this.wet = new WetSender('lead', send);
        this.pointer = new PointerSender('lead', send);
        this.sheet.className = 'page page-below talking-sheet';
        this.picture.alt = '';
        this.picture.addEventListener('load', () => {
            present(this.bench).view.lieOver([this.picture.naturalWidth, this.picture.naturalHeight]);
        });
        this.sheet.append(this.picture);
        element('#talking-which').addEventListener('click', (event) => {
            const n = (event.target as Element).closest<HTMLElement>('[data-n]')?.dataset.n;
            if (n !== undefined) {
                void this.take(Number(n));
            }
        });
        element('#talking-whole').addEventListener('click', () => {
            this.bench?.view.seeAll();
        });
        element('#talking-replay').addEventListener(
            'click',
            () => void this.tell('replay', { on: this.item?.replay === null }).then(() => this.freshen()),
        );
        element('#talking-lead').addEventListener(
            'click',
            () =>
                void settings
                    .run(`${settings.address}/lead-beside`, { prompt: this.item?.prompt ?? null })
                    .then(() => this.freshen()),
        );
        element('#talking-give').addEventListener('click', () => void this.give(this.addressOf('hand-out')));
    }

    get isOpen(): boolean {
        return !this.root.hidden;
    }

    private get item(): Item | undefined {
        return this.items.find(({ n }) => n === this.n);
    }

    private async open(): Promise<void> {
        this.settings.layers.makeRoomFor(this);
        await this.ask();
        if (this.items.length === 0) {
            this.settings.say(this.settings.words.nothing_shown);
            return;
        }
        this.root.hidden = false;
        document.body.classList.add('shows-lead');
        // Once, however fast it is opened, shut and opened again.
        await (this.begun ??= this.begin());
        await this.take(this.item === undefined ? 1 : this.n);
        present(this.bench).view.fit();
        present(this.bench).surface.focus();
    }

    close(): void {
        if (this.isOpen) {
            this.bench?.typing.close();
            if (this.item?.ink) {
                this.pointer.leave(this.item.ink);
            }
            this.root.hidden = true;
            document.body.classList.remove('shows-lead');
        }
    }

    /** What was drawn a moment ago goes out too. */
    private async give(to: string): Promise<void> {
        this.bench?.rest();
        await this.outbox?.flush();
        await this.settings.run(to, {});
    }

    /** Something about what is shown has changed. */
    private async freshen(): Promise<void> {
        if (!this.isOpen) {
            return;
        }
        const before = this.showcase;
        await this.ask();
        if (this.items.length === 0) {
            this.close();
        } else if (before !== this.showcase || this.item === undefined) {
            await this.take(1);
        } else {
            this.show();
        }
    }

    private takeOperations(operations: Operation[]): void {
        const here = operations.filter(({ canvas }) => canvas !== '' && canvas === this.bench?.canvas);
        if (here.length > 0) {
            present(this.bench).take(here);
        }
    }

    /** An answer that a later one has overtaken is dropped. */
    private async ask(): Promise<void> {
        const mine = ++this.asked;
        const told = await get<{ id: string | null; items: Item[] }>(`${this.settings.address}/talk`).catch(() => null);
        if (told !== null && mine === this.asked) {
            this.showcase = told.id ?? '';
            this.items = told.items;
        }
    }

    /** One of those that stand side by side. */
    private async take(n: number): Promise<void> {
        this.n = n;
        const { item, bench } = this;
        if (item === undefined || bench === null) {
            return;
        }
        const mine = ++this.taking;
        const answer = await get<OpenedCanvas>(this.addressOf('over')).catch(() => null);
        if (mine !== this.taking) {
            return;
        }
        if (answer === null) {
            this.settings.say(this.settings.words.unreachable);
            return;
        }
        item.ink = answer.canvas;
        this.looked = JSON.stringify(item.view);
        bench.begin(answer, present(this.outbox).waitingFor(answer.canvas));
        present(this.tray).allow(answer.tray.tools);
        bench.surface.dataset.ready = answer.canvas;
        this.show();
        this.followCamera();
    }

    private show(): void {
        const { item } = this;
        if (item === undefined) {
            return;
        }
        const address = `${this.settings.address}/showcase/${this.showcase}/${item.n}.svg?${item.version}`;
        if (this.picture.getAttribute('src') !== address) {
            this.picture.src = address;
        }
        element('#talking-which').replaceChildren(
            ...(this.items.length < 2 ? [] : this.items).map(({ n, owner }) => {
                const chip = Object.assign(document.createElement('button'), {
                    type: 'button',
                    className: 'chip',
                    textContent: `${n} ${owner}`,
                });
                chip.dataset.n = String(n);
                chip.setAttribute('aria-pressed', String(n === this.n));
                return chip;
            }),
        );
        element('#talking-replay').setAttribute('aria-pressed', String(item.replay !== null));
        element<HTMLButtonElement>('#talking-lead').disabled =
            this.items.length >= 4 && !this.items.some(({ owner }) => owner === this.settings.words.lead_canvas);
    }

    private async begin(): Promise<void> {
        const { bench, tray, outbox } = await openTeacherBench({
            ...this.settings,
            root: this.root,
            saved: '#talking-saved',
            box: `over-${this.settings.session}`,
            wet: this.wet,
            turned: () => undefined,
        });
        this.outbox = outbox;
        this.bench = bench;
        this.tray = tray;
        bench.settings.colour = this.settings.colours.coach;
        tray.show();
        bench.view.insert(this.sheet, 'under');
        const before = bench.view.moved;
        bench.view.moved = () => {
            before();
            this.followCamera();
            window.clearTimeout(this.lookTimer);
            this.lookTimer = window.setTimeout(() => void this.look(), LOOK_MS);
        };
        bench.surface.addEventListener(
            'pointermove',
            (event) =>
                this.item?.ink && this.pointer.move(this.item.ink, bench.view.toPage(event.clientX, event.clientY), ''),
        );
        bench.surface.addEventListener('pointerleave', () => this.item?.ink && this.pointer.leave(this.item.ink));
    }

    private followCamera(): void {
        const { scale, x, y } = present(this.bench).view.camera;
        this.picture.style.transform = `translate(${x}px, ${y}px) scale(${scale})`;
    }

    /** Everybody sees the part that the teacher sees: its middle, and how many times larger. */
    private async look(): Promise<void> {
        const { bench, item } = this;
        if (bench === null || item === undefined || !this.isOpen) {
            return;
        }
        const { camera, zoom, paperSize } = bench.view;
        const [paperWidth, paperHeight] = paperSize;
        const [across, down] = [bench.surface.clientWidth / camera.scale, bench.surface.clientHeight / camera.scale];
        const scale = Math.max(1, Math.min(8, Math.round(zoom * 100) / 100));
        const [width, height] = [paperWidth / scale, paperHeight / scale];
        const corner = (at: number, size: number, whole: number): number =>
            Math.round(Math.max(0, Math.min(whole - size, at - size / 2)));
        const view =
            scale === 1
                ? null
                : {
                      x: corner(across / 2 - camera.x / camera.scale, width, paperWidth),
                      y: corner(down / 2 - camera.y / camera.scale, height, paperHeight),
                      scale,
                  };
        if (JSON.stringify(view) !== this.looked) {
            this.looked = JSON.stringify(view);
            await this.tell('look', { view });
        }
    }

    private async tell(what: string, body: unknown): Promise<void> {
        await this.order
            .do(() => post(this.addressOf(what), body))
            .catch((problem: Error) => this.settings.say(problem.message));
    }

    private addressOf(what: string): string {
        return `${this.settings.address}/showcase/${this.showcase}/${this.n}/${what}`;
    }
}
