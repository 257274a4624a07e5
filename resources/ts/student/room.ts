import { Toggle } from '../live/toggle';
import { wordFor } from '../protocol/wordfor';
import type { StudentWords } from '../protocol/words';
import type { Own, Pens, Room, StudentDeed } from '../protocol/room';
import { mountWindow } from '../bench/window';
import { HttpProblem, isSlow, post } from '../live/http';
import { InOrder } from '../live/inorder';
import { bytesAMinute } from '../live/meter';
import { chime, TimerFace } from '../live/timer';
import { clearSent, element, fill } from '../page';
import { Letters } from './letters';
import { present } from '../present';

interface Around {
    address: string;
    words: StudentWords;
    /** Milliseconds since 1970 on the server's clock. */
    now(): number;
    /** What can be drawn depends on it: why it cannot, or nothing. */
    lock(reason: string): void;
    canvas(): string;
    /** The page that is open, and the part of it that is seen, in units, where that is asked for. */
    seen(isPart: boolean): { page: string; cut: { x: number; y: number; w: number; h: number } | null };
    /** What is being drawn is finished. */
    rest(): void;
    /** Everything that the page still has is sent. */
    deliver(): Promise<void>;
    /** The student is somewhere else now: another prompt, outside, on another device. */
    moved(): void;
    light(isOn: boolean): void;
    /** The student goes from this device. */
    leave(): void;
    say(sentence: string): void;
}

/** What the room asks of a student's page beside drawing: pens, timer, pace, hand, sending, letters. */
export class RoomPage {
    room: Room | null = null;
    own: Own | null = null;
    private readonly letters = new Letters(() => this.openHand());
    private readonly face: TimerFace;
    private suggested = false;
    private readonly order = new InOrder();
    /** How often the server has told of this student. */
    private heard = 0;

    constructor(private readonly around: Around) {
        const timer = element('#timer');
        this.face = new TimerFace(
            around.now,
            (words, isPaused, left) => {
                timer.hidden = words === null;
                timer.classList.toggle('is-short', left < 60_000);
                timer.textContent = words === null ? '' : isPaused ? fill(around.words.paused, { left: words }) : words;
            },
            ({ sound }) => {
                around.say(around.words.time_up);
                if (sound) {
                    chime();
                }
                this.cover();
            },
        );
        this.listen();
        window.setInterval(() => this.showRate(), 2000);
        element('#more').addEventListener('click', () => this.showRate());
    }

    /** Whether something is shown on which a teacher may draw or point. */
    get seesTeacherDraw(): boolean {
        return (
            this.room !== null &&
            this.own?.state === 'seated' &&
            (this.room.lead.shown !== null || this.room.lead.ink !== null || this.room.showcase !== null)
        );
    }

    get isLight(): boolean {
        return this.own?.light === true || this.room?.light === true;
    }

    /** Why a deed cannot be done now, as the server says it for the room and for this student; null where it may. */
    private why(deed: StudentDeed): string | null {
        const prompt = this.room?.prompts.find(({ id }) => id === this.own?.prompt);
        const why = prompt?.may[deed] ?? this.own?.may[deed] ?? null;
        return why === null && deed === 'work' && this.face.bringsPensDown ? 'pens_down' : why;
    }

    /** @param isHere whether the page shows already what these say */
    take(room: Room | undefined, own: Own | undefined, isHere = false): void {
        const before = this.own;
        const openBefore = this.room?.openUntil ?? null;
        const whyBefore = this.why('work');
        const promptBefore = this.own?.prompt;
        this.room = room ?? this.room;
        this.own = own ?? this.own;
        this.heard += own === undefined ? 0 : 1;
        if (this.room === null || this.own === null) {
            return;
        }
        if (
            !isHere &&
            before !== null &&
            (this.own.state !== 'seated' ||
                this.own.prompt !== before.prompt ||
                this.own.together?.group !== before.together?.group ||
                !this.room.prompts.some(({ id }) => id === present(this.own).prompt))
        ) {
            this.around.moved();
        }
        if (before !== null && before.name !== this.own.name) {
            this.around.say(fill(this.around.words.renamed, { name: this.own.name }));
        }
        const isClosed = this.why('work') === 'prompt_closed' && whyBefore !== 'prompt_closed';
        if (isClosed && promptBefore === this.own.prompt) {
            this.around.rest();
            this.around.say(this.around.words.why_prompt_closed);
        }
        if (this.room.openUntil !== null && this.room.openUntil !== openBefore) {
            this.around.say(fill(this.around.words.open_until, { date: this.room.openUntil }));
        }
        const { run } = this.own;
        const result = run?.result ?? null;
        const resultBefore = before?.run?.result ?? null;
        if (result !== null && (result.right !== resultBefore?.right || result.of !== resultBefore.of)) {
            this.around.say(fill(this.around.words.run_result, { n: result.right, of: result.of }));
        }
        if (room !== undefined) {
            this.face.set(this.room.timer);
        }
        this.cover();
        this.show();
        this.around.light(this.isLight);
    }

