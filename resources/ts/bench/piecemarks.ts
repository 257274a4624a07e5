import { pageBox } from '../canvas/model/bounds';
import type { Piece, Placed } from '../canvas/model/objects';
import type { Workbench } from '../canvas/workbench';

/** Marks at the corners of what is locked, and of stacks with how many were taken; they stand over the page. */
export class PieceMarks {
    private readonly root = Object.assign(document.createElement('div'), { className: 'piece-marks' });
    private readonly marks = new Map<string, HTMLElement>();

    constructor(private readonly bench: Workbench) {
        this.root.setAttribute('aria-hidden', 'true');
        bench.surface.append(this.root);
        const before = bench.view.moved;
        bench.view.moved = () => {
            before();
            this.place();
        };
    }

    /** Brings them up to date with what is on the page. */
    show(): void {
        const wanted = new Map<string, string>();
        for (const [id, placed] of this.bench.view.here()) {
            const piece = pieceOf(placed);
            if (piece !== null && placed.layer === 'pieces' && (piece.locked || piece.stack)) {
                wanted.set(id, piece.stack ? `× ${this.takenFrom(piece)}` : '');
            }
        }
        for (const [id, mark] of this.marks) {
            if (!wanted.has(id)) {
                mark.remove();
                this.marks.delete(id);
            }
        }
        for (const [id, words] of wanted) {
            let mark = this.marks.get(id);
            if (mark === undefined) {
                mark = document.createElement('span');
                this.marks.set(id, mark);
                this.root.append(mark);
            }
            mark.className = words === '' ? 'piece-mark is-locked' : 'piece-mark';
            mark.textContent = words;
        }
        this.place();
    }

    /** How many copies of a stack are on the page. */
    private takenFrom(stack: Piece): number {
        const of = JSON.stringify(stack.of);
        return [...this.bench.view.here()].filter(([, placed]) => {
            const piece = pieceOf(placed);
            return piece !== null && !piece.stack && piece.alt === stack.alt && JSON.stringify(piece.of) === of;
        }).length;
    }

    private place(): void {
        const { view } = this.bench;
        for (const [id, mark] of this.marks) {
            const placed = view.log.scene.objects.get(id);
            if (placed !== undefined) {
                const box = pageBox(placed);
                const [x, y] = view.toFrame(box.right, box.top);
                mark.style.transform = `translate(${Math.round(x)}px, ${Math.round(y)}px) translate(-50%, -50%)`;
            }
        }
    }
}

function pieceOf({ object }: Placed): Piece | null {
    return object.type === 'piece' ? object : null;
}
