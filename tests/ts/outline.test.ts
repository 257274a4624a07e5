import assert from 'node:assert/strict';
import { test } from 'vitest';
import { addGrowth, addOutline } from '../../resources/ts/canvas/drawing/outline';
import type { Sample } from '../../resources/ts/canvas/model/ink';

/** Writes down what is drawn, as core/tests/Render/StrokeOutlineTest.php reads it; a disc as its place and radius. */
class Written {
    text = '';

    moveTo(x: number, y: number): void {
        this.text += `M${x} ${y}`;
    }

    lineTo(x: number, y: number): void {
        this.text += `L${x} ${y}`;
    }

    quadraticCurveTo(byX: number, byY: number, x: number, y: number): void {
        this.text += `Q${byX} ${byY} ${x} ${y}`;
    }

    arc(x: number, y: number, radius: number): void {
        this.text = `${this.text.slice(0, this.text.lastIndexOf('M'))}O${x} ${y} ${radius}`;
    }

    closePath(): void {
        this.text += 'Z';
    }
}

function outline(samples: Sample[]): string {
    const path = new Written();
    addOutline(path, 40, samples);
    return path.text;
}

const LINE: Sample[] = [
    [0, 0, 128, 0],
    [100, 0, 128, 8],
    [200, 0, 128, 16],
];

test('a line has the same pieces as the server draws', () => {
    assert.equal(
        outline(LINE),
        'O0 0 2ZM0 2L5 2Q10 2 15 2L20 2L20 -2L15 -2Q10 -2 5 -2L0 -2ZO20 0 2Z'.replaceAll('-0', '0'),
    );
    assert.equal(outline([[100, 200, 128, 0]]), 'O10 20 2Z');
});

test('a pen that stands still gives no direction', () => {
    const stood: Sample[] = [LINE[0]!, [0, 0, 200, 4], LINE[1]!, [100, 0, 90, 12], LINE[2]!];
    assert.equal(outline(stood), outline(LINE));
});

test('a sharp turn is round: two straight pieces and a disc', () => {
    const text = outline([
        [0, 0, 128, 0],
        [300, 0, 128, 8],
        [20, 40, 128, 16],
        [300, 90, 128, 24],
    ]);
    assert.equal(text.match(/O/g)?.length, 4);
    assert.equal(text.includes('Q'), false);
});

test('what grows has the same sides as the whole stroke has, in any number of steps, but for its end', () => {
    const samples = Array.from({ length: 30 }, (_, i): Sample => [
        10 * i,
        Math.round(80 * Math.sin(i / 3)),
        90 + i,
        8 * i,
    ]);
    const curves = (text: string): Set<string> => new Set(text.match(/Q[-.\d]+ [-.\d]+/g));
    const whole = curves(outline(samples));
    const drawn = new Set<string>();
    for (let from = 0; from < samples.length; from += 3) {
        const path = new Written();
        addGrowth(path, 40, samples.slice(0, from + 3), from);
        curves(path.text).forEach((one) => drawn.add(one));
    }
    assert.ok(whole.size > 30);
    assert.deepEqual(drawn, whole);
});
