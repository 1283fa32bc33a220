/**
 * On every page of a keeper: a device that several people share never shows one of them what another has kept on it. Pages kept of another keeper
 * are thrown away, and one's own where one signs out. What still waits to be sent stays: it is sent once its keeper is back, and that is said.
 */
const PREFIX = 'olvek-log.';
const { keeper } = document.body.dataset;

async function forget(all) {
    const names = await window.caches?.keys() ?? [];
    await Promise.all(names.filter((name) => name.startsWith('olvek-log') && (all || name !== PREFIX + keeper)).map((name) => caches.delete(name)));
}

/** What another keeper has left here is not this one's to decide. */
const isOurs = (kept) => kept.keeper === undefined || kept.keeper === keeper;

const entries = () => Object.keys(localStorage)
    .filter((name) => name.startsWith('olvek.outbox.'))
    .reduce((count, name) => count + JSON.parse(localStorage.getItem(name)).filter(isOurs).length, 0);

const photos = () => new Promise((resolve) => {
    const request = indexedDB.open('olvek-photos', 1);
    request.onupgradeneeded = () => request.transaction.abort();
    request.onerror = () => resolve(0);
    request.onsuccess = () => {
        const database = request.result;
        const all = database.transaction('waiting').objectStore('waiting').getAll();
        all.onsuccess = () => {
            database.close();
            resolve(all.result.filter(isOurs).length);
        };
        all.onerror = () => resolve(0);
    };
});

forget(false).catch(() => {});

document.querySelector('form.leave')?.addEventListener('submit', async (event) => {
    if (event.target.dataset.sure === 'yes') {
        return;
    }
    event.preventDefault();
    let waiting = 0;
    try {
        waiting = entries() + await photos();
        await forget(true);
    } catch {
        // A browser that keeps nothing has nothing to say.
    }
    const words = waiting === 1 ? 'One entry waits on this device and has' : `${waiting} entries wait on this device and have`;
    // The question is the browser's own: it works without a connection too.
    if (waiting === 0 || confirm(`${words} not been sent yet. They stay here, and are sent when you sign in again in this browser. Sign out now?`)) {
        event.target.dataset.sure = 'yes';
        event.target.requestSubmit();
    }
});
