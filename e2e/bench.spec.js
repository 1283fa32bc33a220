import { test, expect, openShelf, startTank, signInAlone, newTank, openStage, change, choose, openMargin, expectAccessible, ready, tab, menu } from './keeper.js';

const verdict = (page) => page.locator('.verdict-sentence');

test('from an empty shelf to a judged tank', async ({ page }, info) => {
    const name = `Gangway ${info.project.name}`;
    await startTank(page, name);
    await expect(verdict(page)).toContainText('Nothing grows here yet');

    await openStage(page, 'bed');
    await choose(page, 'bed-soil-material', 'garden-loam');
    await change(page, 'bed-soil-back', '1 in');
    await expect(page.locator('#f-bed-soil-back')).toHaveValue('2.54');

    await openStage(page, 'plants');
    await choose(page, 'plants-add', 'limnophila-sessiliflora');
    await change(page, 'plants-c1-pieces', '60');
    await choose(page, 'plants-add', 'cryptocoryne-wendtii');
    await change(page, 'plants-c2-pieces', '8');

    await openStage(page, 'light');
    await change(page, 'light-hours', '9');

    await openStage(page, 'animals');
    await choose(page, 'animals-add', 'heterandria-formosa');
    await change(page, 'feeding-grams', '40 mg');
    await openStage(page, 'water');
    await choose(page, 'topUp-kind', 'rain');
    await expect(verdict(page)).toContainText(/This (should|can) work/);
    await openStage(page, 'animals');

    await change(page, 'feeding-grams', '2 g');
    await expect(verdict(page).locator('.state')).toHaveText('fails');
    await expect(page.locator('.last-change')).toContainText(/nitrite .* → /);
    await change(page, 'feeding-grams', '40 mg');

    await page.reload();
    await expect(verdict(page)).toContainText(/This (should|can) work/);
    await openStage(page, 'animals');
    await expect(page.locator('#f-feeding-grams')).toHaveValue('0.04');
    await page.getByRole('link', { name: 'Olvek' }).click();
    // On the last board, since other tests fill the shelf too.
    await expect(page.getByRole('heading', { level: 1 })).toContainText('shelf');
    if ((await page.locator('.boards').count()) > 0) {
        await page.locator('.boards a').last().click();
    }
    await expect(page.locator('.shelf-tank', { hasText: name })).toContainText(/This (should|can) work/);
});

test('a cap made thinner changes the drawing, the margin and its reasons', async ({ page }, info) => {
    await startTank(page, `Cap ${info.project.name}`);
    await openStage(page, 'bed');
    const drawing = () => page.locator('.view-side .cap').last().getAttribute('d');
    const before = await drawing();
    expect(await change(page, 'bed-cap-front', '1')).toBe(200);
    await expect.poll(drawing, 'what is out of sight follows').not.toBe(before);
    const margin = await openMargin(page, 'cap');
    await expect(margin.locator('.state')).toHaveText('tight');
    await margin.locator('summary').click();
    await expect(margin.locator('.why-panel')).toContainText('1 cm of cap lies on 2.5 cm of soil');
    // What would help is tried, and taken with one click like any other change.
    const help = margin.locator('.help-list li', { hasText: /lay the (cap|soil)/i }).first();
    await expect(help).toContainText('→');
    const answered = page.waitForResponse((response) => response.url().includes('/edit'));
    await help.getByRole('button').click();
    expect((await answered).status()).toBe(200);
    await expect(margin.locator('.state')).toHaveText('holds');
    await expect(page.locator('.last-change')).toContainText(/cap over soil .* → /);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(margin.locator('.state')).toHaveText('tight');
});

test('every shape of vessel can be chosen, drawn and judged', async ({ page }, info) => {
    test.slow();
    await startTank(page, `Shapes ${info.project.name}`);
    await openStage(page, 'vessel');
    for (const shape of ['bow-front', 'hexagon', 'cylinder', 'bowl', 'tilted-flask', 'jar-lying', 'barrel', 'tub', 'pool', 'glass-box']) {
        await choose(page, 'vessel-shape', shape);
        await expect(page.locator('#f-vessel-shape')).toHaveValue(shape);
        await expect(page.locator('#vessel .field-error')).toHaveCount(0);
        await expect(page.locator('.view-front .water').first()).toHaveAttribute('d', /^M[\d. LZ-]+$/);
    }
});

