/** Asks for something that takes long, and asks again for as long as the server says that it is at it, or that it is not its turn yet. */

const MOST = 120;

/**
 * @param {string} url
 * @param {RequestInit} [options] as for fetch; its signal ends the waiting too
 * @param {(words: string, content: DocumentFragment) => void} [tell] what the server says while it is at it, and all that it sent
 * @returns {Promise<Response>} the first answer that is no "not yet"
 */
export async function patiently(url, options = {}, tell = () => {}) {
    for (let tries = 0; ; tries += 1) {
        const response = await fetch(url, { credentials: 'same-origin', ...options });
        if ((response.status !== 202 && response.status !== 429) || tries === MOST) {
            return response;
        }
        const place = document.createElement('template');
        place.innerHTML = response.headers.get('Content-Type')?.startsWith('text/html') ? await response.text() : '';
        tell(place.content.textContent.trim(), place.content);
        await wait(1000 * Number(response.headers.get('Retry-After') ?? 2), options.signal);
    }
}

/**
 * @param {number} milliseconds
 * @param {AbortSignal | null | undefined} signal
 */
function wait(milliseconds, signal) {
    return new Promise((done, stopped) => {
        const timer = setTimeout(done, milliseconds);
        signal?.addEventListener('abort', () => {
            clearTimeout(timer);
            stopped(new DOMException('stopped', 'AbortError'));
        }, { once: true });
    });
}
