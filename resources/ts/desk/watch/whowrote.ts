import type { Grid } from '../../grid/grid';
import { element, fill } from '../../page';
import type { AnswerGroup } from '../../protocol/desk';
import type { Desk } from '../shell/desk';
import type { Chosen } from './chosen';

/** Who wrote something: in an answer, typed or by hand as it was read, or by what a piece shows. Enter chooses them. */
export class WhoWrote {
    private readonly root = element('#who-wrote');
    private readonly field = element<HTMLInputElement>('input', this.root);
    private groups: AnswerGroup[] = [];

    constructor(
        private readonly desk: Desk,
        private readonly grid: Grid,
        chosen: Chosen,
    ) {
        this.field.addEventListener('input', () => this.show());
        this.field.addEventListener('blur', () => this.light([]));
        this.field.addEventListener('focus', () => this.show());
        this.field.addEventListener('keydown', (event) => {
            if (event.key === 'Enter' && this.found().length > 0) {
                event.preventDefault();
                chosen.choose(this.found());
            } else if (event.key === 'Escape' && this.field.value !== '') {
                event.stopPropagation();
                this.field.value = '';
                this.show();
            }
        });
    }

    /** The answers that there are now. */
    take(groups: AnswerGroup[]): void {
        this.groups = groups;
        this.root.hidden = groups.length === 0;
        if (document.activeElement === this.field) {
            this.show();
        }
    }

    private found(): string[] {
        const wanted = plain(this.field.value);
        if (wanted === '') {
            return [];
        }
        const seats = this.groups.flatMap(({ written, otherwise, seats: some }) =>
            some.filter((seat) => plain(written).includes(wanted) || plain(otherwise[seat] ?? '').includes(wanted)),
        );
        return [...new Set(seats)].filter((seat) => this.grid.tiles.has(seat));
    }

    private show(): void {
        const found = this.found();
        this.light(found);
        element('output', this.root).textContent =
            plain(this.field.value) === '' ? '' : fill(this.desk.words.who_wrote_n, { n: found.length });
    }

    private light(seats: string[]): void {
        this.grid.tiles.forEach((tile, seat) => tile.root.classList.toggle('is-alike', seats.includes(seat)));
    }
}

/** As it is looked up: spaces, capitals and the kind of minus do not count. */
function plain(text: string): string {
    return text.normalize('NFKC').toLowerCase().replaceAll('−', '-').replaceAll(/\s+/g, '');
}