test('a question is asked where it arises, and its answer taken', async ({ page }, info) => {
    await startTank(page, `Asked ${info.project.name}`);
    await openStage(page, 'plants');
    await choose(page, 'plants-add', 'hygrophila-polysperma');
    await change(page, 'plants-c1-pieces', '80');
    await openStage(page, 'light');
    await change(page, 'light-hours', '15');
    await page.getByRole('link', { name: 'How long a day?' }).click();
    const answer = page.locator('#light .answer');
    await expect(answer).toContainText(/Light the tank for \d+ hours a day.*Anything from \d+ to \d+ hours works/);
    const best = /for (\d+) hours a day/.exec(await answer.textContent())[1];
    const answered = page.waitForResponse((response) => response.url().includes('/edit'));
    await answer.getByRole('button', { name: 'Use this answer' }).click();
    await answered;
    await expect(page.locator('#f-light-hours')).toHaveValue(best);
    await expect(page.locator('.last-change')).toContainText('hours of light');
});

test('a question that could not be answered says so and can be asked again', async ({ page }, info) => {
    await startTank(page, `Unanswered ${info.project.name}`);
    await openStage(page, 'light');
    // In place of the network, whose own faults the browser would log as errors of the page.
    await page.evaluate(() => {
        const real = window.fetch;
        window.fetch = (address, ...more) => {
            if (!String(address).includes('/solve/')) {
                return real(address, ...more);
            }
            window.fetch = real;
            return Promise.reject(new TypeError('unreachable'));
        };
    });
    const ask = page.getByRole('link', { name: 'How long a day?' });
    await ask.click();
    await expect(page.locator('#light .ask-answer')).toContainText('could not answer this now');
    await ask.click();
    await expect(page.locator('#light .ask-answer')).toHaveCount(0);
    await ask.click();
    await expect(page.locator('#light .answer')).toBeVisible();
});

test('a method is looked at, taken, changed and undone', async ({ page }, info) => {
    await startTank(page, `Method ${info.project.name}`);
    await openStage(page, 'bed');
    await page.locator('#methods > summary').click();
    await page.getByRole('link', { name: 'Leaf sandwich' }).click();
    const answer = page.locator('#methods .answer');
    await expect(answer).toContainText('It would change: soil potting soil');
    await expect(page.locator('#f-bed-soil-material')).toHaveValue('bagged-topsoil');
    const answered = page.waitForResponse((response) => response.url().includes('/edit'));
    await answer.getByRole('button', { name: /Use this method/ }).click();
    await answered;
    await expect(page.locator('.last-change')).toContainText('method: Leaf sandwich');
    await expect(page.locator('#f-bed-soil-material')).toHaveValue('potting-soil');
    await expect(page.locator('#f-bed-leaves-material')).toHaveValue('fallen-leaves');
    await expect(page.locator('.view-side .litter')).toBeAttached();
    await expect(page.locator('#bed .reasons')).toContainText('Leaf sandwich');
    expect(await change(page, 'bed-cap-back', '8')).toBe(200);
    for (const words of ['cap at the back', 'method: Leaf sandwich']) {
        const undone = page.waitForResponse((response) => response.url().includes('/undo'));
        await page.getByRole('button', { name: 'Undo' }).click();
        expect((await undone).status(), words).toBe(200);
    }
    await expect(page.locator('#f-bed-soil-material')).toHaveValue('bagged-topsoil');
});

