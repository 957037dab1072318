import { defineConfig } from '@playwright/test';

/** The real interface on the real server; Chromium is Debian's. */
export const chromium = {
  executablePath: process.env.SPARROW_CHROMIUM ?? '/usr/bin/chromium',
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

export default defineConfig({
  testDir: 'tests/e2e',
  testMatch: '*.spec.ts',
  outputDir: 'var/playwright',
  // One after the other: they share one squad's season.
  workers: 1,
  fullyParallel: false,
  // On the machine that decides alone, a page that one load of the machine held up is tried once more.
  retries: process.env.CI === undefined ? 0 : 1,
  // Far above what any test needs: machines are noisy, and nothing here judges speed.
  timeout: 240_000,
  expect: { timeout: 30_000 },
  reporter: [['list']],
  use: { baseURL: process.env.SPARROW_URL ?? 'http://127.0.0.1:8060', launchOptions: chromium, viewport: { width: 1280, height: 800 }, trace: 'off' },
});
