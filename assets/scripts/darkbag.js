/** Photos that have not reached the server yet: kept in the browser's own database, since they are too large for anything else. */
const NAME = 'olvek-photos';
const STORE = 'waiting';

function opened() {
    return new Promise((resolve, reject) => {
        const request = indexedDB.open(NAME, 1);
        request.onupgradeneeded = () => request.result.createObjectStore(STORE, { keyPath: 'id' });
        request.onsuccess = () => resolve(request.result);
        request.onerror = () => reject(request.error);
    });
}

async function within(mode, work) {
    const database = await opened();
    try {
        return await new Promise((resolve, reject) => {
            const transaction = database.transaction(STORE, mode);
            const request = work(transaction.objectStore(STORE));
            transaction.oncomplete = () => resolve(request.result);
            transaction.onerror = () => reject(transaction.error);
            transaction.onabort = () => reject(transaction.error);
        });
    } finally {
        database.close();
    }
}

/**
 * Under the name of whoever is signed in, if it has none yet.
 *
 * @param {{id: string, tank: string, day: string, words: string, blob: Blob, keeper?: string, refused?: string}} photo
 */
export const keepPhoto = (photo) => within('readwrite', (store) => store.put({ keeper: document.body.dataset.keeper, ...photo }));
export const dropPhoto = (id) => within('readwrite', (store) => store.delete(id));

/** Of one tank, in the order in which they were taken; none where the browser keeps nothing. */
export async function waitingPhotos(tank) {
    try {
        const all = await within('readonly', (store) => store.getAll());
        return all.filter((photo) => photo.tank === tank);
    } catch {
        return [];
    }
}
