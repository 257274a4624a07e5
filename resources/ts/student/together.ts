import { decodeInk } from '../canvas/model/ink';
import { TENTHS, type WetInk } from '../canvas/model/objects';
import type { Workbench } from '../canvas/workbench';
import { showWet } from '../grid/tile';
import { Ration } from '../live/ink';
import { element, fill } from '../page';
import type { Sharing } from '../protocol/room';
import type { StudentWords } from '../protocol/words';

/** A stroke whose finished form never came is let go after so long. */
const WET_LIFE_MS = 15_000;
const COLOURS = 6;

interface Around {
    seat: string;
    words: StudentWords;
}

/** Those who draw on this canvas beside its student: who they are, and their pens and their ink as they draw. */
export class Together {
    private now: Sharing | null = null;
    private readonly place = element('#together');
    private readonly ration = new Ration(() => performance.now());
    private readonly wet = new Map<string, number>();

    constructor(
        private readonly bench: Workbench,
        private readonly around: Around,
    ) {}

    /** Where ink on this canvas goes; null where nobody else draws here. */
    get sharing(): Sharing | null {
        return this.now;
    }

    /** Who draws here now; null for nobody else. */
    take(sharing: Sharing | null): void {
        const before = this.now;
        this.now = sharing;
        before?.members
            .filter(({ seat }) => sharing?.members.every((one) => one.seat !== seat) ?? true)
            .forEach(({ seat }) => this.bench.view.pointAt(null, seat));
        this.place.hidden = sharing === null;
        if (sharing !== null) {
            const others = sharing.members.filter(({ seat }) => seat !== this.around.seat);
            const { words } = this.around;
            const names = others.map(({ name }) => name).filter((name) => name !== '');
            const said =
                others.length === 0
                    ? words.together_alone
                    : names.length < others.length
                      ? fill(words.together_count, { n: others.length })
                      : fill(words.together, { names: names.join(', ') });
            element('.together-count', this.place).textContent = String(sharing.members.length);
            element('.together-names', this.place).textContent = said;
            this.place.title = `${sharing.name}: ${said}`;
        }
    }

    /** Others have come into the group that this canvas is of. */
    hearWho(sharing: Sharing): void {
        if (this.now?.group === sharing.group && this.now.channel === sharing.channel) {
            this.take(sharing);
        }
    }

    /** Ink of another who draws here. Its key says whose it is; what has another key is nobody's. */
    hear(ink: WetInk): void {
        const at = this.now?.members.findIndex((one) => one.ink === ink.k) ?? -1;
        const member = this.now?.members[at];
        if (
            member === undefined ||
            member.seat === this.around.seat ||
            ink.c !== this.bench.canvas ||
            !this.ration.allows(ink.k)
        ) {
            return;
        }
        try {
            showWet(this.bench.view, ink);
            this.keep(ink);
            const point = ink.p === undefined ? undefined : decodeInk(ink.p).at(-1);
            if (point !== undefined) {
                this.bench.view.pointAt(
                    {
                        x: point[0] / TENTHS,
                        y: point[1] / TENTHS,
                        page: ink.g ?? '',
                        name: member.name,
                        colour: (at % COLOURS) + 1,
                    },
                    member.seat,
                );
            }
        } catch {
            // What cannot be read is let go; the finished stroke still comes.
        }
    }

    private keep({ o, x }: WetInk): void {
        window.clearTimeout(this.wet.get(o));
        this.wet.delete(o);
        if (x !== 1) {
            this.wet.set(
                o,
                window.setTimeout(() => {
                    this.wet.delete(o);
                    this.bench.view.dropWet(o);
                }, WET_LIFE_MS),
            );
        }
    }
}
