import { element } from '../../page';
import { present } from '../../present';

/** The drawer at the right: one panel at a time. Closing gives the focus back to where it was. */
export class Drawer {
    private readonly root = element('#drawer');
    private before: HTMLElement | null = null;

    constructor(private readonly closed: (panel: string) => void) {
        this.root.addEventListener('click', (event) => {
            if ((event.target as Element).closest('[data-close]') !== null) {
                this.close();
            }
        });
    }

    get isOpen(): boolean {
        return !this.root.hidden;
    }

    get panel(): string {
        return this.root.hidden ? '' : present(this.root.dataset.panel);
    }

    open(panel: string, focus = true): void {
        if (this.root.hidden) {
            this.before = document.activeElement as HTMLElement | null;
        } else if (this.panel !== panel) {
            this.closed(this.panel);
        }
        for (const one of this.root.querySelectorAll<HTMLElement>('.panel')) {
            one.hidden = one.id !== panel;
        }
        this.root.dataset.panel = panel;
        this.root.hidden = false;
        if (focus) {
            element(`#${panel} h2`).focus();
        }
    }

    close(): void {
        if (this.root.hidden) {
            return;
        }
        const panel = this.panel;
        // A field that is hidden with its panel would go on swallowing keys for a moment.
        if (this.root.contains(document.activeElement)) {
            (document.activeElement as HTMLElement).blur();
        }
        this.root.hidden = true;
        this.closed(panel);
        this.before?.focus();
    }
}
