import { patiently } from './patient.js';

/** Fetches what would help a margin, or avert a harm, once its panel is open: trying takes longer than looking. */

const known = new Map();

export function tryHelps() {
    document.querySelectorAll(':is(.margin, .averts)[open] [data-helps]:not([data-asked])').forEach(async (place) => {
        const base = document.querySelector('form[data-bench]').elements.base.value;
        const key = `${base} ${place.dataset.helps}`;
        place.dataset.asked = 'yes';
        if (!known.has(key)) {
            place.setAttribute('aria-busy', 'true');
            place.textContent = 'Trying…';
            try {
                const response = await patiently(place.dataset.helps, { headers: { 'Olvek-Parts': '{}' } });
                if (!response.ok) {
                    throw new Error(response.statusText);
                }
                known.set(key, await response.text());
            } catch {
                place.textContent = 'Olvek could not try this now; close and open the panel to ask again.';
                delete place.dataset.asked;
                return;
            } finally {
                place.removeAttribute('aria-busy');
            }
        }
        place.innerHTML = known.get(key);
    });
}
