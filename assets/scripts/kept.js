/** Keeps this page on the device, with all that it is made of, by a service worker: it opens without a connection then. */

/**
 * By one keeper's name, as in public/log-worker.js; the pages of all others are thrown away by leave.js, and all of them where one signs out,
 * signs in or makes an account.
 */
const PREFIX = 'olvek-log.';

/**
 * @param {string} address of the page
 * @param {string} keeper whose page it is
 */
export async function keepPage(address, keeper) {
    if (!('serviceWorker' in navigator)) {
        return;
    }
    try {
        await navigator.serviceWorker.register('/log-worker.js', { scope: '/tanks/' });
        const cache = await caches.open(PREFIX + keeper);
        const parts = performance.getEntriesByType('resource').map(({ name }) => name).filter((name) => name.startsWith(`${location.origin}/assets/`));
        await Promise.all([...new Set(parts)].map(async (part) => (await cache.match(part)) ?? cache.add(part)));
        // What the page was made of before an update is of no use any more.
        const old = (await cache.keys()).filter(({ url }) => url.startsWith(`${location.origin}/assets/`) && !parts.includes(url));
        await Promise.all(old.map((request) => cache.delete(request)));
        const page = await fetch(address, { credentials: 'same-origin' });
        if (page.ok && !page.redirected) {
            await cache.put(address, page);
        }
        document.documentElement.dataset.kept = 'yes';
    } catch {
        // Without a worker, or a connection, the page works as long as it is open.
    }
}
