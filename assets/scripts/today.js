/** A tank's page of today: fills in its estimate when that is worked out, opens what is marked in the drawing, and does what is due in place. */
import './weeks.js';
import { patiently } from './patient.js';

/**
 * Puts parts of another copy of the page in the place of this one's.
 *
 * @param {ParentNode} fresh
 * @param {string[]} names
 */
function swap(fresh, names) {
    for (const name of names) {
        const old = document.querySelector(`[data-part="${name}"]`);
        const next = fresh.querySelector(`[data-part="${name}"]`);
        if (old !== null && next !== null) {
            old.replaceWith(next);
        }
    }
}

const estimate = /** @type {HTMLElement | null} */ (document.querySelector('[data-estimate]'));
if (estimate !== null) {
    fill(estimate);
}

/** @param {HTMLElement} section */
async function fill(section) {
    const words = /** @type {HTMLElement} */ (section.querySelector('[data-estimate-words]'));
    const bar = /** @type {HTMLProgressElement} */ (section.querySelector('progress'));
    const said = document.createElement('span');
    said.setAttribute('aria-hidden', 'true');
    words.append(' ', said);
    bar.hidden = false;
    try {
        const response = await patiently(section.dataset.estimate ?? '', { headers: { 'Olvek-Parts': '{}' } }, (progress) => {
            said.textContent = progress;
            bar.value = Number(/(\d+) %/.exec(progress)?.[1] ?? 0) / 100;
        });
        if (response.status !== 200) {
            throw new Error(response.statusText);
        }
        const fresh = document.createElement('template');
        fresh.innerHTML = await response.text();
        swap(fresh.content, ['tank', 'verdict', 'estimate']);
        const done = document.createElement('p');
        done.className = 'sr-only';
        done.setAttribute('role', 'status');
        document.querySelector('[data-part="estimate"]')?.prepend(done);
        done.textContent = 'The estimate is ready.';
        goTo(location.hash);
    } catch {
        words.textContent = 'This could not be worked out now; reload the page to try again.';
        bar.hidden = true;
    }
}

/**
 * The place that the address names may have come only now.
 *
 * @param {string} hash
 */
function goTo(hash) {
    if (hash === '#ask' || hash === '#estimate' || hash === '#happened') {
        document.querySelector(hash)?.scrollIntoView();
    }
}

function closeNotes() {
    document.querySelectorAll('.tank-note.is-open').forEach((note) => note.classList.remove('is-open'));
}

document.addEventListener('keydown', (event) => {
    const note = document.querySelector('.tank-note.is-open');
    if (event.key === 'Escape' && note !== null) {
        closeNotes();
        /** @type {SVGAElement | null} */ (document.querySelector(`.tank-mark[href="#${note.id}"]`))?.focus();
    }
});

document.addEventListener('click', (event) => {
    const target = /** @type {Element} */ (event.target);
    const mark = /** @type {SVGAElement | null} */ (target.closest('.tank-mark'));
    if (mark === null) {
        if (target.closest('.tank-note') === null) {
            closeNotes();
        }
        return;
    }
    event.preventDefault();
    const note = /** @type {HTMLElement} */ (document.querySelector(mark.getAttribute('href') ?? ''));
    const isOpen = note.classList.contains('is-open');
    closeNotes();
    if (!isOpen) {
        open(note, mark);
    }
});

/**
 * @param {HTMLElement} note
 * @param {SVGAElement} mark
 */
function open(note, mark) {
    note.classList.add('is-open');
    const place = /** @type {HTMLElement} */ (note.closest('.today-tank')).getBoundingClientRect();
    const at = mark.getBoundingClientRect();
    const left = Math.max(0, Math.min(place.width - note.offsetWidth, at.left + at.width / 2 - place.left - note.offsetWidth / 2));
    note.style.left = `${left}px`;
    note.style.top = `${at.bottom - place.top + 8}px`;
    note.focus({ preventScroll: true });
}

document.addEventListener('submit', async (event) => {
    const form = /** @type {HTMLFormElement} */ (event.target);
    const due = form.closest('[data-part="due"]');
    if (due === null) {
        return;
    }
    event.preventDefault();
    const body = new FormData(form, /** @type {SubmitEvent} */ (event).submitter);
    due.setAttribute('aria-busy', 'true');
    form.querySelectorAll('button').forEach((button) => {
        button.disabled = true;
    });
    let why = 'This could not be saved: check the connection, and try again.';
    try {
        const response = await fetch(form.action, { method: 'POST', body, credentials: 'same-origin' });
        const fresh = new DOMParser().parseFromString(await response.text(), 'text/html');
        if (response.ok && fresh.querySelector('[data-part="due"]') !== null) {
            swap(fresh, ['tank', 'verdict', 'due', 'log']);
            /** @type {HTMLElement | null} */ (document.querySelector('#due-title'))?.focus({ preventScroll: true });
            return;
        }
        why = fresh.querySelector('[role="alert"]')?.textContent?.trim() ?? why;
    } catch {
        // Without a connection nothing was sent.
    }
    refuse(form, why);
});

/**
 * What was typed stays, and why it was not taken stands below it.
 *
 * @param {HTMLFormElement} form
 * @param {string} why
 */
function refuse(form, why) {
    form.closest('[data-part="due"]')?.removeAttribute('aria-busy');
    form.querySelectorAll('button').forEach((button) => {
        button.disabled = false;
    });
    form.querySelector('.field-error')?.remove();
    const error = document.createElement('p');
    error.className = 'field-error';
    error.setAttribute('role', 'alert');
    error.textContent = why;
    form.append(error);
}
