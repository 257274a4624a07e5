import { View } from '../canvas/drawing/view';
import { layerOfPage } from '../canvas/model/scene';
import type { Workbench } from '../canvas/workbench';
import { newId, type Backdrop } from '../canvas/model/objects';
import { regrouped } from '../canvas/tools/clipboard';
import { element, fill } from '../page';

/** No line in a small picture is thinner, in CSS pixels. */
const THINNEST = 0.8;
/** An operation adds no more objects than this. */
const MOST_AT_ONCE = 500;

/** All pages of a canvas as small pictures: to turn to one, and to move, rule or take out those that one has added. */
export class PagesWindow {
    private readonly window: HTMLDialogElement;
    private readonly list: HTMLElement;
    /** The page that was pressed last. */
    private last: string | undefined;
    private readonly items = new Map<string, { item: HTMLElement; view: View }>();

    constructor(
        private readonly bench: Workbench,
        scope: HTMLElement,
        private readonly assets: string,
        private readonly stamps: Record<string, string>,
        private readonly may: () => boolean,
    ) {
        this.window = element<HTMLDialogElement>('.pages-window', scope);
        this.list = element('.page-list', this.window);
        this.list.addEventListener('click', (event) => this.pressed(event.target as Element, event.detail > 1));
        this.list.addEventListener('change', (event) => this.ruled(event.target as HTMLSelectElement));
        element('[data-cancel]', this.window).addEventListener('click', () => this.window.close());
        element('[data-add-page]', this.window).addEventListener('click', () => this.window.close());
    }

    open(): void {
        this.window.showModal();
        this.show();
        this.items.get(this.bench.view.page)?.item.querySelector<HTMLElement>('.page-thumb')?.focus();
    }

    /** Brings the pictures up to date, while they are looked at. */
    show(): void {
        if (!this.window.open) {
            return;
        }
        const { pages, view, words } = this.bench;
        for (const [id, { item }] of this.items) {
            if (!pages.includes(id)) {
                item.remove();
                this.items.delete(id);
            }
        }
        pages.forEach((id, i) => {
            const { item, view: picture } = this.items.get(id) ?? this.make(id);
            if (this.list.children[i] !== item) {
                this.list.insertBefore(item, this.list.children[i] ?? null);
            }
            element('.page-number', item).textContent = fill(words.page, { n: i + 1, all: pages.length });
            element('.page-thumb', item).setAttribute('aria-current', String(id === view.page));
            const isOwn = this.may() && layerOfPage(view.log.scene, id) === this.bench.layer;
            element('.page-acts', item).hidden = !this.may();
            for (const act of item.querySelectorAll<HTMLElement>('[data-move], [data-gone], select')) {
                act.hidden = !isOwn;
            }
            element<HTMLButtonElement>('[data-move="-1"]', item).disabled = i <= 1;
            element<HTMLButtonElement>('[data-move="1"]', item).disabled = i === pages.length - 1;
            const { kind, size } = view.log.scene.pages.get(id) ?? { kind: 'blank', size: undefined };
            element<HTMLSelectElement>('select', item).value = size === undefined ? kind : `${kind} ${size}`;
            picture.log = view.log;
            picture.page = id;
            picture.fit();
        });
    }

    private make(id: string): { item: HTMLElement; view: View } {
        const item = element<HTMLTemplateElement>('.page-item', this.window).content.firstElementChild?.cloneNode(
            true,
        ) as HTMLElement;
        item.dataset.page = id;
        this.list.append(item);
        const made = { item, view: new View(element('.page', item), this.assets, this.stamps, THINNEST) };
        this.items.set(id, made);
        return made;
    }

    /**
     * @param isAgain  pressed once more at the same place: another page has come there meanwhile, and the one that was
     *     pressed first is meant
     */
    private pressed(at: Element, isAgain: boolean): void {
        const pressed = at.closest<HTMLElement>('[data-page]')?.dataset.page;
        const page = isAgain ? this.last : pressed;
        const button = at.closest('button');
        this.last = page;
        if (page === undefined || button === null || !this.bench.pages.includes(page)) {
            return;
        }
        const { bench } = this;
        const { move, gone } = button.dataset;
        const to = bench.pages.indexOf(page) + Number(move ?? 0);
        if (move !== undefined && (to < 1 || to >= bench.pages.length)) {
            return;
        }
        if (move !== undefined) {
            bench.make('arrange_page', { page, to });
            this.show();
            // The button moved with its page, and may not be pressed again at an end.
            (button.disabled ? element('.page-thumb', this.items.get(page)?.item) : button).focus();
        } else if (button.dataset.copyPage !== undefined) {
            this.copy(page);
            this.show();
        } else if (gone !== undefined) {
            if (bench.view.page === page) {
                bench.turnTo(bench.pages[to - 1] ?? '');
            }
            bench.make('arrange_page', { page, gone: true });
            this.show();
            this.items.get(bench.view.page)?.item.querySelector<HTMLElement>('.page-thumb')?.focus();
        } else {
            this.window.close();
            bench.turnTo(page);
        }
    }

    /** The same page again right behind it: all of one's own, on the same backdrop where that may be put there. */
    private copy(page: string): void {
        const { bench } = this;
        const { scene } = bench.view.log;
        const backdrop = scene.pages.get(page);
        const placings = [...scene.objects.entries()]
            .filter(([id, one]) => one.page === page && bench.view.isOwnOrPiece(id, one, bench.layer))
            .slice(0, MOST_AT_ONCE)
            .map(([id, { object, place, group }]) => ({
                id,
                object,
                ...(place && { place }),
                ...(group !== undefined && { group }),
            }));
        const [copy, add] = [newId(), newId()];
        const to = bench.pages.indexOf(page) + 1;
        bench.make('page', {}, copy);
        if (backdrop !== undefined && bench.layer === 'lead') {
            bench.make('backdrop', { backdrop, page: copy });
        } else if (backdrop !== undefined && backdrop.kind !== 'picture') {
            bench.make('arrange_page', { page: copy, ruling: backdrop });
        }
        if (placings.length > 0) {
            const objects = regrouped(placings, (i) => (placings.length === 1 ? add : `${add}.${i}`));
            bench.make('add', placings.length === 1 ? { ...objects[0], page: copy } : { objects, page: copy }, add);
        }
        if (to < bench.pages.length - 1) {
            bench.make('arrange_page', { page: copy, to });
        }
    }

    private ruled(select: HTMLSelectElement): void {
        const page = select.closest<HTMLElement>('[data-page]')?.dataset.page;
        const [kind = 'blank', size] = select.value.split(' ');
        const ruling: Backdrop = { kind, ...(size !== undefined && { size }) };
        if (page !== undefined) {
            this.bench.make('arrange_page', { page, ruling });
            this.show();
        }
    }
}
