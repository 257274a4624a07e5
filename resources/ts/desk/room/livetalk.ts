import { post, postAndLeave, reasonOf } from '../../live/http';
import { InOrder } from '../../live/inorder';
import { TalkBar, type TalkState } from '../../live/talkbar';
import { VoiceLine, type Ways } from '../../live/voiceline';
import { fill } from '../../page';
import type { LiveTold } from '../../protocol/desk';
import type { Desk } from '../shell/desk';

/** Less than App\Sessions\Room\LiveTalk::ASKS_S: who is asked no more is told so. */
const ASKS_MS = 45_000;

/** The teacher talks with one student from page to page; the rest of the class does not hear it. */
export class LiveTalk {
    private readonly bar: TalkBar;
    private line: VoiceLine | null = null;
    private microphone: MediaStream | null = null;
    private talk: { id: string; seat: string; ways: Ways } | null = null;
    private seat = '';
    private name = '';
    /** What the bar says, with the name left open. */
    private words = '';
    private isAsking = false;
    /** What the student's page said before the server's answer was here: then nobody knew that it was this talk. */
    private early: LiveTold[] = [];
    private timer = 0;
    /** The next talk is asked for when the server knows that the one before is over. */
    private readonly order = new InOrder();

    /** @param  nameOf  what a student is called on this desk */
    constructor(
        private readonly desk: Desk,
        private readonly nameOf: (seat: string) => string,
    ) {
        this.bar = new TalkBar('live-desk', {
            mute: (isMuted) => this.line?.mute(isMuted),
            end: () => this.end(''),
        });
        desk.bus.on('live', (told) => void this.hear(told));
        desk.bus.on('renamed', () => this.bar.state !== 'none' && this.show(this.bar.state, this.words));
        window.addEventListener('pagehide', () => {
            if (this.talk !== null) {
                postAndLeave(this.address, { seat: this.talk.seat });
            }
        });
    }

    async ask(seat: string): Promise<void> {
        const { desk } = this;
        if (this.talk !== null || this.isAsking) {
            desk.say(desk.words.live_already);
            return;
        }
        this.isAsking = true;
        this.early = [];
        this.seat = seat;
        this.name = '';
        this.show('asked', desk.words.live_asking);
        try {
            this.microphone = await navigator.mediaDevices.getUserMedia({ audio: true });
        } catch {
            this.isAsking = false;
            this.end(desk.words.talk_no_microphone);
            return;
        }
        try {
            const { id, ...ways } = await this.order.do(() =>
                post<Ways & { id: string }>(`${desk.address}/live-talk`, { seat }),
            );
            this.talk = { id, seat, ways };
            this.timer = window.setTimeout(() => this.end(this.named(desk.words.live_no_answer)), ASKS_MS);
            if (this.isAsking) {
                this.early.forEach((told) => void this.hear(told));
            } else {
                // Cancelled while it was asked.
                this.end('');
            }
        } catch (problem) {
            this.end(reasonOf(problem, desk.words));
        }
        this.isAsking = false;
    }

    private async hear(told: LiveTold): Promise<void> {
        const { talk, desk } = this;
        if (talk === null && this.isAsking) {
            this.early.push(told);
        }
        if (talk === null || told.id !== talk.id) {
            return;
        }
        window.clearTimeout(this.timer);
        if (told.is === 'declined') {
            this.leave(this.named(desk.words.live_declined));
        } else if (told.is === 'ended') {
            this.leave(this.named(desk.words.live_over));
        } else if (told.is === 'accepted') {
            this.show('connecting', desk.words.live_connecting);
            this.timer = window.setTimeout(() => this.end(desk.words.live_lost), ASKS_MS);
        } else if (told.sdp !== undefined && this.microphone !== null && this.line === null) {
            const line = new VoiceLine(talk.ways, this.microphone, (state) =>
                state === 'on' ? this.show('on', desk.words.live_on) : this.end(desk.words.live_lost),
            );
            this.line = line;
            try {
                await post(this.address, { seat: talk.seat, sdp: await line.answer(told.sdp) });
            } catch (problem) {
                this.end(reasonOf(problem, desk.words));
            }
        }
    }

    private show(state: TalkState, words: string): void {
        this.words = words;
        this.bar.show(state, this.named(words));
    }

    /** With the student as they are called here now; who is gone, as they were called last. */
    private named(words: string): string {
        this.name = this.nameOf(this.seat) || this.name;
        return fill(words, { name: this.name });
    }

    /** @param  said  why; nothing where the teacher ended it */
    private end(said: string): void {
        const { talk, address } = this;
        this.isAsking = false;
        this.leave(said);
        if (talk !== null) {
            void this.order.do(() => post(address, { seat: talk.seat })).catch(() => undefined);
        }
    }

    private leave(said: string): void {
        window.clearTimeout(this.timer);
        this.line?.close();
        this.microphone?.getTracks().forEach((track) => track.stop());
        this.line = null;
        this.microphone = null;
        this.talk = null;
        this.bar.show('none', '');
        if (said !== '') {
            this.desk.say(said);
        }
    }

    private get address(): string {
        return `${this.desk.address}/live-talk/${this.talk?.id ?? ''}`;
    }
}
