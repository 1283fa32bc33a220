import { test, expect, openShelf, filledTank, expectAccessible, tab } from './keeper.js';

/** A planted, filled tank with shrimp, and its log. */
async function filledLog(page, name) {
    await filledTank(page, name);
    await tab(page, 'Log');
    await ready(page);
}

const ready = (page) => expect(page.locator('html[data-log="ready"]')).toBeAttached();
const lines = (page) => page.locator('[data-log-lines]');
const way = (page, name) => page.locator(`#${name} > summary`).click();

test('two taps for what is usual: read, did, saw, a note; each undone', { tag: '@phone' }, async ({ page }) => {
    await filledLog(page, 'At the tank');
    await way(page, 'did');
    await page.getByRole('button', { name: /^Water changed/ }).click();
    await expect(lines(page)).toContainText('30 % of the water changed');
    await expect(page.locator('#did')).not.toHaveAttribute('open');

    await way(page, 'read');
    await page.locator('.log-step', { has: page.locator('[name="step[nitrate]"][value="10"]') }).click();
    await page.locator('#test-temperature').fill('23.4');
    await page.getByRole('button', { name: 'Save reading' }).click();
    await expect(lines(page)).toContainText('Nitrate 10 mg/L as NO₃');
    await expect(lines(page)).toContainText('Temperature 23.4 °C');
    // The same step in the next reading is a reading, and not the last one taken back; pressed again it is taken back.
    await way(page, 'read');
    const ten = page.locator('.log-step', { has: page.locator('[name="step[nitrate]"][value="10"]') });
    await ten.click();
    await expect(ten.locator('input')).toBeChecked();
    await ten.click();
    await expect(ten.locator('input')).not.toBeChecked();
    await way(page, 'read');

    await way(page, 'saw');
    await page.locator('.log-sign', { hasText: 'Young ones' }).click();
    await page.locator('#saw select[name="of"]').selectOption({ label: 'Cherry shrimp' });
    await page.getByLabel('how many').fill('12');
    await page.getByRole('button', { name: 'Save what I saw' }).click();
    await expect(lines(page)).toContainText('12 × Young ones: Cherry shrimp');

    await way(page, 'note');
    await page.locator('textarea[name="note"]').fill('The window was open all night.\nCold.');
    await page.getByRole('button', { name: 'Save note' }).click();
    await expect(lines(page)).toContainText('The window was open all night.');

    await way(page, 'did');
    const died = page.locator('.log-actions li', { hasText: 'Died: Cherry shrimp' });
    await died.locator('summary').click();
    await died.getByLabel(/number/).fill('2');
    await died.getByLabel('they died').selectOption({ label: 'jumped out' });
    await died.getByRole('button', { name: 'Log it so' }).click();
    await expect(lines(page)).toContainText('2 × Cherry shrimp died, jumped out');
    await page.getByRole('button', { name: /^Undo 2 × Cherry shrimp died/ }).click();
    await expect(lines(page)).not.toContainText('died');
    await page.reload();
    await expect(lines(page)).toContainText('30 % of the water changed');
    await expect(lines(page)).not.toContainText('died');
});

test('what cannot be is told and stays typed', { tag: '@phone' }, async ({ page }) => {
    await filledLog(page, 'Refused lines');
    await way(page, 'read');
    await page.locator('#test-ph').fill('74');
    await page.getByRole('button', { name: 'Save reading' }).click();
    await expect(page.locator('[data-notice]')).toContainText('Outside the possible range: pH');
    await expect(page.locator('#test-ph')).toHaveValue('74');
    await page.locator('#test-ph').fill('7.4');
    await page.getByRole('button', { name: 'Save reading' }).click();
    await expect(lines(page)).toContainText('pH 7.4');
    await expect(lines(page)).not.toContainText('74');
    await page.getByRole('button', { name: 'Save reading' }).waitFor({ state: 'hidden' });
    await way(page, 'read');
    await page.getByRole('button', { name: 'Save reading' }).click();
    await expect(page.locator('[data-notice]')).toContainText('at least one reading');
});

