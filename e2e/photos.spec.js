import { test, expect, sends, startTank, expectAccessible } from './keeper.js';

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
    await sends(page, () => page.getByRole('button', { name: 'Save photo' }).click());
}

test('photos are added, seen week by week, laid under one slider, and removed', async ({ page }) => {
    await startTank(page, 'In pictures');
    await page.getByRole('link', { name: 'Log', exact: true }).click();
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

test('what is no photo is refused with a reason, and the caption stays', async ({ page }) => {
    await startTank(page, 'No picture');
    await page.goto(`${page.url().split('?')[0]}/photos`);
    await page.getByLabel('Take or choose a photo').setInputFiles({ name: 'tank.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('<script>alert(1)</script>') });
    await page.getByLabel('caption').fill('Kept');
    await sends(page, () => page.getByRole('button', { name: 'Save photo' }).click());
    await expect(page.locator('#error-photo')).toContainText('no picture that Olvek can read');
    await expect(page.getByLabel('caption')).toHaveValue('Kept');
    await expectAccessible(page);
});
