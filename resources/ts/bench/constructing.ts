import { KINDS, type Construct, type ElementKind, type Plot } from '../canvas/model/construct/elements';
import type { KindWords } from '../canvas/model/construct/inwords';
import type { Workbench } from '../canvas/workbench';
import { post, reasonOf } from '../live/http';
import { clearSent, element } from '../page';
import { present } from '../present';
import type { BenchWords } from '../protocol/words';

/** What each kind is called. */
function kindWords(words: BenchWords): KindWords {
    return Object.fromEntries((Object.keys(KINDS) as ElementKind[]).map((kind) => [kind, words[`element_${kind}`]]));
}

/** What the server works out: an equation, an inequality, a point that runs, a tangent at a place, an area. */
const PLOTTED = /[=<>≤≥]|^\s*[fgh]\(x\)|^\s*\(|^\s*tangent\b.*\bat\b|^\s*area\b.*\bfrom\b/u;

/** A construction is written in words, too. */
export function listenToWords(bench: Workbench, root: HTMLElement, address: string): void {
    const form = root.querySelector<HTMLFormElement>('.construct-words');
    // A second press while a graph is worked out makes no second one.
    let underway = '';
    form?.addEventListener('submit', (event) => {
        event.preventDefault();
        const field = element<HTMLInputElement>('input', form);
        if (field.value !== '' && field.value === underway) {
            return;
        }
        if (PLOTTED.test(field.value)) {
            underway = field.value;
            void plot(bench, field, address).finally(() => (underway = ''));
        } else if (
            bench.constructs.pointsInWords(field.value) ||
            bench.constructs.inWords(field.value, kindWords(bench.words))
        ) {
            field.value = '';
        } else {
            bench.say(bench.words.construct_words);
        }
    });
}

/** The number beside a kind: corners, degrees, times, a radius. One that does not fit becomes the nearest that does. */
export function listenToNumbers(bench: Workbench, root: HTMLElement): void {
    for (const field of root.querySelectorAll<HTMLInputElement>('.construct-number input')) {
        const { settings } = bench;
        const take = (): void => {
            settings.constructNumbers = { ...settings.constructNumbers, [field.name]: field.valueAsNumber };
        };
        take();
        field.addEventListener('change', () => {
            const typed = Number.isNaN(field.valueAsNumber) ? Number(field.defaultValue) : field.valueAsNumber;
            const whole = field.step === '1' ? Math.round(typed) : typed;
            field.value = String(Math.min(Math.max(whole, Number(field.min)), Number(field.max)));
            take();
        });
        field.addEventListener('keydown', ({ key }) => {
            if (key === 'Enter') {
                field.blur();
                element('button', present(field.parentElement)).click();
            }
        });
    }
}

/** A graph is worked out by the server: "y = 2x − 1". What was typed stays until it is there. */
async function plot(bench: Workbench, field: HTMLInputElement, address: string): Promise<void> {
    const { plotting } = bench.constructs;
    if (plotting === null) {
        bench.say(bench.words.construct_axes);
        return;
    }
    try {
        const line = field.value;
        const { page, log } = bench.view;
        const graph = await plotted(address, line, plotting);
        // Turned to another page or prompt since: what was typed stays, and nothing lands there.
        if (bench.view.page !== page || bench.view.log !== log) {
            return;
        }
        bench.constructs.plot(graph);
        clearSent(field, line);
    } catch (problem) {
        bench.say(reasonOf(problem, bench.words));
    }
}

/** A graph as the server works it out. */
export async function plotted(
    address: string,
    line: string,
    plotting: NonNullable<Workbench['constructs']['plotting']>,
): Promise<Plot> {
    const { element: graph } = await post<{ element: Plot }>(`${address}/plot`, { line, ...plotting });
    return graph;
}

/** So many parts are read out. */
const MOST = 20;

/** What it is made of, for those who do not see it: "Point A, Point B, Segment A B". */
export function partsOf({ elements }: Construct, words: BenchWords): string {
    const named = new Map(elements.map(({ id, label }) => [id, label ?? '']));
    return elements
        .slice(0, MOST)
        .map(({ kind, of = [], label, source }) =>
            [words[`element_${kind}`], label ?? source ?? of.map((id) => named.get(id)).join(' ')].join(' ').trim(),
        )
        .join(', ');
}
