import type { PlanWords } from '../protocol/words';
import type { Workbench } from '../canvas/workbench';
import { element } from '../page';
import type { BoxKind } from './model';

/** A rectangle on a page, in units. */
export interface Rectangle {
    x: number;
    y: number;
    w: number;
    h: number;
}

interface Settings {
    words: PlanWords;
    say(sentence: string): void;
    /**
     * A box was drawn.
     *
     * @param  to  the question to which it belongs as one more printed answer, where there is one
     * @return the question that it belongs to now
     */
    drawn(kind: BoxKind, box: Rectangle, to: string | null): string | null;
}

/** A drag that is shorter than this, in CSS pixels, was a press. */
const LEAST_PX = 8;

/** Draws answer boxes on the page of the open prompt: one drag each, until it is ended. */
export class DrawBoxes {
    private readonly sheet = Object.assign(document.createElement('div'), { className: 'box-sheet', hidden: true });
    private readonly frame = Object.assign(document.createElement('div'), { className: 'box-drawn', hidden: true });
    private readonly button = element<HTMLButtonElement>('#draw-boxes');
    private readonly kind = element<HTMLSelectElement>('#box-kind');
    private from: [number, number] | null = null;
    /** The question whose printed answers are being drawn. */
    private current: string | null = null;

    constructor(
        private readonly bench: Workbench,
        private readonly settings: Settings,
    ) {
        this.sheet.append(this.frame);
        bench.surface.append(this.sheet);
        this.button.addEventListener('click', () => (this.isOn ? this.end() : this.begin()));
        this.kind.addEventListener('change', () => {
            this.current = null;
            if (this.isOn) {
                this.begin();
            }
        });
        document.addEventListener('keydown', (event) => {
            if (event.key === 'Escape' && this.isOn) {
                event.preventDefault();
                this.end();
                this.button.focus();
            }
        });
        // Whoever takes a tool wants to draw with it.
        element('#plan-bench').addEventListener('click', (event) => {
            if (this.isOn && (event.target as Element).closest('[data-tool]') !== null) {
                this.end();
            }
        });
        this.sheet.addEventListener('pointerdown', (event) => this.press(event));
        this.sheet.addEventListener('pointermove', (event) => this.move(event));
        this.sheet.addEventListener('pointerup', (event) => this.lift(event));
        this.sheet.addEventListener('pointercancel', () => this.drop());
    }

    get isOn(): boolean {
        return !this.sheet.hidden;
    }

    end(): void {
        this.drop();
        this.current = null;
        this.sheet.hidden = true;
        this.button.setAttribute('aria-pressed', 'false');
    }

    private begin(): void {
        this.sheet.hidden = false;
        this.button.setAttribute('aria-pressed', 'true');
        const { words, say } = this.settings;
        say(this.kind.value === 'marked' ? words.draw_marked : words.draw_boxes);
    }

    private press(event: PointerEvent): void {
        event.stopPropagation();
        event.preventDefault();
        if (this.from === null && event.isPrimary) {
            this.sheet.setPointerCapture(event.pointerId);
            this.from = [event.clientX, event.clientY];
        }
    }

    private move(event: PointerEvent): void {
        event.stopPropagation();
        if (this.from !== null && event.isPrimary) {
            const { left, top } = this.sheet.getBoundingClientRect();
            const [x, y] = this.from;
            Object.assign(this.frame.style, {
                left: `${Math.min(x, event.clientX) - left}px`,
                top: `${Math.min(y, event.clientY) - top}px`,
                width: `${Math.abs(event.clientX - x)}px`,
                height: `${Math.abs(event.clientY - y)}px`,
            });
            this.frame.hidden = false;
        }
    }

    private lift(event: PointerEvent): void {
        event.stopPropagation();
        const { from } = this;
        if (from === null || !event.isPrimary) {
            return;
        }
        this.drop();
        if (Math.hypot(event.clientX - from[0], event.clientY - from[1]) < LEAST_PX) {
            return;
        }
        const { view } = this.bench;
        const [width, height] = view.paperSize;
        const [ax, ay] = view.toPage(...from);
        const [bx, by] = view.toPage(event.clientX, event.clientY);
        const within = (n: number, most: number): number => Math.round(Math.max(0, Math.min(most, n)));
        const [x, y] = [within(Math.min(ax, bx), width - 24), within(Math.min(ay, by), height - 24)];
        const box = {
            x,
            y,
            w: Math.max(24, within(Math.max(ax, bx), width) - x),
            h: Math.max(24, within(Math.max(ay, by), height) - y),
        };
        const kind = this.kind.value as BoxKind;
        const question = this.settings.drawn(kind, box, this.current);
        this.current = kind === 'marked' ? question : null;
    }

    private drop(): void {
        this.from = null;
        this.frame.hidden = true;
    }
}
