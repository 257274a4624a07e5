declare global {
    interface Window {
        /** A measurement sets this: [object, samples so far, milliseconds since 1970 after they were painted]. */
        cragPainted?: [string, number, number][];
    }
}

let waiting: [string, number][] = [];
const after = new MessageChannel();

after.port1.onmessage = () => {
    const now = Date.now();
    waiting.forEach(([id, upTo]) => window.cragPainted?.push([id, upTo, now]));
    waiting = [];
};

/** Notes that ink was drawn, to be told when the frame with it has been painted. Costs nothing unless measured. */
export function notePainted(id: string, upTo: number): void {
    if (window.cragPainted === undefined) {
        return;
    }
    if (waiting.length === 0) {
        requestAnimationFrame(() => after.port2.postMessage(null));
    }
    waiting.push([id, upTo]);
}
