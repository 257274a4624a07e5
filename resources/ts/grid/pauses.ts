/** From one time to another, in milliseconds. */
export type Span = [from: number, to: number];

/** Loudness is measured over so long at a time. */
const FRAME_MS = 20;
/** Below this share of the loudest frame nobody speaks. */
const QUIET = 0.06;
/** And below this one nobody would hear it: a recording of nothing but noise has no speech in it. */
const SILENT = 0.004;
/** A pause of up to so long is how people speak. */
const SPOKEN_MS = 700;
/** What is left of a longer one, half of it at each end. */
const LEFT_MS = 400;

/**
 * Where nobody speaks, and no step is drawn, for longer than people pause: what can be left out of a recording when it
 * is played.
 *
 * @param samples of one channel, between -1 and 1
 * @param steps when each step begins and ends
 */
export function pausesIn(samples: Float32Array, rate: number, steps: readonly Span[]): Span[] {
    const size = Math.round((rate * FRAME_MS) / 1000);
    const loudness: number[] = [];
    for (let at = 0; at + size <= samples.length; at += size) {
        let sum = 0;
        for (let i = at; i < at + size; i++) {
            sum += (samples[i] ?? 0) ** 2;
        }
        loudness.push(Math.sqrt(sum / size));
    }
    const threshold = Math.max(SILENT, QUIET * loudness.reduce((most, one) => Math.max(most, one), 0));
    const isBusy = loudness.map((one) => one >= threshold);
    for (const [from, to] of steps) {
        for (let i = Math.floor(from / FRAME_MS); i <= to / FRAME_MS && i < isBusy.length; i++) {
            isBusy[i] = true;
        }
    }
    const pauses: Span[] = [];
    let from = 0;
    for (let i = 0; i <= isBusy.length; i++) {
        if (i < isBusy.length && isBusy[i] === false) {
            continue;
        }
        const to = i * FRAME_MS;
        if (to - from > SPOKEN_MS) {
            pauses.push([from + LEFT_MS / 2, to - LEFT_MS / 2]);
        }
        from = to + FRAME_MS;
    }
    return pauses;
}

/** A time, or the end of the pause that it lies in. */
export function skipped(pauses: readonly Span[], at: number): number {
    return pauses.find(([from, to]) => at >= from && at < to)?.[1] ?? at;
}
