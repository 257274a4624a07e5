import { post, reasonOf, sendFile } from '../live/http';
import { clearSent, element } from '../page';
import { present } from '../present';
import type { AskedCard, Card } from '../protocol/cards';
import type { Words } from '../protocol/words';
import { isRoom } from './boxes';
import { inOrder } from './order';

interface Settings {
    /** Of what holds them: where pictures are brought in and lines are read. */
    address: string;
    assets: string;
    words: Words<'picture_first' | 'unreachable' | 'ask_guessed' | 'ask_certain'>;
    changed(cards: Card[]): void;
}

/** What a card's select offers: choices are several as soon as more than one is right. */
type Shown = 'choice' | 'number' | 'maths' | 'text' | 'scale' | 'sure' | 'worked' | 'work';

/** A run's cards as they are written: x-run-cards. */
export class RunCards {
    private readonly list: HTMLElement;
    private readonly problem: HTMLElement;
    private shown = '';

    constructor(
        private readonly root: HTMLElement,
        private readonly settings: Settings,
    ) {
        this.list = element('.run-card-list', root);
        this.problem = element('[data-cards="problem"]', root);
        inOrder(this.list, '.run-card-grip', () => this.tell());
        root.addEventListener('click', (event) => this.pressed(event.target as Element));
        this.list.addEventListener('change', (event) => this.changed(event.target as HTMLInputElement));
    }

    get all(): Card[] {
        return [...this.list.children].map((item) => read(item as HTMLElement));
    }

    /** What is held elsewhere, unless it is what stands here. */
    show(cards: Card[]): void {
        const shown = JSON.stringify(cards);
        if (shown !== this.shown && shown !== JSON.stringify(this.all)) {
            this.list.replaceChildren(...cards.map((card) => this.item(card)));
            this.number();
        }
        this.shown = shown;
    }

    private tell(): void {
        this.number();
        this.say('');
        this.settings.changed(this.all);
    }

    private say(problem: string): void {
        this.problem.textContent = problem;
        this.problem.hidden = problem === '';
    }

    private number(): void {
        [...this.list.children].forEach((item, i) => {
            element('.run-card-n', item as HTMLElement).textContent = `${i + 1}.`;
        });
    }

    private pressed(target: Element): void {
        const item = target.closest<HTMLElement>('.run-card');
        const what = target.closest<HTMLElement>('[data-cards], [data-card], [data-choice]')?.dataset;
        if (what?.cards === 'add') {
            const made = this.item({
                kind: 'ask',
                question: blank('choice'),
                seconds: null,
                picture: '',
                look: 'bars',
            });
            this.list.append(made);
            this.tell();
            element('[data-card="words"]', made).focus();
        } else if (what?.cards === 'take') {
            void this.take();
        } else if (item !== null && what?.card === 'out') {
            const next = item.nextElementSibling ?? item.previousElementSibling;
            item.remove();
            this.tell();
            (next?.querySelector<HTMLElement>('.run-card-grip') ?? element('[data-cards="add"]', this.root)).focus();
        } else if (item !== null && what?.card === 'choice') {
            const row = this.choice({ id: '', words: '' }, false);
            element('.run-card-choices', item).append(row);
            element('[data-choice="words"]', row).focus();
        } else if (what?.choice === 'out') {
            present(target.closest('.run-card-choice')).remove();
            this.tell();
        } else if (item !== null && what?.card === 'no-picture') {
            this.picture(item, '');
            this.tell();
        }
    }

    private changed(field: HTMLInputElement): void {
        const item = present(field.closest<HTMLElement>('.run-card'));
        if (field.dataset.card === 'file') {
            void this.bringIn(item, field);
            return;
        }
        if (field.dataset.card === 'kind') {
            // What was kept of another kind of question does not belong to this one.
            delete item.dataset.rest;
            this.dress(item);
        }
        this.tell();
    }

    private async bringIn(item: HTMLElement, field: HTMLInputElement): Promise<void> {
        const file = field.files?.[0];
        field.value = '';
        if (file === undefined) {
            return;
        }
        try {
            const { objects } = await sendFile<{ objects: { object: { asset?: string } }[] }>(
                `${this.settings.address}/bring-in`,
                file,
            );
            const asset = objects[0]?.object.asset;
            if (asset === undefined) {
                this.say(this.settings.words.picture_first);
                return;
            }
            this.picture(item, asset);
            this.tell();
        } catch (problem) {
            this.say(reasonOf(problem, this.settings.words));
        }
    }

    private async take(): Promise<void> {
        const field = element<HTMLTextAreaElement>('[data-cards="lines"]', this.root);
        const lines = field.value;
        try {
            const { cards } = await post<{ cards: Card[] }>(`${this.settings.address}/cards`, { lines });
            this.list.append(...cards.map((card) => this.item(card)));
            clearSent(field, lines);
            this.tell();
            element('[data-card="words"]', present(this.list.lastElementChild) as HTMLElement).focus();
        } catch (problem) {
            this.say(reasonOf(problem, this.settings.words));
        }
    }

    private part(name: string): HTMLElement {
        const { content } = element<HTMLTemplateElement>(`template[data-cards="${name}"]`, this.root);
        return present(content.firstElementChild).cloneNode(true) as HTMLElement;
    }

