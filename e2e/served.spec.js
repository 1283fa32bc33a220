/* The server itself, asked as often as it takes for PHP to compile what it runs. */
import { expect, test } from '@playwright/test';

test('answers each time, however often it is asked', async ({ request }) => {
    for (const page of ['/sign-in', '/health']) {
        for (let n = 0; n < 300; n += 1) {
            expect((await request.get(page)).status(), `${page}, look ${n}`).toBe(200);
        }
    }
});
