import type { StudentWords } from '../protocol/words';
import type { SeenCheck } from '../protocol/checks';
import { element, fill } from '../page';

interface Around {
    words: StudentWords;
}

/** What the teacher found in the canvas that is open: a line that folds away, and a word when it is new. */
export class CheckLine {
    private readonly root = element('#own-check');
    private known = '';

    constructor(
        surface: HTMLElement,
        private readonly around: Around,
    ) {
        // With the other small things at the stage's edges.
        surface.after(this.root);
        element('#own-check-away').addEventListener('click', () => {
            this.root.hidden = true;
        });
    }

    take(checks: SeenCheck[], canvas: string): void {
        const mine = checks.find((one) => one.canvas === canvas);
        const now = mine === undefined ? '' : JSON.stringify(mine);
        if (now === this.known) {
            return;
        }
        this.known = now;
        this.root.hidden = mine === undefined;
        if (mine !== undefined) {
            const mark = element('.strata', this.root);
            mark.hidden = mine.level === null;
            mark.dataset.level = String(mine.level ?? '');
            element('#own-check-words').textContent = [mine.words, this.points(mine)]
                .filter((part) => part !== '')
                .join(' · ');
            element('#own-check-note').textContent = mine.note;
        }
    }

    private points({ points, most }: SeenCheck): string {
        const { words } = this.around;
        return points === null
            ? ''
            : fill(most === null ? words.points : words.points_of, { n: points, most: most ?? 0 });
    }
}
