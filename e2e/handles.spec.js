import { test, expect, startTank, openStage, change, choose, edited, openMargin, reveal, turnTo, tab } from './keeper.js';

/** A tank with one of everything that can be taken hold of. */
async function furnish(page, name) {
    await startTank(page, name);
    await openStage(page, 'plants');
    await choose(page, 'plants-add', 'vallisneria-spiralis');
    await openStage(page, 'hardscape');
    await choose(page, 'hardscape-add', 'granite');
}

const number = async (page, id, attribute = 'aria-valuenow') => Number(await page.locator(`#${id}`).getAttribute(attribute));

async function middle(page, id) {
    await reveal(page, id);
    const handle = page.locator(`#${id} .handle-reach`);
    // In the middle of the screen, where nothing that stays in sight lies over it.
    await handle.evaluate((element) => element.scrollIntoView({ block: 'center' }));
    // A drawing may be swapped for the next day's between one look and the next.
    let box = null;
    await expect(async () => {
        box = await handle.boundingBox();
        expect(box).not.toBeNull();
    }).toPass();
    return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
}

async function dragByMouse(page, id, dx, dy) {
    const from = await middle(page, id);
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    for (let step = 1; step <= 6; step += 1) {
        await page.mouse.move(from.x + (dx * step) / 6, from.y + (dy * step) / 6);
    }
    await page.mouse.up();
}

async function dragByFinger(page, id, dx, dy) {
    const from = await middle(page, id);
    const touch = await page.context().newCDPSession(page);
    const at = (share) => [{ x: from.x + dx * share, y: from.y + dy * share }];
    await touch.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: at(0) });
    for (let step = 1; step <= 6; step += 1) {
        await touch.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: at(step / 6) });
    }
    await touch.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
}

/** Hours as a time of day stands in its field. */
const clock = (hours) => `${Math.floor(hours)}:${String((hours % 1) * 60).padStart(2, '0')}`;

/** Every handle: its id, the way it is moved, and which way its value must go. */
const HANDLES = [
    ['h-waterLine', 0, 30, -1], ['h-light-height', 0, -20, 1],
    ['h-plants-c1-place', 40, 0, 1], ['h-hardscape-h1-place', -40, 0, -1],
    ['h-bed-soil-front', 0, -8, 1], ['h-bed-soil-back', 0, -8, 1], ['h-bed-cap-front', 0, -8, 1], ['h-bed-cap-back', 0, 8, -1],
    ['h-floor-plants-c1-place', -30, 0, -1], ['h-floor-hardscape-h1-place', 30, 0, 1], ['h-floor-plants-c1-pieces', 12, 0, 1],
    ['h-light-on', -20, 0, -1], ['h-light-hours', 20, 0, 1],
];

for (const [way, drag] of [['mouse', dragByMouse], ['finger', dragByFinger]]) {
    test(`every handle is moved by ${way}, judged on the way, and saved once`, { tag: way === 'finger' ? '@phone' : '@desk' }, async ({ page }) => {
        test.slow();
        await furnish(page, `Hand ${way}`);
        for (const [id, dx, dy, sign] of HANDLES) {
            await reveal(page, id);
            const before = await number(page, id);
            expect(await edited(page, () => drag(page, id, dx, dy)), id).toBe(200);
            const after = await number(page, id);
            expect(Math.sign(after - before), `${id}: ${before} to ${after}`).toBe(sign);
            const field = `#f-${id.replace(/^h-(floor-)?/, '')}`;
            await expect(page.locator(field)).toHaveValue(id === 'h-light-on' ? clock(after) : String(after));
            await expect(page.locator('.last-change')).toContainText('Last change');
        }
    });
}

