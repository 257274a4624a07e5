import { fill } from '../../page';
import type { Desk } from '../shell/desk';

/** The word about the end stays until the teacher has come back to the desk. */
const ENDING_MS = 600_000;

/** The session ends, or will if nobody keeps it open. */
export function listenToTheEnd({ address, bus, words, say, run }: Desk): void {
    bus.on('ended', () => {
        location.href = `${address}/ended`;
    });
    bus.on('ending', ({ at }) => {
        const time = new Date(at).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' });
        say(
            fill(words.ending, { time }),
            { word: words.keep, press: () => void run(`${address}/keep-open`, {}) },
            ENDING_MS,
        );
    });
}
