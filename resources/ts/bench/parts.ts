import { saidOf, sketchOf } from '../canvas/model/manipulative/manipulative';
import { Staff, type Act } from '../canvas/model/manipulative/rules';
import type { Part } from '../canvas/model/manipulative/sketch';
import { Values } from '../canvas/model/manipulative/values';
import { TENTHS, type Manipulative } from '../canvas/model/objects';
import { matrixOf } from '../canvas/model/place';
import { frameOf, isWorkable, nudged, pressed, typed } from '../canvas/tools/parts';
import type { Workbench } from '../canvas/workbench';
import { present } from '../present';
import { wordFor } from '../protocol/wordfor';
import { sentence } from '../said';
import { play } from './sound';

/** Smaller than this, in CSS pixels, no button is pressed well. */
const FINGER = 44;
const POINTER = 24;
/** As high as a button beside a drawing is, in units. */
const HIGH = 56;

const ARROWS: Record<string, readonly [number, number]> = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, -1],
    ArrowDown: [0, 1],
};

/**
 * The parts of manipulatives as buttons over the page: those beside a drawing are pressed by anybody, those of its
 * picture by keys and screen readers; a pointer works these through the page itself.
 */
export class PieceParts {
    private readonly root = Object.assign(document.createElement('div'), { className: 'piece-layer' });
    private readonly status = Object.assign(document.createElement('p'), { className: 'visually-hidden' });
    private readonly groups = new Map<string, Group>();

    constructor(private readonly bench: Workbench) {
        this.status.setAttribute('role', 'status');
        this.root.append(this.status);
        bench.surface.append(this.root);
        const before = bench.view.moved;
        bench.view.moved = () => {
            before();
            this.place();
        };
        bench.typeInto = (id, part) => this.groups.get(id)?.type(part.name, part.n);
    }

    /** Brings them up to what is on the page. */
    show(): void {
        const there = new Set<string>();
        for (const [id, placed] of this.bench.isLooking ? [] : this.bench.view.here()) {
            if (isWorkable(id, placed, this.bench)) {
                there.add(id);
                let group = this.groups.get(id);
                if (group === undefined) {
                    group = new Group((act) => this.work(id, act));
                    this.groups.set(id, group);
                    this.root.append(group.root);
                }
                group.show(placed.object, wordFor(this.bench.words, `piece_${placed.object.kind}`));
            }
        }
        for (const [id, group] of this.groups) {
            if (!there.has(id)) {
                group.root.remove();
                this.groups.delete(id);
            }
        }
        this.place();
    }

    private work(id: string, act: Act): void {
        const { object } = this.bench.view.log.scene.objects.get(id) ?? {};
        if (object?.type !== 'manipulative') {
            return;
        }
        if (act.part === 'play') {
            play(Staff.sounds(Values.of(object.settings), Values.of(object.state)));
            return;
        }
        this.bench.work(id, act);
        const after = this.bench.view.log.scene.objects.get(id)?.object;
        this.status.textContent = after?.type === 'manipulative' ? sentence(saidOf(after)) : '';
    }

    private place(): void {
        const { view } = this.bench;
        const { scale, x, y } = view.camera;
        const least = matchMedia('(pointer: coarse)').matches ? FINGER : POINTER;
        for (const [id, group] of this.groups) {
            const placed = view.log.scene.objects.get(id);
            if (placed?.object.type === 'manipulative') {
                const [a, b, c, d, e, f] = matrixOf(placed.place);
                const [left, top] = [placed.object.x / TENTHS, placed.object.y / TENTHS];
                const [atX, atY] = [a * left + c * top + e, b * left + d * top + f];
                const all = [a * scale, b * scale, c * scale, d * scale, atX * scale + x, atY * scale + y];
                group.root.style.transform = `matrix(${all.join(',')})`;
                const size = scale * Math.hypot(a, b);
                // Buttons that would be too small to press are made large enough, in a row of their own.
                const isRow = HIGH * size < least;
                group.root.classList.toggle('is-row', isRow);
                group.root.style.setProperty('--unscaled', String(1 / size));
            }
        }
    }
}

/** The parts of one manipulative. */
class Group {
    readonly root = Object.assign(document.createElement('div'), { className: 'piece-parts' });
    private readonly row = Object.assign(document.createElement('div'), { className: 'piece-row' });
    private readonly buttons = new Map<string, HTMLButtonElement>();
    private shown: Manipulative | null = null;
    private parts: Part[] = [];

    constructor(private readonly work: (act: Act) => void) {
        this.root.setAttribute('role', 'group');
        this.root.append(this.row);
        this.root.addEventListener('click', (event) => this.clicked(event));
        this.root.addEventListener('keydown', (event) => this.key(event));
        // The page beneath is not drawn on by who presses a button.
        this.root.addEventListener('pointerdown', (event) => event.stopPropagation());
    }

