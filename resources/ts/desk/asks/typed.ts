/** What is being typed here outlives the panel's freshening: the open fold, its fields, and where the hand is. */
export function typedRun(): () => void {
    const TYPED = '#ask-run[open] textarea, #ask-run[open] input, .ask-add-words input';
    const isOpen = document.querySelector('#ask-run[open]') !== null;
    const { activeElement } = document;
    const fields = [...document.querySelectorAll<HTMLInputElement>(TYPED)].map((field) => ({
        name: field.name,
        value: field.value,
        checked: field.checked,
        isFocused: field === activeElement,
    }));
    return () => {
        const run = document.querySelector<HTMLDetailsElement>('#ask-run');
        if (run !== null && isOpen) {
            run.open = true;
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
