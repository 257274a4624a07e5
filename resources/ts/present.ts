/**
 * What has to be there: a list's element whose place is known, a part of a page that the server wrote. Where it is not,
 * it is said here and now, and not as an “undefined” somewhere later.
 */
export function present<T>(value: T | null | undefined): T {
    if (value === null || value === undefined) {
        throw new Error('Something that has to be there is missing.');
    }
    return value;
}
