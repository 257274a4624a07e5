export type Action = (button: HTMLElement, event: MouseEvent) => void;

/** What buttons with `data-do` and single letters do: each part of the desk brings its own. */
export class Actions {
    private readonly buttons: Record<string, Action> = {};
    readonly letters: Record<string, () => void> = {};

    constructor() {
        document.addEventListener('click', (event) => {
            const button = (event.target as Element).closest<HTMLElement>('[data-do]');
            if (button !== null && !button.matches(':disabled')) {
                button.closest<HTMLDetailsElement>('details.menu-details')?.removeAttribute('open');
                this.buttons[button.dataset.do ?? '']?.(button, event);
            }
        });
    }

    /** Two parts that want the same name or the same key would hide each other. */
    add(buttons: Record<string, Action>, letters: Record<string, () => void> = {}): void {
        for (const [name, act] of Object.entries(buttons)) {
            if (this.buttons[name] !== undefined) {
                throw new Error(`Two parts of the desk have an action “${name}”.`);
            }
            this.buttons[name] = act;
        }
        for (const [key, act] of Object.entries(letters)) {
            if (this.letters[key] !== undefined) {
                throw new Error(`Two parts of the desk have the key “${key}”.`);
            }
            this.letters[key] = act;
        }
    }
}
