import { openDB, type DBSchema } from 'idb';
import type { Workbench } from '../canvas/workbench';
import { HttpProblem, sendFile } from '../live/http';
import { timePassed } from '../live/timer';
import { element } from '../page';
import type { StudentWords } from '../protocol/words';

/** Crag\Session\Room\TalkLimits. */
const LONGEST_MS = 180_000;
const BITS_A_SECOND = 24_000;
/** Pieces of so long: a page that goes away has what was said up to then. */
const PIECE_MS = 1000;
const MIME = 'audio/webm;codecs=opus';

interface Said {
    seat: string;
    canvas: string;
    /** On the clock of the canvas's operations. */
    began: number;
    sound: Blob;
    /** The same in writing, for those who cannot listen. */
    words?: string;
}

interface Kept extends DBSchema {
    said: { key: string; value: Said };
}

interface Around {
    seat: string;
    address: string;
    words: StudentWords;
    /** It runs: the menu in which it was begun has no more to do. */
    begun(): void;
    say(sentence: string): void;
}

/**
 * A drawing explained aloud: a voice is recorded while its student draws, listened to, and sent or thrown away. Until
 * it is sent it is on this device alone, where a reload or a minute without a network loses none of it.
 */
export class TalkThrough {
    private readonly bar = element('#talk-bar');
    private readonly time = element('#talk-time');
    private readonly audio = element<HTMLAudioElement>('#talk-play');
    private readonly words = element<HTMLTextAreaElement>('#talk-words');
    private readonly begin = element<HTMLButtonElement>('#talk-through');
    private recorder: MediaRecorder | null = null;
    private said: Said | null = null;
    private timer = 0;
    private isSending = false;

    /** A browser that keeps nothing on its device records all the same; a page does not wait for it. */
    private readonly database = openStore().catch(() => null);

    constructor(
        private readonly bench: Workbench,
        private readonly around: Around,
    ) {
        this.begin.addEventListener('click', () => void this.record());
        element('#talk-stop').addEventListener('click', () => this.stop());
        element('#talk-send').addEventListener('click', () => void this.send());
        element('#talk-drop').addEventListener('click', () => void this.drop());
        this.words.addEventListener('change', () => {
            if (this.said !== null) {
                this.said = { ...this.said, words: this.words.value };
                void this.keep(this.said);
            }
        });
        window.addEventListener('online', () => this.isSending && void this.send());
        window.addEventListener('pagehide', () => this.stop());
        void this.recall();
    }

    /** What was said on this device before, and not sent yet. */
    private async recall(): Promise<void> {
        const database = await this.database;
        const said = await database?.get('said', this.around.seat).catch(() => undefined);
        if (said !== undefined && this.said === null && this.recorder === null) {
            this.offer(said);
        }
    }

    /** Whether the session lets students record; what was said before can still be sent or thrown away. */
    allow(may: boolean): void {
        this.begin.hidden = !may || typeof MediaRecorder === 'undefined' || !MediaRecorder.isTypeSupported(MIME);
        if (!may) {
            this.stop();
        }
    }

    private async record(): Promise<void> {
        if (this.recorder !== null || this.said !== null || this.begin.disabled) {
            return;
        }
        const { words, say } = this.around;
        // The browser may ask for a while: pressed again meanwhile, it is asked once.
        this.begin.disabled = true;
        let microphone: MediaStream;
        try {
            microphone = await navigator.mediaDevices.getUserMedia({ audio: true });
        } catch {
            this.begin.disabled = false;
            say(words.talk_no_microphone);
            return;
        }
        const pieces: Blob[] = [];
        const recorder = new MediaRecorder(microphone, { mimeType: MIME, audioBitsPerSecond: BITS_A_SECOND });
        this.recorder = recorder;
        const { canvas, clockAhead } = this.bench;
        const said = { seat: this.around.seat, canvas, began: Date.now() + clockAhead };
        recorder.addEventListener('dataavailable', ({ data }) => {
            if (this.recorder !== recorder) {
                return;
            }
            pieces.push(data);
            void this.keep({ ...said, sound: new Blob(pieces, { type: MIME }) });
        });
        recorder.addEventListener('stop', () => {
            microphone.getTracks().forEach((track) => track.stop());
            window.clearInterval(this.timer);
            if (this.recorder !== recorder) {
                // Thrown away while it ran.
                return;
            }
            this.recorder = null;
            this.offer({ ...said, sound: new Blob(pieces, { type: MIME }) });
        });
        recorder.start(PIECE_MS);
        this.around.begun();
        const began = performance.now();
        this.show('recording');
        const tick = (): void => {
            const passed = performance.now() - began;
            this.time.textContent = timePassed(passed);
            if (passed >= LONGEST_MS) {
                say(words.talk_long);
                this.stop();
            }
        };
        tick();
        this.timer = window.setInterval(tick, 250);
        element('#talk-stop').focus();
    }

    private stop(): void {
        if (this.recorder !== null && this.recorder.state !== 'inactive') {
            this.recorder.stop();
        }
    }

    /** To be listened to, sent, or thrown away. */
    private offer(said: Said | null): void {
        this.said = said;
        this.words.value = said?.words ?? '';
        if (this.audio.src !== '') {
            URL.revokeObjectURL(this.audio.src);
            this.audio.removeAttribute('src');
        }
        if (said !== null) {
            this.audio.src = URL.createObjectURL(said.sound);
        }
        this.show(said === null ? 'nothing' : 'said');
    }

    private show(state: 'nothing' | 'recording' | 'said'): void {
        this.bar.hidden = state === 'nothing';
        this.bar.dataset.state = state;
        this.begin.disabled = state !== 'nothing';
        if (state === 'nothing' && this.bar.contains(document.activeElement)) {
            this.bench.surface.focus({ preventScroll: true });
        }
    }

    private async send(): Promise<void> {
        const { said, around } = this;
        if (said === null || (this.isSending && !navigator.onLine)) {
            return;
        }
        this.isSending = true;
        const query = new URLSearchParams({
            canvas: said.canvas,
            began: String(Math.round(said.began)),
            words: this.words.value,
        });
        try {
            const told = await sendFile<{ said: string }>(`${around.address}/talk?${query}`, said.sound);
            this.isSending = false;
            around.say(told.said);
            await this.forget();
        } catch (problem) {
            const isRefused = problem instanceof HttpProblem && problem.status >= 400 && problem.status < 500;
            // Without a network it goes as soon as there is one.
            this.isSending = !isRefused;
            around.say(isRefused ? problem.message : around.words.talk_waits);
        }
    }

    /** Nothing of it stays on this device. */
    async drop(): Promise<void> {
        const { recorder } = this;
        this.recorder = null;
        if (recorder !== null && recorder.state !== 'inactive') {
            recorder.stop();
        }
        this.isSending = false;
        await this.forget();
    }

    private async forget(): Promise<void> {
        this.offer(null);
        const database = await this.database;
        await database?.delete('said', this.around.seat).catch(() => undefined);
    }

    private async keep(said: Said): Promise<void> {
        const database = await this.database;
        await database?.put('said', said, said.seat).catch(() => undefined);
    }
}

function openStore() {
    return openDB<Kept>('crag-talk', 1, {
        upgrade(database) {
            database.createObjectStore('said');
        },
    });
}
