import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import ICAL from 'ical.js';
import { test, expect, newTank, signInAlone, openShelf, tab } from './keeper.js';

/** A keeper of its own: the ferry landing's almanac fills with other tests' tanks, and lists only so many that are late. */
async function filledLongAgo(page, name, baseURL) {
    await signInAlone(page, name.toLowerCase().replace(' ', '-'));
    await newTank(page, name);
    await page.goto(`${page.url().split('?')[0]}/today`);
    await page.getByRole('button', { name: 'It is filled' }).click();
    await page.context().addCookies([{ name: 'olvek-days-ahead', value: '16', url: baseURL }]);
    await page.getByRole('link', { name: 'Almanac' }).click();
}

test('tasks are done and put off, and the logbook says so', { tag: '@phone' }, async ({ page, baseURL }, info) => {
    const name = `Kept ${info.project.name}`;
    await filledLongAgo(page, name, baseURL);
    const look = page.locator('.due', { hasText: name }).filter({ hasText: 'Check headcount' });
    await expect(look).toHaveCount(2);
    await look.first().getByRole('button', { name: /^Done/ }).click();
    await expect(look).toHaveCount(1);
    await look.locator('summary').click();
    await look.getByRole('button', { name: 'Put off' }).click();
    await expect(page.locator('.due', { hasText: name }).filter({ hasText: 'put off from' })).toHaveCount(1);
    // The rest of what is due is left out.
    const topUp = page.locator('.due', { hasText: name }).filter({ hasText: 'Top up' }).first();
    await topUp.locator('summary').click();
    await topUp.getByRole('button', { name: 'Leave out' }).click();
    await expect(page.locator('.due-late', { hasText: name }).filter({ hasText: 'Top up' })).toHaveCount(0);
    await page.getByRole('link', { name, exact: true }).first().click();
    await expect(page.locator('.log')).toContainText('Left out: Top up');
    await expect(page.locator('.log')).toContainText('Check headcount');
    await expect(page.locator('.log')).toContainText('Put off to');
});

test('the private address is read by another’s parser without signing in, and dies when renewed', async ({ page, playwright, baseURL }) => {
    await filledLongAgo(page, 'Fed', baseURL);
    await page.getByRole('button', { name: 'Make a private address' }).click();
    const address = await page.getByLabel('private address').inputValue();
    const stranger = await playwright.request.newContext();
    const feed = await stranger.get(address);
    expect(feed.status()).toBe(200);
    const events = new ICAL.Component(ICAL.parse(await feed.text())).getAllSubcomponents('vevent').map((event) => new ICAL.Event(event));
    const look = events.find((event) => event.summary.startsWith('Fed: Check headcount'));
    const times = look.iterator();
    const [first, second] = [times.next(), times.next()];
    expect(second.subtractDate(first).toSeconds()).toBe(7 * 86400);
    await page.getByRole('button', { name: 'Renew the address' }).click();
    await expect(page.getByLabel('private address')).not.toHaveValue(address);
    expect((await stranger.get(address)).status()).toBe(404);
    await stranger.dispose();
});

test('a device that is killed, slow or talks nonsense is told of, and the page goes on', async ({ page, baseURL }) => {
    const port = Number(new URL(baseURL).port) + 1;
    const lamp = `http://127.0.0.1:${port}`;
    await openShelf(page);
    await page.getByRole('link', { name: /Galley/ }).first().click();
    await tab(page, 'Today');
    await expect(page.locator('#devices')).toContainText('The timer galley-lamp');
    await page.getByRole('button', { name: 'Send the programme' }).click();
    await expect(page.locator('main')).toContainText('The timer has taken the programme');
    const held = await (await page.request.get(`${lamp}/programme`)).json();
    expect(held.entries[0]).toMatchObject({ day: 0, percent: 60 });
    await tab(page, 'Today');
    await expect(page.locator('#devices')).toContainText('It holds this programme');
    // What the probe measures is written down by one press, and can be taken back.
    await expect(page.locator('#devices')).toContainText(/in its day 2\d/);
    await page.getByRole('button', { name: 'Log temperature and pH' }).click();
    await expect(page.locator('.log')).toContainText(/Temperature 2\d/);
    await page.getByRole('button', { name: /Undo Temperature/ }).first().click();
    await expect(page.locator('.log')).not.toContainText('Temperature');
    await page.getByRole('button', { name: /Undo pH/ }).first().click();
    await expect(page.locator('#devices')).toContainText('The timer galley-lamp');
    await page.request.post(`${lamp}/fault`, { data: { mode: 'wrong' } });
    await page.reload();
    await expect(page.locator('#devices')).toContainText('answers, but not what such a device should');
    await page.request.post(`${lamp}/fault`, { data: { mode: 'slow' } });
    await page.reload();
    await expect(page.locator('#today-title'), 'the page does not wait').toBeVisible();
    await expect(page.locator('#devices')).toContainText('is too slow');
    process.kill(Number(readFileSync(`var/standins/lamp-${port}.pid`, 'utf8')), 'SIGKILL');
    await page.reload();
    await expect(page.locator('#devices')).toContainText('“galley-lamp” is not responding');
    await expect(page.locator('#devices'), 'the probe is heard all the same').toContainText('The probe galley-probe reads');
    const again = spawn('bin/standin', ['lamp', String(port)], { stdio: 'ignore' });
    try {
        await expect(async () => expect((await page.request.post(`${lamp}/fault`, { data: { mode: 'none' } })).status()).toBe(204)).toPass();
        await page.reload();
        await expect(page.locator('#devices')).toContainText('It holds this programme');
    } finally {
        again.kill();
    }
});

test('this browser reminds once a day, where it is allowed to', async ({ page, context, baseURL }) => {
    await context.grantPermissions(['notifications'], { origin: baseURL });
    // What a browser shows is its own; that it is asked for is what is tested.
    await page.addInitScript(() => {
        window.told = [];
        window.Notification = class {
            static permission = 'granted';

            static async requestPermission() {
                return 'granted';
            }

            constructor(title, { body }) {
                window.told.push(`${title}: ${body}`);
            }
        };
    });
    await filledLongAgo(page, 'Reminded', baseURL);
    await page.context().addCookies([{ name: 'olvek-days-ahead', value: '14', url: baseURL }]);
    await page.reload();
    const told = () => page.evaluate(() => window.told);
    expect(await told()).toHaveLength(0);
    await page.getByRole('button', { name: 'Remind me in this browser' }).click();
    await expect(page.getByRole('button', { name: 'Do not remind me' })).toBeVisible();
    expect((await told())[0]).toContain('Olvek: due today: Reminded: ');
    await page.reload();
    expect(await told(), 'once a day').toHaveLength(0);
    await page.getByRole('button', { name: 'Do not remind me' }).click();
    await expect(page.getByRole('button', { name: 'Remind me in this browser' })).toBeVisible();
});
