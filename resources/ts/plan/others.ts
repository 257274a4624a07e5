import type { PlanWords } from '../protocol/words';
import { get } from '../live/http';
import { element } from '../page';

interface Told {
    id: string | null;
    prompts: { id: string; n: number; plain: string }[];
}

interface Settings {
    address: string;
    words: PlanWords;
    /** Takes a copy of another plan's prompt behind the open one. */
    take(prompt: string): void;
    say(sentence: string): void;
}

/** What a prompt of another plan is dragged as. */
export const FOREIGN = 'application/x-crag-prompt';

/** Another plan beside the open one, and the teacher's own ready-made prompts: both to take prompts from. */
export class OtherPlans {
    private readonly panel = element('#other-plan');
    private readonly select = element<HTMLSelectElement>('#other-which');
    private readonly list = element('#other-prompts');
    private readonly button = element('#plan-other');

    constructor(private readonly settings: Settings) {
        this.button.addEventListener('click', () => void (this.panel.hidden ? this.open() : this.close()));
        element('[data-close]', this.panel).addEventListener('click', () => this.close());
        this.select.addEventListener('change', () => void this.show(this.select.value));
        for (const list of [this.list, element('#own-ready')]) {
            list.addEventListener('click', (event) => {
                const prompt = (event.target as Element).closest<HTMLElement>('[data-take]')?.dataset.take;
                if (prompt !== undefined) {
                    list.closest('dialog')?.close();
                    settings.take(prompt);
                }
            });
        }
        this.list.addEventListener('dragstart', (event) => {
            const prompt = (event.target as Element).closest<HTMLElement>('[data-prompt]')?.dataset.prompt;
            if (prompt !== undefined) {
                event.dataTransfer?.setData(FOREIGN, prompt);
            }
        });
    }

    /** The teacher's own ready-made prompts above those that ship. */
    async showReady(): Promise<void> {
        const told = await get<Told>(`${this.settings.address}/ready`).catch(() => null);
        const place = element('#own-ready');
        place.hidden = told === null || told.prompts.length === 0;
        place.replaceChildren(...(told?.prompts ?? []).map((prompt) => this.item(told?.id ?? '', prompt)));
    }

    private async open(): Promise<void> {
        const { settings } = this;
        const answer = await get<{ plans: { id: string; title: string }[] }>(`${settings.address}/others`).catch(
            () => null,
        );
        if (answer === null || answer.plans.length === 0) {
            settings.say(answer === null ? settings.words.unreachable : settings.words.no_others);
            return;
        }
        this.select.replaceChildren(...answer.plans.map(({ id, title }) => new Option(title, id)));
        this.panel.hidden = false;
        this.button.setAttribute('aria-expanded', 'true');
        await this.show(this.select.value);
        this.select.focus();
    }

    private close(): void {
        this.panel.hidden = true;
        this.button.setAttribute('aria-expanded', 'false');
        this.button.focus();
    }

    private async show(plan: string): Promise<void> {
        const told = await get<Told>(`${this.settings.address}/others/${plan}`).catch(() => null);
        if (told === null || this.select.value !== plan) {
            return;
        }
        const none = Object.assign(document.createElement('li'), { textContent: this.settings.words.other_empty });
        this.list.replaceChildren(
            ...(told.prompts.length === 0 ? [none] : told.prompts.map((prompt) => this.item(plan, prompt))),
        );
    }

    private item(plan: string, { id, n, plain }: Told['prompts'][number]): HTMLElement {
        const item = Object.assign(document.createElement('li'), { className: 'other-one', draggable: true });
        item.dataset.prompt = id;
        const button = Object.assign(document.createElement('button'), { type: 'button', className: 'plan-one' });
        button.dataset.take = id;
        button.title = this.settings.words.take_prompt;
        button.append(
            Object.assign(new Image(112, 70), {
                src: `/plan/${plan}/prompt/${id}/picture.png?n=${n}`,
                alt: '',
                loading: 'lazy',
            }),
            Object.assign(document.createElement('span'), {
                className: 'plan-one-words',
                textContent: plain === '' ? this.settings.words.no_words : plain,
                dir: 'auto',
            }),
        );
        item.append(button);
        return item;
    }
}
