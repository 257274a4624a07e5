import { held, lineStep, nextLine, onward } from '../canvas/model/lines';
import type { Backdrop } from '../canvas/model/objects';
import type { View } from '../canvas/drawing/view';
import type { Workbench } from '../canvas/workbench';
import { element } from '../page';
import { present } from '../present';

/** What a device remembers of it. */
const KEPT = 'crag.writing';
const MAGNIFIED = [2, 3, 4] as const;
/** Ink that ends in the last part of the window moves it on, once the pen has rested so long. */
const LAST = 0.78;
const REST_MS = 650;
/** Of the stage's height it takes so much, within these bounds in CSS pixels. */
const SHARE = 0.4;
const LOWEST = 150;
const HIGHEST = 320;

interface Kept {
    isOpen: boolean;
    times: number;
}

/**
 * The writing window: a strip below the page that shows part of a line several times as large. What is written in it
 * lands on the page in its size; at its right edge it moves on, and from the end of a line to the next one.
 */
export class WritingWindow {
    private readonly root: HTMLElement;
    private readonly page: HTMLElement;
    private readonly lens: View;
    private readonly mark = Object.assign(document.createElement('div'), { className: 'writing-mark', hidden: true });
    private kept: Kept;
    /** The upper left corner of what it shows, in units, and where its lines begin. */
    private at = { x: 0, y: 0 };
    private began = 0;
    private restTimer = 0;
    private isPlacing = false;
    /** The shape of the page that it shows. */
    private paper = '';

    constructor(
        private readonly bench: Workbench,
        private readonly scope: HTMLElement,
        assets: string,
        stamps: Record<string, string>,
    ) {
        this.root = element('.writing', scope);
        this.page = element('.writing-page', scope);
        this.kept = remembered();
        this.lens = bench.view.twinOn(this.page, assets, stamps);
        bench.surface.append(this.mark);
        this.mark.append(Object.assign(document.createElement('span'), { className: 'writing-grip' }));
        this.listen();
        bench.drawOn(this.page, this.lens, () => this.lifted());
        new ResizeObserver(() => this.size()).observe(element('.stage', scope));
        const before = bench.view.moved;
        bench.view.moved = () => {
            before();
            // Another page may be of another shape.
            if (String(bench.view.paperSize) !== this.paper) {
                this.show();
            } else {
                this.placeMark();
            }
        };
        // Two fingers in the window move what it shows.
        this.lens.moved = () => this.followLens();
        this.open(this.kept.isOpen);
    }

    get isOpen(): boolean {
        return !this.root.hidden;
    }

    open(isOpen: boolean): void {
        const { view } = this.bench;
        const wasOpen = this.isOpen;
        this.root.hidden = !isOpen;
        this.mark.hidden = !isOpen;
        this.scope.classList.toggle('has-writing', isOpen);
        this.size();
        for (const button of this.scope.querySelectorAll('[data-writing=open]')) {
            button.setAttribute('aria-pressed', String(isOpen));
        }
        this.remember({ isOpen });
        if (isOpen && !wasOpen) {
            const { x, y } = view.seenPart;
            this.at = { x: Math.max(0, x), y: Math.max(0, y) };
            this.began = this.at.x;
            this.lens.wake();
            view.seeAll();
            this.show();
        } else if (!isOpen) {
            window.clearTimeout(this.restTimer);
            this.lens.sleep();
            if (wasOpen) {
                view.seeFirst();
            }
        }
    }

    private listen(): void {
        this.scope.addEventListener('click', (event) => {
            const button = (event.target as Element).closest<HTMLElement>('[data-writing]');
            const steps: Record<string, () => void> = {
                open: () => this.open(!this.isOpen),
                close: () => this.open(false),
                back: () => this.goTo({ x: this.at.x - this.seen.w * 0.7, y: this.at.y }),
                on: () => this.goOn(),
                line: () => this.goTo(nextLine(this.backdrop, this.seen, this.began)),
                up: () => this.goTo({ x: this.began, y: this.at.y - lineStep(this.backdrop, this.seen) }),
                times: () => {
                    const next = MAGNIFIED[(MAGNIFIED.indexOf(this.kept.times as 2) + 1) % MAGNIFIED.length];
                    this.remember({ times: present(next) });
                    this.show();
                },
            };
            if (button !== null) {
                steps[present(button.dataset.writing)]?.();
            }
        });
        let from: { x: number; y: number; at: { x: number; y: number } } | null = null;
        this.mark.addEventListener('pointerdown', (event) => {
            event.stopPropagation();
            event.preventDefault();
            this.mark.setPointerCapture(event.pointerId);
            from = { x: event.clientX, y: event.clientY, at: { ...this.at } };
        });
        this.mark.addEventListener('pointermove', (event) => {
            if (from !== null) {
                const { unitsPerPixel } = this.bench.view;
                this.goTo({
                    x: from.at.x + (event.clientX - from.x) * unitsPerPixel,
                    y: from.at.y + (event.clientY - from.y) * unitsPerPixel,
                });
                this.began = this.at.x;
            }
        });
        for (const kind of ['pointerup', 'pointercancel']) {
            this.mark.addEventListener(kind, () => {
                from = null;
            });
        }
    }

