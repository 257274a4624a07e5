import { nearestPoint } from '../model/points';
import { snapped } from '../model/snap';
import type { Tie } from '../model/objects';
import type { Host } from './host';

/** How near a pointer must come to a point of something, in CSS pixels; a fingertip covers more. */
const REACH = 12;
const FINGER = 22;

/** Brings what is drawn onto points of what is there, else onto the ruling, and shows where with a ring. */
export class Snapping {
    /** What the place that was found last is a point of. */
    tie: Tie | null = null;
    private readonly ring = Object.assign(document.createElement('span'), { className: 'snap-ring', hidden: true });

    constructor(private readonly bench: Pick<Host, 'layer' | 'settings' | 'surface' | 'view'>) {
        this.ring.setAttribute('aria-hidden', 'true');
        bench.surface.append(this.ring);
    }

    /** Where something is put that is meant there, in units. */
    place([x, y]: [number, number], { isShown, isTouch }: { isShown: boolean; isTouch: boolean }): [number, number] {
        const { settings, view } = this.bench;
        this.forget();
        if (!settings.snap) {
            return [x, y];
        }
        const reach = (isTouch ? FINGER : REACH) * view.unitsPerPixel;
        const point = isShown ? nearestPoint(this.joinable(), x, y, reach) : null;
        const backdrop = view.log.scene.pages.get(view.page) ?? { kind: 'blank' };
        const at = point?.at ?? snapped(backdrop, x, y);
        this.tie = point?.tie ?? null;
        if (isShown) {
            this.show(at, point !== null);
        }
        return at;
    }

    forget(): void {
        this.tie = null;
        this.ring.hidden = true;
    }

    /** The teacher's private marks are nothing that others' lines could be tied to. */
    private *joinable(): ReturnType<Host['view']['here']> {
        for (const one of this.bench.view.here()) {
            if (one[1].layer !== 'private' || this.bench.layer === 'private') {
                yield one;
            }
        }
    }

    private show(at: [number, number], isPoint: boolean): void {
        const [x, y] = this.bench.view.toFrame(...at);
        this.ring.hidden = false;
        this.ring.classList.toggle('is-point', isPoint);
        this.ring.style.transform = `translate(${Math.round(x)}px, ${Math.round(y)}px)`;
    }
}