    private item(card: Card): HTMLElement {
        const item = this.part('card');
        const question = card.kind === 'ask' ? card.question : null;
        put(item, 'kind', shownKind(card));
        put(item, 'words', question?.words ?? (card.kind === 'worked' ? card.words : ''));
        put(item, 'seconds', card.seconds === null ? '' : String(card.seconds));
        put(item, 'look', card.kind === 'ask' ? card.look : 'none');
        const right = question?.right ?? '';
        put(item, 'right', typeof right === 'string' ? right : right.join(' / '));
        if (question !== null) {
            item.dataset.rest = JSON.stringify(question);
        }
        element('.run-card-choices', item).append(
            ...(question?.options ?? blank('choice').options ?? []).map((option) =>
                this.choice(option, Array.isArray(right) && right.includes(option.id)),
            ),
        );
        this.picture(item, card.kind === 'work' ? '' : card.picture);
        this.dress(item);
        return item;
    }

    private choice(
        { id, words, picture }: { id: string; words: string; picture?: string },
        isRight: boolean,
    ): HTMLElement {
        const row = this.part('choice');
        row.dataset.id = id;
        row.dataset.picture = picture ?? '';
        element<HTMLInputElement>('[data-choice="words"]', row).value = words;
        element<HTMLInputElement>('[data-choice="right"]', row).checked = isRight;
        return row;
    }

    private picture(item: HTMLElement, asset: string): void {
        item.dataset.picture = asset;
        const shown = element<HTMLImageElement>('[data-card="picture"]', item);
        shown.hidden = asset === '';
        if (asset !== '') {
            shown.src = `${this.settings.assets}/${asset}`;
        }
        element('[data-card="no-picture"]', item).hidden = asset === '';
    }

    /** Only what belongs to its kind is seen. */
    private dress(item: HTMLElement): void {
        const kind = value(item, 'kind');
        item.dataset.kind = kind;
        for (const part of item.querySelectorAll<HTMLElement>('[data-for]')) {
            part.hidden = !present(part.dataset.for).split(' ').includes(kind);
        }
        if (kind === 'sure') {
            item.dataset.ends = JSON.stringify([this.settings.words.ask_guessed, this.settings.words.ask_certain]);
        }
    }
}

function put(item: HTMLElement, name: string, to: string): void {
    element<HTMLInputElement>(`[data-card="${name}"]`, item).value = to;
}

function value(item: HTMLElement, name: string): string {
    return element<HTMLInputElement>(`[data-card="${name}"]`, item).value.trim();
}

function shownKind(card: Card): Shown {
    if (card.kind !== 'ask') {
        return card.kind;
    }
    const { kind, to } = card.question;
    // What a piece shows is asked on canvases alone.
    return kind === 'choices'
        ? 'choice'
        : kind === 'state' || kind === 'graph' || kind === 'tick' || isRoom(kind)
          ? 'text'
          : kind === 'scale' && to === 4
            ? 'sure'
            : kind;
}

function blank(kind: 'choice'): AskedCard {
    const options = ['A', 'B', 'C', 'D'].map((words, i) => ({ id: `o${i + 1}`, words }));
    return { kind, words: '', options, right: [], shuffle: false };
}

function read(item: HTMLElement): Card {
    const kind = value(item, 'kind') as Shown;
    const seconds = value(item, 'seconds') === '' ? null : Number(value(item, 'seconds'));
    const picture = item.dataset.picture ?? '';
    if (kind === 'work') {
        return { kind, seconds };
    }
    if (kind === 'worked') {
        return { kind, words: value(item, 'words'), picture, seconds };
    }
    return { kind: 'ask', question: question(item, kind), seconds, picture, look: value(item, 'look') };
}

function question(item: HTMLElement, kind: Exclude<Shown, 'worked' | 'work'>): AskedCard {
    // What cards do not show (how exact an answer is, say) stays as it came.
    const rest = JSON.parse(item.dataset.rest ?? '{}') as Partial<AskedCard>;
    const words = value(item, 'words');
    const right = value(item, 'right');
    switch (kind) {
        case 'choice':
            return { ...rest, ...choices(item), words };
        case 'text':
            return {
                ...rest,
                kind,
                words,
                right: right
                    .split('/')
                    .map((one) => one.trim())
                    .filter((one) => one !== ''),
            };
        case 'scale':
            return { kind, from: 1, to: 5, low: '', high: '', ...rest, words };
        case 'sure': {
            const [low, high] = JSON.parse(item.dataset.ends ?? '["",""]') as [string, string];
            return { from: 1, to: 4, low, high, ...rest, kind: 'scale', words };
        }
        default:
            return { ...rest, kind, words, right };
    }
}

function choices(item: HTMLElement): Pick<AskedCard, 'kind' | 'options' | 'right' | 'shuffle'> {
    const rows = [...item.querySelectorAll<HTMLElement>('.run-card-choice')].map((row) => ({
        isRight: element<HTMLInputElement>('[data-choice="right"]', row).checked,
        words: element<HTMLInputElement>('[data-choice="words"]', row).value.trim(),
        picture: row.dataset.picture ?? '',
    }));
    const written = rows.filter(({ words, picture }) => words !== '' || picture !== '');
    const right = written.flatMap(({ isRight }, i) => (isRight ? [`o${i + 1}`] : []));
    return {
        kind: right.length > 1 ? 'choices' : 'choice',
        options: written.map(({ words, picture }, i) => ({
            id: `o${i + 1}`,
            words,
            ...(picture !== '' && { picture }),
        })),
        right,
        shuffle: false,
    };
}