    private get backdrop(): Backdrop {
        const { view } = this.bench;
        return view.log.scene.pages.get(view.page) ?? { kind: 'blank' };
    }

    /** CSS pixels for each unit: so many times as large as the page is seen whole beside it. */
    private get scale(): number {
        const { camera, zoom } = this.bench.view;
        return (this.kept.times * camera.scale) / zoom;
    }

    /** The part of the page in the window, in units. */
    private get seen(): { x: number; y: number; w: number; h: number } {
        return { ...this.at, w: this.page.clientWidth / this.scale, h: this.page.clientHeight / this.scale };
    }

    private goOn(): void {
        this.goTo(onward(this.backdrop, this.seen, this.began));
    }

    private goTo(at: { x: number; y: number } | null): void {
        if (at !== null) {
            this.at = at;
            this.show();
        }
    }

    /** A part of the stage, enough for a line of writing. */
    private size(): void {
        const height = Math.max(LOWEST, Math.min(HIGHEST, element('.stage', this.scope).clientHeight * SHARE));
        this.scope.style.setProperty('--writing', this.isOpen ? `${Math.round(height)}px` : '0px');
        this.show();
    }

    private show(): void {
        if (!this.isOpen || this.page.clientWidth === 0) {
            return;
        }
        this.paper = String(this.bench.view.paperSize);
        this.at = held(this.backdrop, this.seen);
        const { scale } = this;
        this.isPlacing = true;
        this.lens.fit();
        this.lens.follow({ scale, x: -this.at.x * scale, y: -this.at.y * scale }, this.bench.view.paperSize);
        this.isPlacing = false;
        element('.writing-times', this.root).textContent = `${this.kept.times} ×`;
        this.placeMark();
    }

    /** Where two fingers have moved it; its size stays. */
    private followLens(): void {
        if (!this.isPlacing && this.isOpen) {
            const { x, y } = this.lens.seenPart;
            this.goTo({ x, y });
        }
    }

    /** On the page stands a frame around what the window shows. */
    private placeMark(): void {
        const { x, y, w, h } = this.seen;
        const { view } = this.bench;
        const [left, top] = view.toFrame(x, y);
        const [right, bottom] = view.toFrame(x + w, y + h);
        Object.assign(this.mark.style, {
            left: `${left}px`,
            top: `${top}px`,
            width: `${right - left}px`,
            height: `${bottom - top}px`,
        });
    }

    /** The pen has left the paper in the window. */
    private lifted(): void {
        window.clearTimeout(this.restTimer);
        const { tool } = this.bench.settings;
        if (tool !== 'pen') {
            return;
        }
        const last = this.bench.lastPlace;
        const { x, w } = this.seen;
        if (last !== null && last[0] > x + w * LAST) {
            this.restTimer = window.setTimeout(() => {
                if (!this.bench.isDrawing) {
                    this.goOn();
                }
            }, REST_MS);
        }
    }

    private remember(changed: Partial<Kept>): void {
        this.kept = { ...this.kept, ...changed };
        try {
            localStorage.setItem(KEPT, JSON.stringify(this.kept));
        } catch {
            // A browser that keeps nothing forgets this too.
        }
    }
}

function remembered(): Kept {
    try {
        const { isOpen, times } = JSON.parse(localStorage.getItem(KEPT) ?? '{}') as Partial<Kept>;
        return {
            isOpen: isOpen === true,
            times: (MAGNIFIED as readonly number[]).includes(times ?? 0) ? (times as number) : 3,
        };
    } catch {
        return { isOpen: false, times: 3 };
    }
}
