import { present } from '../../present';

/** What is being typed here outlives the panel's freshening: the open folds, the words, and where the hand is. */
export function typedWords(): () => void {
    const open = [...document.querySelectorAll<HTMLDetailsElement>('#ask-body details[id][open]')].map(({ id }) => id);
    const field = (): HTMLInputElement | null => document.querySelector('.ask-add-words input');
    const typed = field()?.value ?? '';
    const isFocused = field() !== null && field() === document.activeElement;
    return () => {
        for (const id of open) {
            document.querySelector<HTMLDetailsElement>(`#${id}`)?.setAttribute('open', '');
        }
        if (field() !== null && typed !== '') {
            present(field()).value = typed;
        }
        if (isFocused) {
            field()?.focus();
        }
    };
}