    /** Pens for everybody, for this student, or because the time is up. */
    private get pens(): Pens | null {
        const { words } = this.around;
        return (
            this.room?.pens ?? this.own?.pens ?? (this.face.bringsPensDown ? { since: 0, words: words.time_up } : null)
        );
    }

    private cover(): void {
        const { pens } = this;
        const cover = element('#cover');
        const wasDown = !cover.hidden;
        this.lock();
        element('#cover-words').textContent = pens === null ? '' : pens.words || this.around.words.pens_down;
        cover.hidden = pens === null;
        document.body.classList.toggle('has-pens-down', pens !== null);
        // Work that the teacher shows stays to be looked at.
        for (const part of document.querySelectorAll<HTMLElement>('#strip, .sheets, .sides, #letters')) {
            part.inert = pens !== null;
        }
        if (pens !== null && !wasDown) {
            document.querySelectorAll<HTMLDialogElement>('dialog[open]').forEach((window) => window.close());
            if (element('#shown-work').hidden) {
                cover.focus();
            }
        } else if (pens === null && wasDown) {
            element('#page-frame').focus({ preventScroll: true });
        }
    }

    private lock(): void {
        const why = this.why('work');
        // What was sent can be taken back first, unless there is a reason against that.
        const reason = why === 'sent' ? (this.why('take_back') ?? why) : why;
        this.around.lock(reason === null ? '' : wordFor(this.around.words, `why_${reason}`));
    }

    private show(): void {
        const { words } = this.around;
        const { own } = this as { own: Own };
        const hand = element('#hand');
        hand.setAttribute('aria-pressed', String(own.hand));
        element('span', hand).textContent = own.isComing
            ? words.hand_coming
            : own.hand
              ? words.hand_down
              : words.hand_up;
        hand.classList.toggle('is-coming', own.isComing);
        const send = element<HTMLButtonElement>('#send');
        send.classList.toggle('is-done', own.isSent);
        const mayTakeBack = this.why('take_back') === null;
        const sent = mayTakeBack ? `${words.sent} · ${words.take_back}` : words.sent;
        element('span', send).textContent = own.isSent ? sent : words.send;
        const whyNot = this.why(own.isSent ? 'take_back' : 'send');
        send.disabled = whyNot !== null;
        send.title = whyNot === null ? '' : wordFor(words, `why_${whyNot}`);
        const who = element('.strip-who');
        who.textContent = `${own.name} · ${own.seat}`;
        who.title = own.isSeenAsSeat ? fill(words.seat, { name: own.seat }) : '';
        element('#who-am-i').textContent = who.textContent;
        this.showTurns();
        const mayWrite = this.why('write') === null;
        this.letters.show(own.messages, mayWrite);
        document.body.classList.toggle('has-no-messages', !mayWrite);
        element('#hand-lower').hidden = !own.hand;
    }

    /** At the own pace, the prompts beside this one. */
    private showTurns(): void {
        const { room, own } = this as { room: Room; own: Own };
        const at = room.prompts.findIndex(({ id }) => id === own.prompt);
        for (const [id, step] of [
            ['#prompt-before', -1],
            ['#prompt-after', 1],
        ] as const) {
            const button = element<HTMLButtonElement>(id);
            button.hidden = this.why('turn_to') === 'together' || room.prompts.length < 2;
            button.disabled = room.prompts[at + step] === undefined;
        }
    }

