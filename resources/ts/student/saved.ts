import type { Connection } from '../live/socket';
import { element, fill } from '../page';
import type { StudentWords } from '../protocol/words';

interface State {
    connection: Connection;
    /** How many steps the server does not have yet. */
    waiting: number;
    isReachable: boolean;
    /** Why it does not take some of them yet; empty for no reason. */
    held: string;
}

/** Says whether everything that was drawn is with the server. */
export class SavedLine {
    private state: State = { connection: 'live', waiting: 0, isReachable: true, held: '' };

    constructor(private readonly words: StudentWords) {}

    get waiting(): number {
        return this.state.waiting;
    }

    show(changed: Partial<State>): void {
        this.state = { ...this.state, ...changed };
        const { connection, waiting, isReachable, held } = this.state;
        const isOffline = connection === 'offline' || !isReachable;
        const isHeld = held !== '' && !isOffline;
        const sentence = isHeld
            ? this.words.held
            : isOffline
              ? this.words.offline
              : waiting > 0
                ? this.words.saving
                : connection === 'polling'
                  ? this.words.polling
                  : this.words.saved;
        const said = fill(sentence, { n: waiting, reason: held });
        const place = element('#saved');
        const words = element('.saved-words', place);
        if (words.textContent !== said) {
            words.textContent = said;
            place.title = said;
            place.dataset.state = isHeld ? 'held' : isOffline ? 'offline' : waiting > 0 ? 'saving' : 'saved';
        }
    }
}
