import { countBytes } from './meter';
import type { Message } from './streams';

export type Connection = 'live' | 'polling' | 'offline';

interface Settings {
    path(): string;
    message(message: Message): void;
    /** After each opening, and at every beat while there is no socket: ask for what was missed. */
    catchUp(): Promise<boolean>;
    state(connection: Connection): void;
    /** It has closed, and may open again. */
    closed?(): void;
}

const POLL_MS = 2000;
const LONGEST_WAIT_MS = 8000;
const OPEN_LOOK_MS = 200;
/** An opening that takes longer is given up: some networks swallow sockets without a word. */
const OPENING_MS = 6000;

/**
 * The page's socket for what the server tells; browsers cannot publish on its channels: what a page sends here goes to
 * the keeper alone. It opens again by itself; while there is none, the page asks every two seconds instead, and says
 * so.
 */
export class Socket {
    private socket: WebSocket | null = null;
    private failures = 0;
    private polling = 0;
    private closed = false;

    constructor(private readonly settings: Settings) {
        window.addEventListener('online', () => this.openNow());
        document.addEventListener('visibilitychange', () => {
            if (document.visibilityState === 'visible' && !this.isOpen) {
                this.openNow();
            }
        });
    }

    get isOpen(): boolean {
        return this.socket?.readyState === WebSocket.OPEN;
    }

    /** Resolves when it is open: what is told to nobody but those who listen is not lost any more. */
    async opened(): Promise<void> {
        while (!this.isOpen) {
            await new Promise((again) => window.setTimeout(again, OPEN_LOOK_MS));
        }
    }

    get isPolling(): boolean {
        return this.polling !== 0;
    }

    open(): void {
        if (this.closed) {
            return;
        }
        const scheme = location.protocol === 'https:' ? 'wss' : 'ws';
        const socket = new WebSocket(`${scheme}://${location.host}${this.settings.path()}`);
        this.socket = socket;
        const tooLong = window.setTimeout(() => socket.close(), OPENING_MS);
        socket.addEventListener('open', () => {
            window.clearTimeout(tooLong);
            this.failures = 0;
            this.stopPolling();
            this.settings.state('live');
            void this.settings.catchUp();
        });
        socket.addEventListener('message', (event) => {
            countBytes('socket', String(event.data).length);
            this.settings.message(JSON.parse(String(event.data)) as Message);
        });
        socket.addEventListener('close', () => {
            window.clearTimeout(tooLong);
            this.settings.closed?.();
            if (this.socket === socket) {
                this.lost();
            }
        });
    }

    /** Whether it was open to send it. */
    send(text: string): boolean {
        if (this.socket?.readyState !== WebSocket.OPEN) {
            return false;
        }
        countBytes('socket', text.length);
        this.socket.send(text);
        return true;
    }

    /** Closes it and opens it at the address that holds now. */
    again(): void {
        const { socket } = this;
        this.socket = null;
        socket?.close();
        this.open();
    }

    close(): void {
        this.closed = true;
        this.stopPolling();
        this.socket?.close();
    }

    private openNow(): void {
        if (!this.closed && this.socket?.readyState !== WebSocket.CONNECTING && !this.isOpen) {
            this.open();
        }
    }

    private lost(): void {
        if (this.closed) {
            return;
        }
        this.failures++;
        this.startPolling();
        const wait = Math.min(LONGEST_WAIT_MS, 300 * 2 ** this.failures) * (0.7 + Math.random() * 0.6);
        window.setTimeout(() => this.openNow(), wait);
    }

    private startPolling(): void {
        if (this.polling === 0) {
            const beat = async (): Promise<void> => {
                const answered = await this.settings.catchUp();
                // A socket may have opened while the answer was on its way.
                if (this.polling !== 0) {
                    this.settings.state(answered ? 'polling' : 'offline');
                }
            };
            this.polling = window.setInterval(() => void beat(), POLL_MS);
            void beat();
        }
    }

    private stopPolling(): void {
        window.clearInterval(this.polling);
        this.polling = 0;
    }
}
