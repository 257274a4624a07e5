/** An answer that is not a success; `status` 0 when there was no answer at all. */
export class HttpProblem extends Error {
    constructor(
        readonly status: number,
        message: string,
    ) {
        super(message);
    }
}

/** The token that the server expects back; it changes while a page is open, so it is read each time. */
export function token(): string {
    const found = /(?:^|; )XSRF-TOKEN=([^;]+)/.exec(document.cookie);
    return found === null ? '' : decodeURIComponent(found[1]);
}

async function ask<T>(method: string, address: string, body?: unknown): Promise<T> {
    let response: Response;
    const headers: Record<string, string> = { Accept: 'application/json', 'X-XSRF-TOKEN': token() };
    if (body !== undefined) {
        headers['Content-Type'] = 'application/json';
    }
    try {
        response = await fetch(address, {
            method,
            headers,
            body: body === undefined ? undefined : JSON.stringify(body),
            signal: AbortSignal.timeout(20_000),
        });
    } catch {
        throw new HttpProblem(0, 'No answer');
    }
    if (!response.ok) {
        const told = (await response.json().catch(() => ({}))) as { message?: string };
        throw new HttpProblem(response.status, told.message ?? response.statusText);
    }
    return response.status === 204 ? (undefined as T) : ((await response.json().catch(() => {
        throw new HttpProblem(0, 'The answer was cut off');
    })) as T);
}

export const get = <T>(address: string): Promise<T> => ask<T>('GET', address);
export const post = <T>(address: string, body: unknown): Promise<T> => ask<T>('POST', address, body);
