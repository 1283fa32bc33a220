import { patiently } from './patient.js';

/** Has the tanks read that the page shows as they were on an earlier day, and offers the page anew once they are. */

const place = document.querySelector('[data-refresh]');
const link = place.querySelector('a');

try {
    const response = await patiently(link.href, { headers: { Accept: 'application/json' } });
    if (response.status === 200) {
        const again = document.createElement('a');
        again.href = location.href;
        again.textContent = 'Show the page again';
        place.replaceChildren('Olvek has read all tanks for today. ', again);
    }
} catch {
    // Without a connection the link stays, and says the same.
}
