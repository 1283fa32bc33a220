/*
 * Takes the pictures of docs/screenshots anew, from a demo that was just started on a database of its own:
 *   PORT=8090 DATABASE_URL='sqlite:///%kernel.project_dir%/var/pictures.db' bin/demo
 *   node bench/screenshots.js http://127.0.0.1:8090
 */
import { existsSync } from 'node:fs';
import { chromium } from '@playwright/test';

const base = process.argv[2] ?? 'http://127.0.0.1:8080';
const shots = new URL('../docs/screenshots/', import.meta.url).pathname;
const shell = '/usr/bin/chromium-headless-shell';
const browser = await chromium.launch({ executablePath: existsSync(shell) ? shell : '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
const desk = await browser.newContext({ baseURL: base, viewport: { width: 1280, height: 800 }, locale: 'en-GB' });
const page = await desk.newPage();
const take = (name, of = page) => of.screenshot({ path: `${shots}${name}.png` });
const ready = async (of = page) => {
    await of.locator('html[data-bench="ready"]').waitFor();
    await of.waitForTimeout(400);
};
const tank = async (name) => (await page.locator('a.shelf-tank, .shelf-tank a', { hasText: name }).first().getAttribute('href')).replace(/\/today$/, '');
/** How sure a verdict is takes a while to be worked out; the pictures show it. */
const sure = () => page.locator('.verdict-sentence', { hasText: 'simulated tanks' }).waitFor({ timeout: 120_000 });

await page.goto('/sign-in');
await page.getByRole('button', { name: 'Open the ferry landing’s shelf' }).click();
await page.locator('.shelf-tank').first().waitFor();
await take('shelf');
const hall = await tank('Waiting hall');
const galley = await tank('Galley');
const ticket = await tank('Ticket window');

await page.goto('/tanks/new');
await take('start');
await page.locator('.vessel', { hasText: 'Box, 60 × 30 × 36' }).click();
await page.getByRole('button', { name: 'Plan one for me' }).click();
await page.locator('.wish-animals label', { hasText: 'White cloud' }).first().click();
await page.getByRole('button', { name: 'Make three plans' }).click();
await page.locator('.plan-card').nth(2).getByRole('button', { name: 'Take this one' }).waitFor({ timeout: 120_000 });
await page.locator('[data-plans-progress]').waitFor({ state: 'hidden', timeout: 120_000 });
await take('plans');
await page.goto(`${hall}/methods`);
await page.locator('.method-card').first().waitFor({ timeout: 120_000 });
await take('methods');
await page.goto(`${hall}/palette/plants`);
await page.locator('.pick-card, [data-card]').first().waitFor();
await take('palette');
await page.goto(hall);
await ready();
await sure();
await take('bench');
await page.locator('#margin-oxygen summary, .margin#margin-oxygen > summary').first().click();
await page.locator('#margin-oxygen .help-list, #margin-oxygen .help-title').first().waitFor({ timeout: 60_000 });
await take('bench-why');
await page.goto(`${galley}?below=ledger`);
await ready();
await take('bench-ledger');
await page.goto(`${hall}/build`);
await take('build');
await page.goto(`${hall}/today`);
await page.locator('.gauge-group').first().waitFor({ timeout: 120_000 });
await take('today');
await page.goto(`${hall}/log/charts`);
await page.locator('.chart .ahead-band').first().waitFor({ timeout: 120_000 });
await take('charts');
await page.goto(`${hall}/photos`);
await page.locator('#weeks img').first().waitFor();
await page.locator('#weeks').evaluate((weeks) => weeks.scrollIntoView({ block: 'start' }));
await page.waitForTimeout(600);
await take('photos');
await page.goto(`${galley}/today`);
await page.locator('.forecast').waitFor({ timeout: 120_000 });
await take('weeks');
await page.goto('/almanac');
await take('almanac');
const id = (of) => of.split('/').pop();
await page.goto(`/compare?with[]=${id(hall)}&with[]=${id(galley)}`);
await page.locator('.compare .compared small').first().waitFor({ timeout: 120_000 });
await page.locator('#side').evaluate((side) => side.scrollIntoView({ block: 'start' }));
await take('compare');

const dark = await browser.newContext({ baseURL: base, viewport: { width: 1280, height: 800 }, colorScheme: 'dark', storageState: await desk.storageState() });
const night = await dark.newPage();
await night.goto(ticket);
await ready(night);
await take('bench-dark', night);

const phone = await browser.newContext({ baseURL: base, viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, storageState: await desk.storageState() });
const small = await phone.newPage();
await small.goto(hall);
await ready(small);
await take('bench-phone', small);
await small.goto(`${hall}/read?sign[]=gasping`);
await take('read-phone', small);
await small.goto(`${hall}/log`);
await small.locator('html[data-log="ready"]').waitFor();
await small.locator('#saw > summary').click();
await small.waitForTimeout(300);
await take('log-phone', small);
await browser.close();
