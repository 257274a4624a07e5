import type { MathsWindow } from './maths';
import { TENTHS, newId, type Stamp } from '../model/objects';
import { ontoPaper } from '../model/paper';
import { plain } from '../model/usual';
import { nextLook } from './settings';
import { snapped } from '../model/snap';
import { widthOf } from '../model/words';
import type { Host } from './host';
import type { Typing } from './typing';

/** In units, as core/src/Canvas/Drawing/StampArt.php has it. */
const SIZE = 90;
const ON_STAVE = 88;

type PuttingHost = Pick<Host, 'settings' | 'surface' | 'view' | 'add' | 'choose' | 'make'> & {
    readonly selection: { choose(ids: string[]): void };
    readonly typing: Typing;
};

/** What tools put on the page with one tap, or without a pointer in the middle of what is to be seen. */
export class Putting {
    constructor(
        private readonly bench: PuttingHost,
        private readonly maths: MathsWindow,
    ) {}

    /** A tap with a tool that puts one thing there. */
    tap(x: number, y: number): void {
        const { tool, colour, size, align, list, face, note, snap } = this.bench.settings;
        if (snap && tool !== 'text') {
            [x, y] = snapped(this.bench.view.log.scene.pages.get(this.bench.view.page) ?? { kind: 'blank' }, x, y);
        }
        const paper = this.bench.view.paperSize;
        [x, y] = ontoPaper(paper, x, y);
        const at = { x: Math.round(x * TENTHS), y: Math.round(y * TENTHS) };
        if (tool === 'text') {
            this.bench.typing.begin(x, y, {
                colour,
                size,
                align,
                ...(list !== 'none' && { list }),
                ...(face !== 'plain' && { face }),
            });
        } else if (tool === 'note') {
            const id = newId();
            const [w, h] = [2600, 1800];
            this.bench.add(
                {
                    type: 'note',
                    x: Math.min(at.x, paper[0] * TENTHS - w),
                    y: Math.min(at.y, paper[1] * TENTHS - h),
                    w,
                    h,
                    size: 26,
                    colour: note,
                    text: '',
                },
                id,
            );
            this.bench.typing.edit(id);
        } else if (tool === 'stamps') {
            this.stamp(x, y);
        } else if (tool === 'maths') {
            void this.putMaths(at.x, at.y);
        }
    }

    /** A note's head stands on the lines of a stave or between them, and fits there. */
    private stamp(x: number, y: number): void {
        const { view, settings } = this.bench;
        const { stamp, stamps, colour, anchor } = settings;
        const backdrop = view.log.scene.pages.get(view.page);
        const isOnStave = stamps === 'music' && backdrop?.kind === 'staves';
        const size = isOnStave ? ON_STAVE : SIZE;
        const [, row] = isOnStave ? snapped(backdrop, x, y) : [x, y];
        const tenths = (units: number): number => Math.round(units * TENTHS);
        this.bench.add({
            type: 'stamp',
            stamp,
            x: tenths(x + ((50 - anchor[0]) / 100) * size),
            y: tenths(row + ((50 - anchor[1]) / 100) * size),
            size,
            colour,
        } satisfies Stamp);
    }

    /** The same without a pointer: in the middle of what is to be seen. */
    tapMiddle(): void {
        const box = this.bench.surface.getBoundingClientRect();
        const [x, y] = this.bench.view.toPage(box.left + box.width * 0.4, box.top + box.height * 0.4);
        if (this.bench.settings.tool === 'shapes') {
            this.addShape(x, y);
        } else {
            this.tap(x, y);
        }
    }

    private addShape(x: number, y: number): void {
        const { shape } = this.bench.settings;
        const look = nextLook(this.bench.settings);
        const [left, top] = [Math.round(x * TENTHS), Math.round(y * TENTHS)];
        const id = newId();
        if (shape === 'polygon' || shape === 'curve') {
            const points = [left, top, left + 2000, top, left + 2400, top + 1400, left + 1000, top + 2000];
            this.bench.add(plain({ type: shape, points, ...look }), id);
        } else {
            const h = shape === 'line' || shape === 'arrow' ? 0 : 2000;
            this.bench.add(plain({ type: shape, x: left, y: top, w: 3000, h, ...look }), id);
        }
        this.bench.choose('move');
        this.bench.selection.choose([id]);
    }

    /** In tenths; they are open to be changed. */
    putWords(x: number, y: number, text: string): void {
        const { colour, size } = this.bench.settings;
        const id = newId();
        const look = { size: Math.max(36, size), text };
        const w = Math.ceil(widthOf(look) * TENTHS);
        this.bench.add({ type: 'text', x, y, w, align: 'start', fixed: false, colour, ...look }, id);
        this.bench.typing.edit(id);
    }

    /** In tenths; what is given stands in the window to be looked at first. */
    async putMaths(x: number, y: number, source = ''): Promise<void> {
        const made = await this.maths.ask(source);
        if (made !== null) {
            const { colour, size } = this.bench.settings;
            this.bench.add({ type: 'maths', x, y, size: Math.max(40, size), colour, ...made });
        }
        this.bench.surface.focus();
    }

    async rewriteMaths(id: string, source: string): Promise<void> {
        const made = await this.maths.ask(source);
        if (made !== null && made.source !== source) {
            this.bench.make('change', { target: id, set: { ...made } });
        }
        this.bench.surface.focus();
    }
}
