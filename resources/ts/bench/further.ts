import { element } from '../page';
import { present } from '../present';

/** Which tools stay in the row when there is no room for all of them, the dearest first. */
const DEAREST = [
    'pen',
    'eraser',
    'move',
    'highlighter',
    'shapes',
    'text',
    'maths',
    'pieces',
    'construct',
    'note',
    'stamps',
    'picture',
];

/** Between the tools and what stands at the ends, between two tools, and between groups of them, in CSS pixels. */
const BESIDE = 12;
const GAP = 2;
const GROUPS = 16;

function rank(tool: HTMLElement): number {
    return DEAREST.indexOf(present(tool.dataset.tool));
}

/** The tools that find no room in the tray's row: they stand in a pop-up behind a button of their own. */
export class FurtherTools {
    private readonly row: HTMLElement;
    private readonly holder: HTMLElement;
    private readonly opener: HTMLButtonElement;
    private readonly tools: HTMLElement[];
    private readonly sizes = new WeakMap<HTMLElement, number>();
    /** The one that was chosen last from among those that find no room. */
    private guest: HTMLElement | null = null;

    constructor(private readonly tray: HTMLElement) {
        this.holder = element('.tray-further', tray);
        this.opener = element<HTMLButtonElement>('.open-further', tray);
        this.row = present(this.opener.parentElement);
        this.tools = [...this.row.querySelectorAll<HTMLElement>('[data-tool]')];
        this.opener.addEventListener('click', () => this.open(this.holder.hidden));
        this.holder.addEventListener('click', () => this.open(false));
        document.addEventListener('pointerdown', (event) => {
            const at = event.target as Element;
            if (!this.holder.hidden && !this.holder.contains(at) && !this.opener.contains(at)) {
                this.open(false);
            }
        });
        this.holder.addEventListener('keydown', (event) => {
            if (event.key === 'Escape') {
                event.stopPropagation();
                this.open(false);
                this.opener.focus();
            }
        });
        const watch = new ResizeObserver(() => this.arrange());
        [tray, ...this.ends()].forEach((one) => watch.observe(one));
    }

    private open(isOpen: boolean): void {
        this.holder.hidden = !isOpen;
        this.opener.setAttribute('aria-expanded', String(isOpen));
        if (isOpen) {
            this.holder.querySelector<HTMLElement>('[data-tool]:not([hidden])')?.focus();
        }
    }

    /** As many of the dearest as find room, the one that was chosen last among them. */
    private dearest(shown: HTMLElement[], room: number, sizeOf: (tool: HTMLElement) => number): HTMLElement[] {
        const inOrder = [...shown].sort((a, b) => rank(a) - rank(b));
        const { guest } = this;
        const hasGuest = guest !== null && shown.includes(guest);
        const kept: HTMLElement[] = hasGuest ? [guest] : [];
        let left = room - (hasGuest ? sizeOf(guest) : 0);
        for (const tool of inOrder) {
            const isFirst = kept.length === 0;
            if (!kept.includes(tool) && (isFirst || sizeOf(tool) <= left)) {
                kept.push(tool);
                left -= sizeOf(tool);
            } else if (!kept.includes(tool)) {
                return kept;
            }
        }
        return kept;
    }

    /** What stands at the ends of the tray, where it is wide enough. */
    private ends(): HTMLElement[] {
        return [...this.tray.querySelectorAll<HTMLElement>('.bench-pages, .bench-zoom')];
    }

    /** How much of the row's width its ends take; the tools stand in the middle, so as much on both sides. */
    private taken(): number {
        const { top } = this.tray.getBoundingClientRect();
        const beside = this.ends().filter((one) => one.getBoundingClientRect().bottom > top);
        return 2 * Math.max(0, ...beside.map(({ offsetWidth }) => offsetWidth + BESIDE));
    }

    /** Puts as many tools into the row as there is room for. */
    arrange(): void {
        const steps = [
            ...this.tray.querySelectorAll<HTMLElement>(
                '.tray-tools > .tray-group:not(:has(> [data-tool], > .open-further)) .tool',
            ),
        ];
        const [one] = steps;
        if (one === undefined || one.offsetWidth === 0) {
            return;
        }
        const isUpright = getComputedStyle(present(this.row.parentElement)).flexDirection === 'column';
        const { clientWidth } = present(this.row.parentElement);
        const space = isUpright ? this.tray.clientHeight : Math.min(clientWidth, this.tray.clientWidth - this.taken());
        const shown = this.tools.filter(({ hidden }) => !hidden);
        const sizeOf = ({ offsetWidth, offsetHeight }: HTMLElement): number => (isUpright ? offsetHeight : offsetWidth);
        const taken = steps.reduce((sum, step) => sum + sizeOf(step), 0);
        const [gap, groups] = isUpright ? [0, 0] : [GAP, GROUPS];
        // What is folded away has the size that it was last seen with.
        shown.forEach((tool) => sizeOf(tool) > 0 && this.sizes.set(tool, sizeOf(tool)));
        const sizeWith = (tool: HTMLElement): number => (this.sizes.get(tool) ?? sizeOf(one)) + gap;
        const free = space - taken - groups;
        const isShort = shown.reduce((sum, tool) => sum + sizeWith(tool), 0) > free;
        const kept = new Set(isShort ? this.dearest(shown, free - sizeOf(one) - gap, sizeWith) : this.tools);
        for (const tool of this.tools) {
            const place = kept.has(tool) || tool.hidden ? this.row : this.holder;
            if (tool.parentElement !== place) {
                place.append(tool);
            }
        }
        // In their order, with the way to the others behind them.
        this.tools.filter(({ parentElement }) => parentElement === this.row).forEach((tool) => this.row.append(tool));
        this.row.append(this.opener);
        this.opener.hidden = !isShort;
        if (!isShort) {
            this.open(false);
        }
    }

    /** A tool that is chosen from among the others takes the row's last place, and keeps it until another does. */
    show(): void {
        const chosen = this.holder.querySelector<HTMLElement>('[data-tool][aria-pressed="true"]');
        if (chosen !== null) {
            this.guest = chosen;
            this.arrange();
        }
    }
}
