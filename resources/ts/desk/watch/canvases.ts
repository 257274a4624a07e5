import type { Operation, WetInk } from '../../canvas/model/objects';
import { Grid } from '../../grid/grid';
import type { Tile } from '../../grid/tile';
import { get, getWhile } from '../../live/http';
import { element } from '../../page';
import type { CanvasesAnswer, DeskEvents, WatchAnswer } from '../../protocol/desk';
import type { Connection } from '../shell/connection';
import type { Desk } from '../shell/desk';
import { Freshness } from '../shell/freshness';
import { markRail, showArranged, showCounts, showTally } from './counts';

const STATES_MS = 3000;
/** The same while the server tells them of itself, as it does every 10 s at least. */
const TOLD_STATES_MS = 15_000;
const TOLD_LATELY_MS = 12_000;
/** How often it is looked whether somebody has fallen silent. */
const SILENCE_MS = 1000;

/** The canvases of the prompt that the teacher looks at: asked for, kept current, and what the server knows of them. */
export class Canvases {
    readonly grid: Grid;
    private connection!: Connection;
    private readonly freshness: Freshness;
    private isLoading = false;
    /** Several draw on the canvases that are looked at. */
    private isShared = false;
    private silentBefore = '';
    /** When the states were asked for, and when the server told them of itself. */
    private askedAt = 0;
    private toldAt = -Infinity;
    /** When what is shown was worked out, on the server's clock. */
    private shownAt = 0;

    constructor(private readonly desk: Desk) {
        const { bus, store } = desk;
        this.grid = new Grid({
            assets: desk.assets,
            stamps: desk.stamps,
            words: desk.words,
            states: desk.page.states,
            short: (tile) => void this.takeWhole(tile),
            wet: (seat, ink) => bus.tell('wet', { seat, ink }),
            count: (counts) => showCounts(counts, this.grid.tiles.size),
            arranged: showArranged,
        });
        this.freshness = new Freshness(element('#stale'), desk.words.stale);
        bus.on('work', (operations: Operation[]) => this.grid.take(operations));
        bus.on('renamed', () => this.grid.renamed());
        bus.on('wanted', (prompt) => void this.look(prompt));
        bus.on('tally', showTally);
        bus.on('doorOpened', () => this.sayStates());
        bus.on('mend', () => void this.countStates());
        bus.on('statesTold', ({ prompt, answer }) => {
            if (prompt === store.now.looking && !this.isLoading) {
                this.toldAt = performance.now();
                this.takeStates(answer);
            }
        });
        bus.on('written', () => {
            markRail(store.now.looking);
            this.sayStates();
            void this.followCover();
        });
        store.follow('looking', markRail);
        store.follow('isCovered', (isCovered) => document.body.classList.toggle('is-covered', isCovered));
        this.listenToTheServer();
    }

    /** With the first prompt; from now on it is kept current. */
    async begin(connection: Connection): Promise<void> {
        this.connection = connection;
        await this.look(this.desk.store.now.looking);
        window.setInterval(() => {
            const isTold = performance.now() - this.toldAt < TOLD_LATELY_MS;
            if (performance.now() - this.askedAt > (isTold ? TOLD_STATES_MS : STATES_MS) - 100) {
                void this.countStates();
            }
        }, STATES_MS);
        window.setInterval(() => this.listenToSilence(), SILENCE_MS);
    }

    wet(ink: WetInk): void {
        this.grid.wet(ink);
    }

    /** Shows a prompt's canvases; where the students are does not change. */
    async look(prompt: string): Promise<void> {
        const { desk, connection } = this;
        const isAnew = prompt === desk.store.now.looking;
        desk.store.put({ looking: prompt });
        desk.layers.closeStudentsWork(isAnew);
        connection.hold();
        this.isLoading = true;
        // What is told of itself is told where a desk has said that it looks.
        this.toldAt = -Infinity;
        const answer = await this.ask(prompt);
        if (answer === null) {
            return;
        }
        this.isShared = answer.shared;
        desk.store.put({ isCovered: answer.covered });
        this.grid.fill(answer.seats, answer.boxes, answer.kept, answer.operations);
        desk.bus.tell('filled', null);
        connection.begin(answer.position);
        this.isLoading = false;
        connection.release();
        await this.countStates();
        element('#grid').dataset.ready = prompt;
    }

    private async countStates(): Promise<void> {
        const { desk, grid } = this;
        const asked = desk.store.now.looking;
        this.askedAt = performance.now();
        const query = new URLSearchParams({
            ...(grid.silent.length > 0 && { silent: grid.silent.join(',') }),
            // A page in the background hears no pens, and knows nothing of who is silent.
            ...(document.visibilityState === 'visible' && { looks: '1' }),
        });
        const answer = await get<WatchAnswer>(`${desk.address}/prompt/${asked}/states?${query}`).catch(() => null);
        if (answer === null) {
            this.freshness.heard(false);
        } else if (asked === desk.store.now.looking) {
            this.takeStates(answer);
        }
    }

