/** Whoever waits longer than this for what was asked before goes ahead: an answer that hangs is not to stop a desk. */
const PATIENCE_MS = 3000;

/**
 * What is asked of the server one thing after the other, as it was pressed: of two requests under way, the earlier one
 * can arrive last, and what it says would hold.
 */
export class InOrder {
    private last: Promise<unknown> = Promise.resolve();

    /** Does it when what was asked for before has been answered. Settles as it does. */
    do<T>(what: () => Promise<T>): Promise<T> {
        const turn = Promise.race([this.last, new Promise((late) => setTimeout(late, PATIENCE_MS))]);
        const done = turn.then(what);
        this.last = done.catch(() => undefined);
        return done;
    }

    /** Resolves when everything that was asked for so far has been answered, or could not be. */
    async settled(): Promise<void> {
        await this.last;
    }
}
