import { CHOICES, chosen, current, RESTYLES, worthOf, type Choice } from './choices';
import { FurtherTools } from './further';
import { PieceForm } from './pieceform';
import { PopUp } from './popup';
import { PhotoWindow } from '../canvas/photo/camera';
import { PaperWindow } from '../canvas/photo/paper';
import { straighten } from '../canvas/tools/straighten';
import { isField } from '../canvas/tools/gestures';
import { lookOf, type Look } from '../canvas/tools/look';
import type { MarkKind } from '../canvas/model/objects';
import { sampleShape, type ToolName } from '../canvas/tools/settings';
import type { Workbench } from '../canvas/workbench';
import { element } from '../page';
import { present } from '../present';

/** What words that are being typed take over at once. */
const TYPED: ReadonlySet<Choice> = new Set(['colour', 'size', 'align', 'list', 'face']);

/** Where a pop-up covers much of the page. */
const SMALL = matchMedia('(max-width: 700px), (max-height: 500px)');

/** The tool tray: what is chosen in it, what it offers, and which tools are in it at all. */
export class Tray {
    private readonly root: HTMLElement;
    private readonly menu: HTMLElement;
    private readonly more: HTMLButtonElement;
    private readonly free: HTMLInputElement;
    private readonly fill: HTMLInputElement;
    private allowed: string[] = [];
    private camera: PhotoWindow | null = null;
    private paper: PaperWindow | null = null;
    private readonly options: PopUp;
    private readonly further: FurtherTools;
    private readonly pieceForm: PieceForm;
    /** The tool whose settings are open; none while they are shut. */
    private opened: ToolName | null = null;
    /** What is chosen is being moved: its bar is out of the way until it is let go. */
    private isMoving = false;

    constructor(
        private readonly bench: Workbench,
        private readonly scope: HTMLElement,
        /** What is chosen becomes pieces; the lead canvas alone has it. */
        private readonly pieces: () => void = () => undefined,
        private readonly listObjects: () => void = () => undefined,
    ) {
        this.root = element('.tray', scope);
        this.menu = element('.more-menu', scope);
        this.more = element<HTMLButtonElement>('.open-more', scope);
        this.free = element<HTMLInputElement>('.free', scope);
        this.fill = element<HTMLInputElement>('.fill', scope);
        this.options = new PopUp(element('.tray-options', scope), this.root, scope);
        this.further = new FurtherTools(this.root);
        this.pieceForm = new PieceForm(
            bench,
            scope,
            () => this.openOptions('pieces'),
            () => this.openOptions(null),
        );
        this.root.addEventListener('click', (event) => this.pressed(event));
        this.root.addEventListener('mousedown', (event) => {
            // The words that are being typed stay open while they get another look.
            const at = event.target as Element;
            if (this.isTyping && at.closest('.tray-options button, [data-tool=text]') !== null) {
                event.preventDefault();
            }
        });
        document.addEventListener('selectionchange', () => bench.typing.isOpen && this.showMarks({}));
        this.listenForPaper();
        this.free.addEventListener('input', () => this.set('colour', this.free.value));
        this.fill.addEventListener('input', () => this.set('fill', this.fill.value));
        element('.bench-file', scope).addEventListener('change', (event) => this.brought(event));
        element('.bench-camera', scope).addEventListener('change', (event) => this.brought(event));
        document.addEventListener('pointerdown', (event) => {
            if (!this.menu.hidden && this.menu.parentElement?.contains(event.target as Element) !== true) {
                this.closeMenu();
            }
        });
        this.menu.addEventListener('keydown', (event) => {
            if (event.key === 'Escape') {
                event.stopPropagation();
                this.closeMenu();
                this.more.focus();
            }
        });
    }

