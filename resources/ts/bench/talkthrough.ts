import { openDB, type DBSchema } from 'idb';
import { HttpProblem, sendFile } from '../live/http';
import { timePassed } from '../live/timer';
import { element } from '../page';
import { Dictation } from './dictation';
import type { BenchWords } from '../protocol/words';

/** Crag\Session\Room\TalkLimits. */
const LONGEST_MS = 180_000;
const BITS_A_SECOND = 24_000;
/** Pieces of so long: a page that goes away has what was said up to then. */
const PIECE_MS = 1000;
const MIME = 'audio/webm;codecs=opus';
const FILMED_MIME = 'video/webm;codecs=vp8,opus';
const FILM_BITS_A_SECOND = 150_000;
/** Crag\Formats\WebM::LARGEST allows more: a face in a corner needs no more. */
const FILM = { width: { ideal: 320, max: 640 }, height: { ideal: 240, max: 640 }, frameRate: { max: 15 } };

interface Said {
    canvas: string;
    /** On the clock of the canvas's operations. */
    began: number;
    sound: Blob;
    isFilmed?: boolean;
    /** The same in writing, for those who cannot listen. */
    words?: string;
}

interface Kept extends DBSchema {
    said: { key: string; value: Said };
}

interface Around {
    /** The bar on which it is recorded, heard and sent. */
    bar: string;
    /** By which buttons it is begun; those with data-filmed switch the camera on. */
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
    /** Who speaks sees what is filmed, and then what was. */
    private readonly film: HTMLVideoElement;
    private readonly dictation: Dictation;
    private began = 0;
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
        this.film = element<HTMLVideoElement>('.talk-film', this.bar);
        this.words = element<HTMLTextAreaElement>('textarea', this.bar);
        this.begin.forEach((button) =>
            button.addEventListener('click', () => void this.record(button.dataset.filmed !== undefined)),
        );
        this.dictation = new Dictation((sentence) => this.dictate(sentence));
        this.offerDictation();
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
    allow(may: boolean, mayFilm = false): void {
        const can = (type: string): boolean =>
            typeof MediaRecorder !== 'undefined' && MediaRecorder.isTypeSupported(type);
        this.begin.forEach((button) => {
            button.hidden =
                button.dataset.filmed === undefined ? !may || !can(MIME) : !may || !mayFilm || !can(FILMED_MIME);
        });
        if (!may) {
            this.stop();
        }
    }

    private async record(isFilmed: boolean): Promise<void> {
        const canvas = this.around.canvas();
        if (this.recorder !== null || this.said !== null || this.isAsking || canvas === null) {
            return;
        }
        const { words, say } = this.around;
        // The browser may ask for a while: pressed again meanwhile, it is asked once.
        this.isAsking = true;
        let microphone: MediaStream;
        try {
            microphone = await navigator.mediaDevices.getUserMedia({ audio: true, video: isFilmed && FILM });
        } catch {
            this.isAsking = false;
            say(isFilmed ? words.talk_no_camera : words.talk_no_microphone);
            return;
        }
        this.isAsking = false;
        const type = isFilmed ? FILMED_MIME : MIME;
        const pieces: Blob[] = [];
        const recorder = new MediaRecorder(microphone, {
            mimeType: type,
            audioBitsPerSecond: BITS_A_SECOND,
            videoBitsPerSecond: FILM_BITS_A_SECOND,
        });
        this.recorder = recorder;
        const said = { canvas, began: Date.now() + this.around.clockAhead(), isFilmed };
        recorder.addEventListener('dataavailable', ({ data }) => {
            if (this.recorder !== recorder) {
                return;
            }
            pieces.push(data);
            void this.keep({ ...said, sound: new Blob(pieces, { type }), words: this.words.value });
        });
        recorder.addEventListener('stop', () => {
            microphone.getTracks().forEach((track) => track.stop());
            window.clearInterval(this.timer);
            this.dictation.stop();
            if (this.recorder !== recorder) {
                // Thrown away while it ran.
                return;
            }
            this.recorder = null;
            this.offer({ ...said, sound: new Blob(pieces, { type }), words: this.words.value });
        });
        recorder.start(PIECE_MS);
        this.around.begun();
        this.began = performance.now();
        this.words.value = '';
        this.bar.classList.toggle('is-filmed', isFilmed);
        this.see(isFilmed ? microphone : null, true);
        this.show('recording');
        const tick = (): void => {
            const passed = performance.now() - this.began;
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
        this.see(null, false);
        for (const one of [this.audio, this.film]) {
            if (one.src !== '') {
                URL.revokeObjectURL(one.src);
                one.removeAttribute('src');
            }
        }
        if (said !== null) {
            this.heard.src = URL.createObjectURL(said.sound);
        }
        this.audio.hidden = said?.isFilmed === true;
        this.film.hidden = said?.isFilmed !== true;
        this.show(said === null ? 'nothing' : 'said');
    }

    private get heard(): HTMLMediaElement {
        return this.said?.isFilmed === true ? this.film : this.audio;
    }

    /** What the camera sees, while it runs; silent, or it would hear itself. */
    private see(camera: MediaStream | null, isOn: boolean): void {
        this.film.srcObject = camera;
        this.film.muted = isOn;
        this.film.controls = !isOn;
        this.film.hidden = camera === null;
    }

    /** The device can write down what is said; off until somebody switches it on, for one recording. */
    private offerDictation(): void {
        const label = this.bar.querySelector<HTMLElement>('.talk-dictate');
        if (label === null || !Dictation.isThere) {
            return;
        }
        const box = element<HTMLInputElement>('input', label);
        label.hidden = false;
        const where = element('.talk-dictate-where', label);
        where.textContent = this.around.words.dictation_away;
        box.addEventListener('change', () => {
            if (!box.checked) {
                this.dictation.stop();
                return;
            }
            void Dictation.staysHere().then((staysHere) => {
                where.textContent = this.around.words[staysHere ? 'dictation_here' : 'dictation_away'];
                if (box.checked) {
                    this.dictation.start(staysHere);
                }
            });
        });
    }

    private dictate(sentence: string): void {
        const at = timePassed(Math.max(0, performance.now() - this.began));
        this.words.value = `${this.words.value}${this.words.value === '' ? '' : '\n'}${at} ${sentence}`;
    }

    private show(state: 'nothing' | 'recording' | 'said'): void {
        this.bar.hidden = state === 'nothing';
        this.bar.dataset.state = state;
        this.begin.forEach((button) => {
            button.disabled = state !== 'nothing';
        });
        if (state !== 'recording') {
            this.dictation.stop();
            this.bar.querySelectorAll<HTMLInputElement>('.talk-dictate input').forEach((box) => {
                box.checked = false;
            });
        }
        if (state === 'nothing' && this.bar.contains(document.activeElement)) {
            this.around.rest();
        }
    }

    /** Enter, while it is heard, begins a line at that moment. */
    private beginLine(event: KeyboardEvent): void {
        const { heard, words } = this;
        if (event.key !== 'Enter' || event.shiftKey || event.isComposing || heard.currentTime === 0) {
            return;
        }
        event.preventDefault();
        const before = words.value.slice(0, words.selectionStart);
        const lineEnd = before === '' || before.endsWith('\n') ? '' : '\n';
        words.setRangeText(
            `${lineEnd}${timePassed(heard.currentTime * 1000)} `,
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
