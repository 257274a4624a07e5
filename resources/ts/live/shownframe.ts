import type { ScreenWords } from '../protocol/words';
import type { ShownItem } from '../protocol/show';
import type { WetInk } from '../canvas/model/objects';
import { WIDE, type PaperSize } from '../canvas/model/paper';
import { View } from '../canvas/drawing/view';
import { captionAt, Film, type ReplayAnswer } from '../grid/film';
import { showWet } from '../grid/tile';
import { fill } from '../page';
import { get } from './http';
import { ShownVoice } from './shownvoice';
import { present } from '../present';

export interface ShownAround {
    /** Of the showcase: its pictures and replays stand below it. */
    address: string;
    assets: string;
    stamps: Record<string, string>;
    words: ScreenWords;
    /** Whether what is said about a drawing is heard here. */
    hears: 'at once' | 'asked' | 'never';
    /** Milliseconds since 1970 on the server's clock. */
    now(): number;
}

/** Ink on its way over the picture is let go after so long: by then the picture has it. */
const WET_LIFE_MS = 3000;
/** With reduced motion a replay goes on in steps. */
const CALM_STEP_MS = 1500;

/** A shown canvas as the class sees it: its picture, what is drawn over it, the part that is looked at, its replay. */
export class ShownFrame {
    readonly root = document.createElement('figure');
    private readonly zoom = document.createElement('div');
    private readonly picture = new Image();
    private readonly over = new Image();
    private readonly sheet = document.createElement('div');
    private readonly film = document.createElement('div');
    private readonly name = document.createElement('figcaption');
    private readonly caption = document.createElement('p');
    private voice: ShownVoice | null = null;
    private ink: View | null = null;
    private played = '';
    private isBeside = false;
    private frame = 0;
    private wetTimer = 0;

    constructor(
        private item: ShownItem,
        private readonly around: ShownAround,
    ) {
        this.root.className = 'shown-work';
        const frame = Object.assign(document.createElement('div'), { className: 'shown-frame' });
        const cell = Object.assign(document.createElement('div'), { className: 'shown-cell' });
        this.zoom.className = 'shown-zoom';
        // The picture says how the page is shaped.
        this.picture.addEventListener('load', () => {
            const [width, height] = this.paper;
            frame.style.setProperty('--shape', String(width / height));
            this.look();
        });
        this.picture.className = 'shown-canvas';
        this.over.className = 'shown-over';
        this.over.alt = '';
        this.sheet.className = 'page shown-sheet-ink';
        this.film.className = 'page shown-film';
        this.film.hidden = true;
        this.name.className = 'shown-name';
        this.name.dir = 'auto';
        this.caption.className = 'shown-caption';
        this.caption.dir = 'auto';
        this.caption.hidden = true;
        this.zoom.append(this.picture, this.film, this.over, this.sheet);
        frame.append(this.zoom, this.caption);
        cell.append(frame);
        this.root.append(cell, this.name);
        this.take(item);
    }

    get n(): number {
        return this.item.n;
    }

    get key(): string {
        return this.item.key;
    }

    /** Resolves when there is something to see. */
    get isSeen(): Promise<void> {
        return this.picture.complete && this.picture.naturalWidth > 0
            ? Promise.resolve()
            : new Promise((seen) => this.picture.addEventListener('load', () => seen(), { once: true }));
    }

    take(item: ShownItem, address = this.around.address): void {
        this.item = item;
        this.around.address = address;
        const { words } = this.around;
        put(this.picture, `${address}/${item.n}.svg?${item.version}`);
        this.picture.alt = item.name === '' ? words.work_of_somebody : fill(words.work_of, { name: item.name });
        this.over.hidden = item.over === 0;
        if (item.over > 0) {
            put(this.over, `${address}/${item.n}-over.svg?${item.over}`);
        }
        this.label();
        this.look();
        const played = JSON.stringify([item.replay, item.isSpoken]);
        if (played !== this.played) {
            this.played = played;
            void this.play();
        }
    }

    /** Beside others it has a letter, by which it is talked about. */
    letter(isBeside: boolean): void {
        this.isBeside = isBeside;
        this.label();
    }

    private label(): void {
        const { n, name, praise } = this.item;
        const letter = Object.assign(document.createElement('b'), {
            className: 'shown-letter',
            textContent: String.fromCharCode(64 + n),
        });
        const said = Object.assign(document.createElement('span'), {
            className: 'shown-praise',
            textContent: praise,
        });
        this.name.replaceChildren(...(this.isBeside ? [letter, ' '] : []), name, ...(praise === '' ? [] : [' ', said]));
        this.name.hidden = name === '' && praise === '' && !this.isBeside;
    }

    private get paper(): PaperSize {
        const { naturalWidth, naturalHeight } = this.picture;
        return naturalWidth > 0 ? [naturalWidth, naturalHeight] : WIDE;
    }

    /** Shows the part that everybody sees. */
    private look(): void {
        const { view } = this.item;
        const [width, height] = this.paper;
        this.zoom.style.transform =
            view === null
                ? ''
                : `scale(${view.scale}) translate(${(-100 * view.x) / width}%, ${(-100 * view.y) / height}%)`;
    }

