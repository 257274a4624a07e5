interface Settings {
    /** Whether something waits that may be sent. */
    isWaiting(): boolean;
    /** Sends some of it; throws where there is no answer. */
    send(): Promise<void>;
    /** After each sending, and after the last one. */
    changed(): void;
    /** How long to wait after so many failures one after the other, in milliseconds. */
    wait(failures: number): number;
}

/** Sends what waits until nothing does, one thing after the other; where there is no answer, again after a while. */
export class Flush {
    isSending = false;
    private run = Promise.resolve();
    private timer = 0;
    private failures = 0;

    constructor(private readonly settings: Settings) {}

    /** Whether the server answered the last time. */
    get isReachable(): boolean {
        return this.failures === 0;
    }

    /** After a pause, in milliseconds; what was to be sent before that waits for it too. */
    soon(ms: number): void {
        window.clearTimeout(this.timer);
        this.timer = window.setTimeout(() => void this.now(), ms);
    }

    /** Resolves when nothing waits, or nothing can be sent. */
    now(): Promise<void> {
        if (!this.isSending) {
            this.run = this.sendAll();
        }
        return this.run;
    }

    private async sendAll(): Promise<void> {
        this.isSending = true;
        window.clearTimeout(this.timer);
        const { settings } = this;
        try {
            while (settings.isWaiting()) {
                await settings.send();
                this.failures = 0;
                settings.changed();
            }
        } catch {
            this.failures++;
            this.soon(settings.wait(this.failures));
        } finally {
            this.isSending = false;
            settings.changed();
        }
    }
}
