import type { DeskWords } from '../../protocol/words';
import { element } from '../../page';
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
        for (const one of document.querySelectorAll<HTMLElement>('#waiting .waiting-one')) {
            const name = [...element('.waiting-name', one).childNodes]
                .map((node) => node.textContent)
                .join(' ')
                .trim();
            const isKnocking = one.classList.contains('is-knocking');
            now.set(
                `${isKnocking} ${one.dataset.seat ?? name}`,
                (isKnocking ? this.words.knocks : this.words.hands).replace(':name', shownName(one) || name),
            );
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
