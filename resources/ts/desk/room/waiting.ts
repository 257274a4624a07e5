import type { DeskWords } from '../../protocol/words';
import { element } from '../../page';
import { wordFor } from '../../protocol/wordfor';
import type { Desk } from '../shell/desk';

/** Says to those who hear the page who has begun to wait. */
export class WaitingList {
    private before = new Set<string>();
    private readonly words: DeskWords;

    constructor({ bus, words }: Desk) {
        this.words = words;
        bus.on('written', () => this.listen());
    }

    private listen(): void {
        const now = new Map<string, string>();
        for (const one of document.querySelectorAll<HTMLElement>('#waiting-all .waiting-one')) {
            const name = [...element('.waiting-name', one).childNodes]
                .map((node) => node.textContent)
                .join(' ')
                .trim();
            const { kind = '', seat = '' } = one.dataset;
            now.set(`${kind} ${seat}`, wordFor(this.words, `heard_${kind}`).replace(':name', shownName(one) || name));
        }
        const fresh = [...now].filter(([id]) => !this.before.has(id)).map(([, said]) => said);
        if (fresh.length > 0) {
            element('#desk-heard').textContent = fresh.join('. ');
        }
        this.before = new Set(now.keys());
    }
}

/** The name as this desk shows names. */
function shownName(within: HTMLElement): string {
    const kind = document.body.dataset.names === 'names' ? '.name-real' : '.name-seat';
    return within.querySelector(kind)?.textContent ?? '';
}
