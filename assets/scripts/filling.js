import { patiently } from './patient.js';

/**
 * A page whose answer is still being worked out: asks for it again as long as it is, and puts it in its place. Nothing else on the page moves,
 * and a screen reader hears of it twice, when it begins and when it is there.
 */
const waiting = /** @type {HTMLElement | null} */ (document.querySelector('[data-filling]'));
if (waiting !== null) {
    fill(waiting);
}

/** @param {HTMLElement} shown */
async function fill(shown) {
    const bar = shown.querySelector('progress');
    try {
        const response = await patiently(location.href, { headers: { Accept: 'text/html' } }, (_, content) => {
            const then = content.querySelector('[data-filling] progress');
            if (bar !== null && then instanceof HTMLProgressElement) {
                bar.value = then.value;
            }
        });
        if (!response.ok) {
            throw new Error(response.statusText);
        }
        put(shown, new DOMParser().parseFromString(await response.text(), 'text/html'));
    } catch {
        shown.textContent = 'Olvek could not work this out now. Reload the page to try again.';
    }
}

/**
 * @param {HTMLElement} shown
 * @param {Document} fresh
 */
function put(shown, fresh) {
    const place = shown.closest('[data-filled]') ?? document.querySelector('main');
    const next = fresh.querySelector(place?.hasAttribute('data-filled') === true ? '[data-filled]' : 'main');
    if (place === null || next === null) {
        return;
    }
    place.replaceChildren(...next.childNodes);
    const said = document.createElement('p');
    said.className = 'sr-only';
    said.setAttribute('role', 'status');
    place.append(said);
    said.textContent = 'The answer is ready.';
}
