import type { PlanWords } from '../protocol/words';
import type { PrintedChoice, Spot } from '../protocol/questions';
import { LINE } from '../questions/boxes';
import type { PaperSize } from '../canvas/model/paper';
import type { Workbench } from '../canvas/workbench';
import { fill } from '../page';
import { questionField } from '../questions/fields';
import { Spots } from '../questions/spots';
import type { Question } from './model';
import { present } from '../present';

const STEP = 10;
const NARROWEST = 40;
const LOWEST = 24;

interface Settings {
    assets: string;
    words: PlanWords;
    placed(question: string, spot: Spot): void;
    printed(question: string, options: PrintedChoice[]): void;
}

/** Questions at places on the open prompt's pages: dragged by their handle, moved and widened by keys. */
export class Places {
    private readonly spots: Spots;
    private shown = '';

    constructor(
        private readonly bench: Workbench,
        private readonly settings: Settings,
    ) {
        this.spots = new Spots(bench.view, bench.surface, () => bench.pages);
    }

    show(questions: Question[]): void {
        const now = JSON.stringify(questions);
        if (now === this.shown || this.spots.root.querySelector('.is-dragged') !== null) {
            this.spots.place();
            return;
        }
        this.shown = now;
        const focused = (document.activeElement as HTMLElement | null)?.dataset.spot;
        this.spots.show(
            questions.flatMap((question, i) => {
                const { spot } = question;
                if (spot === null) {
                    return [];
                }
                const box = { element: this.box(question, spot, i), spot };
                return question.kind === 'marked' ? [...this.printed(question, spot, i), box] : [box];
            }),
        );
        if (focused !== undefined) {
            this.spots.root.querySelector<HTMLElement>(`[data-spot="${focused}"]`)?.focus();
        }
    }

    private box(question: Question, spot: Spot, i: number): HTMLElement {
        const box = document.createElement('div');
        box.className = 'spot-edit';
        box.dataset.kind = question.kind;
        const handle = Object.assign(document.createElement('button'), {
            type: 'button',
            className: 'spot-handle',
            textContent: `${i + 1}`,
        });
        handle.dataset.spot = question.id;
        handle.setAttribute('aria-label', fill(this.settings.words.move_spot, { n: i + 1 }));
        const edge = Object.assign(document.createElement('span'), { className: 'spot-edge' });
        const field = questionField(question, i + 1, { ...this.settings, answer: () => undefined });
        field.root.inert = true;
        box.append(handle, ...(question.kind === 'marked' ? [] : [field.root, edge]));
        const put = (next: Spot): void => {
            const options = question.options as PrintedChoice[] | undefined;
            if (question.kind === 'marked' && options !== undefined) {
                // Its printed answers go with it.
                const [dx, dy] = [next.x - spot.x, next.y - spot.y];
                this.settings.printed(
                    question.id,
                    options.map((one) => ({ ...one, x: Math.max(0, one.x + dx), y: Math.max(0, one.y + dy) })),
                );
            }
            this.settings.placed(question.id, next);
        };
        this.drag(handle, box, (dx, dy) => ({ ...spot, x: spot.x + dx, y: spot.y + dy }), put);
        this.drag(edge, box, (dx, dy) => taller({ ...spot, w: spot.w + dx }, dy), put);
        this.steer(handle, spot, put);
        return box;
    }

    /** The printed answers of a question, each to be moved and resized. */
    private printed(question: Question, spot: Spot, i: number): { element: HTMLElement; spot: Spot }[] {
        const options = (question.options ?? []) as PrintedChoice[];
        return options.map((option, k) => {
            const letter = String.fromCharCode(65 + k);
            const box = Object.assign(document.createElement('div'), { className: 'spot-edit spot-printed' });
            const handle = Object.assign(document.createElement('button'), {
                type: 'button',
                className: 'spot-handle',
                textContent: letter,
            });
            handle.dataset.spot = `${question.id} ${option.id}`;
            const name = fill(this.settings.words.move_printed, { letter, n: i + 1 });
            handle.setAttribute('aria-label', name);
            const edge = Object.assign(document.createElement('span'), { className: 'spot-edge' });
            box.append(handle, edge);
            const at: Spot = { page: spot.page, x: option.x, y: option.y, w: option.w, h: option.h };
            const put = ({ x, y, w, h = LINE }: Spot): void =>
                this.settings.printed(
                    question.id,
                    options.map((one) => (one.id === option.id ? { ...one, x, y, w, h } : one)),
                );
            this.drag(handle, box, (dx, dy) => ({ ...at, x: at.x + dx, y: at.y + dy }), put);
            this.drag(edge, box, (dx, dy) => taller({ ...at, w: at.w + dx }, dy), put);
            this.steer(handle, at, put);
            return { element: box, spot: at };
        });
    }

    /** Arrow keys move what a handle belongs to; with Shift they change its size. */
    private steer(handle: HTMLElement, spot: Spot, put: (spot: Spot) => void): void {
        handle.addEventListener('keydown', (event) => {
            const by = { ArrowLeft: [-STEP, 0], ArrowRight: [STEP, 0], ArrowUp: [0, -STEP], ArrowDown: [0, STEP] }[
                event.key
            ];
            if (by !== undefined) {
                event.preventDefault();
                const [dx, dy] = [present(by[0]), present(by[1])];
                const next = event.shiftKey
                    ? taller({ ...spot, w: spot.w + dx }, dy)
                    : { ...spot, x: spot.x + dx, y: spot.y + dy };
                put(within(next, this.bench.view.paperSize));
            }
        });
    }

    private drag(
        grip: HTMLElement,
        box: HTMLElement,
        moved: (dx: number, dy: number) => Spot,
        put: (spot: Spot) => void,
    ): void {
        let from: { x: number; y: number } | null = null;
        let now: Spot | null = null;
        grip.addEventListener('pointerdown', (event) => {
            event.preventDefault();
            (grip as HTMLElement).focus();
            grip.setPointerCapture(event.pointerId);
            from = { x: event.clientX, y: event.clientY };
            box.classList.add('is-dragged');
        });
        grip.addEventListener('pointermove', (event) => {
            if (from !== null) {
                const { camera, paperSize } = this.bench.view;
                const by = (now: number, then: number): number => Math.round((now - then) / camera.scale);
                now = within(moved(by(event.clientX, from.x), by(event.clientY, from.y)), paperSize);
                this.spots.put(box, now);
            }
        });
        const end = (): void => {
            box.classList.remove('is-dragged');
            if (now !== null) {
                put(now);
            }
            from = now = null;
        };
        grip.addEventListener('pointerup', end);
        grip.addEventListener('pointercancel', end);
    }
}

/** A box gets a height of its own as soon as that is changed. */
function taller(spot: Spot, by: number): Spot {
    return by === 0 ? spot : { ...spot, h: Math.max(LOWEST, (spot.h ?? LINE) + by) };
}

function within(spot: Spot, [width, height]: PaperSize): Spot {
    const left = Math.max(0, Math.min(width - NARROWEST, spot.x));
    const top = Math.max(0, Math.min(height - 40, spot.y));
    return {
        ...spot,
        x: left,
        y: top,
        w: Math.max(NARROWEST, Math.min(width - left, spot.w)),
        ...(spot.h !== undefined && { h: Math.max(LOWEST, Math.min(height - top, spot.h)) }),
    };
}
