import { decodeInk, type Sample } from './ink';
import { TENTHS, type CanvasObject, type Stroke, type Text, type WetStroke } from './model';

export const FONT = '"Atkinson Hyperlegible Next", "DejaVu Sans", sans-serif';
const LINE_HEIGHT = 1.25;
const ASCENT = 0.95;

interface Run {
    width: number;
    path: Path2D;
}

const decoded = new WeakMap<Stroke, Sample[]>();
const drawn = new WeakMap<Stroke, Run[]>();

export function samplesOf(stroke: Stroke): Sample[] {
    let samples = decoded.get(stroke);
    if (samples === undefined) {
        samples = decodeInk(stroke.ink);
        decoded.set(stroke, samples);
    }
    return samples;
}

/** Draws an object in page units; core/src/Render draws the same. */
export function drawObject(context: CanvasRenderingContext2D, object: CanvasObject, thinnest = 0): void {
    if (object.type === 'stroke') {
        drawStroke(context, object, thinnest);
    } else {
        drawText(context, object);
    }
}

function drawStroke(context: CanvasRenderingContext2D, stroke: Stroke, thinnest: number): void {
    let runs = drawn.get(stroke);
    if (runs === undefined) {
        const pieces = new StrokePieces(stroke.colour, stroke.width);
        runs = pieces.runs(samplesOf(stroke));
        drawn.set(stroke, runs);
    }
    prepare(context, stroke.colour);
    for (const { width, path } of runs) {
        context.lineWidth = Math.max(thinnest, width);
        context.stroke(path);
    }
}

export function drawText(context: CanvasRenderingContext2D, text: Text): void {
    context.font = `${text.size}px ${FONT}`;
    context.fillStyle = text.colour;
    context.textBaseline = 'alphabetic';
    context.textAlign = 'left';
    context.textRendering = 'geometricPrecision';
    text.text.split('\n').forEach((line, i) => {
        context.fillText(line, text.x / TENTHS, text.y / TENTHS + text.size * (ASCENT + i * LINE_HEIGHT));
    });
}

/** Width and height of typed words, in units. */
export function textSize(context: CanvasRenderingContext2D, text: Text): [number, number] {
    context.font = `${text.size}px ${FONT}`;
    const lines = text.text.split('\n');
    const width = Math.max(...lines.map((line) => context.measureText(line).width));
    return [width, lines.length * text.size * LINE_HEIGHT];
}

function prepare(context: CanvasRenderingContext2D, colour: string): void {
    context.strokeStyle = colour;
    context.lineCap = 'round';
    context.lineJoin = 'round';
}

function widthAt(width: number, pressure: number): number {
    return ((width / TENTHS) * (6 + (pressure >> 4))) / 14;
}

/** The pieces of a stroke, whole or while it grows; core/src/Render/StrokeRuns.php says how they are cut. */
class StrokePieces {
    constructor(
        private readonly colour: string,
        private readonly width: number,
    ) {}

    runs(samples: Sample[]): Run[] {
        const runs: Run[] = [];
        let path = new Path2D();
        const [x0, y0] = at(samples[0]);
        path.moveTo(x0, y0);
        if (samples.length === 1) {
            path.lineTo(x0 + 0.01, y0);
            return [{ width: widthAt(this.width, samples[0][2]), path }];
        }
        let from = middle(samples[0], samples[1]);
        path.lineTo(...from);
        let step = samples[0][2] >> 4;
        for (let i = 1; i < samples.length; i++) {
            const now = samples[i][2] >> 4;
            if (now !== step) {
                runs.push({ width: widthAt(this.width, step << 4), path });
                path = new Path2D();
                path.moveTo(...from);
                step = now;
            }
            if (i === samples.length - 1) {
                path.lineTo(...at(samples[i]));
            } else {
                from = middle(samples[i], samples[i + 1]);
                path.quadraticCurveTo(...at(samples[i]), ...from);
            }
        }
        runs.push({ width: widthAt(this.width, step << 4), path });
        return runs;
    }

    /** Draws what came since the first `from` samples were drawn. */
    grow(context: CanvasRenderingContext2D, samples: Sample[], from: number, thinnest: number): void {
        prepare(context, this.colour);
        for (let i = Math.max(0, from - 1); i < samples.length; i++) {
            const here = at(samples[i]);
            const start = i === 0 ? here : middle(samples[i - 1], samples[i]);
            const end = i === samples.length - 1 ? here : middle(samples[i], samples[i + 1]);
            context.lineWidth = Math.max(thinnest, widthAt(this.width, samples[i][2]));
            context.beginPath();
            context.moveTo(...start);
            context.quadraticCurveTo(...here, end[0] + (samples.length === 1 ? 0.01 : 0), end[1]);
            context.stroke();
        }
    }
}

export function growStroke(context: CanvasRenderingContext2D, stroke: WetStroke, from: number, thinnest = 0): void {
    new StrokePieces(stroke.colour, stroke.width).grow(context, stroke.samples, from, thinnest);
}

function at(sample: Sample): [number, number] {
    return [sample[0] / TENTHS, sample[1] / TENTHS];
}

function middle(a: Sample, b: Sample): [number, number] {
    return [(a[0] + b[0]) / (2 * TENTHS), (a[1] + b[1]) / (2 * TENTHS)];
}
