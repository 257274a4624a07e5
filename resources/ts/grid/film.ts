import type { Operation, Stroke } from '../canvas/model/objects';
import { samplesOf } from '../canvas/model/scene';
import type { View } from '../canvas/drawing/view';
import type { Boxes } from '../protocol/questions';
import { AnswerBoxes } from '../questions/boxes';
import { present } from '../present';

/** What is said from one time to another, in milliseconds. */
export interface Caption {
    from: number;
    to: number;
    words: string;
}

/** The line that belongs to a time; empty for none. */
export function captionAt(captions: readonly Caption[], at: number): string {
    return captions.find(({ from, to }) => at >= from && at < to)?.words ?? '';
}

/** A log with its times: what Crag\Canvas\Log\Replay computes. */
export interface ReplayAnswer {
    /** Milliseconds. */
    lasts: number;
    /** When something went. */
    rubbed: number[];
    /** Whether the voice that goes along has a small picture of who speaks. */
    filmed: boolean;
    /** What is said, where a voice goes along. */
    captions: Caption[];
    /** The answer boxes on its pages. */
    boxes: Boxes;
    /** When each operation begins and ends. */
    steps: [from: number, to: number][];
    operations: Operation[];
}

/** Shows a log as it was at a time: what was finished then, and the stroke that was growing. */
export class Film {
    /** How many operations are finished. */
    finished = 0;

    constructor(
        private readonly view: View,
        private readonly replay: ReplayAnswer,
    ) {
        if (replay.boxes.length > 0) {
            new AnswerBoxes(view).show(replay.boxes);
        }
    }

    show(at: number): void {
        const { view, replay } = this;
        const finished = finishedAt(replay.steps, at);
        if (finished < this.finished) {
            view.reset();
            view.take(replay.operations.slice(0, finished));
        } else if (finished > this.finished) {
            view.take(replay.operations.slice(this.finished, finished));
        }
        this.finished = finished;
        const growing = replay.operations[finished];
        const page = growing?.body.page ?? '';
        const last = replay.operations[finished - 1];
        const here = growing?.kind === 'add' ? page : last?.kind === 'page' ? last.id : (last?.body.page ?? view.page);
        if (here !== view.page && view.log.scene.pages.has(here)) {
            view.showPage(here);
        }
        view.dropWet('replayed');
        const stroke = growing?.body.object;
        const [from, to] = replay.steps[finished] ?? [0, 0];
        if (
            (stroke?.type === 'stroke' || stroke?.type === 'highlight') &&
            at > from &&
            growing?.body.place === undefined
        ) {
            const drawn = samplesUpTo(stroke, (at - from) / Math.max(1, to - from));
            view.growWet('replayed', stroke.type, stroke.colour, stroke.width, drawn, page);
        }
    }
}

function samplesUpTo(stroke: Stroke, share: number): ReturnType<typeof samplesOf> {
    const samples = samplesOf(stroke);
    const until = present(samples[samples.length - 1])[3] * share;
    return samples.filter(([, , , ms], i) => i === 0 || ms <= until);
}

/** How many steps are finished at a time. */
export function finishedAt(steps: [number, number][], at: number): number {
    let [low, high] = [0, steps.length];
    while (low < high) {
        const middle = (low + high) >> 1;
        if (present(steps[middle])[1] <= at) {
            low = middle + 1;
        } else {
            high = middle;
        }
    }
    return low;
}
