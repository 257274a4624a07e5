import type { WetInk } from '../canvas/model/objects';
import { MOST_INK, parseInk } from './ink';
import { countBytes } from './meter';

interface Settings {
    /** Where it belongs now; null for nowhere. */
    path(): string | null;
    hear?(ink: WetInk): void;
    /** It is open, for the first time or again: what was drawn meanwhile was not heard. */
    opened?(): void;
    closed?(): void;
}

const FIRST_WAIT_MS = 400;
const LONGEST_WAIT_MS = 8000;
/**
 * The server keeps some memory for each message until the socket closes, and ends one that brought 1,500: from so many
 * on another takes over when the pen rests.
 */
export const WORN = 600;
const REST_MS = 250;

/**
 * A socket for ink as it is drawn, and for nothing else: what the server tells comes over another. What is lost here is
 * not worth a second try; the finished stroke still comes.
 */
export class InkLine {
    private socket: WebSocket | null = null;
    private path: string | null = null;
    private failures = 0;
    private waiting = 0;
    /** How many messages went over the present socket, and the rest of the pen that is waited for. */
    private sent = 0;
    private resting = 0;
    /** One that another has taken over from. */
    private replaced: WebSocket | null = null;

    constructor(private readonly settings: Settings) {}

    /** Opens it, closes it, or moves it to where it belongs now. */
    follow(): void {
        const path = this.settings.path();
        if (path === this.path) {
            return;
        }
        this.path = path;
        this.failures = 0;
        this.again();
    }

    /** Says whether it went. */
    send(text: string): boolean {
        if (
            this.socket?.readyState !== WebSocket.OPEN ||
            this.socket.bufferedAmount > 65_536 ||
            text.length > MOST_INK
        ) {
            return false;
        }
        countBytes('socket', text.length);
        this.socket.send(text);
        if (++this.sent >= WORN) {
            window.clearTimeout(this.resting);
            this.resting = window.setTimeout(() => this.renew(), REST_MS);
        }
        return true;
    }

    /** Another socket takes over as soon as it is open; until then this one goes on. */
    private renew(): void {
        if (this.path !== null && this.socket?.readyState === WebSocket.OPEN) {
            this.connect(this.path, this.socket);
        }
    }

    private again(): void {
        window.clearTimeout(this.waiting);
        window.clearTimeout(this.resting);
        const before = this.socket;
        this.socket = null;
        before?.close();
        if (this.path !== null) {
            this.connect(this.path);
        }
    }

    private connect(path: string, before: WebSocket | null = null): void {
        const socket = new WebSocket(`${location.protocol === 'https:' ? 'wss' : 'ws'}://${location.host}${path}`);
        this.socket = before ?? socket;
        socket.addEventListener('open', () => {
            // Meanwhile it may belong elsewhere.
            if (before !== null && this.socket !== before) {
                socket.close();
                return;
            }
            this.socket = socket;
            this.replaced = before;
            before?.close();
            this.sent = 0;
            window.clearTimeout(this.resting);
            this.failures = 0;
            this.settings.opened?.();
        });
        socket.addEventListener('message', (event) => {
            const text = String(event.data);
            countBytes('socket', text.length);
            const ink = parseInk(text);
            if (ink !== null) {
                this.settings.hear?.(ink);
            }
        });
        socket.addEventListener('close', () => {
            if (this.replaced === socket) {
                return;
            }
            this.settings.closed?.();
            if (this.socket === socket) {
                const wait =
                    Math.min(LONGEST_WAIT_MS, FIRST_WAIT_MS * 2 ** this.failures++) * (0.7 + Math.random() * 0.6);
                this.waiting = window.setTimeout(() => this.again(), wait);
            }
        });
    }
}