    /** Whoever turns to the paper has done with the settings; the bar of what is chosen waits for the hand to lift. */
    private listenForPaper(): void {
        const { surface, view } = this.bench;
        surface.addEventListener('pointerdown', () => {
            this.isMoving = true;
            this.openOptions(null);
        });
        for (const kind of ['pointerup', 'pointercancel']) {
            surface.addEventListener(kind, () => {
                this.isMoving = false;
                // The tools hear of the lift after this.
                queueMicrotask(() => this.placeOptions());
            });
        }
        document.addEventListener('pointerdown', (event) => {
            const at = event.target as Element;
            // Beside a large page they stay while it is drawn on; on a small one they lie in the way.
            const stays = SMALL.matches ? '.tray-options, [data-tool]' : '.tray-options, [data-tool], .page-frame';
            if (this.opened !== null && at.closest(stays) === null) {
                this.openOptions(null);
            }
        });
        const before = view.moved;
        view.moved = () => {
            before();
            this.placeOptions();
        };
        document.addEventListener('keydown', (event) => {
            const isOwn = event.target === document.body || this.scope.contains(event.target as Node);
            const isThere = this.options.isOpen && this.root.offsetParent !== null;
            if (event.key === 'Escape' && isThere && this.opened !== null && isOwn && !isField(event.target)) {
                event.stopPropagation();
                const { opened } = this;
                this.openOptions(null);
                this.buttonOf(opened).focus();
            }
        });
    }

    private buttonOf(tool: ToolName): HTMLElement {
        return element(`[data-tool=${tool}]`, this.root);
    }

    /** Opens a tool's settings beside it, or shuts those that are open. */
    private openOptions(tool: ToolName | null): void {
        this.opened = tool;
        this.placeOptions();
    }

    private placeOptions(): void {
        const { settings, selection, view } = this.bench;
        const { options, opened } = this;
        const isBar = settings.tool === 'move' && !selection.isEmpty;
        const hasAny = [...options.root.children].some((group) => !(group as HTMLElement).hidden);
        if (!hasAny || (isBar ? this.isMoving : opened !== settings.tool)) {
            options.close();
        } else if (isBar) {
            options.openBeside(selection, view);
        } else {
            options.openAt(this.buttonOf(settings.tool));
        }
        for (const button of this.root.querySelectorAll<HTMLElement>('[data-tool]')) {
            button.setAttribute('aria-expanded', String(options.isOpen && button.dataset.tool === settings.tool));
        }
    }

    /** The tools that are in the tray now. One that was taken away is put down. */
    allow(tools: string[]): void {
        this.allowed = tools;
        this.bench.settings.straightens = tools.includes('shapes');
        this.bench.settings.typesets = tools.includes('maths') ? 'maths' : tools.includes('text') ? 'text' : 'nothing';
        this.bench.settings.movesPieces = tools.includes('move');
        for (const one of this.scope.querySelectorAll<HTMLElement>('[data-needs]')) {
            one.hidden = !tools.includes(present(one.dataset.needs));
        }
        if (!tools.includes(this.bench.settings.tool)) {
            const first = ['pen', 'move', 'text', ...tools].find((tool) => tools.includes(tool) && tool !== 'pages');
            this.bench.choose((first ?? 'pen') as ToolName);
        }
        this.further.arrange();
        this.show();
    }

    has(tool: string): boolean {
        return this.allowed.includes(tool);
    }

    choose(tool: ToolName): void {
        if (this.has(tool)) {
            this.bench.choose(tool);
            this.show();
        }
    }

    /** Puts a setting, and gives it to what is being typed or is chosen. */
    set(name: Choice, value: string): void {
        const worth = worthOf(name, value);
        Object.assign(this.bench.settings, chosen(name, worth));
        if (TYPED.has(name)) {
            this.bench.typing.set({ [name]: worth });
        }
        if (RESTYLES.has(name) && !this.bench.selection.isEmpty) {
            this.bench.selection.set(name, worth);
        }
        if (name === 'construct') {
            this.bench.choose('construct');
            // What is made next is chosen; the paper is free for it.
            this.openOptions(null);
            this.bench.surface.focus({ preventScroll: true });
        } else if (name === 'piece') {
            this.pieceForm.begin();
        } else if (name === 'shape') {
            this.bench.choose('shapes');
        } else if (name === 'stamp') {
            const { anchor } = element(`[data-stamp="${value}"]`, this.root).dataset;
            const [x = 50, y = 50] = (anchor ?? '').split(' ').map(Number);
            this.bench.settings.anchor = [x, y];
        }
        this.show();
    }

