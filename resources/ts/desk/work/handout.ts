import { fillSettings, showSettings } from '../../bench/backdropform';
import type { Backdrop } from '../../canvas/model/objects';
import { post, reasonOf, sendForm } from '../../live/http';
import { element, fill } from '../../page';
import { wordFor } from '../../protocol/wordfor';
import type { Desk } from '../shell/desk';
import type { Looking } from '../watch/looking';
import type { Lead } from './lead';
import { HandOutPreview } from './preview';
import { present } from '../../present';

interface Told {
    canvases: number;
    said: string;
    undo: { address: string; body: unknown };
}

/** The hand-out panel: what, how, to whom; in numbers what will happen; and then what did. */
export class HandOutForm {
    private readonly form = element<HTMLFormElement>('#handout-form');
    private readonly words = element<HTMLTextAreaElement>('#handout-words');
    private drafted = false;
    /** How often it was opened, or something in it changed. */
    private touched = 0;
    private busy = false;
    /** What was uploaded for this file and page of it; asked for once. */
    private uploaded: { of: string; asset: Promise<{ asset: string }> } | null = null;
    private readonly preview = new HandOutPreview(
        () => `${this.giveTo}/preview`,
        () => this.forPreview(),
    );

    constructor(
        private readonly desk: Desk,
        private readonly lead: Lead,
        private readonly looking: Looking,
    ) {
        const open = (): void => this.open();
        desk.actions.add({ 'hand-out': open, 'hand-out-one': open }, { 'hand-out': open });
        this.form.addEventListener('input', (event) => {
            this.touched++;
            this.drafted ||= (event.target as Element).closest('[data-for="words"]') !== null;
            this.sayEffect();
            this.preview.refresh();
        });
        this.listenToFiles();
        // In numbers, as many as there are by now.
        desk.bus.on('written', () => this.sayEffect());
        this.form.addEventListener('submit', (event) => {
            event.preventDefault();
            void this.give();
        });
    }

    /** To those who are chosen, where some are; otherwise as it was left. */
    private open(): void {
        const { closeUp, chosen } = this.looking;
        this.touched++;
        this.desk.drawer.open('handout', false);
        this.show(closeUp.isOpen || !chosen.isEmpty ? this.looking.meant.map(({ seat }) => seat.id) : []);
    }

    private done(sentence: string, undo?: Told['undo']): void {
        const { bands, commands, say, words } = this.desk;
        if (sentence !== '') {
            say(sentence, undo && { word: words.undo, press: () => void commands.run(undo.address, undo.body) });
        }
        bands.refresh();
    }

    /** A draft that was not handed out yet is still there; otherwise the present prompt is. */
    private show(seats: string[] = []): void {
        if (!this.drafted) {
            const { words, backdrop } = element('#now').dataset;
            this.words.value = present(words);
            this.fillBackdrop(JSON.parse(present(backdrop)) as Backdrop);
            this.choose('place', 'under');
        }
        if (seats.length > 0 || element('#now').dataset.mayAll === '0') {
            this.choose('what', 'prompt');
            this.choose('to', 'some');
            for (const box of this.form.querySelectorAll<HTMLInputElement>('[name="seats[]"]')) {
                box.checked = seats.includes(box.value);
            }
        }
        // What empties canvases is chosen anew each time.
        this.choose('mode', 'backdrop');
        this.say('');
        this.sayEffect();
        this.preview.refresh();
        if (this.value('what') === 'words') {
            this.words.focus();
        } else {
            element('input[name=what]:checked', this.form).focus();
        }
    }

    private say(problem: string): void {
        element('#handout-problem').textContent = problem;
    }

    private async give(): Promise<void> {
        if (this.busy) {
            return;
        }
        this.busy = true;
        const { touched } = this;
        try {
            // Whoever presses “Undo” in this moment means this, and not what was done before it.
            this.desk.say('');
            await (this.value('what') === 'words' ? this.giveWords() : this.giveWork());
            // What was opened or written since stays.
            if (touched === this.touched && this.desk.drawer.panel === 'handout') {
                this.desk.drawer.close();
            }
        } catch (problem) {
            this.say(reasonOf(problem, this.desk.words));
        } finally {
            this.busy = false;
        }
    }

    private async giveWords(): Promise<void> {
        const { value } = this.words;
        const told = await sendForm<Partial<Told> | undefined>(this.form.action, new FormData(this.form));
        this.drafted &&= value !== this.words.value;
        this.done(told?.said ?? '', told?.undo);
    }

    private async giveWork(): Promise<void> {
        const what = this.value('what');
        const body: Record<string, unknown> = { what, mode: this.mode, alt: this.value('alt'), seats: this.seats };
        if (what === 'lead') {
            // What was drawn a moment ago goes out too.
            await this.lead.deliver();
            body.pages = this.pages;
        } else if (what === 'picture') {
            const file = element<HTMLInputElement>('#give-picture').files?.[0];
            if (file === undefined) {
                throw new Error(this.desk.words.choose_file);
            }
            body.asset = await this.upload(file, this.value('give_pdf_page'));
        }
        const told = await post<Told>(this.giveTo, body);
        this.reset();
        this.done(told.said, told.undo);
    }

    /** Where work is given to. */
    private get giveTo(): string {
        return present(this.form.dataset.give).replace('PROMPT', this.desk.store.now.looking);
    }

    /** Which of the lead canvas's pages. */
    private get pages(): string {
        const pages: Record<string, string> = { this: String(this.lead.page), all: 'all', some: this.value('pages') };
        return pages[this.value('which')] ?? 'all';
    }

