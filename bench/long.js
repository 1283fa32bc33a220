/*
 * Pages of a tank with a long logbook (bench/long.php), as medians. What is worked out once is asked for before it is timed.
 * Usage: node bench/long.js http://127.0.0.1:8098
 */
import { ask, openShelf } from './visitor.js';

const { shelf } = await openShelf();
const tank = shelf.match(/href="(\/tanks\/[0-9a-f-]{36})"[^>]*>(?:(?!<\/a>)[\s\S])*Waiting hall/)[1];
const photos = (await ask(`${tank}/photos`)).text;
const pages = {
    log: `${tank}/log`,
    'log, older': `${tank}/log?from=40000`,
    today: `${tank}/today`,
    charts: `${tank}/log/charts`,
    'charts, a month': `${tank}/log/charts?span=month`,
    report: `${tank}/report`,
    photos: `${tank}/photos`,
    'two days': `${tank}/photos/compare`,
    'a picture': photos.match(/\/tanks\/[^"\s]+\/page\.jpg/)[0],
    stock: '/stock',
    shelf: '/',
    almanac: '/almanac',
};
for (const [name, path] of Object.entries(pages)) {
    for (let n = 0; n < 120 && (await ask(path)).status === 202; n += 1);
    const spans = [];
    for (let n = 0; n < 30; n += 1) {
        const from = performance.now();
        const { status } = await ask(path);
        if (status !== 200) {
            throw new Error(`${name}: ${status}`);
        }
        spans.push(performance.now() - from);
    }
    spans.sort((a, b) => a - b);
    console.log(`long  ${name.padEnd(16)} best ${spans[0].toFixed(1).padStart(6)} ms   p50 ${spans[15].toFixed(1).padStart(6)} ms   p95 ${spans[28].toFixed(1).padStart(6)} ms`);
}
