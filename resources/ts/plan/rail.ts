import type { PlanWords } from '../protocol/words';
import { element, fill } from '../page';
import { FOREIGN } from './others';
import type { PlanPrompt } from './model';
import { present } from '../present';

interface Settings {
    address: string;
    words: PlanWords;
    open(prompt: string): void;
    /** The same again, below it. */
    copy(prompt: string): void;
    /** Whether something of it could not be saved. */
    isRefused(prompt: string): boolean;
    /** Kept among the teacher's own ready-made ones. */
    keep(prompts: string[]): void;
    /** What is chosen is copied, each below the last of them, or taken out. */
    copyAll(prompts: string[]): void;
    removeAll(prompts: string[]): void;
    /** A prompt of another plan comes behind this one; null for the first place. */
    takeFrom(prompt: string, after: string | null): void;
    /** Moves a prompt after another (null: to the first place), or out of the plan. */
    place(prompt: string, after: string | null | false): void;
}

/** The prompts of a plan in order: chosen, moved by drag, by keys or by buttons, and taken out. */
export class Rail {
    private readonly list = element('#plan-prompts');
    private dragged = '';

    constructor(private readonly settings: Settings) {
        this.list.addEventListener('click', (event) => {
            const button = (event.target as Element).closest<HTMLElement>('button');
            const id = button?.closest('li')?.dataset.prompt;
            if (id !== undefined) {
                this.pressed(id, present(present(button).dataset.do));
            }
        });
        this.list.addEventListener('keydown', (event) => {
            const id = (event.target as Element).closest('li')?.dataset.prompt;
            if (id !== undefined && event.altKey && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
                event.preventDefault();
                this.pressed(id, event.key === 'ArrowUp' ? 'up' : 'down');
            }
        });
        this.list.addEventListener('dragstart', (event) => {
            this.dragged = (event.target as Element).closest('li')?.dataset.prompt ?? '';
        });
        this.list.addEventListener('dragover', (event) => {
            if (this.dragged !== '' || event.dataTransfer?.types.includes(FOREIGN) === true) {
                event.preventDefault();
            }
        });
        this.list.addEventListener('change', () => this.showChosen());
        element('#plan-chosen').addEventListener('click', (event) => {
            const act = (event.target as Element).closest<HTMLElement>('[data-chosen]')?.dataset.chosen;
            if (act !== undefined) {
                this.withChosen(act);
            }
        });
        this.list.addEventListener('drop', (event) => {
            event.preventDefault();
            const onto = (event.target as Element).closest<HTMLElement>('li');
            const foreign = event.dataTransfer?.getData(FOREIGN) ?? '';
            if (foreign !== '') {
                this.settings.takeFrom(foreign, this.beforeDrop(event, onto, this.ids()));
            } else if (onto !== null && onto.dataset.prompt !== this.dragged) {
                const ids = this.ids().filter((id) => id !== this.dragged);
                this.settings.place(this.dragged, this.beforeDrop(event, onto, ids));
            }
            this.dragged = '';
        });
    }

    show(prompts: PlanPrompt[], open: string): void {
        const focused = (document.activeElement?.closest('#plan-prompts li') as HTMLElement | null)?.dataset.prompt;
        const there = new Map(
            [...this.list.children].map((item) => [present((item as HTMLElement).dataset.prompt), item as HTMLElement]),
        );
        prompts.forEach((prompt, i) => {
            const item = there.get(prompt.id) ?? this.item(prompt.id);
            there.delete(prompt.id);
            item.classList.toggle('is-open', prompt.id === open);
            element('.plan-one', item).setAttribute('aria-current', String(prompt.id === open));
            element('.plan-one-n', item).textContent = String(i + 1);
            element('.plan-one-words', item).textContent =
                prompt.plain === '' ? this.settings.words.no_words : prompt.plain;
            item.classList.toggle('has-problem', prompt.problems.length > 0 || this.settings.isRefused(prompt.id));
            const picture = present(item.querySelector('img'));
            const source = `${this.settings.address}/prompt/${prompt.id}/picture.png?n=${prompt.n}`;
            if (picture.getAttribute('src') !== source) {
                picture.src = source;
            }
            if (this.list.children[i] !== item) {
                this.list.insertBefore(item, this.list.children[i] ?? null);
            }
        });
        there.forEach((item) => item.remove());
        this.showChosen();
        if (focused !== undefined && document.activeElement === document.body) {
            this.list.querySelector<HTMLElement>(`[data-prompt="${focused}"] .plan-one`)?.focus();
        }
    }

    /** Behind which prompt something is dropped: above or below the middle of the one under the pointer. */
    private beforeDrop(event: DragEvent, onto: HTMLElement | null, ids: string[]): string | null {
        if (onto === null) {
            return ids.at(-1) ?? null;
        }
        const box = onto.getBoundingClientRect();
        const at = ids.indexOf(present(onto.dataset.prompt)) + (event.clientY > box.top + box.height / 2 ? 1 : 0);
        return ids[at - 1] ?? null;
    }

    private get chosen(): string[] {
        return [...this.list.querySelectorAll<HTMLInputElement>('.plan-pick:checked')].map((pick) =>
            present(present(pick.closest('li')).dataset.prompt),
        );
    }

    private showChosen(): void {
        const n = this.chosen.length;
        element('#plan-chosen').hidden = n === 0;
        this.list.classList.toggle('has-chosen', n > 0);
        element('#plan-chosen-n').textContent = fill(this.settings.words.chosen, { n });
    }

    private withChosen(act: string): void {
        const { chosen, settings } = this;
        if (act === 'copy') {
            settings.copyAll(chosen);
        } else if (act === 'keep') {
            settings.keep(chosen);
        } else if (act === 'out') {
            settings.removeAll(chosen);
        }
        this.list.querySelectorAll<HTMLInputElement>('.plan-pick:checked').forEach((pick) => {
            pick.checked = false;
        });
        this.showChosen();
    }

    private ids(): string[] {
        return [...this.list.children].map((item) => present((item as HTMLElement).dataset.prompt));
    }

    private item(id: string): HTMLElement {
        const item = present(element<HTMLTemplateElement>('#plan-one-template').content.firstElementChild).cloneNode(
            true,
        ) as HTMLElement;
        item.dataset.prompt = id;
        return item;
    }

    private pressed(id: string, what: string): void {
        const ids = this.ids();
        const at = ids.indexOf(id);
        if (what === 'open') {
            this.settings.open(id);
        } else if (what === 'copy') {
            this.settings.copy(id);
        } else if (what === 'keep') {
            this.settings.keep([id]);
        } else if (what === 'out') {
            this.settings.place(id, false);
        } else if (what === 'up' && at > 0) {
            this.settings.place(id, ids[at - 2] ?? null);
        } else if (what === 'down' && at < ids.length - 1) {
            this.settings.place(id, present(ids[at + 1]));
        }
    }
}
