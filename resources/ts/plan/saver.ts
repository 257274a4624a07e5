import { Flush } from '../live/flush';
import { HttpProblem, post } from '../live/http';
import type { PlanState } from './model';
import { present } from '../present';

/** A change waits so long for another of the same field. */
const PAUSE_MS = 600;
const AGAIN_MS = 3000;

interface Change {
    prompt: string | null;
    field: string;
    to: unknown;
    /** What the field was when the editor began to change it. */
    from: unknown;
}

/** What the server would not take, as it was typed. */
export interface Refused {
    prompt: string | null;
    field: string;
    to: unknown;
    /** Why, in words. */
    message: string;
}

interface Settings {
    address: string;
    /** Under which name the browser keeps what was refused. */
    kept: string;
    /** What the server has now. */
    present(prompt: string | null, field: string): unknown;
    saved(state: PlanState): void;
    /** The field is another's by now; resolves to whether mine shall stand. */
    conflict(field: string, theirs: unknown, mine: unknown): Promise<boolean>;
    /** What a list becomes that is saved without the lines that were refused. */
    good(prompt: string | null, field: string, list: unknown[], refused: number[]): unknown[];
    changed(waiting: boolean, reachable: boolean): void;
}

/**
 * Saves field by field, each with what it was before, one after the other, until the server has all of it. What the
 * server refuses stays here as it was typed, over a reload too, until it is mended or given up; of a list, the good
 * lines are saved.
 */
export class Saver {
    private readonly waiting = new Map<string, Change>();
    private readonly refused = new Map<string, Refused>();
    private readonly sender: Flush;

    constructor(private readonly settings: Settings) {
        this.sender = new Flush({
            isWaiting: () => this.waiting.size > 0,
            send: () => this.send(...present([...this.waiting][0])),
            changed: () => settings.changed(this.waiting.size > 0, this.sender.isReachable),
            wait: () => AGAIN_MS,
        });
        window.addEventListener('beforeunload', (event) => this.isBusy && event.preventDefault());
        kept(settings.kept).forEach((one) => this.refused.set(`${one.prompt}/${one.field}`, one));
    }

    get isBusy(): boolean {
        return this.waiting.size > 0 || this.sender.isSending;
    }

    /** Whether a field has changes here that the server does not have yet. */
    holds(prompt: string | null, field: string): boolean {
        return this.waiting.has(`${prompt}/${field}`);
    }

    /** What of a prompt the server does not have as it stands here: refused, or on its way. */
    standing(prompt: string | null): Record<string, unknown> {
        const here = [...this.refused.values(), ...this.waiting.values()].filter((one) => one.prompt === prompt);
        return Object.fromEntries(here.map(({ field, to }) => [field, to]));
    }

    get notTaken(): Refused[] {
        return [...this.refused.values()];
    }

    /** Keeps what cannot be saved, with the reason. */
    refuse(one: Refused): void {
        this.refused.set(`${one.prompt}/${one.field}`, one);
        this.keep();
    }

    /** Gives up what was refused: what the server has is shown again. */
    drop(prompt: string | null, field: string): void {
        if (this.refused.delete(`${prompt}/${field}`)) {
            this.keep();
        }
    }

    private keep(): void {
        try {
            window.localStorage.setItem(this.settings.kept, JSON.stringify(this.notTaken));
        } catch {
            // Without storage it stays as long as the page does.
        }
        this.settings.changed(this.waiting.size > 0, this.sender.isReachable);
    }

    set(prompt: string | null, field: string, to: unknown, at_once = false): void {
        const key = `${prompt}/${field}`;
        const from = this.waiting.get(key)?.from ?? this.settings.present(prompt, field);
        this.waiting.set(key, { prompt, field, to, from });
        this.drop(prompt, field);
        this.settings.changed(true, this.sender.isReachable);
        this.sender.soon(at_once ? 0 : PAUSE_MS);
    }

    /** Sends what waits; resolves when nothing does or nothing can be sent. */
    flush(): Promise<void> {
        return this.sender.now();
    }

    private async send(key: string, change: Change): Promise<void> {
        const { prompt, field, to, from } = change;
        const done = (): void => {
            // What was typed while this was on its way follows, on top of it.
            const now = this.waiting.get(key);
            if (now === change) {
                this.waiting.delete(key);
            } else if (now !== undefined) {
                now.from = this.settings.present(prompt, field);
            }
        };
        try {
            const state = await post<PlanState>(
                `${this.settings.address}${prompt === null ? '' : `/prompt/${prompt}`}/edits`,
                { field, from, to },
            );
            this.settings.saved(state);
            done();
        } catch (problem) {
            if (
                !(problem instanceof HttpProblem) ||
                problem.status === 0 ||
                problem.status >= 500 ||
                problem.status === 429
            ) {
                throw problem;
            }
            if (problem.status === 409) {
                const theirs = problem.told.present;
                const mine = await this.settings.conflict(field, theirs, this.waiting.get(key)?.to ?? to);
                if (mine) {
                    present(this.waiting.get(key)).from = theirs;
                    return;
                }
            } else if (this.waiting.get(key) === change) {
                this.refuse({ prompt, field, to, message: problem.message });
                const lines = (problem.told.lines ?? []) as number[];
                const good = Array.isArray(to) && lines.length > 0 ? this.settings.good(prompt, field, to, lines) : [];
                if (good.length > 0 && JSON.stringify(good) !== JSON.stringify(change.from)) {
                    this.waiting.set(key, { ...change, to: good });
                    return;
                }
            } else {
                return;
            }
            this.waiting.delete(key);
        }
    }
}

/** What the browser kept of an earlier page; nothing where it keeps nothing. */
function kept(name: string): Refused[] {
    try {
        return JSON.parse(window.localStorage.getItem(name) ?? '[]') as Refused[];
    } catch {
        return [];
    }
}
