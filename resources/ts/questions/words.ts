import { present } from '../present';

/** As core/src/Prompt/Values/Formulas.php finds them. */
const FORMULA = /((?<!\\)\$(?=[^\s$])(?:\\.|[^$\\\n])+?(?<=\S)\$(?!\d))/u;

/** The text in turns: words, and formulas with their dollar signs. */
export function formulaParts(text: string): string[] {
    return text.split(FORMULA);
}

/** Puts words in a place, formulas between dollar signs set properly as soon as the setting of formulas is here. */
export function showWords(place: HTMLElement, text: string): void {
    if (place.dataset.words === text) {
        return;
    }
    place.dataset.words = text;
    place.replaceChildren();
    formulaParts(text).forEach((part, i) => {
        if (i % 2 === 0) {
            place.append(part.replaceAll('\\$', '$'));
            return;
        }
        const source = part.slice(1, -1);
        const formula = Object.assign(document.createElement('span'), { className: 'formula', textContent: source });
        place.append(formula);
        void set(formula, source);
    });
}

/** Every place on the page that holds words with formulas. */
export function showAllWords(within: ParentNode): void {
    for (const place of within.querySelectorAll<HTMLElement>('[data-maths]')) {
        showWords(place, present(place.dataset.maths));
    }
}

async function set(place: HTMLElement, source: string): Promise<void> {
    try {
        const { inlineOf } = await import('../canvas/drawing/mathjax');
        const { path, wide, tall, deep } = inlineOf(source);
        const svg = document.createElementNS('http://www.w3.org/2000/svg', 'svg');
        svg.setAttribute('viewBox', `0 0 ${wide} ${tall}`);
        svg.setAttribute('role', 'img');
        svg.setAttribute('aria-label', source);
        svg.style.width = `${wide / 1000}em`;
        svg.style.height = `${tall / 1000}em`;
        svg.style.verticalAlign = `${-deep / 1000}em`;
        const outline = document.createElementNS('http://www.w3.org/2000/svg', 'path');
        outline.setAttribute('d', path);
        outline.setAttribute('fill', 'currentColor');
        svg.append(outline);
        place.replaceChildren(svg);
    } catch {
        // What cannot be set stays as it was written.
    }
}