test('single keys move about the Bench, and can be switched off', async ({ page }) => {
    await startTank(page, 'Keys');
    await ready(page);
    await page.locator('h1').click();
    await page.keyboard.press('l');
    await expect(page.locator('#light')).toHaveAttribute('open', '');
    await page.locator('#f-light-hours').focus();
    await page.keyboard.press('b');
    await expect(page.locator('#bed'), 'not while something is typed').not.toHaveAttribute('open', '');
    expect(await change(page, 'light-hours', '11')).toBe(200);
    await page.locator('h1').click();
    const undone = page.waitForResponse((response) => response.url().includes('/undo'));
    await page.keyboard.press('<');
    expect((await undone).status()).toBe(200);
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog', { name: 'Keys on the Bench' })).toBeVisible();
    await expectAccessible(page);
    await page.getByLabel('Single keys do this').uncheck();
    await page.getByRole('button', { name: 'Close', exact: true }).click();
    await page.keyboard.press('a');
    await expect(page.locator('#animals')).not.toHaveAttribute('open', '');
});

test.describe('at rest', () => {
    test.use({ sure: true });
    test('how sure the margins are is computed while one rests, and can be stopped', async ({ page }, info) => {
        await startTank(page, `Sure ${info.project.name}`);
        await openStage(page, 'plants');
        await choose(page, 'plants-add', 'hygrophila-polysperma');
        test.slow();
        await expect(page.locator('#margin-light .margin-sure')).toHaveText(/^\d+ of 64$/, { timeout: 60_000 });
        await (await openMargin(page, 'light')).locator('summary').click();
        await expect(page.locator('#margin-light .why-panel')).toContainText(/In eight of ten tanks .* holds in \d+ of 64/);
        // Another change begins anew; the button ends it.
        await change(page, 'plants-c1-pieces', '33');
        await expect(page.locator('#margin-light .margin-sure')).toHaveCount(0);
        await page.locator('[data-sure-stop]').click();
        await expect(page.locator('[data-sure]')).toBeHidden();
    });
});

test('Enter sends a change once', async ({ page }, info) => {
    await startTank(page, `Once ${info.project.name}`);
    await openStage(page, 'light');
    const sent = [];
    page.on('request', (request) => request.method() === 'POST' && sent.push(request.url()));
    await page.locator('#f-light-hours').fill('7');
    const answered = page.waitForResponse((response) => response.url().includes('/edit'));
    await page.locator('#f-light-hours').press('Enter');
    await answered;
    await expect(page.locator('.last-change')).toContainText('hours of light 8 h → 7 h');
    expect(sent.filter((url) => url.endsWith('/edit'))).toHaveLength(1);
});

test('what could not be sent is sent by Enter once the connection is back', async ({ page }, info) => {
    await startTank(page, `Again ${info.project.name}`);
    await openStage(page, 'light');
    // An answer that is none, as from a proxy in between: an aborted request would also be a complaint on the console.
    await page.route('**/edit', (route) => route.fulfill({ status: 200, contentType: 'text/plain', body: 'no' }));
    await page.locator('#f-light-hours').fill('7');
    await page.locator('#f-light-hours').press('Enter');
    await expect(page.getByText('Olvek can’t be reached')).toBeVisible();
    await page.unroute('**/edit');
    await page.locator('#f-light-hours').press('Enter');
    await expect(page.locator('.last-change')).toContainText('hours of light 8 h → 7 h');
});

test('bad input is told beside its cause, keeps what was typed, and saves nothing', async ({ page }, info) => {
    await startTank(page, `Bad ${info.project.name}`);
    await openStage(page, 'bed');
    expect(await change(page, 'bed-soil-front', '-3')).toBe(422);
    await expect(page.locator('#f-bed-soil-front-error')).toContainText('from 0 cm to 200 cm');
    await expect(page.locator('#f-bed-soil-front')).toHaveValue('-3');
    await expect(page.locator('#f-bed-soil-front')).toBeFocused();
    expect(await change(page, 'bed-cap-back', '5')).toBe(200);
    await expect(page.locator('#f-bed-soil-front'), 'a later change does not lose it').toHaveValue('-3');
    expect(await change(page, 'bed-cap-back', '60')).toBe(422);
    await expect(page.locator('#f-bed-cap-back-error')).toContainText('above the rim');
    await page.reload();
    await openStage(page, 'bed');
    await expect(page.locator('#f-bed-soil-front')).toHaveValue('2.5');
    await expect(page.locator('#f-bed-cap-back')).toHaveValue('5');
});

