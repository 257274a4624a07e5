import type { Backdrop } from '../canvas/model/objects';
import { WIDE } from '../canvas/model/paper';
import { present } from '../present';

/** Only the settings of a backdrop's kind are seen, and sent. */
export function showSettings(form: HTMLFormElement, kind: string): void {
    for (const part of form.querySelectorAll<HTMLElement>('[data-settings]')) {
        part.hidden = !belongs(part, kind);
        for (const field of fieldsOf(part)) {
            field.disabled = part.hidden;
        }
    }
}

/** Puts a backdrop's settings into the form. */
export function fillSettings(form: HTMLFormElement, { kind, ...settings }: Backdrop): void {
    const all: Record<string, unknown> = { paper: WIDE.join('x'), ...settings };
    for (const part of form.querySelectorAll<HTMLElement>('[data-settings]')) {
        for (const field of belongs(part, kind) ? fieldsOf(part) : []) {
            const value = all[nameOf(field)];
            if (value !== undefined) {
                field.value = String(value);
            } else if (field instanceof HTMLSelectElement && nameOf(field) === 'variant') {
                // The usual one is not written down.
                field.selectedIndex = 0;
            }
        }
    }
}

/** A ruling's settings, numbers as numbers; what belongs to other rulings is left out. */
export function readSettings(form: HTMLFormElement, kind: string): Backdrop {
    const backdrop: Backdrop = { kind };
    for (const part of form.querySelectorAll<HTMLElement>('[data-settings]')) {
        for (const field of belongs(part, kind) ? fieldsOf(part) : []) {
            const isNumber = field.type === 'number' || field.dataset.number !== undefined;
            backdrop[nameOf(field)] = !isNumber ? field.value : field.value === '' ? '' : Number(field.value);
        }
    }
    return backdrop;
}

function belongs(part: HTMLElement, kind: string): boolean {
    return present(part.dataset.settings).split(' ').includes(kind);
}

function fieldsOf(part: HTMLElement): (HTMLInputElement | HTMLSelectElement)[] {
    return [...part.querySelectorAll<HTMLInputElement | HTMLSelectElement>('[name^="settings["]')];
}

function nameOf({ name }: HTMLInputElement | HTMLSelectElement): string {
    return name.slice('settings['.length, -1);
}