    /** Ink that is being drawn over it, or where the teacher points. */
    wet(message: WetInk): void {
        if (message.c !== this.item.ink) {
            return;
        }
        this.ink ??= new View(this.sheet, this.around.assets, this.around.stamps);
        this.ink.paperBelow = this.paper;
        this.ink.fit([this.zoom.offsetWidth, this.zoom.offsetHeight]);
        if (message.at !== undefined) {
            this.ink.pointAt({ x: message.at[0], y: message.at[1], page: '', name: '' });
            return;
        }
        try {
            showWet(this.ink, message);
        } catch {
            // What cannot be read is let go; the finished stroke still comes.
        }
        window.clearTimeout(this.wetTimer);
        this.wetTimer = window.setTimeout(
            () => [...present(this.ink).wetInk.keys()].forEach((id) => present(this.ink).dropWet(id)),
            WET_LIFE_MS,
        );
    }

    end(): void {
        cancelAnimationFrame(this.frame);
        window.clearTimeout(this.wetTimer);
        this.voice?.end();
    }

    /** From its first stroke, in the same moment for everybody. */
    private async play(): Promise<void> {
        cancelAnimationFrame(this.frame);
        this.voice?.end();
        this.voice = null;
        this.caption.hidden = true;
        const { replay, n, isSpoken } = this.item;
        this.film.hidden = replay === null;
        this.picture.classList.toggle('is-behind', replay !== null);
        if (replay === null) {
            return;
        }
        const answer = await get<ReplayAnswer>(`${this.around.address}/${n}-replay.json`).catch(() => null);
        if (answer === null || JSON.stringify(this.item.replay) !== JSON.stringify(replay)) {
            return;
        }
        const view = new View(this.film, this.around.assets, this.around.stamps);
        view.fit([this.zoom.offsetWidth, this.zoom.offsetHeight]);
        const film = new Film(view, answer);
        const voice = isSpoken ? new ShownVoice(this.around.words, this.around.hears, answer.filmed) : null;
        if (voice !== null) {
            this.voice = voice;
            voice.begin(`${this.around.address}/${n}-talk.webm`);
            this.root.append(voice.button);
            if (answer.filmed) {
                present(this.zoom.parentElement).append(voice.audio);
            }
        }
        const isCalm = matchMedia('(prefers-reduced-motion: reduce)').matches;
        const step = (): void => {
            const at = Math.max(0, (this.around.now() - replay.from) * replay.speed);
            const seen = at < answer.lasts ? (voice?.at(at) ?? at) : at;
            film.show(Math.min(answer.lasts, isCalm ? Math.floor(seen / CALM_STEP_MS) * CALM_STEP_MS : seen));
            this.caption.textContent = captionAt(answer.captions, seen);
            this.caption.hidden = this.caption.textContent === '';
            this.root.dataset.played = String(Math.min(1, at / Math.max(1, answer.lasts)));
            this.frame = at >= answer.lasts ? 0 : requestAnimationFrame(step);
        };
        step();
    }
}

/** A new picture is waited for no longer than this before its frame is shown. */
const MOST_WAIT_MS = 1500;

/**
 * The frames of a showcase in their place: those that stay are kept, and the others change when the new ones can be
 * seen.
 */
export class ShownFrames {
    private frames: ShownFrame[] = [];
    private id = '';

    constructor(
        private readonly place: HTMLElement,
        private readonly around: Omit<ShownAround, 'address'> & { addressOf(showcase: string): string },
    ) {}

    take(id: string, items: ShownItem[]): void {
        const address = this.around.addressOf(id);
        if (id === this.id && items.length === this.frames.length) {
            items.forEach((item, i) => present(this.frames[i]).take(item));
            this.frames.forEach((frame) => frame.letter(items.length > 1));
            return;
        }
        const old = new Map(this.frames.map((frame) => [frame.key, frame]));
        const fresh: ShownFrame[] = [];
        const next = items.map((item) => {
            const kept = old.get(item.key);
            old.delete(item.key);
            if (kept !== undefined) {
                kept.take(item, address);
                return kept;
            }
            const made = new ShownFrame(item, { ...this.around, address });
            fresh.push(made);
            return made;
        });
        this.id = id;
        this.frames = next;
        next.forEach((frame) => frame.letter(items.length > 1));
        old.forEach((frame) => frame.end());
        const show = (): void => {
            if (this.frames === next) {
                this.place.replaceChildren(...next.map(({ root }) => root));
                this.place.dataset.count = String(next.length);
            }
        };
        if (fresh.length === 0 || this.place.childElementCount === 0) {
            show();
        } else {
            void Promise.race([
                Promise.all(fresh.map(({ isSeen }) => isSeen)),
                new Promise((over) => window.setTimeout(over, MOST_WAIT_MS)),
            ]).then(show);
        }
    }

    wet(message: WetInk): void {
        this.frames.forEach((frame) => frame.wet(message));
    }
}

/**
 * Between a picture that did not come and asking for it again: the page may have heard of it before the server answers
 * for it.
 */
const AGAIN_MS = 600;

/** The picture that is there stays until the next one is. */
function put(image: HTMLImageElement, address: string): void {
    if (image.dataset.address === address) {
        return;
    }
    image.dataset.address = address;
    fetchInto(image, address, 0);
}

function fetchInto(image: HTMLImageElement, address: string, tries: number): void {
    const next = new Image();
    next.addEventListener('load', () => {
        if (image.dataset.address === address) {
            image.src = address;
        }
    });
    next.addEventListener('error', () => {
        if (image.dataset.address === address && tries < 5) {
            window.setTimeout(() => fetchInto(image, address, tries + 1), AGAIN_MS);
        }
    });
    next.src = address;
}
