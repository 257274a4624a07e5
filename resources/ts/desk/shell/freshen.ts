import htmx from 'htmx.org';
import { element } from '../../page';
import { morph } from './morph';

htmx.defineExtension('morph', {
    isInlineSwap: (style) => style === ('morph' as string),
    handleSwap: (style, target, fragment) => {
        if (style !== ('morph' as string)) {
            return false;
        }
        morph(target as Element, [...(fragment as DocumentFragment).children], 'innerHTML');
        return [target];
    },
});

/** What was asked for last in each part: what was on its way before that is about something else. */
const wanted = new Map<string, string>();

document.addEventListener('htmx:beforeSwap', (event) => {
    const { target, detail } = event as CustomEvent<{ shouldSwap: boolean; requestConfig: { path: string } }>;
    const last = wanted.get(`#${(target as Element).id}`);
    detail.shouldSwap &&= last === undefined || last === detail.requestConfig.path;
});

/** Empties a part of the page: what was on its way to it does not come any more. */
export function clear(part: string): void {
    wanted.set(part, '');
    element(part).replaceChildren();
}

/** Asks again for what stands in a part of the page. Resolves when it is written. */
export function freshen(address: string, part: string): Promise<void> {
    wanted.set(part, address);
    return htmx.ajax('get', address, { source: part, target: part, swap: 'morph' as 'innerHTML' });
}
