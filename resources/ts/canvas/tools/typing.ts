import { pageBox, type Box } from '../model/bounds';
import { TENTHS, newId, type MarkKind, type Note, type Operation, type Place, type Text } from '../model/objects';
import { matrixOf } from '../model/place';
import { plain } from '../model/usual';
import {
    LINE_HEIGHT,
    NOTE_MARGIN,
    heightOf,
    indentOf,
    readsBackwards,
    typed,
    widthOf,
    wrap,
    type Lettering,
} from '../model/words';
import { RichField } from './richfield';
import type { View } from '../drawing/view';
import { present } from '../../present';

export interface TypingListener {
    /** Each change, at once. */
    type(id: string, object: Text | Note): void;
    operation(kind: Operation['kind'], id: string, body: Operation['body']): void;
}

/** After so long without a key, what stands there is stored, though the typing goes on. */
const PAUSE_MS = 1500;
/** Fewer than the core takes, for soft line ends count too. */
const LONGEST = 1900;
/** What the fields of words are that are left out. */
const UNUSUAL: Record<string, unknown> = { marks: [], list: 'none', face: 'plain' };
/** Left free between words and the page's edge, in units. */
const EDGE = 20;

/** Typed words, on the page or on a note: a field laid over the page where the words will stand. */
export class Typing {
    private field: RichField | null = null;
    private id = '';
    private object: Text | Note | null = null;
    private stored: Text | Note | null = null;
    private timer = 0;
    /** Where the words began, in tenths: from there they go to the right or to the left. */
    private anchor = 0;

    constructor(
        private readonly view: View,
        private readonly label: string,
        private readonly to: TypingListener,
    ) {}

    get isOpen(): boolean {
        return this.field !== null;
    }

    /** Begins new words at a place in units. */
    begin(x: number, y: number, look: Pick<Text, 'colour' | 'size' | 'align' | 'list' | 'face'>): void {
        const { size } = look;
        const [width, height] = this.view.paperSize;
        const left = Math.round(Math.max(0, Math.min(width - size, x)) * TENTHS);
        const top = Math.round(Math.max(0, Math.min(height - size * LINE_HEIGHT, y - size * 0.6)) * TENTHS);
        this.open(newId(), { type: 'text', x: left, y: top, w: 0, ...look, fixed: false, text: '' }, null);
    }

    /** Begins a note that is on the page already, or goes on with words that are there. */
    edit(id: string): void {
        const object = this.view.log.scene.objects.get(id)?.object;
        if (object?.type === 'text' || object?.type === 'note') {
            this.open(id, { ...object, text: typed(object.text) }, object);
        }
    }

    /** Ends the typing; what was typed is stored. */
    close(): void {
        if (this.field === null) {
            return;
        }
        const field = this.field;
        this.field = null;
        this.store();
        if (present(this.object).type === 'text' && present(this.object).text.trim() === '' && this.stored !== null) {
            this.to.operation('remove', newId(), { targets: [this.id] });
        }
        this.view.unhide(this.id);
        field.root.remove();
    }

    /** Changes the look of the words that are being typed. */
    set(change: Partial<Pick<Text, 'colour' | 'size' | 'align' | 'list' | 'face'>>): void {
        if (this.object !== null && this.field !== null) {
            const isNote = this.object.type === 'note';
            this.object = plain({ ...this.object, ...(isNote ? { size: change.size ?? this.object.size } : change) });
            this.typed(this.field);
        }
    }

    /** What is chosen in the words gets a look, or loses it. */
    mark(kind: MarkKind): void {
        this.field?.toggle(kind);
    }

    /** Whether what is chosen in them, or typed next, looks so. */
    isMarked(kind: MarkKind): boolean {
        return this.field?.has(kind) === true;
    }

    /** What they cover, in units; null while nothing is typed. */
    get box(): Box | null {
        return this.object === null || this.field === null
            ? null
            : pageBox({ layer: 'student', page: '', object: this.object, place: this.placeOf() });
    }

    /** Puts the field where it belongs after the page has moved. */
    fit(): void {
        const { field, object, view } = this;
        if (field === null || object === null) {
            return;
        }
        const margin = object.type === 'note' ? NOTE_MARGIN : 0;
        const [a, b, c, d, e, f] = matrixOf(this.placeOf());
        const { scale, x, y } = view.camera;
        const [left, top] = [object.x / TENTHS + margin, object.y / TENTHS + margin];
        const [atX, atY] = [a * left + c * top + e, b * left + d * top + f];
        const { style } = field.root;
        style.transform = `matrix(${[a * scale, b * scale, c * scale, d * scale, atX * scale + x, atY * scale + y].join(',')})`;
        style.fontSize = `${object.size}px`;
        // The page draws the words as they will stand; the field gives the place to type, and is not read twice.
        style.caretColor = object.type === 'note' ? '#25323b' : object.colour;
        style.textAlign =
            object.type === 'note'
                ? 'start'
                : ({ start: 'start', middle: 'center', end: 'end' } as const)[object.align];
        const isFree = object.type === 'text' && !object.fixed;
        const room = !isFree
            ? object.w / TENTHS - 2 * margin
            : object.text.includes('\u2028')
              ? this.roomFor(object)
              : Math.max(widthOf(object) + object.size, object.size * 4);
        const isCode = object.type === 'text' && object.face === 'code';
        field.root.classList.toggle('is-code', isCode);
        style.paddingInlineStart = object.type === 'text' ? `${indentOf(object)}px` : '0';
        style.width = `${room}px`;
        style.height = `${heightOf(object.text, object.size) + object.size * 0.2}px`;
    }

