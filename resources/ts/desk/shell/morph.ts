import { Idiomorph } from 'idiomorph';

/**
 * Writes what the server says into what stands there, piece by piece. A button that is just being pressed stays the
 * same one: put anew between press and release, it would not have been pressed at all. What is being typed stays, and
 * so do the folds that are open.
 */
export function morph(target: Element, content: Element[], morphStyle: 'innerHTML' | 'outerHTML'): void {
    [target, ...content].forEach(nameDeeds);
    Idiomorph.morph(target, content, {
        morphStyle,
        // A field that somebody is in keeps what is typed; a button that has the focus is written like all others.
        ignoreActiveValue: document.activeElement?.matches('input, textarea, select') === true,
        callbacks: { beforeNodeMorphed: isWritten, beforeAttributeUpdated: isSet },
    });
}

/** A button is known by what it does: turned into another under the finger, it would do what nobody pressed. */
function nameDeeds(root: Element): void {
    const which = 'button:not([id]):is([data-post], [data-do])';
    for (const button of [root, ...root.querySelectorAll(which)].filter((found) => found.matches(which))) {
        const { post, do: action, body, on, seat, prompt } = (button as HTMLElement).dataset;
        button.id = ['does', action, post, body, on, seat, prompt].filter((part) => part !== undefined).join(' ');
    }
}

/** What this page writes itself is left alone, and so is a field that was changed and not sent yet. */
function isWritten(old: Node, next: Node): boolean {
    if (!(old instanceof Element)) {
        return true;
    }
    const isTyped =
        old.matches('input:not([type=hidden], [type=checkbox], [type=radio]), textarea') &&
        isUnsent(old as HTMLInputElement, next as HTMLInputElement);
    return !isTyped && !old.hasAttribute('hx-preserve');
}

function isUnsent({ name, value, defaultValue }: HTMLInputElement, next: HTMLInputElement): boolean {
    return name === next.name && value !== defaultValue && value !== next.defaultValue;
}

/** A fold that somebody opened stays open. */
function isSet(attribute: string, element: Element, change: 'update' | 'remove'): boolean {
    return !(attribute === 'open' && change === 'remove' && element.matches('details[id]'));
}
