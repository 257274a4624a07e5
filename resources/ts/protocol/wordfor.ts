/** A sentence whose name is put together, as that of a state or of a reason is; empty where there is none. */
export function wordFor(words: Readonly<Record<string, string>>, name: string): string {
    return words[name] ?? '';
}