test('every handle is moved by keys, one step at a time', async ({ page }) => {
    test.slow();
    await furnish(page, 'Hand keys');
    for (const [id] of HANDLES) {
        const handle = page.locator(`#${id}`);
        await reveal(page, id);
        const before = await number(page, id);
        const step = await number(page, id, 'data-step');
        await handle.focus();
        expect(await edited(page, () => page.keyboard.press('ArrowLeft').then(() => page.keyboard.press('ArrowLeft'))), id).toBe(200);
        const after = await number(page, id);
        expect(after, id).toBeLessThan(before);
        expect(before - after, `${id} by two steps`).toBeLessThanOrEqual(2 * step + 1e-6);
        await expect(handle, 'the hand stays where it was').toBeFocused();
    }
    // The other way across the floor, to an end, and not at all.
    const row = () => number(page, 'h-floor-plants-c1-place', 'data-second-value');
    await reveal(page, 'h-floor-plants-c1-place');
    const before = await row();
    await page.locator('#h-floor-plants-c1-place').focus();
    await edited(page, () => page.keyboard.press('ArrowDown'));
    expect(await row()).toBe(before - 1);
    await edited(page, () => page.keyboard.press('Home'));
    expect(await number(page, 'h-floor-plants-c1-place')).toBe(0);
    const line = await number(page, 'h-waterLine');
    await reveal(page, 'h-waterLine');
    await page.locator('#h-waterLine').focus();
    // A moved handle is saved after a short pause. Stop the clock, so that a slow machine can't pause between the two keys.
    await page.clock.install();
    await page.clock.pauseAt(Date.now() + 60_000);
    await page.keyboard.press('PageDown');
    await page.keyboard.press('Escape');
    await page.clock.resume();
    await expect(page.locator('#f-waterLine')).toHaveValue(String(line));
    await expect(page.locator('.last-change')).not.toContainText('Not saved yet');
});

test('while a handle is held the tank is judged and nothing is saved', async ({ page }) => {
    await furnish(page, 'Held');
    const said = await page.locator('.last-change').textContent();
    const from = await middle(page, 'h-waterLine');
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    await page.mouse.move(from.x, from.y + 60, { steps: 5 });
    await expect(page.locator('.last-change')).toContainText('Not saved yet; judged roughly, for half a year. It would move');
    await expect(page.locator('.handle-tip')).toContainText('cm');
    await page.reload();
    expect(await page.locator('.last-change').textContent()).toBe(said);
    await page.mouse.up();
});

test('a day is looked at, stepped to and played', async ({ page }, info) => {
    await furnish(page, `Days ${info.project.name}`);
    const drawing = () => page.locator('.view-front svg').innerHTML();
    const shown = () => number(page, 'h-day');
    const look = (act) => Promise.all([page.waitForResponse((response) => response.url().includes('/day?')), act()]);
    await look(() => page.locator('#h-day').focus().then(() => page.keyboard.press('End')));
    await expect.poll(shown).toBe(364);
    await look(() => page.keyboard.press('Home'));
    await expect.poll(shown).toBe(0);
    const first = await drawing();
    await look(() => page.getByRole('button', { name: 'a week on' }).click());
    await expect.poll(shown).toBe(7);
    expect(await drawing()).not.toBe(first);
    await look(() => page.locator('[data-day-play]').click());
    await expect.poll(shown, { timeout: 30_000 }).toBeGreaterThan(20);
    await page.locator('[data-day-play]').click();
    await page.waitForTimeout(500);
    const stopped = await shown();
    await page.waitForTimeout(800);
    expect(await shown(), 'it stays where it was stopped').toBe(stopped);
    expect(page.url()).toContain(`day=${stopped}`);
    await page.reload();
    await expect.poll(shown).toBe(stopped);
});

test.describe('at rest', () => {
    test.use({ sure: true });
    test('the day that is looked at stays, whatever is answered meanwhile', async ({ page }, info) => {
        await furnish(page, `Stays ${info.project.name}`);
        const shown = () => number(page, 'h-day');
        await page.locator('#h-day').focus();
        await page.keyboard.press('End');
        await expect.poll(shown).toBe(364);
        // The ledger is that day's, and choosing it does not move the cursor.
        const account = page.waitForResponse((response) => response.url().includes('below=ledger'));
        await page.getByLabel('Ledger and materials').check();
        expect((await account).url()).toContain('day=364');
        await expect(page.locator('#ledger-title')).toHaveText('Nitrogen ledger, day 364');
        const back = page.waitForResponse((response) => response.url().includes('below=year'));
        await page.getByRole('radio', { name: /^First year/ }).check();
        expect((await back).url()).toContain('day=364');
        await openStage(page, 'plants');
        expect(await change(page, 'plants-c1-pieces', '12')).toBe(200);
        await expect.poll(shown).toBe(364);
        // So does how sure it is, which asks for the page anew once it is computed.
        test.slow();
        const sure = page.waitForResponse((response) => /\?day=\d+/.test(response.url()) && !response.url().includes('/day?'), { timeout: 300_000 });
        expect((await sure).url()).toContain('day=364');
        await expect.poll(shown).toBe(364);
    });
});

