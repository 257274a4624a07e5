import htmx from 'htmx.org';
import type { Chosen } from '../../grid/chosen';
import type { Grid } from '../../grid/grid';
import type { Tile } from '../../grid/tile';
import { HttpProblem } from '../../live/http';
import { element } from '../../page';
import type { CloseUp } from '../watch/closeup';
import type { Compare } from '../watch/compare';
import type { DeskParts } from './events';
import type { Drawer } from './drawer';
import type { HandOutForm } from '../work/handout';
import type { Lead } from '../work/lead';
import type { ClassPicture } from '../checks/picture';
import type { StrataMenu } from '../checks/strata';
import type { Talking } from '../show/talking';

interface Parts {
    address: string;
    words: Record<string, string>;
    at: DeskParts['at'];
    grid: Grid;
    chosen: Chosen;
    closeUp: CloseUp;
    compare: Compare;
    lead: Lead;
    drawer: Drawer;
    handOut: HandOutForm;
    strata: StrataMenu;
    talking: Talking;
    picture(): ClassPicture;
    say(sentence: string): void;
    /** The door's list says each student's state. */
    sayStates(): void;
}

/**
 * What lies over the grid: the close-up, two canvases beside each other, the lead canvas, the drawer; one way in and
 * out of each.
 */
export class Overlays {
    constructor(private readonly parts: Parts) {}

    /**
     * The canvases that a key or a button means: the one in the close-up, those that are chosen, or the one that has
     * the focus.
     */
    get meant(): Tile[] {
        const { closeUp, chosen, grid } = this.parts;
        if (closeUp.shown !== null) {
            return [closeUp.shown];
        }
        return chosen.isEmpty ? [grid.focused].filter((tile) => tile !== undefined) : chosen.tiles;
    }

    closeUp(tile: Tile, focus = true): void {
        const { at, words, say, lead, grid, closeUp, drawer } = this.parts;
        if (at.isCovered) {
            say(words.covered);
            return;
        }
        if (tile.seat.canvas === null) {
            say(words.no_canvas);
            return;
        }
        if (lead.isOpen) {
            lead.close();
        }
        this.parts.talking.close();
        if (this.parts.picture().isOpen) {
            this.parts.picture().close();
        }
        grid.tiles.forEach((one) => one.root.classList.toggle('is-close', one === tile));
        void this.tell(closeUp.show(tile, focus));
        // Messages stand beside the canvas of the one who writes.
        if (drawer.panel === 'talk') {
            this.talk(tile.seat.id, false);
        } else {
            drawer.close();
        }
    }

    closeCloseUp(): void {
        const { closeUp, grid } = this.parts;
        const tile = closeUp.shown;
        closeUp.hide();
        grid.tiles.forEach((one) => one.root.classList.remove('is-close'));
        tile?.focus();
    }

    /** The next in the grid's order and filter. */
    step(key: string): void {
        const { grid, closeUp } = this.parts;
        const next = grid.beside(closeUp.shown ?? undefined, key);
        if (next !== undefined) {
            this.closeUp(next, false);
        }
    }

    compare(): void {
        const { closeUp, compare, chosen } = this.parts;
        const { shown } = closeUp;
        if (shown !== null) {
            void closeUp.use('look').then(() => compare.open([[shown, closeUp.lookedAt], [shown]]));
        } else {
            void compare.open(chosen.tiles.map((tile) => [tile]));
        }
    }

    flip(): void {
        const { lead, at } = this.parts;
        if (lead.isOpen) {
            lead.close();
        } else {
            this.parts.talking.close();
            this.closeAll();
            void this.tell(lead.open(at.looking));
        }
    }

    /** What the class sees, to be talked about; and back to the grid. */
    talking(): void {
        const { talking, lead } = this.parts;
        if (talking.isOpen) {
            talking.close();
        } else {
            this.closeAll();
            if (lead.isOpen) {
                lead.close();
            }
            void this.tell(talking.open());
        }
    }

    /** To those who are chosen, where some are; otherwise as it was left. */
    handOut(): void {
        const { drawer, handOut, closeUp, chosen } = this.parts;
        drawer.open('handout', false);
        handOut.show(closeUp.shown !== null || !chosen.isEmpty ? this.meant.map(({ seat }) => seat.id) : []);
    }

    /** One student: what was written, and what can be done. */
    talk(seat: string, focus = true): void {
        const { at, drawer, address } = this.parts;
        at.talked = seat;
        if (drawer.panel !== 'talk') {
            drawer.open('talk', false);
        }
        void htmx
            .ajax('get', `${address}/student/${seat}`, {
                source: '#talk-body',
                target: '#talk-body',
                swap: 'innerHTML',
            })
            .then(() => {
                const field = document.querySelector<HTMLElement>('#talk-words');
                if (focus) {
                    field?.focus();
                }
            });
    }

    /** What students offer to the class. */
    offers(): void {
        this.parts.drawer.open('offers');
        this.freshenOffers();
    }

    freshenOffers(): void {
        const body = element('#offers-body');
        // A heading that is being typed stays.
        if (
            this.parts.drawer.panel === 'offers' &&
            !(body.contains(document.activeElement) && document.activeElement!.matches('input:not([type=checkbox])'))
        ) {
            void htmx.ajax('get', `${this.parts.address}/offers`, {
                source: '#offers-body',
                target: '#offers-body',
                swap: 'innerHTML',
            });
        }
    }

    door(): void {
        this.parts.drawer.open('door');
        this.parts.sayStates();
    }

    shield(): void {
        const isUp = document.body.classList.toggle('is-shielded');
        element('#shield').hidden = !isUp;
        // Neither keys nor a screen reader find what is hidden.
        for (const part of document.querySelectorAll<HTMLElement>('.desk-middle, #lineup, body > dialog')) {
            part.inert = isUp;
        }
        if (isUp) {
            element('#shield button').focus();
        }
        element('#shield-button').setAttribute('aria-pressed', String(isUp));
        this.parts.say(isUp ? this.parts.words.shielded : this.parts.words.unshielded);
    }

    /** Back to the grid alone. */
    closeAll(): void {
        const { compare, closeUp } = this.parts;
        if (compare.isOpen) {
            compare.close();
        }
        this.parts.talking.close();
        if (this.parts.picture().isOpen) {
            this.parts.picture().close();
        }
        if (closeUp.isOpen) {
            this.closeCloseUp();
        }
    }

    /** Closes what was opened last; with nothing open, nothing is chosen any more. */
    escape(): void {
        const { strata, drawer, compare, closeUp, chosen } = this.parts;
        if (strata.isOpen) {
            strata.close();
        } else if (drawer.panel !== '') {
            drawer.close();
        } else if (compare.isOpen) {
            compare.close();
        } else if (this.parts.talking.isOpen) {
            this.parts.talking.close();
        } else if (this.parts.picture().isOpen) {
            this.parts.picture().close();
        } else if (closeUp.isReplaying) {
            closeUp.stopReplay();
        } else if (closeUp.isDrawing) {
            void closeUp.use('look');
        } else if (closeUp.isOpen) {
            this.closeCloseUp();
        } else {
            chosen.choose([]);
        }
    }

    /** A request whose failure is said. */
    async tell(request: Promise<unknown>): Promise<void> {
        try {
            await request;
        } catch (problem) {
            this.problem(problem);
        }
    }

    problem(problem: unknown): void {
        this.parts.say(
            problem instanceof HttpProblem && problem.status > 0 ? problem.message : this.parts.words.unreachable,
        );
    }
}
