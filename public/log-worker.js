/*
 * Opens the pages of logbooks where there is no connection: the newest that this device has seen. Never asks for anything by itself, keeps
 * no other page, and sends nothing: entries wait in the page (assets/scripts/outbox.js).
 */
const CACHE = 'olvek-log';
const LOG = /^\/tanks\/[0-9a-f-]{36}\/(log|photos)$/;

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));
self.addEventListener('fetch', (event) => {
    const { request } = event;
    const url = new URL(request.url);
    if (request.method !== 'GET' || url.origin !== self.location.origin) {
        return;
    }
    if (request.mode === 'navigate' && LOG.test(url.pathname) && url.search === '') {
        event.respondWith(page(request, url.pathname));
    } else if (url.pathname.startsWith('/assets/')) {
        // Named by their content, so what is kept is never old.
        event.respondWith(caches.match(request.url).then((kept) => kept ?? fetch(request)));
    }
});

async function page(request, path) {
    try {
        const answer = await fetch(request);
        if (answer.ok && !answer.redirected) {
            const copy = answer.clone();
            caches.open(CACHE).then((cache) => cache.put(path, copy)).catch(() => {});
        }
        return answer;
    } catch (offline) {
        const kept = await caches.match(path);
        if (kept) {
            return kept;
        }
        throw offline;
    }
}
