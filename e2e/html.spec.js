import { HtmlValidate } from 'html-validate';
import { test, expect, openShelf } from './keeper.js';

/** The standard's own rules, by a validator of many hands. */
const validator = new HtmlValidate({
    extends: ['html-validate:standard'],
    rules: {
        // A browser that goes back to a page fills hidden fields with what stood there before, and an old change would be sent again.
        'valid-autocomplete': 'off',
    },
});

const VIEWS = [
    '/', '/almanac', '/account', '/stock', '/help', '/tanks/new', '/tanks/new/wish', '/tanks/new/running',
    ...['', '/build', '/log', '/log/import', '/log/charts', '/today', '/read', '/photos', '/history', '/things', '/palette/plants']
        .map((page) => `/tanks/TANK${page}`),
];

test('the HTML of every main view is valid', async ({ page }) => {
    test.slow();
    await openShelf(page);
    const link = await page.getByRole('link', { name: 'Galley' }).first().getAttribute('href');
    const [, tank] = link.match(/^\/tanks\/([0-9a-f-]{36})/);
    for (const view of VIEWS) {
        const address = view.replace('TANK', tank);
        const response = await page.request.get(address);
        // What takes long is worked out beside the page, and the page says so.
        expect([200, 202], address).toContain(response.status());
        const report = await validator.validateString(await response.text(), address);
        expect(report.results.flatMap((result) => result.messages).map((found) => `${address}:${found.line} ${found.message}`)).toEqual([]);
    }
});

test('what is not valid is found', async () => {
    const report = await validator.validateString('<!DOCTYPE html><html lang="en"><head><title>Fault</title></head><body><span><form></form></span></body></html>');
    expect(report.results.flatMap((result) => result.messages).map((found) => found.ruleId)).toContain('element-permitted-content');
});
