import { walkInk, type Sample } from '../model/ink';
import {
    TENTHS,
    type BoxShape,
    type CanvasObject,
    type Maths,
    type Piece,
    type Placed,
    type PointShape,
    type Stamp,
    type Stroke,
    type WetStroke,
} from '../model/objects';
import { matrixOf } from '../model/place';
import { samplesOf } from '../model/scene';
import { addGrowth, addOutline, addTip, widthAt } from './outline';
import { dashes, wholeLook } from '../model/shapelook';
import { ASIDE, shadowOf } from './pieces';
import { headsPath, shapePath } from './shapes';
import { drawConstruct } from './construct';
import { drawManipulative } from './manipulative';
import { drawNote, drawText } from './words';
import { present } from '../../present';

const HIGHLIGHT_OPACITY = 0.45;
const STAMP_LINE = 7;
const STAMP_FIELD = 100;

interface Run {
    width: number;
    path: Path2D;
}

/** What drawing needs beside the objects: pictures as they come in, and the lines of the stamps by name. */
export interface Palette {
    picture(asset: string): CanvasImageSource | null;
    stamps: Record<string, string>;
}

/** In a small picture, of what lies closer together than this, in units, every third sample is enough. */
const COARSE = 5;

/** The same strokes for small pictures: one even line each, of fewer points, without the samples being kept. */
const coarse = new WeakMap<Stroke, Run>();
const paths = new WeakMap<CanvasObject, Path2D>();

function pathOf(object: CanvasObject, make: () => Path2D): Path2D {
    let path = paths.get(object);
    if (path === undefined) {
        path = make();
        paths.set(object, path);
    }
    return path;
}

/** Draws an object where it was placed, in page units; core/src/Render draws the same. */
export function drawPlaced(context: CanvasRenderingContext2D, placed: Placed, palette: Palette, thinnest = 0): void {
    if (placed.place === undefined) {
        drawObject(context, placed.object, palette, thinnest);
        return;
    }
    context.save();
    try {
        context.transform(...matrixOf(placed.place));
        drawObject(context, placed.object, palette, thinnest / (placed.place[3] / 10000));
    } finally {
        context.restore();
    }
}

export function drawObject(
    context: CanvasRenderingContext2D,
    object: CanvasObject,
    palette: Palette,
    thinnest = 0,
): void {
    switch (object.type) {
        case 'stroke':
            return drawStroke(context, object, thinnest);
        case 'highlight':
            return drawHighlight(context, object.colour, object.width, samplesOf(object));
        case 'text':
            return drawText(context, object);
        case 'note':
            return drawNote(context, object);
        case 'maths':
            return drawMaths(context, object);
        case 'construction':
            return drawConstruct(context, object);
        case 'manipulative':
            return drawManipulative(context, object);
        case 'stamp':
            return drawStamp(context, object, palette);
        case 'picture': {
            const picture = palette.picture(object.asset);
            if (picture !== null) {
                context.drawImage(
                    picture,
                    object.x / TENTHS,
                    object.y / TENTHS,
                    Math.max(0, object.w) / TENTHS,
                    Math.max(0, object.h) / TENTHS,
                );
            }
            return;
        }
        case 'piece':
            return drawPiece(context, object, palette, thinnest);
        default: {
            drawShape(context, object, thinnest);
        }
    }
}

/** What lies there to be moved casts a shadow; an area lies flat. */
function drawPiece(context: CanvasRenderingContext2D, { of, area }: Piece, palette: Palette, thinnest: number): void {
    if (area !== true) {
        context.save();
        context.translate(...ASIDE);
        drawObject(context, shadowOf(of), palette, thinnest);
        context.restore();
    }
    drawObject(context, of, palette, thinnest);
}

function drawShape(context: CanvasRenderingContext2D, shape: BoxShape | PointShape, thinnest: number): void {
    const path = pathOf(shape, () => shapePath(shape));
    const look = wholeLook(shape);
    if (look.isFilled) {
        context.globalAlpha = look.strength / 100;
        context.fillStyle = look.fill === 'own' ? look.colour : look.fill;
        context.fill(path);
        context.globalAlpha = 1;
    }
    prepare(context, look.colour);
    context.lineWidth = Math.max(thinnest, look.width / TENTHS);
    context.setLineDash(dashes(look));
    context.stroke(path);
    context.setLineDash([]);
    if (look.ends !== 'none') {
        context.stroke(headsPath(shape, look));
    }
}

function drawStroke(context: CanvasRenderingContext2D, stroke: Stroke, thinnest: number): void {
    if (thinnest > 0) {
        drawCoarse(context, stroke, thinnest);
        return;
    }
    context.fillStyle = stroke.colour;
    context.fill(
        pathOf(stroke, () => {
            const path = new Path2D();
            addOutline(path, stroke.width, samplesOf(stroke));
            return path;
        }),
    );
}

/**
 * As a tile shows it: at a tenth of the size nobody sees how the width changes along it, and a class has many strokes.
 */
