import { present } from '../present';

/** Roughly what a message costs beside its text: frame or headers. */
const AROUND = { socket: 8, http: 700 };
const MINUTE_MS = 60_000;

const counted: [at: number, bytes: number][] = [];

/** Notes that bytes went to or fro. */
export function countBytes(how: keyof typeof AROUND, bytes: number): void {
    counted.push([performance.now(), bytes + AROUND[how]]);
    while (counted.length > 0 && performance.now() - present(counted[0])[0] > MINUTE_MS) {
        counted.shift();
    }
}

/** Bytes to and fro in the last minute, as far as this page can count them. */
export function bytesAMinute(): number {
    const since = performance.now() - MINUTE_MS;
    return counted.reduce((sum, [at, bytes]) => sum + (at >= since ? bytes : 0), 0);
}

/** Pictures and whatever else the browser fetches by itself. */
new PerformanceObserver((list) => {
    for (const entry of list.getEntriesByType('resource') as PerformanceResourceTiming[]) {
        if (entry.initiatorType !== 'fetch') {
            countBytes('http', entry.transferSize);
        }
    }
}).observe({ type: 'resource' });