    private async upload(file: File, page: string): Promise<string> {
        const of = [file.name, file.size, file.lastModified, page].join(' ');
        if (this.uploaded?.of !== of) {
            const picture = new FormData();
            picture.set('picture', file);
            picture.set('pdf_page', page);
            this.uploaded = { of, asset: sendForm<{ asset: string }>(present(this.form.dataset.picture), picture) };
        }
        try {
            return (await this.uploaded.asset).asset;
        } catch (problem) {
            this.uploaded = null;
            throw problem;
        }
    }

    private async forPreview(): Promise<FormData | null> {
        const form = new FormData(this.form);
        const what = this.value('what');
        form.delete('picture');
        if (what === 'lead') {
            await this.lead.deliver();
            form.set('pages', this.pages);
        }
        const isPicture = what === 'picture' || this.value('backdrop') === 'picture';
        if (isPicture && (what === 'picture' || what === 'words')) {
            const field = what === 'picture' ? '#give-picture' : '[name=picture]';
            const file = element<HTMLInputElement>(field, this.form).files?.[0];
            if (file === undefined) {
                return null;
            }
            form.set('what', 'picture');
            form.set('asset', await this.upload(file, this.value(what === 'picture' ? 'give_pdf_page' : 'pdf_page')));
        }
        form.set('mode', 'backdrop');
        form.delete('seats[]');
        return form;
    }

    /** A picture that is pasted or dropped is the picture to hand out. */
    private listenToFiles(): void {
        const panel = element('#handout');
        const take = (files: FileList | undefined): boolean => {
            const file = [...(files ?? [])].find(({ type }) => /^image\/|^application\/pdf$/.test(type));
            if (file === undefined) {
                return false;
            }
            const carried = new DataTransfer();
            carried.items.add(file);
            element<HTMLInputElement>('#give-picture').files = carried.files;
            this.choose('what', 'picture');
            this.sayEffect();
            this.preview.refresh();
            return true;
        };
        document.addEventListener('paste', (event) => {
            if (this.desk.drawer.panel === 'handout' && take(event.clipboardData?.files)) {
                event.preventDefault();
            }
        });
        panel.addEventListener('dragover', (event) => {
            if (event.dataTransfer?.types.includes('Files') === true) {
                event.preventDefault();
                panel.classList.add('is-dropped-on');
            }
        });
        panel.addEventListener('dragleave', () => panel.classList.remove('is-dropped-on'));
        panel.addEventListener('drop', (event) => {
            panel.classList.remove('is-dropped-on');
            if (take(event.dataTransfer?.files)) {
                event.preventDefault();
            }
        });
    }

    private value(name: string): string {
        return String(new FormData(this.form).get(name) ?? '');
    }

    /** After something was handed out, nothing dangerous stays chosen. */
    private reset(): void {
        this.choose('mode', 'backdrop');
        this.sayEffect();
    }

    private get mode(): string {
        const mode = this.value('mode');
        return mode === 'pieces' && this.value('what') !== 'lead' ? 'backdrop' : mode;
    }

    /** Null for everybody. */
    private get seats(): string[] | null {
        const to = this.form.querySelector<HTMLInputElement>('[name=to]:checked');
        if (to === null || to.value === 'all') {
            return null;
        }
        return to.value === 'group'
            ? present(to.dataset.seats).split(' ')
            : new FormData(this.form).getAll('seats[]').map(String);
    }

    private fillBackdrop({ kind, ...settings }: Backdrop): void {
        this.choose('backdrop', kind);
        fillSettings(this.form, { kind, ...settings });
    }

    private choose(name: string, value: string): void {
        element<HTMLInputElement>(`input[name=${name}][value=${value}]`, this.form).checked = true;
    }

    /** In numbers what will happen, before it does. */
    private sayEffect(): void {
        const { words } = this.desk;
        const what = this.value('what');
        for (const part of this.form.querySelectorAll<HTMLElement>('[data-for]')) {
            part.hidden = !present(part.dataset.for).split(' ').includes(what);
        }
        for (const part of this.form.querySelectorAll<HTMLElement>('[data-for-mode]')) {
            part.hidden = part.dataset.forMode !== this.mode;
        }
        showSettings(this.form, this.value('backdrop'));
        const { current, looking } = this.desk.store.now;
        const rail = document.querySelector<HTMLElement>(
            `#rail [data-prompt="${what === 'words' ? current : looking}"]`,
        );
        element('#handout-prompt').textContent =
            what === 'words' && this.value('place') === 'next'
                ? words.handout_new
                : fill(words.handout_at, {
                      n: rail?.querySelector('.rail-n')?.textContent ?? '',
                      words: rail?.querySelector('.rail-words')?.textContent ?? '',
                  });
        const all = this.form.querySelectorAll('[name="seats[]"]').length;
        const { seats } = this;
        element('.recipient-list', this.form).hidden =
            this.form.querySelector<HTMLInputElement>('[name=to]:checked')?.value !== 'some';
        const n = what === 'words' || seats === null ? all : seats.length;
        const effect =
            what === 'words'
                ? this.value('place') === 'next'
                    ? words.handout_next
                    : words.handout
                : wordFor(words, `give_${this.mode}`);
        element('#handout-effect').textContent =
            fill(effect, { n }) + (what !== 'words' && seats === null ? ` ${words.give_late}` : '');
        const empties = what !== 'words' && this.mode === 'fresh';
        const give = what === 'words' || seats === null ? words.give_all : fill(words.give_some, { n });
        element('#handout-do').textContent = empties ? fill(words.give_fresh_do, { n }) : give;
        const button = present(element('#handout-do').closest('button'));
        button.classList.toggle('btn-end', empties);
        button.classList.toggle('btn-go', !empties);
    }
}
