import { decodeInk } from '../canvas/ink';
import type { Operation, WetInk } from '../canvas/model';
import type { KeptScene } from '../canvas/scene';
import { View } from '../canvas/view';
import { element, fill } from '../page';

export interface SeatAnswer {
    id: string;
    n: number;
    name: string;
    stone: string;
    ink: string;
    canvas: string | null;
    isSent?: boolean;
}

export interface StateAnswer {
    seat: string;
    state: string;
    minutes: number;
    level: number | null;
    isSent?: boolean;
    hand?: boolean;
}

export type StateWords = Record<string, string>;

/** What can be shown before it is stored: nothing that would make this page ask for a picture. */
const SHOWN_WET = new Set(['text', 'note', 'line', 'arrow', 'rectangle', 'ellipse', 'triangle', 'polygon', 'curve']);
/** A stroke whose dry form never came is let go after so long. */
const WET_LIFE_MS = 15_000;

/** One student's canvas in the grid, with what its frame says. */
export class Tile {
    readonly root: HTMLElement;
    readonly view: View;
    level: number | null = null;
    state = 'not_started';
    private readonly open: HTMLButtonElement;
    private wetTimer = 0;
    private drawingTimer = 0;

    constructor(
        public seat: SeatAnswer,
        template: HTMLTemplateElement,
        assets: string,
        stamps: Record<string, string>,
        private readonly words: StateWords,
    ) {
        this.root = (template.content.cloneNode(true) as DocumentFragment).firstElementChild as HTMLElement;
        this.root.dataset.seat = seat.id;
        this.open = element<HTMLButtonElement>('.tile-open', this.root);
        this.rename(seat);
        this.view = new View(element('.tile-page', this.root), assets, stamps, 0.9);
        this.showState({ seat: seat.id, state: 'not_started', minutes: 0, level: null });
    }

    /** The seat as it is called now. */
    rename({ name, stone, n }: Pick<SeatAnswer, 'name' | 'stone' | 'n'>): void {
        this.seat = { ...this.seat, name, stone };
        element('.tile-name .name-real', this.root).textContent = name;
        element('.tile-name .name-stone', this.root).textContent = stone;
        element('.tile-name .name-seat', this.root).textContent = fill(this.words.seat, { n });
    }

    showSent(isSent: boolean): void {
        element('.tile-sent', this.root).hidden = !isSent;
        this.root.classList.toggle('is-sent', isSent);
    }

    focus(): void {
        this.open.focus();
    }

    showState({ state, minutes, level, isSent, hand }: StateAnswer): void {
        isSent !== undefined && this.showSent(isSent);
        if (hand !== undefined) {
            element('.tile-hand', this.root).hidden = !hand;
        }
        // The first stroke is being drawn before the server has any.
        if (this.drawingTimer !== 0 && (state === 'quiet' || state === 'not_started')) {
            state = 'drawing';
        }
        this.state = state;
        this.root.dataset.state = state;
        // Under a minute a quiet student is just thinking: the frame says so without asking for attention.
        const word = state === 'quiet' && minutes === 0 ? 'thinking' : state;
        this.root.dataset.word = word;
        const words = fill(this.words[word] ?? word, { n: minutes });
        const place = element('.tile-state-words', this.root);
        if (place.textContent !== words) {
            place.textContent = words;
            element('.tile-state-short', this.root).textContent = fill(this.words[`${word}_short`] ?? words, { n: minutes });
            this.open.setAttribute('aria-label', fill(this.words.tile, { name: this.nameShown, state: words }));
        }
        this.showLevel(level);
    }

    get nameShown(): string {
        const shown: Record<string, string> = { real: this.seat.name, stone: this.seat.stone, none: fill(this.words.seat, { n: this.seat.n }) };
        return shown[document.body.dataset.names ?? 'real'];
    }

    showLevel(level: number | null): void {
        this.level = level;
        const mark = element('.strata', this.root);
        mark.dataset.level = level === null ? '' : String(level);
        mark.setAttribute('aria-label', fill(this.words.check, { level: level === null ? this.words.unchecked : this.words[`level${level}`] }));
    }

    /** Begins with the scene that the server kept. */
    begin(kept: KeptScene, n: number): void {
        this.view.begin(kept, n);
        this.follow([...kept.objects].at(-1)?.page ?? '');
    }

    /** Begins anew with the whole log. */
    restart(operations: Operation[]): void {
        const { page } = this.view;
        this.view.reset();
        this.view.take(operations);
        this.view.showPage(page);
    }

    take(operations: Operation[]): void {
        this.view.take(operations);
        const last = operations.at(-1);
        if (last !== undefined) {
            this.follow(last.kind === 'page' ? last.id : last.body.page ?? pageOf(this.view, last));
        }
    }

    /** The tile shows the page on which something happened last. */
    private follow(page: string | undefined): void {
        const { pages } = this.view.log.scene;
        if (page !== undefined && page !== this.view.page && pages.has(page)) {
            this.view.showPage(page);
        }
        const mark = element('.tile-pages', this.root);
        mark.hidden = pages.size === 1;
        mark.textContent = `${[...pages.keys()].indexOf(this.view.page) + 1}/${pages.size}`;
    }

    wet(message: WetInk): void {
        this.follow(message.g ?? '');
        showWet(this.view, message);
        this.drawingNow();
        window.clearTimeout(this.wetTimer);
        this.wetTimer = window.setTimeout(() => [...this.view.wetInk.keys()].forEach((id) => this.view.dropWet(id)), WET_LIFE_MS);
    }

    /** Ink is coming in: the frame says so at once, and the next count of states confirms it. */
    private drawingNow(): void {
        window.clearTimeout(this.drawingTimer);
        this.drawingTimer = window.setTimeout(() => {
            this.drawingTimer = 0;
        }, 4000);
        if (this.state !== 'drawing') {
            this.showState({ seat: this.seat.id, state: 'drawing', minutes: 0, level: this.level });
        }
    }
}

/** On which page something happened to what is, or was, there. */
function pageOf(view: View, { body }: Operation): string | undefined {
    const [target] = body.targets ?? body.cuts?.map((cut) => cut.target) ?? [body.target ?? ''];
    return view.log.scene.objects.get(target)?.page;
}

/** Puts a message about something being drawn onto a view. */
export function showWet(view: View, { o, s, p, t, x, g }: WetInk): void {
    if (x === 1) {
        view.dropWet(o);
    } else if (t !== undefined && SHOWN_WET.has(t.type)) {
        view.putWet(o, t, g ?? '');
    } else if (s !== undefined && p !== undefined) {
        view.growWet(o, s[2] === 1 ? 'highlight' : 'stroke', s[0], s[1], decodeInk(p), g ?? '');
    }
}
