/** A simulated browser: asks as a page does, and keeps its cookies. */
export class Visitor {
    private readonly cookies = new Map<string, string>();

    constructor(private readonly base: string) {}

    /** As the header that opens a socket carries them. */
    get cookie(): string {
        return [...this.cookies].map(([name, value]) => `${name}=${value}`).join('; ');
    }

    async request(path: string, init: RequestInit & { headers?: Record<string, string> } = {}): Promise<Response> {
        const response = await fetch(this.base + path, {
            ...init,
            redirect: 'manual',
            headers: { ...init.headers, Cookie: this.cookie },
        });
        for (const line of response.headers.getSetCookie()) {
            const [name = '', value = ''] = (line.split(';', 1)[0] ?? '').split(/=(.*)/s);
            this.cookies.set(name, value);
        }
        return response;
    }

    /** @param  signal  gives it up */
    post(path: string, body: unknown, signal?: AbortSignal): Promise<Response> {
        return this.request(path, {
            method: 'POST',
            headers: {
                'Content-Type': 'application/json',
                Accept: 'application/json',
                'X-XSRF-TOKEN': decodeURIComponent(this.cookies.get('XSRF-TOKEN') ?? ''),
            },
            body: JSON.stringify(body),
            ...(signal !== undefined && { signal }),
        });
    }
}
