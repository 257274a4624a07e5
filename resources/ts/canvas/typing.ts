import { textSize } from './draw';
import { HEIGHT, TENTHS, WIDTH, newId, type Operation, type Text } from './model';
import type { View } from './view';

export interface TypingListener {
    /** Each change, at once. */
    type(id: string, text: Text): void;
    operation(kind: Operation['kind'], id: string, body: Operation['body']): void;
}

/** After so long without a key, what stands there is stored, though the typing goes on. */
const PAUSE_MS = 1500;

/** Typed words: a field laid over the page where the words will stand. */
export class Typing {
    private field: HTMLTextAreaElement | null = null;
    private id = '';
    private text: Text | null = null;
    private stored: string | null = null;
    private timer = 0;

    constructor(
        private readonly view: View,
        private readonly label: string,
        private readonly to: TypingListener,
    ) {}

    get isOpen(): boolean {
        return this.field !== null;
    }

    /** Begins new words at a place in units, or goes on with those called `id`. */
    open(x: number, y: number, colour: string, size: number, id?: string): void {
        this.close();
        const there = id === undefined ? undefined : this.view.log.scene.objects.get(id);
        if (there?.type === 'text') {
            this.id = id!;
            this.text = { ...there };
            this.stored = there.text;
        } else {
            this.id = newId();
            const left = Math.round(Math.max(0, Math.min(WIDTH - size, x)) * TENTHS);
            const top = Math.round(Math.max(0, Math.min(HEIGHT - size, y - size / 2)) * TENTHS);
            this.text = { type: 'text', x: left, y: top, size, colour, text: '' };
            this.stored = null;
        }
        this.view.hide(this.id);
        this.show();
    }

    /** Ends the typing; what was typed is stored. */
    close(): void {
        if (this.field === null) {
            return;
        }
        const field = this.field;
        this.field = null;
        this.store();
        if (this.text!.text.trim() === '' && this.stored !== null) {
            this.to.operation('remove', newId(), { targets: [this.id] });
        }
        this.view.unhide(this.id);
        field.remove();
    }

    /** Puts the field where it belongs after the page has changed its size. */
    fit(): void {
        if (this.field === null || this.text === null) {
            return;
        }
        const scale = 1 / this.view.unitsPerPixel;
        const [width, height] = textSize(this.view.context, this.text);
        const style = this.field.style;
        style.left = `${(this.text.x / TENTHS) * scale}px`;
        style.top = `${(this.text.y / TENTHS) * scale}px`;
        style.fontSize = `${this.text.size * scale}px`;
        style.width = `${Math.max(width + this.text.size * 2, this.text.size * 6) * scale}px`;
        style.height = `${(height + this.text.size * 0.2) * scale}px`;
        style.color = this.text.colour;
    }

    private show(): void {
        const field = document.createElement('textarea');
        field.className = 'page-typing';
        field.setAttribute('aria-label', this.label);
        field.maxLength = 2000;
        field.spellcheck = false;
        field.dir = 'auto';
        field.value = this.text!.text;
        field.addEventListener('input', () => this.typed(field.value));
        field.addEventListener('blur', () => this.close());
        field.addEventListener('keydown', (event) => {
            if (event.key === 'Escape') {
                event.preventDefault();
                this.close();
                this.view.frame.focus();
            }
            event.stopPropagation();
        });
        field.addEventListener('pointerdown', (event) => event.stopPropagation());
        this.field = field;
        this.view.frame.append(field);
        this.fit();
        field.focus();
    }

    private typed(value: string): void {
        this.text = { ...this.text!, text: value };
        this.fit();
        this.to.type(this.id, this.text);
        window.clearTimeout(this.timer);
        this.timer = window.setTimeout(() => this.store(), PAUSE_MS);
    }

    private store(): void {
        window.clearTimeout(this.timer);
        const text = this.text!;
        if (text.text === this.stored || text.text.trim() === '') {
            return;
        }
        if (this.stored === null) {
            this.to.operation('add', this.id, { object: text });
        } else {
            this.to.operation('change', newId(), { target: this.id, set: { text: text.text } });
        }
        this.stored = text.text;
    }
}
