import type { Sample } from '../model/ink';
import { fitEllipse } from './ellipse';
import { LIMIT } from './limits';
import { fitArc, fitArrow, fitLine } from './open';
import { fitPolygon } from './polygon';
import { isClosed, traceOf, type FittedShape } from './trace';

/** Which shape a stroke was meant as; core/src/Canvas/Fit says the same of the same strokes. */
export function fitShape(samples: readonly Sample[]): FittedShape | null {
    const trace = traceOf(samples);
    if (trace.size < LIMIT.smallest) {
        return null;
    }
    if (!isClosed(trace)) {
        return fitLine(trace) ?? fitArrow(trace) ?? fitArc(trace);
    }
    const round = fitEllipse(trace);
    const cornered = fitPolygon(trace);
    if (round === null || cornered === null) {
        return round ?? cornered;
    }
    return cornered.residual + LIMIT.corner * cornersOf(cornered) <= round.residual ? cornered : round;
}

function cornersOf({ kind, object }: FittedShape): number {
    return kind === 'rectangle' ? 4 : 'points' in object ? object.points.length / 2 : 0;
}
