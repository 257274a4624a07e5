import { element } from '../page';
import { present } from '../present';
import { inOrder } from '../questions/order';

/** Crag\Plan\Task\Task. */
export interface PlannedTask {
    do: string;
    words: string;
    with: string;
}

/** What students are to try, each with what ticks it, in rows. */
export class PlannedTasks {
    private readonly list = element('#task-list');
    private shown = '';

    constructor(private readonly changed: (tasks: PlannedTask[]) => void) {
        inOrder(this.list, '.rows-grip', () => this.tell());
        element<HTMLSelectElement>('#task-add').addEventListener('change', (event) => {
            const select = event.target as HTMLSelectElement;
            if (select.value !== '') {
                const item = this.item({ do: select.value, words: '', with: '' });
                select.value = '';
                this.list.append(item);
                const needs = element('[data-task=with]', item);
                // What cannot be told without its word is told when it has one.
                if (needs.hidden) {
                    this.tell();
                    element('[data-task=words]', item).focus();
                } else {
                    needs.focus();
                }
            }
        });
        this.list.addEventListener('change', () => this.tell());
        this.list.addEventListener('click', (event) => {
            const button = (event.target as Element).closest('[data-task=out]');
            if (button !== null) {
                present(button.closest('.planned-task')).remove();
                this.tell();
                element('#task-add').focus();
            }
        });
    }

    get all(): PlannedTask[] {
        return [...this.list.children].map((item) => ({
            do: present((item as HTMLElement).dataset.do),
            words: field(item, 'words').value.trim(),
            with: field(item, 'with').value.trim(),
        }));
    }

    show(tasks: PlannedTask[]): void {
        const shown = JSON.stringify(tasks);
        if (shown !== this.shown && shown !== JSON.stringify(this.all)) {
            this.list.replaceChildren(...tasks.map((task) => this.item(task)));
        }
        this.shown = shown;
    }

    private tell(): void {
        this.changed(this.all);
    }

    private item(task: PlannedTask): HTMLElement {
        const { content } = element<HTMLTemplateElement>('#task-template');
        const item = present(content.firstElementChild).cloneNode(true) as HTMLElement;
        const kind = element<HTMLOptionElement>(`#task-add option[value="${task.do}"]`);
        item.dataset.do = task.do;
        element('.planned-task-kind', item).textContent = kind.textContent;
        field(item, 'words').value = task.words;
        field(item, 'words').placeholder = (kind.dataset.sentence ?? '').replace(':with', '…');
        field(item, 'with').value = task.with;
        field(item, 'with').hidden = kind.dataset.with !== '1';
        return item;
    }
}

function field(item: Element, name: string): HTMLInputElement {
    return element<HTMLInputElement>(`[data-task=${name}]`, item as HTMLElement);
}
