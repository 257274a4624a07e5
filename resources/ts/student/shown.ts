import type { StudentWords } from '../protocol/words';
import type { Own, Room } from '../protocol/room';
import type { WetInk } from '../canvas/model/objects';
import { ShownFrames } from '../live/shownframe';
import { element } from '../page';

interface Around {
    address: string;
    assets: string;
    stamps: Record<string, string>;
    words: StudentWords;
    now(): number;
    say(sentence: string): void;
}

/** Work of the class on the student's own page, as long as the teacher shows it; the canvas is one press away. */
export class ShownWork {
    private readonly root = element('#shown-work');
    private readonly button = element('#shown-look');
    private readonly frames: ShownFrames;
    private shown: string | null = null;
    private told = '';

    constructor(private readonly around: Around) {
        this.frames = new ShownFrames(element('#shown-work-items'), {
            ...around,
            hears: 'asked',
            addressOf: (id) => `${around.address}/showcase/${id}`,
        });
        element('#shown-work-away').addEventListener('click', () => this.open(false));
        this.button.addEventListener('click', () => this.open(this.root.hidden));
    }

    take(showcase: Room['showcase'], own: Own): void {
        this.button.hidden = showcase === null;
        const id = showcase?.id ?? null;
        const isNew = id !== null && id !== this.shown;
        this.shown = id;
        if (showcase === null) {
            this.open(false);
        } else {
            if (isNew) {
                this.open(true);
            }
        }
        this.frames.take(id ?? '', showcase?.items ?? []);
        this.tellOwner(own);
    }

    wet(message: WetInk): void {
        this.frames.wet(message);
    }

    /** Discreetly: whose work it is hears of it once. */
    private tellOwner({ isShown, shownName }: Own): void {
        const now = isShown ? 'shown' : '';
        if (now !== this.told) {
            this.told = now;
            if (isShown) {
                this.around.say(shownName ? this.around.words.shown_named : this.around.words.shown_anonymous);
            }
        }
    }

    private open(isOpen: boolean): void {
        const wasOpen = !this.root.hidden;
        this.root.hidden = !isOpen;
        if (isOpen) {
            element('#shown-work-title').focus({ preventScroll: true });
        } else if (wasOpen) {
            element('#page-frame').focus({ preventScroll: true });
        }
    }
}
