/** What a plan can say of technique, zones, sizes, seats and sexes: each control by keyboard on a desk, by touch on a phone. */
import { test, expect, startTank, signInAlone, newTank, openStage, choose, expectAccessible, tab, unfold } from './keeper.js';

/** Stage, place and value of each, in an order in which one brings the next. */
const CONTROLS = [
    ['vessel', 'stand.length', '80'], ['vessel', 'stand.width', '40'], ['vessel', 'stand.behind', '6'], ['vessel', 'stand.background', 'black'],
    ['vessel', 'stand.shadeBar', 'yes'], ['vessel', 'stand.secondHand', 'yes'],
    ['light', 'light.dawn', '0.5'], ['light', 'light.night', '2'], ['light', 'light.secondLumens', '600'], ['light', 'light.secondKind', 'led-clip'],
    ['light', 'light.secondHours', '3'], ['light', 'light.secondOn', '13:00'],
    ['equipment', 'equipment.heating', 'tank'], ['equipment', 'equipment.target', '24'], ['equipment', 'equipment.watts', '75'],
    ['equipment', 'equipment.device', 'sponge-filter'], ['equipment', 'equipment.flow', '90'], ['equipment', 'equipment.media', '0.4'],
    ['equipment', 'equipment.rinse', '42'], ['equipment', 'equipment.siphonSafe', 'yes'],
    ['bed', 'bed.base.material', 'lava'], ['bed', 'bed.dressing.material', 'fine-gravel'], ['bed', 'bed.plate', '1'], ['bed', 'bed.plateFrom', '20'],
    ['bed', 'bed.plateTo', '80'], ['bed', 'bed.pots', '2'], ['bed', 'bed.potLitres', '0.4'],
    ['bed', 'zones.z1.kind', 'rear'], ['bed', 'zones.z1.left', '10'], ['bed', 'zones.z1.right', '90'], ['bed', 'zones.z1.front', '60'],
    ['bed', 'zones.z1.back', '95'], ['bed', 'zones.z1.soil', '4'], ['bed', 'zones.z1.cap', '5'], ['bed', 'zones.z1.soilKind', 'garden-loam'],
    ['bed', 'zones.z1.capKind', 'fine-gravel'], ['bed', 'zones.z1.edge', 'strip'],
    ['hardscape', 'hardscape.h1.length', '20'], ['hardscape', 'hardscape.h1.width', '8'], ['hardscape', 'hardscape.h1.height', '10'],
    ['hardscape', 'hardscape.h1.fixing', 'silicone'], ['hardscape', 'hardscape.h1.source', 'found'],
    ['plants', 'plants.c1.seat', 'glued'], ['plants', 'plants.c1.raised', '8'], ['plants', 'plants.c1.emersion', 'wicking'],
    ['plants', 'plants.c1.source', 'own-tank'], ['plants', 'plants.c2.keeping', 'ring'], ['plants', 'plants.c2.part', '30'],
    ['animals', 'animals.a1.sexes', 'males'], ['animals', 'animals.a1.quarantine', '21'], ['animals', 'animals.a1.source', 'own-tank'],
    ['water', 'preparation.filling', 'sink'],
];

async function furnished(page, name) {
    await startTank(page, name);
    for (const [stage, field, kind] of [
        ['bed', 'zones-add', 'terrace'], ['hardscape', 'hardscape-add', 'granite'], ['plants', 'plants-add', 'anubias-nana'],
        ['plants', 'plants-add', 'salvinia-natans'], ['animals', 'animals-add', 'poecilia-reticulata'],
    ]) {
        await openStage(page, stage);
        await choose(page, field, kind);
    }
}

const field = (page, place) => page.locator(`#f-${place.replaceAll('.', '-')}`);

/** Reaches a control and gives it a value as a hand would: by touch, or by keys alone; every handle, and what the other walks change, is moved by mouse. */
const WAYS = {
    async touch(control, value) {
        await control.tap();
        await (await isList(control) ? control.selectOption(value) : control.fill(value));
        await control.blur();
    },
    async keyboard(control, value) {
        await control.focus();
        if (await isList(control)) {
            // Opened, a list goes to what is typed, and is changed once, by Enter.
            await control.press('Alt+ArrowDown');
            await control.pressSequentially(await control.evaluate((list, wanted) => [...list.options].find((o) => o.value === wanted).text, value));
            await control.press('Enter');
        } else {
            await control.press('ControlOrMeta+a');
            await control.pressSequentially(value);
            await control.press('Enter');
        }
    },
};
const isList = (control) => control.evaluate((element) => element.tagName === 'SELECT');

