import { mountWindow } from '../../bench/window';
import type { Tile } from '../../grid/tile';
import { get, post } from '../../live/http';
import { element, fill } from '../../page';
import type { Notice } from '../shell/commands';
import type { Tally } from '../shell/events';

interface Around {
    address: string;
    words: Record<string, string>;
    notice: Notice;
    run(address: string, body: unknown): Promise<boolean>;
    /** Says why a request failed, and puts the page right. */
    problem(problem: unknown): void;
    /** What is to be done is done with these: the close-up's, those that are chosen, or the one that has the focus. */
    tiles(): Tile[];
    checked(tally: Tally | null): void;
    pageOf(tile: Tile): string;
    withNotes(): boolean;
    /** Whether the prompt that is looked at is checked by Strata alone. */
    isStrata(): boolean;
}

interface CheckAnswer {
    tally: Tally;
    level: number | null;
    before: { canvas: string; judgement: unknown }[];
}

/** What a teacher does with one canvas or with several at once. */
export class CanvasActions {
    constructor(private readonly around: Around) {
        const write = mountWindow('#write-chosen', () => {
            const field = element<HTMLTextAreaElement>('#write-chosen-words');
            const seats = this.around.tiles().map(({ seat }) => seat.id);
            void this.around.run(`${this.around.address}/hand`, { seats, words: field.value }).then((done) => {
                field.value = done ? '' : field.value;
            });
        });
        write.addEventListener('close', () => write.querySelector('textarea')?.blur());
    }

    private get canvases(): string[] {
        return this.around.tiles().flatMap(({ seat }) => seat.canvas ?? []);
    }

    async check(level: number | null, tiles = this.around.tiles()): Promise<void> {
        const withCanvas = tiles.filter(({ seat }) => seat.canvas !== null);
        if (withCanvas.length === 0) {
            return;
        }
        const { address, words, notice } = this.around;
        // A key of a teacher's own scale says its level when the server has it.
        if (this.around.isStrata()) {
            withCanvas.forEach((tile) => tile.showLevel(level));
        }
        this.around.checked(null);
        try {
            const { tally, before } = await post<CheckAnswer>(`${address}/checks`, {
                canvases: withCanvas.map(({ seat }) => seat.canvas),
                level,
            });
            this.around.checked(tally);
            if (withCanvas.length > 1) {
                notice.say(fill(words.checked_some, { n: withCanvas.length }), {
                    word: words.undo,
                    press: () => void this.restore(before),
                });
            }
        } catch (problem) {
            this.around.problem(problem);
        }
    }

    /** Each canvas gets the check that it had. */
    private async restore(before: CheckAnswer['before']): Promise<void> {
        try {
            this.around.checked((await post<CheckAnswer>(`${this.around.address}/checks/restore`, { before })).tally);
        } catch (problem) {
            this.around.problem(problem);
        }
    }

    /** Says what the answers would say of those without a check; nothing holds until it is accepted. */
    async propose(prompt: string): Promise<void> {
        const { address, words, notice } = this.around;
        try {
            const { counts } = await get<{ counts: { word: string; n: number }[] }>(
                `${address}/prompt/${prompt}/proposed`,
            );
            if (counts.length === 0) {
                notice.say(words.nothing_proposed);
                return;
            }
            const said = counts.map(({ word, n }) => `${n} × ${word}`).join(', ');
            notice.say(
                fill(words.proposed, { counts: said }),
                { word: words.accept, press: () => void this.acceptProposed(prompt) },
                60_000,
            );
        } catch (problem) {
            this.around.problem(problem);
        }
    }

    /** What the answers say of those without a check becomes their check. */
    async acceptProposed(prompt: string): Promise<void> {
        const { address, words, notice } = this.around;
        try {
            const { tally, before } = await post<CheckAnswer>(`${address}/prompt/${prompt}/proposed`, {});
            this.around.checked(tally);
            notice.say(fill(words.checked_some, { n: before.length }), {
                word: words.undo,
                press: () => void this.restore(before),
            });
        } catch (problem) {
            this.around.problem(problem);
        }
    }

    lineUp(): void {
        const chosen = this.around
            .tiles()
            .filter(({ seat }) => seat.canvas !== null)
            .map((tile) => ({ canvas: tile.seat.canvas, page: this.around.pageOf(tile) }));
        if (chosen.length > 0) {
            void this.around.run(`${this.around.address}/line-up`, { chosen, notes: this.around.withNotes() });
        }
    }

    pensDown(): void {
        const seats = this.around.tiles().map(({ seat }) => seat.id);
        if (seats.length > 0) {
            void this.around.run(`${this.around.address}/pens`, {
                down: true,
                seats,
                words: this.around.words.pens_for,
            });
        }
    }

    write(): void {
        if (this.around.tiles().length > 0) {
            element<HTMLDialogElement>('#write-chosen').showModal();
        }
    }

    giveBack(): void {
        const { canvases } = this;
        if (canvases.length > 0) {
            void this.around.run(`${this.around.address}/give-back`, { canvases });
        }
    }
}
