import { test, expect, sends, startTank, openStage, change, expectAccessible, tab } from './keeper.js';

test('two versions side by side, one cursor, and a part taken over', async ({ page }) => {
    test.slow();
    await startTank(page, 'Compared');
    await openStage(page, 'light');
    await change(page, 'light-hours', '11');
    await tab(page, 'History');
    await page.getByRole('link', { name: /^Compare with now/ }).first().click();
    await expect(page.locator('.compare-differ .verdict-line')).toContainText('The only difference is in the light: hours of light');
    await expect(page.locator('.compare-tank')).toHaveCount(2);
    // The doubt is worked out while one looks.
    await expect(page.locator('.compare')).toContainText('no clear difference', { timeout: 100_000 });
    await expectAccessible(page);

    const slider = page.getByRole('slider', { name: 'Day' });
    await slider.fill('200');
    await expect(page.locator('[data-compare-day]')).toHaveAttribute('data-day', '200');
    await expect(page.locator('[data-compare-words]')).toHaveText('day 200');
    await slider.press('ArrowRight');
    await expect(page.locator('figcaption').first()).toContainText('day 201');

    await sends(page, () => page.getByRole('button', { name: 'Take this light into Compared' }).click());
    await expect(page.locator('.compare-differ .verdict-line')).toHaveText('They differ in nothing.');
});
