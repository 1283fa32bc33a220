import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { patiently } from '../../assets/scripts/patient.js';

/** A template as a browser has it, as far as it is used: text of what was put in. */
beforeEach(() => {
    globalThis.document = {
        createElement: () => ({
            content: { textContent: '' },
            set innerHTML(html) {
                this.content.textContent = html.replace(/<[^>]*>/g, '');
            },
        }),
    };
});

const later = (status, words) => new Response(words, { status, headers: { 'Content-Type': 'text/html', 'Retry-After': '0' } });

test('is asked again while the server is at it, and tells what it says meanwhile', async () => {
    const replies = [later(202, '<p>Trying 1 of 3</p>'), later(429, '<p>Your turn is next</p>'), later(200, 'done')];
    globalThis.fetch = async () => replies.shift();
    const told = [];
    const answer = await patiently('/solve', {}, (words) => told.push(words));
    assert.equal(await answer.text(), 'done');
    assert.deepEqual(told, ['Trying 1 of 3', 'Your turn is next']);
});

test('any other answer is the answer', async () => {
    globalThis.fetch = async () => later(503, 'full');
    assert.equal((await patiently('/solve')).status, 503);
});

test('stopping ends the waiting at once', async () => {
    globalThis.fetch = async () => new Response('', { status: 202, headers: { 'Retry-After': '60' } });
    const asking = new AbortController();
    const answer = patiently('/solve', { signal: asking.signal });
    setTimeout(() => asking.abort(), 5);
    await assert.rejects(answer, { name: 'AbortError' });
});
