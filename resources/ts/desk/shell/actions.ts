export type Action = (button: HTMLElement, event: MouseEvent) => void;

/**
 * What buttons with `data-do` and single keys do: each part of the desk brings its own. Which key it is stands in one
 * list, from which the window of keys is written too: App\Http\Words\DeskKeys.
 */
export class Actions {
    private readonly buttons: Record<string, Action> = {};
    private readonly keyed: Record<string, (key: string) => void> = {};

    /** @param  keys  what each key does, by the action's name */
    constructor(private readonly keys: Record<string, string>) {
        document.addEventListener('click', (event) => {
            const button = (event.target as Element).closest<HTMLElement>('[data-do]');
            if (button !== null && !button.matches(':disabled')) {
                button.closest<HTMLDetailsElement>('details.menu-details')?.removeAttribute('open');
                this.buttons[button.dataset.do ?? '']?.(button, event);
            }
        });
    }

    /** Two parts that want the same name or the same key would hide each other. */
    add(buttons: Record<string, Action>, keyed: Record<string, (key: string) => void> = {}): void {
        for (const [name, act] of Object.entries(buttons)) {
            if (this.buttons[name] !== undefined) {
                throw new Error(`Two parts of the desk have an action “${name}”.`);
            }
            this.buttons[name] = act;
        }
        for (const [name, act] of Object.entries(keyed)) {
            if (this.keyed[name] !== undefined || !Object.values(this.keys).includes(name)) {
                throw new Error(`Two keys, or none, for “${name}”.`);
            }
            this.keyed[name] = act;
        }
    }

    /** What a key is for; nothing where it is none of the desk's. */
    nameOf(key: string): string {
        return this.keys[key] ?? '';
    }

    /** What a key does; undefined where it is none of the desk's. */
    ofKey(key: string): ((key: string) => void) | undefined {
        return this.keyed[this.nameOf(key)];
    }

    /** Keys that are listed and do nothing. */
    get idleKeys(): string[] {
        return Object.keys(this.keys).filter((key) => this.ofKey(key) === undefined);
    }
}
