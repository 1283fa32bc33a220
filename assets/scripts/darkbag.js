/**
 * Photos that have not reached the server yet: kept in the browser's own database, since they are too large for anything else.
 *
 * @typedef {{id: string, tank: string, day: string, words: string, blob: Blob, keeper?: string, refused?: string}} WaitingPhoto
 */
const NAME = 'olvek-photos';
const STORE = 'waiting';

/** @returns {Promise<IDBDatabase>} */
function opened() {
    return new Promise((resolve, reject) => {
        const request = indexedDB.open(NAME, 1);
        request.onupgradeneeded = () => request.result.createObjectStore(STORE, { keyPath: 'id' });
        request.onsuccess = () => resolve(request.result);
        request.onerror = () => reject(request.error);
    });
}

/**
 * @template T
 * @param {IDBTransactionMode} mode
 * @param {(store: IDBObjectStore) => IDBRequest<T>} work
 * @returns {Promise<T>}
 */
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
 * @param {WaitingPhoto} photo
 */
export const keepPhoto = (photo) => within('readwrite', (store) => store.put({ keeper: document.body.dataset.keeper, ...photo }));
/** @param {string} id */
export const dropPhoto = (id) => within('readwrite', (store) => store.delete(id));

/**
 * Of one tank, in the order in which they were taken; none where the browser keeps nothing.
 *
 * @param {string} tank
 * @returns {Promise<WaitingPhoto[]>}
 */
export async function waitingPhotos(tank) {
    try {
        const all = await within('readonly', (store) => store.getAll());
        return all.filter((photo) => photo.tank === tank);
    } catch {
        return [];
    }
}
