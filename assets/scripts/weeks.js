/** The first weeks: computes what lies ahead a part at a time, and asks the devices, while the keeper reads on. */
import { patiently } from './patient.js';

const ahead = /** @type {HTMLElement | null} */ (document.querySelector('[data-ahead]'));
if (ahead?.dataset.known === 'no') {
    compute(ahead);
}

/**
 * The first part learns from the readings, the others need what it learned.
 *
 * @param {HTMLElement} section
 */
async function compute(section) {
    const words = /** @type {HTMLElement} */ (section.querySelector('[data-ahead-words]'));
    const stop = /** @type {HTMLButtonElement} */ (section.querySelector('[data-ahead-stop]'));
    const ended = new AbortController();
    const parts = Number(section.dataset.parts);
    let done = 0;
    stop.hidden = false;
    stop.addEventListener('click', () => ended.abort(), { once: true });
    /** @param {number} part */
    const one = async (part) => {
        const body = new FormData();
        body.set('_token', document.body.dataset.token ?? '');
        const response = await patiently(`${section.dataset.ahead}/${part}`, { method: 'POST', body, signal: ended.signal });
        if (!response.ok) {
            throw new Error(response.statusText);
        }
        done += 1;
        words.textContent = `Calculating: ${Math.round((100 * done) / parts)} %`;
    };
    words.textContent = 'Calculating…';
    try {
        for (let part = 0; part < parts; part += 1) {
            await one(part);
        }
        const response = await fetch(section.dataset.ahead ?? '', { credentials: 'same-origin', signal: ended.signal });
        if (response.status !== 200) {
            throw new Error(response.statusText);
        }
        /** @type {HTMLElement} */ (section.querySelector('[data-ahead-place]')).innerHTML = await response.text();
        section.dataset.known = 'yes';
    } catch {
        words.textContent = ended.signal.aborted ? 'Stopped. Reload the page to compute it after all.' : 'This could not be computed now; reload the page to try again. All else stands.';
        stop.hidden = true;
    }
}

const devices = /** @type {HTMLElement | null} */ (document.querySelector('[data-devices]'));
if (devices !== null && devices.querySelector('[data-devices-words]') !== null) {
    ask(devices);
}

/**
 * Devices may be slow or silent; the page never waits for them.
 *
 * @param {HTMLElement} section
 */
async function ask(section) {
    const place = /** @type {HTMLElement} */ (section.querySelector('[data-devices-place]'));
    try {
        const response = await fetch(section.dataset.devices ?? '', { headers: { 'Olvek-Parts': '{}' }, credentials: 'same-origin' });
        if (!response.ok) {
            throw new Error(response.statusText);
        }
        place.innerHTML = await response.text();
    } catch {
        place.textContent = 'They could not be asked now; reload the page to try again.';
    }
}
