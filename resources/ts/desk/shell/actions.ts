import { mountWindow } from '../../bench/window';
import type { Chosen } from '../../grid/chosen';
import type { Grid } from '../../grid/grid';
import type { Tile } from '../../grid/tile';
import { post } from '../../live/http';
import { element } from '../../page';
import type { AskPanel } from '../asks/ask';
import type { CloseUp } from '../watch/closeup';
import { openWindow } from './commands';
import type { Compare } from '../watch/compare';
import type { DeskParts } from './events';
import type { Drawer } from './drawer';
import { listenToKeys } from './keys';
import type { LineUpBar } from '../show/lineup';
import type { Overlays } from './overlays';
import type { ClassPicture } from '../checks/picture';
import type { PickWindow } from '../watch/pick';
import type { RoomDesk } from '../room/room';
import type { CanvasActions } from '../watch/canvasactions';
import type { StrataMenu } from '../checks/strata';
import type { Watch } from '../watch/watch';
import { WhoIsIt } from '../room/whoisit';

interface Parts {
    address: string;
    at: DeskParts['at'];
    grid: Grid;
    chosen: Chosen;
    closeUp: CloseUp;
    compare: Compare;
    drawer: Drawer;
    opened: Overlays;
    pick: PickWindow;
    room: RoomDesk;
    some: CanvasActions;
    strata: StrataMenu;
    watch: Watch;
    ask: AskPanel;
    lineUp: LineUpBar;
    picture: ClassPicture;
    look(prompt: string): Promise<void>;
    run(address: string, body: unknown): Promise<boolean>;
}

type Action = (button: HTMLElement, event: MouseEvent) => void;

/** By how much a key makes tiles larger or smaller, in pixels. */
const TILE_STEP = 40;

/** What a button with `data-do` does, and what keys do. */
export function listenToDesk(parts: Parts): void {
    const actions = { ...aboutTiles(parts), ...aboutCloseUp(parts), ...aboutTheRoom(parts) };
    document.addEventListener('click', (event) => {
        const button = (event.target as Element).closest<HTMLElement>('[data-do]');
        parts.strata.pressedOutside(event.target as Element);
        if (button !== null && !button.matches(':disabled')) {
            button.closest<HTMLDetailsElement>('details.menu-details')?.removeAttribute('open');
            actions[button.dataset.do!]?.(button, event);
        }
    });
    listenToLetters(parts);
}

const levelOf = (button: HTMLElement): number | null =>
    button.dataset.level === '' ? null : Number(button.dataset.level);

function aboutTiles({ grid, chosen, opened, some, strata, watch, ...parts }: Parts): Record<string, Action> {
    const tileOf = (button: HTMLElement): Tile => grid.tiles.get(button.closest<HTMLElement>('.tile')!.dataset.seat!)!;
    return {
        // A tile opens; with Ctrl it is chosen, with Shift all up to it.
        'close-up': (button, event) => {
            const tile = tileOf(button);
            if (event.ctrlKey || event.metaKey) {
                chosen.toggle(tile);
            } else {
                if (event.shiftKey) {
                    chosen.upTo(tile);
                } else {
                    opened.closeUp(tile);
                }
            }
        },
        choose: (button, event) => (event.shiftKey ? chosen.upTo(tileOf(button)) : chosen.toggle(tileOf(button))),
        'choose-none': () => chosen.choose([]),
        'choose-answer': (button) => chosen.choose(watch.groupOf(button)?.seats ?? []),
        'choose-seats': (button) => {
            opened.closeAll();
            chosen.choose(button.dataset.seat!.split(' '));
        },
        'open-seat': (button) =>
            grid.tiles.has(button.dataset.seat!) && opened.closeUp(grid.tiles.get(button.dataset.seat!)!),
        'check-chosen': (button) => void some.check(levelOf(button)),
        'line-up': () => some.lineUp(),
        'pens-chosen': () => some.pensDown(),
        'write-chosen': () => write(opened, some),
        'give-back-chosen': () => some.giveBack(),
        compare: () => opened.compare(),
        pick: () => pickSomebody(parts.pick, chosen),
        shield: () => opened.shield(),
        'order-again': () => grid.orderAgain(),
        filter: (button) => {
            const state = button.dataset.filter!;
            grid.filterBy(state);
            document
                .querySelectorAll<HTMLElement>('#counts [data-filter]')
                .forEach((one) => one.setAttribute('aria-pressed', String(one.dataset.filter === state)));
            chosen.show();
        },
        strata: (button) => strata.open(button),
        level: (button) => {
            const tile = grid.tiles.get(strata.seat);
            strata.close();
            if (tile) {
                void some.check(levelOf(button), [tile]);
            }
            tile?.focus();
        },
    };
}

