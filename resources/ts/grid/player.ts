import type { DeskWords } from '../protocol/words';
import { View } from '../canvas/drawing/view';
import { get } from '../live/http';
import { timePassed } from '../live/timer';
import { element, fill } from '../page';
import { captionAt, Film, type ReplayAnswer } from './film';
import { pausesIn, skipped, type Span } from './pauses';

interface Settings {
    assets: string;
    stamps: Record<string, string>;
    words: DeskWords;
}

/** So long before something is rubbed out it can still be seen. */
const BEFORE_MS = 260;

/** Plays a canvas from its log: its times come from the server, strokes grow as the hand drew them. */
export class Player {
    private view: View | null = null;
    private replay: ReplayAnswer = {
        lasts: 0,
        rubbed: [],
        filmed: false,
        captions: [],
        boxes: [],
        steps: [],
        operations: [],
    };
    private address = '';
    /** How often something was to be played, or no longer: what comes for an earlier wish is dropped. */
    private asked = 0;
    private at = 0;
    private film: Film | null = null;
    private frame = 0;
    private last = 0;
    /** A voice whose clock the steps go by. */
    private sound: HTMLMediaElement | null = null;
    /** Where nobody speaks or draws for long. */
    private pauses: Span[] = [];
    private readonly slider: HTMLInputElement;
    private readonly speed: HTMLSelectElement;
    private readonly own: HTMLSelectElement;
    private readonly button: HTMLButtonElement;

    constructor(
        private readonly root: HTMLElement,
        private readonly settings: Settings,
        private readonly opened: (playing: boolean) => void,
        /** The canvas is to become what it was after an operation. */
        private readonly give: (operation: string) => void,
    ) {
        this.slider = element<HTMLInputElement>('.player-at', root);
        this.speed = element<HTMLSelectElement>('.player-speed', root);
        this.own = element<HTMLSelectElement>('.player-own', root);
        this.button = element<HTMLButtonElement>('.player-play', root);
        this.button.addEventListener('click', () => (this.frame === 0 ? this.play() : this.pause()));
        this.slider.addEventListener('input', () => {
            this.pause();
            this.seek(Number(this.slider.value));
        });
        this.speed.addEventListener('change', () => this.keepPace());
        this.own.addEventListener('change', () => void this.open(this.address));
        element('.player-close', root).addEventListener('click', () => this.close());
        element('.player-give', root).addEventListener('click', () => {
            const { id } = this.replay.operations[(this.film?.finished ?? 0) - 1] ?? {};
            if (id !== undefined) {
                this.give(id);
            }
        });
        for (const button of root.querySelectorAll<HTMLElement>('.player-rub')) {
            button.addEventListener('click', () => this.toRubbedOut(Number(button.dataset.by)));
        }
        new ResizeObserver(() => this.view?.fit()).observe(element('.player-page', root));
    }

    /** Those who draw on a group's canvas: the steps of one of them can be played alone. */
    offer(members: { id: string; name: string }[]): void {
        const { value } = this.own;
        this.own.replaceChildren(
            ...[...this.own.options].slice(0, 2),
            ...members.map(({ id, name }) => new Option(name, id)),
        );
        this.own.value = value;
        if (this.own.selectedIndex < 0) {
            this.own.selectedIndex = 0;
        }
    }

    get isOpen(): boolean {
        return !this.root.hidden;
    }

    /** Plays a voice, and the drawing as it grew while it spoke. */
    async openSpoken(address: string): Promise<void> {
        const mine = ++this.asked;
        const [replay, spoken] = await Promise.all([
            get<ReplayAnswer>(`${address}/replay`),
            fetch(`${address}.webm`).then((answer) => (answer.ok ? answer.blob() : Promise.reject(new Error()))),
        ]);
        const pauses = await pausesOf(spoken, replay);
        if (mine !== this.asked) {
            return;
        }
        this.silence();
        this.sound = replay.filmed ? document.createElement('video') : new Audio();
        this.sound.src = URL.createObjectURL(spoken);
        this.sound.className = 'player-camera';
        this.pauses = pauses;
        this.speed.value = '1';
        this.begin(replay);
        if (replay.filmed) {
            this.root.append(this.sound);
        }
        this.show(0);
        this.play();
        this.button.focus();
    }

    /** Plays from the first stroke, or stands still where so many operations were finished. */
    async open(address: string, finished?: number): Promise<void> {
        const mine = ++this.asked;
        this.address = address;
        const replay = await get<ReplayAnswer>(`${address}?author=${finished === undefined ? this.own.value : 'all'}`);
        if (mine !== this.asked) {
            return;
        }
        this.silence();
        this.begin(replay);
        if (finished === undefined) {
            this.show(0);
            this.play();
        } else {
            this.show(this.replay.steps[finished - 1]?.[1] ?? 0);
        }
        this.button.focus();
    }

