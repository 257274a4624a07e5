import { present } from './present';

/** What the server wrote into the page for its script. */
export function pageData<T>(): T {
    return JSON.parse(present(element('[data-page]').dataset.page)) as T;
}

export function element<E extends HTMLElement = HTMLElement>(selector: string, within: ParentNode = document): E {
    const found = within.querySelector<E>(selector);
    if (found === null) {
        throw new Error(`The page has no ${selector}.`);
    }
    return found;
}

/** What was sent goes from its field; what was written there since stays. */
export function clearSent(field: HTMLInputElement | HTMLTextAreaElement, sent: string): void {
    if (field.value === sent) {
        field.value = '';
    }
}

/**
 * A sentence with its `:name` places filled in, as the server's translations write them. One for a single thing and
 * one for more stand with a bar between, and `n` says how many there are.
 */
export function fill(sentence: string, values: Record<string, string | number>): string {
    const [one = '', more] = sentence.split('|');
    return (more === undefined || Number(values.n) === 1 ? one : more).replace(/:([a-z]+)/g, (whole, name: string) =>
        String(values[name] ?? whole),
    );
}
