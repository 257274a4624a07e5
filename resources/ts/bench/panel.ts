import { describeEntry, entries } from './describe';
import { isStack } from '../canvas/tools/select';
import { PagesWindow } from './pages';
import { PieceMarks } from './piecemarks';
import type { Workbench } from '../canvas/workbench';
import { element, fill } from '../page';
import type { Tray } from './tray';
import { present } from '../present';

/** The list of objects is freshened so long after the last change. */
const LIST_MS = 400;
const MOST_LISTED = 500;

/** What stands around a canvas: its pages, its zoom, and the list of what is on it. */
export class Panel {
    private readonly list: HTMLElement;
    private timer = 0;
    private readonly pages: PagesWindow;
    private readonly marks: PieceMarks;

    constructor(
        private readonly bench: Workbench,
        private readonly root: HTMLElement,
        private readonly tray: () => Tray,
        assets: string,
        stamps: Record<string, string>,
    ) {
        this.pages = new PagesWindow(bench, root, assets, stamps, () => tray().has('pages'));
        this.list = element('.bench-objects ol', root);
        this.marks = new PieceMarks(bench);
        root.addEventListener('click', (event) =>
            this.pressed((event.target as Element).closest('button'), event.shiftKey || event.ctrlKey),
        );
        const before = bench.view.moved;
        bench.view.moved = () => {
            before();
            this.showZoom();
        };
    }

    /** The keyboard goes to the list: to the first thing in it, or to the list where there is none. */
    focusList(): void {
        this.showList();
        (this.list.querySelector<HTMLElement>('button:not(:disabled)') ?? this.list).focus();
    }

    show(): void {
        const { bench, root } = this;
        const at = bench.pages.indexOf(bench.view.page);
        const words = fill(bench.words.page, { n: at + 1, all: bench.pages.length });
        const said = element('.bench-page', root);
        if (said.textContent !== words) {
            said.textContent = words;
            said.dataset.short = `${at + 1}/${bench.pages.length}`;
        }
        element('.bench-pages', root).classList.toggle('is-single', bench.pages.length === 1);
        element<HTMLButtonElement>('[data-page-step="-1"]', root).disabled = at <= 0;
        element<HTMLButtonElement>('[data-page-step="1"]', root).disabled = at >= bench.pages.length - 1;
        this.showZoom();
        this.pages.show();
        this.marks.show();
        window.clearTimeout(this.timer);
        this.timer = window.setTimeout(() => this.showList(), LIST_MS);
    }

    private showZoom(): void {
        element('.bench-percent-n', this.root).textContent = `${Math.round(this.bench.view.zoom * 100)} %`;
    }

    /** Kept as it is where nothing changed, so that a reader's place in it is not lost. */
    private showList(): void {
        const { bench, list } = this;
        const there = new Map(
            [...list.children].map((item) => [(item as HTMLElement).dataset.id, item as HTMLElement]),
        );
        const wanted = entries(bench.view.here()).slice(-MOST_LISTED);
        wanted.forEach((entry, i) => {
            const id = present(entry.ids[0]);
            const placed = present(entry.placed[0]);
            let item = there.get(id);
            if (item === undefined) {
                item = document.createElement('li');
                item.dataset.id = id;
                item.append(Object.assign(document.createElement('button'), { type: 'button', className: 'object' }));
            }
            there.delete(id);
            const button = item.firstElementChild as HTMLButtonElement;
            item.dataset.ids = entry.ids.join(' ');
            const words = describeEntry(entry, bench.words, bench.view.paperSize);
            if (button.textContent !== words) {
                button.textContent = words;
            }
            button.setAttribute('aria-pressed', String(entry.ids.every((one) => bench.selection.ids.has(one))));
            button.disabled = !bench.selection.mayMove(id, placed) && !isStack(placed);
            if (list.children[i] !== item) {
                list.insertBefore(item, list.children[i] ?? null);
            }
        });
        there.forEach((item) => item.remove());
        list.dataset.empty = bench.words.no_objects;
    }

    /** With Shift or Control, one more is chosen. From a stack a copy is taken. */
    private pressed(button: HTMLElement | null, more: boolean): void {
        const { bench } = this;
        if (button === null) {
            return;
        }
        const { pageStep, addPage, pages, zoom } = button.dataset;
        const ids = button.closest<HTMLElement>('[data-ids]')?.dataset.ids?.split(' ');
        if (pageStep !== undefined) {
            bench.turnTo(bench.pages[bench.pages.indexOf(bench.view.page) + Number(pageStep)] ?? '');
        } else if (pages !== undefined) {
            this.pages.open();
        } else if (addPage !== undefined) {
            bench.addPage();
        } else if (zoom !== undefined) {
            if (zoom === 'fit') {
                bench.view.seeOther();
            } else {
                bench.view.zoomBy(zoom === 'in' ? 1.25 : 0.8);
            }
        } else if (ids !== undefined && this.tray().has('move')) {
            const chosen = more ? [...bench.selection.ids] : [];
            this.tray().choose('move');
            const placed = bench.view.log.scene.objects.get(present(ids[0]));
            if (placed === undefined) {
                return;
            }
            if (isStack(placed)) {
                bench.takeCopy(placed, [60, 60]);
            } else if (ids.every((one) => chosen.includes(one))) {
                bench.selection.choose(chosen.filter((one) => !ids.includes(one)));
            } else {
                bench.selection.choose([...chosen, ...ids]);
            }
            this.showList();
        }
    }
}
