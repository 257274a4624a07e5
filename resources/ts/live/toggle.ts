import { InOrder } from './inorder';

/**
 * Something that is on or off, and that the server is told. A press turns round what was pressed before it, whether
 * the server has answered yet or not: two presses are two steps, told in their order.
 */
export class Toggle {
    private wanted: boolean | null = null;
    private readonly order = new InOrder();
    private underWay = 0;

    /**
     * @param  isOn  as the server last said
     * @param  tell  settles when the server has answered
     */
    constructor(
        private readonly isOn: () => boolean,
        private readonly tell: (isOn: boolean) => Promise<unknown>,
    ) {}

    /** Resolves to what it was turned to, when the server knows. */
    press(): Promise<boolean> {
        const next = !(this.wanted ?? this.isOn());
        this.wanted = next;
        this.underWay++;
        return this.order
            .do(() => this.tell(next))
            .catch(() => undefined)
            .then(() => {
                this.underWay--;
                if (this.underWay === 0) {
                    this.wanted = null;
                }
                return next;
            });
    }
}