test('the drawing follows the cursor while it is still being dragged', async ({ page }) => {
    await furnish(page, 'Follows');
    const from = await middle(page, 'h-day');
    const drawing = () => page.locator('.view-front svg').innerHTML();
    const before = await drawing();
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    let seen = before;
    for (let step = 1; step <= 60 && seen === before; step += 1) {
        await page.mouse.move(from.x + (step % 2 === 0 ? 100 : 105) + step, from.y);
        await page.waitForTimeout(25);
        seen = await drawing();
    }
    expect(seen, 'it changed before the hand let go').not.toBe(before);
    const handle = await middle(page, 'h-day');
    expect(Math.abs(handle.x - from.x)).toBeGreaterThan(50);
    await page.mouse.up();
});

test('a plan is brought in on the Bench, its faults told by line; drawings leave as files', async ({ page }, info) => {
    const name = `Files ${info.project.name}`;
    await furnish(page, name);
    await page.locator('#files > summary').click();
    const download = page.waitForEvent('download');
    await page.getByRole('link', { name: 'The tank, as a drawing' }).click();
    const drawing = await download;
    expect(drawing.suggestedFilename()).toBe(`${name} front.svg`);
    const plan = await (await page.request.get(`${page.url().split('?')[0]}/plan.json`)).text();
    await page.getByRole('link', { name: 'Import a plan' }).click();
    const lines = plan.split('\n');
    const at = lines.findIndex((line) => line.includes('"lumens"'));
    await page.getByLabel('or its text').fill([...lines.slice(0, at), '"lumens": "bright",', ...lines.slice(at + 1)].join('\n'));
    await page.getByRole('button', { name: 'Import' }).click();
    await expect(page.getByRole('alert')).toContainText(`Line ${at + 1}, light.lumens: This must be a number.`);
    await expect(page.getByLabel('or its text')).toHaveValue(/"bright"/);
    await page.getByLabel('or its text').fill(plan.replace(name, 'Brought in'));
    await page.getByRole('button', { name: 'Import' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Brought in');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(name);
});

test('two windows: a handle moved in the one that is behind is told, and nothing is lost', async ({ page, context }) => {
    await furnish(page, 'Behind');
    const second = await context.newPage();
    await second.goto(page.url());
    await openStage(page, 'light');
    expect(await change(page, 'light-hours', '9')).toBe(200);
    await second.locator('#h-waterLine').focus();
    expect(await edited(second, () => second.keyboard.press('ArrowDown'))).toBe(409);
    await expect(second.locator('[data-notice]')).toContainText('changed in another window');
    await page.reload();
    await openStage(page, 'light');
    await expect(page.locator('#f-light-hours')).toHaveValue('9');
});

test.describe('without scripts', () => {
    test.use({ javaScriptEnabled: false });
    test('mistakes are mended, days written into and steps ticked by plain forms', async ({ page }, info) => {
        await startTank(page, `Plainly ${info.project.name}`);
        await page.locator('#bed > summary').click();
        await page.locator('#bed').getByRole('button', { name: 'I’ll rinse it' }).click();
        await expect(page.locator('.last-change')).toContainText('rinsed clear');
        await page.locator('#written > summary').click();
        await page.locator('#f-events-add').selectOption({ label: 'water change' });
        await page.locator('#written').getByRole('button', { name: 'Save' }).click();
        await expect(page.locator('.last-change')).toContainText('water change added');
        await tab(page, 'Build');
        await page.locator('#step-soil summary').click();
        await page.getByRole('button', { name: 'Done Lay the soil' }).click();
        await expect(page.locator('#step-soil')).toContainText('done');
    });
});

test('planned events is added, moved along the year, and taken out', async ({ page }, info) => {
    await furnish(page, `Written ${info.project.name}`);
    await page.locator('#written > summary').click();
    const add = page.locator('#f-events-add');
    const change42 = await add.locator('option', { hasText: /^\s*water change\s*$/ }).getAttribute('value');
    expect(await edited(page, () => add.selectOption(change42))).toBe(200);
    await expect(page.locator('.last-change')).toContainText('water change added');
    expect(await change(page, 'events-e1-day', '42')).toBe(200);
    expect(await change(page, 'events-e1-share', '50')).toBe(200);
    const mark = page.locator('#h-events-e1-day');
    await expect(mark).toHaveAttribute('aria-valuenow', '42');
    await mark.focus();
    expect(await edited(page, () => page.keyboard.press('PageUp'))).toBe(200);
    await expect(page.locator('#f-events-e1-day')).toHaveValue('47');
    await mark.focus();
    await page.keyboard.press('Enter');
    await expect(page.locator('#f-events-e1-day')).toBeFocused();
    await mark.focus();
    expect(await edited(page, () => page.keyboard.press('Delete'))).toBe(200);
    await expect(mark).toHaveCount(0);
});

test('a mistake is caught where it is made and mended with one click', async ({ page }, info) => {
    await startTank(page, `Mistake ${info.project.name}`);
    await openStage(page, 'bed');
    await change(page, 'bed-soil-back', '6');
    const mistake = page.locator('#bed .to-fix', { hasText: 'more soil' });
    await expect(mistake).toBeVisible();
    await expect(page.locator('#bed .to-fix-count')).toContainText('1');
    expect(await edited(page, () => mistake.getByRole('button', { name: 'Make the cap as deep as the soil' }).click())).toBe(200);
    await expect(mistake).toHaveCount(0);
    await expect(page.locator('#f-bed-cap-back')).toHaveValue('6');
});

test('history: a version is named, restored, duplicated', async ({ page }, info) => {
    await startTank(page, `Past ${info.project.name}`);
    await openStage(page, 'light');
    await change(page, 'light-hours', '11');
    await tab(page, 'History');
    await page.getByLabel('name of version 1').fill('As begun');
    await page.locator('#r1').getByRole('button', { name: 'Name' }).click();
    await expect(page.locator('#r1')).toContainText('As begun');
    await page.getByRole('button', { name: /Restore this version.*number 1/  }).click();
    await expect(page.locator('.last-change')).toContainText('restored: As begun');
    await openStage(page, 'light');
    await expect(page.locator('#f-light-hours')).toHaveValue('8');
    await tab(page, 'History');
    await page.getByRole('button', { name: 'Duplicate as new tank from version 2' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(`Past ${info.project.name}, variant`);
    await openStage(page, 'light');
    await expect(page.locator('#f-light-hours')).toHaveValue('11');
});

test('at twice the size nothing is lost and nothing scrolls sideways', async ({ page }) => {
    await furnish(page, 'Zoom');
    await page.setViewportSize({ width: 640, height: 400 });
    const { wide, width } = await page.evaluate(() => ({ wide: document.documentElement.scrollWidth, width: innerWidth }));
    expect(wide).toBeLessThanOrEqual(width);
    // The sheet lies over half of so small a window until it is closed.
    await page.getByRole('button', { name: /^Close / }).click();
    await openMargin(page, 'oxygen');
    for (const [place, turn] of [['.verdict-sentence'], ['.view-side svg', 'side'], ['.view-floor svg', 'floor'], ['.view-front svg', 'front'], ['#margin-oxygen'], ['#plants > summary'], ['#h-day']]) {
        if (turn) {
            await turnTo(page, turn);
        }
        // A drawing may be made anew between one look and the next.
        await expect(async () => {
            await page.locator(place).scrollIntoViewIfNeeded({ timeout: 2000 });
            await expect(page.locator(place)).toBeInViewport({ timeout: 2000 });
        }).toPass();
    }
    expect(await edited(page, () => dragByMouse(page, 'h-waterLine', 0, 20))).toBe(200);
});

test.describe('with less motion', () => {
    test.use({ contextOptions: { reducedMotion: 'reduce' } });
    test('nothing moves by itself, and the year plays in few steps', async ({ page }, info) => {
        await furnish(page, `Still ${info.project.name}`);
        const moving = await page.evaluate(() => document.getAnimations().length);
        expect(moving).toBe(0);
        let looks = 0;
        page.on('request', (request) => {
            // What is out of sight follows by itself once; a look is what plays.
            looks += request.url().includes('/day?') && !request.url().includes('turn=all') ? 1 : 0;
        });
        await page.locator('[data-day-play]').click();
        await page.waitForTimeout(2000);
        await page.locator('[data-day-play]').click();
        expect(looks).toBeLessThanOrEqual(2);
    });
});
