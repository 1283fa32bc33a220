import { existsSync } from 'node:fs';
import { defineConfig } from '@playwright/test';

// The headless shell does the same with half the work; where Debian has none, the whole browser.
const chromium = existsSync('/usr/bin/chromium-headless-shell') ? '/usr/bin/chromium-headless-shell' : '/usr/bin/chromium';
const port = process.env.E2E_PORT ?? '8097';
const quiet = ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync', '--use-fake-device-for-media-stream', '--use-fake-ui-for-media-stream'];

export default defineConfig({
    testDir: 'e2e',
    outputDir: 'var/e2e',
    workers: 2,
    fullyParallel: true,
    forbidOnly: true,
    retries: 0,
    // Generous, so that a busy machine is not a failure: nothing here measures speed.
    timeout: 120_000,
    expect: { timeout: 20_000 },
    reporter: 'list',
    use: {
        baseURL: `http://127.0.0.1:${port}`,
        locale: 'en-GB',
        launchOptions: { executablePath: chromium, args: quiet },
    },
    projects: [
        // Each journey is walked once, where its work is done: at a desk, or tagged for a phone. What depends on the screen is walked on both.
        { name: 'desk', grepInvert: /@phone/, use: { viewport: { width: 1280, height: 800 } } },
        { name: 'phone', grep: /@phone|@both/, use: { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true } },
    ],
    webServer: {
        command: 'rm -f var/e2e.db var/e2e.db-wal var/e2e.db-shm "var/standins/lamp-$((PORT + 1)).json"* && exec bin/demo',
        url: `http://127.0.0.1:${port}/sign-in`,
        env: { PORT: port, DATABASE_URL: 'sqlite:///%kernel.project_dir%/var/e2e.db', OLVEK_TEST_CLOCK: '1' },
        timeout: 120_000,
        reuseExistingServer: false,
        gracefulShutdown: { signal: 'SIGTERM', timeout: 3000 },
    },
});