    /** Whether words are being typed with the tool for them. */
    private get isTyping(): boolean {
        return this.bench.typing.isOpen && this.bench.settings.tool === 'text';
    }

    /** Bold, italic, raised or lowered: of words that are being typed what is chosen in them, else all of them. */
    private mark(kind: MarkKind, isOn: boolean): void {
        if (this.bench.typing.isOpen) {
            this.bench.typing.mark(kind);
        } else {
            this.bench.selection.set(kind, isOn);
        }
        this.show();
    }

    private showMarks(look: Look): void {
        const { typing } = this.bench;
        for (const button of this.root.querySelectorAll<HTMLElement>('[data-mark]')) {
            const kind = button.dataset.mark as MarkKind;
            button.setAttribute('aria-pressed', String(typing.isOpen ? typing.isMarked(kind) : look[kind] === true));
        }
    }

    /** Brings what is seen up to date with what is so. */
    show(): void {
        const { settings, selection } = this.bench;
        // With Move the tray says how what is chosen looks, not how the next thing will.
        const look = settings.tool === 'move' ? selection.look() : {};
        const has = settings.tool === 'shapes' ? lookOf(sampleShape(settings)) : look;
        const values = current(settings, look);
        for (const button of this.root.querySelectorAll<HTMLElement>('[data-tool]')) {
            button.setAttribute('aria-pressed', String(button.dataset.tool === settings.tool));
        }
        for (const [name, value] of Object.entries(values)) {
            for (const button of this.root.querySelectorAll<HTMLElement>(`.tray-options [data-${name}]`)) {
                button.setAttribute('aria-pressed', String(button.dataset[name] === value));
            }
        }
        for (const group of this.root.querySelectorAll<HTMLElement>('[data-for]')) {
            const wanted = present(group.dataset.for).split(' ').includes(settings.tool);
            const { when, with: style, set } = group.dataset;
            group.hidden =
                !wanted ||
                (set !== undefined && set !== settings.stamps && set !== settings.subject) ||
                (when !== undefined && (when === 'chosen') === selection.isEmpty) ||
                ((settings.tool === 'move' || settings.tool === 'shapes') &&
                    style !== undefined &&
                    has[style] === undefined);
        }
        this.pieceForm.show();
        this.showLook(Object.keys(look).length > 0);
        present(this.free.closest('.swatch')).classList.toggle(
            'is-chosen',
            this.root.querySelector(`[data-colour="${values.colour}"]`) === null,
        );
        this.showMarks(look);
        this.fill.value = values.fill === 'own' ? values.colour : values.fill;
        const { hasStylus, fingersDraw } = this.bench;
        const wasThere = !element('.do-fingers.tool', this.root).hidden;
        for (const fingers of this.root.querySelectorAll<HTMLElement>('.do-fingers')) {
            fingers.hidden = fingers.matches('.tool') ? !hasStylus : !hasStylus && !isTouched();
            fingers.setAttribute('aria-pressed', String(fingersDraw));
        }
        if (wasThere !== hasStylus) {
            this.further.arrange();
        }
        element('[data-finish]', this.root).hidden = !this.bench.hasUnfinishedShape;
        for (const [name, isOn] of [
            ['.do-snap', settings.snap],
            ['.do-even', settings.even],
        ] as const) {
            this.root.querySelectorAll(name).forEach((one) => one.setAttribute('aria-pressed', String(isOn)));
        }
        this.root.dataset.using = settings.tool;
        this.options.root.dataset.using = settings.tool;
        for (const [tool, colour] of [
            ['pen', settings.colour],
            ['highlighter', settings.highlight],
        ] as const) {
            element(`[data-tool=${tool}]`, this.root).style.setProperty('--writes', colour);
        }
        this.further.show();
        this.showChosen();
        const { undo, redo } = this.bench.can();
        element<HTMLButtonElement>('.do-undo', this.root).disabled = !undo;
        element<HTMLButtonElement>('.do-redo', this.root).disabled = !redo;
        if (this.opened !== settings.tool) {
            this.opened = null;
        }
        this.placeOptions();
    }