function aboutCloseUp({ address, at, closeUp, compare, opened, some, run }: Parts): Record<string, Action> {
    const emptyOne = mountWindow('#empty-one', (how) => {
        const { shown } = closeUp;
        if (how === 'empty' && shown !== null) {
            void run(`${address}/prompt/${at.looking}/hand-out`, {
                what: 'prompt',
                mode: 'fresh',
                seats: [shown.seat.id],
            });
        }
    });
    const onShown =
        (act: (tile: Tile) => void): Action =>
        () =>
            closeUp.shown !== null && act(closeUp.shown);
    return {
        'close-closeup': () => opened.closeCloseUp(),
        'close-compare': () => compare.close(),
        'show-compare': () => void run(`${address}/moments`, { items: compare.moments }),
        talking: () => opened.talking(),
        next: () => opened.step('ArrowRight'),
        previous: () => opened.step('ArrowLeft'),
        replay: () => closeUp.replay(),
        'last-look': () => closeUp.lastLook(),
        check: (button) => closeUp.shown !== null && void some.check(levelOf(button), [closeUp.shown]),
        phrase: (button) => closeUp.side.phrase(button.dataset.phrase!),
        'propose-answers': () => void some.propose(at.looking),
        show: onShown(
            (tile) =>
                void opened.tell(post(`${address}/showcase`, { canvas: tile.seat.canvas, page: closeUp.pageOf(tile) })),
        ),
        'copy-to-lead': onShown(
            (tile) => void run(`${address}/canvas/${tile.seat.canvas}/copy-to-lead`, { page: closeUp.pageOf(tile) }),
        ),
        'empty-one': () => emptyOne.showModal(),
        'send-out-one': onShown((tile) => openWindow('send-out', { seat: tile.seat.id, name: tile.nameShown })),
        'talk-closeup': onShown((tile) => opened.talk(tile.seat.id)),
        'hand-out-one': () => opened.handOut(),
    };
}

function aboutTheRoom({
    address,
    ask,
    lineUp,
    picture,
    drawer,
    opened,
    room,
    look,
    run,
}: Parts): Record<string, Action> {
    const who = new WhoIsIt(address, run);
    const window =
        (id: string): Action =>
        (button) =>
            openWindow(id, button.dataset);
    const modal =
        (id: string): Action =>
        () =>
            element<HTMLDialogElement>(`#${id}`).showModal();
    return {
        'hand-out': () => opened.handOut(),
        ask: () => ask.open(),
        offers: () => opened.offers(),
        picture: () => picture.open(),
        'close-picture': () => picture.close(),
        'keep-groups': () => picture.keep(),
        'show-entry': (button, event) =>
            lineUp.show(button.dataset.entry!, event.ctrlKey || event.metaKey || event.shiftKey),
        entry: (button) => lineUp.open(JSON.parse(button.dataset.entry!)),
        talk: (button) => opened.talk(button.dataset.seat!),
        door: () => opened.door(),
        keys: () => drawer.open('keys'),
        tools: () => {
            room.showTray();
            drawer.open('tools');
        },
        waiting: () => drawer.open('waiting-panel'),
        'who-is-it': (button) => who.ask(button.dataset),
        settings: () => drawer.open('settings'),
        timer: () => drawer.open('timing'),
        pens: () => room.togglePens(),
        names: () => room.nextNames(),
        'set-timer': (button) => room.setTimer(Number(button.dataset.seconds)),
        'pause-timer': () => room.pauseTimer(),
        'big-code': modal('big-code'),
        'add-prompt': modal('add-prompt'),
        rename: window('rename'),
        'turn-away': window('turn-away'),
        'send-out': window('send-out'),
        gather: (button) => void run(`${address}/prompt/${button.dataset.prompt}/gather`, {}),
        lead: () => opened.flip(),
        look: (button) => void look(button.dataset.prompt!),
    };
}

function pickSomebody(pick: PickWindow, chosen: Chosen): void {
    void pick.draw(chosen.tiles.length > 1 ? chosen.tiles.map(({ seat }) => seat.id) : null);
}

function write(opened: Overlays, some: CanvasActions): void {
    const [only, ...others] = opened.meant;
    if (others.length > 0) {
        some.write();
    } else if (only !== undefined) {
        opened.talk(only.seat.id);
    }
}

function listenToLetters({
    address,
    ask,
    lineUp,
    picture,
    at,
    grid,
    chosen,
    closeUp,
    compare,
    drawer,
    opened,
    pick,
    room,
    some,
    run,
}: Parts): void {
    const resize = (by: number): void => {
        const slider = element<HTMLInputElement>('#size');
        slider.value = String(Math.min(Number(slider.value), grid.visible()[0]?.root.offsetWidth ?? Infinity) + by);
        grid.resize(Number(slider.value));
    };
    listenToKeys(grid, {
        tile: () => closeUp.shown ?? grid.focused,
        hasTiles: () => opened.meant.length > 0,
        look: (tile, choose) => {
            if (closeUp.shown !== null) {
                if (!compare.isOpen) {
                    opened.closeUp(tile, false);
                }
                return;
            }
            if (choose) {
                if (grid.focused) {
                    chosen.startAt(grid.focused);
                }
                chosen.upTo(tile);
            }
            tile.focus();
        },
        choose: (tile) => chosen.toggle(tile),
        chooseAll: () => chosen.choose(grid.visible().map(({ seat }) => seat.id)),
        check: (level) => void some.check(level),
        letter: {
            a: () => ask.open(),
            e: () => opened.offers(),
            u: () => opened.talking(),
            m: () => picture.open(),
            '[': () => lineUp.step(-1),
            ']': () => lineUp.step(1),
            s: () => some.lineUp(),
            h: () => opened.handOut(),
            f: () => opened.flip(),
            n: () => room.nextNames(),
            p: () => room.togglePens(),
            t: () => drawer.open('timing'),
            g: () => void run(`${address}/prompt/${at.looking}/gather`, {}),
            d: () => opened.door(),
            w: () => write(opened, some),
            k: () => pickSomebody(pick, chosen),
            b: () => opened.shield(),
            v: () => opened.compare(),
            c: () => void closeUp.use('coach'),
            o: () => void closeUp.use('private'),
            r: () => closeUp.replay(),
            l: () => closeUp.isOpen && closeUp.lastLook(),
            '+': () => resize(TILE_STEP),
            '=': () => resize(TILE_STEP),
            '-': () => resize(-TILE_STEP),
            y: () => drawer.open('waiting-panel'),
            '?': () => drawer.open('keys'),
        },
        escape: () => opened.escape(),
    });
}
