import type { View } from './view';

/** A pointer on the page: units, pressure 0–255, milliseconds of the event's own clock. */
export interface Point {
    x: number;
    y: number;
    pressure: number;
    ms: number;
    shift: boolean;
    pointer: string;
}

/** What a pointer does with a tool, from touching the page to leaving it. */
export interface Tool {
    down(at: Point): void;
    move(points: Point[]): void;
    up(at: Point): void;
    /** It became something else: two fingers, a palm, a pointer that the system took away. */
    cancel(): void;
}

/** Middle pressure, for what has none. */
const EVEN = 128;
/** A second finger that comes this soon makes one gesture of both; later, the line is finished first. */
const TOGETHER_MS = 250;
const WHEEL_ZOOM = 0.0016;

/** The hand on the page. */
export interface Hand {
    /** Whether something is being drawn. */
    isDrawing(): boolean;
    /** What is being drawn is finished as it stands. */
    rest(): void;
}

/**
 * Who draws, and who moves the page. One pointer works the tool; two fingers pan and zoom. Once a stylus has been seen,
 * it works the tool and fingers only move the page, so that a resting palm draws nothing.
 */
export function listenToGestures(surface: HTMLElement, view: View, tool: () => Tool | null): Hand {
    const fingers = new Map<number, { x: number; y: number }>();
    let drawing: { id: number; tool: Tool; began: number; last: Point } | null = null;
    let panning: number | null = null;
    let hasStylus = false;
    let spaceHeld = false;

    const point = (event: PointerEvent): Point => {
        const [x, y] = view.toPage(event.clientX, event.clientY);
        const pressure = event.pointerType === 'pen' ? Math.round(Math.min(1, event.pressure) * 255) : EVEN;
        return { x, y, pressure, ms: event.timeStamp, shift: event.shiftKey, pointer: event.pointerType };
    };

    const stopDrawing = (): void => {
        if (drawing !== null) {
            const { tool: used, began, last } = drawing;
            drawing = null;
            if (performance.now() - began < TOGETHER_MS) {
                used.cancel();
            } else {
                used.up(last);
            }
        }
    };

    const movesPage = (event: PointerEvent): boolean =>
        (event.pointerType === 'mouse' && (event.button === 1 || spaceHeld)) || (event.pointerType === 'touch' && (hasStylus || fingers.size > 1));

    surface.addEventListener('pointerdown', (event) => {
        if (isField(event.target) || (event.pointerType === 'mouse' && event.button > 1)) {
            return;
        }
        if (event.pointerType === 'pen') {
            hasStylus = true;
            fingers.clear();
            panning = null;
        } else if (event.pointerType === 'touch') {
            fingers.set(event.pointerId, { x: event.clientX, y: event.clientY });
        }
        if (movesPage(event)) {
            stopDrawing();
            panning = event.pointerId;
            fingers.set(event.pointerId, { x: event.clientX, y: event.clientY });
            capture(surface, event.pointerId);
            event.preventDefault();
            return;
        }
        const chosen = drawing === null && panning === null ? tool() : null;
        if (chosen !== null) {
            event.preventDefault();
            surface.focus({ preventScroll: true });
            capture(surface, event.pointerId);
            const at = point(event);
            drawing = { id: event.pointerId, tool: chosen, began: performance.now(), last: at };
            chosen.down(at);
        }
    });

    surface.addEventListener('pointermove', (event) => {
        if (drawing?.id === event.pointerId) {
            const coalesced = event.getCoalescedEvents?.() ?? [];
            const points = (coalesced.length > 0 ? coalesced : [event]).map(point);
            drawing.last = points[points.length - 1];
            drawing.tool.move(points);
        } else if (panning !== null && fingers.has(event.pointerId)) {
            movePage(event);
        }
    });

    /** One finger pans; of two, the middle pans and the distance zooms. */
    const movePage = (event: PointerEvent): void => {
        const before = [...fingers.values()];
        const now = { x: event.clientX, y: event.clientY };
        const was = fingers.get(event.pointerId)!;
        fingers.set(event.pointerId, now);
        if (before.length === 1) {
            view.panBy(now.x - was.x, now.y - was.y);
            return;
        }
        const after = [...fingers.values()];
        const middle = (two: { x: number; y: number }[]): [number, number] => [(two[0].x + two[1].x) / 2, (two[0].y + two[1].y) / 2];
        const apart = (two: { x: number; y: number }[]): number => Math.max(8, Math.hypot(two[0].x - two[1].x, two[0].y - two[1].y));
        const [fromX, fromY] = middle(before);
        const [toX, toY] = middle(after);
        const box = surface.getBoundingClientRect();
        view.panBy(toX - fromX, toY - fromY);
        view.zoomBy(apart(after) / apart(before), toX - box.left, toY - box.top);
    };

    const end = (event: PointerEvent): void => {
        fingers.delete(event.pointerId);
        if (fingers.size === 0) {
            panning = null;
        }
        if (drawing?.id === event.pointerId) {
            const { tool: used, last } = drawing;
            drawing = null;
            if (event.type === 'pointercancel') {
                used.cancel();
            } else {
                used.up(last);
            }
        }
    };
    surface.addEventListener('pointerup', end);
    surface.addEventListener('pointercancel', end);

    surface.addEventListener('wheel', (event) => {
        event.preventDefault();
        const box = surface.getBoundingClientRect();
        const line = event.deltaMode === 1 ? 24 : 1;
        if (event.ctrlKey || event.metaKey) {
            view.zoomBy(Math.exp(-event.deltaY * line * WHEEL_ZOOM * (Math.abs(event.deltaY) < 40 ? 4 : 1)), event.clientX - box.left, event.clientY - box.top);
        } else {
            const [dx, dy] = event.shiftKey ? [event.deltaY, 0] : [event.deltaX, event.deltaY];
            view.panBy(-dx * line, -dy * line);
        }
    }, { passive: false });

    surface.addEventListener('mousedown', (event) => {
        if (!isField(event.target)) {
            event.preventDefault();
        }
    });
    document.addEventListener('keydown', (event) => {
        if (event.key === ' ' && event.target === surface) {
            event.preventDefault();
            spaceHeld = true;
        }
    });
    document.addEventListener('keyup', (event) => {
        spaceHeld = event.key === ' ' ? false : spaceHeld;
    });
    window.addEventListener('blur', () => {
        spaceHeld = false;
    });

    return {
        isDrawing: () => drawing !== null,
        rest: () => {
            const hand = drawing;
            drawing = null;
            hand?.tool.up(hand.last);
        },
    };
}

/** A pointer that has gone already cannot be captured, and need not be. */
function capture(surface: HTMLElement, id: number): void {
    try {
        surface.setPointerCapture(id);
    } catch {
        // It has gone.
    }
}

export function isField(target: EventTarget | null): boolean {
    return target instanceof HTMLTextAreaElement || target instanceof HTMLInputElement || target instanceof HTMLSelectElement;
}
