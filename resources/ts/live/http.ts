import { countBytes } from './meter';
import { present } from '../present';

/** An answer that is not a success; `status` 0 when there was no answer at all. */
export class HttpProblem extends Error {
    constructor(
        readonly status: number,
        message: string,
        /** What else the answer said. */
        readonly told: Record<string, unknown> = {},
    ) {
        super(message);
    }
}

/** What went wrong, in words for whoever is at the page: the server's own, or that nothing reached it. */
export function reasonOf(problem: unknown, words: Readonly<Record<'unreachable', string>>): string {
    return problem instanceof HttpProblem && problem.status === 0 ? words.unreachable : (problem as Error).message;
}

/** The token that the server expects back; it changes while a page is open, so it is read each time. */
export function token(): string {
    const found = /(?:^|; )XSRF-TOKEN=([^;]+)/.exec(document.cookie);
    return found === null ? '' : decodeURIComponent(present(found[1]));
}

/** How long answers took that were asked for last, in milliseconds. */
const took: number[] = [];

/** Whether answers have become slow: each of the last few took longer than so many milliseconds. */
export function isSlow(ms = 1500, few = 4): boolean {
    return took.length >= few && took.slice(-few).every((one) => one > ms);
}

async function ask<T>(
    method: string,
    address: string,
    body?: string | Blob | FormData,
    type = 'application/json',
    patience = 20_000,
): Promise<T> {
    let response: Response;
    const headers: Record<string, string> = { Accept: 'application/json', 'X-XSRF-TOKEN': token() };
    if (body !== undefined && type !== '') {
        headers['Content-Type'] = type;
    }
    const began = performance.now();
    try {
        response = await fetch(address, { method, headers, body, signal: AbortSignal.timeout(patience) });
    } catch {
        throw new HttpProblem(0, 'No answer');
    }
    took.push(performance.now() - began);
    took.splice(0, took.length - 10);
    const length = Number(response.headers.get('Content-Length') ?? 0);
    countBytes('http', (typeof body === 'string' ? body.length : body instanceof Blob ? body.size : 0) + length);
    if (!response.ok) {
        const told = (await response.json().catch(() => ({}))) as { message?: string };
        throw new HttpProblem(response.status, told.message ?? response.statusText, told);
    }
    return response.status === 204
        ? (undefined as T)
        : ((await response.json().catch(() => {
              throw new HttpProblem(0, 'The answer was cut off');
          })) as T);
}

export const get = <T>(address: string): Promise<T> => ask<T>('GET', address);
export const post = <T>(address: string, body: unknown): Promise<T> => ask<T>('POST', address, JSON.stringify(body));
/** Goes out even though the page goes away; nobody waits for an answer. */
export const postAndLeave = (address: string, body: unknown): void => {
    void fetch(address, {
        method: 'POST',
        keepalive: true,
        headers: { Accept: 'application/json', 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token() },
        body: JSON.stringify(body),
    }).catch(() => undefined);
};
/** A form with files, as browsers send forms. */
export const sendForm = <T>(address: string, form: FormData): Promise<T> => ask<T>('POST', address, form, '', 90_000);
/** A file as it is; its kind is found from its bytes. */
export const sendFile = <T>(address: string, file: Blob): Promise<T> =>
    ask<T>('POST', address, file, 'application/octet-stream', 90_000);

/** Where there was no answer it is asked again after so long. */
const AGAIN_MS = 2000;

/**
 * Asks until there is an answer. Resolves to null where it is not wanted any more; what the server refuses is thrown.
 *
 * @param  failed  there was no answer, once more
 */
export async function getWhile<T>(
    address: string,
    isWanted: () => boolean,
    failed: () => void = () => undefined,
): Promise<T | null> {
    while (isWanted()) {
        try {
            const answer = await get<T>(address);
            return isWanted() ? answer : null;
        } catch (problem) {
            if (problem instanceof HttpProblem && problem.status >= 400 && problem.status < 500) {
                throw problem;
            }
            if (isWanted()) {
                failed();
            }
            await new Promise((again) => window.setTimeout(again, AGAIN_MS));
        }
    }
    return null;
}
