import { element } from '../page';

/**
 * The whole prompt with its questions: a sheet that hangs from the strip over the paper. It is open until the first
 * stroke; then the strip keeps one line of it, and the sheet is pulled down when it is wanted.
 */
export class PromptSheet {
    private readonly strip = element('#strip');
    private readonly sheet = element('#prompt-sheet');
    private readonly unfold = element('#unfold');

    /** @param surface  the paper: whoever turns to it has read */
    constructor(private readonly surface: HTMLElement) {
        this.unfold.addEventListener('click', () => this.open(this.sheet.hidden));
        element('#fold').addEventListener('click', () => this.backToPaper());
        for (const part of [this.sheet, this.strip]) {
            part.addEventListener('keydown', (event) => {
                if (event.key === 'Escape' && !this.sheet.hidden) {
                    this.backToPaper();
                }
            });
        }
        surface.addEventListener('pointerdown', () => this.open(false));
    }

    /** Another prompt, or other words: there is more to read than the strip shows, or not. */
    take(hasWords: boolean, hasQuestions: boolean, isBegun: boolean): void {
        this.strip.classList.toggle('is-wordless', !hasWords && !hasQuestions);
        element('#prompt-words').hidden = !hasWords;
        this.open(!isBegun && (hasQuestions || (hasWords && this.isCut)));
    }

    open(isOpen: boolean): void {
        this.sheet.hidden = !isOpen;
        this.unfold.setAttribute('aria-expanded', String(isOpen));
    }

    /** Whether the strip cannot show all of the words. */
    private get isCut(): boolean {
        const line = element('#prompt-line');
        return line.scrollWidth > line.clientWidth || (line.textContent?.includes('\n') ?? false);
    }

    private backToPaper(): void {
        this.open(false);
        this.surface.focus({ preventScroll: true });
    }
}
