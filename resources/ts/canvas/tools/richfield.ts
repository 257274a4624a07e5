import type { Mark, MarkKind } from '../model/objects';
import { runsOf } from '../model/words';

const TAGS: Record<MarkKind, string> = { b: 'b', i: 'i', sup: 'sup', sub: 'sub' };
const KINDS: Record<string, MarkKind> = { B: 'b', STRONG: 'b', I: 'i', EM: 'i', SUP: 'sup', SUB: 'sub' };
/** What each kind is called by the browser's own editing. */
const COMMANDS: Record<MarkKind, string> = { b: 'bold', i: 'italic', sup: 'superscript', sub: 'subscript' };

/** A field for words some of which are bold, italic, raised or lowered. The browser edits; this reads what it made. */
export class RichField {
    readonly root = document.createElement('div');

    /** @param plain  whether all words look alike */
    constructor(
        label: string,
        private readonly longest: number,
        private readonly isPlain: boolean,
    ) {
        const { root } = this;
        root.contentEditable = 'true';
        root.setAttribute('role', 'textbox');
        root.setAttribute('aria-multiline', 'true');
        root.setAttribute('aria-label', label);
        root.spellcheck = false;
        root.dir = 'auto';
        root.addEventListener('beforeinput', (event) => this.before(event));
        root.addEventListener('paste', (event) => this.bring(event, event.clipboardData?.getData('text/plain')));
        root.addEventListener('drop', (event) => this.bring(event, event.dataTransfer?.getData('text/plain')));
        root.addEventListener('keydown', (event) => {
            // A line, not a paragraph of the browser's own.
            if (event.key === 'Enter' && !event.isComposing) {
                event.preventDefault();
                document.execCommand('insertLineBreak');
            }
        });
    }

    /** Puts words into it, the caret behind them. */
    set(text: string, marks: Mark[]): void {
        const runs = runsOf(text, 0, { marks });
        this.root.replaceChildren(
            ...runs.map(({ words, bold, italic, raised }) => {
                const kinds: MarkKind[] = [
                    ...(bold ? (['b'] as const) : []),
                    ...(italic ? (['i'] as const) : []),
                    ...(raised === 0 ? [] : [raised > 0 ? ('sup' as const) : ('sub' as const)]),
                ];
                return kinds.reduce<Node>((inside, kind) => {
                    const element = document.createElement(TAGS[kind]);
                    element.append(inside);
                    return element;
                }, document.createTextNode(words));
            }),
            // A line end at the end is seen only if something follows.
            ...(text.endsWith('\n') ? [document.createElement('br')] : []),
        );
    }

    focus(): void {
        this.root.focus();
        const selection = document.getSelection();
        selection?.selectAllChildren(this.root);
        selection?.collapseToEnd();
    }

    /** The words and their marks, as they stand. */
    read(): { text: string; marks: Mark[] } {
        let text = '';
        const marks: Mark[] = [];
        const walk = (node: Node, kinds: MarkKind[]): void => {
            if (node instanceof Text) {
                const from = [...text].length;
                text += node.data;
                const to = [...text].length;
                if (to > from) {
                    kinds.forEach((kind) => add(marks, from, to, kind));
                }
                return;
            }
            if (node instanceof HTMLBRElement) {
                text += '\n';
                return;
            }
            if (node instanceof HTMLDivElement && node !== this.root && text !== '' && !text.endsWith('\n')) {
                text += '\n';
            }
            const kind = KINDS[node.nodeName];
            node.childNodes.forEach((child) =>
                walk(child, kind === undefined || kinds.includes(kind) ? kinds : [...kinds, kind]),
            );
        };
        walk(this.root, []);
        // The browser keeps one line end behind the last, for the caret to stand on.
        text = text.replaceAll('\u00A0', ' ').replace(/\n$/, '');
        const { length } = [...text];
        return {
            text,
            marks: marks
                .filter(([from]) => from < length)
                .map(([from, to, kind]): Mark => [from, Math.min(to, length), kind])
                .sort(([a, , one], [b, , other]) => a - b || one.localeCompare(other)),
        };
    }

    /** What is chosen in it gets a look, or loses it; with nothing chosen what is typed next does. */
    toggle(kind: MarkKind): void {
        if (!this.isPlain) {
            document.execCommand('styleWithCSS', false, 'false');
            document.execCommand(COMMANDS[kind]);
        }
    }

    /** Whether what is chosen, or typed next, looks so. */
    has(kind: MarkKind): boolean {
        return document.queryCommandState(COMMANDS[kind]);
    }

    private before(event: InputEvent): void {
        const grows = event.inputType.startsWith('insert') && !event.isComposing;
        const isLook = event.inputType.startsWith('format');
        if ((grows && this.read().text.length >= this.longest) || (isLook && this.isPlain)) {
            event.preventDefault();
        }
    }

    /** What comes from elsewhere comes as words alone. */
    private bring(event: Event, words: string | undefined): void {
        event.preventDefault();
        const room = this.longest - this.read().text.length;
        if (words !== undefined && room > 0) {
            document.execCommand('insertText', false, words.replace(/\r\n?/g, '\n').slice(0, room));
        }
    }
}

/** What follows a mark of the same kind at once is one with it. */
function add(marks: Mark[], from: number, to: number, kind: MarkKind): void {
    const last = marks.find(([, end, its]) => its === kind && end === from);
    if (last === undefined) {
        marks.push([from, to, kind]);
    } else {
        last[1] = to;
    }
}
