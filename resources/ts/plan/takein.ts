import type { PlanWords } from '../protocol/words';
import { get, post, reasonOf, sendFile } from '../live/http';
import { element, fill } from '../page';
import { present } from '../present';

export interface Intake {
    id?: string;
    state?: 'chosen' | 'waiting' | 'making' | 'ready' | 'failed';
    done: number | true;
    total: number;
    problem: string;
}

interface Settings {
    address: string;
    mostBytes: number;
    words: PlanWords;
    /** The prompt after which what is brought in comes. */
    after(): string;
    /** The ids of the prompts that are there. */
    sequence(): string[];
    /** Something new is there beside these. */
    arrived(before: string[]): Promise<void>;
    say(sentence: string): void;
}

const LOOK_MS = 700;
const MOST_SHOWN = 60;

/** Brings files into the plan: chosen, or dropped or pasted anywhere but on the canvas. */
export class TakeIn {
    private readonly dialog = element<HTMLDialogElement>('#pages-window');
    private readonly said = element('#plan-intake');
    private intake: Intake | null = null;
    /** Behind which prompt the next file comes, where that is another than the open one. */
    private place = '';
    private isChosen = false;
    private waiting: Promise<void> = Promise.resolve();
    private over: () => void = () => undefined;

    constructor(private readonly settings: Settings) {
        const input = element<HTMLInputElement>('#plan-file');
        input.addEventListener('change', () => {
            this.takeAll([...(input.files ?? [])]);
            input.value = '';
        });
        // One picture that is dropped on the canvas stands on it; all else, and everywhere else, comes into the plan.
        document.addEventListener('drop', (event) => this.dropped(event), true);
        document.addEventListener('paste', (event) => {
            if (!event.defaultPrevented && (event.target as Element).closest('#plan-bench') === null) {
                this.takeAll([...(event.clipboardData?.files ?? [])]);
            }
        });
        this.dialog.addEventListener('close', () => this.closed());
        element<HTMLInputElement>('#pages-choice').addEventListener('input', (event) =>
            this.tick((event.target as HTMLInputElement).value),
        );
        element('[data-cancel]', this.dialog).addEventListener('click', () => this.dialog.close());
        this.dialog.addEventListener('submit', (event) => {
            event.preventDefault();
            void this.choose();
        });
    }

    /**
     * One after the other, each behind the one before; what comes while others are being taken in waits for them.
     *
     * @param  behind  the prompt behind which they come; the open one without it
     */
    private takeAll(files: File[], behind = ''): void {
        this.waiting = this.waiting.then(async () => {
            this.place = behind;
            for (const file of files) {
                await this.take(file);
            }
            this.place = '';
        });
    }

    private dropped(event: DragEvent): void {
        const files = [...(event.dataTransfer?.files ?? [])];
        const target = event.target as Element;
        const isOneFor = target.closest('input[type=file]') !== null || target.closest('.run-cards') !== null;
        const isPicture = files.length === 1 && files[0]?.type.startsWith('image/') === true;
        if (files.length === 0 || isOneFor || (isPicture && target.closest('#plan-bench') !== null)) {
            return;
        }
        event.preventDefault();
        event.stopPropagation();
        // On a prompt of the list it comes behind that one.
        this.takeAll(files, target.closest<HTMLElement>('#plan-prompts [data-prompt]')?.dataset.prompt);
    }

    private async take(file: File): Promise<void> {
        const { address, words, sequence, arrived, say } = this.settings;
        const after = (): string => (this.place === '' ? this.settings.after() : this.place);
        const before = sequence();
        if (file.size > this.settings.mostBytes) {
            say(words.too_large);
            return;
        }
        this.said.textContent = words.bringing;
        try {
            const answer = await sendFile<Intake>(`${address}/take-in?after=${after()}`, file);
            if (answer.done === true) {
                await arrived(before);
                this.next(before);
                this.said.textContent = words.brought_in;
            } else {
                this.said.textContent = '';
                await this.ask(answer);
            }
        } catch (problem) {
            // It stays beside the button; the toast goes.
            const told = reasonOf(problem, words);
            this.said.textContent = told;
            say(told);
        }
    }