test('two windows: the second is told and may send again', async ({ page, context }, info) => {
    await startTank(page, `Twice ${info.project.name}`);
    const second = await context.newPage();
    await second.goto(page.url());
    await openStage(page, 'light');
    await openStage(second, 'light');
    expect(await change(page, 'light-hours', '9')).toBe(200);
    expect(await change(second, 'light-hours', '6')).toBe(409);
    await expect(second.locator('[data-notice]')).toContainText('changed in another window');
    await expect(second.locator('#f-light-hours')).toHaveValue('6');
    await second.locator('#f-light-hours').focus();
    const answered = second.waitForResponse((response) => response.url().includes('/edit'));
    await second.keyboard.press('Enter');
    expect((await answered).status()).toBe(200);
    await page.reload();
    await openStage(page, 'light');
    await expect(page.locator('#f-light-hours')).toHaveValue('6');
});

test('a vase is planned as a vase', async ({ page }, info) => {
    await startTank(page, `Vase ${info.project.name}`);
    await openStage(page, 'vessel');
    await choose(page, 'vessel-shape', 'cylinder');
    await expect(page.locator('#f-vessel-length')).toHaveCount(0);
    await change(page, 'vessel-diameter', '9 in');
    await expect(page.locator('#f-vessel-diameter')).toHaveValue('22.86');
    await expect(page.locator('#vessel .caution')).toContainText('A vase is made for flowers');
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.locator('#f-vessel-length')).toHaveValue('60');
});

test('undo and redo', async ({ page }, info) => {
    await startTank(page, `Undo ${info.project.name}`);
    await openStage(page, 'light');
    await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
    await change(page, 'light-lumens', '3000');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.locator('#f-light-lumens')).toHaveValue('2000');
    await page.getByRole('button', { name: 'Redo' }).click();
    await expect(page.locator('#f-light-lumens')).toHaveValue('3000');
    await expect(page.getByRole('button', { name: 'Redo' })).toBeDisabled();
});

test('the year is run anew at each change, its extremes named', async ({ page }, info) => {
    await startTank(page, `Year ${info.project.name}`);
    const words = () => page.locator('#year-words').textContent();
    const before = await words();
    expect(before).toMatch(/Extreme of ammonia .*, day \d+/);
    await openStage(page, 'animals');
    await choose(page, 'animals-add', 'heterandria-formosa');
    await change(page, 'feeding-grams', '1');
    expect(await words()).not.toBe(before);
    await expect(page.locator('.year .curve-oxygen').first()).toBeVisible();
});

test('a mix, the ledger of a day and the bags to buy', async ({ page }) => {
    await openShelf(page);
    await page.getByRole('heading', { name: 'Waiting hall' }).click();
    await tab(page, 'Plan');
    await openStage(page, 'bed');
    await expect(page.locator('#f-bed-soil-material')).toHaveValue('mix');
    await expect(page.getByLabel('parts of peat')).toHaveValue('2');
    await page.getByLabel('Ledger and materials').check();
    await page.locator('.ledger select').selectOption('60');
    await expect(page.locator('#ledger-title')).toHaveText('Nitrogen ledger, day 60');
    await page.locator('.take input').fill('5 L');
    await page.locator('.take input').press('Tab');
    await expect(page.locator('.take tr', { hasText: 'Coarse sand' })).toContainText('2 bags');
    await page.locator('.take input').fill('lots');
    await page.locator('.take input').press('Tab');
    await expect(page.locator('#bag-error')).toContainText('not a number');
    await expect(page.locator('.take input')).toHaveValue('lots');
});

test('units are switched anywhere and typed in either', async ({ page }, info) => {
    await signInAlone(page, `inches-${info.project.name}`);
    await newTank(page, 'Inches');
    await menu(page);
    await page.getByRole('button', { name: 'in · gal' }).click();
    await openStage(page, 'vessel');
    await expect(page.locator('#f-vessel-length')).toHaveValue('23.62');
    await change(page, 'vessel-length', '50 cm');
    await expect(page.locator('#f-vessel-length')).toHaveValue('19.69');
    await change(page, 'waterLine', '12 1/2');
    await expect(page.locator('#f-waterLine')).toHaveValue('12.5');
    await menu(page);
    await page.getByRole('button', { name: 'cm · L' }).click();
    await openStage(page, 'vessel');
    await expect(page.locator('#f-vessel-length')).toHaveValue('50');
    await expect(page.locator('#f-waterLine')).toHaveValue('31.75');
});

