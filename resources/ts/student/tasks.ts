import type { Scene } from '../canvas/model/scene';
import { element, fill } from '../page';
import type { StudentWords } from '../protocol/words';
import type { Task } from '../protocol/tasks';
import { doneTasks, type Facts } from '../questions/tasks';

interface Around {
    words: StudentWords;
    say(sentence: string): void;
    scene(): Scene;
    facts(): Facts;
}

/** The tasks of a prompt that tick themselves: in the prompt's sheet, and counted on the strip. */
export class TaskList {
    private readonly list = element('#tasks');
    private readonly count = element('#tasks-n');
    private tasks: Task[] = [];
    private done: boolean[] | null = null;

    /** What was done before this page was opened comes in by and by, and is no news. */
    private hasActed = false;

    constructor(private readonly around: Around) {
        for (const act of ['pointerdown', 'keydown']) {
            window.addEventListener(
                act,
                () => {
                    this.hasActed = true;
                },
                { once: true, capture: true },
            );
        }
    }

    get listed(): number {
        return this.tasks.length;
    }

    take(tasks: Task[]): void {
        if (JSON.stringify(tasks) !== JSON.stringify(this.tasks)) {
            this.done = null;
            this.list.replaceChildren(
                ...tasks.map(({ words }) => {
                    const item = document.createElement('li');
                    item.append(
                        Object.assign(document.createElement('span'), { className: 'task-box', ariaHidden: 'true' }),
                        Object.assign(document.createElement('span'), { textContent: words, dir: 'auto' }),
                        Object.assign(document.createElement('span'), { className: 'visually-hidden task-said' }),
                    );
                    return item;
                }),
            );
        }
        this.tasks = tasks;
        this.list.hidden = tasks.length === 0;
        this.count.hidden = tasks.length === 0;
        this.freshen();
    }

    /** Something was drawn, taken back, sent or asked. */
    freshen(): void {
        if (this.tasks.length === 0) {
            return;
        }
        const before = this.done;
        const done = doneTasks(this.tasks, this.around.scene(), this.around.facts());
        if (before !== null && done.every((is, i) => is === before[i])) {
            return;
        }
        this.done = done;
        const { words } = this.around;
        [...this.list.children].forEach((item, i) => {
            item.classList.toggle('is-done', done[i] === true);
            element('.task-said', item as HTMLElement).textContent = done[i] === true ? words.task_is_done : '';
        });
        const n = done.filter(Boolean).length;
        this.count.textContent = `${n}/${done.length}`;
        this.count.ariaLabel = fill(words.tasks_done, { n, all: done.length });
        this.count.classList.toggle('is-done', n === done.length);
        if (before !== null && this.hasActed) {
            this.sayNew(before, done);
        }
    }

    private sayNew(before: boolean[], done: boolean[]): void {
        const fresh = this.tasks.filter((_, i) => done[i] === true && before[i] !== true);
        const last = fresh.at(-1);
        if (last !== undefined) {
            const { words } = this.around;
            this.around.say(done.every(Boolean) ? words.tasks_all : fill(words.task_done, { task: last.words }));
        }
    }
}
