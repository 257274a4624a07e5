import { freshen } from '../shell/freshen';
import { HttpProblem } from '../../live/http';
import { element } from '../../page';
import type { Desk } from '../shell/desk';
import { present } from '../../present';

/** Where everybody stands, over the grid; and groups, which can be changed by hand before they are kept. */
export class ClassPicture {
    private readonly root = element('#picture');
    private readonly made = element('#groups-made');
    private before: HTMLElement | null = null;
    /** How often groups were asked for: those of an earlier wish are not taken. */
    private proposed = 0;

    readonly work = 'students';
    readonly goesOn = true;

    constructor(private readonly desk: Desk) {
        const open = (): void => this.open();
        const form = element<HTMLFormElement>('#groups-form');
        desk.actions.add(
            {
                picture: open,
                'close-picture': () => this.close(),
                'keep-groups': () => void this.keep(),
                'show-groups': () => void this.showGroups(),
                'groups-by-pattern': () => {
                    element<HTMLSelectElement>('[name=way]', form).value = 'slip';
                    form.scrollIntoView({ block: 'start' });
                    void this.propose(form);
                },
            },
            { picture: open },
        );
        form.addEventListener('submit', (event) => {
            event.preventDefault();
            void this.propose(form);
        });
        this.made.addEventListener('change', (event) => {
            const select = (event.target as Element).closest<HTMLSelectElement>('.group-of');
            if (select !== null) {
                this.move(present(select.closest<HTMLElement>('.group-student')), select.value);
            }
        });
        this.listenToDrags();
    }

    get isOpen(): boolean {
        return !this.root.hidden;
    }

    open(): void {
        this.before = document.activeElement as HTMLElement | null;
        this.root.hidden = false;
        element('#picture-title').focus();
        this.refresh();
    }

    close(): void {
        this.root.hidden = true;
        this.before?.focus();
    }

    private refresh(): void {
        if (this.isOpen) {
            void freshen(`${this.desk.address}/picture`, '#picture-body');
        }
    }

    private keep(): Promise<boolean> {
        const groups = [...this.made.querySelectorAll<HTMLElement>('.group')].map((group) =>
            [...group.querySelectorAll<HTMLElement>('.group-student')].map(({ dataset }) => present(dataset.seat)),
        );
        const places = [...this.made.querySelectorAll<HTMLInputElement>('.group-place input')].map(
            ({ value }) => value,
        );
        return this.desk.run(`${this.desk.address}/groups`, { groups, places });
    }

    private async showGroups(): Promise<void> {
        if (await this.keep()) {
            await this.desk.run(`${this.desk.address}/screen`, { view: 'groups' });
        }
    }

    private async propose(form: HTMLFormElement): Promise<void> {
        const asked = new URLSearchParams([...new FormData(form)].map(([name, value]) => [name, String(value)]));
        const mine = ++this.proposed;
        const problem = element('#groups-problem');
        problem.textContent = '';
        try {
            const answer = await fetch(`${this.desk.address}/groups?${asked}`, {
                headers: { Accept: 'application/json' },
            });
            if (!answer.ok) {
                const told = (await answer.json().catch(() => ({}))) as { message?: string };
                throw new HttpProblem(answer.status, told.message ?? this.desk.words.unreachable);
            }
            const groups = await answer.text();
            if (mine === this.proposed) {
                this.made.innerHTML = groups;
            }
        } catch (found) {
            problem.textContent = found instanceof HttpProblem ? found.message : this.desk.words.unreachable;
        }
    }

    private move(student: HTMLElement, to: string): void {
        element('ul', element(`.group[data-group="${to}"]`, this.made)).append(student);
        element<HTMLSelectElement>('.group-of', student).value = to;
    }

    private listenToDrags(): void {
        let dragged: HTMLElement | null = null;
        this.made.addEventListener('dragstart', (event) => {
            dragged = (event.target as Element).closest<HTMLElement>('.group-student');
        });
        this.made.addEventListener('dragover', (event) => {
            if (dragged !== null && (event.target as Element).closest('.group') !== null) {
                event.preventDefault();
            }
        });
        this.made.addEventListener('drop', (event) => {
            const group = (event.target as Element).closest<HTMLElement>('.group');
            if (dragged !== null && group !== null) {
                event.preventDefault();
                this.move(dragged, present(group.dataset.group));
            }
            dragged = null;
        });
    }
}
