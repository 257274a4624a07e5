import { openDB, type DBSchema } from 'idb';
import { HttpProblem, sendFile } from '../live/http';
import { timePassed } from '../live/timer';
import { element } from '../page';
import type { BenchWords } from '../protocol/words';

/** Crag\Session\Room\TalkLimits. */
const LONGEST_MS = 180_000;
const BITS_A_SECOND = 24_000;
/** Pieces of so long: a page that goes away has what was said up to then. */
const PIECE_MS = 1000;
const MIME = 'audio/webm;codecs=opus';

interface Said {
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
    /** The bar on which it is recorded, heard and sent. */
    bar: string;
    /** By which buttons it is begun. */
    buttons: string;
    /** Under which name it is kept on this device until it is sent. */
    key: string;
    words: BenchWords;
    /** On which canvas somebody speaks now; null on none. */
    canvas(): string | null;
    /** By how many milliseconds the clock of the canvas's operations is ahead of this device's. */
    clockAhead(): number;
    /** Where what was said about a canvas goes. */
    addressOf(canvas: string): string;
    /** It runs: the menu in which it was begun has no more to do. */
    begun(): void;
    /** There is nothing to record or to send any more: where the keys belong then. */
    rest(): unknown;
    say(sentence: string): void;
}

/**
 * A drawing explained aloud: a voice is recorded while somebody draws, listened to, and sent or thrown away. Until it
 * is sent it is on this device alone, where a reload or a minute without a network loses none of it.
 */
export class TalkThrough {
    private readonly bar: HTMLElement;
    private readonly time: HTMLElement;
    private readonly audio: HTMLAudioElement;
    private readonly words: HTMLTextAreaElement;
    private readonly begin: HTMLButtonElement[];
    private recorder: MediaRecorder | null = null;
    private said: Said | null = null;
    private timer = 0;
    private isSending = false;
    private isAsking = false;

    /** A browser that keeps nothing on its device records all the same; a page does not wait for it. */
    private readonly database = openStore().catch(() => null);

    constructor(private readonly around: Around) {
        this.bar = element(around.bar);
        this.begin = [...document.querySelectorAll<HTMLButtonElement>(around.buttons)];
        this.time = element('.talk-time', this.bar);
        this.audio = element<HTMLAudioElement>('.talk-play', this.bar);
        this.words = element<HTMLTextAreaElement>('textarea', this.bar);
        this.begin.forEach((button) => button.addEventListener('click', () => void this.record()));
        element('.talk-stop', this.bar).addEventListener('click', () => this.stop());
        element('.talk-send', this.bar).addEventListener('click', () => void this.send());
        element('.talk-drop', this.bar).addEventListener('click', () => void this.drop());
        this.words.addEventListener('keydown', (event) => this.beginLine(event));
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
        const said = await database?.get('said', this.around.key).catch(() => undefined);
        if (said !== undefined && this.said === null && this.recorder === null) {
            this.offer(said);
        }
    }

    /** Whether recording is allowed here; what was said before can still be sent or thrown away. */
    allow(may: boolean): void {
        const isHidden = !may || typeof MediaRecorder === 'undefined' || !MediaRecorder.isTypeSupported(MIME);
        this.begin.forEach((button) => {
            button.hidden = isHidden;
        });
        if (!may) {
            this.stop();
        }
    }

    private async record(): Promise<void> {
        const canvas = this.around.canvas();
        if (this.recorder !== null || this.said !== null || this.isAsking || canvas === null) {
            return;
        }
        const { words, say } = this.around;
        // The browser may ask for a while: pressed again meanwhile, it is asked once.
        this.isAsking = true;
        let microphone: MediaStream;
        try {
            microphone = await navigator.mediaDevices.getUserMedia({ audio: true });
        } catch {
            this.isAsking = false;
            say(words.talk_no_microphone);
            return;
        }
        this.isAsking = false;
        const pieces: Blob[] = [];
        const recorder = new MediaRecorder(microphone, { mimeType: MIME, audioBitsPerSecond: BITS_A_SECOND });
        this.recorder = recorder;
        const said = { canvas, began: Date.now() + this.around.clockAhead() };
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
        element('.talk-stop', this.bar).focus();
    }

    stop(): void {
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
        this.begin.forEach((button) => {
            button.disabled = state !== 'nothing';
        });
        if (state === 'nothing' && this.bar.contains(document.activeElement)) {
            this.around.rest();
        }
    }

    /** Enter, while it is heard, begins a line at that moment. */
    private beginLine(event: KeyboardEvent): void {
        const { audio, words } = this;
        if (event.key !== 'Enter' || event.shiftKey || event.isComposing || audio.currentTime === 0) {
            return;
        }
        event.preventDefault();
        const before = words.value.slice(0, words.selectionStart);
        const lineEnd = before === '' || before.endsWith('\n') ? '' : '\n';
        words.setRangeText(
            `${lineEnd}${timePassed(audio.currentTime * 1000)} `,
            words.selectionStart,
            words.selectionEnd,
            'end',
        );
    }

    private async send(): Promise<void> {
        const { said, around } = this;
        if (said === null || (this.isSending && !navigator.onLine)) {
            return;
        }
        this.isSending = true;
        const query = new URLSearchParams({
            began: String(Math.round(said.began)),
            words: this.words.value,
        });
        const address = `${around.addressOf(said.canvas)}${query}`;
        const told = await sendFile<{ said: string }>(address, said.sound).catch((problem: unknown) => {
            const isRefused = problem instanceof HttpProblem && problem.status >= 400 && problem.status < 500;
            // Without a network it goes as soon as there is one.
            this.isSending = !isRefused;
            around.say(isRefused ? problem.message : around.words.talk_waits);
            return null;
        });
        if (told !== null) {
            this.isSending = false;
            around.say(told.said);
            await this.forget();
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
        await database?.delete('said', this.around.key).catch(() => undefined);
    }

    private async keep(said: Said): Promise<void> {
        const database = await this.database;
        await database?.put('said', said, this.around.key).catch(() => undefined);
    }
}

function openStore() {
    return openDB<Kept>('crag-talk', 1, {
        upgrade(database) {
            database.createObjectStore('said');
        },
    });
}