for (const way of Object.keys(WAYS)) {
    test(`each new control by ${way}`, { tag: way === 'touch' ? '@phone' : '@desk' }, async ({ page }) => {
        test.setTimeout(240_000);
        await furnished(page, `Practice ${way}`);
        for (const [stage, place, value] of CONTROLS) {
            await test.step(place, async () => {
                await openStage(page, stage);
                const control = field(page, place);
                await unfold(control);
                await expect(control).toBeVisible();
                if (await control.inputValue() === value) {
                    return;
                }
                const sent = page.waitForResponse((response) => response.url().endsWith('/edit') && response.request().method() === 'POST');
                await WAYS[way](control, value);
                expect((await sent).status(), `${place} is taken`).toBeLessThan(300);
                await expect(field(page, place)).toHaveValue(value);
            });
        }
        await page.reload();
        for (const [, place, value] of CONTROLS) {
            await expect(field(page, place)).toHaveValue(value);
        }
    });
}

test('zones, pots and a measured stone are drawn, and listed on the build page', async ({ page }, info) => {
    await furnished(page, `Drawn ${info.project.name}`);
    await expect(page.locator('.zone-line').first()).toBeAttached();
    await openStage(page, 'bed');
    await unfold(field(page, 'bed.pots'));
    await field(page, 'bed.pots').fill('2');
    await field(page, 'bed.pots').press('Enter');
    await expect(page.locator('[data-part="front"] .pot')).toBeAttached();
    await tab(page, 'Build');
    await expect(page.locator('#step-zone-z1')).toContainText('Lay the terrace');
    await expect(page.locator('#shopping')).toContainText('flat stones for the terrace wall');
    await expect(page.locator('#shopping')).toContainText('2 pots for 0.3');
    await expectAccessible(page);
});

test('a tank is put in a room, away, copied and removed, each undone', async ({ page }, info) => {
    const name = `Placed ${info.project.name}`;
    await signInAlone(page, `placed-${info.project.name}`);
    await newTank(page, name);
    await page.getByRole('link', { name: 'Shelf' }).click();
    const card = page.locator('.shelf > li', { hasText: name }).first();
    await card.locator('.tank-menu > summary').click();
    await card.getByLabel('room or group').fill(`Room ${info.project.name}`);
    await card.getByLabel('room or group').press('Enter');
    await expect(page.getByRole('heading', { name: `Room ${info.project.name}` })).toBeVisible();
    await card.locator('.tank-menu > summary').click();
    await card.getByRole('button', { name: `Put away ${name}` }).click();
    await expect(page.locator('.notice-bar')).toContainText('put away');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.locator('.shelf-tank', { hasText: name })).toBeVisible();
    await card.locator('.tank-menu > summary').click();
    await card.getByRole('button', { name: `Remove ${name}` }).click();
    await expect(page.locator('.shelf-tank', { hasText: name })).toHaveCount(0);
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.goto('/');
    await expect(page.locator('.shelf-tank', { hasText: name })).toBeVisible();
    await expectAccessible(page);
});

test('things go from one tank into another, and a tank is set up anew', async ({ page }, info) => {
    const from = `Giver ${info.project.name}`;
    const to = `Taker ${info.project.name}`;
    await signInAlone(page, `giver-${info.project.name}`);
    await newTank(page, to);
    await newTank(page, from);
    await openStage(page, 'plants');
    await choose(page, 'plants-add', 'hygrophila-polysperma');
    await tab(page, 'History');
    await page.getByRole('link', { name: 'Give things of it to another tank, or re-scape it' }).click();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Give', exact: true }).click();
    await expect(page.getByRole('alert')).toContainText('Choose the tank');
    await page.getByLabel('Dwarf hygro').first().fill('4');
    await page.getByLabel('into').selectOption({ label: to });
    await page.getByRole('button', { name: 'Give', exact: true }).press('Enter');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(to);
    await expect(page.locator('.notice-bar')).toContainText(`given from ${from}: 4 × Dwarf hygro`);
    await openStage(page, 'plants');
    await expect(field(page, 'plants.c1.source')).toHaveValue('own-tank');
    await page.goto('/');
    await page.locator('.shelf > li', { hasText: from }).first().locator('.tank-menu > summary').click();
    await page.locator('.shelf > li', { hasText: from }).first().getByRole('link', { name: 'Give things, or re-scape' }).click();
    await page.getByRole('button', { name: 'Plan the re-scape' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(from);
    await tab(page, 'History');
    await expect(page.locator('.history')).toContainText('A re-scape of');
});
