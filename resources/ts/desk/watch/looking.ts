import type { Tile } from '../../grid/tile';
import { element } from '../../page';
import type { Desk } from '../shell/desk';
import type { Layer } from '../shell/layers';
import type { Canvases } from './canvases';
import type { Chosen } from './chosen';
import type { CloseUp } from './closeup';
import type { Compare } from './compare';

/** The key of the first phrase; the digits before it are levels. */
const FIRST_PHRASE_KEY = 7;

/** So far a finger wipes to turn to another student, in CSS pixels. */
const SWIPE = 70;

/** What the teacher looks at closely, and which canvases a key or a button means. */
export class Looking {
    /** What Escape closes of it, one after the other. */
    readonly layers: Layer[];
    private readonly layer: Layer;

    constructor(
        private readonly desk: Desk,
        private readonly canvases: Canvases,
        readonly chosen: Chosen,
        readonly closeUp: CloseUp,
        private readonly compare: Compare,
    ) {
        const { grid } = canvases;
        const layer = (isOpen: () => boolean, close: () => void, work?: Layer['work']): Layer => ({
            get isOpen() {
                return isOpen();
            },
            work,
            close,
        });
        this.layer = Object.assign(
            layer(
                () => closeUp.isOpen,
                () => this.close(),
                'students',
            ),
            { goesOn: true },
        );
        this.layers = [
            layer(
                () => closeUp.isReplaying,
                () => closeUp.stopReplay(),
            ),
            layer(
                () => closeUp.isDrawing,
                () => void closeUp.use('look'),
            ),
            this.layer,
        ];
        desk.bus.on('seat', ({ seat, state }) => {
            if (state !== 'seated' && closeUp.shown?.seat.id === seat.id) {
                this.gone();
            }
        });
        desk.bus.on('filled', () => this.goOn());
        this.listenToSwipes();
        desk.actions.add(
            {
                // A tile opens; with Ctrl it is chosen, with Shift all up to it.
                'close-up': (button, event) => {
                    const tile = grid.tileOf(button);
                    if (tile === undefined) {
                        return;
                    }
                    if (event.ctrlKey || event.metaKey) {
                        chosen.toggle(tile);
                    } else if (event.shiftKey) {
                        chosen.upTo(tile);
                    } else {
                        this.open(tile);
                    }
                },
                'see-place': ({ dataset }) =>
                    closeUp.showPlace(Number(dataset.page), Number(dataset.x), Number(dataset.y)),
                'open-seat': (button) => this.openSeat(button.dataset.seat ?? ''),
                'open-work': ({ dataset: { seat = '', prompt = '' } }) => void this.openWork(seat, prompt),
                'choose-seats': (button) => {
                    desk.layers.closeStudentsWork();
                    chosen.choose((button.dataset.seat ?? '').split(' '));
                },
                'close-closeup': () => this.close(),
                'close-compare': () => compare.close(),
                compare: () => this.beside(),
                next: () => this.step('ArrowRight'),
                previous: () => this.step('ArrowLeft'),
                replay: () => closeUp.replay(),
                'play-talk': ({ dataset: { talk = '' } }) => closeUp.playTalk(talk),
                'last-look': () => closeUp.lastLook(),
                phrase: (button) => closeUp.side.phrase(button.dataset.phrase ?? ''),
                'points-more': () => closeUp.side.points(1),
                'points-less': () => closeUp.side.points(-1),
            },
            {
                compare: () => this.beside(),
                coach: () => void closeUp.use('coach'),
                notes: () => void closeUp.use('private'),
                replay: () => closeUp.replay(),
                note: () => closeUp.isOpen && closeUp.side.writeNote(),
                phrase: (key) => closeUp.isOpen && closeUp.side.phraseAt(Number(key) - FIRST_PHRASE_KEY),
                'last-look': () => closeUp.isOpen && closeUp.lastLook(),
                'points-more': () => closeUp.isOpen && closeUp.side.points(1),
                'points-less': () => closeUp.isOpen && closeUp.side.points(-1),
            },
        );
    }

    /** The student in the close-up has left the room: it closes, unless a check pass goes on. */
    gone = (): void => this.close();

    /**
     * The canvases that a key or a button means: the one in the close-up, those that are chosen, or the one that has
     * the focus.
     */
    get meant(): Tile[] {
        const { shown } = this.closeUp;
        if (shown !== null) {
            return [shown];
        }
        const { focused } = this.canvases.grid;
        return this.chosen.isEmpty ? (focused === undefined ? [] : [focused]) : this.chosen.tiles;
    }

    /** The tile from which the arrows go on. */
    get tile(): Tile | undefined {
        return this.closeUp.shown ?? this.canvases.grid.focused;
    }

    /** A student's canvas on a prompt, which may be another than the one that is looked at. */
    private async openWork(seat: string, prompt: string): Promise<void> {
        if (this.desk.store.now.looking !== prompt) {
            await this.canvases.look(prompt);
        }
        this.openSeat(seat);
    }

    openSeat(seat: string): void {
        const tile = this.canvases.grid.ofSeat(seat);
        if (tile !== undefined) {
            this.open(tile);
        }
    }

