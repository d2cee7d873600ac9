/*
 * Keeps the page of a plan, and the scripts and styles that it is made of, so that it opens without the
 * network. It answers for nothing else: what a plan says is kept by the page itself (sync/shelf.js).
 */
const ASSETS = 'embrel-assets';
const FRAMES = 'embrel-frames';
const DAYS = 30;
const PLAN = /^\/plans\/[0-9A-Z]{26}(?:\/(?:gather|map|draft|sources|sorting-out))?$/;
const GATES = /^\/(?:sign-in|sign-out|sign-up|sample|reset|account)\b/;
const KEPT_AT = 'x-kept-at';

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(Promise.all([self.clients.claim(), prune()])));

/** The page tells what it is made of once all of it has come: it may have come before this worker did. */
self.addEventListener('message', (event) => {
    const { assets, frame: path } = event.data ?? {};
    if (Array.isArray(assets)) {
        event.waitUntil(keepAssets(assets.filter((address) => new URL(address, self.location).origin === self.location.origin)));
    }
    if (PLAN.test(path)) {
        const address = new URL(path, self.location);
        event.waitUntil(frame(new Request(address, { credentials: 'same-origin' }), address));
    }
});

self.addEventListener('fetch', (event) => {
    const { request } = event;
    const address = new URL(request.url);
    if (address.origin !== self.location.origin) {
        return;
    }
    if (request.method === 'POST' && GATES.test(address.pathname)) {
        // Whoever comes or goes finds nothing of another person here.
        event.waitUntil(Promise.all([caches.delete(FRAMES), forget()]));
    } else if (request.method === 'GET' && address.pathname.startsWith('/build/')) {
        event.respondWith(asset(request));
    } else if (request.method === 'GET' && request.mode === 'navigate') {
        event.respondWith(PLAN.test(address.pathname) ? frame(request, address) : page(request));
    }
});

/** What is named by its content is the same for ever. */
async function asset(request) {
    const kept = await caches.match(request, { cacheName: ASSETS });
    if (kept) {
        return kept;
    }
    const answer = await fetch(request);
    if (answer.ok) {
        (await caches.open(ASSETS)).put(request, answer.clone());
    }
    return answer;
}

async function keepAssets(addresses) {
    const cache = await caches.open(ASSETS);
    await Promise.all(addresses.map(async (address) => (await cache.match(address)) ?? cache.add(address).catch(() => {})));
    // Those of earlier versions go.
    const wanted = new Set(addresses.map((address) => new URL(address, self.location).pathname));
    for (const request of await cache.keys()) {
        const { pathname } = new URL(request.url);
        if (!wanted.has(pathname) && /\.(?:js|css)$/.test(pathname)) {
            await cache.delete(request);
        }
    }
}

/** The page of a plan: as the server has it, else as it was when it was opened last. Its views are one page. */
async function frame(request, address) {
    const key = address.pathname.split('/').slice(0, 3).join('/');
    try {
        const answer = await fetch(request);
        if (answer.ok && !answer.redirected) {
            const headers = new Headers(answer.headers);
            headers.set(KEPT_AT, String(Date.now()));
            const copy = new Response(await answer.clone().blob(), { status: 200, headers });
            await (await caches.open(FRAMES)).put(key, copy);
        }
        return answer;
    } catch {
        const kept = await caches.match(key, { cacheName: FRAMES });
        return kept && isYoung(kept) ? kept : away();
    }
}

async function page(request) {
    try {
        return await fetch(request);
    } catch {
        return away();
    }
}

const isYoung = (answer) => Date.now() - Number(answer.headers.get(KEPT_AT)) < DAYS * 86_400_000;

async function prune() {
    const cache = await caches.open(FRAMES);
    for (const request of await cache.keys()) {
        if (!isYoung(await cache.match(request))) {
            await cache.delete(request);
        }
    }
}

/** What pages have kept of plans goes; those that are open let go of it. */
function forget() {
    return new Promise((done) => {
        const asked = indexedDB.deleteDatabase('embrel');
        asked.onsuccess = asked.onerror = asked.onblocked = done;
    });
}

/** What is said where a page needs the network. */
function away() {
    const html = `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<meta name="color-scheme" content="light dark"><title>Not connected – Embrel</title>
<body style="font: 1.0625rem/1.6 system-ui, sans-serif; max-width: 34rem; margin: 12vh auto; padding: 0 1.5rem">
<h1 style="font-size: 1.5rem">Not connected</h1>
<p>This page needs the network. The plans that you have opened here in the last 30 days can be read and written without it: go back, or open one by its address.</p>
<p>What you write there is kept, and is sent when the network is back.</p>
<p><a href="">Try again</a></p></body></html>`;
    return new Response(html, { status: 503, headers: { 'Content-Type': 'text/html; charset=utf-8' } });
}