    private begin(replay: ReplayAnswer): void {
        this.pause();
        this.replay = replay;
        this.own.hidden = this.sound !== null;
        this.root.hidden = false;
        this.opened(true);
        this.view = new View(element('.player-page', this.root), this.settings.assets, this.settings.stamps);
        this.view.fit();
        this.film = new Film(this.view, this.replay);
        this.slider.max = String(this.replay.lasts);
        this.mark();
    }

    private silence(): void {
        if (this.sound !== null) {
            this.sound.pause();
            this.sound.remove();
            URL.revokeObjectURL(this.sound.src);
            this.sound = null;
            this.pauses = [];
        }
    }

    /** Speech is understood at once to twice its pace. */
    private keepPace(): void {
        if (this.sound !== null) {
            this.sound.playbackRate = Math.max(1, Math.min(2, Number(this.speed.value)));
        }
    }

    private seek(at: number): void {
        if (this.sound !== null) {
            this.sound.currentTime = at / 1000;
        }
        this.show(at);
    }

    close(): void {
        this.asked++;
        if (!this.root.hidden) {
            this.pause();
            this.silence();
            this.root.hidden = true;
            this.view = null;
            this.film = null;
            this.opened(false);
        }
    }

    /** The moments at which something was rubbed out stand on the track. */
    private mark(): void {
        const { lasts, rubbed } = this.replay;
        element('.player-marks', this.root).replaceChildren(
            ...rubbed.map((at) => {
                const mark = document.createElement('i');
                mark.style.left = `${(100 * at) / Math.max(1, lasts)}%`;
                return mark;
            }),
        );
    }

    /** To just before something is rubbed out, forward or back. */
    private toRubbedOut(by: number): void {
        const before = this.replay.rubbed.map((at) => Math.max(0, at - BEFORE_MS));
        const next = by > 0 ? before.find((at) => at > this.at + 1) : before.filter((at) => at < this.at - 1).at(-1);
        this.pause();
        if (next !== undefined) {
            this.seek(next);
        }
    }

    private play(): void {
        if (this.at >= this.replay.lasts) {
            this.seek(0);
        }
        this.keepPace();
        void this.sound?.play().catch(() => this.pause());
        this.last = performance.now();
        this.button.setAttribute('aria-pressed', 'true');
        const next = (now: number): void => {
            const { sound } = this;
            const spoken = (sound?.currentTime ?? 0) * 1000;
            const further = skipped(this.pauses, spoken);
            if (sound !== null && further > spoken && !sound.seeking) {
                sound.currentTime = further / 1000;
            }
            const at =
                sound === null
                    ? this.at + (now - this.last) * Number(this.speed.value)
                    : sound.ended
                      ? this.replay.lasts
                      : sound.currentTime * 1000;
            this.show(Math.min(this.replay.lasts, at));
            this.last = now;
            if (this.at >= this.replay.lasts) {
                this.pause();
            } else {
                this.frame = requestAnimationFrame(next);
            }
        };
        this.frame = requestAnimationFrame(next);
    }

    private pause(): void {
        cancelAnimationFrame(this.frame);
        this.sound?.pause();
        this.frame = 0;
        this.button.setAttribute('aria-pressed', 'false');
    }

    /** The canvas as it was at a time: what was finished then, and the stroke that was growing. */
    private show(at: number): void {
        const { film, replay } = this;
        if (film === null) {
            return;
        }
        this.at = at;
        this.slider.value = String(at);
        element('.player-time', this.root).textContent = fill(this.settings.words.player_time, {
            at: timePassed(at),
            of: timePassed(replay.lasts),
        });
        film.show(at);
        const caption = element('.player-caption', this.root);
        caption.textContent = captionAt(replay.captions, at);
        caption.hidden = caption.textContent === '';
        element<HTMLButtonElement>('.player-give', this.root).disabled = film.finished === 0;
        for (const button of this.root.querySelectorAll<HTMLButtonElement>('.player-rub')) {
            button.disabled = replay.rubbed.length === 0;
        }
    }
}

/** Where a recording can be shortened: it is listened through once. What cannot be read is played as it is. */
async function pausesOf(spoken: Blob, { steps }: ReplayAnswer): Promise<Span[]> {
    try {
        const context = new OfflineAudioContext(1, 1, 48_000);
        const heard = await context.decodeAudioData(await spoken.arrayBuffer());
        return pausesIn(heard.getChannelData(0), heard.sampleRate, steps);
    } catch {
        return [];
    }
}
