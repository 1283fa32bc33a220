/*
 * The running prod server as a browser sees it: one Bench change from request to judgement and to the last byte, each page's time, and each page's
 * weight over the wire, compressed as a web server in front of it would (gzip, level 6) with everything the page links.
 */
import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { ask, askLines, openShelf, token } from './visitor.js';

let last = { p50: 0, p95: 0 };
const at = (sorted, share) => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))];

async function time(times, work) {
    const spans = [];
    for (let n = 0; n < times + 10; n += 1) {
        const from = performance.now();
        const told = await work(n);
        // Some work says itself when what counts had come.
        spans.push(typeof told === 'number' ? told : performance.now() - from);
    }
    const sorted = spans.slice(10).sort((a, b) => a - b);
    last = { p50: at(sorted, 0.5), p95: at(sorted, 0.95) };
    return `p50 ${last.p50.toFixed(1).padStart(6)} ms   p95 ${last.p95.toFixed(1).padStart(6)} ms`;
}

/** Median ms of the core's own year of the tank's plan, as it is now, run and judged: measured just before and just after what is held against it. */
async function year() {
    writeFileSync('var/bench-year.json', (await ask(`${tank}/plan.json`)).body);
    return JSON.parse(execFileSync('bash', ['-c', '. bin/jit; php "${jit[@]}" bench/year.php var/bench-year.json']).toString());
}

