/**
 * The 1 € filter: a low-pass filter whose cutoff rises with speed, so that a slow hand is steadied and a fast one does
 * not lag. G. Casiez, N. Roussel, D. Vogel: "1 € Filter: A Simple Speed-based Low-pass Filter for Noisy Input in
 * Interactive Systems", CHI 2012, https://doi.org/10.1145/2207676.2208639.
 */
class OneEuro {
    private last: { ms: number; value: number; speed: number } | null = null;

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

    next(value: number, ms: number): number {
        const { last } = this;
        if (last === null) {
            this.last = { ms, value, speed: 0 };
            return value;
        }
        // Several events can have the same time: then they count as a millisecond apart.
        const seconds = Math.max(1, ms - last.ms) / 1000;
        const speed = last.speed + share(this.speedCutoff, seconds) * ((value - last.value) / seconds - last.speed);
        const cutoff = this.least + this.rise * Math.abs(speed);
        const now = last.value + share(cutoff, seconds) * (value - last.value);
        this.last = { ms, value: now, speed };
        return now;
    }
}

/** How much of a new value counts. */
function share(cutoff: number, seconds: number): number {
    return 1 / (1 + 1 / (2 * Math.PI * cutoff * seconds));
}

const LEAST = 4;
const RISE = 0.05;
const SPEED_CUTOFF = 8;

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
    private readonly x = new OneEuro(LEAST, RISE, SPEED_CUTOFF);
    private readonly y = new OneEuro(LEAST, RISE, SPEED_CUTOFF);
    private before: { x: number; y: number; ms: number; pressure: number } | null = null;

    /** @param hasPressure  whether the pointer tells how hard it is pressed */
    constructor(private readonly hasPressure: boolean) {}

    next(x: number, y: number, pressure: number, ms: number): [x: number, y: number, pressure: number] {
        const [steadyX, steadyY] = [this.x.next(x, ms), this.y.next(y, ms)];
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
