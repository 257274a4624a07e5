import { element, fill } from '../page';
import type { PlanWords } from '../protocol/words';

/** A field was changed on another page too: shows both. Resolves to whether what was typed here is to stay. */
export function askWhich(words: PlanWords, field: string, theirs: unknown, mine: unknown): Promise<boolean> {
    const written = (value: unknown): string => (typeof value === 'string' ? value : JSON.stringify(value, null, 1));
    const dialog = element<HTMLDialogElement>('#conflict-window');
    element('#conflict-words').textContent = fill(words.conflict, { field });
    element('#conflict-theirs').textContent = written(theirs);
    element('#conflict-mine').textContent = written(mine);
    dialog.returnValue = '';
    dialog.showModal();
    return new Promise((resolve) =>
        dialog.addEventListener('close', () => resolve(dialog.returnValue === 'mine'), { once: true }),
    );
}
