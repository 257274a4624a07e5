import assert from 'node:assert/strict';
import { test, vi } from 'vitest';
import { WetLayer } from '../../resources/ts/canvas/drawing/wetlayer';
import type { Palette } from '../../resources/ts/canvas/drawing/draw';
import type { CanvasObject } from '../../resources/ts/canvas/model/objects';

/** Node draws nothing: a path takes every line and keeps none. */
vi.stubGlobal(
    'Path2D',
    class {
        constructor() {
            return new Proxy(this, { get: () => () => undefined });
        }
    },
);

const palette: Palette = { stamps: {}, picture: () => null };

/** A surface that knows how often something was drawn on it, and whether it darkens. */
function surface() {
    const classes = new Set<string>();
    const drawn: string[] = [];
    const context = new Proxy(
        {
            canvas: {
                classList: {
                    toggle: (name: string, on: boolean) => (on ? classes.add(name) : classes.delete(name)),
                },
            },
        } as unknown as Record<string, unknown>,
        {
            get: (target, name: string) => target[name] ?? (() => void drawn.push(name)),
            set: (target, name: string, value) => {
                target[name] = value;
                return true;
            },
        },
    ) as unknown as CanvasRenderingContext2D;
    return { context, classes, drawn };
}

const INK = { type: 'stroke' as const, colour: '#25323b', width: 4, page: '' };
const NOWHERE = (): undefined => undefined;

test('a stroke grows by what comes, and says how much of it was drawn before', () => {
    const wet = new WetLayer(palette);
    const [first, from] = wet.grow('a', INK, [[10, 10, 128, 0]]);
    assert.equal(from, 0);
    const [again, then] = wet.grow('a', INK, [
        [20, 10, 128, 8],
        [30, 10, 128, 16],
    ]);
    assert.equal(again, first);
    assert.equal(then, 1);
    assert.equal(first.samples.length, 3);
});

test('what has dried is let go: the stroke itself, or the object that it changes', () => {
    const wet = new WetLayer(palette);
    wet.grow('a', INK, [[10, 10, 128, 0]]);
    wet.objects.set('words', { object: {} as CanvasObject, page: '' });
    assert.equal(wet.dry('a', 'a'), true);
    assert.equal(wet.dry('a', 'a'), false);
    assert.equal(wet.dry('change', 'words'), true);
    assert.equal(wet.objects.size, 0);
});

test('a highlighter darkens while it is drawn on the page that is shown', () => {
    const wet = new WetLayer(palette);
    const { context, classes } = surface();
    wet.grow('h', { ...INK, type: 'highlight', page: 'p2' }, [
        [10, 10, 128, 0],
        [60, 10, 128, 8],
    ]);
    wet.draw(context, '', 0, NOWHERE);
    assert.equal(classes.has('is-highlighting'), false);
    wet.draw(context, 'p2', 0, NOWHERE);
    assert.equal(classes.has('is-highlighting'), true);
});

test('what nobody checked and cannot be drawn is let go, and the rest is drawn', () => {
    const wet = new WetLayer(palette);
    const { context, drawn } = surface();
    wet.objects.set('odd', { object: { type: 'polygon', points: null } as unknown as CanvasObject, page: '' });
    wet.objects.set('line', {
        object: { type: 'line', x: 0, y: 0, w: 100, h: 0, colour: '#25323b', width: 40 } as unknown as CanvasObject,
        page: '',
    });
    wet.draw(context, '', 0, NOWHERE);
    assert.deepEqual([...wet.objects.keys()], ['line']);
    assert.ok(drawn.includes('stroke'));
    // Each gives the surface back as it was.
    assert.equal(drawn.filter((what) => what === 'save').length, drawn.filter((what) => what === 'restore').length);
});

test('another canvas begins with nothing wet', () => {
    const wet = new WetLayer(palette);
    wet.grow('a', INK, [[10, 10, 128, 0]]);
    wet.clear();
    assert.equal(wet.strokes.size + wet.objects.size + wet.floating.size, 0);
});
