/** By what two browsers find each other: App\Sessions\Room\LiveTalk::ways. */
export interface Ways {
    servers: RTCIceServer[];
    /** All sound goes through the server. */
    only: boolean;
}

/** Addresses that are not there after so long come too late. */
const GATHERING_MS = 2500;
const CONNECTING_MS = 20_000;
/** A phone between two networks comes back within seconds. */
const AWAY_MS = 8000;

/**
 * Sound both ways between this browser and another one, and nothing kept of it. One offers, the other answers; each
 * says in one description where it can be reached.
 */
export class VoiceLine {
    private readonly peer: RTCPeerConnection;
    private readonly audio = new Audio();
    private timer = 0;
    private isOver = false;

    constructor(
        { servers, only }: Ways,
        private readonly microphone: MediaStream,
        /** The other one is heard; or cannot be reached any more. */
        private readonly changed: (state: 'on' | 'lost') => void,
    ) {
        this.peer = new RTCPeerConnection({ iceServers: servers, iceTransportPolicy: only ? 'relay' : 'all' });
        for (const track of microphone.getTracks()) {
            this.peer.addTrack(track, microphone);
        }
        this.audio.autoplay = true;
        this.peer.addEventListener('track', ({ streams }) => {
            this.audio.srcObject = streams[0] ?? null;
            void this.audio.play().catch(() => undefined);
        });
        this.peer.addEventListener('connectionstatechange', () => this.follow());
        this.timer = window.setTimeout(() => this.lose(), CONNECTING_MS);
    }

    async offer(): Promise<string> {
        await this.peer.setLocalDescription(await this.peer.createOffer());
        return this.described();
    }

    async answer(sdp: string): Promise<string> {
        await this.peer.setRemoteDescription({ type: 'offer', sdp });
        await this.peer.setLocalDescription(await this.peer.createAnswer());
        return this.described();
    }

    async take(sdp: string): Promise<void> {
        await this.peer.setRemoteDescription({ type: 'answer', sdp });
    }

    mute(isMuted: boolean): void {
        this.microphone.getAudioTracks().forEach((track) => {
            track.enabled = !isMuted;
        });
    }

    close(): void {
        this.isOver = true;
        window.clearTimeout(this.timer);
        this.peer.close();
        this.audio.srcObject = null;
        this.microphone.getTracks().forEach((track) => track.stop());
    }

    /** The description with the addresses in it. */
    private async described(): Promise<string> {
        if (this.peer.iceGatheringState !== 'complete') {
            await new Promise<void>((done) => {
                window.setTimeout(done, GATHERING_MS);
                this.peer.addEventListener(
                    'icegatheringstatechange',
                    () => this.peer.iceGatheringState === 'complete' && done(),
                );
            });
        }
        return this.peer.localDescription?.sdp ?? '';
    }

    private follow(): void {
        const { connectionState } = this.peer;
        if (connectionState === 'connected') {
            window.clearTimeout(this.timer);
            this.changed('on');
        } else if (connectionState === 'disconnected') {
            window.clearTimeout(this.timer);
            this.timer = window.setTimeout(() => this.lose(), AWAY_MS);
        } else if (connectionState === 'failed') {
            this.lose();
        }
    }

    private lose(): void {
        if (!this.isOver) {
            this.changed('lost');
        }
    }
}
