/** A sentence in English with names in it (":n"), and what stands for them. */
export interface Sentence {
    words: string;
    with: Record<string, string | number>;
}

export const Said = {
    of: (words: string, values: Sentence['with'] = {}): Sentence => ({ words, with: values }),
};
