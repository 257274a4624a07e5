import type { Grid } from '../../grid/grid';
import { get } from '../../live/http';
import type { Desk } from '../shell/desk';

/** Answers that come together are asked for together. */
const WAIT_MS = 400;

/** What each student answered stands on their tile while it is asked. */
export class Choices {
    private timer = 0;
    private choices: Record<string, string> = {};

    constructor(
        private readonly desk: Desk,
        private readonly grid: Grid,
    ) {
        desk.bus.on('ask', () => this.changed());
        desk.bus.on('answered', () => this.changed());
        desk.bus.on('tiles', () => this.show());
        void this.take();
    }

    private changed(): void {
        if (this.timer === 0) {
            this.timer = window.setTimeout(() => {
                this.timer = 0;
                void this.take();
            }, WAIT_MS);
        }
    }

    private async take(): Promise<void> {
        const { choices } = await get<{ choices: Record<string, string> }>(`${this.desk.address}/ask-choices`).catch(
            () => ({ choices: this.choices }),
        );
        this.choices = choices;
        this.show();
    }

    private show(): void {
        this.grid.tiles.forEach((tile, seat) => tile.showChoice(this.choices[seat] ?? ''));
    }
}
