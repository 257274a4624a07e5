import type { View } from '../drawing/view';
import { present } from '../../present';

/** A pointer on the page: units, pressure 0–255, milliseconds of the event's own clock. */
export interface Point {
    x: number;
    y: number;
    pressure: number;
    ms: number;
    shift: boolean;
    pointer: string;
    /** How large a pixel is where it draws, in units. */
    unitsPerPixel: number;
}

/** What a pointer does with a tool, from touching the page to leaving it. */
export interface Tool {
    down(at: Point): void;
    /** @param predicted  where the browser thinks that it goes next: to be seen, not kept */
    move(points: Point[], predicted?: Point[]): void;
    up(at: Point): void;
    /** It became something else: two fingers, a palm, a pointer that the system took away. */
    cancel(): void;
}

/** Middle pressure, for what has none. */
const EVEN = 128;
/** A second finger that comes this soon makes one gesture of both; later, the line is finished first. */
const TOGETHER_MS = 250;
const WHEEL_ZOOM = 0.0016;

/** So long after a stylus was on or over the page, a touch is the hand that holds it. */
const PALM_MS = 600;
/** A contact that is wider or higher than this, in CSS pixels, is no fingertip. */
const BROAD = 60;

/** The hand on the page. */
export interface Hand {
    /** Whether something is being drawn. */
    isDrawing(): boolean;
    /** What is being drawn is finished as it stands. */
    rest(): void;
}

/** What works on the page. */
export interface Works {
    /** What works there: the tool that is chosen, or what moves a piece; null where nothing can be drawn. */
    tool(at: Point): Tool | null;
    /** What a finger does where a stylus draws: moves what is chosen, or a piece; null moves the page. */
    finger(at: Point): Tool | null;
    /** Whether fingers draw too, once a stylus has been seen. */
    fingersDraw(): boolean;
    /** Two taps after one another, of two fingers, or of one that does not draw. */
    tappedTwice(): void;
    /** A stylus has touched the page. */
    sawStylus(): void;
    /** Something was done with a tool, and this was its last place. */
    worked(at: Point): void;
    /** The pointer has left the page, and the tool has finished. */
    lifted?(): void;
}

/**
 * Who draws, and who moves the page. One pointer works the tool; two fingers pan and zoom, and tap twice for the whole
 * page or back. Once a stylus has been seen, or with "Fingers draw" off, fingers move the page, what is chosen and
 * pieces. While the stylus is at the page, and a moment after, touches do nothing at all: they are the hand that rests
 * there.
 */
