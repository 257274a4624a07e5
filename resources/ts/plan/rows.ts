import { element } from '../page';
import { present } from '../present';
import { inOrder } from '../questions/order';

/** A short list that is written row by row: x-rows. */
export class Rows {
    private readonly list: HTMLElement;
    private shown = '';

    constructor(
        private readonly root: HTMLElement,
        private readonly changed: (lines: string[]) => void,
    ) {
        this.list = element('.rows-list', root);
        inOrder(this.list, '.rows-grip', () => this.tell());
        root.addEventListener('click', (event) => this.pressed(event.target as Element));
        root.addEventListener('keydown', (event) => this.keyed(event));
        this.list.addEventListener('change', (event) => {
            event.stopPropagation();
            this.tell();
        });
    }

    /** Without the empty ones. */
    get all(): string[] {
        return this.fields.map(({ value }) => value.trim()).filter((line) => line !== '');
    }

    /** What is held elsewhere, unless it is what stands here. */
    show(lines: string[]): void {
        const shown = JSON.stringify(lines);
        if (shown !== this.shown && shown !== JSON.stringify(this.all)) {
            this.list.replaceChildren(...lines.map((line) => this.row(line)));
        }
        this.shown = shown;
    }

    private get fields(): HTMLTextAreaElement[] {
        return [...this.list.querySelectorAll<HTMLTextAreaElement>('.rows-row > textarea')];
    }

    private tell(): void {
        this.changed(this.all);
    }

    private row(line: string): HTMLElement {
        const { content } = element<HTMLTemplateElement>('template[data-rows="row"]', this.root);
        const row = present(content.firstElementChild).cloneNode(true) as HTMLElement;
        element<HTMLTextAreaElement>('textarea', row).value = line;
        return row;
    }

    private pressed(target: Element): void {
        const what = target.closest<HTMLElement>('[data-rows]')?.dataset.rows;
        if (what === 'add') {
            this.add(null);
        } else if (what === 'out') {
            this.remove(present(target.closest<HTMLElement>('.rows-row')));
        }
    }

    private add(after: Element | null): void {
        const row = this.row('');
        if (after === null) {
            this.list.append(row);
        } else {
            after.after(row);
        }
        element('textarea', row).focus();
    }

    private remove(row: HTMLElement): void {
        const next = row.previousElementSibling ?? row.nextElementSibling;
        row.remove();
        this.tell();
        (next?.querySelector<HTMLElement>('textarea') ?? element('[data-rows="add"]', this.root)).focus();
    }

    private keyed(event: KeyboardEvent): void {
        const field = event.target as HTMLTextAreaElement;
        const row = field.closest<HTMLElement>('.rows-row');
        if (row === null || !field.matches('textarea')) {
            return;
        }
        if (event.key === 'Enter' && !event.isComposing) {
            event.preventDefault();
            this.tell();
            this.add(row);
        } else if (event.key === 'Backspace' && field.value === '') {
            event.preventDefault();
            this.remove(row);
        }
    }
}
