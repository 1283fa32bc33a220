/*
 * Opens the pages of logbooks where there is no connection: the newest that this device has seen. Never asks for anything by itself, keeps
 * no other page, and sends nothing: entries wait in the page (assets/scripts/outbox.js).
 */
const PREFIX = 'olvek-log.';
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
            keep(path, answer.clone(), answer.headers.get('Olvek-Keeper')).catch(() => {});
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

/** Under the name of the keeper whose page it is; what was kept of anybody else is thrown away. */
async function keep(path, page, keeper) {
    if (keeper === null) {
        return;
    }
    const names = await caches.keys();
    await Promise.all(names.filter((name) => name.startsWith('olvek-log') && name !== PREFIX + keeper).map((name) => caches.delete(name)));
    await (await caches.open(PREFIX + keeper)).put(path, page);
}
