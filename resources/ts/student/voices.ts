import { element, fill } from '../page';
import type { Voice } from '../protocol/room';
import type { StudentWords } from '../protocol/words';

const HEARD = 'crag-heard';

interface Around {
    address: string;
    words: StudentWords;
    canvas(): string;
}

/** What the teacher said about this student's canvases: heard when the student wants to, and again later. */
export class Voices {
    private readonly root = element('#letters');
    private readonly template = element<HTMLTemplateElement>('#voice-template');
    private voices: Voice[] = [];

    constructor(private readonly around: Around) {
        element('#coach-listen').addEventListener('click', () => {
            const here = this.here.map(({ id }) => id);
            this.heard = this.heard.filter((id) => !here.includes(id));
            this.take(this.voices);
            this.root.querySelector<HTMLElement>('.voice audio')?.focus();
        });
    }

    /** What was said about the canvas that is open. */
    get here(): Voice[] {
        return this.voices.filter(({ canvas }) => canvas === this.around.canvas());
    }

    take(voices: Voice[]): void {
        this.voices = voices;
        const { heard } = this;
        const wanted = voices.filter(({ id }) => !heard.includes(id));
        for (const there of this.root.querySelectorAll<HTMLElement>('.voice')) {
            if (!wanted.some(({ id }) => id === there.dataset.id)) {
                there.remove();
            }
        }
        for (const voice of wanted) {
            if (this.root.querySelector(`[data-id="${voice.id}"]`) === null) {
                this.root.append(this.made(voice));
            }
        }
        element('#coach-listen').hidden = this.here.length === 0;
    }

    private made({ id, from, length, words }: Voice): HTMLElement {
        const { around } = this;
        const voice = (this.template.content.cloneNode(true) as DocumentFragment).firstElementChild as HTMLElement;
        const audio = element<HTMLAudioElement>('audio', voice);
        voice.dataset.id = id;
        audio.src = `${around.address}/talk/${id}.webm`;
        audio.ariaLabel = fill(around.words.spoken_note, { length });
        element('.letter-words', voice).textContent = words;
        element('.letter-words', voice).hidden = words === '';
        element('.letter-from', voice).textContent = `${from} · ${audio.ariaLabel}`;
        element('.letter-read', voice).addEventListener('click', () => {
            audio.pause();
            this.heard = [...this.heard, id];
            voice.remove();
        });
        return voice;
    }

    /** Those that were put aside on this device. */
    private get heard(): string[] {
        return (sessionStorage.getItem(HEARD) ?? '').split(' ');
    }

    private set heard(ids: string[]) {
        sessionStorage.setItem(HEARD, ids.join(' '));
    }
}
