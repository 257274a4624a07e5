import { isField } from '../canvas/tools/gestures';
import type { ToolName } from '../canvas/tools/settings';
import type { Workbench } from '../canvas/workbench';
import type { Tray } from './tray';

const TOOLS: Record<string, ToolName> = {
    p: 'pen',
    h: 'highlighter',
    e: 'eraser',
    m: 'move',
    s: 'shapes',
    t: 'text',
    x: 'maths',
    g: 'construct',
    b: 'pieces',
    n: 'note',
    a: 'stamps',
    i: 'picture',
};
const STEP = 10;
const FINE_STEP = 1;

/**
 * A canvas's keys: everything but drawing freehand. Each has a button too. On the desk plain letters are the room's.
 */
export function listenToBenchKeys(bench: Workbench, tray: Tray): void {
    document.addEventListener(
        'keydown',
        (event) => {
            if (
                bench.surface.offsetParent === null ||
                bench.isLooking ||
                isField(event.target) ||
                event.altKey ||
                (event.target as Element).closest('dialog') !== null ||
                isForPart(event)
            ) {
                return;
            }
            const handled =
                event.ctrlKey || event.metaKey ? withControl(event, bench, tray) : alone(event, bench, tray);
            if (handled) {
                event.preventDefault();
                event.stopPropagation();
            }
        },
        { capture: true },
    );
}

/** Keys on a part of a manipulative work it; with Control they are the canvas's. */
function isForPart(event: KeyboardEvent): boolean {
    return !event.ctrlKey && !event.metaKey && (event.target as Element).closest('.piece-parts') !== null;
}

function withControl(event: KeyboardEvent, bench: Workbench, tray: Tray): boolean {
    const actions: Record<string, () => void> = {
        z: () => (event.shiftKey ? tray.redo() : tray.undo()),
        y: () => tray.redo(),
        d: () => bench.selection.duplicate(),
        g: () => (event.shiftKey ? bench.selection.ungroup() : bench.selection.group()),
        a: () => {
            tray.choose('move');
            bench.selection.all();
        },
        '+': () => bench.view.zoomBy(1.25),
        '=': () => bench.view.zoomBy(1.25),
        '-': () => bench.view.zoomBy(0.8),
        '0': () => bench.view.seeAll(),
    };
    const action = actions[event.key.toLowerCase()];
    action?.();
    return action !== undefined;
}

function alone(event: KeyboardEvent, bench: Workbench, tray: Tray): boolean {
    const { selection, view } = bench;
    const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
    const onButton = (event.target as Element).closest('button, a, input, summary') !== null;
    const step = event.shiftKey ? FINE_STEP : STEP;
    const arrows: Record<string, [number, number]> = {
        ArrowLeft: [-step, 0],
        ArrowRight: [step, 0],
        ArrowUp: [0, -step],
        ArrowDown: [0, step],
    };
    if (arrows[key] !== undefined && !selection.isEmpty) {
        selection.move({ by: arrows[key] });
    } else if (arrows[key] !== undefined && event.target === bench.surface) {
        view.panBy(-arrows[key][0] * 4, -arrows[key][1] * 4);
    } else if ((key === 'Delete' || key === 'Backspace') && !selection.isEmpty) {
        selection.remove();
    } else if (key === 'Escape' && (!selection.isEmpty || bench.hasUnfinishedShape)) {
        selection.clear();
        bench.finishShape();
    } else if (key === 'Enter' && !onButton) {
        enter(bench);
    } else if ((key === '[' || key === ']') && !selection.isEmpty) {
        selection.turn(key === ']' ? step * 1.5 : -step * 1.5);
    } else if ((key === ',' || key === '.') && !selection.isEmpty) {
        selection.scale(key === '.' ? 1.1 : 1 / 1.1);
    } else if (key === 'PageUp' || key === 'PageDown') {
        if (selection.isEmpty) {
            turn(bench, key === 'PageUp' ? -1 : 1);
        } else {
            selection.order(key === 'PageUp' ? 'forward' : 'backward');
        }
    } else if (key === '+' || key === '=') {
        view.zoomBy(1.25);
    } else if (key === '-') {
        view.zoomBy(0.8);
    } else if (key === '0') {
        view.seeAll();
    } else if (TOOLS[key] !== undefined && tray.has(TOOLS[key]) && (!bench.isOnDesk || event.shiftKey)) {
        tool(TOOLS[key], bench, tray);
    } else {
        return false;
    }
    return true;
}

/** Words, notes and formulas begin at once; a tool that needs a place waits for Enter. */
function tool(name: ToolName, bench: Workbench, tray: Tray): void {
    tray.choose(name);
    if (name === 'text' || name === 'note' || name === 'maths') {
        bench.putting.tapMiddle();
    } else if (name === 'picture') {
        tray.askForFile();
    }
}

function enter(bench: Workbench): void {
    const [only] = bench.selection.ids;
    if (bench.hasUnfinishedShape) {
        bench.finishShape();
    } else if (only !== undefined && bench.selection.ids.size === 1) {
        bench.open(only);
    } else if (['shapes', 'stamps', 'text', 'note', 'maths'].includes(bench.settings.tool)) {
        bench.putting.tapMiddle();
    }
}

function turn(bench: Workbench, by: number): void {
    const next = bench.pages[bench.pages.indexOf(bench.view.page) + by];
    if (next !== undefined) {
        bench.turnTo(next);
    }
}
