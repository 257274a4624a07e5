/**
 * Keeps a student's page on the device: the page, the scripts and styles that belong to it, and the pictures on it, in
 * a store for each seat. With a network the page is always the server's; without one it is the kept page with its own
 * scripts, so that old and new are never mixed: their names hold what is in them.
 */
declare const self: ServiceWorkerGlobalScope;
export {};

/** Stores are called so, with the seat's id behind it. */
const STORE = 'crag-seat-';
/** Which page it is, said with the kept one. */
const MARK = 'X-Crag-Mark';
/** A server that does not answer for so long counts as none. */
const PATIENCE_MS = 5000;

interface KeepMessage {
    do: 'keep';
    seat: string;
    /** Changes when the page is another one. */
    mark: string;
    /** What the page is made of, by address. */
    assets: string[];
}

self.addEventListener('install', () => void self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

self.addEventListener('message', (event) => {
    const message = event.data as KeepMessage;
    if (message.do === 'keep') {
        event.waitUntil(keep(message));
    }
});

self.addEventListener('fetch', (event) => {
    const { request } = event;
    const { origin, pathname } = new URL(request.url);
    if (request.method !== 'GET' || origin !== location.origin) {
        return;
    }
    const seat = /^\/seat\/(\w+)\/?$/.exec(pathname)?.[1];
    if (request.mode === 'navigate' && seat !== undefined) {
        event.respondWith(openPage(request, seat));
    } else if (/^\/(build|asset|asset-light|backdrop\.svg)(\/|$)/.test(pathname)) {
        event.respondWith(part(event));
    }
});

/** The page as the server has it now; without a server, as it was kept. */
async function openPage(request: Request, seat: string): Promise<Response> {
    const store = await caches.has(STORE + seat);
    try {
        const answer = await withPatience(fetch(request), store ? PATIENCE_MS : null);
        // A server that is being mended is no server.
        if (answer.status < 500) {
            return answer;
        }
    } catch {
        // There is no network.
    }
    const kept = store ? await (await caches.open(STORE + seat)).match(`/seat/${seat}`) : undefined;
    return kept ?? fetch(request);
}

async function withPatience(answer: Promise<Response>, ms: number | null): Promise<Response> {
    return ms === null
        ? answer
        : Promise.race([
              answer,
              new Promise<never>((_, fail) => setTimeout(() => fail(new Error('No answer in time')), ms)),
          ]);
}

/**
 * What a page is made of, and the pictures on it. What was kept once is right for ever: their names hold what is in
 * them. What a kept page asks for is kept with it; nothing is fetched that it does not ask for.
 */
async function part(event: FetchEvent): Promise<Response> {
    const kept = await caches.match(event.request);
    if (kept !== undefined) {
        return kept;
    }
    const answer = await fetch(event.request);
    const client = await self.clients.get(event.clientId);
    const seat = /^\/seat\/(\w+)/.exec(new URL(client?.url ?? location.href).pathname)?.[1];
    if (answer.ok && seat !== undefined && (await caches.has(STORE + seat))) {
        const copy = answer.clone();
        event.waitUntil(caches.open(STORE + seat).then((store) => store.put(event.request, copy)));
    }
    return answer;
}

/** Keeps a page that has opened, whole or not at all: first what it is made of, then the page itself. */
async function keep({ seat, mark, assets }: KeepMessage): Promise<void> {
    const store = await caches.open(STORE + seat);
    if ((await store.match(`/seat/${seat}`))?.headers.get(MARK) === mark) {
        return;
    }
    const page = await fetch(`/seat/${seat}`, { credentials: 'same-origin' });
    if (!page.ok || page.redirected) {
        return;
    }
    const text = await page.text();
    const there = new Set((await store.keys()).map(({ url }) => new URL(url).pathname));
    await store.addAll(assets.filter((one) => !there.has(one)));
    // A new release may have come between the page and this: its scripts are not here.
    const named = [...text.matchAll(/(?:src|href)="[^"]*(\/build\/assets\/[^"]+)"/g)].map(
        ([, address]) => address ?? '',
    );
    if (named.every((one) => assets.includes(one))) {
        const headers = new Headers(page.headers);
        headers.set(MARK, mark);
        // The page is told that it is a kept one.
        const told = text.replace('<body ', '<body data-kept ');
        await store.put(`/seat/${seat}`, new Response(told, { headers }));
        const wanted = new Set(assets);
        const old = (await store.keys()).filter(({ url }) => {
            const { pathname } = new URL(url);
            return pathname.startsWith('/build/') && !wanted.has(pathname);
        });
        await Promise.all(old.map((one) => store.delete(one)));
    }
}
