import type { StudentWords } from '../protocol/words';
import type { WetInk } from '../canvas/model/objects';
import type { Workbench } from '../canvas/workbench';
import { showWet } from '../grid/tile';
import { PointerSender } from '../live/pointer';
import { element } from '../page';

/** The teacher is close by for so long after something was heard of it. */
const CLOSE_MS = 8000;

interface Around {
    key: string;
    words: StudentWords;
    send(text: string): boolean;
    /** Whether the teacher spoke about this canvas. */
    isSpokenOf(): boolean;
    /** Puts up the hand, with words to begin with. */
    handUp(words: string): void;
}

/** The teacher's ink on the student's canvas, while it is drawn and after; hidden, asked about, and drawn beside. */
export class CoachSide {
    private readonly bar = element('#coach-bar');
    private readonly hide = element<HTMLButtonElement>('#coach-hide');
    private readonly pointer: PointerSender;
    private isHidden = false;
    private closeUntil = 0;

    constructor(
        private readonly bench: Workbench,
        private readonly around: Around,
    ) {
        // With the other small things at the stage's corners.
        bench.surface.after(this.bar);
        this.pointer = new PointerSender(
            around.key,
            (text) => performance.now() < this.closeUntil && around.send(text),
        );
        this.hide.addEventListener('click', () => this.show(this.isHidden));
        element('#coach-ask').addEventListener('click', () => around.handUp(around.words.about_coach));
        bench.surface.addEventListener('pointermove', (event) =>
            this.pointer.move(bench.canvas, bench.view.toPage(event.clientX, event.clientY), bench.view.page),
        );
        bench.surface.addEventListener('pointerleave', () => this.pointer.leave(bench.canvas));
    }

    /** Something that the teacher draws on this canvas, or where the teacher points. */
    wet(message: WetInk): void {
        if (message.c !== this.bench.canvas) {
            return;
        }
        this.closeUntil = performance.now() + CLOSE_MS;
        if (message.at !== undefined) {
            this.bench.view.pointAt({
                x: message.at[0],
                y: message.at[1],
                page: message.g ?? '',
                name: this.around.words.teacher,
            });
        } else if (!this.isHidden) {
            try {
                showWet(this.bench.view, message);
            } catch {
                // What cannot be read is let go; the finished stroke still comes.
            }
        }
    }

    /** After what is on the canvas has changed. */
    freshen(): void {
        let is = false;
        for (const { layer } of this.bench.view.log.scene.objects.values()) {
            is ||= layer === 'coach';
        }
        this.bar.hidden = !is && !this.around.isSpokenOf();
        this.hide.hidden = !is;
        if (!is && this.isHidden) {
            this.show(true);
        }
    }

    private show(isShown: boolean): void {
        this.isHidden = !isShown;
        this.bench.view.showLayer('coach', isShown);
        this.hide.setAttribute('aria-pressed', String(this.isHidden));
        element('span', this.hide).textContent = this.isHidden
            ? this.around.words.coach_show
            : this.around.words.coach_hide;
    }
}
