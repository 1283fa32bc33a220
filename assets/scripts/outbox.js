/**
 * Entries of a tank's logbook that have not reached the server yet: kept on the device, in their order, each with an id of its own, so that
 * one that is sent twice is kept once. What the server refuses stays here too, with the reason, until the keeper throws it away.
 */

/**
 * @typedef {{fields: [string, string][], words: string, keeper?: string, refused?: string}} Entry
 * @typedef {{saved: number, refused: {entry: Entry, errors: Record<string, string>}[], why: '' | 'offline' | 'signed-out' | 'busy'}} Outcome
 */

/** @param {string} tank */
const key = (tank) => `olvek.outbox.${tank}`;

/**
 * @param {string} tank
 * @returns {Entry[]} oldest first
 */
export function waiting(tank) {
    try {
        return JSON.parse(localStorage.getItem(key(tank)) ?? '[]') ?? [];
    } catch {
        return [];
    }
}

/**
 * @param {string} tank
 * @param {Entry[]} entries
 */
function keep(tank, entries) {
    if (entries.length === 0) {
        localStorage.removeItem(key(tank));
    } else {
        localStorage.setItem(key(tank), JSON.stringify(entries));
    }
}

/**
 * Keeps an entry under the name of whoever is signed in.
 *
 * @param {string} tank
 * @param {Entry} entry
 * @throws where the device keeps nothing, or has no room
 */
export function put(tank, entry) {
    keep(tank, [...waiting(tank), { ...entry, keeper: document.body.dataset.keeper }]);
}

/** A random UUID (RFC 9562, version 4); randomUUID() itself is there only where the page came over https. */
export function newId() {
    const bytes = crypto.getRandomValues(new Uint8Array(16));
    bytes[6] = (bytes[6] & 0x0f) | 0x40;
    bytes[8] = (bytes[8] & 0x3f) | 0x80;
    const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');
    return hex.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5');
}

/** @param {Entry} entry */
export const idOf = (entry) => entry.fields.find(([name]) => name === 'id')?.[1] ?? '';

/**
 * @param {string} tank
 * @param {string} id
 */
export function drop(tank, id) {
    keep(tank, waiting(tank).filter((entry) => idOf(entry) !== id));
}

/**
 * @param {string} tank
 * @param {string} id
 * @param {string} refused why
 */
function mark(tank, id, refused) {
    keep(tank, waiting(tank).map((entry) => (idOf(entry) === id ? { ...entry, refused } : entry)));
}

/**
 * Sends all that waits, the oldest first.
 *
 * @param {string} tank
 * @param {string} address of its logbook
 * @param {string} token by which it is known to be ours
 * @returns {Promise<Outcome>}
 */
export async function send(tank, address, token) {
    let saved = 0;
    /** @type {Outcome['refused']} */
    const refused = [];
    const post = async (/** @type {Entry} */ entry) => {
        const body = new URLSearchParams(entry.fields);
        body.set('_token', token);
        const response = await fetch(address, { method: 'POST', body, headers: { Accept: 'application/json' }, credentials: 'same-origin' });
        return { status: response.status, answer: response.headers.get('content-type')?.includes('json') ? await response.json() : {} };
    };
    // Looked for anew each time: more may be entered while one is under way.
    const next = () => waiting(tank).find((one) => one.refused === undefined);
    for (let entry = next(); entry !== undefined; entry = next()) {
        let reply;
        try {
            reply = await post(entry);
        } catch {
            return { saved, refused, why: 'offline' };
        }
        if (reply.status === 401 || reply.status === 403) {
            return { saved, refused, why: 'signed-out' };
        }
        if (reply.answer.saved) {
            drop(tank, idOf(entry));
            saved += 1;
        } else if (reply.status === 404) {
            mark(tank, idOf(entry), 'This tank is not on the shelf of whoever is signed in: sign in as its keeper, or discard this.');
        } else if (reply.answer.errors) {
            refused.push({ entry, errors: reply.answer.errors });
            mark(tank, idOf(entry), Object.values(reply.answer.errors).join(' '));
        } else {
            return { saved, refused, why: 'busy' };
        }
    }
    return { saved, refused, why: '' };
}
