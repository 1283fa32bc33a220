/** The account: settings, password, what is downloaded and uploaded, what is removed; and the pages that strangers see. */
import { test, expect, openShelf, startTank, expectAccessible, menu } from './keeper.js';

test('the account page is kept, and reads well to everybody', async ({ page }) => {
    await openShelf(page);
    await menu(page);
    await page.getByRole('link', { name: 'Account' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Account');
    await expectAccessible(page);
    await page.getByLabel('name on your shelf').fill('');
    await page.evaluate(() => document.querySelector('#display').removeAttribute('required'));
    await page.locator('#settings').getByRole('button', { name: 'Save' }).click();
    await expect(page.locator('#settings .field-error')).toContainText('Give the name');
    await page.getByLabel('name on your shelf').fill('The ferry landing');
    await page.locator('#settings').getByRole('button', { name: 'Save' }).click();
    await expect(page.locator('#settings .kept')).toHaveText('Saved.');
    await page.getByLabel('the password you have').fill('not the one');
    await page.getByLabel('the new one', { exact: true }).fill('a few words in a row');
    await page.getByLabel('the new one again').fill('a few words in a row');
    await page.getByRole('button', { name: 'Change the password' }).click();
    await expect(page.locator('#password .field-error')).toContainText('not your password');
});

test('a tank is removed after being asked twice, and brought back', async ({ page }, info) => {
    const name = `Spare ${info.project.name}`;
    await startTank(page, name);
    await menu(page);
    await page.getByRole('link', { name: 'Account' }).click();
    await page.getByRole('link', { name: `Remove ${name}` }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(`Remove ${name}?`);
    await expectAccessible(page);
    await page.getByRole('link', { name: 'Leave it where it is' }).click();
    await page.getByRole('link', { name: `Remove ${name}` }).click();
    await page.getByRole('button', { name: `Remove ${name}` }).click();
    await expect(page.locator('#tanks .kept')).toContainText('off the shelf');
    await expectAccessible(page);
    await page.getByRole('button', { name: `Bring back ${name}` }).click();
    await expect(page.locator('#tanks').getByRole('link', { name, exact: true })).toBeVisible();
});

test('everything is downloaded as one file, and uploaded again without doubling', async ({ page }) => {
    await openShelf(page);
    await page.goto('/account');
    const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Download everything' }).click()]);
    expect(file.suggestedFilename()).toMatch(/\.olvek\.zip$/);
    await page.getByLabel('a file that you downloaded here').setInputFiles(await file.path());
    await page.getByRole('button', { name: 'Upload it' }).click();
    await expect(page.locator('.brought')).toContainText('Waiting hall');
    await expect(page.locator('.brought')).toContainText('is already here');
    await expectAccessible(page);
    await page.goto('/account/remove');
    await expectAccessible(page);
});

for (const [path, heading, status] of [['/sign-in', 'Will this tank balance?', 200], ['/register', 'No accounts are made here', 404], ['/account/gone', 'Your account has been removed', 200]]) {
    test(`strangers at ${path}`, async ({ browser, baseURL }) => {
        const context = await browser.newContext({ baseURL });
        const page = await context.newPage();
        const response = await page.goto(path);
        expect(response.status()).toBe(status);
        await expect(page.getByRole('heading', { level: 1 })).toHaveText(heading);
        await expectAccessible(page);
        expect(await context.cookies()).toEqual([]);
        await context.close();
    });
}

test('a wrong password is told at once, and leads on when it is right', async ({ browser, baseURL }) => {
    const context = await browser.newContext({ baseURL });
    const page = await context.newPage();
    await page.goto('/almanac');
    await page.getByLabel('name').fill('ferry-landing');
    await page.getByLabel('password').fill('wrong');
    await page.getByRole('button', { name: 'Sign in', exact: true }).click();
    await expect(page.getByRole('alert')).toContainText('do not go together');
    await expect(page.getByLabel('name')).toHaveValue('ferry-landing');
    await expectAccessible(page);
    await context.close();
});
