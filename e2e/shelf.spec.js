import { test, expect, openShelf, expectAccessible, tab } from './keeper.js';

test('the shelf shows the four vessels of the landing and what is to be said of each', async ({ page }) => {
    await openShelf(page);
    // What runs is judged as it is, what is planned as it would be.
    for (const [name, words] of Object.entries({ 'Waiting hall': 'All is well', Galley: 'showed nitrite at a level that harms the animals', 'Ticket window': 'This should work', Terrace: 'This can work' })) {
        await expect(page.locator('.shelf-tank', { hasText: name }).first()).toContainText(words);
    }
});

test('a plan goes out as a file and comes back', async ({ page }, info) => {
    await openShelf(page);
    await page.getByRole('heading', { name: 'Galley' }).first().click();
    await tab(page, 'Plan');
    const download = page.waitForEvent('download');
    await page.locator('#files > summary').click();
    await page.getByRole('link', { name: 'Plan as file' }).click();
    const file = await (await download).path();
    await page.goto('/tanks/new');
    await page.getByLabel('file', { exact: true }).setInputFiles(file);
    await page.getByRole('button', { name: 'Import' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Galley');
    await page.goto('/tanks/new');
    await page.getByLabel('or its text').fill(`{"broken by": "${info.project.name}"`);
    await page.getByRole('button', { name: 'Import' }).click();
    await expect(page.getByRole('alert')).toContainText('This is not JSON');
    await expect(page.getByLabel('or its text')).toHaveValue(/broken by/);
});

test('someone who is signed out keeps what was typed', async ({ page, context }) => {
    await openShelf(page);
    await page.getByRole('heading', { name: 'Galley' }).first().click();
    await tab(page, 'Plan');
    await page.locator('#light > summary').click();
    await context.clearCookies();
    await page.locator('#f-light-hours').fill('5');
    await page.locator('#f-light-hours').press('Tab');
    await expect(page.locator('[data-notice]')).toContainText('You are signed out');
    await expect(page.locator('#f-light-hours')).toHaveValue('5');
});

test('an address that is none says so', async ({ page }) => {
    await openShelf(page);
    const response = await page.request.get('/tanks/01890000-0000-7000-8000-000000000000');
    expect(response.status()).toBe(404);
    expect(await response.text()).toContain('There is no such tank on your shelf.');
});

for (const colorScheme of ['light', 'dark']) {
    test.describe(`${colorScheme}`, () => {
        test.use({ colorScheme });
        test('nothing for axe to find on sign-in, shelf and start', { tag: colorScheme === 'light' ? '@both' : '@desk' }, async ({ page }) => {
            await page.goto('/sign-in');
            await expectAccessible(page);
            await openShelf(page);
            await expectAccessible(page);
            await page.goto('/tanks/new');
            await expectAccessible(page);
            await page.getByRole('button', { name: 'Create tank' }).click();
            await expectAccessible(page);
        });
    });
}
