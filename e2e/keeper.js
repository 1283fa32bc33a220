/** What every browser test begins with: a page that must stay silent, keep to its host, and opens the ferry landing's shelf. */
import { test as base, expect } from '@playwright/test';
import AxeBuilder from '@axe-core/playwright';

export const test = base.extend({
    /** Whether the Bench may compute how sure it is while it rests: off, since it would keep both cores busy under every other test. */
    sure: [false, { option: true }],
    page: async ({ page, baseURL, sure }, use) => {
        if (!sure) {
            await page.route('**/sure/*', (route) => route.fulfill({ json: { base: -1, done: false, of: 1 } }));
        }
        const complaints = [];
        page.on('pageerror', (error) => complaints.push(error.message));
        page.on('console', (message) => {
            // A refusal (409, 413, 422) shows in Chromium's console as a failed load; that one is wanted.
            if (message.type() === 'error' && !/status of (401|409|413|422|429)/.test(message.text())) {
                complaints.push(message.text());
            }
        });
        page.on('request', (request) => {
            if (!request.url().startsWith(baseURL) && !request.url().startsWith('data:')) {
                complaints.push(`left for ${request.url()}`);
            }
        });
        await use(page);
        expect(complaints).toEqual([]);
    },
});
export { expect };

/** The session of the ferry landing, signed in once for all tests of a worker: none of them signs it out. */
let session = null;

/** Is the ferry landing, wherever the test goes next. */
async function signedIn(page) {
    if (session === null) {
        await page.goto('/sign-in');
        await page.getByRole('button', { name: 'Open the ferry landing’s shelf' }).click();
        await expect(page.getByRole('heading', { level: 1 })).toHaveText('The ferry landing’s shelf');
        session = await page.context().cookies();
    }
    await page.context().addCookies(session);
}

export async function openShelf(page) {
    await signedIn(page);
    await page.goto('/');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('The ferry landing’s shelf');
}

/** A keeper of the test's own, for what belongs to a keeper and not to a tank: the ferry landing is every other test's too. */
export async function signInAlone(page, name) {
    const { execFileSync } = await import('node:child_process');
    const server = { APP_ENV: 'prod', APP_DEBUG: '0', DATABASE_URL: 'sqlite:///%kernel.project_dir%/var/e2e.db' };
    execFileSync('php', ['bin/console', 'olvek:keeper:create', name, '--password-stdin'], { input: 'a few words in a row\n', stdio: ['pipe', 'ignore', 'pipe'], env: { ...process.env, ...server } });
    await page.goto('/sign-in');
    await page.getByLabel('name', { exact: true }).fill(name);
    await page.getByLabel('password').fill('a few words in a row');
    await page.getByLabel('password').press('Enter');
    await expect(page.getByRole('heading', { level: 1 })).toContainText('shelf');
}

/** Does what sends a form, and waits for the page that answers: an address asked for meanwhile would meet a page half gone. */
export const sends = (page, action) => Promise.all([page.waitForEvent('load'), action()]);

/** A tank of the test's own, so that tests do not meet on one. */
export async function startTank(page, name) {
    await signedIn(page);
    await newTank(page, name);
}

/** A planted tank with shrimp and food, filled today; on the ferry landing's shelf, or on that of whoever is signed in. */
export async function filledTank(page, name, start = startTank) {
    await start(page, name);
    await openStage(page, 'plants');
    await choose(page, 'plants-add', 'hygrophila-polysperma');
    await openStage(page, 'animals');
    await choose(page, 'animals-add', 'neocaridina-davidi');
    await change(page, 'feeding-grams', '20 mg');
    await tab(page, 'Build');
    await page.locator('#step-fill summary').click();
    await sends(page, () => page.getByRole('button', { name: 'Done Fill slowly' }).click());
}

/** Goes to one of the tank's pages: by its tab, or from behind "More". */
export async function tab(page, name) {
    const link = page.locator('.tank-bar .bar-nav').getByRole('link', { name, exact: true, includeHidden: true });
    if (!(await link.isVisible())) {
        await page.locator('.tank-bar .bar-more > summary').click();
    }
    await link.click();
}

/** Opens the keeper's own menu: account, units, sign out. */
export async function menu(page) {
    if (!(await page.locator('.keeper-menu').evaluate((details) => details.open))) {
        await page.locator('.keeper-menu > summary').click();
    }
}

/** A tank of whoever is signed in. */
export async function newTank(page, name) {
    await page.goto('/tanks/new');
    await named(page, name);
}

