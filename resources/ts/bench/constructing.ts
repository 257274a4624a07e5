import { KINDS, type Construct, type ElementKind } from '../canvas/model/construct/elements';
import type { KindWords } from '../canvas/model/construct/inwords';
import type { Workbench } from '../canvas/workbench';
import { element } from '../page';
import type { BenchWords } from '../protocol/words';

/** What each kind is called. */
function kindWords(words: BenchWords): KindWords {
    return Object.fromEntries((Object.keys(KINDS) as ElementKind[]).map((kind) => [kind, words[`element_${kind}`]]));
}

/** A construction is written in words, too. */
export function listenToWords(bench: Workbench, root: HTMLElement): void {
    const form = root.querySelector<HTMLFormElement>('.construct-words');
    form?.addEventListener('submit', (event) => {
        event.preventDefault();
        const field = element<HTMLInputElement>('input', form);
        if (bench.constructs.inWords(field.value, kindWords(bench.words))) {
            field.value = '';
        } else {
            bench.say(bench.words.construct_words);
        }
    });
}

/** So many parts are read out. */
const MOST = 20;

/** What it is made of, for those who do not see it: "Point A, Point B, Segment A B". */
export function partsOf({ elements }: Construct, words: BenchWords): string {
    const named = new Map(elements.map(({ id, label }) => [id, label ?? '']));
    return elements
        .slice(0, MOST)
        .map(({ kind, of = [], label }) =>
            [words[`element_${kind}`], label ?? of.map((id) => named.get(id)).join(' ')].join(' ').trim(),
        )
        .join(', ');
}
