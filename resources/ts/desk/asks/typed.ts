/** What is being typed here outlives the panel's freshening: the open folds, their fields, and where the hand is. */
export function typedRun(): () => void {
    const TYPED = '#ask-run[open] textarea, #ask-run[open] input, .ask-add-words input';
    const open = [...document.querySelectorAll<HTMLDetailsElement>('#ask-body details[id][open]')].map(({ id }) => id);
    const { activeElement } = document;
    const fields = [...document.querySelectorAll<HTMLInputElement>(TYPED)].map((field) => ({
        name: field.name,
        value: field.value,
        checked: field.checked,
        isFocused: field === activeElement,
    }));
    return () => {
        for (const id of open) {
            document.querySelector<HTMLDetailsElement>(`#${id}`)?.setAttribute('open', '');
        }
        for (const { name, value, checked, isFocused } of fields) {
            const field = [...document.querySelectorAll<HTMLInputElement>(TYPED)].find((one) => one.name === name);
            if (field !== undefined) {
                Object.assign(field, { value, checked });
                if (isFocused) {
                    field.focus();
                }
            }
        }
    };
}