    private listen(): void {
        const { address } = this.around;
        // From where the press before this one has led.
        const turn = (step: number): Promise<boolean> =>
            this.ask('turn-to', () => {
                const prompts = this.room?.prompts ?? [];
                const next = prompts[prompts.findIndex(({ id }) => id === this.own?.prompt) + step];
                return next === undefined ? null : { prompt: next.id };
            });
        element('#prompt-before').addEventListener('click', () => void turn(-1));
        element('#prompt-after').addEventListener('click', () => void turn(1));
        element('#hand').addEventListener('click', () => this.openHand());
        element('#hand-lower').addEventListener('click', () => {
            element<HTMLDialogElement>('#hand-window').close();
            void this.ask('hand', () => ({ up: false }));
        });
        mountWindow('#hand-window', () => {
            const field = element<HTMLTextAreaElement>('#hand-words');
            const words = field.value;
            void this.ask('hand', () => ({ up: true, words })).then((done) => done && clearSent(field, words));
        });
        element('#send').addEventListener('click', () => void this.send());
        element('#other-device').addEventListener('click', () => {
            void post<{ code: string }>(`${address}/code`, {})
                .then(({ code }) => {
                    element('#device-code').textContent = code;
                    element<HTMLDialogElement>('#device-window').showModal();
                })
                .catch((problem: unknown) => this.tell(problem));
        });
        const leave = mountWindow('#leave-window', () => this.around.leave());
        element('#leave-device').addEventListener('click', () => leave.showModal());
        const offer = mountWindow('#offer-window', () => void this.offer());
        element('#offer').addEventListener('click', () => offer.showModal());
        const keepBack = new Toggle(
            () => this.own?.keepsBack === true,
            (on) => this.ask('keep-back', () => ({ on })),
        );
        element('#keep-back').addEventListener(
            'click',
            () =>
                void keepBack
                    .press()
                    .then((on) => on && this.own?.keepsBack === true && this.around.say(this.around.words.kept_back)),
        );
        const light = new Toggle(
            () => this.own?.light === true,
            (on) => this.ask('light', () => ({ on })),
        );
        element('#light').addEventListener('click', () => void light.press());
    }

    private async offer(): Promise<void> {
        const field = element<HTMLInputElement>('#offer-words');
        const words = field.value;
        const isPart = element<HTMLInputElement>('#offer-window input[name=part][value=seen]').checked;
        const offered = { canvas: this.around.canvas(), ...this.around.seen(isPart), words };
        this.around.rest();
        await this.around.deliver();
        try {
            await post(`${this.around.address}/offer`, offered);
            clearSent(field, words);
            this.around.say(this.around.words.offered);
        } catch (problem) {
            this.tell(problem);
        }
    }

    private async send(): Promise<void> {
        const canvas = this.around.canvas();
        if (this.own?.isSent === true) {
            await this.ask('take-back', () => ({ canvas }));
            return;
        }
        this.around.rest();
        await this.around.deliver();
        await this.ask('send', () => ({ canvas }));
    }

    /** @param words to begin with, where nothing is written yet */
    openHand(words = ''): void {
        const field = element<HTMLTextAreaElement>('#hand-words');
        field.value ||= words;
        element<HTMLDialogElement>('#hand-window').showModal();
    }

    /**
     * Asks the server for something of the student's own, and takes what it says. Resolves to whether it was done.
     *
     * @param  body  worked out when its turn has come; null where there is nothing to do
     */
    private async ask(what: string, body: () => Record<string, unknown> | null): Promise<boolean> {
        try {
            await this.order.do(async () => {
                const { heard } = this;
                const told = body();
                if (told === null) {
                    return;
                }
                const { own } = await post<{ own: Own }>(`${this.around.address}/${what}`, told);
                // What was told meanwhile may be newer; and of this too the page is told.
                if (heard === this.heard) {
                    this.take(undefined, own);
                }
            });
            return true;
        } catch (problem) {
            this.tell(problem);
            return false;
        }
    }

    private tell(problem: unknown): void {
        const { words } = this.around;
        this.around.say(
            problem instanceof HttpProblem && problem.status > 0
                ? fill(words.not_now, { reason: problem.message })
                : words.unreachable,
        );
    }

    /** What it costs, and a word when the connection is slow. */
    private showRate(): void {
        const { words } = this.around;
        if (!element('#more-menu').hidden) {
            element('#offer').hidden = this.why('offer') === 'offers_off';
            element('#keep-back').hidden = this.why('keep_back') !== null;
            element('#light').setAttribute('aria-pressed', String(this.isLight));
            element('#keep-back').setAttribute('aria-pressed', String(this.own?.keepsBack === true));
            element('#light .light-rate').textContent =
                `· ${fill(words.rate, { n: Math.round(bytesAMinute() / 1024) })}`;
        }
        const { connection } = navigator as { connection?: { saveData?: boolean; effectiveType?: string } };
        const slow =
            isSlow() || connection?.saveData === true || ['slow-2g', '2g'].includes(connection?.effectiveType ?? '');
        if (slow && !this.isLight && !this.suggested) {
            this.suggested = true;
            this.around.say(`${words.slow} (${words.use_light}: ⋯)`);
        }
    }
}
