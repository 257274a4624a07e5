import type { Tile } from '../../grid/tile';
import { get, post } from '../../live/http';
import { fill } from '../../page';
import type { Tally } from '../../protocol/desk';
import type { Desk } from '../shell/desk';
import type { CloseUp } from '../watch/closeup';
import type { Looking } from '../watch/looking';
import type { StrataMenu } from './strata';

interface CheckAnswer {
    tally: Tally;
    level: number | null;
    before: { canvas: string; judgement: unknown }[];
}

/** A proposal from answers stands for so long. */
const PROPOSED_MS = 60_000;

const levelOf = ({ dataset: { level } }: HTMLElement): number | null =>
    level === undefined || level === '' ? null : Number(level);

/** Checks of one canvas or of several, and what answers propose. */
export class Checking {
    constructor(
        private readonly desk: Desk,
        private readonly looking: Looking,
        private readonly closeUp: CloseUp,
        private readonly strata: StrataMenu,
    ) {
        const { grid } = strata;
        desk.actions.add({
            'check-chosen': (button) => void this.check(levelOf(button)),
            check: (button) => closeUp.shown !== null && void this.check(levelOf(button), [closeUp.shown]),
            level: (button) => {
                const tile = grid.tiles.get(strata.seat);
                strata.close();
                if (tile !== undefined) {
                    void this.check(levelOf(button), [tile]);
                    tile.focus();
                }
            },
            'propose-answers': () => void this.propose(desk.store.now.looking),
        });
    }

    async check(level: number | null, tiles: Tile[] = this.looking.meant): Promise<void> {
        const withCanvas = tiles.filter(({ seat }) => seat.canvas !== null);
        if (withCanvas.length === 0) {
            return;
        }
        // A key of a teacher's own scale says its level when the server has it.
        const canvases = withCanvas.map(({ seat }) => seat.canvas);
        const telling = this.post('checks', { canvases, level });
        if (this.strata.isStrata) {
            withCanvas.forEach((tile) => tile.checkHere(level, telling));
        }
        this.closeUp.freshen();
        const answer = await this.ask(telling);
        if (answer !== null && withCanvas.length > 1) {
            this.sayChecked(withCanvas.length, answer.before);
        }
    }

    /** Says what the answers would say of those without a check; nothing holds until it is accepted. */
    private async propose(prompt: string): Promise<void> {
        const { address, words, say, problem } = this.desk;
        try {
            const { counts } = await get<{ counts: { word: string; n: number }[] }>(
                `${address}/prompt/${prompt}/proposed`,
            );
            if (counts.length === 0) {
                say(words.nothing_proposed);
                return;
            }
            const said = counts.map(({ word, n }) => `${n} × ${word}`).join(', ');
            say(
                fill(words.proposed, { counts: said }),
                { word: words.accept, press: () => void this.accept(prompt) },
                PROPOSED_MS,
            );
        } catch (found) {
            problem(found);
        }
    }

    /** What the answers say of those without a check becomes their check. */
    private async accept(prompt: string): Promise<void> {
        const answer = await this.ask(this.post(`prompt/${prompt}/proposed`, {}));
        if (answer !== null) {
            this.sayChecked(answer.before.length, answer.before);
        }
    }

    private sayChecked(n: number, before: CheckAnswer['before']): void {
        const { words, say } = this.desk;
        say(fill(words.checked_some, { n }), {
            word: words.undo,
            // Each canvas gets the check that it had.
            press: () => void this.ask(this.post('checks/restore', { before })),
        });
    }

    /** Of two checks of one canvas the one that was pressed last holds. */
    private post(to: string, body: unknown): Promise<CheckAnswer> {
        return this.desk.commands.inOrder(() => post<CheckAnswer>(`${this.desk.address}/${to}`, body));
    }

    private async ask(request: Promise<CheckAnswer>): Promise<CheckAnswer | null> {
        try {
            const answer = await request;
            this.desk.bus.tell('tally', answer.tally);
            this.closeUp.freshen();
            return answer;
        } catch (problem) {
            this.desk.problem(problem);
            // The tiles say again what the server has.
            this.desk.bus.tell('mend', null);
            return null;
        }
    }
}
