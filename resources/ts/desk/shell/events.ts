import type { Room } from '../../protocol/room';
import type { Grid } from '../../grid/grid';
import type { SeatAnswer, Tile } from '../../grid/tile';
import { fill } from '../../page';
import type { Bands } from './bands';
import type { CloseUp } from '../watch/closeup';
import type { Notice } from './commands';

export type Tally = Record<string, number>;

/** The parts of the desk that hear what the server tells. */
export interface DeskParts {
    me: string;
    address: string;
    words: Record<string, string>;
    grid: Grid;
    closeUp: CloseUp;
    bands: Bands;
    notice: Notice;
    /** Where the students are, what the teacher looks at, whose messages are open, and whether work is covered. */
    at: { current: string; looking: string; talked: string; isCovered: boolean };
    look(prompt: string): Promise<void>;
    openTalk(seat: string, focus: boolean): void;
    takeWhole(tile: Tile): Promise<void>;
    closeCloseUp(): void;
    /** Something about quick asks has changed. */
    asked(): void;
    /** What the class sees has changed. */
    shown(): void;
    /** Something about offers has changed. */
    offered(): void;
    /** Tiles have come or gone. */
    changed(): void;
    heardPick(pick: number | null, seat: string): void;
    takeRoom(room: Room): void;
    countStates(): Promise<void>;
    showTally(tally: Tally): void;
    run(address: string, body: unknown): Promise<boolean>;
}

type Told = Record<string, unknown>;

/** What the desk does about each type of event. */
export function deskEvents(desk: DeskParts): Record<string, (body: Told) => void> {
    const { grid, closeUp, bands, notice, words, at } = desk;
    const refresh = (): void => bands.refresh();
    return {
        seat: (body) => {
            takeSeat(desk, body);
            if (at.talked === (body.seat as SeatAnswer).id) {
                desk.openTalk(at.talked, false);
            }
            desk.changed();
            void desk.countStates();
            bands.refresh();
        },
        check: (body) => {
            const tile = grid.ofCanvas(body.canvas as string);
            tile?.showLevel(body.level as number | null);
            closeUp.checked(body.canvas as string);
            if (tile !== undefined) {
                desk.showTally(body.tally as Tally);
            }
        },
        prompt: (body) => {
            const { id: next, again } = body.prompt as { id: string; again?: boolean };
            const follow = at.looking === at.current;
            at.current = next;
            desk.takeRoom(body.room as Room);
            // A prompt that nobody was at yet has no canvases; one that its plan changed may have others.
            const isNew = again === true || [...grid.tiles.values()].some(({ seat }) => seat.canvas === null);
            if (at.looking === next ? isNew : follow) {
                void desk.look(next);
            }
        },
        room: (body) => desk.takeRoom(body.room as Room),
        sent: (body) => {
            grid.ofCanvas(body.canvas as string)?.showSent(body.isSent as boolean);
            void desk.countStates();
            bands.refresh();
        },
        reveal: (body) => {
            bands.refresh();
            if (body.prompt === at.looking) {
                void desk.look(at.looking);
            }
        },
        ended: () => {
            location.href = `${desk.address}/ended`;
        },
        ending: (body) => {
            const time = new Date(body.at as number).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' });
            notice.say(
                fill(words.ending, { time }),
                { word: words.keep, press: () => void desk.run(`${desk.address}/keep-open`, {}) },
                600_000,
            );
        },
        deed: (body) => {
            const what = words[`told_${String(body.deed)}`];
            if (body.by !== desk.me && what !== undefined) {
                notice.say(fill(words.by, { name: body.name as string, what }));
            }
            bands.refresh();
        },
        pick: (body) => desk.heardPick(body.pick as number | null, body.seat as string),
        ask: () => {
            desk.asked();
            bands.refresh();
        },
        answered: () => desk.asked(),
        seats: () => void desk.look(at.looking),
        offer: () => {
            desk.offered();
            bands.refresh();
        },
        lineup: refresh,
        screen: () => {
            desk.shown();
            bands.refresh();
        },
        tray: refresh,
        got: refresh,
    };
}

/** A student comes in, goes out, or is called otherwise. */
function takeSeat({ grid, closeUp, closeCloseUp, at, takeWhole }: DeskParts, body: Told): void {
    const seat = body.seat as Omit<SeatAnswer, 'canvas'>;
    const there = grid.tiles.get(seat.id);
    if (body.state !== 'seated') {
        if (closeUp.shown?.seat.id === seat.id) {
            closeCloseUp();
        }
        grid.remove(seat.id);
    } else if (there !== undefined) {
        there.rename(seat);
    } else {
        grid.add({ ...seat, canvas: body.prompt === at.looking ? (body.canvas as string) : null });
        // Whoever comes back has work already.
        const tile = grid.tiles.get(seat.id)!;
        if (tile.seat.canvas !== null && (body.operations as number) > 0 && !at.isCovered) {
            void takeWhole(tile);
        }
    }
}
