/*
 * The checks of deploy/check, against the servers that it has started. Each throws where something is not as it should be; what is measured is printed.
 */
import assert from 'node:assert/strict';
import { execFileSync, spawn } from 'node:child_process';
import { existsSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { setTimeout as pause } from 'node:timers/promises';
import { gunzipSync } from 'node:zlib';
import https from 'node:https';

const { CHECK_WORK: work, CHECK_ORIGIN: origin, CHECK_PLAIN: plain, CHECK_USER: user } = process.env;
const agent = new https.Agent({ keepAlive: true, maxSockets: 64, ca: readFileSync(`${work}/etc/tls.crt`) });
const say = (words) => console.log(`    ${words}`);

/** A browser's memory of cookies, and its way of asking. */
class Visitor {
    jar = new Map();

    ask(path, { method = 'GET', body = null, headers = {}, host = null } = {}) {
        const url = new URL(path, origin);
        const sent = body instanceof URLSearchParams ? body.toString() : body;
        return new Promise((done, failed) => {
            const request = https.request(url, {
                method, agent, servername: 'localhost',
                headers: { Origin: origin, Cookie: [...this.jar].map(([name, value]) => `${name}=${value}`).join('; '), ...(sent === null ? {} : { 'Content-Type': 'application/x-www-form-urlencoded', 'Content-Length': Buffer.byteLength(sent) }), ...(host ? { Host: host } : {}), ...headers },
            }, (response) => {
                const chunks = [];
                response.on('data', (chunk) => chunks.push(chunk));
                response.on('error', failed);
                response.on('end', () => {
                    for (const cookie of response.headers['set-cookie'] ?? []) {
                        const [name, value] = cookie.split(';')[0].split('=');
                        this.jar.set(name, value);
                    }
                    const raw = Buffer.concat(chunks);
                    const text = (response.headers['content-encoding'] === 'gzip' ? gunzipSync(raw) : raw).toString();
                    done({ status: response.statusCode, headers: response.headers, text });
                });
            });
            request.on('error', failed);
            request.setTimeout(60_000, () => request.destroy(new Error('a minute without an answer')));
            request.end(sent ?? undefined);
        });
    }

    async signIn(name) {
        const page = await this.ask('/sign-in');
        const token = page.text.match(/name="_csrf_token" value="([^"]+)"/)[1];
        const answer = await this.ask('/sign-in', { method: 'POST', body: new URLSearchParams({ name, password: PASSWORD, _csrf_token: token }) });
        assert.equal(answer.status, 302, `${name} signs in: ${answer.status} ${answer.text.match(/field-error[^<]*/)?.[0]}`);
        return this;
    }

    async startTank(name) {
        const page = await this.ask('/tanks/new');
        const token = page.text.match(/name="_token" value="([^"]+)"/g).map((found) => found.match(/value="([^"]+)"/)[1])[1];
        const form = page.text.slice(page.text.indexOf('action="/tanks/import"'));
        const answer = await this.ask('/tanks/import', { method: 'POST', body: new URLSearchParams({ _token: form.match(/name="_token" value="([^"]+)"/)?.[1] ?? token, plan: PLAN.replace('Waiting hall', name) }) });
        assert.equal(answer.status, 303, `a tank is started: ${answer.status}`);
        this.tank = new URL(answer.headers.location, origin).pathname;
        const bench = await this.ask(this.tank);
        this.token = bench.text.slice(bench.text.indexOf('id="edit"')).match(/name="_token" value="([^"]+)"/)[1];
        this.base = 1;
        return this;
    }

    /** Saves a change and is led back to the Bench: each time another water line, since the same again is no change and makes no version. */
    async edit() {
        this.edits = (this.edits ?? 0) + 1;
        const n = this.edits;
        const answer = await this.ask(`${this.tank}/edit`, { method: 'POST', body: new URLSearchParams({ _token: this.token, base: String(this.base), 'edits[waterLine]': `${(28 + (n % 400) / 100).toFixed(2)} cm` }) });
        if (answer.status === 303) {
            this.base += 1;
        }
        return answer;
    }
}

const PASSWORD = 'a few words in a row';
const PLAN = readFileSync(`${work}/srv/demo/waiting-hall.plan.json`, 'utf8');
const olvek = (...command) => execFileSync(`${work}/etc/olvek`, command, { encoding: 'utf8', stdio: ['pipe', 'pipe', 'pipe'] });
const create = (name) => execFileSync(`${work}/etc/olvek`, ['olvek:keeper:create', name, '--password-stdin'], { input: `${PASSWORD}\n`, stdio: ['pipe', 'ignore', 'pipe'] });
const query = (sql, file = `${work}/data/olvek.db`) => execFileSync('sqlite3', ['-cmd', '.timeout 20000', file, sql], { encoding: 'utf8' }).trim();

async function ready() {
    for (let n = 0; n < 200; n += 1) {
        try {
            if ((await new Visitor().ask('/health')).status === 200) {
                return;
            }
        } catch {
            // Not there yet.
        }
        await pause(100);
    }
    throw new Error('the server did not come up');
}

const made = [];
async function keepers(count, prefix) {
    const all = [];
    for (let n = 0; n < count; n += 1) {
        const name = `${prefix}-${n}`;
        if (!made.includes(name)) {
            create(name);
            made.push(name);
        }
        all.push(await (await new Visitor().signIn(name)).startTank(`Tank of ${name}`));
    }
    // The connections left from the checks before are as old as nginx lets them be: it may shut one as it is used.
    agent.destroy();
    return all;
}

const at = (sorted, share) => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))];

