/** What several parts of the desk go by. */
export interface DeskState {
    /** The prompt at which the students are. */
    current: string;
    /** The prompt whose canvases the teacher looks at. */
    looking: string;
    /** The seat whose messages are open; nothing while none are. */
    talked: string;
    /** Work is hidden from the teacher until it is revealed. */
    isCovered: boolean;
    /** How many have started at the prompt that is looked at. */
    started: number;
}

type Hear<State> = (now: State, before: State) => void;

/** One state, changed in one place; who listens is told of each change, and of nothing that stays as it is. */
export class Store<State extends object> {
    private readonly listeners: Hear<State>[] = [];

    constructor(private state: State) {}

    get now(): Readonly<State> {
        return this.state;
    }

    put(changed: Partial<State>): void {
        const before = this.state;
        const isOther = (Object.keys(changed) as (keyof State)[]).some((name) => changed[name] !== before[name]);
        if (isOther) {
            this.state = { ...before, ...changed };
            this.listeners.forEach((hear) => hear(this.state, before));
        }
    }

    /** Hears of every change of one of the values. */
    follow<Name extends keyof State>(name: Name, hear: (value: State[Name]) => void): void {
        this.listeners.push((now, before) => {
            if (now[name] !== before[name]) {
                hear(now[name]);
            }
        });
    }
}