async function weigh(page) {
    // Its modules are among its links; the import map names those of all pages.
    const seen = new Set([...page.matchAll(/(?:href|src)="(\/assets\/[^"]+)"/g)].map((match) => match[1]));
    let sum = gzipSync(page, { level: 6 }).length;
    for (const path of seen) {
        const { status, body, type } = await ask(path);
        if (status !== 200) {
            throw new Error(`${path}: ${status}`);
        }
        sum += /font|woff/.test(type) || path.endsWith('.woff2') ? body.length : gzipSync(body, { level: 6 }).length;
    }
    return sum;
}

const { signIn, shelf } = await openShelf();
const tank = shelf.match(/href="(\/tanks\/[0-9a-f-]{36})"/)[1];
const galley = shelf.match(/href="(\/tanks\/[0-9a-f-]{36})"(?:(?!href=)[\s\S])*?<h2>Galley/)[1];
const pages = { 'sign-in': null, shelf: '/', 'start a tank': '/tanks/new', bench: tank, build: `${tank}/build`, today: `${galley}/today`, almanac: '/almanac', 'its calendar': '/almanac.ics' };
/** A page as somebody reads it: anything but the page itself ends the run, since an error is answered fast. */
async function read(path, headers = {}) {
    const answer = await ask(path, { headers });
    if (answer.status !== 200 && !(answer.status === 304 && 'if-none-match' in headers)) {
        throw new Error(`${path}: ${answer.status} ${answer.text.slice(0, 200)}`);
    }
    return answer;
}

/** Lives on in another time zone, by which the next day begins at once: Kiritimati's date is always ahead of Niue's. */
async function liveIn(zone) {
    const page = (await read('/almanac')).text;
    const { status } = await ask('/almanac/zone', { method: 'POST', body: new URLSearchParams({ _token: token(page, 'action="/almanac/zone"'), zone }) });
    if (status !== 303) {
        throw new Error(`${zone}: ${status}`);
    }
}

if (process.argv[3] === 'crowded') {
    const crowded = { shelf: '/', almanac: '/almanac', stock: '/stock', 'its calendar': '/almanac.ics' };
    await liveIn('Pacific/Niue');
    const from = performance.now();
    for (const path of Object.values(crowded)) {
        await read(path);
    }
    console.log(`first visit of all: ${(performance.now() - from).toFixed(0)} ms, nothing being known of any tank`);
    for (let status = 202; status === 202;) {
        ({ status } = await ask('/almanac/refresh', { headers: { accept: 'application/json' } }));
    }
    console.log(`all tanks read: ${(performance.now() - from).toFixed(0)} ms`);
    await liveIn('Pacific/Kiritimati');
    for (const [name, path] of Object.entries(crowded)) {
        const began = performance.now();
        const answer = await read(path);
        const first = performance.now() - began;
        console.log(`page  ${name.padEnd(14)} ${await time(20, () => read(path))}   first of the day ${first.toFixed(0).padStart(5)} ms   `
            + `${(answer.body.length / 1024).toFixed(0)} KB, ${(await weigh(answer.text) / 1024).toFixed(0)} KB compressed, all it links included`);
    }
    const { etag, text } = await read(crowded['its calendar']);
    const tasks = text.split('BEGIN:VEVENT').length - 1;
    if (tasks < 200) {
        throw new Error(`The calendar holds ${tasks} tasks: the tanks are not filled.`);
    }
    console.log(`page  ${'asked again'.padEnd(14)} ${await time(20, async () => {
        if ((await read(crowded['its calendar'], { 'if-none-match': etag })).status !== 304) {
            throw new Error('The calendar is sent anew, although nothing has changed.');
        }
    })}`);
    process.exit(0);
}
for (const [name, path] of Object.entries(pages)) {
    if (path !== null) {
        console.log(`page  ${name.padEnd(14)} ${await time(60, () => read(path))}   ${((await weigh((await read(path)).text)) / 1024).toFixed(0).padStart(4)} KB compressed, all it links included`);
    }
}
console.log(`page  ${'sign-in'.padEnd(14)} ${(await weigh(signIn) / 1024).toFixed(0).padStart(4)} KB compressed`);

const bench = (await ask(tank)).text;
const edit = token(bench, 'id="edit"');
let revision = Number(bench.match(/name="base" value="(\d+)"/)[1]);
let fingerprints = Object.fromEntries([...bench.matchAll(/data-part="([^"]+)" data-fingerprint="([^"]+)"/g)].map((match) => [match[1], match[2]]));
let weight = 0;
async function send(path, edits, kind) {
    const answer = await (kind === 'try' ? ask : askLines)(`${tank}/${path}`, {
        method: 'POST', headers: { accept: 'application/json', 'olvek-parts': JSON.stringify(kind === 'try' ? {} : fingerprints) },
        body: new URLSearchParams({ _token: edit, base: String(revision), ...Object.fromEntries(Object.entries(edits).map(([place, typed]) => [`edits[${place}]`, typed])) }),
    });
    if (answer.status !== 200) {
        throw new Error(`${answer.status} ${answer.text.slice(0, 200)}`);
    }
    if (kind !== 'try') {
        for (const { base: head, parts } of answer.text.trim().split('\n').map((line) => JSON.parse(line))) {
            revision = head;
            fingerprints = { ...fingerprints, ...Object.fromEntries(Object.entries(parts).map(([name, part]) => [name, part.fingerprint])) };
        }
    }
    weight = gzipSync(answer.body).length;
    return kind === 'judged' ? answer.first : null;
}
// Never the same twice: what has been judged once is kept.
let changes = 0;
const change = (kind) => () => send('edit', { 'bed.soil.back': `${(2 + ((changes += 1) % 1700) / 1000).toFixed(3)} cm` }, kind);
const report = async (words, work) => console.log(`${words.padEnd(38)} ${await time(150, work)}   ${(weight / 1024).toFixed(0)} KB compressed`);
await report('change to judged, the demo’s tank', change('judged'));
// A full plan: twelve clumps and six groups.
const ids = (page, list) => new Set([...page.matchAll(new RegExp(`edits\\[${list}\\.([a-z0-9]+)\\.`, 'g'))].map((match) => match[1]));
const kinds = async (list) => [...(await ask(`${tank}/palette/${list}`)).text.matchAll(new RegExp(`name="edits\\[${list}\\.add\\.([a-z0-9-]+)\\]`, 'g'))].map((match) => match[1]);
for (const [list, wanted] of [['plants', 12], ['animals', 6]]) {
    const have = ids(bench, list).size;
    for (const kind of (await kinds(list)).slice(3, 3 + wanted - have)) {
        await send('edit', { [`${list}.add`]: kind });
    }
}
const full = (await ask(tank)).text;
console.log(`a full plan: ${ids(full, 'plants').size} clumps, ${ids(full, 'animals').size} groups`);
const before = await year();
await report('change to judged, a full plan', change('judged'));
const changed = last;
await report('change to all that it alters, drawn', change('whole'));
await report('a handle held, judged not saved', (n) => send('try', { waterLine: `${(28 + (n % 170) / 50).toFixed(2)} cm` }, 'try'));
const held = last;
const after = await year();
for (const [kind, words] of [['run', 'own year of it'], ['judged', 'own year of it, judged']]) {
    const own = (before[kind] + after[kind]) / 2;
    console.log(`the core’s ${words}: ${own.toFixed(1)} ms; a change is judged in ${(changed.p50 / own).toFixed(2)} of it at p50, ${(changed.p95 / own).toFixed(2)} at p95`);
}
console.log(`a held handle is judged ${(1000 / held.p50).toFixed(0)} times a second`);
console.log(`${'another day of a full plan'.padEnd(38)} ${await time(150, (n) => ask(`${tank}/day?day=${n * 2}`, { headers: { 'olvek-parts': '{}' } }))}`);
console.log(`${'the Bench of a full plan'.padEnd(38)} ${await time(60, () => ask(tank))}   ${((await weigh((await ask(tank)).text)) / 1024).toFixed(0)} KB compressed, all it links included`);
