import { element } from '../page';

/** The small menu of levels that a tile's Strata mark opens. */
export class StrataMenu {
    private readonly root = element('#strata-menu');

    /** The seat whose mark was pressed. */
    get seat(): string {
        return this.root.dataset.seat ?? '';
    }

    get isOpen(): boolean {
        return !this.root.hidden;
    }

    open(button: HTMLElement): void {
        const box = button.getBoundingClientRect();
        this.root.dataset.seat = button.closest<HTMLElement>('.tile')!.dataset.seat!;
        this.root.hidden = false;
        this.root.style.left = `${Math.min(box.left, window.innerWidth - this.root.offsetWidth - 8)}px`;
        this.root.style.top = `${Math.max(8, box.top - this.root.offsetHeight - 4)}px`;
        element('button', this.root).focus();
    }

    close(): void {
        this.root.hidden = true;
    }

    pressedOutside(target: Element): void {
        if (this.isOpen && target.closest('#strata-menu, [data-do="strata"]') === null) {
            this.close();
        }
    }
}
