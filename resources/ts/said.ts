import type { Sentence } from './canvas/model/manipulative/said';
import { fill } from './page';

let told: Record<string, string> | null = null;

/** As it is said in the page's language: the tray tells what is not English. */
export function inLanguage(words: string): string {
    told ??= JSON.parse(document.querySelector<HTMLElement>('[data-sentences]')?.dataset.sentences ?? '{}') as Record<
        string,
        string
    >;
    return told[words] ?? words;
}

/** What a manipulative says, with what belongs into it. */
export function sentence({ words, with: values }: Sentence): string {
    return fill(inLanguage(words), values);
}
