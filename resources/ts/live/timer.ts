import type { Timer } from '../protocol/timer';
import { present } from '../present';

/** Milliseconds that are left now. */
export function timeLeft(timer: Timer, now: number): number {
    return timer.ends === null ? timer.left : timer.ends - now;
}

/** As it stands on a page: "4:05". What has begun counts as a whole second, so that 0:00 is the end. */
export function clockFace(ms: number): string {
    return face(Math.max(0, Math.ceil(ms / 1000)));
}

/** The same for time that has passed: only whole seconds count. */
export function timePassed(ms: number): string {
    return face(Math.floor(ms / 1000));
}

function face(seconds: number): string {
    return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}

const BEAT_MS = 200;

/** Shows a timer on a page, and says once when it comes to zero. */
export class TimerFace {
    private timer: Timer | null = null;
    private wasAbove = false;
    private beat = 0;

    constructor(
        private readonly now: () => number,
        private readonly show: (words: string | null, isPaused: boolean, left: number) => void,
        private readonly over: (timer: Timer) => void,
    ) {}

    set(timer: Timer | null): void {
        this.timer = timer;
        this.wasAbove = timer !== null && timeLeft(timer, this.now()) > 0;
        window.clearInterval(this.beat);
        // A page without a timer that runs has nothing to count.
        if (timer !== null && timer.ends !== null) {
            this.beat = window.setInterval(() => this.tick(), BEAT_MS);
        }
        this.tick();
    }

    get isOver(): boolean {
        return this.timer !== null && this.timer.ends !== null && timeLeft(this.timer, this.now()) <= 0;
    }

    /** Pens are down from zero on, if they shall be. */
    get bringsPensDown(): boolean {
        return this.isOver && present(this.timer).pens;
    }

    private tick(): void {
        if (this.timer === null) {
            this.show(null, false, 0);
            return;
        }
        const left = timeLeft(this.timer, this.now());
        this.show(clockFace(left), this.timer.ends === null, left);
        if (this.wasAbove && this.isOver) {
            this.wasAbove = false;
            this.over(this.timer);
        }
    }
}

/** A gentle sound: two soft tones. Browsers allow it once the page has been touched; without it the page is quiet. */
export function chime(): void {
    try {
        const audio = new AudioContext();
        [523.25, 659.25].forEach((pitch, i) => {
            const tone = audio.createOscillator();
            const volume = audio.createGain();
            const at = audio.currentTime + i * 0.35;
            tone.type = 'sine';
            tone.frequency.value = pitch;
            volume.gain.setValueAtTime(0, at);
            volume.gain.linearRampToValueAtTime(0.18, at + 0.04);
            volume.gain.exponentialRampToValueAtTime(0.001, at + 1.1);
            tone.connect(volume).connect(audio.destination);
            tone.start(at);
            tone.stop(at + 1.2);
        });
        window.setTimeout(() => void audio.close(), 2500);
    } catch {
        // No sound here.
    }
}
