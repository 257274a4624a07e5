/** What a teacher draws on one student's canvas, and where the pointer is, as it happens. Lost is not worth a second try. */
export class CoachLine {
    private socket: WebSocket | null = null;
    private path = '';

    constructor(private readonly session: string) {}

    /** From now on to the student with this channel; an empty one for nobody. */
    open(channel: string): void {
        const path = channel === '' ? '' : `/live/coach/${this.session}/${channel}`;
        if (path !== this.path) {
            this.path = path;
            this.socket?.close();
            this.socket = null;
            path !== '' && this.connect();
        }
    }

    send(text: string): boolean {
        if (this.socket?.readyState === WebSocket.OPEN && this.socket.bufferedAmount < 65_536) {
            this.socket.send(text);
            return true;
        }
        if (this.path !== '' && (this.socket === null || this.socket.readyState === WebSocket.CLOSED)) {
            this.connect();
        }
        return false;
    }

    private connect(): void {
        this.socket = new WebSocket(`${location.protocol === 'https:' ? 'wss' : 'ws'}://${location.host}${this.path}`);
    }
}
