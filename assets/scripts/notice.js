/** Tells the keeper something, in the page's one live region. */
export function say(words) {
    const place = document.querySelector('[data-notice]');
    place.textContent = '';
    if (words !== '') {
        const line = document.createElement('p');
        line.textContent = words;
        place.append(line);
    }
}
