export type Value = number | string | number[];

/** As core/src/Manipulative/Values.php: settings or a state; what is not there is 0, empty or ''. */
export class Values {
    private constructor(private readonly all: Record<string, Value>) {}

    static of(all: Record<string, Value>): Values {
        return new Values(all);
    }

    int(name: string): number {
        const value = this.all[name];
        return typeof value === 'number' ? value : 0;
    }

    /** A list of one's own: what is done to it leaves the values as they are. */
    list(name: string): number[] {
        const value = this.all[name];
        return Array.isArray(value) ? [...value] : [];
    }

    words(name: string): string {
        const value = this.all[name];
        return typeof value === 'string' ? value : '';
    }

    with(name: string, value: Value): Values {
        return new Values({ ...this.all, [name]: value });
    }

    toArray(): Record<string, Value> {
        return this.all;
    }
}

/** Whether two values are the same as PHP's `===` has it: lists where what is in them is. */
export function same(a: unknown, b: unknown): boolean {
    if (!Array.isArray(a) || !Array.isArray(b)) {
        return a === b;
    }
    return a.length === b.length && a.every((one, i) => same(one, b[i]));
}
