import { element } from '../page';
import { present } from '../present';
import { inOrder } from '../questions/order';
import { Rows } from './rows';

export interface Aspect {
    name: string;
    /** Lowest first; none for Strata. */
    levels: string[];
}

/** What is checked on a canvas, and on which scale: each a row with its levels below it. */
export class Aspects {
    private readonly list = element('#aspect-list');
    private readonly levels = new WeakMap<Element, Rows>();
    private shown = '';

    constructor(private readonly changed: (aspects: Aspect[]) => void) {
        inOrder(this.list, '.aspect-grip', () => this.tell());
        element('#aspect-add').addEventListener('click', () => {
            const item = this.item({ name: '', levels: [] });
            this.list.append(item);
            element('[data-aspect=name]', item).focus();
        });
        this.list.addEventListener('change', (event) => {
            const field = event.target as HTMLInputElement;
            const item = present(field.closest<HTMLElement>('.aspect'));
            if (field.dataset.aspect === 'scale') {
                const isOwn = field.value === 'own';
                element('.rows', item).hidden = !isOwn;
                if (isOwn) {
                    // A scale of one's own begins with two levels to be named.
                    present(this.levels.get(item)).show(
                        element('.aspect', this.template).dataset.first?.split('|') ?? [],
                    );
                }
            }
            this.tell();
        });
        this.list.addEventListener('click', (event) => {
            const button = (event.target as Element).closest<HTMLElement>('[data-aspect=out]');
            if (button !== null) {
                present(button.closest('.aspect')).remove();
                this.tell();
                element('#aspect-add').focus();
            }
        });
    }

    get all(): Aspect[] {
        return [...this.list.children].map((item) => ({
            name: element<HTMLInputElement>('[data-aspect=name]', item as HTMLElement).value.trim(),
            levels:
                element<HTMLSelectElement>('[data-aspect=scale]', item as HTMLElement).value === 'own'
                    ? present(this.levels.get(item)).all
                    : [],
        }));
    }

    show(aspects: Aspect[]): void {
        const shown = JSON.stringify(aspects);
        if (shown !== this.shown && shown !== JSON.stringify(this.all)) {
            this.list.replaceChildren(...aspects.map((aspect) => this.item(aspect)));
        }
        this.shown = shown;
    }

    private tell(): void {
        this.changed(this.all);
    }

    private get template(): HTMLElement {
        return element<HTMLTemplateElement>('#aspect-template').content as unknown as HTMLElement;
    }

    private item({ name, levels }: Aspect): HTMLElement {
        const item = present(this.template.firstElementChild).cloneNode(true) as HTMLElement;
        element<HTMLInputElement>('[data-aspect=name]', item).value = name;
        element<HTMLSelectElement>('[data-aspect=scale]', item).value = levels.length === 0 ? 'strata' : 'own';
        const rows = element('.rows', item);
        rows.hidden = levels.length === 0;
        const own = new Rows(rows, () => this.tell());
        own.show(levels);
        this.levels.set(item, own);
        return item;
    }
}