test('the page shows what the computation says', async ({ page }) => {
    const { execFileSync } = await import('node:child_process');
    await openShelf(page);
    await page.getByRole('heading', { name: 'Ticket window' }).click();
    const plan = await (await page.request.get(`${page.url()}/plan.json`)).text();
    const said = JSON.parse(execFileSync('php', ['bin/console', 'olvek:judge', '-', '--format=json'], { input: plan, env: { ...process.env, APP_ENV: 'test' } }));
    await expect(verdict(page)).toContainText(said.verdict);
    for (const margin of said.margins) {
        await expect(page.locator(`#margin-${margin.id} .margin-value`)).toHaveText(margin.shown);
    }
});

test('an answer that breaks off after the judgement is told of, and what was saved stands', async ({ page }, info) => {
    await startTank(page, `Broken off ${info.project.name}`);
    await openStage(page, 'light');
    await page.route('**/edit', async (route) => {
        const response = await route.fetch();
        const [judged] = (await response.text()).split('\n');
        await route.fulfill({ response, body: `${judged}\n` });
    });
    await page.locator('#f-light-hours').fill('7');
    await page.locator('#f-light-hours').press('Enter');
    await expect(page.getByText('This is saved, but the rest of the page did not come')).toBeVisible();
    await expect(page.locator('.last-change')).toContainText('hours of light 8 h → 7 h');
    await page.reload();
    await openStage(page, 'light');
    await expect(page.locator('#f-light-hours')).toHaveValue('7');
});

test('by keyboard alone', async ({ page }) => {
    await page.goto('/sign-in');
    const tabTo = async (match) => {
        for (let n = 0; n < 160; n += 1) {
            await page.keyboard.press('Tab');
            if (await page.evaluate((selector) => document.activeElement.matches(selector), match)) {
                return;
            }
        }
        throw new Error(`${match} cannot be reached`);
    };
    await tabTo('form[action="/demo"] button');
    await page.keyboard.press('Enter');
    await expect(page).toHaveTitle(/Shelf/);
    await tabTo('a[href="/tanks/new"]');
    await page.keyboard.press('Enter');
    await expect(page).toHaveTitle(/Start a tank/);
    await tabTo('#f-name');
    await page.keyboard.type('Keys');
    await tabTo('button[value="nothing"]');
    await page.keyboard.press('Enter');
    await expect(page).toHaveTitle(/Keys/);
    await tabTo('#light > summary');
    await page.keyboard.press('Enter');
    await tabTo('#f-light-hours');
    await page.keyboard.type('7');
    await page.keyboard.press('Tab');
    await expect(page.locator('.last-change')).toContainText('hours of light 8 h → 7 h');
    await expect(page.locator('#f-light-height')).toBeFocused();
    await tabTo('#plants > summary');
    await page.keyboard.press('Space');
    await tabTo('[data-palette="plants"]');
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('Search plants')).toBeFocused();
    await page.keyboard.type('java fern');
    await tabTo('[data-card="microsorum-pteropus"] .pick-add button');
    await page.keyboard.press('Enter');
    await expect(page.locator('#f-plants-c1-pieces')).toBeVisible();
    // What came in is in the hand: arrows move it in the drawing.
    await expect(page.locator('[data-handle="plants.c1.place"]:focus')).toBeAttached();
    const before = await page.locator('#f-plants-c1-place').inputValue();
    await page.keyboard.press('ArrowRight');
    await expect(page.locator('.last-change')).toContainText('left to right');
    await expect(page.locator('#f-plants-c1-place')).not.toHaveValue(before);
});

