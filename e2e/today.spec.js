import { test, expect, sends, filledTank, expectAccessible, openShelf, tab, menu } from './keeper.js';

/** A planted, filled tank with animals that came yesterday in its logbook. */
async function running(page, name) {
    await filledTank(page, name);
    await tab(page, 'Log');
    await expect(page.locator('html[data-log="ready"]')).toBeAttached();
    await page.locator('#did > summary').click();
    await page.getByRole('button', { name: /^Came: Cherry shrimp/ }).click();
    await expect(page.locator('[data-log-lines]')).toContainText('Cherry shrimp came');
}

/** What takes long fills in by itself. */
const known = (page, what) => expect(page.locator(what).first()).toBeVisible({ timeout: 100_000 });

test('a tank as it is, asked, and the answer planned', { tag: '@phone' }, async ({ page }) => {
    test.slow();
    await running(page, 'Asked');
    await page.locator('#read > summary').click();
    await page.locator('.log-step', { has: page.locator('[name="step[nitrate]"][value="10"]') }).click();
    await page.getByRole('button', { name: 'Save reading' }).click();
    await expect(page.locator('[data-log-lines]')).toContainText('Nitrate 10');
    await tab(page, 'Today');
    await known(page, '.verdict-line');
    await expect(page.locator('.today-tank svg').first()).toBeVisible();
    await known(page, '.gauge-group');
    await expect(page.locator('#estimate')).toContainText('From 1 reading');
    await page.locator('.gauge-group > summary').first().click();
    await expect(page.locator('.estimated', { hasText: 'Nitrate' }).locator('.read-dot')).toBeAttached();
    await expectAccessible(page);

    const more = page.locator('.ask-topic form', { hasText: 'more cherry shrimp' });
    await more.locator('.number').fill('4000');
    await more.getByRole('button').click();
    await known(page, '.verdict-line, #amount-error');
    await expect(page.locator('.verdict-line')).toContainText('Better not');
    await expect(page.locator('.compared')).toContainText('Oxygen before dawn');
    await expectAccessible(page);
    await page.getByRole('link', { name: 'Ask something else' }).click();

    await page.locator('.ask-topic form', { hasText: 'Away for 3 weeks' }).getByRole('button').click();
    await known(page, '.sitter');
    await expect(page.locator('.sitter')).toContainText('Change no water');
    await expectAccessible(page);
    await sends(page, () => page.getByRole('button', { name: /^Plan it for tomorrow/ }).click());
    await expect(page.locator('.last-change')).toContainText('holiday');
    await expect(page.locator('#f-events-e1-days')).toHaveValue('21');
});

test('what is marked opens where it is, and what is due is done in place', async ({ page, baseURL }) => {
    await running(page, 'In place');
    await page.context().addCookies([{ name: 'olvek-days-ahead', value: '16', url: baseURL }]);
    await tab(page, 'Today');
    await page.locator('.tank-mark').first().click();
    await expect(page.locator('.tank-note:visible')).toHaveCount(1);
    await page.keyboard.press('Tab');
    await page.keyboard.press('Escape');
    await expect(page.locator('.tank-note:visible')).toHaveCount(0);
    await expect(page.locator('.tank-mark').first()).toBeFocused();

    const address = page.url();
    const due = page.locator('#due .due').filter({ has: page.locator('form.due-do') });
    const count = await due.count();
    await due.first().locator('summary').click();
    await due.first().locator('[name="to"]').fill('2001-01-01');
    await due.first().getByRole('button', { name: 'Put off' }).click();
    await expect(due.first().getByRole('alert'), 'why, beside it').toContainText('put it off to a day from tomorrow');
    await expect(due.first().locator('[name="to"]'), 'nothing that was typed is lost').toHaveValue('2001-01-01');
    await due.first().getByRole('button', { name: /^Done/ }).click();
    await expect(due).toHaveCount(count - 1);
    expect(page.url()).toBe(address);
});

test('an amount that is none is told beside it', async ({ page }) => {
    await running(page, 'Asked badly');
    await tab(page, 'Today');
    await known(page, '.ask-topic');
    const away = page.locator('.ask-topic form', { hasText: 'Away for' });
    await away.locator('.number').fill('soon');
    await away.getByRole('button').click();
    await expect(page.locator('#amount-error')).toContainText('not a number');
    await expectAccessible(page);
});

test('a table comes into the logbook, columns told by hand', async ({ page }) => {
    await running(page, 'Tables');
    await page.getByRole('link', { name: 'Import a table' }).click();
    const today = await page.evaluate(() => new Intl.DateTimeFormat('en-CA', { timeZone: 'UTC' }).format());
    await page.getByLabel('or its text').fill(`Day,NO3,KH\n${today},10,5\n1999-01-01,3,4\n`);
    await sends(page, () => page.getByRole('button', { name: 'Look at it' }).click());
    await expectAccessible(page);
    await page.getByLabel('What “NO3” holds').selectOption('nitrate:NO3');
    await page.getByLabel('What “KH” holds').selectOption('');
    await sends(page, () => page.getByRole('button', { name: 'Show what will be written' }).click());
    await expect(page.locator('.import-preview')).toContainText('1 entry');
    await expect(page.locator('.import-faults')).toContainText('line 3: The tank was filled on');
    await expectAccessible(page);
    await sends(page, () => page.getByRole('button', { name: 'Write 1 entry' }).click());
    await expect(page.getByRole('status')).toContainText('1 entry written');
    await expectAccessible(page);
    await page.getByRole('link', { name: 'Back to the log' }).click();
    await expect(page.locator('[data-log-lines]')).toContainText('Nitrate 10');
    await expect(page.locator('[data-log-lines]')).not.toContainText('KH');
    // And back again, as a whole.
    await page.getByRole('link', { name: 'Import a table' }).click();
    await sends(page, () => page.getByRole('button', { name: 'Undo', exact: true }).click());
    await expect(page.getByRole('status')).toContainText('Undone: 1 entry is gone');
    await page.getByRole('link', { name: 'Back to the log' }).click();
    await expect(page.locator('[data-log-lines]')).not.toContainText('Nitrate 10');
});

test('a month on a page, the stock of all tanks, and tokens', { tag: '@phone' }, async ({ page }) => {
    await openShelf(page);
    await page.getByRole('link', { name: 'Stock' }).click();
    await expect(page.locator('.stock').first()).toContainText('Cherry shrimp');
    await expectAccessible(page);
    await menu(page);
    await page.getByRole('link', { name: 'Account' }).click();
    await page.getByRole('link', { name: 'Tokens' }).click();
    await page.getByLabel('which device').fill('probe of the hall');
    await page.getByRole('button', { name: 'Make a token' }).click();
    await expect(page.locator('.token-made')).toContainText(/^olvek_/);
    await expectAccessible(page);
    await page.goto('/');
    await page.locator('a.shelf-tank', { hasText: 'Waiting hall' }).first().click();
    await page.goto(`${page.url().split('?')[0].replace(/\/today$/, '')}/report?span=year`);
    await expect(page.locator('.report')).toContainText('of plants went out');
    await expect(page.locator('.report-photos img').first()).toHaveJSProperty('complete', true);
    await expectAccessible(page);
});