    /** What unfolds in the bar of what is chosen. */
    private showLook(hasLook: boolean): void {
        const { root } = this.options;
        if (this.bench.selection.isEmpty && this.bench.settings.tool !== 'shapes') {
            delete root.dataset.shows;
        }
        for (const button of root.querySelectorAll<HTMLElement>('[data-reveal]')) {
            const what = present(button.dataset.reveal);
            button.hidden = what === 'style' && !hasLook;
            button.setAttribute('aria-expanded', String(what === root.dataset.shows));
        }
    }

    undo(): void {
        void this.bench.step('withdraw');
    }

    redo(): void {
        void this.bench.step('reinstate');
    }

    askForFile(): void {
        element<HTMLInputElement>('.bench-file', this.scope).click();
    }

    /** With the camera of a laptop in a window of ours; a phone brings its own. */
    async askForPhoto(): Promise<void> {
        if (!PhotoWindow.isThere) {
            element<HTMLInputElement>('.bench-camera', this.scope).click();
            return;
        }
        try {
            this.camera ??= new PhotoWindow(this.scope);
            const picture = await this.camera.take();
            if (picture !== null) {
                await this.takePage(picture);
            }
        } catch {
            this.bench.say(this.bench.words.no_camera);
        }
    }

    /** What a camera took is flattened first, as far as it is a page. */
    private async takePage(photo: Blob): Promise<void> {
        this.paper ??= new PaperWindow(this.scope);
        const picture = await this.paper.ask(photo).catch(() => photo);
        await this.bench.incoming.bringIn(picture);
    }

    /** What can be done to what is chosen, by name. */
    chosen(action: string): void {
        const { selection } = this.bench;
        const [only] = selection.ids;
        const actions: Record<string, () => void> = {
            duplicate: () => selection.duplicate(),
            copy: () => this.bench.incoming.copy(),
            paste: () => this.bench.incoming.paste(),
            front: () => selection.order('front'),
            forward: () => selection.order('forward'),
            backward: () => selection.order('backward'),
            back: () => selection.order('back'),
            group: () => selection.group(),
            ungroup: () => selection.ungroup(),
            delete: () => selection.remove(),
            edit: () => only !== undefined && this.bench.open(only),
            straighten: () => only !== undefined && straighten(this.bench, only),
            type: () => void this.bench.setInType(),
            lock: () => selection.lock(),
            pieces: () => this.pieces(),
        };
        present(actions[action])();
        this.show();
    }

    private showChosen(): void {
        const { selection } = this.bench;
        const own = selection.own.length;
        const [first] = [...selection.placed()];
        const editable =
            selection.ids.size === 1 &&
            own === 1 &&
            ['text', 'note', 'maths', 'manipulative'].includes(first?.[1].object.type ?? '');
        const isStroke =
            selection.ids.size === 1 &&
            own === 1 &&
            first?.[1].object.type === 'stroke' &&
            this.bench.settings.straightens;
        const can: Record<string, boolean> = {
            paste: true,
            group: selection.ids.size > 1,
            ungroup: selection.isGrouped,
            delete: own > 0,
            edit: editable,
        };
        for (const button of this.root.querySelectorAll<HTMLButtonElement>('[data-chosen]')) {
            const does = present(button.dataset.chosen);
            button.disabled = !(can[does] ?? !selection.isEmpty);
            button.hidden =
                (does === 'edit' && !editable) ||
                (does === 'straighten' && !isStroke) ||
                (does === 'type' && this.bench.readable.length === 0);
            if (does === 'lock') {
                button.setAttribute('aria-pressed', String(selection.isLocked));
            }
        }
    }

