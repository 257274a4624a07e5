import htmx from 'htmx.org';
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

/** Asks again for what stands in a part of the page. Resolves when it is written. */
export function freshen(address: string, part: string): Promise<void> {
    return htmx.ajax('get', address, { source: part, target: part, swap: 'morph' as 'innerHTML' });
}
