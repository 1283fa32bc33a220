/**
 * The logbook at the tank: what is entered is kept on the device at once and sent when it can be; the page itself is kept too, so that it
 * opens where there is no signal. Without this file the same forms work while there is one.
 */
import { put, drop, send, waiting, idOf, newId } from './outbox.js';
import { keepPage } from './kept.js';
import { say } from './notice.js';

const book = document.querySelector('[data-logbook]');
const tank = book.dataset.tank;
const address = location.pathname;
const AGAIN = 20_000;

/** Today where the keeper's days begin and end, whenever the page was made. */
const today = () => new Intl.DateTimeFormat('en-CA', { timeZone: book.dataset.zone, year: 'numeric', month: '2-digit', day: '2-digit' }).format();

/** An entry in a few words, as long as it has not been sent. */
function words(form, fields) {
    const of = (name) => fields.find(([key]) => key === name)?.[1] ?? '';
    const kind = of('kind');
    if (kind === 'read' || kind === 'measure') {
        return fields.filter(([name, value]) => /^(step|test)\[/.test(name) && value !== '').map(([name, value]) => `${/\[(.*)\]/.exec(name)[1]} ${value}`).join(', ');
    }
    if (kind === 'did') {
        const button = form.querySelector('.log-do').cloneNode(true);
        button.querySelector('.log-amount')?.remove();
        const unit = form.querySelector('.log-other .unit')?.textContent ?? '';
        return `${button.textContent.trim()}${of('amount') === '' ? '' : `, ${of('amount')} ${unit}`}`;
    }
    return kind === 'saw' ? form.querySelector('input[name="what"]:checked')?.closest('label').textContent.trim() ?? '' : of('note').slice(0, 60);
}

/** What waits, above the lines that are saved. */
function showWaiting() {
    const list = book.querySelector('[data-log-waiting]');
    list.replaceChildren(...waiting(tank).reverse().map((entry) => {
        const line = document.createElement('li');
        line.className = 'log-waits log-day';
        const day = document.createElement('time');
        day.dateTime = entry.fields.find(([name]) => name === 'day')[1];
        day.textContent = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' }).format(new Date(day.dateTime));
        const text = document.createElement('span');
        text.textContent = `${entry.words} `;
        const state = document.createElement('em');
        state.textContent = entry.refused ?? 'waits to be sent';
        text.append(state);
        const away = document.createElement('button');
        away.type = 'button';
        away.className = 'quiet';
        away.textContent = entry.refused === undefined ? 'Undo' : 'Discard';
        const hidden = document.createElement('span');
        hidden.className = 'sr-only';
        hidden.textContent = ` ${entry.words}`;
        away.append(hidden);
        away.addEventListener('click', () => {
            drop(tank, idOf(entry));
            showWaiting();
        });
        line.append(day, text, away);
        return line;
    }));
    list.hidden = list.children.length === 0;
}

/** The lines as the server has them now; the rest of the page stays, so that nothing that is being typed is lost. */
async function refresh() {
    try {
        const response = await fetch(address, { credentials: 'same-origin' });
        const fresh = response.ok && !response.redirected ? new DOMParser().parseFromString(await response.text(), 'text/html').querySelector('[data-log-lines]') : null;
        if (fresh) {
            book.querySelector('[data-log-lines]').replaceWith(fresh);
        }
    } catch {
        // They come with the next entry.
    }
    showWaiting();
}

const kept = (n) => (n === 1 ? 'one entry is kept on this device and is' : `${n} entries are kept on this device and are`);
const WHY = {
    offline: (n) => `No connection: ${kept(n)} sent by itself later.`,
    'signed-out': (n) => `You are signed out: ${kept(n)} sent once you have signed in and come back to this page.`,
    busy: (n) => `Olvek could not take this now: ${kept(n)} sent again later.`,
};
let sending = null;
let timer = null;

const unsent = () => waiting(tank).filter((entry) => entry.refused === undefined).length;

function flush() {
    let why = '';
    let ended = false;
    sending ??= (async () => {
        clearTimeout(timer);
        const done = await send(tank, address, document.body.dataset.token);
        const { saved, refused } = done;
        const left = unsent();
        why = done.why;
        say(why !== '' && left > 0 ? WHY[why](left) : refused.length > 0 ? 'Not saved: the reason stands beside the entry.' : saved > 0 ? 'Saved.' : '');
        if (why !== '' && left > 0) {
            timer = setTimeout(flush, AGAIN);
        }
        if (saved > 0) {
            await refresh();
        } else {
            showWaiting();
        }
        ended = true;
        return refused;
    })().catch(() => {
        say('This device is out of storage, so the list of waiting entries could not be updated. All of them are kept: free some storage, then reload the page.');
        return [];
    }).finally(() => {
        sending = null;
        // What was entered while the page was being brought up to date; never again by itself after a failure.
        if (ended && why === '' && unsent() > 0) {
            flush();
        }
    });
    return sending;
}

document.addEventListener('submit', async (event) => {
    const form = event.target.closest('[data-log-form]');
    if (!form) {
        return;
    }
    event.preventDefault();
    const fields = [...new FormData(form)].filter(([name]) => !['_token', 'id', 'day'].includes(name));
    // The large button means what it says, today; what stands behind "other" is meant by its own.
    const usual = event.submitter?.matches('.log-do');
    const typed = form.elements.day?.value ?? '';
    const told = usual ? fields.map(([name, value]) => [name, name === 'amount' ? form.elements.amount.defaultValue : value]) : fields;
    const entry = {
        words: words(form, told),
        fields: [...told, ['id', newId()], ['day', usual || typed === '' ? today() : typed]],
    };
    if (fields.find(([name]) => name === 'kind')[1] === 'read' && entry.words === '') {
        say('Choose or type at least one reading.');
        return;
    }
    try {
        put(tank, entry);
    } catch {
        // Nothing can be kept here: the form goes its plain way.
        form.submit();
        return;
    }
    showWaiting();
    const refused = await flush();
    const mine = refused.find((one) => idOf(one.entry) === idOf(entry));
    if (mine) {
        // It stands in its form still, so it need not be kept twice.
        drop(tank, idOf(entry));
        showWaiting();
        say(`Not saved: ${Object.values(mine.errors).join(' ')}`);
        return;
    }
    form.reset();
    form.closest('details.log-way').open = false;
    form.querySelectorAll('details').forEach((details) => {
        details.open = false;
    });
    book.querySelector('.log-ways').scrollIntoView({ block: 'start', behavior: matchMedia('(prefers-reduced-motion: reduce)').matches ? 'auto' : 'smooth' });
});

// Where nobody knows how much is usual, the large button asks.
document.addEventListener('click', (event) => {
    const button = event.target.closest('.log-do[data-opens]');
    if (button) {
        event.preventDefault();
        button.form.querySelector('details').open = true;
        button.form.elements.amount.focus();
    }
});

// A saved line is undone where it stands; without a connection it stays, and that is said.
document.addEventListener('submit', async (event) => {
    const form = event.target.closest('[data-log-lines] form');
    if (!form) {
        return;
    }
    event.preventDefault();
    try {
        const response = await fetch(form.action, { method: 'POST', body: new URLSearchParams(new FormData(form)), headers: { Accept: 'application/json' }, credentials: 'same-origin' });
        say(response.ok ? 'Undone.' : response.status === 401 ? 'You are signed out, so the line stays: sign in and undo it then.' : 'This could not be undone: reload the page and look again.');
        await refresh();
    } catch {
        say('No connection: the line stays until it can be undone.');
    }
});

// A step that is pressed again is taken back; a typed value stands for itself.
document.addEventListener('click', (event) => {
    const step = event.target.closest('.log-step input');
    if (step) {
        const again = step.dataset.chosen === 'yes';
        document.getElementsByName(step.name).forEach((other) => {
            delete other.dataset.chosen;
        });
        if (again) {
            step.checked = false;
        } else {
            step.dataset.chosen = 'yes';
        }
    }
});

document.addEventListener('reset', (event) => {
    event.target.querySelectorAll('[data-chosen]').forEach((step) => {
        delete step.dataset.chosen;
    });
});

window.addEventListener('online', flush);
showWaiting();
if (unsent() > 0) {
    flush();
}
keepPage(address, document.body.dataset.keeper);
document.documentElement.dataset.log = 'ready';
