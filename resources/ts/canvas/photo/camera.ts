import { element } from '../../page';
import { present } from '../../present';

/** A window with what the device's camera sees, and a button that takes the picture. */
export class PhotoWindow {
    private readonly dialog: HTMLDialogElement;
    private readonly video: HTMLVideoElement;
    private stream: MediaStream | null = null;
    private settled: ((picture: Blob | null) => void) | null = null;

    constructor(root: ParentNode) {
        this.dialog = element<HTMLDialogElement>('.camera-window', root);
        this.video = element<HTMLVideoElement>('video', this.dialog);
        element('[data-shoot]', this.dialog).addEventListener('click', () => this.shoot());
        element('[data-cancel]', this.dialog).addEventListener('click', () => this.dialog.close());
        this.dialog.addEventListener('close', () => this.end(null));
    }

    /** Whether this page may look through a camera; a phone's own camera application does it better. */
    static get isThere(): boolean {
        return navigator.mediaDevices?.getUserMedia !== undefined && !matchMedia('(pointer: coarse)').matches;
    }

    /**
     * Resolves to the picture, or to null when none was taken. Rejects when there is no camera, or it may not be used.
     */
    async take(): Promise<Blob | null> {
        this.stream = await navigator.mediaDevices.getUserMedia({
            video: { width: { ideal: 1920 }, facingMode: 'environment' },
        });
        this.video.srcObject = this.stream;
        this.dialog.showModal();
        await this.video.play();
        return new Promise((resolve) => {
            this.settled = resolve;
        });
    }

    private shoot(): void {
        const canvas = document.createElement('canvas');
        canvas.width = this.video.videoWidth;
        canvas.height = this.video.videoHeight;
        present(canvas.getContext('2d')).drawImage(this.video, 0, 0);
        canvas.toBlob(
            (picture) => {
                this.end(picture);
                this.dialog.close();
            },
            'image/jpeg',
            0.9,
        );
    }

    private end(picture: Blob | null): void {
        this.stream?.getTracks().forEach((track) => track.stop());
        this.stream = null;
        this.video.srcObject = null;
        const { settled } = this;
        this.settled = null;
        settled?.(picture);
    }
}