test('with the signal gone, every kind of entry waits on the device, the page opens, and each is kept once', { tag: '@phone' }, async ({ page, context }) => {
    // What the browser says of a connection that is gone is what is tested here.
    page.removeAllListeners('console');
    await filledLog(page, 'No signal');
    await expect(page.locator('html[data-kept="yes"]')).toBeAttached();
    await context.setOffline(true);
    await way(page, 'did');
    await page.getByRole('button', { name: /^Topped up/ }).click();
    await expect(page.locator('[data-notice]')).toContainText('No connection: one entry is kept on this device');
    await way(page, 'read');
    await page.locator('.log-step', { has: page.locator('[name="step[nitrite]"][value="0"]') }).click();
    await page.getByRole('button', { name: 'Save reading' }).click();
    await way(page, 'saw');
    await page.locator('.log-sign', { hasText: 'Soft green threads' }).click();
    await page.getByRole('button', { name: 'Save what I saw' }).click();
    await way(page, 'note');
    await page.locator('textarea[name="note"]').fill('Typed in the cellar');
    await page.getByRole('button', { name: 'Save note' }).click();
    await way(page, 'measure');
    await page.locator('[name="test[heads@a1]"]').fill('9');
    await page.getByRole('button', { name: 'Save what I measured' }).click();
    await expect(page.locator('.log-waits')).toHaveCount(5);
    await page.reload();
    await ready(page);
    await expect(page.locator('.log-waits'), 'the page opens without a signal, and nothing is lost').toHaveCount(5);
    await expectAccessible(page);

    // The answer to one is lost on its way: it is sent again, and kept once.
    await context.setOffline(false);
    let lost = 0;
    await page.route('**/log', async (route) => {
        if (route.request().method() === 'POST' && lost === 0) {
            lost += 1;
            await route.fetch();
            await route.abort();
        } else {
            await route.continue();
        }
    });
    await expect(async () => {
        await page.evaluate(() => window.dispatchEvent(new Event('online')));
        await expect(page.locator('.log-waits')).toHaveCount(0, { timeout: 1000 });
    }).toPass();
    expect(lost).toBe(1);
    for (const words of [/Topped up, /, /Nitrite 0/, /Soft green threads/, /Typed in the cellar/, /Animals 9/]) {
        await expect(lines(page).getByText(words).first()).toBeVisible();
    }
    await expect(page.locator('#lines-title')).toHaveText('5 lines, newest first');
});

test('signed out at the tank, nothing is lost', { tag: '@phone' }, async ({ page, context }) => {
    await filledLog(page, 'Signed out');
    const address = page.url();
    await way(page, 'did');
    await page.getByRole('button', { name: /^Water changed/ }).click();
    await expect(lines(page)).toContainText('30 % of the water changed');
    await context.clearCookies();
    await page.getByRole('button', { name: /^Undo 30 %/ }).click();
    await expect(page.locator('[data-notice]')).toContainText('You are signed out, so the line stays');
    await expect(lines(page)).toContainText('30 % of the water changed');
    await way(page, 'did');
    await page.getByRole('button', { name: /^Mulm siphoned/ }).click();
    await expect(page.locator('[data-notice]')).toContainText('You are signed out: one entry is kept on this device and is sent once you have signed in');
    await page.goto('/sign-in');
    await page.getByRole('button', { name: 'Open the ferry landing’s shelf' }).click();
    await page.goto(address);
    await expect(lines(page)).toContainText('Mulm and dying leaves removed');
    await expect(page.locator('.log-waits')).toHaveCount(0);
});

test('over plain http, where a browser makes no ids of its own, an entry is sent all the same', { tag: '@phone' }, async ({ page }) => {
    await page.addInitScript(() => {
        delete Crypto.prototype.randomUUID;
        delete Navigator.prototype.serviceWorker;
    });
    await filledLog(page, 'In the house');
    await way(page, 'did');
    await page.getByRole('button', { name: /^Glass wiped/ }).click();
    await expect(lines(page)).toContainText('Glass wiped');
});

test.describe('without scripts', () => {
    test.use({ javaScriptEnabled: false });
    test('the same forms work', { tag: '@phone' }, async ({ page }) => {
        await openShelf(page);
        await page.getByRole('link', { name: /Waiting hall/ }).first().click();
        await tab(page, 'Log');
        await way(page, 'note');
        await page.locator('textarea[name="note"]').fill('Without a script');
        await page.getByRole('button', { name: 'Save note' }).click();
        await expect(lines(page)).toContainText('Without a script');
        await page.getByRole('button', { name: 'Undo Without a script' }).first().click();
        await expect(lines(page)).not.toContainText('Without a script');
    });
});

for (const colorScheme of ['light', 'dark']) {
    test.describe(colorScheme, () => {
        test.use({ colorScheme });
        test('nothing for axe to find on the log', { tag: colorScheme === 'light' ? '@both' : '@desk' }, async ({ page }) => {
            await openShelf(page);
            await page.getByRole('link', { name: /Waiting hall/ }).first().click();
            await tab(page, 'Log');
            await ready(page);
            await expectAccessible(page);
            for (const name of ['read', 'did', 'saw', 'measure', 'note']) {
                await way(page, name);
                // Its button rests below what it saves, and lies over none of it.
                await page.locator(`#${name} form`).last().evaluate((form) => window.scrollTo(0, form.getBoundingClientRect().bottom + window.scrollY - window.innerHeight + 20));
                await expectAccessible(page, `#${name}`);
            }
            await page.getByRole('link', { name: 'Charts' }).click();
            await expect(page.locator('.ahead-band').first(), 'the page looks again until the band is there').toBeAttached({ timeout: 60_000 });
            await expectAccessible(page);
            await page.locator('.chart-small a').first().click();
            await expect(page.locator('.chart'), 'one is large').toHaveCount(1);
            await page.getByText('As a table').click();
            await expect(page.locator('.chart tbody tr').first()).toBeVisible();
            await expectAccessible(page);
        });
    });
}
