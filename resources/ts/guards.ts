import { fill } from './page';
import { present } from './present';

/**
 * What a browser does by itself and nobody wants: a file that misses its place makes it leave the page, and a paste
 * that is too long for a field is cut without a word.
 */
export function guardThePage(): void {
    for (const kind of ['dragover', 'drop']) {
        // The last to hear of it, and only of what nobody has taken.
        window.addEventListener(kind, (event) => {
            const onField =
                event.target instanceof Element && event.target.closest('input, textarea, [contenteditable]') !== null;
            if ((event as DragEvent).dataTransfer?.types.includes('Files') === true && !onField) {
                event.preventDefault();
            }
        });
    }
    document.addEventListener('paste', (event) => {
        const field = event.target;
        if (!(field instanceof HTMLInputElement || field instanceof HTMLTextAreaElement) || field.maxLength < 0) {
            return;
        }
        const pasted = event.clipboardData?.getData('text/plain') ?? '';
        const kept = field.value.length - ((field.selectionEnd ?? 0) - (field.selectionStart ?? 0));
        if (kept + pasted.length > field.maxLength) {
            const said = document.createElement('p');
            said.className = 'problem';
            said.role = 'alert';
            said.textContent = fill(present(document.body.dataset.pasteCut), { n: field.maxLength });
            field.after(said);
            // The paste itself is an input.
            window.setTimeout(() =>
                ['input', 'blur'].forEach((kind) => field.addEventListener(kind, () => said.remove(), { once: true })),
            );
        }
    });
}
