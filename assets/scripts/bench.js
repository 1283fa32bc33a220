/*
 * The Bench with scripts on: a change is sent when a field is left, and the parts that it altered are swapped in.
 * Nothing is computed here; without this file the same forms work by their buttons.
 */
import { swap, partsInTurn } from './parts.js';
import { inTurn } from './queue.js';
import { newId } from './outbox.js';
import { say } from './notice.js';
import { tryHelps } from './helps.js';
import './asks.js';
import './keys.js';
import './palette.js';
import { handles } from './handles.js';
import { days } from './days.js';
import { compute, rest as stopComputing } from './sure.js';
import * as unseen from './unseen.js';

const form = document.querySelector('form[data-bench]');
const look = document.querySelector('form[data-look]');

const follow = (answer) => unseen.follow(answer, () => lookUrl('/day', 'all'));
const rest = () => {
    stopComputing();
    unseen.stop();
};

/** A change of which no answer came: whether it was saved is not known. Sent again it keeps its id and its base, so that it is one change. */
let unsure = null;

async function sendNow(url, options, sent = new Set(), again = false) {
    rest();
    document.body.setAttribute('aria-busy', 'true');
    let saved = false;
    try {
        let answer = null;
        for await (answer of partsInTurn(url, options)) {
            if (answer.parts === undefined) {
                say(answer.message ?? 'Olvek could not take this. What you typed still stands here; reload to see what is saved.');
                return;
            }
            saved ||= options.method === 'POST' && answer.status === 200;
            unsure = null;
            form.elements.base.value = answer.base;
            swap(answer.parts, sent, answer.last);
        }
        if (!answer?.last) {
            throw new Error('the answer broke off');
        }
        follow(answer);
        tryHelps();
        compute(form, () => send(() => [lookUrl(), {}]));
        const refused = answer.status === 422 && !answer.notice;
        say(refused ? 'Nothing was saved: the reason stands beside the entry.' : answer.notice ?? '');
        if (refused) {
            document.querySelector('[aria-invalid="true"]')?.focus();
        }
    } catch {
        if (options.method === 'POST' && !saved && !again) {
            await sendNow(url, options, sent, true);
            return;
        }
        if (options.method === 'POST' && !saved) {
            unsure = { key: keyOf(url, options.body), body: options.body };
        }
        say(saved
            ? 'This is saved, but the rest of the page did not come: reload it.'
            : options.method === 'POST'
                ? 'Olvek can’t be reached, so it isn’t known whether this was saved. What you typed is still here: send it again, or reload the page to check.'
                : 'Olvek can’t be reached. Check your connection and reload the page.');
    } finally {
        document.body.removeAttribute('aria-busy');
    }
}
const send = inTurn(sendNow);

function post(url, entries) {
    // The base is read when the request's turn comes, so that quick changes build on one another.
    return send(() => {
        const body = frame();
        entries.forEach(([name, value]) => body.set(name, value));
        const sent = new Set(entries.map(([name]) => name));
        return [url, { method: 'POST', body: unsure?.key === keyOf(url, body) ? unsure.body : body }, sent];
    });
}

/** What a change asks for, whatever it is based on. */
const keyOf = (url, body) => JSON.stringify([url, [...body].filter(([name]) => name.startsWith('edits['))]);

/** The names that every request carries beside its edits. */
const frame = () => {
    const body = new FormData();
    body.set('_change', newId());
    for (const name of ['_token', 'base', ...LOOK]) {
        body.set(name, form.elements[name].value);
    }
    return body;
};

/** What is looked at stands in the form's hidden fields, and nowhere else; the page's own controls only change it. */
const LOOK = ['day', 'bag', 'below', 'turn'];
function lookUrl(below = '', turn = form.elements.turn.value) {
    const looked = Object.fromEntries(LOOK.map((name) => [name, form.elements[name].value]));
    return `${look.action}${below}?${new URLSearchParams({ ...looked, turn })}`;
}

const isOurs = (element) => element.form === form && element.name.startsWith('edits[');

/** The field that has just been sent: Enter fires "change" first, where there is one, and must not send it again. Pressed later, it may. */
let justSent = null;