    show(object: Manipulative, what: string): void {
        if (this.shown === object) {
            return;
        }
        this.shown = object;
        const { parts, width, height } = sketchOf(object);
        this.parts = parts;
        this.root.style.width = `${width}px`;
        this.root.style.height = `${height}px`;
        this.root.setAttribute('aria-label', `${what}: ${sentence(saidOf(object))}`);
        const there = new Set<string>();
        for (const part of parts) {
            const key = `${part.name}:${part.n}`;
            there.add(key);
            this.showPart(key, part, object);
        }
        for (const [key, button] of this.buttons) {
            if (!there.has(key)) {
                button.remove();
                this.buttons.delete(key);
            }
        }
        this.rove();
    }

    private showPart(key: string, part: Part, object: Manipulative): void {
        let button = this.buttons.get(key);
        if (button === undefined) {
            button = document.createElement('button');
            button.type = 'button';
            button.className = part.isControl ? 'piece-control' : 'piece-part';
            button.dataset.part = key;
            this.buttons.set(key, button);
            (part.isControl ? this.row : this.root).append(button);
        }
        const label = sentence(part.label);
        if (part.isControl) {
            button.textContent = label;
        } else {
            button.setAttribute('aria-label', part.does === 'type' ? `${label}: ${part.value}` : label);
        }
        const { left, top, right, bottom } = frameOf(part.outline);
        Object.assign(button.style, {
            left: `${left}px`,
            top: `${top}px`,
            width: `${right - left}px`,
            height: `${bottom - top}px`,
        });
        button.dataset.kind = object.kind;
    }

    /** Parts that are only pressed are one stop for the Tab key; arrows go from one to the next. */
    private rove(): void {
        const plain = this.plain();
        const stays = plain.find((one) => one.tabIndex === 0) ?? plain[0];
        plain.forEach((one) => (one.tabIndex = one === stays ? 0 : -1));
    }

    private plain(): HTMLButtonElement[] {
        return this.parts.flatMap((part) => {
            const button = this.buttons.get(`${part.name}:${part.n}`);
            return part.does === 'press' && !part.isControl && button !== undefined ? [button] : [];
        });
    }

    private partOf(button: Element | null): Part | null {
        const key = button instanceof HTMLElement ? button.dataset.part : undefined;
        return this.parts.find(({ name, n }) => `${name}:${n}` === key) ?? null;
    }

    private clicked(event: Event): void {
        const part = this.partOf((event.target as Element).closest('button'));
        if (part?.does === 'type') {
            this.type(part.name, part.n);
        } else if (part !== null) {
            this.work(pressed(part));
        }
    }

    private key(event: KeyboardEvent): void {
        const by = ARROWS[event.key];
        const button = (event.target as Element).closest('button');
        const part = this.partOf(button);
        if (part === null || button === null) {
            return;
        }
        if (event.key === 'Escape') {
            button.blur();
        }
        if (by === undefined) {
            return;
        }
        event.preventDefault();
        if (part.does === 'drag') {
            const step = part.step * (event.shiftKey ? 5 : 1);
            this.work(nudged(part, [by[0] * step, by[1] * step]));
            return;
        }
        const plain = this.plain();
        const next = plain[plain.indexOf(button) + (by[0] + by[1] > 0 ? 1 : -1)];
        if (next !== undefined && plain.includes(button)) {
            button.tabIndex = -1;
            next.tabIndex = 0;
            next.focus();
        }
    }

    /** A field over the part: what is typed there holds when it is left. */
    type(name: string, n: number): void {
        const part = this.parts.find((one) => one.name === name && one.n === n);
        const button = this.buttons.get(`${name}:${n}`);
        if (part === undefined || button === undefined) {
            return;
        }
        const field = document.createElement('input');
        field.className = 'piece-number';
        field.value = String(part.value);
        field.inputMode = 'text';
        field.setAttribute('aria-label', present(button.getAttribute('aria-label')));
        field.style.cssText = button.style.cssText;
        let isDone = false;
        const done = (isKept: boolean): void => {
            if (isDone) {
                return;
            }
            isDone = true;
            const to = Number(field.value.trim().replace('−', '-'));
            const hadFocus = document.activeElement === field;
            field.remove();
            if (isKept && field.value.trim() !== '' && Number.isInteger(to) && Math.abs(to) <= 1_000_000) {
                this.work(typed(part, to));
            }
            if (hadFocus) {
                button.focus();
            }
        };
        field.addEventListener('blur', () => done(true));
        field.addEventListener('keydown', (event) => {
            event.stopPropagation();
            if (event.key === 'Enter' || event.key === 'Escape') {
                // The button beneath, which gets the focus back, is not pressed by the same key.
                event.preventDefault();
                done(event.key === 'Enter');
            }
        });
        this.root.append(field);
        field.focus();
        field.select();
    }
}
