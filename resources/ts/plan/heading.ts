import { element } from '../page';

interface Settings {
    /** The title that the server has. */
    title(): string;
    set(field: 'title' | 'tags', value: unknown, atOnce?: boolean): void;
    /** A title was emptied, and stays as it was. */
    untitled(): void;
}

/** The plan's title and its tags. A plan always has a title. */
export function listenToHeading(settings: Settings): void {
    const title = element<HTMLInputElement>('#plan-title');
    const tags = element<HTMLInputElement>('#plan-tags');
    let before = '';
    title.addEventListener('focus', () => {
        before = title.value;
    });
    title.addEventListener('input', () => title.value.trim() !== '' && settings.set('title', title.value));
    title.addEventListener('blur', () => {
        if (title.value.trim() === '') {
            title.value = before;
            if (before !== settings.title()) {
                settings.set('title', before, true);
            }
            settings.untitled();
        }
    });
    tags.addEventListener('input', () => settings.set('tags', tagsIn(tags.value)));
}

export function tagsIn(line: string): string[] {
    return line
        .split(',')
        .map((tag) => tag.trim())
        .filter((tag) => tag !== '');
}
