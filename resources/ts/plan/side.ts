import type { PlanWords } from '../protocol/words';
import type { Backdrop } from '../canvas/model/objects';
import { fillSettings, readSettings, showSettings } from '../bench/backdropform';
import { backdropAddress } from '../canvas/drawing/paper';
import { reasonOf, sendFile } from '../live/http';
import { element } from '../page';
import { Aspects } from './aspects';
import { Rows } from './rows';
import { PracticeForm } from './practice';
import { PlannedTasks } from './tasks';
import { RunCards } from '../questions/cards';
import type { Fields, PlanPrompt } from './model';
import { present } from '../present';

interface Settings {
    address: string;
    assets: string;
    set<F extends keyof Fields>(field: F, value: Fields[F]): void;
    putUnder(backdrop: Backdrop): void;
    /** The prompt and the page that are open. */
    where(): string;
    /** A backdrop that cannot be drawn, as it stands in the form, and why; null for one that can. */
    refused(backdrop: Backdrop, message: string | null): void;
    words: PlanWords;
    say(sentence: string): void;
}

const LISTS = ['steps', 'words', 'slips'] as const;

/** A picture that was taken in, and the size of a page in its proportions. */
interface Brought {
    objects: { object: { asset?: string } }[];
    paper?: string;
}

/** The settings of the open prompt beside its questions: backdrop, tools, time and points, what to look for. */
export class Side {
    private readonly backdrop = element<HTMLFormElement>('#backdrop-form');
    private readonly tray = element('#tray-choice');
    private readonly asks: RunCards;
    private readonly aspects: Aspects;
    private readonly tasks: PlannedTasks;
    private readonly practice: PracticeForm;
    private readonly lists: Partial<Record<(typeof LISTS)[number], Rows>> = {};
    private tried = 0;
    /** Where "Picture" was chosen and no file has come yet: what stands there must not take the choice away. */
    private awaitsFile: string | null = null;

    constructor(private readonly settings: Settings) {
        this.backdrop.addEventListener('change', (event) => void this.putUnder(event.target as HTMLInputElement));
        this.backdrop.addEventListener('submit', (event) => event.preventDefault());
        this.tray.addEventListener('change', () => this.takeTray());
        for (const field of ['minutes', 'points'] as const) {
            // What is no number at all leaves the field empty for scripts: the browser says so.
            input(field).addEventListener(
                'change',
                () =>
                    !input(field).validity.badInput &&
                    settings.set(field, input(field).value === '' ? null : Number(input(field).value)),
            );
        }
        input('sharing').addEventListener('change', () =>
            settings.set('sharing', input('sharing').value as Fields['sharing']),
        );
        for (const list of LISTS) {
            this.lists[list] = new Rows(element(`#look-${list}`), () => settings.set('look_for', this.lookFor()));
        }
        this.asks = new RunCards(element('#asks'), { ...settings, changed: (cards) => settings.set('asks', cards) });
        this.tasks = new PlannedTasks((tasks) => settings.set('tasks', tasks));
        this.practice = new PracticeForm({
            changed: (practice) => settings.set('practice', practice),
            address: () => `${settings.address}/prompt/${settings.where().split(' ')[0] ?? ''}`,
            say: settings.say,
            words: settings.words,
        });
        this.aspects = new Aspects((aspects) => settings.set('aspects', aspects));
        input('skills').addEventListener('input', () =>
            settings.set(
                'skills',
                input('skills')
                    .value.split(',')
                    .map((one) => one.trim())
                    .filter((one) => one !== ''),
            ),
        );
    }

    private lookFor(): Fields['look_for'] {
        const of = (list: (typeof LISTS)[number]): string[] => present(this.lists[list]).all;
        return { steps: of('steps'), words: of('words'), slips: of('slips') };
    }

