import type { Operation, WetInk } from '../../canvas/model/objects';
import { HttpProblem } from '../../live/http';
import { element, pageData } from '../../page';
import type { DeskEvents, Tally, WatchAnswer } from '../../protocol/desk';
import type { DeskWords } from '../../protocol/words';
import { Actions } from './actions';
import { Bands } from './bands';
import { Bus } from './bus';
import { Commands } from './commands';
import type { DeskContext } from './context';
import { Drawer } from './drawer';
import { Layers } from './layers';
import { Notice, type NoticeButton } from '../../live/notice';
import { Store, type DeskState } from './store';

/** What the server wrote into the page: App\Http\Pages\DeskPage. */
export interface DeskPage {
    session: string;
    prompt: string;
    /** The teacher of this desk, to tell their own deeds from a colleague's. */
    me: string;
    /** As that teacher is called. */
    name: string;
    /** Whether other teachers have a desk of this session. */
    isShared: boolean;
    /** Why this teacher cannot do it; null where they may. */
    may: Record<'lead', string | null>;
    /** What each key does, by the action's name: App\Http\Words\DeskKeys. */
    keys: Record<string, string>;
    /** In which coach ink and private notes begin. */
    colours: Record<'coach' | 'private', string>;
    /** The server's clock as the page was made, in milliseconds. */
    clock: number;
    address: string;
    assets: string;
    stamps: Record<string, string>;
    words: DeskWords;
    /** The states of canvases, those who need somebody first: Crag\Watch\CanvasState::sorted. */
    states: string[];
}

/** What the parts of the desk tell each other, beside what the server tells them. */
export interface DeskTold extends DeskEvents {
    /** Finished strokes that may be seen, of students and teachers. */
    operations: Operation[];
    /** The same of students' work, while it is not covered. */
    work: Operation[];
    wet: { seat: string; ink: WetInk };
    states: WatchAnswer;
    /** The server has told the states at a prompt of itself. */
    statesTold: { prompt: string; answer: WatchAnswer };
    tally: Tally;
    /** A request failed: what was shown in advance is put right. */
    mend: null;
    /** Tiles came, went, or are filtered otherwise. */
    tiles: null;
    /** The list of seats is before the teacher. */
    doorOpened: null;
    /** The desk shows names otherwise. */
    renamed: null;
    /** The grid has the canvases of the prompt that is looked at, on tiles of their own. */
    filled: null;
    /** The server has written the bands again. */
    written: null;
    /** A command with `data-then` was done. */
    done: string;
    /** A panel of the drawer was closed. */
    closed: string;
    /** The close-up shows a seat's canvas; null once it is closed. */
    closeUp: string | null;
    /** The canvases of another prompt are to be looked at. */
    wanted: string;
    /** A student's canvas was opened: the seat. */
    opened: string;
}

/** What every part of the desk starts from. */
export class Desk implements DeskContext {
    readonly page = pageData<DeskPage>();
    readonly session = this.page.session;
    readonly address = this.page.address;
    readonly assets = this.page.assets;
    readonly stamps = this.page.stamps;
    readonly colours = this.page.colours;
    readonly words = this.page.words;

    readonly bus = new Bus<DeskTold>();
    readonly store = new Store<DeskState>({
        current: this.page.prompt,
        looking: this.page.prompt,
        talked: '',
        isCovered: false,
        started: 0,
    });
    readonly actions = new Actions(this.page.keys);
    readonly layers = new Layers();
    readonly notice = new Notice('#desk-notice');
    readonly drawer = new Drawer((panel) => this.bus.tell('closed', panel));
    readonly bands = new Bands(`${this.address}/bands`, () => this.bus.tell('written', null));
    readonly commands = new Commands(this.notice, {
        words: this.words,
        then: (what) => {
            this.bus.tell('done', what);
            this.bands.refresh();
        },
        mend: () => this.bands.refresh(),
    });

    /** Milliseconds that the server's clock is ahead of this device's. */
    private readonly ahead = this.page.clock - Date.now();

    /** What the teacher sees of the lead canvas, where it is open: the lead says it. */
    leadPart: () => Promise<{ page: string; cut: { x: number; y: number; w: number; h: number } } | null> = () =>
        Promise.resolve(null);

    /** The server's clock, in milliseconds. */
    readonly now = (): number => Date.now() + this.ahead;

    readonly say = (sentence: string, button?: NoticeButton, ms?: number): void =>
        this.notice.say(sentence, button, ms);

    /** Tells the server, whose answer is said. Resolves to whether it was done. */
    readonly run = (address: string, body: unknown): Promise<boolean> => this.commands.run(address, body);

    /** Says why a request failed. */
    readonly problem = (problem: unknown): void =>
        this.say(problem instanceof HttpProblem && problem.status > 0 ? problem.message : this.words.unreachable);

    /** A request whose failure is said. */
    readonly tell = (request: Promise<unknown>): Promise<void> => request.then(() => undefined, this.problem);

    constructor() {
        this.commands.leaveInOrder();
        document.addEventListener('crag:problem', (event) => {
            const told = (event as CustomEvent<string>).detail;
            if (this.drawer.panel === 'tools') {
                element('#tools-problem').textContent = told;
            } else {
                this.say(told);
            }
        });
    }
}
