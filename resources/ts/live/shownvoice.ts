/** A voice further from the class's clock than this is brought back to it. */
const APART_MS = 1500;

/**
 * The voice that a shown replay goes along with. On the class screen it is heard at once, or after one press where the
 * browser wants one; on students' own pages only by those who ask for it, or a room would hear it thirty times.
 */
export class ShownVoice {
    readonly button = document.createElement('button');
    /** With a small picture of who speaks, where there is one. */
    readonly audio: HTMLMediaElement;
    private isWanted: boolean;

    constructor(words: Readonly<Record<'hear', string>>, hears: 'at once' | 'asked' | 'never', isFilmed: boolean) {
        this.audio = isFilmed ? document.createElement('video') : new Audio();
        this.audio.className = 'shown-camera';
        // Who is not heard is not seen.
        this.audio.hidden = hears !== 'at once';
        this.isWanted = hears === 'at once';
        this.button.type = 'button';
        this.button.className = 'btn btn-go shown-hear';
        this.button.textContent = words.hear;
        this.button.hidden = hears !== 'asked';
        this.button.addEventListener('click', () => {
            this.isWanted = true;
            this.button.hidden = true;
            this.audio.hidden = false;
        });
    }

    begin(address: string): void {
        this.audio.src = address;
    }

    /**
     * Told the moment on the class's clock, it speaks.
     *
     * @return the moment that is heard, in milliseconds
     */
    at(ms: number): number {
        const { audio } = this;
        if (!this.isWanted || audio.ended) {
            return ms;
        }
        if (audio.paused) {
            audio.currentTime = ms / 1000;
            this.isWanted = false;
            void audio
                .play()
                .then(() => {
                    this.isWanted = true;
                })
                .catch(() => {
                    // The browser wants a press first.
                    this.button.hidden = false;
                });
            return ms;
        }
        if (audio.readyState < HTMLMediaElement.HAVE_CURRENT_DATA) {
            return ms;
        }
        if (Math.abs(audio.currentTime * 1000 - ms) > APART_MS) {
            audio.currentTime = ms / 1000;
        }
        return audio.currentTime * 1000;
    }

    end(): void {
        this.audio.pause();
        this.audio.removeAttribute('src');
        this.audio.remove();
        this.button.remove();
    }
}
