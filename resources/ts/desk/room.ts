import { chime, TimerFace } from '../live/timer';
import { element, fill } from '../page';
import type { Room } from '../student/state';

interface Around {
    words: Record<string, string>;
    address: string;
    now(): number;
    run(address: string, body: unknown): Promise<boolean>;
    say(sentence: string): void;
}

const MODES = ['real', 'stone', 'none'];

/** What holds for the whole room, as the now band says it, and the keys that change it. */
export class RoomDesk {
    room: Room;
    private readonly face: TimerFace;

    constructor(private readonly around: Around) {
        this.face = new TimerFace(around.now, (words, isPaused) => {
            const said = words === null ? around.words.timer : isPaused ? fill(around.words.paused, { left: words }) : words;
            for (const place of document.querySelectorAll<HTMLElement>('#timer-left, #timing-left')) {
                const shown = place.id === 'timing-left' && words === null ? '–:––' : said;
                if (place.textContent !== shown) {
                    place.textContent = shown;
                }
            }
        }, ({ sound }) => {
            around.say(around.words.time_up);
            sound && chime();
            this.showPens();
        });
        this.room = this.read();
        element<HTMLFormElement>('#timer-form').addEventListener('submit', (event) => {
            event.preventDefault();
            const form = new FormData(event.target as HTMLFormElement);
            this.setTimer(Number(form.get('minutes')) * 60 + Number(form.get('seconds')));
        });
    }

    take(room: Room): void {
        this.room = room;
        this.face.set(room.timer);
        this.showPens();
    }

    /** What the server has written into the now band. */
    read(): Room {
        const room = JSON.parse(element('#now').dataset.room!) as Room;
        this.room = room;
        this.face.set(room.timer);
        this.showPens();
        return room;
    }

    get arePensDown(): boolean {
        return this.room.pens !== null || this.face.bringsPensDown;
    }

    togglePens(): void {
        void this.around.run(`${this.around.address}/pens`, { down: !this.arePensDown, words: element<HTMLInputElement>('#pens-words').value });
    }

    setTimer(seconds: number): void {
        void this.around.run(`${this.around.address}/timer`, { do: 'set', seconds, pens: element<HTMLInputElement>('#timer-pens').checked });
    }

    pauseTimer(): void {
        const { timer } = this.room;
        timer !== null && void this.around.run(`${this.around.address}/timer`, { do: timer.ends === null ? 'resume' : 'pause' });
    }

    /** Names on this desk: real, then stone, then none. */
    nextNames(): void {
        const at = MODES.indexOf(element('#now').dataset.names!);
        void this.around.run(`${this.around.address}/settings`, { desk_names: MODES[(at + 1) % MODES.length] });
    }

    private showPens(): void {
        const button = document.querySelector<HTMLElement>('#pens');
        if (button !== null) {
            button.setAttribute('aria-pressed', String(this.arePensDown));
            button.classList.toggle('btn-attention', this.arePensDown);
            button.classList.toggle('btn-paper', !this.arePensDown);
            element('.pens-word', button).textContent = this.arePensDown ? this.around.words.pens_up : this.around.words.pens_down;
        }
    }
}
