import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, expect, test, type BrowserContext, type Page } from '@playwright/test';
import { chromium as launchOptions } from '../../playwright.config';
import { addDrill, keepChanges, newSession, runLink, runUntil, signedIn } from './support';

// What takes minutes: run by ./sparrow test slow.

test('@slow two minutes out of sight: no cue is later than a quarter of a second', async ({ page, context }) => {
  test.setTimeout(300_000);
  await signedIn(page);
  await newSession(page, 'Behind another page', 4);
  await addDrill(page, 'Sole taps');
  await page.locator('.order .slip').first().click();
  await page.getByLabel('Work, s').fill('15');
  await page.getByLabel('Sets').fill('8');
  await page.getByLabel('Rest, s').fill('5');
  await keepChanges(page);
  await runLink(page).click();
  await page.getByRole('button', { name: 'Start' }).click();
  await runUntil(page, /Feet in turn: Sole taps/);
  const front = await context.newPage();
  await front.goto('about:blank');
  await front.bringToFront();
  // Out of sight in the browser's own words, so that its timers are slowed down.
  const session = await context.newCDPSession(page);
  await session.send('Emulation.setIdleOverride', { isUserActive: false, isScreenUnlocked: false }).catch(() => undefined);
  await front.waitForTimeout(125_000);
  const cues = await page.evaluate(() => performance.getEntriesByName('cue').map((one) => (one as PerformanceMark).detail as { tone: string; lateMs: number }));
  console.log(
    `  ${cues.length} cues, the latest ${Math.round(Math.max(...cues.map((one) => one.lateMs)))} ms late; hidden: ${await page.evaluate(() => document.hidden)}`,
  );
  expect(cues.length).toBeGreaterThanOrEqual(10);
  expect(Math.max(...cues.map((one) => one.lateMs))).toBeLessThanOrEqual(250);
});

test('@slow four hundred numbers, the page loaded anew, the browser killed, sent twice and from two devices: each once', async ({ baseURL }) => {
  test.setTimeout(900_000);
  const home = mkdtempSync(join(tmpdir(), 'sparrow-profile-'));
  const open = (): Promise<BrowserContext> => chromium.launchPersistentContext(home, { ...launchOptions, baseURL: baseURL ?? '', serviceWorkers: 'allow' });
  const kill = () => {
    // Every process of this profile, in the midst of whatever it does.
    const pids = execFileSync('pgrep', ['-f', `user-data-dir=${home}`])
      .toString()
      .trim()
      .split('\n');
    for (const pid of pids)
      try {
        process.kill(Number(pid), 'SIGKILL');
      } catch {
        // Gone with its parent.
      }
  };
  try {
    let context = await open();
    let page = await context.newPage();
    await signedIn(page);
    for (const name of ['Wren A.', 'Wren B.']) await addPlayer(page, name);
    await newSession(page, 'Four hundred');
    // Sixteen players, thirteen drills on both feet: 416 numbers, of which 400 are entered.
    for (let i = 0; i < 13; i++) await addDrill(page, 'Drag back and away');
    await keepChanges(page);
    await runLink(page).click();
    await page.getByRole('button', { name: 'Start' }).click();
    const address = page.url();
    const sessionId = Number(/run\/(\d+)/.exec(address)?.[1]);
    await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null || navigator.serviceWorker.ready.then(() => true))).toBe(true);
    await page.reload();
    await page.waitForTimeout(3_000);
    await context.setOffline(true);

    let entered = 0;
    let next = 150;
    for (let presses = 0; entered < 400 && presses < 3_000; presses++) {
      const numbers = page.getByRole('button', { name: /^Numbers: \d+ still owed/ });
      if ((await numbers.count()) > 0 && (await numbers.isEnabled())) {
        await numbers.click();
        const owed = await page.locator('.roll input').evaluateAll((inputs) => inputs.filter((input) => (input as HTMLInputElement).value === '').length);
        for (let i = 0; i < owed && entered < 400; i++) {
          await page.keyboard.type(String(10 + (entered % 20)));
          await page.keyboard.press('Enter');
          entered++;
        }
        if (entered === 400 || entered >= next) {
          // Right after a write, once with a reload and then with the whole browser gone.
          await expect(page.getByText(`${entered} saved here, not sent yet`)).toBeVisible();
          if (next === 150) await page.reload();
          else {
            kill();
            context = await open();
            await context.setOffline(true);
            page = context.pages()[0] ?? (await context.newPage());
            await page.goto(address);
          }
          await expect(page.getByText(`${entered} saved here, not sent yet`)).toBeVisible();
          next += 150;
        } else await page.getByRole('button', { name: 'Done' }).click();
      }
      if (entered < 400)
        await page
          .getByRole('button', { name: /^(Next:|Skip|Done)/ })
          .first()
          .click();
    }
    expect(entered).toBe(400);

    // A second device holds a copy of the first: both send, and each sends twice.
    const bodies: object[] = [];
    // Before the network is back: the first batch leaves with it.
    await page.route('**/api/v1/marks', async (route) => {
      bodies.push(route.request().postDataJSON() as object);
      await route.continue();
    });
    await context.setOffline(false);
    await page.evaluate(() => window.dispatchEvent(new Event('online')));
    await expect(page.getByText('all numbers sent')).toBeVisible({ timeout: 120_000 });
    const statuses = await page.evaluate(async (sent) => {
      const token = decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? '');
      const headers = { 'Content-Type': 'application/json', Accept: 'application/json', 'X-XSRF-TOKEN': token };
      const answers = [];
      for (const body of [...sent, ...sent].reverse()) {
        const answer = await fetch('/api/v1/marks', { method: 'POST', headers, body: JSON.stringify(body) });
        answers.push(...((await answer.json()) as { results: { status: string }[] }).results.map((one) => one.status));
      }
      return answers;
    }, bodies);
    expect(new Set(statuses)).toEqual(new Set(['duplicate']));
    expect(statuses).toHaveLength(800);
    const kept = (await (await page.request.get(`/api/v1/sessions/${sessionId}/holdings`)).json()) as { marks: number };
    console.log(`  ${kept.marks} kept of ${entered} entered, ${statuses.length} sent again`);
    expect(kept.marks).toBe(400);
    await context.close();
  } finally {
    rmSync(home, { recursive: true, force: true });
  }
});

async function addPlayer(page: Page, name: string): Promise<void> {
  const { squads } = (await (await page.request.get('/api/v1/me')).json()) as { squads: { id: number }[] };
  const { cookies } = await page.context().storageState();
  const token = decodeURIComponent(cookies.find((one) => one.name === 'XSRF-TOKEN')?.value ?? '');
  const answer = await page.request.post(`/api/v1/squads/${squads[0]?.id}/players`, {
    data: { name, bib: null, strongFoot: 'R', birthYear: null },
    headers: { Accept: 'application/json', 'X-XSRF-TOKEN': token },
  });
  expect(answer.status()).toBe(201);
}
