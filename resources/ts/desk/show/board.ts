import Sortable from 'sortablejs';
import { inOrder, swiftly } from '../../questions/order';
import { present } from '../../present';
import type { Desk } from '../shell/desk';

/** The board of offered work in the drawer: work moves between its columns, and columns change places. */
export class Board {
    /** While something is held, what the server has must not take it out of the hand. */
    isHeld = false;

    constructor(private readonly desk: Desk) {}

    /** After the board was written again. */
    listen(): void {
        const board = document.querySelector<HTMLElement>('.board');
        if (board === null || board.querySelector('.offer-grip, .board-grip') === null) {
            return;
        }
        if (board.querySelector('.board-grip') !== null) {
            inOrder(board, '.board-grip', () => this.columns(board));
        }
        for (const list of board.querySelectorAll<HTMLElement>('.board-offers')) {
            Sortable.create(list, {
                ...swiftly(),
                group: 'board',
                handle: '.offer-grip, img',
                onStart: () => {
                    this.isHeld = true;
                },
                onEnd: ({ item }) => {
                    this.isHeld = false;
                    this.placed(item);
                },
            });
        }
        board.addEventListener('keydown', (event) => this.keyed(event));
    }

    /** Arrow keys on an offer's grip: up and down in its column, left and right to the next. */
    private keyed(event: KeyboardEvent): void {
        const item = (event.target as Element).closest('.offer-grip')?.closest<HTMLElement>('.offer');
        const by = { ArrowUp: [0, -1], ArrowDown: [0, 1], ArrowLeft: [-1, 0], ArrowRight: [1, 0] }[event.key];
        if (!item || by === undefined) {
            return;
        }
        event.preventDefault();
        event.stopPropagation();
        const list = present(item.parentElement);
        const lists = [...document.querySelectorAll('.board-offers')];
        const [across, down] = by as [number, number];
        const to = across === 0 ? list : lists[lists.indexOf(list) + across];
        const at = [...list.children].indexOf(item) + down;
        if (to === undefined || at < 0 || at >= Math.max(list.children.length, 1)) {
            return;
        }
        item.remove();
        to.insertBefore(item, to.children[at] ?? null);
        item.querySelector<HTMLElement>('.offer-grip')?.focus();
        this.placed(item);
    }

    private placed(item: HTMLElement): void {
        const list = present(item.parentElement);
        const column = Number(present(list.closest<HTMLElement>('.board-column')).dataset.column);
        const at = [...list.children].indexOf(item);
        void this.desk.run(`${this.desk.address}/offer/${present(item.dataset.offer)}/arrange`, { column, at });
    }

    private columns(board: HTMLElement): void {
        const order = [...board.querySelectorAll<HTMLElement>('.board-column')].map(({ dataset }) =>
            Number(dataset.column),
        );
        void this.desk.run(`${this.desk.address}/offers/board`, { order });
    }
}
