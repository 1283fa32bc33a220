import { test, expect, sends, startTank, newTank, signInAlone, filledTank, expectAccessible, tab } from './keeper.js';


test('a sign is seen, read, tried and remembered', { tag: '@phone' }, async ({ page }) => {
    // The almanac of a keeper with one tank: the ferry landing's is every other test's too.
    await signInAlone(page, 'reader');
    await filledTank(page, 'Read', newTank);
    await tab(page, 'Signs');
    // All of the page, not what has come of it: each sign has its picture.
    await page.waitForLoadState('load');
    await expect(page.locator('.read-sign')).toHaveCount(await page.locator('.read-sign svg.sign').count());
    await page.locator('.log-sign', { hasText: 'Pale tips' }).click();
    await page.locator('[name="of[pale-tips]"]').selectOption({ label: 'Dwarf hygro' });
    await expectAccessible(page);
    await sends(page, () => page.getByRole('button', { name: 'Read it' }).click());
    await expect(page.locator('.verdict-line')).toContainText('The water is lean');
    const first = page.locator('.read-cause').first();
    await expect(first).toContainText('The tank is younger than six weeks');
    await expect(first).toContainText('Dwarf hygro stands for 0 days');
    await expectAccessible(page);

    // Another cause is looked at, and what the keeper knows moves the shares.
    await page.locator('.read-cause').nth(1).locator('summary').click();
    await expect(page.locator('.read-cause').nth(1)).toContainText('Against it');
    await page.locator('.read-section > summary', { hasText: 'Plants' }).scrollIntoViewIfNeeded();
    await page.locator('.log-sign', { hasText: 'Pale tips' }).click();
    await page.locator('.log-sign', { hasText: 'Leaves melt' }).click();
    await sends(page, () => page.getByRole('button', { name: 'Read it' }).click());
    const share = async () => Number.parseInt(await page.locator('.read-cause', { hasText: 'Leaves grown in air melt' }).locator('.read-share').innerText(), 10);
    const before = await share();
    await page.locator('.read-looks').getByRole('link', { name: 'Its crown or rhizome is firm' }).click();
    await expect(page.locator('.read-answer')).toContainText('You said: Its crown or rhizome is firm');
    expect(await share()).toBeGreaterThan(before);

    await sends(page, () => page.getByRole('button', { name: /^I do that; ask me in 14 days ?: Leaves grown/ }).click());
    await expect(page.locator('#tried')).toContainText('look on day 14');
    await tab(page, 'Log');
    await expect(page.locator('[data-log-lines]')).toContainText('Tried for leaves melt');
    await page.getByRole('link', { name: 'Almanac' }).click();
    await expect(page.locator('.almanac')).toContainText('Is it better? Leaves melt');
    await page.locator('.due', { hasText: 'Is it better?' }).getByRole('link', { name: /^Look/ }).click();
    await sends(page, () => page.getByRole('button', { name: /^Better/ }).click());
    await expect(page.locator('#tried')).toContainText('better');
});

test('one press plans what helps; ammonia is noticed by itself', { tag: '@phone' }, async ({ page }) => {
    await signInAlone(page, 'noticer');
    await filledTank(page, 'Noticed', newTank);
    await tab(page, 'Log');
    await expect(page.locator('html[data-log="ready"]')).toBeAttached();
    await page.locator('#did > summary').click();
    await page.getByRole('button', { name: /^Came: Cherry shrimp/ }).click();
    await expect(page.locator('[data-log-lines]')).toContainText('Cherry shrimp came');
    await page.locator('#read > summary').click();
    await page.locator('[name="test[ammonia]"]').fill('2');
    await page.getByRole('button', { name: 'Save reading' }).click();
    await expect(page.locator('[data-log-lines]')).toContainText('Ammonia 2');
    await page.getByRole('link', { name: 'Almanac' }).click();
    const notice = page.locator('.due', { hasText: 'Noticed' }).filter({ hasText: 'Ammonia read' });
    await expect(notice).toContainText('Olvek notices');
    await expectAccessible(page);
    await notice.getByRole('link', { name: /^Read it/ }).click();
    await expect(page.getByRole('alert')).toContainText('Animals may be in danger');
    await expect(page.locator('.verdict-line')).toContainText('Ammonia burns them');
    await sends(page, () => page.getByRole('button', { name: /^Plan it: 40 % of the water changed/ }).click());
    await expect(page.locator('#tried')).toContainText('look on day 1');
    await page.getByRole('link', { name: 'Almanac' }).click();
    await sends(page, () => notice.getByRole('button', { name: /^Noted/ }).click());
    await expect(notice).toHaveCount(0);
});

test('a tank without a plan is read by five things', async ({ page }) => {
    await startTank(page, 'Not asked');
    await page.goto('/read');
    await page.locator('[name="weeks"]').fill('many');
    await page.locator('[name="animals"]').selectOption('overfed');
    await page.locator('.read-section > summary', { hasText: 'Guests' }).click();
    await page.locator('.log-sign', { hasText: 'Many small snails' }).click();
    await sends(page, () => page.getByRole('button', { name: 'Read it' }).click());
    await expect(page.locator('#weeks-error')).toContainText('A whole number of weeks');
    await expect(page.locator('[name="weeks"]')).toHaveValue('many');
    await page.locator('[name="weeks"]').fill('20');
    await sends(page, () => page.getByRole('button', { name: 'Read it' }).click());
    await expect(page.locator('.verdict-line')).toContainText('Too much food');
    await expectAccessible(page);
});