    /** Fields that somebody is typing in stay as they are. */
    show(prompt: PlanPrompt): void {
        put('minutes', prompt.minutes === null ? '' : String(prompt.minutes));
        put('sharing', prompt.sharing);
        put('points', prompt.points === null ? '' : String(prompt.points));
        LISTS.forEach((list) => present(this.lists[list]).show(prompt.look_for[list]));
        this.asks.show(prompt.asks);
        this.aspects.show(prompt.aspects);
        this.tasks.show(prompt.tasks);
        this.practice.show(prompt.practice);
        put('skills', prompt.skills.join(', '));
        const kind = prompt.tray?.kind ?? '';
        element<HTMLInputElement>(`input[name=tray][value="${kind}"]`, this.tray).checked = true;
        element('#tray-tools').hidden = kind !== 'custom';
        for (const tool of this.tray.querySelectorAll<HTMLInputElement>('#tray-tools input')) {
            tool.checked = prompt.tray?.tools.includes(tool.value) ?? tool.value !== 'maths';
        }
    }

    showBackdrop({ kind, ...more }: Backdrop): void {
        const isAwaited = this.awaitsFile === this.settings.where();
        if (isAwaited || this.backdrop.contains(document.activeElement)) {
            return;
        }
        input('backdrop-kind').value = kind;
        fillSettings(this.backdrop, { kind, ...more });
        showSettings(this.backdrop, kind);
    }

    private async putUnder(changed: HTMLInputElement): Promise<void> {
        const kind = input('backdrop-kind').value;
        showSettings(this.backdrop, kind);
        this.awaitsFile = kind === 'picture' ? this.settings.where() : null;
        const problem = element('#backdrop-problem');
        problem.textContent = '';
        if (kind !== 'picture') {
            await this.tryOut(readSettings(this.backdrop, kind));
        } else if (changed.type === 'file' && changed.files?.[0] !== undefined) {
            try {
                const page = element<HTMLInputElement>('[name=pdf_page]', this.backdrop).value || 1;
                const address = `${this.settings.address}/bring-in?pdf_page=${page}`;
                const { objects, paper } = await sendFile<Brought>(address, changed.files[0]);
                const asset = objects[0]?.object.asset;
                if (asset === undefined) {
                    problem.textContent = this.settings.words.picture_first;
                } else {
                    this.awaitsFile = null;
                    this.settings.putUnder({ kind, asset, ...(paper !== undefined && { paper }) });
                }
            } catch (trouble) {
                problem.textContent = reasonOf(trouble, this.settings.words);
            }
            changed.value = '';
        }
    }

    /** Only what can be drawn goes under the page; what cannot stays in the form, with the reason. */
    private async tryOut(backdrop: Backdrop): Promise<void> {
        const tried = ++this.tried;
        const where = this.settings.where();
        const address = backdropAddress(backdrop, '');
        const answer =
            address === '' ? null : await fetch(address, { headers: { Accept: 'application/json' } }).catch(() => null);
        const reason =
            answer !== null && answer.status >= 400 && answer.status < 500
                ? ((await answer.json()) as { message: string }).message
                : null;
        // What was chosen since counts, and only where it was chosen.
        if (tried === this.tried && where === this.settings.where()) {
            this.settings.refused(backdrop, reason);
            if (reason === null) {
                this.settings.putUnder(backdrop);
            }
        }
    }

    private takeTray(): void {
        const kind = element<HTMLInputElement>('input[name=tray]:checked', this.tray).value;
        element('#tray-tools').hidden = kind !== 'custom';
        const tools = [...this.tray.querySelectorAll<HTMLInputElement>('#tray-tools input:checked')].map(
            ({ value }) => value,
        );
        // Which tools a tray holds is the server's to say; a custom one holds those that are ticked.
        this.settings.set('tray', kind === '' ? null : { kind, tools: kind === 'custom' ? tools : ['picture'] });
    }
}

function input(id: string): HTMLInputElement {
    return element<HTMLInputElement>(`#${id}`);
}

function put(id: string, value: string): void {
    const field = input(id);
    if (document.activeElement !== field) {
        field.value = value;
    }
}