const checks = {
    async smoke() {
        const stranger = new Visitor();
        const page = await stranger.ask('/sign-in', { headers: { 'Accept-Encoding': 'gzip' } });
        assert.equal(page.status, 200);
        assert.equal(page.headers['strict-transport-security'], 'max-age=31536000');
        assert.match(page.headers['content-security-policy'], /default-src 'self'/);
        assert.equal(page.headers['content-encoding'], 'gzip');
        assert.match(page.headers['cache-control'], /no-store/);
        assert.equal(page.headers['x-powered-by'], undefined);
        assert.doesNotMatch(page.headers.server ?? '', /\d/);
        assert.equal(page.headers['set-cookie'], undefined, 'a look at the sign-in page makes no session');
        const asset = page.text.match(/href="(\/assets\/[^"]+\.css)"/)[1];
        const style = await stranger.ask(asset);
        assert.equal(style.status, 200);
        assert.match([style.headers['cache-control']].flat().join(), /immutable/);
        const worker = await stranger.ask('/log-worker.js');
        assert.equal(worker.status, 200, 'what opens a logbook without a connection is served');
        assert.match([worker.headers['content-type']].flat().join(), /javascript/);
        assert.match([worker.headers['cache-control']].flat().join(), /no-cache/);
        const manifest = await stranger.ask('/manifest.webmanifest');
        assert.equal(manifest.status, 200, 'a phone can install it');
        assert.match([manifest.headers['content-type']].flat().join(), /manifest\+json/);
        for (const path of ['/router.php', '/index.php', '/.env', '/../.env', '/bin/console', '/var/log/prod.log', '/assets/../index.php', '/composer.json', '/assets/']) {
            const answer = await stranger.ask(path);
            assert.ok([302, 400, 403, 404].includes(answer.status) && !answer.text.includes('<?php'), `${path}: ${answer.status}`);
        }
        assert.equal((await stranger.ask('/sign-in', { host: 'evil.example' })).status, 421);
        assert.equal((await fetch(plain, { redirect: 'manual' })).headers.get('location'), `${origin}/`);
        assert.equal((await stranger.ask('/tanks/import', { method: 'POST', body: 'x'.repeat(2_000_000) })).status, 413);
        create('runa');
        const runa = await (await new Visitor().signIn('RUNA')).startTank('Waiting hall');
        assert.equal((await runa.edit()).status, 303);
        const lines = await runa.ask(`${runa.tank}/edit`, { method: 'POST', headers: { Accept: 'application/x-ndjson', 'Olvek-Parts': '{}', 'Accept-Encoding': 'gzip' }, body: new URLSearchParams({ _token: runa.token, base: String(runa.base), 'edits[waterLine]': '29 cm' }) });
        assert.deepEqual(lines.text.trim().split('\n').map((line) => 'verdict' in JSON.parse(line).parts), [true, false], 'the judgement comes first, then the rest');
        runa.base += 1;
        for (const path of ['/', '/almanac', '/account', runa.tank, `${runa.tank}/build`, `${runa.tank}/today`, `${runa.tank}/history`, '/account/everything.zip']) {
            assert.equal((await runa.ask(path)).status, 200, path);
        }
        assert.equal((await stranger.ask('/sign-in', { method: 'POST', body: new URLSearchParams({ name: 'nobody', password: 'x', _csrf_token: 'csrf-token' }) })).status, 422);
        const log = readFileSync(`${work}/srv/var/log/prod.log`, 'utf8').trim().split('\n').map((line) => JSON.parse(line));
        assert.ok(log.some((line) => line.message === 'A sign-in failed.' && line.context.from === '127.0.0.1'), 'failed sign-ins are in the log');
        assert.ok(!JSON.stringify(log).includes(PASSWORD));
        for (const file of [`${work}/data/olvek.db`, `${work}/srv/var/log/prod.log`, `${work}/etc/olvek.env`]) {
            assert.equal(statSync(file).mode & 0o007, 0, `${file} is nobody else's`);
        }
        const owners = new Set(['php-fpm: pool', 'nginx: worker'].flatMap((what) => execFileSync('pgrep', ['-f', what], { encoding: 'utf8' }).trim().split('\n')).map((pid) => statSync(`/proc/${pid}`).uid));
        assert.ok(!owners.has(0), 'nothing that answers runs as root');
        assert.match(olvek('olvek:health'), /journal_mode: wal\nsynchronous: 2\nforeign_keys: 1\nbusy_timeout: 5000/);
        assert.match(olvek('olvek:prune'), /Deleted for good: 0 tanks, 0 keepers/);
        // Equal time for known and unknown names, as the middle of a few tries each.
        const times = { runa: [], nobody: [] };
        for (let n = 0; n < 3; n += 1) {
            for (const name of Object.keys(times)) {
                const from = performance.now();
                await new Visitor().ask('/sign-in', { method: 'POST', body: new URLSearchParams({ name, password: 'wrong', _csrf_token: 'csrf-token' }) });
                times[name].push(performance.now() - from);
            }
        }
        const [known, unknown] = Object.values(times).map((all) => all.sort((a, b) => a - b)[1]);
        say(`wrong password: a keeper ${known.toFixed(0)} ms, nobody ${unknown.toFixed(0)} ms`);
        assert.ok(known / unknown < 2 && unknown / known < 2);
        // Debian's own settings turn the compiler off; a year takes twice as long without it.
        assert.match(execFileSync(`${work}/start-php`, ['-i'], { encoding: 'utf8' }), /^opcache\.jit => tracing/m);
        for (const unit of readdirSync(`${work}/etc/systemd`)) {
            assert.match(readFileSync(`${work}/etc/systemd/${unit}`, 'utf8'), /\[(Service|Timer)\]/);
        }
    },

    /** Two workers, one killed in mid-work: every question is answered, none twice. */
    async workers() {
        const start = () => {
            const worker = spawn(`${work}/etc/olvek`, ['messenger:consume', 'work', '--no-interaction', '--quiet'], { stdio: 'ignore', detached: true });
            worker.exited = new Promise((done) => worker.on('exit', done));
            return worker;
        };
        const kill = (worker) => {
            try {
                process.kill(-worker.pid, 'SIGKILL');
            } catch {
                // It is gone already.
            }
        };
        const all = await keepers(8, 'worker');
        let workers = [start(), start()];
        try {
            const questions = ['light', 'plants', 'start'];
            const from = performance.now();
            let killed = 0;
            let left = all.length;
            // The first is killed as soon as there is work under way, and another takes its place, as systemd would have it.
            const killing = (async () => {
                while (killed === 0 && left > 0) {
                    if (query('SELECT COUNT(*) FROM work WHERE delivered_at IS NOT NULL') > 1) {
                        killed += 1;
                        kill(workers[0]);
                        await workers[0].exited;
                        workers = [start(), workers[1]];
                    }
                    await pause(20);
                }
            })();
            await Promise.all(all.map(async (keeper) => {
                for (const question of questions) {
                    for (let tries = 0; ; tries += 1) {
                        const answer = await keeper.ask(`${keeper.tank}/solve/${question}`, { headers: { 'Olvek-Parts': '{}' } });
                        if (answer.status === 200) {
                            assert.match(answer.text, /class="answer/);
                            break;
                        }
                        assert.ok([202, 429].includes(answer.status), `${question}: ${answer.status}`);
                        assert.ok(tries < 120, `${question} was lost`);
                        await pause(1000 * Number(answer.headers['retry-after']));
                    }
                }
                left -= 1;
            }));
            await killing;
            assert.equal(killed, 1);
            for (let n = 0; n < 100 && query('SELECT COUNT(*) FROM work') !== '0'; n += 1) {
                await pause(200);
            }
            assert.equal(query('SELECT COUNT(*) FROM work'), '0', 'no work is left');
            say(`${all.length * questions.length} questions of ${all.length} keepers, one of two workers killed in mid-work: all answered in ${((performance.now() - from) / 1000).toFixed(1)} s, 0 lost`);
        } finally {
            workers.forEach(kill);
        }
    },

    /** Forty keepers who each change something again and again. */
    async load() {
        const seconds = Number(process.env.CHECK_SECONDS ?? 8);
        const all = await keepers(40, 'load');
        const spans = [];
        const errors = [];
        let pages = 0;
        const until = performance.now() + 1000 * seconds;
        await Promise.all(all.map(async (keeper) => {
            while (performance.now() < until) {
                const from = performance.now();
                try {
                    const answer = await keeper.edit();
                    if (answer.status !== 303) {
                        errors.push(answer.status);
                    }
                } catch (error) {
                    errors.push(error.message);
                }
                spans.push(performance.now() - from);
                pages += 1;
            }
        }));
        spans.sort((a, b) => a - b);
        say(`40 keepers for ${seconds} s: ${pages} changes saved (${(pages / seconds).toFixed(0)} a second), ${errors.length} errors, p50 ${at(spans, 0.5).toFixed(0)}, p95 ${at(spans, 0.95).toFixed(0)}, p99 ${at(spans, 0.99).toFixed(0)}, most ${at(spans, 1).toFixed(0)} ms`);
        assert.deepEqual(errors, []);
    },

    /** The application is killed in mid-write, three times: what was acknowledged is there. */
    async kill() {
        const all = await keepers(24, 'kill');
        let acknowledged = 0;
        for (let round = 0; round < 3; round += 1) {
            let stop = false;
            const working = all.map(async (keeper) => {
                while (!stop) {
                    try {
                        const answer = await keeper.edit();
                        if (answer.status === 303) {
                            acknowledged += 1;
                            keeper.saved = keeper.base;
                        } else if (answer.status !== 502 && answer.status !== 504) {
                            assert.fail(`${answer.status} ${answer.text.slice(0, 200)}`);
                        }
                    } catch (error) {
                        if (error.code === 'ERR_ASSERTION') {
                            throw error;
                        }
                    }
                    if (stop) {
                        return;
                    }
                }
            });
            await pause(1500);
            const master = Number(readFileSync(`${work}/run/php.pid`, 'utf8'));
            const pool = execFileSync('pgrep', ['-P', String(master)], { encoding: 'utf8' }).trim().split('\n').map(Number);
            [master, ...pool].forEach((pid) => process.kill(pid, 'SIGKILL'));
            stop = true;
            await Promise.all(working);
            spawn(`${work}/start-php`, { stdio: 'ignore', detached: true }).unref();
            await ready();
            // What was written but not acknowledged counts too; the next change builds on what is there.
            for (const keeper of all) {
                const head = Number((await keeper.ask(keeper.tank)).text.slice(0).match(/name="base" value="(\d+)"/)[1]);
                assert.ok(head >= (keeper.saved ?? 1), 'an acknowledged change is lost');
                keeper.base = head;
            }
        }
        assert.equal(query('PRAGMA integrity_check'), 'ok');
        assert.equal(query('PRAGMA foreign_key_check'), '');
        assert.equal(query('SELECT COUNT(*) FROM tank t WHERE NOT EXISTS (SELECT 1 FROM revision r WHERE r.tank_id = t.id AND r.number = t.head)'), '0');
        for (const keeper of all) {
            assert.ok(Number(query(`SELECT COUNT(*) FROM revision WHERE tank_id = '${keeper.tank.split('/').at(-1)}'`)) >= keeper.base);
            assert.equal((await keeper.ask('/')).status, 200, 'nobody was signed out');
        }
        say(`killed three times while 24 keepers worked: ${acknowledged} changes acknowledged, 0 lost`);
    },

    /** Twenty backups while eight keepers work. */
    async backup() {
        const all = await keepers(8, 'backup');
        let stop = false;
        let saved = 0;
        const working = all.map(async (keeper) => {
            while (!stop) {
                assert.equal((await keeper.edit()).status, 303);
                saved += 1;
            }
        });
        let whole = 0;
        for (let n = 0; n < 20; n += 1) {
            const file = `${work}/data/${n}.backup`;
            await new Promise((done, failed) => spawn(`${work}/etc/olvek`, ['olvek:backup', file], { stdio: 'ignore' }).on('exit', (code) => (code === 0 ? done() : failed(new Error(`backup ${n} failed with ${code}`)))));
            assert.equal(query('PRAGMA integrity_check', file), 'ok');
            whole += 1;
        }
        stop = true;
        await Promise.all(working);
        const before = query('SELECT COUNT(*) FROM revision');
        const last = query('SELECT COUNT(*) FROM revision', `${work}/data/19.backup`);
        olvek('olvek:restore', `${work}/data/19.backup`, '--yes');
        assert.equal(query('SELECT COUNT(*) FROM revision'), last);
        assert.equal(query('SELECT COUNT(*) FROM revision', `${work}/data/19.backup.before`), before);
        assert.equal((await all[0].ask(all[0].tank)).status, 200, 'the server goes on with what was restored');
        say(`${whole} of 20 backups whole while 8 keepers saved ${saved} changes; the last one restored under the running server`);
    },

    /** Twelve keepers send five photos each, while others plan; each is served, and not sent again to who has it. */
    async photos() {
        const all = await keepers(12, 'photos');
        const picture = readFileSync(`${work}/srv/demo/photos/042.jpg`);
        const spans = [];
        const pages = [];
        const sending = all.map(async (keeper) => {
            const page = (await keeper.ask(`${keeper.tank}/photos`)).text;
            const token = page.slice(page.indexOf(`action="${keeper.tank}/photos"`)).match(/name="_token" value="([^"]+)"/)[1];
            for (let n = 0; n < 5; n += 1) {
                const form = new Request(origin, { method: 'POST', body: Object.entries({ _token: token, day: '', words: `Photo ${n}`, photo: new File([picture], 'photo.jpg', { type: 'image/jpeg' }) })
                    .reduce((data, [name, value]) => (data.append(name, value), data), new FormData()) });
                const body = Buffer.from(await form.arrayBuffer());
                const from = performance.now();
                const answer = await keeper.ask(`${keeper.tank}/photos`, { method: 'POST', body, headers: { 'Content-Type': form.headers.get('content-type'), 'Content-Length': body.length, Accept: 'application/json' } });
                assert.equal(answer.status, 200, answer.text.slice(0, 200));
                spans.push(performance.now() - from);
            }
        });
        let stop = false;
        const planning = all.slice(0, 4).map(async (keeper) => {
            while (!stop) {
                const from = performance.now();
                assert.equal((await keeper.ask('/')).status, 200);
                pages.push(performance.now() - from);
            }
        });
        await Promise.all(sending);
        stop = true;
        await Promise.all(planning);
        for (const keeper of all) {
            const [path] = (await keeper.ask(`${keeper.tank}/photos`)).text.match(new RegExp(`${keeper.tank}/photos/[0-9a-f-]{36}/strip\\.jpg`));
            const first = await keeper.ask(path);
            assert.equal(first.status, 200);
            assert.equal((await keeper.ask(path, { headers: { 'If-None-Match': first.headers.etag } })).status, 304);
            assert.equal((await all[(all.indexOf(keeper) + 1) % all.length].ask(path)).status, 404, 'nobody else sees it');
        }
        [spans, pages].forEach((list) => list.sort((a, b) => a - b));
        say(`${spans.length} photos of 12 keepers: p50 ${at(spans, 0.5).toFixed(0)}, p95 ${at(spans, 0.95).toFixed(0)} ms each; ${pages.length} shelves beside them, p50 ${at(pages, 0.5).toFixed(0)}, p95 ${at(pages, 0.95).toFixed(0)} ms`);
    },

    /** One keeper imports 100,000 lines, while twelve others go on planning. */
    async import() {
        const [one, ...others] = await keepers(13, 'import');
        const build = (await one.ask(`${one.tank}/build`)).text;
        const filled = await one.ask(`${one.tank}/build/steps/fill`, { method: 'POST', body: new URLSearchParams({ _token: build.slice(build.indexOf('<main')).match(/name="_token" value="([^"]+)"/)[1], state: 'done', note: '', day: '2020-01-01' }) });
        assert.equal(filled.status, 303);
        let stop = false;
        const spans = [];
        const planning = others.map(async (keeper) => {
            while (!stop) {
                const from = performance.now();
                assert.equal((await keeper.edit()).status, 303);
                spans.push(performance.now() - from);
                // Nobody thinks faster.
                await pause(300);
            }
        });
        const address = `${one.tank}/log/import`;
        const page = (await one.ask(address)).text;
        const token = page.slice(page.indexOf('class="import-form"')).match(/name="_token" value="([^"]+)"/)[1];
        const from = performance.now();
        const count = () => Number(query(`SELECT COUNT(*) FROM log_entry WHERE tank_id = '${one.tank.split('/').at(-1)}'`));
        try {
            for (let table = 1; table <= 10; table += 1) {
                const lines = Array.from({ length: 10_000 }, (_, n) => `${new Date(Date.UTC(2020, 0, 1 + (n % 2000))).toISOString().slice(0, 10)},${(10 + 1.5 * table + Math.floor(n / 2000) / 10).toFixed(1)}`);
                const sent = { _token: token, text: `day,temperature\n${lines.join('\n')}\n`, 'map[0]': 'day', 'map[1]': 'temperature:degC', dates: 'ymd' };
                let answer = await one.ask(address, { method: 'POST', body: new URLSearchParams(sent) });
                for (let tries = 0; count() < 10_000 * table && tries < 10; tries += 1) {
                    const seen = answer.text.match(/name="seen" value="([^"]+)"/)?.[1];
                    assert.ok(seen, `${answer.status} ${answer.text.match(/field-error[^]{0,200}/)?.[0]}`);
                    answer = await one.ask(address, { method: 'POST', body: new URLSearchParams({ ...sent, seen, write: 'yes' }) });
                }
                assert.equal(count(), 10_000 * table);
            }
        } finally {
            stop = true;
        }
        const seconds = (performance.now() - from) / 1000;
        await Promise.all(planning);
        spans.sort((a, b) => a - b);
        say(`${count()} lines imported in ${seconds.toFixed(0)} s beside 12 keepers, who saved ${spans.length} changes: p50 ${at(spans, 0.5).toFixed(0)}, p95 ${at(spans, 0.95).toFixed(0)}, most ${at(spans, 1).toFixed(0)} ms, 0 errors`);
    },

    /** A backup is restored while twelve keepers save: nobody sees an error, and what stands afterwards is whole. */
    async restore() {
        const all = await keepers(12, 'restore');
        const file = `${work}/data/under-load.backup`;
        olvek('olvek:backup', file);
        let stop = false;
        const seen = new Map();
        const working = all.map(async (keeper) => {
            while (!stop) {
                const { status } = await keeper.edit();
                seen.set(status, (seen.get(status) ?? 0) + 1);
                if (status === 409) {
                    keeper.base = Number((await keeper.ask(keeper.tank)).text.match(/name="base" value="(\d+)"/)[1]);
                }
            }
        });
        await pause(1500);
        const from = performance.now();
        await new Promise((done, failed) => spawn(`${work}/etc/olvek`, ['olvek:restore', file, '--yes'], { stdio: 'ignore' }).on('exit', (code) => (code === 0 ? done() : failed(new Error(`restore failed with ${code}`)))));
        const seconds = (performance.now() - from) / 1000;
        await pause(1500);
        stop = true;
        await Promise.all(working);
        // Saved; overtaken, since the tank stands at an earlier version again; or for a moment not to be written to.
        assert.deepEqual([...seen.keys()].filter((status) => ![303, 409, 503].includes(status)), []);
        assert.equal(query('PRAGMA integrity_check'), 'ok');
        assert.equal(query('PRAGMA foreign_key_check'), '');
        assert.equal(query('SELECT COUNT(*) FROM tank t WHERE NOT EXISTS (SELECT 1 FROM revision r WHERE r.tank_id = t.id AND r.number = t.head)'), '0');
        for (const keeper of all) {
            keeper.base = Number((await keeper.ask(keeper.tank)).text.match(/name="base" value="(\d+)"/)[1]);
            assert.equal((await keeper.edit()).status, 303, 'everybody goes on');
        }
        say(`restored in ${seconds.toFixed(1)} s while 12 keepers saved: ${[...seen].map(([status, times]) => `${times} × ${status}`).join(', ')}`);
    },

    /** A disk that is really full: told in words and in the log, nothing lost, and it goes on once there is room. */
    async full() {
        try {
            execFileSync('mount', ['-t', 'tmpfs', '-o', 'size=3m', 'tmpfs', `${work}/small`], { stdio: 'ignore' });
        } catch {
            say('a full disk: left out, since no small disk can be mounted here');
            return;
        }
        execFileSync('chown', [user, `${work}/small`]);
        const environment = `${work}/etc/olvek.env`;
        const usual = readFileSync(environment, 'utf8');
        const restart = async () => {
            const master = Number(readFileSync(`${work}/run/php.pid`, 'utf8'));
            process.kill(master, 'SIGTERM');
            while (existsSync(`/proc/${master}`) && !/zombie/.test(readFileSync(`/proc/${master}/status`, 'utf8'))) {
                await pause(50);
            }
            spawn(`${work}/start-php`, { stdio: 'ignore', detached: true }).unref();
            await pause(300);
        };
        writeFileSync(environment, usual.replace(/^DATABASE_URL=.*$/m, `DATABASE_URL="sqlite:///${work}/small/olvek.db"`));
        try {
            olvek('doctrine:migrations:migrate', '--no-interaction', '--quiet');
            await restart();
            for (let n = 0; n < 100; n += 1) {
                if ((await new Visitor().ask('/sign-in')).status === 200) {
                    break;
                }
                await pause(100);
            }
            create('full-0');
            const keeper = await (await new Visitor().signIn('full-0')).startTank('Small');
            let saved = 0;
            let answer;
            do {
                answer = await keeper.edit();
                saved += answer.status === 303 ? 1 : 0;
            } while (answer.status === 303 && saved < 3000);
            assert.equal(answer.status, 507, `${answer.status} after ${saved}`);
            assert.match(answer.text, /disk is full/);
            assert.match(readFileSync(`${work}/srv/var/log/prod.log`, 'utf8'), /The database cannot be used: .*full/);
            assert.equal((await keeper.ask(keeper.tank)).status, 200, 'reading goes on');
            execFileSync('mount', ['-o', 'remount,size=30m', `${work}/small`]);
            assert.equal((await keeper.edit()).status, 303, 'and saving, once there is room');
            assert.equal(query('PRAGMA integrity_check', `${work}/small/olvek.db`), 'ok');
            assert.equal(Number(query('SELECT COUNT(*) FROM revision', `${work}/small/olvek.db`)), saved + 2);
            say(`a disk of 3 MB full after ${saved} changes: told, logged, 0 lost, and gone on`);
        } finally {
            writeFileSync(environment, usual);
            await restart();
            await ready();
        }
    },
};

const wanted = process.argv.slice(2);
if (wanted[0] === 'hold') {
    await ready();
    console.log(`${origin} stands until Ctrl-C; its files are in ${work}`);
    await new Promise(() => setInterval(() => {}, 1000));
}
let failed = 0;
await ready();
for (const [name, check] of Object.entries(checks).filter(([known]) => wanted.length === 0 || wanted.includes(known))) {
    console.log(`deploy/check: ${name}`);
    try {
        await check();
    } catch (error) {
        failed += 1;
        console.error(error);
    }
}
const count = wanted.length === 0 ? Object.keys(checks).length : wanted.length;
console.log(`${count - failed} passed, ${failed} failed`);
agent.destroy();
process.exit(failed === 0 ? 0 : 1);
