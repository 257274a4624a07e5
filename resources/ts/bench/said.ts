import type { Sentence } from '../canvas/model/manipulative/said';
import { fill } from '../page';

let told: Record<string, string> = {};

/** The sentences of manipulatives in another language, by what they are in English. */
export function learnSentences(sentences: Record<string, string>): void {
    told = sentences;
}

/** As it is said in the page's language. */
export function inLanguage(words: string): string {
    return told[words] ?? words;
}

export function sentence({ words, with: values }: Sentence): string {
    return fill(inLanguage(words), values);
}
