import type { Element } from '../canvas/model/construct/elements';
import type { Workbench } from '../canvas/workbench';
import { reasonOf } from '../live/http';
import { fill } from '../page';
import { plotted } from './constructing';

/** Letters are tried out between these. */
const MOST = 10;
const STEP = 0.1;

/** Sliders for the letters of graphs: "y = ax + b, a = 2, b = 1". The graph follows while one is moved. */
export class Sliders {
    private shown = '';
    private isAsking = false;
    /** What was asked for while an answer was on its way. */
    private next: (() => void) | null = null;

    constructor(
        private readonly bench: Workbench,
        private readonly root: HTMLElement,
        private readonly address: string,
    ) {}

    /** Brings them up to the graphs that are there. A slider that is held stays. */
    show(): void {
        const graphs = this.bench.settings.tool === 'construct' ? this.bench.constructs.lettered : [];
        const now = graphs.map(({ id, element }) => `${id} ${element.id} ${line(element)}`).join('\n');
        const isHeld = this.root.contains(document.activeElement) && this.root.matches(':active');
        if (now === this.shown || isHeld) {
            return;
        }
        this.shown = now;
        this.root.replaceChildren(...graphs.flatMap(({ id, element }) => this.forGraph(id, element)));
    }

    private forGraph(id: string, element: Element): HTMLElement[] {
        const letters = lettersOf(element);
        return Object.entries(letters).map(([letter, value]) => {
            const label = Object.assign(document.createElement('label'), { className: 'construct-slider' });
            const words = document.createElement('span');
            const field = Object.assign(document.createElement('input'), {
                type: 'range',
                min: String(Math.min(-MOST, value)),
                max: String(Math.max(MOST, value)),
                step: String(STEP),
                className: 'form-range',
            });
            field.value = String(value);
            const say = (): void => {
                words.textContent = `${letter} = ${String(field.valueAsNumber).replace('-', '−')}`;
                field.setAttribute('aria-label', fill(this.bench.words.slider, { letter, line: line(element) }));
            };
            say();
            field.addEventListener('input', () => {
                say();
                letters[letter] = field.valueAsNumber;
                this.ask(id, element, { ...letters }, false);
            });
            field.addEventListener('change', () => {
                letters[letter] = field.valueAsNumber;
                this.ask(id, element, { ...letters }, true);
            });
            label.append(words, field);
            return label;
        });
    }

    /** One question at a time; of those that come meanwhile the last. */
    private ask(id: string, element: Element, letters: Record<string, number>, isKept: boolean): void {
        if (this.isAsking) {
            this.next = () => this.ask(id, element, letters, isKept);
            return;
        }
        const { plotting } = this.bench.constructs;
        if (plotting === null) {
            return;
        }
        const given = Object.entries(letters).map(([letter, value]) => `${letter} = ${value}`);
        this.isAsking = true;
        plotted(this.address, `${line(element)} with ${given.join(', ')}`, plotting)
            .then((graph) => this.bench.constructs.replot(id, element.id, graph, isKept))
            .catch((problem: unknown) => this.bench.say(reasonOf(problem, this.bench.words)))
            .finally(() => {
                this.isAsking = false;
                const { next } = this;
                this.next = null;
                next?.();
            });
    }
}

/** What was typed, without the numbers of its letters. */
function line({ source = '' }: Element): string {
    return source.replace(/(, [a-z] = −?[\d.]+)+$/, '');
}

function lettersOf({ source = '' }: Element): Record<string, number> {
    const found = source.slice(line({ source } as Element).length).matchAll(/, ([a-z]) = (−?[\d.]+)/g);
    return Object.fromEntries(
        [...found].map(([, letter = '', value = '']): [string, number] => [letter, Number(value.replace('−', '-'))]),
    );
}