export function listenToGestures(surface: HTMLElement, view: View, works: Works): Hand {
    const fingers = new Map<number, { x: number; y: number }>();
    let drawing: { id: number; tool: Tool; began: number; last: Point } | null = null;
    let panning: number | null = null;
    const taps = new Taps(() => works.tappedTwice());
    /** When a stylus was last on the page or over it. */
    let stylusAt = -Infinity;
    let spaceHeld = false;

    const point = (event: PointerEvent): Point => {
        const [x, y] = view.toPage(event.clientX, event.clientY);
        const pressure = event.pointerType === 'pen' ? Math.round(Math.min(1, event.pressure) * 255) : EVEN;
        const { timeStamp: ms, shiftKey: shift, pointerType: pointer } = event;
        return { x, y, pressure, ms, shift, pointer, unitsPerPixel: view.unitsPerPixel };
    };

    const stopDrawing = (soon = TOGETHER_MS): void => {
        if (drawing !== null) {
            const { tool: used, began, last } = drawing;
            drawing = null;
            if (performance.now() - began < soon) {
                used.cancel();
            } else {
                used.up(last);
            }
        }
    };

    const isPalm = (event: PointerEvent): boolean =>
        event.pointerType === 'touch' &&
        (Math.max(event.width, event.height) > BROAD ||
            drawing?.last.pointer === 'pen' ||
            performance.now() - stylusAt < PALM_MS);

    const movesPage = (event: PointerEvent): boolean =>
        (event.pointerType === 'mouse' && (event.button === 1 || spaceHeld)) ||
        (event.pointerType === 'touch' && fingers.size > 1);

    const seeStylus = (event: PointerEvent): void => {
        if (event.pointerType === 'pen') {
            stylusAt = performance.now();
        }
    };

    /** What a pointer works with, where it works at all. */
    const toolFor = (event: PointerEvent, at: Point): Tool | null => {
        if (drawing !== null || panning !== null) {
            return null;
        }
        return event.pointerType === 'touch' && !works.fingersDraw() ? works.finger(at) : works.tool(at);
    };

    const beginPanning = (event: PointerEvent): void => {
        if (panning === null) {
            taps.down(event);
        }
        panning = event.pointerId;
        fingers.set(event.pointerId, { x: event.clientX, y: event.clientY });
        capture(surface, event.pointerId);
        event.preventDefault();
    };

    surface.addEventListener('pointerdown', (event) => {
        if (isField(event.target) || (event.pointerType === 'mouse' && event.button > 1)) {
            return;
        }
        if (isPalm(event)) {
            event.preventDefault();
            return;
        }
        if (event.pointerType === 'pen') {
            // The hand may be there before the tip: what it began was not meant.
            stopDrawing(PALM_MS);
            fingers.clear();
            panning = null;
            seeStylus(event);
            works.sawStylus();
        } else if (event.pointerType === 'touch') {
            fingers.set(event.pointerId, { x: event.clientX, y: event.clientY });
        }
        if (movesPage(event)) {
            stopDrawing();
            beginPanning(event);
            return;
        }
        const at = point(event);
        const chosen = toolFor(event, at);
        if (chosen !== null) {
            event.preventDefault();
            surface.focus({ preventScroll: true });
            capture(surface, event.pointerId);
            drawing = { id: event.pointerId, tool: chosen, began: performance.now(), last: at };
            chosen.down(at);
        } else if (event.pointerType === 'touch' && !works.fingersDraw() && drawing === null) {
            beginPanning(event);
        }
    });

    surface.addEventListener('pointermove', (event) => {
        seeStylus(event);
        if (drawing?.id === event.pointerId) {
            if (event.pointerType === 'touch' && Math.max(event.width, event.height) > BROAD) {
                // The hand has come down around its fingertip.
                stopDrawing(Infinity);
                fingers.delete(event.pointerId);
                return;
            }
            const coalesced = event.getCoalescedEvents?.() ?? [];
            const points = (coalesced.length > 0 ? coalesced : [event]).map(point);
            drawing.last = present(points[points.length - 1]);
            drawing.tool.move(points, (event.getPredictedEvents?.() ?? []).map(point));
        } else if (panning !== null && fingers.has(event.pointerId)) {
            movePage(event);
        }
    });

    /** One finger pans; of two, the middle pans and the distance zooms. */
    const movePage = (event: PointerEvent): void => {
        const before = [...fingers.values()];
        const now = { x: event.clientX, y: event.clientY };
        const was = present(fingers.get(event.pointerId));
        fingers.set(event.pointerId, now);
        if (before.length === 1) {
            view.panBy(now.x - was.x, now.y - was.y);
            return;
        }
        const after = [...fingers.values()];
        const middle = (two: { x: number; y: number }[]): [number, number] => [
            (present(two[0]).x + present(two[1]).x) / 2,
            (present(two[0]).y + present(two[1]).y) / 2,
        ];
        const apart = (two: { x: number; y: number }[]): number =>
            Math.max(8, Math.hypot(present(two[0]).x - present(two[1]).x, present(two[0]).y - present(two[1]).y));
        const [fromX, fromY] = middle(before);
        const [toX, toY] = middle(after);
        const box = surface.getBoundingClientRect();
        view.panBy(toX - fromX, toY - fromY);
        view.zoomBy(apart(after) / apart(before), toX - box.left, toY - box.top);
    };

    const end = (event: PointerEvent): void => {
        seeStylus(event);
        if (panning !== null && event.pointerType === 'touch') {
            taps.up(event);
        }
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
                used.up({ ...last, ms: event.timeStamp });
                works.worked(last);
            }
            works.lifted?.();
        }
    };
    surface.addEventListener('pointerup', end);
    surface.addEventListener('pointercancel', end);

    surface.addEventListener(
        'wheel',
        (event) => {
            event.preventDefault();
            const box = surface.getBoundingClientRect();
            const line = event.deltaMode === 1 ? 24 : 1;
            if (event.ctrlKey || event.metaKey) {
                view.zoomBy(
                    Math.exp(-event.deltaY * line * WHEEL_ZOOM * (Math.abs(event.deltaY) < 40 ? 4 : 1)),
                    event.clientX - box.left,
                    event.clientY - box.top,
                );
            } else {
                const [dx, dy] = event.shiftKey ? [event.deltaY, 0] : [event.deltaX, event.deltaY];
                view.panBy(-dx * line, -dy * line);
            }
        },
        { passive: false },
    );

    // A finger held still draws; it asks for no menu, which would take it away.
    surface.addEventListener('contextmenu', (event) => {
        if (!isField(event.target)) {
            event.preventDefault();
        }
    });
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

/** A tap is no longer than this, and the next one comes as soon. */
const TAP_MS = 300;
/** A finger that went farther, in CSS pixels, has not tapped. */
const TAP_REACH = 12;

/** Hears two taps after one another, among fingers that move the page. */
class Taps {
    private began = { ms: 0, x: 0, y: 0 };
    private last = -Infinity;

    constructor(private readonly twice: () => void) {}

    down(event: PointerEvent): void {
        this.began = { ms: performance.now(), x: event.clientX, y: event.clientY };
    }

    up(event: PointerEvent): void {
        const { ms, x, y } = this.began;
        const now = performance.now();
        // Of two fingers the one that lies still tells.
        const isTap = now - ms < TAP_MS && Math.hypot(event.clientX - x, event.clientY - y) < TAP_REACH;
        if (!isTap) {
            return;
        }
        this.began = { ms: -Infinity, x, y };
        if (now - this.last < 2 * TAP_MS) {
            this.last = -Infinity;
            this.twice();
        } else {
            this.last = now;
        }
    }
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
    return (
        target instanceof HTMLTextAreaElement ||
        target instanceof HTMLInputElement ||
        target instanceof HTMLSelectElement ||
        (target instanceof HTMLElement && target.isContentEditable)
    );
}