    private pressed(event: MouseEvent): void {
        const button = (event.target as Element).closest<HTMLElement>('button, a');
        if (button === null) {
            return;
        }
        const { dataset } = button;
        const choice = CHOICES.find((name) => dataset[name] !== undefined);
        if (dataset.tool !== undefined) {
            this.toolPressed(dataset.tool as ToolName, event.detail === 0);
        } else if (choice !== undefined) {
            this.set(choice, present(dataset[choice]));
            // A keyboard's press has no place to tap next: the shape or stamp appears where it can be moved from.
            if (event.detail === 0 && (choice === 'shape' || choice === 'stamp')) {
                this.bench.putting.tapMiddle();
            }
        } else if (dataset.mark !== undefined) {
            this.mark(dataset.mark as MarkKind, button.getAttribute('aria-pressed') !== 'true');
        } else if (dataset.chosen !== undefined) {
            this.chosen(dataset.chosen);
        } else if (button.matches('.do-undo')) {
            this.undo();
        } else if (button.matches('.do-redo')) {
            this.redo();
        } else if (button === this.more) {
            if (this.menu.hidden) {
                this.openMenu();
            } else {
                this.closeMenu();
            }
        } else if (dataset.file !== undefined || dataset.camera !== undefined) {
            this.closeMenu();
            if (dataset.camera === undefined) {
                this.askForFile();
            } else {
                void this.askForPhoto();
            }
        } else {
            this.otherPressed(button);
        }
    }

    private otherPressed(button: HTMLElement): void {
        const { settings } = this.bench;
        if (button.dataset.reveal !== undefined) {
            const { dataset } = this.options.root;
            if (dataset.shows === button.dataset.reveal) {
                delete dataset.shows;
            } else {
                dataset.shows = button.dataset.reveal;
            }
        } else if (button.dataset.finish !== undefined) {
            this.bench.finishShape();
        } else if (button.matches('.do-fingers')) {
            this.bench.letFingersDraw(!this.bench.fingersDraw);
        } else if (button.matches('.do-even')) {
            settings.even = !settings.even;
        } else if (button.matches('.do-snap')) {
            settings.snap = !settings.snap;
        } else if (button.dataset.empty !== undefined) {
            this.closeMenu();
            this.bench.empty(button.dataset.empty as 'ink' | 'all');
        } else if (button.dataset.keys !== undefined) {
            this.closeMenu();
            (this.scope.querySelector('.keys-window') as HTMLDialogElement).showModal();
        } else if (button.matches('.list-objects')) {
            this.closeMenu();
            this.listObjects();
        } else if (button.dataset.format !== undefined) {
            this.closeMenu();
        }
        this.show();
    }

    /** With a keyboard's press there is no place to tap: what the tool makes begins in the middle. */
    private toolPressed(tool: ToolName, byKey: boolean): void {
        const isShut = this.opened !== tool;
        if (tool !== 'text' || !this.isTyping) {
            this.choose(tool);
        }
        this.openOptions(isShut ? tool : null);
        if (tool === 'picture' && !byKey) {
            return;
        }
        if (byKey && ['text', 'maths', 'note'].includes(tool)) {
            this.bench.putting.tapMiddle();
        }
    }

    private brought(event: Event): void {
        const field = event.target as HTMLInputElement;
        const file = field.files?.[0];
        field.value = '';
        if (file !== undefined) {
            void (field.matches('.bench-camera') ? this.takePage(file) : this.bench.incoming.bringIn(file));
        }
    }

    private openMenu(): void {
        for (const link of this.menu.querySelectorAll<HTMLAnchorElement>('[data-format]')) {
            const { address, format } = link.dataset;
            const page = this.bench.pages.indexOf(this.bench.view.page) + 1;
            link.href = `${present(address).replace('CANVAS', this.bench.canvas).replace('FORMAT', present(format))}?page=${page}`;
        }
        this.menu.hidden = false;
        this.more.setAttribute('aria-expanded', 'true');
        this.menu.querySelector<HTMLElement>('.menu-item')?.focus();
    }

    closeMenu(): void {
        this.menu.hidden = true;
        this.more.setAttribute('aria-expanded', 'false');
    }
}

/** Whether this device is worked with fingers. */
function isTouched(): boolean {
    return matchMedia('(pointer: coarse)').matches;
}
