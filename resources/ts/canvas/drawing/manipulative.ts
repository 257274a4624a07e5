import { TENTHS, type Manipulative } from '../model/objects';
import { sketchOf } from '../model/manipulative/manipulative';
import { COLOURS, type Shape } from '../model/manipulative/sketch';
import { present } from '../../present';

/** As core/src/Render/ManipulativeSvg.php has them. */
const LINE = 2;
const MIDDLE = 0.35;
const FONT = '"Atkinson Hyperlegible Next", "DejaVu Sans", sans-serif';

/** Draws a manipulative in page units; core/src/Render/ManipulativeSvg.php draws the same. */
export function drawManipulative(context: CanvasRenderingContext2D, object: Manipulative): void {
    context.save();
    context.translate(object.x / TENTHS, object.y / TENTHS);
    context.lineCap = 'round';
    context.lineJoin = 'round';
    context.textBaseline = 'alphabetic';
    for (const shape of sketchOf(object).shapes) {
        drawShape(context, shape);
    }
    context.restore();
}

function drawShape(context: CanvasRenderingContext2D, shape: Shape): void {
    const at = (i: number): number => present(shape.at[i]);
    if (shape.is === 'words') {
        context.font = `${shape.size}px ${FONT}`;
        context.fillStyle = COLOURS[shape.fill] ?? 'none';
        context.textAlign = shape.anchor === 'middle' ? 'center' : (shape.anchor as CanvasTextAlign);
        context.fillText(shape.words, at(0), at(1) + shape.size * MIDDLE);
        return;
    }
    context.beginPath();
    if (shape.is === 'rect') {
        context.roundRect(at(0), at(1), Math.max(0, at(2)), Math.max(0, at(3)), shape.radius);
    } else if (shape.is === 'circle') {
        context.arc(at(0), at(1), Math.max(0, at(2)), 0, 2 * Math.PI);
    } else {
        for (let i = 0; i + 1 < shape.at.length; i += 2) {
            context.lineTo(at(i), at(i + 1));
        }
        if (shape.is === 'polygon') {
            context.closePath();
        }
    }
    if (shape.is !== 'line' && shape.fill !== '') {
        context.fillStyle = present(COLOURS[shape.fill]);
        context.fill();
    }
    if (shape.line !== '') {
        context.strokeStyle = present(COLOURS[shape.line]);
        context.lineWidth = shape.is === 'line' ? shape.width : LINE;
        context.setLineDash(shape.is === 'line' && shape.dashed ? [6, 6] : []);
        context.stroke();
        context.setLineDash([]);
    }
}
