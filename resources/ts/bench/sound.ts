/** A quarter of a beat, in seconds: 120 beats a minute. */
const QUARTER = 0.125;
const LOUD = 0.18;

let sounding: AudioContext | null = null;

/** Plays notes after one another; what still sounds is ended. */
export function play(notes: [frequency: number, quarters: number][]): void {
    void sounding?.close();
    const context = new AudioContext();
    sounding = context;
    let at = context.currentTime + 0.05;
    for (const [frequency, quarters] of notes) {
        const end = at + quarters * QUARTER;
        const tone = new OscillatorNode(context, { type: 'triangle', frequency });
        const gain = new GainNode(context, { gain: 0 });
        gain.gain.linearRampToValueAtTime(0, at);
        gain.gain.linearRampToValueAtTime(LOUD, at + 0.02);
        gain.gain.linearRampToValueAtTime(0, end);
        tone.connect(gain).connect(context.destination);
        tone.start(at);
        tone.stop(end);
        at = end;
    }
}
