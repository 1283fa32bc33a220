import ICAL from 'ical.js';
import { test, expect, startTank, openShelf, openStage, choose, expectAccessible, tab } from './keeper.js';

async function planned(page, name) {
    await startTank(page, name);
    await openStage(page, 'plants');
    await choose(page, 'plants-add', 'hygrophila-polysperma');
    await tab(page, 'Build');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(`Build ${name}`);
}

test('from the plan to the sheet: bags, costs, ticks', async ({ page }, info) => {
    await planned(page, `Sheet ${info.project.name}`);
    await page.getByLabel('bag size of coarse sand').fill('2.5');
    await page.getByLabel('price of a bag of coarse sand').fill('4');
    await page.getByRole('checkbox', { name: 'two clean buckets' }).check();
    await page.getByRole('button', { name: 'Save the sheet' }).click();
    // 3 to 4 cm on 58.8 × 28.8 cm are 5.93 L; with 5 % 6.22: three bags of 2.5 L.
    await expect(page.locator('.materials tr', { hasText: 'Coarse sand' })).toContainText('12.00');
    await expect(page.getByRole('checkbox', { name: 'two clean buckets' })).toBeChecked();
    await page.getByLabel('bag size of coarse sand').fill('none');
    await page.getByRole('button', { name: 'Save the sheet' }).click();
    await expect(page.locator('#error-bags-coarse-sand')).toContainText('not a number');
    await expect(page.getByLabel('bag size of coarse sand')).toHaveValue('none');
});

test('steps are done, left out, asked about and undone', { tag: '@phone' }, async ({ page }, info) => {
    await planned(page, `Steps ${info.project.name}`);
    await page.locator('#step-soil summary').click();
    await page.locator('#step-soil').getByLabel('note').fill('level to a finger');
    await page.getByRole('button', { name: 'Done Lay the soil' }).click();
    await expect(page.locator('#step-soil')).toContainText('level to a finger');
    await expect(page.locator('#step-sieve')).toContainText('done too, or left out on purpose');
    await page.locator('#step-sieve summary').click();
    await page.getByRole('button', { name: 'Leave out Sieve or pick over the soil' }).click();
    await expect(page.locator('#step-sieve')).toContainText('Left out');
    await page.locator('#step-soil summary').click();
    await page.getByRole('button', { name: 'Undo Lay the soil' }).click();
    await expect(page.getByRole('heading', { name: 'Next: Rinse sand and gravel' })).toBeVisible();
    await page.locator('.now').getByRole('button', { name: 'Done Rinse' }).press('Enter');
    await expect(page.getByRole('heading', { name: /^Next: Level/ })).toBeVisible();
    await page.locator('#step-cap summary').click();
    await page.getByRole('button', { name: 'All earlier steps are done (before Lay the cap)' }).click();
    await expect(page.locator('.step-done')).toHaveCount(4);
    await expect(page.getByRole('heading', { name: 'Next: Lay the cap' })).toBeVisible();
    await expect(page.locator('.now .step-drawing .cap').first()).toBeAttached();
});

test('the build sheet prints on four pages, the Bench on two', async ({ page }) => {
    const pages = async () => (await page.pdf({ format: 'A4' })).toString('latin1').match(/\/Type \/Page\b(?!s)/g).length;
    await openShelf(page);
    await page.getByRole('heading', { name: 'Waiting hall' }).click();
    await tab(page, 'Plan');
    await expect(page.locator('.view-front svg')).toBeVisible();
    expect(await pages()).toBeLessThanOrEqual(2);
    await tab(page, 'Build');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Build Waiting hall');
    expect(await pages()).toBeLessThanOrEqual(4);
});

test('care leaves as a calendar that another reader understands', async ({ page }, info) => {
    await planned(page, `Care ${info.project.name}`);
    await page.getByRole('link', { name: 'Maintenance' }).click();
    await expect(page.locator('.care')).toContainText('every week from day 7');
    await expect(page.getByLabel('filled on')).toBeVisible();
    await page.getByLabel('filled on').fill('2026-05-01');
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'As a calendar file' }).click();
    const { readFile } = await import('node:fs/promises');
    const calendar = new ICAL.Component(ICAL.parse(await readFile(await (await download).path(), 'utf8')));
    const events = calendar.getAllSubcomponents('vevent').map((event) => new ICAL.Event(event));
    const look = events.find((event) => event.summary.includes('Check headcount'));
    expect(look.startDate.toString()).toBe('2026-05-08');
    const times = look.iterator();
    expect([times.next(), times.next(), times.next()].map(String)).toEqual(['2026-05-08', '2026-05-15', '2026-05-22']);
    const tests = events.find((event) => event.summary.includes('Test ammonia'));
    const days = tests.iterator();
    let last = days.next();
    for (let next = last; next; next = days.next()) {
        last = next;
    }
    // Days 1, 4, … 28 after 1 May.
    expect(last.toString()).toBe('2026-05-29');
});

test('sums by the tank', async ({ page }, info) => {
    await planned(page, `Sums ${info.project.name}`);
    await page.locator('#sums > summary').click();
    await page.getByLabel('reads now, mg/L').fill('40');
    await page.getByLabel('is to read, mg/L').fill('25');
    await page.getByLabel('the new water reads, mg/L').fill('5');
    await page.getByLabel('treatment: its label says so many mL').fill('5');
    await page.getByLabel('for so much water, L').fill('40');
    await page.locator('.sum-columns form').nth(1).getByRole('button').click();
    await expect(page.locator('.sums')).toContainText('43 % of the water');
    // 5 mL to 40 L, for 15/35 of some 45.7 L of free water, and for all of it.
    await expect(page.locator('.sums')).toContainText('2.4 mL');
    await expect(page.locator('.sums')).toContainText('the whole filling takes 6.3 mL');
    await page.getByLabel('general hardness differs by').fill('5');
    await page.locator('.sum-columns form').nth(2).getByRole('button').press('Enter');
    await expect(page.locator('.sums')).toContainText('Shrimp and snails: float the bag for 15 min, then drip in tank water for 80 min');
});

for (const colorScheme of ['light', 'dark']) {
    test.describe(colorScheme, () => {
        test.use({ colorScheme });
        test('nothing for axe to find on the build sheet', { tag: colorScheme === 'light' ? '@both' : '@desk' }, async ({ page }, info) => {
            await planned(page, `Axe ${colorScheme} ${info.project.name}`);
            await expectAccessible(page);
            expect(await page.evaluate(() => document.documentElement.scrollWidth), 'nothing scrolls sideways').toBeLessThanOrEqual(page.viewportSize().width);
        });
    });
}

test('the sheet prints on A4 and Letter, without the interface', async ({ page }) => {
    await planned(page, 'Print');
    await page.emulateMedia({ media: 'print' });
    for (const gone of ['.masthead form', '.step-do button', '.sums']) {
        await expect(page.locator(gone).first()).toBeHidden();
    }
    await expect(page.locator('#step-cap .step-drawing')).toBeVisible();
    for (const format of ['A4', 'Letter']) {
        const pdf = await page.pdf({ format });
        expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
        expect(pdf.length).toBeGreaterThan(20_000);
    }
});
