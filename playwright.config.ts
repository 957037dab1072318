import { defineConfig } from '@playwright/test';

/** The real interface on the real server; Chromium is Debian's. */
export const chromium = {
  // The shell without a window draws nothing nobody sees: a third less work for the same engine.
  executablePath: process.env.SPARROW_CHROMIUM ?? '/usr/bin/chromium-headless-shell',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
};

// One worker for each server: a server has a database, and with it squads, of its own.
const servers = (process.env.SPARROW_URL ?? 'http://127.0.0.1:8060').split(' ');
const own = servers[Number(process.env.TEST_PARALLEL_INDEX ?? 0) % servers.length] ?? '';

export default defineConfig({
  testDir: 'tests/e2e',
  testMatch: '*.spec.ts',
  // What takes minutes has a run of its own.
  ...(process.env.SPARROW_SLOW === undefined ? { grepInvert: /@slow/ } : { grep: /@slow/ }),
  outputDir: 'var/playwright',
  workers: servers.length,
  // The tests of one file share a squad's season.
  fullyParallel: false,
  // On the machine that decides alone, a page that one load of the machine held up is tried once more.
  retries: process.env.CI === undefined ? 0 : 1,
  // Far above what any test needs: machines are noisy, and nothing here judges speed.
  timeout: 240_000,
  expect: { timeout: 30_000 },
  reporter: [['list']],
  // What stands between a page and the network is tried in a test of its own; in the others it would hide what is broken on purpose.
  use: { serviceWorkers: 'block', baseURL: own, launchOptions: chromium, viewport: { width: 1280, height: 800 }, trace: 'off' },
});
