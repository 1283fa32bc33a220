/**
 * Makes the demo's photos of the waiting hall: Olvek's own drawing of it on some days, as a photo of it would stand in the album, and marked as made up.
 * Usage: node bench/demo-photos.js http://127.0.0.1:8090, on a demo that stands.
 */
import { mkdirSync } from 'node:fs';
import { chromium } from '@playwright/test';

const base = process.argv[2];
const DAYS = [3, 21, 42, 70, 98, 119, 147, 182, 210, 238];
const folder = 'demo/photos';
mkdirSync(folder, { recursive: true });
const browser = await chromium.launch({ executablePath: process.env.OLVEK_CHROMIUM ?? '/usr/bin/chromium-headless-shell', args: ['--no-sandbox'] });
const page = await browser.newPage({ baseURL: base, viewport: { width: 900, height: 640 } });
await page.goto('/sign-in');
await page.getByRole('button', { name: 'Open the ferry landing’s shelf' }).click();
const address = await page.locator('a.shelf-tank', { hasText: 'Waiting hall' }).getAttribute('href').then((href) => href.replace(/\/today$/, ''));
// A page of no address has no rules of its own against styles within it.
const easel = await browser.newPage({ viewport: { width: 900, height: 640 } });
for (const day of DAYS) {
    const answer = await page.request.get(`${base}${address}/drawing/front.svg?day=${day}`);
    if (!answer.ok()) {
        throw new Error(`${answer.status()}: ${await answer.text()}`);
    }
    const svg = await answer.text();
    await easel.setContent(`<style>body{margin:0;background:#e8e2d2;font:22px sans-serif;color:#505c56}svg{width:900px;height:600px;display:block}p{margin:0;position:absolute;right:14px;bottom:10px}</style>${svg}<p>made up</p>`);
    await easel.screenshot({ path: `${folder}/${String(day).padStart(3, '0')}.jpg`, type: 'jpeg', quality: 62 });
}
await browser.close();