test.describe('without scripts', () => {
    test.use({ javaScriptEnabled: false });
    test('the same forms work by their buttons', async ({ page }, info) => {
        await startTank(page, `Plain ${info.project.name}`);
        await page.locator('#plants > summary').click();
        await page.getByRole('link', { name: 'Add plants' }).click();
        await page.getByLabel('Search plants').fill('spiralis');
        await page.getByRole('button', { name: 'Search' }).click();
        await page.getByRole('button', { name: /^Add \d+ plants Straight vallisneria/ }).click();
        await expect(page.locator('#plants'), 'the stage that was saved stays open').toHaveAttribute('open', '');
        await page.locator('#f-plants-c1-pieces').fill('25');
        await page.locator('#plants').getByRole('button', { name: 'Save' }).click();
        await expect(page.locator('.last-change')).toContainText(/pieces \d+ → 25/);
        await page.locator('#light > summary').click();
        await page.locator('#f-light-hours').fill('33');
        await page.locator('#light').getByRole('button', { name: 'Save' }).click();
        await expect(page.locator('#f-light-hours-error')).toContainText('from 0 h to 24 h');
        await page.locator('#f-light-hours').fill('10');
        await page.locator('#f-light-hours').press('Enter');
        await expect(page.locator('.last-change')).toContainText('8 h → 10 h');
        await page.getByRole('button', { name: 'Undo' }).click();
        await page.locator('#light > summary').click();
        await expect(page.locator('#f-light-hours')).toHaveValue('8');
        await page.getByLabel('Ledger and materials').check();
        await page.locator('.ledger select').selectOption('28');
        await page.getByRole('button', { name: 'Show' }).click();
        await expect(page.locator('#ledger-title')).toHaveText('Nitrogen ledger, day 28');
        await expect(page.locator('#ledger-title'), 'and it stays in sight').toBeVisible();
    });
});

test('fits its screen', { tag: '@both' }, async ({ page }, info) => {
    await openShelf(page);
    await page.getByRole('heading', { name: 'Waiting hall' }).click();
    await tab(page, 'Plan');
    // On a phone the drawing comes first, and stages are opened from the rail at its foot.
    await expect(page.locator('.stage[open]')).toHaveCount(info.project.name === 'desk' ? 1 : 0);
    await expect(page.locator('.view-front svg')).toBeVisible();
    const { height, wide, tall } = await page.evaluate(() => ({ height: innerHeight, wide: document.documentElement.scrollWidth, tall: document.documentElement.scrollHeight }));
    expect(wide).toBeLessThanOrEqual(page.viewportSize().width);
    if (info.project.name === 'desk') {
        expect(tall).toBeLessThanOrEqual(height);
    }
});

for (const colorScheme of ['light', 'dark']) {
    test.describe(`${colorScheme}`, () => {
        test.use({ colorScheme });
        test('nothing for axe to find on the Bench, at any stage', { tag: colorScheme === 'light' ? '@both' : '@desk' }, async ({ page }) => {
            await openShelf(page);
            await page.getByRole('heading', { name: 'Waiting hall' }).click();
            await tab(page, 'Plan');
            for (const stage of ['vessel', 'bed', 'hardscape', 'light', 'plants', 'water', 'animals', 'start']) {
                await openStage(page, stage);
                await expectAccessible(page, '.bench-stages');
            }
            await (await openMargin(page, 'nitrite')).locator('summary').click();
            await expectAccessible(page, '.margins');
            await page.getByLabel('Ledger and materials').check();
            await expect(page.locator('.ledger-bars').first()).toBeAttached();
            await expectAccessible(page, '.bench-below');
            await openStage(page, 'bed');
            await page.locator('#methods > summary').click();
            await page.getByRole('link', { name: 'Slow swamp' }).click();
            await expect(page.locator('#methods .answer')).toBeVisible();
            await expectAccessible(page, '.bench-stages');
            await page.locator('#written > summary').click();
            await page.locator('#files > summary').click();
            await expectAccessible(page);
            for (const address of ['history', 'import']) {
                await page.goto(`${page.url().split('?')[0].replace(/\/(history|import)$/, '')}/${address}`);
                await expectAccessible(page);
            }
        });
    });
}
