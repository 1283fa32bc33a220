/** Three plans, fetched one after another while the page tells how many are made, then how sure each is; the rest can be stopped. */
import './asks.js';
import { patiently } from './patient.js';

const cards = [...document.querySelectorAll('[data-plan]')];
const line = document.querySelector('[data-plans-progress]');
const bar = line.querySelector('progress');
const words = line.querySelector('[data-plans-words]');
const asking = new AbortController();

line.querySelector('[data-plans-stop]').addEventListener('click', () => {
    asking.abort();
    line.hidden = true;
});

async function fill(card, url) {
    card.setAttribute('aria-busy', 'true');
    const response = await patiently(url, { headers: { 'Olvek-Parts': '{}' }, signal: asking.signal });
    card.removeAttribute('aria-busy');
    if (!response.ok) {
        throw new Error(response.statusText);
    }
    card.innerHTML = await response.text();
}

async function make() {
    line.hidden = false;
    for (const [n, card] of cards.entries()) {
        words.textContent = `${n} of ${cards.length} made; each takes a few seconds, since every idea is run for a year.`;
        await fill(card, card.dataset.plan);
        bar.value = n + 1;
    }
    for (const [n, card] of cards.entries()) {
        words.textContent = `All are made; now how sure each is: ${n} of ${cards.length}.`;
        await fill(card, card.querySelector('[data-plan-sure]').href);
    }
    line.hidden = true;
}

make().catch((error) => {
    cards.forEach((card) => card.removeAttribute('aria-busy'));
    if (error.name !== 'AbortError') {
        words.textContent = 'The plans could not be made now. Check that you are still signed in, and load the page again.';
        line.querySelector('button').hidden = true;
    }
});
