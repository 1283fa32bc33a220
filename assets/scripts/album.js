/**
 * The photos of a tank: one that is chosen or taken is kept on the device at once and sent when it can be; the camera shows the last picture as a
 * ghost, so that each is taken from the same spot. Without this file the same form works while there is a signal.
 */
import { newId } from './outbox.js';
import { keepPage } from './kept.js';
import { say } from './notice.js';
import { keepPhoto, dropPhoto, waitingPhotos } from './darkbag.js';

const album = document.querySelector('[data-album]');
const form = album.querySelector('form[enctype]');
const address = form.getAttribute('action');
const tank = album.dataset.tank;
const AGAIN = 20_000;
let sending = null;
let timer = null;

const today = () => new Intl.DateTimeFormat('en-CA', { timeZone: album.dataset.zone, year: 'numeric', month: '2-digit', day: '2-digit' }).format();

/** What waits, above what is saved. */
async function showWaiting() {
    const list = album.querySelector('[data-album-waiting]');
    const all = await waitingPhotos(tank);
    list.replaceChildren(...all.map((photo) => {
        const line = document.createElement('li');
        const text = document.createElement('span');
        text.textContent = `${photo.day} ${photo.words} `;
        const state = document.createElement('em');
        state.textContent = photo.refused ?? 'waits to be sent';
        text.append(state);
        const away = document.createElement('button');
        away.type = 'button';
        away.className = 'quiet';
        away.textContent = 'Discard';
        away.setAttribute('aria-label', `Discard the photo of ${photo.day}`);
        away.addEventListener('click', async () => {
            await dropPhoto(photo.id);
            showWaiting();
        });
        line.append(text, away);
        return line;
    }));
    list.hidden = all.length === 0;
}

/** The pictures as the server has them now. */
async function refresh() {
    const response = await fetch(address, { credentials: 'same-origin' });
    const fresh = response.ok && !response.redirected ? new DOMParser().parseFromString(await response.text(), 'text/html').querySelector('#weeks') : null;
    if (fresh) {
        album.querySelector('#weeks').replaceWith(fresh);
    }
}

async function post(photo) {
    const body = new FormData();
    body.set('_token', document.body.dataset.token);
    body.set('id', photo.id);
    body.set('day', photo.day);
    body.set('words', photo.words);
    body.set('photo', photo.blob, 'photo.jpg');
    const response = await fetch(address, { method: 'POST', body, headers: { Accept: 'application/json' }, credentials: 'same-origin' });
    return { status: response.status, answer: response.headers.get('content-type')?.includes('json') ? await response.json() : {} };
}

async function sendAll() {
    let saved = 0;
    for (const photo of await waitingPhotos(tank)) {
        if (photo.refused) {
            continue;
        }
        let reply;
        try {
            reply = await post(photo);
        } catch {
            say('No connection: the photo is kept on this device and is sent by itself later.');
            timer = setTimeout(flush, AGAIN);
            return;
        }
        if (reply.answer.saved) {
            await dropPhoto(photo.id);
            saved += 1;
        } else if (reply.status === 401 || reply.status === 403) {
            say('You are signed out: the photo is kept on this device and is sent once you have signed in and come back to this page.');
            return;
        } else if (reply.answer.errors) {
            await keepPhoto({ ...photo, refused: Object.values(reply.answer.errors).join(' ') });
        } else {
            say('Olvek could not take this now: the photo is kept on this device and is sent again later.');
            timer = setTimeout(flush, AGAIN);
            return;
        }
    }
    if (saved > 0) {
        say('Saved.');
        await refresh();
    }
}

function flush() {
    clearTimeout(timer);
    sending ??= sendAll().catch(() => {}).finally(() => {
        sending = null;
        showWaiting();
    });
    return sending;
}

/** Why the photo was refused, beside it. */
function tell(why) {
    const place = form.querySelector('[data-photo-error]');
    place.textContent = why;
    place.hidden = why === '';
    form.elements.photo.toggleAttribute('aria-invalid', why !== '');
}

form.addEventListener('submit', async (event) => {
    const file = form.elements.photo.files[0];
    if (!file) {
        // The server says what is missing.
        return;
    }
    event.preventDefault();
    const photo = { id: newId(), tank, day: form.elements.day.value || today(), words: form.elements.words.value.trim(), blob: file };
    try {
        await keepPhoto(photo);
    } catch {
        form.submit();
        return;
    }
    await showWaiting();
    await flush();
    const mine = (await waitingPhotos(tank)).find((one) => one.id === photo.id);
    tell(mine?.refused ?? '');
    if (mine?.refused) {
        // It stands in its form still, so it need not be kept twice.
        await dropPhoto(photo.id);
        await showWaiting();
    } else {
        form.reset();
    }
});

const lens = album.querySelector('[data-lens]');
if (navigator.mediaDevices?.getUserMedia && lens) {
    const video = lens.querySelector('video');
    const ghost = lens.querySelector('[data-ghost]');
    const open = album.querySelector('[data-lens-open]');
    const close = () => {
        video.srcObject?.getTracks().forEach((track) => track.stop());
        video.srcObject = null;
        lens.close();
    };
    open.hidden = false;
    open.addEventListener('click', async () => {
        try {
            video.srcObject = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment', width: { ideal: 1600 } } });
        } catch {
            say('The camera could not be opened: choose a photo instead.');
            return;
        }
        lens.showModal();
        await video.play();
    });
    lens.querySelector('[data-ghost-strength]')?.addEventListener('input', (event) => {
        ghost.style.opacity = event.target.value / 100;
    });
    lens.addEventListener('cancel', close);
    lens.querySelector('[data-lens-close]').addEventListener('click', close);
    lens.querySelector('[data-lens-take]').addEventListener('click', () => {
        const canvas = document.createElement('canvas');
        canvas.width = video.videoWidth;
        canvas.height = video.videoHeight;
        canvas.getContext('2d').drawImage(video, 0, 0);
        canvas.toBlob((blob) => {
            const picked = new DataTransfer();
            picked.items.add(new File([blob], 'tank.jpg', { type: 'image/jpeg' }));
            form.elements.photo.files = picked.files;
            close();
            form.elements.words.focus();
        }, 'image/jpeg', 0.92);
    });
}

window.addEventListener('online', flush);
keepPage(location.pathname, document.body.dataset.keeper);
showWaiting().then(flush).then(() => {
    document.documentElement.dataset.album = 'ready';
});