    private takeStates(answer: WatchAnswer): void {
        const { desk, grid } = this;
        this.freshness.heard(true, answer.trouble);
        if (answer.at < this.shownAt) {
            return;
        }
        this.shownAt = answer.at;
        grid.showStates(answer.states);
        desk.bus.tell('states', answer);
        this.sayStates();
        desk.bus.tell('tally', answer.tally);
        if (answer.started !== desk.store.now.started) {
            desk.store.put({ started: answer.started });
            desk.bands.refresh();
        }
    }

    /** The list of seats says each student's state as the grid has it. */
    private sayStates(): void {
        this.grid.tiles.forEach((tile, seat) => {
            const place = document.querySelector<HTMLElement>(`[data-state-of="${seat}"]`);
            if (place !== null) {
                place.textContent = element('.tile-state-words', tile.root).textContent;
            }
        });
    }

    /** Resolves to null where another was pressed meanwhile, and is what comes. */
    private async ask(prompt: string): Promise<CanvasesAnswer | null> {
        const { address, store } = this.desk;
        try {
            return await getWhile<CanvasesAnswer>(
                `${address}/prompt/${prompt}/canvases`,
                () => store.now.looking === prompt,
            );
        } catch {
            location.reload();
            return null;
        }
    }

    private listenToTheServer(): void {
        const { bus, store } = this.desk;
        bus.on('seat', (told) => {
            this.takeSeat(told);
            bus.tell('tiles', null);
            void this.countStates();
        });
        bus.on('talk', () => void this.countStates());
        bus.on('group', ({ seat }) => {
            if (this.grid.tiles.has(seat.id)) {
                this.grid.regroup(seat);
                void this.countStates();
            } else if (this.isShared) {
                void this.look(store.now.looking);
            }
        });
        bus.on('seats', () => void this.look(store.now.looking));
        bus.on('check', ({ canvas, level, tally }) => {
            const tile = this.grid.ofCanvas(canvas);
            tile?.showLevel(level);
            if (tile !== undefined) {
                bus.tell('tally', tally);
            }
        });
        bus.on('sent', ({ canvas, isSent }) => {
            this.grid.ofCanvas(canvas)?.showSent(isSent);
            void this.countStates();
        });
        bus.on('reveal', ({ prompt }) => {
            if (prompt === store.now.looking) {
                void this.look(prompt);
            }
        });
        bus.on('prompt', ({ prompt: { id: next, again }, room }) => {
            const { current, looking } = store.now;
            store.put({ current: next });
            bus.tell('room', { room });
            // A prompt that nobody was at yet has no canvases; one that its plan changed may have others.
            const isNew = again === true || [...this.grid.tiles.values()].some(({ seat }) => seat.canvas === null);
            if (looking === next ? isNew : looking === current) {
                void this.look(next);
            }
        });
    }

    /** A student comes in, goes out, or is called otherwise. */
    private takeSeat({ seat, state, prompt, canvas, isShared, operations }: DeskEvents['seat']): void {
        const { looking, isCovered } = this.desk.store.now;
        const there = this.grid.tiles.get(seat.id);
        if (state !== 'seated' || (isShared && prompt === looking)) {
            this.grid.remove(seat.id);
        } else if (there !== undefined) {
            there.rename(seat);
        } else {
            const own = prompt === looking ? canvas : null;
            this.grid.add({ ...seat, canvas: own });
            const tile = this.grid.tiles.get(seat.id);
            // Whoever comes back has work already.
            if (tile !== undefined && own !== null && operations > 0 && !isCovered) {
                void this.takeWhole(tile);
            }
        }
    }

    /** The whole log of a canvas, where something older than what its tile has was taken back. */
    private async takeWhole(tile: Tile): Promise<void> {
        const answer = await get<{ operations: Operation[] }>(
            `${this.desk.address}/canvas/${tile.seat.canvas}/log`,
        ).catch(() => null);
        if (answer !== null) {
            tile.restart(answer.operations);
        }
    }

    /** Whether work is covered follows the settings. */
    private async followCover(): Promise<void> {
        const { looking, isCovered } = this.desk.store.now;
        const item = document.querySelector<HTMLElement>(`#rail [data-prompt="${looking}"]`);
        if (item !== null && (item.dataset.covered === '1') !== isCovered && !this.isLoading) {
            await this.look(looking);
        }
    }

    private listenToSilence(): void {
        const silent = this.grid.silent.join(',');
        if (silent !== this.silentBefore) {
            void this.countStates();
        }
        this.silentBefore = silent;
    }
}