async function named(page, name) {
    await page.getByLabel('name of the tank').fill(name);
    await page.getByRole('button', { name: 'Create tank' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(name);
}

/** The Bench's scripts have come: what is changed now is sent at once, and a question is answered in its place. */
export const ready = (page) => expect(page.locator('html[data-bench="ready"]')).toBeAttached();

/** Opens a stage; the page's own script may be opening one at the same moment, so a click that closed it is made good. */
export async function openStage(page, id) {
    await ready(page);
    const stage = page.locator(`#${id}`);
    await expect(async () => {
        if (!(await stage.evaluate((details) => details.open))) {
            await stage.locator('> summary').click();
        }
        await expect(stage.locator('.stage-body')).toBeVisible({ timeout: 500 });
    }).toPass();
}

/** Opens the stage of a field, and what stands under "exactly"; a field that an answer replaces meanwhile is found again. */
export async function unfold(field) {
    await expect(async () => {
        await field.evaluate((element) => {
            for (let details = element.closest('details'); details; details = details.parentElement?.closest('details')) {
                details.open = true;
            }
        });
        await expect(field).toBeVisible({ timeout: 500 });
    }).toPass();
}

/** Types into a field and leaves it; waits until the answer is in. */
export async function change(page, id, text) {
    await ready(page);
    const answered = page.waitForResponse((response) => response.url().includes('/edit'));
    const field = page.locator(`#f-${id}`);
    await unfold(field);
    await field.fill(text);
    await field.press('Tab');
    const response = await answered;
    await expect(page.locator('body')).not.toHaveAttribute('aria-busy', 'true');
    return response.status();
}

export async function choose(page, id, value) {
    await ready(page);
    const list = /^(plants|animals|hardscape)-add$/.exec(id)?.[1];
    if (list !== undefined) {
        await pick(page, list, value);
        return;
    }
    const answered = page.waitForResponse((response) => response.url().includes('/edit'));
    await unfold(page.locator(`#f-${id}`));
    await page.locator(`#f-${id}`).selectOption(value);
    await answered;
    await expect(page.locator('body')).not.toHaveAttribute('aria-busy', 'true');
}

/** The card of a kind in its palette, which is opened in its stage. */
export async function card(page, list, kind) {
    const link = page.locator(`[data-palette="${list}"]`);
    if ((await link.getAttribute('aria-expanded')) !== 'true') {
        await link.click();
    }
    const found = page.locator(`[data-palette-list="${list}"] [data-card="${kind}"]`);
    // A palette is made anew where a change altered what lives here: its cards are looked for again then.
    await expect(async () => found.scrollIntoViewIfNeeded({ timeout: 5000 })).toPass();
    return found;
}

/** Takes a kind out of its palette. */
export async function pick(page, list, kind) {
    const found = await card(page, list, kind);
    await edited(page, () => found.getByRole('button', { name: /^(Add|Take)/ }).click());
}

/** Brings a margin that holds into sight: it stands one step away. */
export async function openMargin(page, id) {
    const rest = page.locator(`.margin-rest:has(#margin-${id}):not([open]) > summary`);
    if ((await rest.count()) > 0) {
        await rest.click();
    }
    return page.locator(`#margin-${id}`);
}

/** Turns the drawing, and waits until what is seen now is of the tank as it is. */
export async function turnTo(page, view) {
    await page.locator(`label:has(#turn-${view})`).click();
    await expect(page.locator('body')).not.toHaveAttribute('aria-busy', 'true');
}

/** Turns the drawing so that a handle is in sight; where the sheet lies over it, closes that. */
export async function reveal(page, id) {
    const view = await page.locator(`#${id}`).evaluate((handle) => /view-(front|side|floor|hours)/.exec(handle.closest('.view')?.className ?? '')?.[1]);
    const turn = view === 'hours' ? 'front' : view;
    if (turn && !(await page.locator(`#turn-${turn}`).isChecked())) {
        await turnTo(page, turn);
    }
    if (page.viewportSize().width < 1080 && (await page.locator('.stage[open]').count()) > 0) {
        await page.locator('.stage[open] [data-close-stage]').click();
    }
}

/** Waits for the answer to an edit that something sets off. */
export async function edited(page, act) {
    await ready(page);
    const answered = page.waitForResponse((response) => response.url().includes('/edit'));
    await act();
    const response = await answered;
    await expect(page.locator('body')).not.toHaveAttribute('aria-busy', 'true');
    return response.status();
}

/** Nothing for axe to find: on the whole page, or where only a part of it has changed since, there. */
export async function expectAccessible(page, part = null) {
    // In the dark only colours differ: all else has been looked at in the light.
    const dark = await page.evaluate(() => matchMedia('(prefers-color-scheme: dark)').matches);
    const runOnly = dark ? { type: 'rule', values: ['color-contrast', 'link-in-text-block'] } : { type: 'tag', values: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'] };
    // No page has frames, and nobody reads of the thousands of places where nothing is wrong: without both it takes a third of the time.
    const axe = new AxeBuilder({ page }).options({ runOnly, resultTypes: ['violations'] }).setLegacyMode(true);
    const { violations } = await (part === null ? axe : axe.include(part)).analyze();
    expect(violations.map((violation) => `${violation.id}: ${violation.nodes.map((node) => node.target.join(' ')).join('; ')}`)).toEqual([]);
}