function drawCoarse(context: CanvasRenderingContext2D, stroke: Stroke, thinnest: number): void {
    let run = coarse.get(stroke);
    if (run === undefined) {
        run = coarseRun(stroke);
        coarse.set(stroke, run);
    }
    prepare(context, stroke.colour);
    context.lineWidth = Math.max(thinnest, run.width);
    context.stroke(run.path);
}

/** Of samples that lie close together every third is enough; the last one always counts. */
function coarseRun(stroke: Stroke): Run {
    const path = new Path2D();
    let [count, pressures, x, y, lastX, lastY, keptX, keptY] = [0, 0, 0, 0, 0, 0, 0, 0];
    walkInk(stroke.ink, (nextX, nextY, pressure) => {
        x = nextX / TENTHS;
        y = nextY / TENTHS;
        pressures += pressure;
        if (count === 0) {
            path.moveTo(x, y);
            [keptX, keptY] = [x, y];
        } else if (Math.abs(x - lastX) + Math.abs(y - lastY) >= COARSE || count % 3 === 0) {
            path.quadraticCurveTo(keptX, keptY, (keptX + x) / 2, (keptY + y) / 2);
            keptX = x;
            keptY = y;
        }
        lastX = x;
        lastY = y;
        count++;
    });
    path.lineTo(count === 1 ? x + 0.01 : x, y);
    return { width: widthAt(stroke.width, pressures / Math.max(1, count)), path };
}

/** One even line that lets through what it goes over, so that ink under it stays as dark as it was. */
function drawHighlight(context: CanvasRenderingContext2D, colour: string, width: number, samples: Sample[]): void {
    prepare(context, colour);
    context.globalAlpha = HIGHLIGHT_OPACITY;
    context.globalCompositeOperation = 'multiply';
    context.lineWidth = width / TENTHS;
    context.stroke(lineThrough(samples));
    context.globalAlpha = 1;
    context.globalCompositeOperation = 'source-over';
}

function drawMaths(context: CanvasRenderingContext2D, maths: Maths): void {
    context.save();
    context.translate(maths.x / TENTHS, maths.y / TENTHS);
    context.scale(maths.size / 1000, maths.size / 1000);
    context.fillStyle = maths.colour;
    context.fill(pathOf(maths, () => new Path2D(maths.path)));
    context.restore();
}

function drawStamp(context: CanvasRenderingContext2D, stamp: Stamp, palette: Palette): void {
    context.save();
    context.translate(stamp.x / TENTHS - stamp.size / 2, stamp.y / TENTHS - stamp.size / 2);
    context.scale(stamp.size / STAMP_FIELD, stamp.size / STAMP_FIELD);
    prepare(context, stamp.colour);
    context.lineWidth = STAMP_LINE;
    context.stroke(pathOf(stamp, () => new Path2D(palette.stamps[stamp.stamp] ?? '')));
    context.restore();
}

function prepare(context: CanvasRenderingContext2D, colour: string): void {
    context.strokeStyle = colour;
    context.lineCap = 'round';
    context.lineJoin = 'round';
}

/** Draws what came to a growing stroke since its first `from` samples were drawn. */
export function growStroke(context: CanvasRenderingContext2D, stroke: WetStroke, from: number, thinnest: number): void {
    context.fillStyle = stroke.colour;
    context.beginPath();
    addGrowth(context, Math.max(thinnest * TENTHS, stroke.width), stroke.samples, from);
    context.fill();
}

/** The end of a growing stroke, as far as the pointer is. */
export function drawTip(context: CanvasRenderingContext2D, stroke: WetStroke): void {
    const { samples, tip = [] } = stroke;
    context.fillStyle = stroke.colour;
    context.beginPath();
    addTip(context, stroke.width, [...samples.slice(-2), ...tip], samples.length < 2);
    context.fill();
}

/** A growing stroke just as it will be drawn when it is dry: nothing changes when the pen is lifted. */
export function drawWetStroke(context: CanvasRenderingContext2D, stroke: WetStroke, thinnest = 0): void {
    if (stroke.samples.length === 0) {
        return;
    }
    if (stroke.type === 'highlight') {
        drawHighlight(context, stroke.colour, stroke.width, [...stroke.samples, ...(stroke.tip ?? [])]);
        return;
    }
    context.fillStyle = stroke.colour;
    context.beginPath();
    addOutline(context, Math.max(thinnest * TENTHS, stroke.width), stroke.samples);
    context.fill();
}

/** A line through the middles between samples, each sample being the control point of a curve. */
function lineThrough(samples: readonly Sample[]): Path2D {
    const path = new Path2D();
    const [first, last] = [at(present(samples[0])), at(present(samples.at(-1)))];
    path.moveTo(...first);
    for (let i = 0; i + 1 < samples.length; i++) {
        const now = present(samples[i]);
        path.quadraticCurveTo(...at(now), ...middle(now, present(samples[i + 1])));
    }
    path.lineTo(samples.length === 1 ? last[0] + 0.01 : last[0], last[1]);
    return path;
}

function at(sample: Sample): [number, number] {
    return [sample[0] / TENTHS, sample[1] / TENTHS];
}

function middle(a: Sample, b: Sample): [number, number] {
    return [(a[0] + b[0]) / (2 * TENTHS), (a[1] + b[1]) / (2 * TENTHS)];
}
