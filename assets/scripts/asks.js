import { patiently } from './patient.js';

/** Asks an inverse question, or looks at a method, where it arises: the answer comes in below the question, and can be stopped while it is sought. */

document.addEventListener('click', async (event) => {
    const link = event.target.closest('[data-ask]');
    if (!link || event.ctrlKey || event.metaKey || event.shiftKey) {
        return;
    }
    event.preventDefault();
    const place = link.closest('.ask');
    const shown = place.querySelector('.ask-answer');
    if (shown) {
        shown.remove();
        link.setAttribute('aria-expanded', 'false');
        return;
    }
    const answer = document.createElement('div');
    answer.className = 'ask-answer';
    answer.setAttribute('role', 'status');
    const asking = new AbortController();
    const stop = document.createElement('button');
    stop.type = 'button';
    stop.className = 'quiet';
    stop.textContent = 'Stop';
    stop.addEventListener('click', () => asking.abort());
    const words = document.createElement('span');
    words.textContent = 'Trying…';
    answer.append(words, ' ', stop);
    place.append(answer);
    link.setAttribute('aria-expanded', 'true');
    try {
        const response = await patiently(link.href, { headers: { 'Olvek-Parts': '{}' }, signal: asking.signal }, (said) => {
            words.textContent = said === '' ? 'Trying…' : said;
        });
        if (!response.ok) {
            throw new Error(response.statusText);
        }
        answer.innerHTML = await response.text();
    } catch (error) {
        if (error.name === 'AbortError') {
            answer.remove();
            link.setAttribute('aria-expanded', 'false');
        } else {
            answer.textContent = 'Olvek could not answer this now. Check that you are still signed in, and ask again.';
        }
    }
});
