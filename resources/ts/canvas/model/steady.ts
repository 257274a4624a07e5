type Point = readonly [x: number, y: number];

/**
 * The 1 € filter: a low-pass filter whose cutoff rises with speed, so that a slow hand is steadied and a fast one does
 * not lag. G. Casiez, N. Roussel, D. Vogel: "1 € Filter: A Simple Speed-based Low-pass Filter for Noisy Input in
 * Interactive Systems", CHI 2012, https://doi.org/10.1145/2207676.2208639.
 */
class OneEuro {
    private last: { ms: number; at: Point; speed: Point } | null = null;

    /**
     * @param least  the cutoff of a hand at rest, in Hz
     * @param rise  by how many Hz the cutoff rises for each unit a second
     * @param speedCutoff  of the speed itself, in Hz
     */
    constructor(
        private readonly least: number,
        private readonly rise: number,
        private readonly speedCutoff: number,
    ) {}

    copy(): OneEuro {
        const copy = new OneEuro(this.least, this.rise, this.speedCutoff);
        copy.last = this.last;
        return copy;
    }

    /** Both ways by one cutoff, of the speed along the line: two of them would bend it. */
    next(at: Point, ms: number): Point {
        const { last } = this;
        if (last === null) {
            this.last = { ms, at, speed: [0, 0] };
            return at;
        }
        // Several events can have the same time: then they count as a millisecond apart.
        const seconds = Math.max(1, ms - last.ms) / 1000;
        const speed = between(
            last.speed,
            [(at[0] - last.at[0]) / seconds, (at[1] - last.at[1]) / seconds],
            share(this.speedCutoff, seconds),
        );
        const cutoff = this.least + this.rise * Math.hypot(...speed);
        const now = between(last.at, at, share(cutoff, seconds));
        this.last = { ms, at: now, speed };
        return now;
    }
}

/** So far from one to the other. */
function between(from: Point, to: Point, share: number): Point {
    return [from[0] + share * (to[0] - from[0]), from[1] + share * (to[1] - from[1])];
}

/** How much of a new value counts. */
function share(cutoff: number, seconds: number): number {
    return 1 / (1 + 1 / (2 * Math.PI * cutoff * seconds));
}

const LEAST = 3.5;
const RISE = 0.025;
const SPEED_CUTOFF = 5;

/** A mouse and a finger have no pressure: theirs comes of speed, about the middle, which is a line's own width. */
const EVEN = 128;
const SLOW = 156;
const FAST = 100;
/** Pressure falls by so much for each CSS pixel in a millisecond. */
const FALL = 34;
/** So much of a new pressure counts: a line gets broader and narrower without steps. */
const SMOOTH = 0.3;

/** Steadies one stroke: its places in CSS pixels, and its pressure, 0–255. */
export class Steady {
    private place = new OneEuro(LEAST, RISE, SPEED_CUTOFF);
    private before: { x: number; y: number; ms: number; pressure: number } | null = null;

    /** @param hasPressure  whether the pointer tells how hard it is pressed */
    constructor(private readonly hasPressure: boolean) {}

    /** Another one that goes on from here, and leaves this one as it is. */
    copy(): Steady {
        const copy = new Steady(this.hasPressure);
        copy.place = this.place.copy();
        copy.before = this.before;
        return copy;
    }

    next(x: number, y: number, pressure: number, ms: number): [x: number, y: number, pressure: number] {
        const [steadyX, steadyY] = this.place.next([x, y], ms);
        const { before } = this;
        const began = this.hasPressure ? pressure : EVEN;
        const meant =
            before === null || this.hasPressure
                ? began
                : Math.max(
                      FAST,
                      SLOW - (FALL * Math.hypot(steadyX - before.x, steadyY - before.y)) / Math.max(1, ms - before.ms),
                  );
        const now = before === null ? began : before.pressure + SMOOTH * (meant - before.pressure);
        this.before = { x: steadyX, y: steadyY, ms, pressure: now };
        return [steadyX, steadyY, Math.round(now)];
    }
}
