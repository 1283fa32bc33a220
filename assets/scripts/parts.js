/** The page's parts: what the server knows by name and fingerprint, and swapping new ones in without losing the keeper's place. */

const parts = () => document.querySelectorAll('[data-part]');

function fingerprints() {
    return Object.fromEntries([...parts()].map((part) => [part.dataset.part, part.dataset.fingerprint]));
}

/** Asks for parts of the page: of those that it has already, only what changed comes. */
export function askParts(url, options = {}, accept = 'application/json') {
    return fetch(url, { ...options, headers: { Accept: accept, 'Olvek-Parts': JSON.stringify(fingerprints()) }, credentials: 'same-origin' });
}

/** As askParts; what comes of it comes in turn: the judgement first, then all else that changed. Ends early where the connection does. */
export async function* partsInTurn(url, options = {}) {
    const response = await askParts(url, options, 'application/x-ndjson, application/json');
    const { status } = response;
    if (!response.headers.get('content-type')?.startsWith('application/x-ndjson')) {
        yield { status, ...await response.json() };
        return;
    }
    const reader = response.body.pipeThrough(new TextDecoderStream()).getReader();
    let text = '';
    for (let read = await reader.read(); !read.done; read = await reader.read()) {
        text += read.value;
        for (let end = text.indexOf('\n'); end >= 0; end = text.indexOf('\n')) {
            yield { status, ...JSON.parse(text.slice(0, end)) };
            text = text.slice(end + 1);
        }
    }
}

/** Swaps in new parts. A refused entry that was not sent this time keeps its text and its reason. More may follow of one answer. */
export function swap(fresh, sent, last = true) {
    const refused = [...document.querySelectorAll('.field-bad')].filter((field) => !sent.has(nameIn(field)));
    const open = new Set([...document.querySelectorAll('details[open][id]')].map((details) => details.id));
    const place = remember(document.activeElement);
    parts().forEach((part) => {
        const next = fresh[part.dataset.part];
        if (next === undefined) {
            return;
        }
        part.innerHTML = next.html;
        part.dataset.fingerprint = next.fingerprint;
        part.querySelectorAll('details[id]').forEach((details) => {
            details.open = details.open || open.has(details.id);
        });
    });
    refused.filter((field) => !field.isConnected).forEach((field) => {
        const id = field.querySelector('[aria-invalid]').id;
        document.getElementById(id)?.closest('.field').replaceWith(field);
    });
    restore(place);
    document.dispatchEvent(new CustomEvent('parts-swapped', { detail: { last } }));
}

const nameIn = (field) => field.querySelector('[aria-invalid]').name;

function remember(element) {
    if (!element?.id || !element.closest('[data-part]')) {
        return null;
    }
    const typing = element.tagName === 'INPUT' && element.value !== element.defaultValue;
    return { element, id: element.id, value: typing ? element.value : null, from: element.selectionStart, to: element.selectionEnd };
}

function restore(place) {
    if (place === null || place.element.isConnected) {
        return;
    }
    const element = document.getElementById(place.id);
    if (element === null) {
        return;
    }
    element.focus({ preventScroll: true });
    if (place.value !== null) {
        // The answer came while the keeper was already typing here: theirs stands.
        element.value = place.value;
        element.setSelectionRange(place.from, place.to);
    } else if (element.tagName === 'INPUT') {
        element.select();
    }
}
