import { HttpProblem, post, postAndLeave, reasonOf } from '../live/http';
import { TalkBar } from '../live/talkbar';
import { chime } from '../live/timer';
import { VoiceLine, type Ways } from '../live/voiceline';
import { element, fill } from '../page';
import type { Own } from '../protocol/room';
import type { StudentWords } from '../protocol/words';

/** How the teacher's browser can be reached. */
export interface Told {
    id: string;
    sdp: string;
}

/** App\Sessions\Room\LiveTalk::ASKS_S: a desk that went away says nothing any more. */
const ASKS_MS = 60_000;

interface Around {
    address: string;
    words: StudentWords;
    /** The microphone is about to be used. */
    begun(): void;
    /** Resolves when this page hears what is told: how the desk can be reached is told once. */
    hears(): Promise<void>;
    rest(): void;
    say(sentence: string): void;
}

/** The teacher would like to talk: asked first, then sound both ways until either of them ends it. */
export class LiveTalk {
    private readonly bar: TalkBar;
    private line: VoiceLine | null = null;
    private talk: { id: string; name: string } | null = null;
    private isAccepting = false;
    private timer = 0;

    constructor(private readonly around: Around) {
        this.bar = new TalkBar('live-talk', {
            mute: (isMuted) => this.line?.mute(isMuted),
            end: () => void this.end('ended'),
        });
        element('#live-talk-yes').addEventListener('click', () => void this.accept());
        element('#live-talk-no').addEventListener('click', () => void this.end('declined'));
        window.addEventListener('pagehide', () => {
            if (this.line !== null && this.talk !== null) {
                postAndLeave(this.addressOf(this.talk.id), { is: 'ended' });
            }
        });
    }

    /** @param  mayChime  a sound may call the student from another window */
    take(told: Own['liveTalk'], mayChime: boolean): void {
        const { words } = this.around;
        if (told === null || told.id !== this.talk?.id) {
            this.leave(told === null && this.line !== null ? words.live_over : '');
        }
        // What is on already is on at another page of this student.
        if (told !== null && !told.isOn && this.talk === null) {
            this.talk = told;
            this.bar.show('asked', fill(words.live_asks, { name: told.name }));
            this.timer = window.setTimeout(() => this.leave(''), ASKS_MS);
            if (mayChime) {
                chime();
            }
        } else if (told?.isOn === true && this.line === null && !this.isAccepting) {
            this.leave('');
        }
    }

    hear({ id, sdp }: Told): void {
        if (id === this.talk?.id) {
            void this.line?.take(sdp).catch(() => this.lost());
        }
    }

    private async accept(): Promise<void> {
        const { talk, around } = this;
        if (talk === null || this.isAccepting || this.line !== null) {
            return;
        }
        this.isAccepting = true;
        window.clearTimeout(this.timer);
        around.begun();
        this.bar.show('connecting', fill(around.words.live_connecting, { name: talk.name }));
        const microphone = await navigator.mediaDevices.getUserMedia({ audio: true }).catch(() => null);
        if (microphone === null) {
            this.isAccepting = false;
            around.say(around.words.talk_no_microphone);
            this.bar.show('asked', fill(around.words.live_asks, { name: talk.name }));
            this.timer = window.setTimeout(() => this.leave(''), ASKS_MS);
            return;
        }
        let line: VoiceLine | null = null;
        try {
            await around.hears();
            const ways = await post<Ways>(this.addressOf(talk.id), { is: 'accepted' });
            line = new VoiceLine(ways, microphone, (state) => (state === 'on' ? this.isOn() : this.lost()));
            this.line = line;
            await post(this.addressOf(talk.id), { is: 'offer', sdp: await line.offer() });
        } catch (problem) {
            microphone.getTracks().forEach((track) => track.stop());
            this.leave(problem instanceof HttpProblem ? reasonOf(problem, around.words) : around.words.live_lost);
        }
        this.isAccepting = false;
        // It ended, or another one began, while it was put through.
        if (line !== null && line !== this.line) {
            line.close();
        }
    }

    private isOn(): void {
        if (this.talk !== null) {
            this.bar.show('on', fill(this.around.words.live_on, { name: this.talk.name }));
        }
    }

    private lost(): void {
        const { talk } = this;
        this.leave(this.around.words.live_lost);
        if (talk !== null) {
            void post(this.addressOf(talk.id), { is: 'ended' }).catch(() => undefined);
        }
    }

    private async end(is: 'declined' | 'ended'): Promise<void> {
        const { talk } = this;
        this.leave('');
        if (talk !== null) {
            await post(this.addressOf(talk.id), { is }).catch(() => undefined);
        }
    }

    private leave(said: string): void {
        const { hasFocus } = this.bar;
        window.clearTimeout(this.timer);
        this.line?.close();
        this.line = null;
        this.talk = null;
        this.bar.show('none', '');
        if (said !== '') {
            this.around.say(said);
        }
        if (hasFocus) {
            this.around.rest();
        }
    }

    private addressOf(id: string): string {
        return `${this.around.address}/live-talk/${id}`;
    }
}
