import type { Operation } from '../../canvas/model/objects';
import type { WetInk } from '../../canvas/model/objects';
import { InkLine } from '../../live/inkline';
import { Socket } from '../../live/socket';
import { Streams, type LiveEvent, type Message } from '../../live/streams';
import { element } from '../../page';
import type { CanvasesAnswer, DeskEvents, LiveTold, WatchAnswer } from '../../protocol/desk';
import type { Desk } from './desk';

/** A page that was turned away from for so long leaves the ink. */
const UNSEEN_MS = 3000;

interface Pens {
    hear(ink: WetInk): void;
    forgetSilence(): void;
    /** Those of finished strokes that are drawn now: what is held waits. */
    sort(operations: Operation[]): Operation[];
}

/**
 * What the server and the students' pens tell this desk: events in order, finished strokes without gaps, ink while it
 * is drawn; and the line on which this teacher's own ink goes out.
 */
export class Connection {
    private lastOperation = 0;
    private readonly overtaking = new Set<number>();
    /** Finished strokes that came while the page was asking for the log; null while it is not. */
    private early: Operation[] | null = null;
    private isLookedAt = true;
    private unseen = 0;
    private readonly socket: Socket;
    private readonly streams: Streams;
    private readonly pens: InkLine;
    private readonly leading: InkLine;

    constructor(
        private readonly desk: Desk,
        private readonly watched: Pens,
    ) {
        this.streams = new Streams(
            {},
            {
                address: `${desk.address}/catch-up`,
                also: () => ({ operations: this.lastOperation }),
                event: (stream, event) => this.takeEvent(stream, event),
                operations: (operations, caughtUp) => this.takeOperations(operations, caughtUp),
                refused: () => location.reload(),
            },
        );
        this.socket = new Socket({
            path: () => `/live/desk/${desk.session}`,
            message: (message) => this.receive(message),
            catchUp: () => this.streams.catchUp(),
            state: (connection) => {
                const said = element('#connection');
                said.dataset.state = connection;
                said.textContent = desk.words[connection];
                said.hidden = connection === 'live';
                if (connection !== 'live') {
                    watched.forgetSilence();
                }
            },
        });
        this.pens = new InkLine({
            path: () => (this.isLookedAt ? `/live/pens/${desk.session}` : null),
            // Covered ink is not shown; that a page is there still counts.
            hear: (ink) => {
                if (ink.b !== undefined || (!desk.store.now.isCovered && document.visibilityState === 'visible')) {
                    watched.hear(ink);
                }
            },
            closed: () => watched.forgetSilence(),
        });
        this.leading = new InkLine({
            path: () => (desk.page.may.lead === null && this.isLookedAt ? `/live/leading/${desk.session}` : null),
        });
    }

    open(): void {
        this.socket.open();
        this.followLook();
        document.addEventListener('visibilitychange', () => this.followLook());
    }

    /** What this teacher draws, to those who are shown it. */
    readonly send = (text: string): boolean => this.leading.send(text);

    /** Finished strokes wait while the page asks for the log that they go on from. */
    hold(): void {
        this.early ??= [];
    }

    /** The page has everything up to here. */
    begin({ room, desk, operations }: CanvasesAnswer['position']): void {
        this.streams.reset({ room, desk });
        this.lastOperation = operations;
        this.overtaking.clear();
    }

    release(): void {
        const early = this.early ?? [];
        this.early = null;
        this.takeOperations(early);
    }

    private receive(message: Message): void {
        if ('operations' in message) {
            this.takeOperations(message.operations);
            if (message.ask === true) {
                void this.streams.catchUp();
            }
        } else if ('live' in message) {
            this.desk.bus.tell('live', message.live as LiveTold);
        } else if ('states' in message) {
            this.desk.bus.tell('statesTold', { prompt: message.prompt, answer: message.states as WatchAnswer });
        } else if ('event' in message) {
            this.streams.take(message.stream, message.event);
        }
    }

    private takeEvent(stream: string, { type, body }: LiveEvent): void {
        // The end is told to everybody; a desk hears it once.
        if (type !== 'ended' || stream === 'room') {
            // The server names the type, and each type has its own body.
            this.desk.bus.tell(type as keyof DeskEvents, body as never);
        }
    }

    /** Operations are numbered through the session: a number too high means that some are missing. */
    private takeOperations(operations: Operation[], caughtUp = false): void {
        if (this.early !== null) {
            this.early.push(...operations);
            return;
        }
        // Covered work comes whole when it is revealed.
        const open = this.watched.sort(operations.filter(({ covered }) => covered !== true));
        this.desk.bus.tell('operations', open);
        if (!this.desk.store.now.isCovered) {
            this.desk.bus.tell('work', open);
        }
        const numbers = operations.flatMap(({ s }) => s ?? []);
        numbers.forEach((s) => this.overtaking.add(s));
        if (caughtUp) {
            this.lastOperation = Math.max(this.lastOperation, ...numbers);
        }
        while (this.overtaking.delete(this.lastOperation + 1)) {
            this.lastOperation++;
        }
        this.overtaking.forEach((s) => s <= this.lastOperation && this.overtaking.delete(s));
        if (this.overtaking.size > 0) {
            this.streams.askSoon(() => this.overtaking.size > 0);
        }
    }

    /**
     * A page in the background draws nothing: it leaves the ink that it would pile up, and has the finished strokes
     * when it comes back.
     */
    private followLook(): void {
        window.clearTimeout(this.unseen);
        const isVisible = document.visibilityState === 'visible';
        this.unseen = window.setTimeout(
            () => {
                this.isLookedAt = isVisible;
                this.pens.follow();
                this.leading.follow();
            },
            isVisible ? 0 : UNSEEN_MS,
        );
    }
}
