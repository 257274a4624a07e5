import { fill } from '../../page';
import type { DeskEvents } from '../../protocol/desk';
import { wordFor } from '../../protocol/wordfor';
import type { Desk } from './desk';

/** What the bands say otherwise once it has happened. */
const WRITTEN: (keyof DeskEvents)[] = [
    'seat',
    'sent',
    'reveal',
    'room',
    'prompt',
    'deed',
    'ask',
    'offer',
    'lineup',
    'screen',
    'tray',
    'got',
];

/** The bands follow what the server tells; and what a colleague does is said. */
export function listenToColleagues({ bus, bands, page, words, say }: Desk): void {
    WRITTEN.forEach((type) => bus.on(type, () => bands.refresh()));
    bus.on('deed', ({ deed, by, name }) => {
        const what = wordFor(words, `told_${deed}`);
        if (by !== page.me && what !== '') {
            say(fill(words.by, { name, what }));
        }
    });
}