    private open(id: string, object: Text | Note, stored: Text | Note | null): void {
        this.close();
        this.id = id;
        this.object = object;
        this.stored = stored;
        const backwards = stored !== null && readsBackwards(stored.text);
        this.anchor = object.x + (backwards && object.type === 'text' ? object.w : 0);
        this.view.hide(id);
        const field = new RichField(this.label, LONGEST, object.type === 'note');
        const { root } = field;
        root.className = object.type === 'note' ? 'page-typing is-note' : 'page-typing';
        field.set(object.text, object.type === 'text' ? (object.marks ?? []) : []);
        root.addEventListener('input', () => this.typed(field));
        root.addEventListener('blur', () => this.close());
        root.addEventListener('keydown', (event) => {
            if (event.key === 'Escape') {
                event.preventDefault();
                this.close();
                this.view.frame.closest<HTMLElement>('[tabindex]')?.focus();
            }
            event.stopPropagation();
        });
        root.addEventListener('pointerdown', (event) => event.stopPropagation());
        this.field = field;
        this.view.frame.append(root);
        if (object.text !== '' || object.type === 'note') {
            this.typed(field);
        }
        this.fit();
        field.focus();
    }

    private placeOf(): Place | undefined {
        return this.view.log.scene.objects.get(this.id)?.place;
    }

    private typed(field: RichField): void {
        const { text, marks } = field.read();
        const object = present(this.object);
        this.object = this.wrapped(plain({ ...object, text, ...(object.type === 'text' && { marks }) }));
        this.fit();
        this.to.type(this.id, this.object);
        window.clearTimeout(this.timer);
        this.timer = window.setTimeout(() => this.store(), PAUSE_MS);
    }

    /** Lines end where there is no more room; words that read to the left grow to the left. */
    private wrapped(object: Text | Note): Text | Note {
        if (object.type === 'note') {
            return grown(object);
        }
        if (object.fixed) {
            return { ...object, text: wrap(object, object.w / TENTHS) };
        }
        const backwards = readsBackwards(object.text);
        const text = wrap(object, this.roomFor(object));
        const w = Math.ceil(widthOf({ ...object, text }) * TENTHS);
        return { ...object, text, w, x: backwards ? this.anchor - w : this.anchor };
    }

    /** How wide words may become: up to the edge of the page, the way that they read. */
    private roomFor(object: Lettering): number {
        const at = this.anchor / TENTHS;
        return Math.max(object.size * 3, readsBackwards(object.text) ? at - EDGE : this.view.paperSize[0] - EDGE - at);
    }

    private store(): void {
        window.clearTimeout(this.timer);
        const object = present(this.object);
        const { stored } = this;
        const empty = object.type === 'text' && object.text.trim() === '';
        if (empty || JSON.stringify(object) === JSON.stringify(stored)) {
            return;
        }
        if (stored === null) {
            this.to.operation('add', this.id, { object });
        } else {
            const fields =
                object.type === 'note'
                    ? ['text', 'h', 'size', 'colour']
                    : ['text', 'x', 'w', 'size', 'colour', 'align', 'marks', 'list', 'face'];
            const set: Record<string, unknown> = {};
            for (const field of fields) {
                const now = (object as unknown as Record<string, unknown>)[field] ?? UNUSUAL[field];
                const was = (stored as unknown as Record<string, unknown>)[field] ?? UNUSUAL[field];
                if (JSON.stringify(now) !== JSON.stringify(was)) {
                    set[field] = now;
                }
            }
            if (Object.keys(set).length > 0) {
                this.to.operation('change', newId(), { target: this.id, set });
            }
        }
        this.stored = object;
    }
}

/** A note with its words in lines, and tall enough for them. */
export function grown(note: Note): Note {
    const text = wrap(
        { text: typed(note.text), size: note.size },
        Math.max(note.size, note.w / TENTHS - 2 * NOTE_MARGIN),
    );
    return { ...note, text, h: Math.max(note.h, Math.ceil((heightOf(text, note.size) + 2 * NOTE_MARGIN) * TENTHS)) };
}