    open(tile: Tile, focus = true): void {
        const { bus, store, words, say, layers, drawer, tell } = this.desk;
        if (store.now.isCovered) {
            say(words.covered);
            return;
        }
        if (tile.seat.canvas === null) {
            say(words.no_canvas);
            return;
        }
        layers.makeRoomFor(this.layer);
        this.canvases.grid.tiles.forEach((one) => one.root.classList.toggle('is-close', one === tile));
        void tell(this.closeUp.show(tile, focus));
        bus.tell('closeUp', tile.seat.id);
        // Messages stand beside the canvas of the one who writes.
        if (drawer.panel === 'talk') {
            bus.tell('opened', tile.seat.id);
        } else {
            drawer.close();
        }
    }

    /**
     * The grid has other tiles by now: the canvas that is open stays open on its own. Who was opened while another
     * prompt's canvases were on their way is seen on that prompt.
     */
    private goOn(): void {
        const { shown } = this.closeUp;
        if (shown === null) {
            return;
        }
        const tile = this.canvases.grid.ofSeat(shown.seat.id);
        if (tile === undefined || tile.seat.canvas === null || this.desk.store.now.isCovered) {
            this.close();
            return;
        }
        if (tile.seat.canvas !== shown.seat.canvas) {
            this.open(tile, false);
            return;
        }
        tile.root.classList.add('is-close');
        void this.desk.tell(this.closeUp.goOn(tile));
    }

    close(): void {
        const tile = this.closeUp.shown;
        this.closeUp.hide();
        this.canvases.grid.tiles.forEach((one) => one.root.classList.remove('is-close'));
        tile?.focus();
        this.desk.bus.tell('closeUp', null);
    }

    /** A finger that wipes over a page that is seen whole turns to the next student, or back. */
    private listenToSwipes(): void {
        let from: { x: number; y: number; id: number } | null = null;
        // The page itself is there only when it has been opened once.
        const stage = element('.closeup-stage');
        stage.addEventListener('pointerdown', (event) => {
            const { pointerType, clientX: x, clientY: y, pointerId: id, isPrimary } = event;
            const isOnPage = (event.target as Element).closest('.page-frame') !== null;
            from = isOnPage && pointerType === 'touch' && isPrimary && this.closeUp.canTurn ? { x, y, id } : null;
        });
        stage.addEventListener('pointerup', ({ clientX, clientY, pointerId }) => {
            if (from?.id !== pointerId) {
                return;
            }
            const [dx, dy] = [clientX - from.x, clientY - from.y];
            from = null;
            if (Math.abs(dx) > SWIPE && Math.abs(dx) > 2 * Math.abs(dy)) {
                this.step(dx < 0 ? 'ArrowRight' : 'ArrowLeft');
            }
        });
        stage.addEventListener('pointercancel', () => {
            from = null;
        });
    }

    /** The next in the grid's order and filter. */
    step(key: string): void {
        const next = this.canvases.grid.beside(this.closeUp.shown ?? undefined, key);
        if (next !== undefined) {
            this.open(next, false);
        }
    }

    /** Chosen canvases beside each other; the one in the close-up beside itself as it was. */
    beside(): void {
        const { shown } = this.closeUp;
        if (shown !== null) {
            void this.closeUp.use('look').then(() => this.compare.open([[shown, this.closeUp.lookedAt], [shown]]));
        } else {
            void this.compare.open(this.chosen.tiles.map((tile) => [tile]));
        }
    }

    /** What is pressed about canvases. Answers whether it was a key of theirs. */
    press(event: KeyboardEvent, check: (level: number | null) => void): boolean {
        const { chosen, canvases, tile } = this;
        const { grid } = canvases;
        const isModified = event.ctrlKey || event.metaKey || event.altKey;
        if (isModified) {
            const isAll = event.key.toLowerCase() === 'a' && !event.altKey;
            if (isAll) {
                chosen.choose(grid.visible().map(({ seat }) => seat.id));
            }
            return isAll;
        }
        const isSlider = (event.target as Element).closest('input') !== null;
        if (event.key.startsWith('Arrow') && !isSlider) {
            const next = grid.beside(tile, event.key);
            if (next !== undefined) {
                this.goTo(next, event.shiftKey);
            }
            return next !== undefined;
        }
        if (event.key.toLowerCase() === 'x' && tile !== undefined) {
            chosen.toggle(tile);
            return true;
        }
        const isDelete = event.key === 'Delete' || event.key === 'Backspace';
        if ((isDelete || /^[0-6]$/.test(event.key)) && this.meant.length > 0) {
            check(isDelete ? null : Number(event.key));
            return true;
        }
        return false;
    }

    private goTo(tile: Tile, choose: boolean): void {
        if (this.closeUp.shown !== null) {
            if (!this.compare.isOpen) {
                this.open(tile, false);
            }
            return;
        }
        if (choose) {
            const { focused } = this.canvases.grid;
            if (focused !== undefined) {
                this.chosen.startAt(focused);
            }
            this.chosen.upTo(tile);
        }
        tile.focus();
    }
}