    /** What comes next stands behind what has just come. */
    private next(before: string[]): void {
        const fresh = this.settings.sequence().filter((id) => !before.includes(id));
        this.place = fresh.at(-1) ?? this.place;
    }

    /** Which pages, and what becomes of them; resolves when they are in, or left. */
    ask(intake: Intake): Promise<void> {
        this.intake = intake;
        const isOver = new Promise<void>((over) => {
            this.over = over;
        });
        const choice = element<HTMLInputElement>('#pages-choice');
        choice.value = intake.total === 1 ? '1' : `1-${Math.min(intake.total, MOST_SHOWN)}`;
        element('#pages-problem').textContent = '';
        element('#pages-pictures').replaceChildren(
            ...Array.from({ length: Math.min(intake.total, MOST_SHOWN) }, (_, i) => {
                const label = Object.assign(document.createElement('label'), { className: 'pages-one' });
                const box = Object.assign(document.createElement('input'), {
                    type: 'checkbox',
                    checked: true,
                    value: String(i + 1),
                });
                box.addEventListener('change', () => {
                    choice.value = ranges(
                        [...this.dialog.querySelectorAll<HTMLInputElement>('.pages-one input:checked')].map(
                            ({ value }) => Number(value),
                        ),
                    );
                });
                label.append(
                    Object.assign(document.createElement('img'), {
                        src: `${this.settings.address}/intake/${intake.id}/page/${i + 1}.png`,
                        alt: '',
                        loading: 'lazy',
                        width: 90,
                        height: 110,
                    }),
                    box,
                    String(i + 1),
                );
                return label;
            }),
        );
        this.dialog.showModal();
        choice.focus();
        return isOver;
    }

    /** Left without choosing. */
    private closed(): void {
        if (!this.isChosen) {
            this.over();
        }
    }

    /** The pictures show what is typed. */
    private tick(typed: string): void {
        const pages = pagesOf(typed);
        for (const box of this.dialog.querySelectorAll<HTMLInputElement>('.pages-one input')) {
            box.checked = pages.has(Number(box.value));
        }
    }

    private async choose(): Promise<void> {
        const before = this.settings.sequence();
        const pages = element<HTMLInputElement>('#pages-choice').value;
        const as = present(this.dialog.querySelector<HTMLInputElement>('input[name=as]:checked')).value;
        try {
            let now = await post<Intake>(`${this.settings.address}/intake/${present(this.intake).id}/pages`, {
                pages,
                as,
                after: this.place === '' ? this.settings.after() : this.place,
            });
            this.isChosen = true;
            this.dialog.close();
            while (now.state === 'waiting' || now.state === 'making') {
                this.said.textContent = fill(this.settings.words.bringing_pages, {
                    done: Number(now.done),
                    total: now.total,
                });
                await new Promise((again) => window.setTimeout(again, LOOK_MS));
                now = await get<Intake>(`${this.settings.address}/intake/${now.id}`).catch(() => now);
            }
            await this.settings.arrived(before);
            this.next(before);
            this.said.textContent = now.state === 'ready' ? this.settings.words.brought_in : '';
            if (now.state === 'failed') {
                this.settings.say(now.problem);
            }
        } catch (problem) {
            element('#pages-problem').textContent = reasonOf(problem, this.settings.words);
            if (this.dialog.open) {
                return;
            }
        }
        this.isChosen = false;
        this.over();
    }
}

/** "1-3, 7" as the pages 1, 2, 3 and 7; what is no page or range is left out. */
export function pagesOf(typed: string): Set<number> {
    const pages = new Set<number>();
    for (const [, from, to] of typed.matchAll(/(\d+)(?:\s*[-–]\s*(\d+))?/g)) {
        for (let page = Number(from); page <= Math.min(Number(to ?? from), Number(from) + 500); page++) {
            pages.add(page);
        }
    }
    return pages;
}

/** 1, 2, 3, 7 as "1-3, 7". */
export function ranges(pages: number[]): string {
    const parts: [number, number][] = [];
    for (const page of pages) {
        const last = parts.at(-1);
        if (last !== undefined && last[1] === page - 1) {
            last[1] = page;
        } else {
            parts.push([page, page]);
        }
    }
    return parts.map(([from, to]) => (from === to ? String(from) : `${from}-${to}`)).join(', ');
}
