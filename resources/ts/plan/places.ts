import type { PlanWords } from '../protocol/words';
import type { Spot } from '../protocol/questions';
import type { PaperSize } from '../canvas/model/paper';
import type { Workbench } from '../canvas/workbench';
import { fill } from '../page';
import { questionField } from '../questions/fields';
import { Spots } from '../questions/spots';
import type { Question } from './model';
import { present } from '../present';

const STEP = 10;
const NARROWEST = 80;

interface Settings {
    assets: string;
    words: PlanWords;
    placed(question: string, spot: Spot): void;
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
                return question.spot === null
                    ? []
                    : [{ element: this.box(question, question.spot, i), spot: question.spot }];
            }),
        );
        if (focused !== undefined) {
            this.spots.root.querySelector<HTMLElement>(`[data-spot="${focused}"]`)?.focus();
        }
    }

    private box(question: Question, spot: Spot, i: number): HTMLElement {
        const box = document.createElement('div');
        box.className = 'spot-edit';
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
        box.append(handle, field.root, edge);
        this.drag(handle, box, (dx, dy) => ({ ...spot, x: spot.x + dx, y: spot.y + dy }), question.id);
        this.drag(edge, box, (dx) => ({ ...spot, w: spot.w + dx }), question.id);
        handle.addEventListener('keydown', (event) => {
            const by = { ArrowLeft: [-STEP, 0], ArrowRight: [STEP, 0], ArrowUp: [0, -STEP], ArrowDown: [0, STEP] }[
                event.key
            ];
            if (by !== undefined) {
                event.preventDefault();
                this.settings.placed(
                    question.id,
                    within(
                        event.shiftKey
                            ? { ...spot, w: spot.w + present(by[0]) }
                            : { ...spot, x: spot.x + present(by[0]), y: spot.y + present(by[1]) },
                        this.bench.view.paperSize,
                    ),
                );
            }
        });
        return box;
    }

    private drag(grip: HTMLElement, box: HTMLElement, moved: (dx: number, dy: number) => Spot, id: string): void {
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
                this.settings.placed(id, now);
            }
            from = now = null;
        };
        grip.addEventListener('pointerup', end);
        grip.addEventListener('pointercancel', end);
    }
}

function within({ page, x, y, w }: Spot, [width, height]: PaperSize): Spot {
    const left = Math.max(0, Math.min(width - NARROWEST, x));
    return {
        page,
        x: left,
        y: Math.max(0, Math.min(height - 40, y)),
        w: Math.max(NARROWEST, Math.min(width - left, w)),
    };
}
