import { mountWindow } from '../../bench/window';
import { element } from '../../page';
import type { Desk } from '../shell/desk';
import { present } from '../../present';

interface Entry {
    id: number;
    caption: string;
    is_live: boolean;
    names: string | null;
    with_notes: boolean;
}

/** The line-up: what is shown, side by side, and what each entry says. */
export class LineUpBar {
    private entry: Entry | null = null;
    private readonly window: HTMLDialogElement;

    constructor(private readonly desk: Desk) {
        desk.actions.add(
            {
                'show-entry': ({ dataset: { entry = '' } }, event) =>
                    this.show(entry, event.ctrlKey || event.metaKey || event.shiftKey),
                // As the server wrote it: App\Models\Show\LineupEntry.
                entry: (button) => this.open(JSON.parse(button.dataset.entry ?? '{}') as Entry),
            },
            { 'show-previous': () => this.step(-1), 'show-next': () => this.step(1) },
        );
        this.window = mountWindow('#entry-window', (how) => void this.done(how));
        document.addEventListener('click', (event) => {
            const small = (event.target as Element).closest<HTMLElement>('#mini-screen');
            small?.setAttribute('aria-expanded', String(small.getAttribute('aria-expanded') !== 'true'));
        });
        this.listenToOrder();
    }

    /** One alone, or beside what is shown; shown again, it goes. */
    private show(entry: string, beside: boolean): void {
        void this.desk.run(`${this.desk.address}/line-up/${entry}/${beside ? 'beside' : 'show'}`, {});
    }

    /** By Alt and an arrow, or dragged to another's place. */
    private listenToOrder(): void {
        const entryOf = (target: EventTarget | null): string | undefined =>
            (target as Element | null)?.closest<HTMLElement>('.lineup-entry')?.dataset.entry;
        let dragged: string | undefined;
        document.addEventListener(
            'keydown',
            (event) => {
                const entry = entryOf(event.target);
                if (entry !== undefined && event.altKey && (event.key === 'ArrowLeft' || event.key === 'ArrowRight')) {
                    event.preventDefault();
                    event.stopPropagation();
                    void this.move(entry, event.key === 'ArrowLeft' ? -1 : 1);
                }
            },
            true,
        );
        document.addEventListener('dragstart', (event) => {
            dragged = entryOf(event.target);
            if (dragged !== undefined) {
                event.dataTransfer?.setData('text/plain', dragged);
            }
        });
        document.addEventListener(
            'dragover',
            (event) => dragged !== undefined && entryOf(event.target) !== undefined && event.preventDefault(),
        );
        document.addEventListener('drop', (event) => {
            const to = entryOf(event.target);
            const all = [...document.querySelectorAll<HTMLElement>('.lineup-entry')].map(({ dataset }) =>
                present(dataset.entry),
            );
            if (dragged !== undefined && to !== undefined && to !== dragged) {
                event.preventDefault();
                void this.move(dragged, all.indexOf(to) - all.indexOf(dragged));
            }
            dragged = undefined;
        });
    }

    private move(entry: string, by: number): Promise<boolean> {
        return this.desk.run(`${this.desk.address}/line-up/${entry}/change`, { by });
    }

    private step(by: -1 | 1): void {
        void this.desk.run(`${this.desk.address}/line-up/step`, { by });
    }

    private open(entry: Entry): void {
        this.entry = entry;
        element<HTMLInputElement>('#entry-caption').value = entry.caption;
        element<HTMLInputElement>('#entry-live').checked = entry.is_live;
        element<HTMLInputElement>('#entry-notes').checked = entry.with_notes;
        element<HTMLSelectElement>('#entry-names').value = entry.names ?? '';
        this.window.showModal();
    }

    private async done(how: string): Promise<void> {
        const at = `${this.desk.address}/line-up/${present(this.entry).id}`;
        if (how === 'remove') {
            await this.desk.run(`${at}/remove`, {});
        } else if (how === 'beside') {
            this.show(String(present(this.entry).id), true);
        } else if (how === 'earlier' || how === 'later') {
            await this.desk.run(`${at}/change`, { by: how === 'earlier' ? -1 : 1 });
        } else {
            const names = element<HTMLSelectElement>('#entry-names').value;
            const now: Record<string, unknown> = {
                caption: element<HTMLInputElement>('#entry-caption').value,
                is_live: element<HTMLInputElement>('#entry-live').checked,
                with_notes: element<HTMLInputElement>('#entry-notes').checked,
                names: names === '' ? null : names,
            };
            const was = this.entry as unknown as Record<string, unknown>;
            const changed = Object.fromEntries(Object.entries(now).filter(([name, value]) => value !== was[name]));
            if (Object.keys(changed).length > 0) {
                await this.desk.run(`${at}/change`, changed);
            }
        }
    }
}
