import type { Letter } from '../protocol/room';
import { element } from '../page';

const READ = 'crag-read';

/** What the teacher has written, until it is read. A letter that the teacher removes goes too. */
export class Letters {
    private readonly root = element('#letters');
    private readonly template = element<HTMLTemplateElement>('#letter-template');

    constructor(private readonly reply: () => void) {}

    show(letters: Letter[], mayReply: boolean): void {
        const read = new Set((sessionStorage.getItem(READ) ?? '').split(' '));
        const wanted = letters.filter(({ id, mine }) => !mine && !read.has(id));
        for (const there of this.root.querySelectorAll<HTMLElement>('.letter:not(.voice)')) {
            if (!wanted.some(({ id }) => id === there.dataset.id)) {
                there.remove();
            }
        }
        for (const letter of wanted) {
            if (this.root.querySelector(`[data-id="${letter.id}"]`) === null) {
                this.root.append(this.made(letter));
            }
        }
        this.root.querySelectorAll<HTMLElement>('.letter-reply').forEach((button) => {
            button.hidden = !mayReply;
        });
    }

    private made({ id, from, words }: Letter): HTMLElement {
        const letter = (this.template.content.cloneNode(true) as DocumentFragment).firstElementChild as HTMLElement;
        letter.dataset.id = id;
        element('.letter-words', letter).textContent = words;
        element('.letter-from', letter).textContent = from;
        element('.letter-read', letter).addEventListener('click', () => {
            sessionStorage.setItem(READ, `${sessionStorage.getItem(READ) ?? ''} ${id}`);
            letter.remove();
        });
        element('.letter-reply', letter).addEventListener('click', this.reply);
        return letter;
    }
}
