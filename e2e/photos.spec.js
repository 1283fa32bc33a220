import { test, expect, sends, startTank, expectAccessible, tab } from './keeper.js';

/** A picture drawn in the page: nobody's tank. */
const drawn = (page, colour) => page.evaluate((fill) => {
    const canvas = document.createElement('canvas');
    canvas.width = 800;
    canvas.height = 600;
    const pen = canvas.getContext('2d');
    pen.fillStyle = fill;
    pen.fillRect(0, 0, 800, 600);
    pen.fillStyle = '#5a4630';
    pen.fillRect(0, 480, 800, 120);
    return canvas.toDataURL('image/jpeg', 0.8).split(',')[1];
}, colour);

async function add(page, colour, caption) {
    await page.getByLabel('Take or choose a photo').setInputFiles({ name: 'tank.jpg', mimeType: 'image/jpeg', buffer: Buffer.from(await drawn(page, colour), 'base64') });
    await page.getByLabel('caption').fill(caption);
    await page.getByRole('button', { name: 'Save photo' }).click();
    await expect(page.getByAltText(new RegExp(caption))).toBeVisible();
}

test('photos are added, seen week by week, laid under one slider, and removed', { tag: '@phone' }, async ({ page }) => {
    await startTank(page, 'In pictures');
    await tab(page, 'Log');
    await page.getByRole('link', { name: 'Photos' }).click();
    await expect(page.locator('#weeks')).toContainText('No photos yet');
    await add(page, '#8fb8c8', 'Just planted');
    await add(page, '#4f8a4a', 'Grown in');
    await expect(page.locator('.photo-strip li')).toHaveCount(2);
    await expect(page.getByAltText(/Grown in/)).toHaveJSProperty('complete', true);
    expect(await page.getByAltText(/Grown in/).evaluate((image) => image.naturalWidth), 'the picture is there').toBe(240);
    expect(await page.getByAltText(/Grown in/).evaluate((image) => image.currentSrc), 'no larger than it is shown').toContain('/strip.jpg');
    await expectAccessible(page);

    await page.getByRole('link', { name: 'Compare two days' }).click();
    const after = page.locator('[data-after]');
    await expect(page.locator('.photo-over')).toBeVisible();
    const cut = () => after.evaluate((image) => getComputedStyle(image).clipPath);
    const before = await cut();
    await page.getByLabel(/how much of/).focus();
    await page.keyboard.press('Home');
    expect(await cut()).not.toBe(before);
    await expectAccessible(page);

    await page.getByRole('link', { name: 'Back to the photos' }).click();
    await sends(page, () => page.getByRole('button', { name: /^Remove/ }).first().click());
    await expect(page.locator('.photo-strip li')).toHaveCount(1);
});

test('what is no photo is refused with a reason, and the caption stays', { tag: '@phone' }, async ({ page }) => {
    await startTank(page, 'No picture');
    await page.goto(`${page.url().split('?')[0]}/photos`);
    await page.getByLabel('Take or choose a photo').setInputFiles({ name: 'tank.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('<script>alert(1)</script>') });
    await page.getByLabel('caption').fill('Kept');
    await page.getByRole('button', { name: 'Save photo' }).click();
    await expect(page.locator('#error-photo')).toContainText('no picture that Olvek can read');
    await expect(page.getByLabel('caption')).toHaveValue('Kept');
    await expectAccessible(page);
});

test('without a signal a photo waits on the device, the page opens, and it is kept once', { tag: '@phone' }, async ({ page, context }) => {
    page.removeAllListeners('console');
    await startTank(page, 'No signal, a picture');
    await page.goto(`${page.url().split('?')[0]}/photos`);
    await expect(page.locator('html[data-album="ready"][data-kept="yes"]')).toBeAttached();
    const buffer = Buffer.from(await drawn(page, '#4f8a4a'), 'base64');
    await context.setOffline(true);
    await page.getByLabel('Take or choose a photo').setInputFiles({ name: 'tank.jpg', mimeType: 'image/jpeg', buffer });
    await page.getByLabel('caption').fill('In the cellar');
    await page.getByRole('button', { name: 'Save photo' }).click();
    await expect(page.locator('[data-notice]')).toContainText('the photo is kept on this device');
    await page.reload();
    await expect(page.locator('[data-album-waiting] li')).toContainText('waits to be sent');
    await expectAccessible(page);
    await context.setOffline(false);
    await expect(page.getByAltText(/In the cellar/)).toBeVisible();
    await expect(page.locator('[data-album-waiting] li')).toHaveCount(0);
    await page.reload();
    await expect(page.locator('.photo-strip li')).toHaveCount(1);
});

test('the camera shows the last picture as a ghost, and what it takes is in the form', { tag: '@phone' }, async ({ page, context }) => {
    // The browser's own made-up camera.
    await context.grantPermissions(['camera']);
    await startTank(page, 'The same spot');
    await page.goto(`${page.url().split('?')[0]}/photos`);
    await add(page, '#8fb8c8', 'First');
    await page.reload();
    await page.getByRole('button', { name: 'Take it from the same spot' }).click();
    await expect(page.locator('[data-lens]')).toBeVisible();
    await expect(page.locator('[data-ghost]')).toHaveCSS('opacity', '0.4');
    await page.locator('[data-ghost-strength]').fill('80');
    await expect(page.locator('[data-ghost]')).toHaveCSS('opacity', '0.8');
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Take it', exact: true }).click();
    await expect(page.locator('[data-lens]')).toBeHidden();
    await page.getByLabel('caption').fill('Second');
    await page.getByRole('button', { name: 'Save photo' }).click();
    await expect(page.getByAltText(/Second/)).toBeVisible();
});
