import {
    atOf,
    distance,
    onCircle,
    plus,
    scaleOf,
    turned,
    wayOf,
    type Arc,
    type Figure,
    type Label,
    type Point,
    type Straight,
} from '../model/construct/figures';
import { isFree, type Construct, type Element } from '../model/construct/elements';
import { figuresIn } from '../model/construct/places';
import { written } from '../model/construct/written';

/** As core/src/Render/ConstructSvg.php has them. */
const FAR = 6000;
const FREE = 7;
const BOUND = 5;
const LETTERS = 28;
const HEAD = 24;
const LOWEST = 960;
const LEFT = 400;
const WIDE = 200;
const LINE = 34;
const HEAD_ANGLE = 0.42;
const FILL = 0.12;
const FONT = '"Atkinson Hyperlegible Next", "DejaVu Sans", sans-serif';

/** Draws a construction in page units; core/src/Render/ConstructSvg.php draws the same. */
export function drawConstruct(context: CanvasRenderingContext2D, object: Construct): void {
    const figures = figuresIn(object);
    const seen = object.elements.flatMap((element): [Element, Figure][] => {
        const figure = figures.get(element.id) ?? null;
        return figure === null || element.hidden === true ? [] : [[element, figure]];
    });
    context.save();
    context.strokeStyle = object.colour;
    context.fillStyle = object.colour;
    context.lineWidth = object.width / 10;
    context.lineCap = 'round';
    context.lineJoin = 'round';
    context.font = `${LETTERS}px ${FONT}`;
    const isAbove = ([, { is }]: [Element, Figure]): boolean => is === 'point' || is === 'label';
    const worded: Point[] = [];
    for (const [, figure] of seen.filter((one) => !isAbove(one))) {
        drawLine(context, figure);
        const at = figure.is === 'path' && figure.words !== '' ? endOf(figure.pieces) : undefined;
        if (at !== undefined && figure.is === 'path') {
            const free = freed(at, worded, at[1] < LOWEST / 2 ? LINE : -LINE);
            worded.push(free);
            context.textAlign = free[0] > LEFT ? 'end' : 'start';
            context.fillText(figure.words, free[0] + (free[0] > LEFT ? -14 : 14), free[1]);
        }
    }
    for (const [element, figure] of seen.filter(isAbove)) {
        if (figure.is === 'point') {
            drawPoint(context, element, figure.at);
        } else if (figure.is === 'label') {
            drawLabel(context, object, figure);
        }
    }
    context.restore();
}

function drawLine(context: CanvasRenderingContext2D, figure: Figure): void {
    context.beginPath();
    if (figure.is === 'path') {
        figure.fills.forEach((fill) => addCorners(context, fill));
        context.globalAlpha = FILL;
        context.fill();
        context.globalAlpha = 1;
        context.beginPath();
        figure.pieces.forEach((piece) => addCorners(context, piece));
        context.setLineDash(figure.words === '' || figure.isDashed ? [8, 8] : []);
        context.stroke();
        context.setLineDash([]);
        return;
    }
    if (figure.is === 'straight') {
        addStraight(context, figure);
    } else if (figure.is === 'circle') {
        context.arc(...figure.centre, figure.radius, 0, 2 * Math.PI);
    } else if (figure.is === 'arc') {
        addArc(context, figure);
    } else if (figure.is === 'polygon') {
        addCorners(context, figure.corners);
        context.closePath();
        context.globalAlpha = FILL;
        context.fill();
        context.globalAlpha = 1;
    }
    context.stroke();
}

/** The place itself, or as many lines below or above it as others' words take. */
function freed([x, y]: Point, others: Point[], line: number): Point {
    return others.some((other) => Math.abs(x - other[0]) < WIDE && Math.abs(y - other[1]) < LETTERS)
        ? freed([x, y + line], others, line)
        : [x, y];
}

/** The last place of a graph that lies well on the page, on it or where it leaves: its words stand beside it. */
function endOf(pieces: Point[][]): Point | undefined {
    for (const piece of [...pieces].reverse()) {
        let after: Point | undefined;
        for (const [x, y] of [...piece].reverse()) {
            const edge = Math.min(Math.max(after?.[1] ?? y, LETTERS), LOWEST);
            if (after !== undefined && y < edge !== after[1] < edge) {
                const way = (edge - after[1]) / (y - after[1]);
                return [after[0] + (x - after[0]) * way, edge];
            }
            if (y >= LETTERS && y <= LOWEST) {
                return [x, y];
            }
            after = [x, y];
        }
    }
    return undefined;
}

function addStraight(context: CanvasRenderingContext2D, one: Straight): void {
    const far = FAR / distance(one.from, one.to);
    const { extent } = one;
    addCorners(context, [
        atOf(one, extent === 'line' ? -far : 0),
        atOf(one, extent === 'line' || extent === 'ray' ? 1 + far : 1),
    ]);
    if (extent === 'vector') {
        const back = turned(wayOf(one), Math.PI);
        const times = HEAD / distance(one.from, one.to);
        const side = (turn: number): Point => plus(one.to, turned(back, turn), times);
        addCorners(context, [side(HEAD_ANGLE), one.to, side(-HEAD_ANGLE)]);
    }
}

function addArc(context: CanvasRenderingContext2D, arc: Arc): void {
    context.moveTo(...onCircle(arc, arc.from));
    context.arc(...arc.centre, arc.radius, arc.from, arc.from + arc.sweep, arc.sweep < 0);
}

function addCorners(context: CanvasRenderingContext2D, corners: Point[]): void {
    corners.forEach((corner, i) => (i === 0 ? context.moveTo(...corner) : context.lineTo(...corner)));
}

function drawPoint(context: CanvasRenderingContext2D, element: Element, at: Point): void {
    context.beginPath();
    context.arc(...at, isFree(element) ? FREE : BOUND, 0, 2 * Math.PI);
    context.fill();
    if (element.label !== undefined) {
        context.textAlign = 'start';
        context.fillText(element.label, at[0] + 11, at[1] - 11);
    }
}

function drawLabel(context: CanvasRenderingContext2D, { scale }: Construct, label: Label): void {
    if (label.arc !== null) {
        context.beginPath();
        addArc(context, label.arc);
        context.stroke();
    }
    context.textAlign = 'center';
    const words = written(label, scaleOf(scale));
    context.fillText(words, label.at[0], label.at[1] + LETTERS * 0.35);
}
