import { begun } from '../canvas/model/manipulative/manipulative';
import { RULES } from '../canvas/model/manipulative/rules';
import type { Setting } from '../canvas/model/manipulative/setting';
import { TENTHS } from '../canvas/model/objects';
import { sketchOf } from '../canvas/model/manipulative/manipulative';
import type { Workbench } from '../canvas/workbench';
import { element } from '../page';
import { inLanguage } from '../said';

/** The form with a manipulative's settings: for the next one, or for one that is there. */
export class PieceForm {
    private readonly root: HTMLFormElement;
    private kind = '';
    /** What is being changed; none while a new one is made. */
    private changing: string | null = null;

    constructor(
        private readonly bench: Workbench,
        scope: HTMLElement,
        /** Shows the form. */
        private readonly open: () => void,
        /** What was to be made is made. */
        private readonly done: () => void,
    ) {
        this.root = element<HTMLFormElement>('.piece-settings', scope);
        this.root.addEventListener('submit', (event) => {
            event.preventDefault();
            this.submit();
        });
        bench.resetPiece = (id) => this.change(id);
    }

    /** The form of the kind that is chosen. */
    show(): void {
        const { tool, piece } = this.bench.settings;
        if (tool !== 'pieces') {
            this.changing = null;
        }
        if (this.changing === null && this.kind !== piece) {
            this.fill(piece, {});
        }
        this.root.classList.toggle('is-changing', this.changing !== null);
        element('.piece-free', this.root).hidden = this.bench.layer === 'student';
    }

    /** Another kind is chosen: a new one is made. */
    begin(): void {
        this.changing = null;
        this.show();
    }

    private change(id: string): void {
        const object = this.bench.view.log.scene.objects.get(id)?.object;
        if (object?.type !== 'manipulative') {
            return;
        }
        this.bench.settings.piece = object.kind;
        this.bench.choose('pieces');
        this.changing = id;
        this.fill(object.kind, { ...object.settings, ...object.vary });
        element<HTMLInputElement>('[name=free]', this.root).checked = object.free === true;
        this.open();
        this.show();
        this.root.querySelector<HTMLElement>('input, select, button')?.focus();
    }

    private fill(kind: string, given: Record<string, unknown>): void {
        this.kind = kind;
        const fields = element('.piece-fields', this.root);
        fields.replaceChildren(
            ...(RULES[kind]?.settings() ?? []).map((one) => field(one, given[one.name], this.bench.varies)),
        );
    }

    private submit(): void {
        const { bench, changing, kind } = this;
        const given: Record<string, unknown> = {};
        for (const { name, first } of RULES[kind]?.settings() ?? []) {
            const { value } = this.root.elements.namedItem(name) as HTMLInputElement | HTMLSelectElement;
            given[name] = typeof first === 'string' || value.startsWith('{') ? value : Math.round(Number(value));
        }
        if (changing !== null) {
            bench.make('change', { target: changing, set: { settings: given, ...this.freedom() } });
            this.changing = null;
            this.done();
            return;
        }
        const { width, height } = sketchOf(begun(kind, given));
        const [x, y] = this.middle();
        const [pageWide, pageHigh] = bench.view.paperSize;
        const keep = (value: number, room: number): number => Math.max(10, Math.min(value, room - 10));
        const at = [keep(x - width / 2, pageWide - width), keep(y - height / 2, pageHigh - height)] as const;
        const corner = [Math.round(at[0] * TENTHS), Math.round(at[1] * TENTHS)] as const;
        bench.add(begun(kind, given, corner, this.isFree));
        this.done();
    }

    /** Whether students may change the settings; asked where a teacher makes it. */
    private get isFree(): boolean {
        return element<HTMLInputElement>('[name=free]', this.root).checked;
    }

    private freedom(): { free?: boolean } {
        return this.bench.layer === 'student' ? {} : { free: this.isFree };
    }

    /** The middle of what is seen, in units. */
    private middle(): [number, number] {
        const { view, surface } = this.bench;
        const { scale, x, y } = view.camera;
        return [(surface.clientWidth / 2 - x) / scale, (surface.clientHeight / 2 - y) / scale];
    }
}

function field(setting: Setting, given: unknown, varies: boolean): HTMLElement {
    const label = document.createElement('label');
    label.className = 'piece-field';
    const words = document.createElement('span');
    words.textContent = inLanguage(setting.label);
    const value = String(given ?? setting.first);
    if (setting.choices.length > 0) {
        const select = document.createElement('select');
        select.className = 'form-select';
        select.name = setting.name;
        select.append(...setting.choices.map((one, i) => new Option(inLanguage(one), String(i))));
        select.value = value;
        label.append(words, select);
        return label;
    }
    const input = document.createElement('input');
    input.className = 'form-control';
    input.name = setting.name;
    input.autocomplete = 'off';
    if (typeof setting.first === 'string') {
        input.maxLength = 120;
        input.dir = 'auto';
    } else if (varies) {
        // A number, or the name of a value that each student has.
        Object.assign(input, { inputMode: 'text', pattern: '-?[0-9]+|\\{.+\\}', required: true });
    } else {
        Object.assign(input, { type: 'number', min: String(setting.least), max: String(setting.most), required: true });
    }
    input.value = value;
    label.append(words, input);
    return label;
}
