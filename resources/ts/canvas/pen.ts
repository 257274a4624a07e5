import type { Sample } from './ink';
import { TENTHS, newId } from './model';
import type { View } from './view';

export interface PenSettings {
    tool: 'pen' | 'eraser' | 'text';
    colour: string;
    /** Tenths of a unit. */
    width: number;
}

export interface PenListener {
    /** Samples of a stroke as it grows; `first` is how many came before. */
    grow(id: string, samples: Sample[], first: number): void;
    finish(id: string, samples: Sample[]): void;
    /** A place that the eraser went over, in units: as near to the next as needed to miss nothing. */
    erase(x: number, y: number): void;
    eraseEnd(): void;
    /** A tap with the text tool, in units. */
    tap(x: number, y: number): void;
}

/** Middle pressure, for what has none. */
const EVEN = 128;
/** Samples closer together than this, in tenths, say nothing new. */
const CLOSEST = 4;
/** A line that never ends is stored in pieces of so many samples. */
const LONGEST = 2000;
/** Between two places that the eraser looks at, in units. */
const RUB_STEP = 8;

/** Collects what mouse, touch and stylus do on a page. One pointer writes at a time. */
export function listenToPen(surface: HTMLElement, view: View, settings: PenSettings, to: PenListener): void {
    let pointer: number | null = null;
    let tool = settings.tool;
    let id = '';
    let began = 0;
    let samples: Sample[] = [];
    let rubbed: [number, number] | null = null;

    const place = (event: MouseEvent): [number, number] => {
        const box = surface.getBoundingClientRect();
        return [(event.clientX - box.left) * view.unitsPerPixel, (event.clientY - box.top) * view.unitsPerPixel];
    };

    /** A fast hand leaves wide gaps between its events; the eraser fills them. */
    const rub = (x: number, y: number): void => {
        const [fromX, fromY] = rubbed ?? [x, y];
        const steps = Math.max(1, Math.ceil(Math.hypot(x - fromX, y - fromY) / RUB_STEP));
        for (let i = 1; i <= steps; i++) {
            to.erase(fromX + ((x - fromX) * i) / steps, fromY + ((y - fromY) * i) / steps);
        }
        rubbed = [x, y];
    };

    const begin = (event: PointerEvent): void => {
        id = newId();
        began = event.timeStamp;
        samples = [];
        add([event]);
    };

    const add = (events: PointerEvent[]): void => {
        const first = samples.length;
        for (const event of events) {
            const [x, y] = place(event).map((unit) => Math.round(unit * TENTHS));
            const before = samples.at(-1);
            if (before !== undefined && Math.hypot(x - before[0], y - before[1]) < CLOSEST) {
                continue;
            }
            const pressure = event.pointerType === 'pen' ? Math.round(Math.min(1, event.pressure) * 255) : EVEN;
            const ms = Math.max(before?.[3] ?? 0, Math.round(event.timeStamp - began));
            samples.push([clamp(x, 16000), clamp(y, 10000), pressure, ms]);
        }
        if (samples.length > first) {
            const fresh = samples.slice(first);
            view.growWet(id, settings.colour, settings.width, fresh);
            to.grow(id, fresh, first);
        }
    };

    surface.addEventListener('pointerdown', (event) => {
        tool = settings.tool;
        if (pointer !== null || tool === 'text' || (event.pointerType === 'mouse' && event.button !== 0)) {
            return;
        }
        event.preventDefault();
        surface.focus({ preventScroll: true });
        pointer = event.pointerId;
        surface.setPointerCapture(pointer);
        if (tool === 'pen') {
            begin(event);
        } else {
            rubbed = null;
            rub(...place(event));
        }
    });

    surface.addEventListener('pointermove', (event) => {
        if (event.pointerId !== pointer) {
            return;
        }
        const coalesced = event.getCoalescedEvents?.() ?? [];
        const events = coalesced.length > 0 ? coalesced : [event];
        if (tool === 'eraser') {
            events.forEach((one) => rub(...place(one)));
            return;
        }
        add(events);
        if (samples.length >= LONGEST) {
            to.finish(id, samples);
            begin(event);
        }
    });

    const end = (event: PointerEvent): void => {
        if (event.pointerId !== pointer) {
            return;
        }
        pointer = null;
        if (tool === 'eraser') {
            to.eraseEnd();
        } else {
            to.finish(id, samples);
        }
    };
    // A click, not a touch: only then may a phone bring up its keyboard. The page must not take the focus back.
    surface.addEventListener('click', (event) => {
        if (settings.tool === 'text' && !isField(event.target)) {
            to.tap(...place(event));
        }
    });
    surface.addEventListener('mousedown', (event) => {
        if (!isField(event.target)) {
            event.preventDefault();
        }
    });
    surface.addEventListener('pointerup', end);
    surface.addEventListener('pointercancel', end);
}

function clamp(value: number, most: number): number {
    return Math.max(-1000, Math.min(most + 1000, value));
}

function isField(target: EventTarget | null): boolean {
    return target instanceof HTMLTextAreaElement;
}
