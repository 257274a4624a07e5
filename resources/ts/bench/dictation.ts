/** What browsers that write down speech have of it; TypeScript does not know it. */
interface Recogniser extends EventTarget {
    continuous: boolean;
    lang: string;
    processLocally?: boolean;
    start(): void;
    stop(): void;
}

interface RecogniserKind {
    new (): Recogniser;
    /** Newer browsers say whether a language is written down on the device. */
    available?(what: { langs: string[]; processLocally: boolean }): Promise<string>;
}

interface Heard extends Event {
    resultIndex: number;
    results: ArrayLike<ArrayLike<{ transcript: string }> & { isFinal: boolean }>;
}

function kind(): RecogniserKind | undefined {
    const page = window as { SpeechRecognition?: RecogniserKind; webkitSpeechRecognition?: RecogniserKind };
    return page.SpeechRecognition ?? page.webkitSpeechRecognition;
}

/** The device's own dictation: what is said, in writing, sentence by sentence. */
export class Dictation {
    private running: Recogniser | null = null;

    /** @param  heard  a sentence is finished */
    constructor(private readonly heard: (sentence: string) => void) {}

    static get isThere(): boolean {
        return kind() !== undefined;
    }

    /** Whether it is written down on this device; else the browser's maker may hear it. */
    static async staysHere(): Promise<boolean> {
        const langs = [document.documentElement.lang];
        const is = await kind()
            ?.available?.({ langs, processLocally: true })
            .catch(() => 'unavailable');
        return is === 'available';
    }

    start(onDevice: boolean): void {
        const Kind = kind();
        if (Kind === undefined || this.running !== null) {
            return;
        }
        const running = new Kind();
        this.running = running;
        running.continuous = true;
        running.lang = document.documentElement.lang;
        if (onDevice) {
            running.processLocally = true;
        }
        running.addEventListener('result', (event) => {
            const { resultIndex, results } = event as Heard;
            for (let i = resultIndex; i < results.length; i++) {
                const sentence = results[i]?.[0]?.transcript.trim() ?? '';
                if (results[i]?.isFinal === true && sentence !== '') {
                    this.heard(sentence);
                }
            }
        });
        // It ends by itself after a pause.
        running.addEventListener('end', () => {
            if (this.running === running) {
                this.running = null;
                this.start(onDevice);
            }
        });
        running.addEventListener('error', () => {
            this.running = null;
        });
        running.start();
    }

    stop(): void {
        const { running } = this;
        this.running = null;
        running?.stop();
    }
}
