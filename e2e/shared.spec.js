import { test, expect, signInAlone, filledTank, newTank, openStage, ready, sends, tab, menu } from './keeper.js';

/** What a device keeps, who sees it, and what is said when a connection is cut. */

const caches = (page) => page.evaluate(() => window.caches.keys());
const opened = (page) => expect(page.locator('html[data-log="ready"]')).toBeAttached();
const signOut = async (page) => {
    await menu(page);
    await page.getByRole('button', { name: /^Sign out/ }).click();
};
const signIn = async (page, name) => {
    await page.goto('/sign-in');
    await page.getByLabel('name', { exact: true }).fill(name);
    await page.getByLabel('password').fill('a few words in a row');
    await page.getByLabel('password').press('Enter');
    await expect(page.getByRole('heading', { level: 1 })).toContainText('shelf');
};

test('on a device of two keepers, neither is shown what the other has kept on it', { tag: '@phone' }, async ({ page, context }) => {
    // What the browser says of a connection that is gone is what is tested here.
    page.removeAllListeners('console');
    await signInAlone(page, 'first-of-two');
    await filledTank(page, 'Kept by the first', newTank);
    await tab(page, 'Log');
    await opened(page);
    const address = page.url();
    await expect(page.locator('html[data-kept="yes"]')).toBeAttached();
    expect(await caches(page)).toHaveLength(1);
    await context.setOffline(true);
    await page.locator('#did > summary').click();
    await page.getByRole('button', { name: /^Topped up/ }).click();
    await expect(page.locator('.log-waits')).toHaveCount(1);
    await page.route('**/log', (route) => (route.request().method() === 'POST' ? route.abort() : route.continue()));
    await context.setOffline(false);

    // Asked first, since something waits; "no" leaves everything as it is.
    const asked = [];
    page.once('dialog', async (dialog) => {
        asked.push(dialog.message());
        await dialog.dismiss();
    });
    await signOut(page);
    await expect.poll(() => asked.length).toBe(1);
    expect(asked[0]).toContain('One entry waits on this device and has not been sent yet');
    await expect(page.locator('.log-waits')).toHaveCount(1);
    page.once('dialog', (dialog) => dialog.accept());
    await signOut(page);
    await expect(page.getByLabel('password')).toBeVisible();
    expect(await caches(page), 'no page of the first is left on the device').toEqual([]);
    await page.unroute('**/log');

    await signInAlone(page, 'second-of-two');
    await context.setOffline(true);
    await page.goto(address).catch(() => {});
    await expect(page.locator('body')).not.toContainText('Kept by the first');
    await context.setOffline(false);
    expect((await page.goto(address)).status(), 'another’s tank').toBe(404);
    await page.goto('/');
    await expect(page.locator('body')).not.toContainText('Kept by the first');
    await signOut(page);
    await expect(page.getByLabel('password')).toBeVisible();

    await signIn(page, 'first-of-two');
    await page.goto(address);
    await expect(page.locator('[data-log-lines]'), 'what waited is sent once its keeper is back').toContainText('Topped up');
    await expect(page.locator('.log-waits')).toHaveCount(0);
});

test('a logbook without forms still answers while an entry waits', { tag: '@phone' }, async ({ page, context }) => {
    page.removeAllListeners('console');
    await signInAlone(page, 'not-filled-any-more');
    await filledTank(page, 'Filled and emptied', newTank);
    const build = page.url();
    await tab(page, 'Log');
    await opened(page);
    const address = page.url();
    await context.setOffline(true);
    await page.locator('#did > summary').click();
    await page.getByRole('button', { name: /^Topped up/ }).click();
    await expect(page.locator('.log-waits')).toHaveCount(1);
    // Its filling is taken back elsewhere: the logbook has no forms then.
    await page.goto('about:blank');
    await context.setOffline(false);
    await page.goto(build);
    await page.locator('#step-fill summary').click();
    await sends(page, () => page.locator('#step-fill').getByRole('button', { name: 'Undo Fill slowly' }).click());
    await page.goto(address);
    await opened(page);
    await expect(page.locator('[data-log-form]')).toHaveCount(0);
    await expect(page.locator('.log-waits'), 'what waits can be read').toHaveCount(1);
    // A page that goes round without an end answers nothing, this neither.
    expect(await page.evaluate(() => new Promise((resolve) => setTimeout(() => resolve('answers'), 300)))).toBe('answers');
    await page.locator('.log-waits').getByRole('button').first().click();
    await expect(page.locator('.log-waits'), 'and thrown away').toHaveCount(0);
});

test('a cut connection is told as what it is, and a change sent again is one change', async ({ page }) => {
    page.removeAllListeners('console');
    await signInAlone(page, 'cut-off');
    await newTank(page, 'Cut off');
    await openStage(page, 'light');
    let cut = 0;
    await page.route('**/edit*', async (route) => {
        if (cut < 2) {
            cut += 1;
            await route.fetch();
            await route.abort();
        } else {
            await route.continue();
        }
    });
    const hours = page.locator('#f-light-hours');
    await hours.fill('7');
    await hours.press('Enter');
    await expect(page.locator('[data-notice]')).toContainText('it isn’t known whether this was saved');
    expect(cut, 'sent again by itself, once').toBe(2);
    await expect(hours).toHaveValue('7');
    await hours.press('Enter');
    await expect(page.locator('[data-notice]')).not.toContainText('known');
    await page.reload();
    await ready(page);
    await openStage(page, 'light');
    await expect(hours).toHaveValue('7');
    await tab(page, 'History');
    await expect(page.locator('main').getByText(/light/i), 'sent three times, and one change').toHaveCount(1);
});
