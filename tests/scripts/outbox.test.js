import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { drop, idOf, newId, put, send, waiting } from '../../assets/scripts/outbox.js';

const TANK = 'tank-1';
const entry = (id, more = {}) => ({ fields: [['kind', 'did'], ['id', id]], words: `entry ${id}`, ...more });

/** What the server was sent, and what it answers in turn: a status, or nothing where the connection is cut. */
let posted;
const answers = (...replies) => {
    posted = [];
    globalThis.fetch = async (address, { body }) => {
        posted.push(Object.fromEntries(body));
        const reply = replies.shift();
        if (reply === undefined) {
            throw new TypeError('cut');
        }
        return Response.json(reply.answer ?? {}, { status: reply.status });
    };
};
const SAVED = { status: 200, answer: { saved: true } };

beforeEach(() => {
    const kept = new Map();
    globalThis.localStorage = {
        getItem: (name) => kept.get(name) ?? null,
        setItem: (name, value) => kept.set(name, value),
        removeItem: (name) => kept.delete(name),
    };
    globalThis.document = { body: { dataset: { keeper: 'runa' } } };
});

test('entries are kept in their order, each under its keeper’s name', () => {
    put(TANK, entry('a'));
    put(TANK, entry('b'));
    put('another', entry('c'));
    assert.deepEqual(waiting(TANK).map((one) => [idOf(one), one.keeper]), [['a', 'runa'], ['b', 'runa']]);
    drop(TANK, 'a');
    assert.deepEqual(waiting(TANK).map(idOf), ['b']);
});

test('ids are random UUIDs of version 4', () => {
    const ids = Array.from({ length: 50 }, newId);
    ids.forEach((id) => assert.match(id, /^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/));
    assert.equal(new Set(ids).size, 50);
});

test('what is not readable counts as nothing, and is not in the way', () => {
    localStorage.setItem('olvek.outbox.tank-1', 'half a te');
    assert.deepEqual(waiting(TANK), []);
});

test('all that waits is sent, the oldest first, and let go', async () => {
    put(TANK, entry('a'));
    put(TANK, entry('b'));
    answers(SAVED, SAVED);
    assert.deepEqual(await send(TANK, '/log', 'token'), { saved: 2, refused: [], why: '' });
    assert.deepEqual(posted.map(({ id, _token }) => [id, _token]), [['a', 'token'], ['b', 'token']]);
    assert.deepEqual(waiting(TANK), []);
});

test('a cut connection leaves everything where it is', async () => {
    put(TANK, entry('a'));
    put(TANK, entry('b'));
    answers(SAVED);
    assert.deepEqual(await send(TANK, '/log', 't'), { saved: 1, refused: [], why: 'offline' });
    assert.deepEqual(waiting(TANK).map(idOf), ['b']);
});

for (const [status, why] of [[401, 'signed-out'], [403, 'signed-out'], [429, 'busy'], [500, 'busy']]) {
    test(`an answer of ${status} keeps the entry and says why`, async () => {
        put(TANK, entry('a'));
        answers({ status });
        assert.deepEqual(await send(TANK, '/log', 't'), { saved: 0, refused: [], why });
        assert.equal(waiting(TANK).length, 1);
    });
}

test('what is refused stays with its reason, is not sent again, and holds nothing up', async () => {
    put(TANK, entry('a'));
    put(TANK, entry('b'));
    answers({ status: 422, answer: { errors: { day: 'Not a day.' } } }, SAVED);
    const outcome = await send(TANK, '/log', 't');
    assert.equal(outcome.saved, 1);
    assert.deepEqual(outcome.refused.map((one) => one.errors), [{ day: 'Not a day.' }]);
    assert.deepEqual(waiting(TANK).map((one) => [idOf(one), one.refused]), [['a', 'Not a day.']]);
    answers();
    assert.equal((await send(TANK, '/log', 't')).why, '');
    assert.deepEqual(posted, []);
});

test('another’s tank is told as such', async () => {
    put(TANK, entry('a'));
    answers({ status: 404 });
    await send(TANK, '/log', 't');
    assert.match(waiting(TANK)[0].refused, /not on the shelf of whoever is signed in/);
});