document.addEventListener('change', (event) => {
    const field = event.target;
    if (isOurs(field) && (field.tagName !== 'SELECT' || field.value !== '')) {
        justSent = field;
        setTimeout(() => { justSent = null; });
        post(form.action, [[field.name, field.value]]);
    }
    if (field.matches('[data-look-field]')) {
        form.elements[field.name].value = field.value;
        history.replaceState(null, '', lookUrl());
        send(() => [lookUrl(), {}]);
    }
});

form.addEventListener('submit', (event) => {
    event.preventDefault();
    const button = event.submitter;
    if (button?.dataset.step) {
        post(button.formAction, []);
    } else if (button?.name) {
        post(form.action, [[button.name, button.value]]);
    } else if (document.activeElement && isOurs(document.activeElement) && justSent !== document.activeElement) {
        post(form.action, [[document.activeElement.name, document.activeElement.value]]);
    }
});

look.addEventListener('submit', (event) => event.preventDefault());

// What was let go over the drawing.
document.addEventListener('take-edits', (event) => post(form.action, Object.entries(event.detail).map(([place, typed]) => [`edits[${place}]`, typed])));

// A change that was tried is taken like any other.
document.addEventListener('submit', (event) => {
    if (event.target.matches('[data-apply]')) {
        event.preventDefault();
        post(form.action, [...new FormData(event.target)].filter(([name]) => name.startsWith('edits[')));
    }
});

// The stage at work stays open over a reload; a fresh visit begins with what is to fix or still to decide.
const STAGE = `olvek.stage.${location.pathname}`;
const wide = matchMedia('(min-width: 1080px)').matches;
const openFirst = () => document.querySelector('.stage:has(.to-fix-count)')?.id ?? document.querySelector('.stage:has(.to-decide)')?.id ?? '';
const opened = document.querySelector('.stage[open]') ?? document.getElementById(sessionStorage.getItem(STAGE) ?? (wide ? openFirst() : ''));
if (opened) {
    opened.open = true;
}
document.addEventListener('toggle', (event) => {
    if (event.target.matches?.('.stage') && (event.target.open || sessionStorage.getItem(STAGE) === event.target.id)) {
        sessionStorage.setItem(STAGE, event.target.open ? event.target.id : '');
    }
}, true);
document.addEventListener('click', (event) => {
    const stage = event.target.closest('[data-close-stage]')?.closest('.stage');
    if (stage) {
        stage.open = false;
        stage.querySelector('summary').focus();
    }
});

// So does what is shown below the tank, unless the address says it.
const BELOW = 'olvek.below';
const asked = new URLSearchParams(location.search).has('below') ? null : localStorage.getItem(BELOW);
document.querySelectorAll('input[name="below"][type="radio"]').forEach((choice) => {
    choice.checked = asked === null ? choice.checked : choice.value === asked;
    choice.addEventListener('change', () => localStorage.setItem(BELOW, choice.value));
});
const below = new FormData(look).get('below') ?? 'year';
if (below !== form.elements.below.value) {
    form.elements.below.value = below;
    send(() => [lookUrl(), {}]);
} else {
    compute(form, () => send(() => [lookUrl(), {}]));
}
document.addEventListener('toggle', tryHelps, true);

// What was changed before this script had come is sent now: nothing that stands in a field is lost.
const touched = (field) => (field.tagName === 'SELECT'
    ? field.value !== '' && [...field.options].some((option) => option.selected !== option.defaultSelected)
    : field.value !== field.defaultValue);
[...form.elements].filter((field) => isOurs(field) && field.tagName !== 'BUTTON' && touched(field)).forEach((field) => post(form.action, [[field.name, field.value]]));

const moveDay = days((day) => {
    form.elements.day.value = day;
    history.replaceState(null, '', lookUrl());
    return lookUrl('/day');
}, follow);
handles({
    base: look.action,
    frame,
    day: moveDay,
    take: (edits) => post(form.action, Object.entries(edits).map(([place, typed]) => [`edits[${place}]`, typed])),
    rest,
    still: () => send(() => [lookUrl(), {}]),
});

document.addEventListener('click', (event) => {
    if (event.target.closest('[data-print]')) {
        window.print();
    }
});
document.addEventListener('toggle', (event) => {
    if (event.target.id === 'files') {
        event.target.querySelector('[data-print-item]').hidden = false;
    }
}, true);
document.documentElement.dataset.bench = 'ready';
