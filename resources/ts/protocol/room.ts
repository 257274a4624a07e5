import type { QuickAsk } from './asks';
import type { SeenCheck } from './checks';
import type { ShownItem } from './show';
import type { Timer } from './timer';

export interface Pens {
    since: number;
    words: string;
}

/** What holds for everybody: App\Sessions\Room\RoomState::shared. */
export interface Room {
    pens: Pens | null;
    timer: Timer | null;
    pace: 'together' | 'own';
    here: string;
    prompts: { id: string; n: number; state: 'open' | 'closed' }[];
    lead: { shown: [canvas: string, page: string] | null; ink: string | null; from: number };
    showcase: { id: string; items: ShownItem[] } | null;
    messages: boolean;
    /** Until when students go on without the teacher, in words. */
    openUntil: string | null;
    sound: boolean;
    /** Whether students may offer work, and ask not to be shown. */
    offers: boolean;
    keepBack: boolean;
    light: boolean;
}

export interface Letter {
    id: string;
    mine: boolean;
    from: string;
    words: string;
}

/** What holds for this student: App\Sessions\Room\RoomState::own. */
export interface Own {
    state: string;
    name: string;
    /** What others see where numbers stand for names; null otherwise. */
    seat: string | null;
    pens: Pens | null;
    prompt: string | null;
    /** Whether the desks may not see it yet: nothing goes out while it is drawn. */
    isCovered: boolean;
    isSent: boolean;
    isRevealed: boolean;
    hand: boolean;
    light: boolean;
    /** Whether own work is being shown, and whether under the own name. */
    isShown: boolean;
    shownName: boolean;
    keepsBack: boolean;
    checks: SeenCheck[];
    /** How the student did in the run of quick asks that the teacher shows. */
    run: { right: number; of: number } | null;
    ask: QuickAsk | null;
    messages: Letter[];
}
