import { boxOf, pageBox, union } from '../model/bounds';
import type { Placed } from '../model/objects';
import { matrixOf, through } from '../model/place';
import type { View } from '../drawing/view';
import { sides } from './stretch';

/** A handle of the frame: corners scale, the knob above turns, the sides make wider or taller. */
export type Handle = 'nw' | 'ne' | 'se' | 'sw' | 'e' | 's' | 'turn';

const HANDLES: Handle[] = ['nw', 'ne', 'se', 'sw', 'e', 's', 'turn'];

/** How a handle is moved, in units of the page. */
export interface Pull {
    move(now: [number, number], isEven: boolean): void;
    end(): void;
}

/** The frame around what is chosen, with its handles; and the line that is drawn around what is to be chosen. */
export class SelectionFrame {
    private readonly root = Object.assign(document.createElement('div'), { className: 'selection', hidden: true });
    private readonly outline = document.createElementNS('http://www.w3.org/2000/svg', 'polygon');

    /** @param  pull  a handle was taken hold of, at a place of the page */
    constructor(
        surface: HTMLElement,
        private readonly view: View,
        private readonly pull: (handle: Handle, start: [number, number]) => Pull,
    ) {
        for (const handle of HANDLES) {
            const knob = Object.assign(document.createElement('div'), { className: 'knob' });
            knob.dataset.handle = handle;
            knob.addEventListener('pointerdown', (event) => this.hold(event, knob, handle));
            this.root.append(knob);
        }
        const svg = document.createElementNS('http://www.w3.org/2000/svg', 'svg');
        svg.classList.add('selection-outline');
        svg.append(this.outline);
        surface.append(svg, this.root);
    }

    showOutline(points: [number, number][]): void {
        this.outline.setAttribute('points', points.map(([x, y]) => this.view.toFrame(x, y).join(',')).join(' '));
    }

    /**
     * Turned with it when it is one object, upright around several.
     *
     * @param  layer  whose objects can be stretched
     */
    place(shown: Placed[], layer: Placed['layer']): void {
        const { root, view } = this;
        root.hidden = shown.length === 0;
        if (shown.length === 0) {
            return;
        }
        const single = shown.length === 1 ? shown[0] : undefined;
        const box = single === undefined ? union(shown.map(pageBox)) : boxOf(single.object);
        const matrix = matrixOf(single?.place);
        const [x, y] = view.toFrame(...through(matrix, box.left, box.top));
        const scale = view.camera.scale * Math.hypot(matrix[0], matrix[1]);
        root.style.width = `${(box.right - box.left) * scale}px`;
        root.style.height = `${(box.bottom - box.top) * scale}px`;
        root.style.transform = `translate(${x}px, ${y}px) rotate(${Math.atan2(matrix[1], matrix[0])}rad)`;
        const pulled = single === undefined ? [] : sides(single);
        root.classList.toggle('has-sides', pulled.length > 0 && single?.locked !== true && single?.layer === layer);
        root.classList.toggle(
            'is-locked',
            shown.some(({ locked }) => locked === true),
        );
        root.classList.toggle('is-flat', single !== undefined && !pulled.includes('h'));
    }

    private hold(event: PointerEvent, knob: HTMLElement, handle: Handle): void {
        event.preventDefault();
        event.stopPropagation();
        knob.setPointerCapture(event.pointerId);
        const pull = this.pull(handle, this.view.toPage(event.clientX, event.clientY));
        const move = (moved: PointerEvent): void =>
            pull.move(this.view.toPage(moved.clientX, moved.clientY), moved.shiftKey);
        const up = (): void => {
            knob.removeEventListener('pointermove', move);
            knob.removeEventListener('pointerup', up);
            knob.removeEventListener('pointercancel', up);
            pull.end();
        };
        knob.addEventListener('pointermove', move);
        knob.addEventListener('pointerup', up);
        knob.addEventListener('pointercancel', up);
    }
}
