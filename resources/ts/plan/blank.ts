import type { Question } from './model';

/** A new question of a kind, with an id that none of those there has. */
export function blankQuestion(kind: Question['kind'], there: readonly Question[]): Question {
    const taken = new Set(there.map(({ id }) => id));
    let n = there.length + 1;
    while (taken.has(`q${n}`)) {
        n++;
    }
    return { id: `q${n}`, kind, words: '', spot: null, ...own(kind) };
}

function own(kind: Question['kind']): Partial<Question> {
    switch (kind) {
        case 'choice':
        case 'choices':
            return {
                options: [
                    { id: 'c1', words: '' },
                    { id: 'c2', words: '' },
                ],
                right: [],
                shuffle: false,
            };
        case 'marked':
            return { options: [], right: [], several: false };
        case 'scale':
            return { from: 1, to: 5, low: '', high: '' };
        case 'text':
            return { right: [] };
        case 'graph':
        case 'tick':
            return { right: '' };
        case 'state':
            return { piece: 'fraction_bar', fact: 'shaded', right: '' };
        case 'drawing':
        case 'space':
            return {};
        default:
            return {
                right: '',
                form: { kind: 'any', digits: 0 },
                ...(kind === 'number' && { tolerance: { kind: 'none', most: '' }, own_unit: false }),
            };
    }
}
