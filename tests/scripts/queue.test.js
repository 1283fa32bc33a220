import assert from 'node:assert/strict';
import { test } from 'node:test';
import { inTurn } from '../../assets/scripts/queue.js';

test('each waits for the one before it, and reads what it needs only then', async () => {
    const seen = [];
    let base = 1;
    const send = inTurn(async (name, at) => {
        seen.push(`${name} begins at ${at}`);
        await new Promise((done) => {
            setTimeout(done, 5);
        });
        base += 1;
        seen.push(`${name} ends`);
    });
    await Promise.all([send(() => ['a', base]), send(() => ['b', base])]);
    assert.deepEqual(seen, ['a begins at 1', 'a ends', 'b begins at 2', 'b ends']);
});
