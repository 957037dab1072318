/*
 * First and later visits as on a phone: the processor slowed four times, 1.6 Mb/s and 150 ms, by the browser's own emulation, beside an
 * empty page with the same libraries in the same run. Called by ./sparrow bench.
 * $1: the address of the server, $2: "short" for one go, not slowed.
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from 'playwright';
import { Browser } from './Browser.mjs';

const [, , address, how] = process.argv;
const rounds = how === 'short' ? 1 : 5;
// A short go shows that every figure can be taken: slowing a page keeps the machine busy for nothing there.
const slower = how === 'short' ? 1 : 4;
const coach = { email: 'coach@heron-quay.example', password: 'salt-marsh-42' };

const run = { executablePath: process.env.SPARROW_CHROMIUM ?? '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] };
const held = { viewport: { width: 390, height: 844 }, baseURL: address };
const browser = await chromium.launch(run);

/** A phone of its own, signed in, with nothing kept. */
const phone = async () => signedIn(await browser.newContext({ ...held, serviceWorkers: 'block' }));

/** A phone that is come back to: with a profile on disk, as real ones have. */
async function keeping(use, after = () => undefined) {
  const folder = mkdtempSync(join(tmpdir(), 'phone-'));
  const context = await chromium.launchPersistentContext(folder, { ...run, ...held, serviceWorkers: 'allow' });
  await use(context);
  await context.close();
  await after(folder);
  rmSync(folder, { recursive: true, force: true });
}

/** A visit in a tab of its own, in a browser that is open: the first one only opens it. */
async function later(folder, path, seen, offline) {
  const phoned = new Browser({ chromium: run.executablePath, folder, offline });
  const visited = () => phoned.visit(`${address}${path}`, seen, { ...held.viewport, slower });
  await visited();
  const ms = await visited();
  await phoned.close();
  return ms;
}

async function signedIn(context) {
  await context.request.get('/api/v1/pulse');
  const { cookies } = await context.storageState();
  const token = decodeURIComponent(cookies.find(({ name }) => name === 'XSRF-TOKEN').value);
  const answer = await context.request.post('/api/v1/sign-in', { data: coach, headers: { Accept: 'application/json', 'X-XSRF-TOKEN': token } });
  if (!answer.ok()) throw new Error(`Signing in answered ${answer.status()}.`);
  return context;
}

async function slowed(context, offline = false) {
  const page = await context.newPage();
  const session = await context.newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: slower });
  await session.send('Network.emulateNetworkConditions', { offline, latency: 150, downloadThroughput: 200_000, uploadThroughput: 93_750 });
  return page;
}

/** Milliseconds until what the page is there for is seen; looked for by what costs the slowed page least. */
async function visit(page, path, seen) {
  const start = performance.now();
  await page.goto(path, { waitUntil: 'commit' });
  await seen(page).first().waitFor({ timeout: 60_000 });
  return performance.now() - start;
}

const order = (page) => page.locator('h2', { hasText: 'Running order' });
const totals = (page) => page.locator('[aria-label="Totals"]');
const start = (page) => page.locator('button', { hasText: /^Start$/ });
const nothing = (page) => page.locator('h1', { hasText: 'Empty' });
const exercise = (page) => page.locator('button', { hasText: 'Start the timer' });

/** The link of a player's page at home, as the coach has it; the demo's home practiser. */
async function linkOf(context) {
  const { squads } = await (await context.request.get('/api/v1/me')).json();
  const { sheets } = await (await context.request.get(`/api/v1/squads/${squads[0].id}/home-sheets`)).json();
  return sheets.find((one) => one.link).link.path;
}

const times = { empty: [], today: [], plan: [], later: [], run: [], home: [], homeOffline: [], player: [], chart: [] };
let link = '';
let runPath = '';
for (let round = 0; round < rounds; round++) {
  for (const [name, path, seen] of [
    ['empty', '/empty', nothing],
    ['today', '/today', order],
    ['plan', '/plan', totals],
  ]) {
    const context = await phone();
    times[name].push(await visit(await slowed(context), path, seen));
    await context.close();
  }
  if (link === '') {
    const coachs = await phone();
    link = await linkOf(coachs);
    await coachs.close();
  }
  await keeping(async (child) => {
    const first = await slowed(child);
    times.home.push(await visit(first, link, exercise));
    await first.waitForFunction(async () => (await navigator.serviceWorker.getRegistration('/at-home/'))?.active, undefined, { timeout: 60_000 });
    await first.close();
    await child.setOffline(true);
    times.homeOffline.push(await visit(await slowed(child, true), '/at-home/', exercise));
  });
  // At a desk: a player's page, and a chart of it.
  const desk = await phone();
  const sheet = await desk.newPage();
  await sheet.goto('/squad');
  await sheet
    .getByRole('rowheader')
    .or(sheet.getByRole('heading', { level: 1 }))
    .first()
    .waitFor();
  times.player.push(await visit(sheet, '/player/1', (one) => one.locator('h2', { hasText: 'What is next' })));
  const opened = performance.now();
  await sheet.locator('.folded > li summary').first().click();
  await sheet.locator('.folded > li').first().getByRole('img').last().waitFor({ timeout: 60_000 });
  times.chart.push(performance.now() - opened);
  await desk.close();
  await keeping(
    async (context) => {
      await signedIn(context);
      const page = await context.newPage();
      await page.goto('/today');
      await order(page).waitFor();
      runPath ||= await page.locator('.head .acts').getByRole('link', { name: 'Run', exact: true }).getAttribute('href');
      // Not by the worker's promise alone: it waits for ever where none can be installed.
      await page.waitForFunction(async () => (await navigator.serviceWorker.getRegistration())?.active, undefined, { timeout: 60_000 });
      await page.reload();
      await page.getByText(/^On this device since/).waitFor({ timeout: 60_000 });
      // Once by hand, so that all of it is held.
      await page.goto(runPath);
      await start(page).waitFor();
    },
    async (folder) => {
      times.later.push(await later(folder, '/today', { selector: 'h2', text: 'Running order' }, false));
      times.run.push(await later(folder, runPath, { selector: 'button', text: 'Start' }, true));
    },
  );
}
await browser.close();

const median = (list) => list.toSorted((a, b) => a - b)[Math.floor(list.length / 2)];
const beside = median(times.empty);
console.log(`\non a phone slowed ${slower} times, 1.6 Mb/s, 150 ms, ${rounds} each        ms   empty pages`);
for (const [name, words] of [
  ['empty', 'the libraries and nothing else'],
  ['today', 'first visit, Today'],
  ['plan', 'first visit, Plan'],
  ['later', 'later visit, Today'],
  ['run', 'cold start of Run without a network'],
  ['home', 'first visit, a page at home'],
  ['homeOffline', 'the same again without a network'],
  ['player', "at a desk: a player's page"],
  ['chart', 'at a desk: a chart of it, opened'],
])
  console.log(`${words.padEnd(44)} ${median(times[name]).toFixed(0).padStart(8)} ${(median(times[name]) / beside).toFixed(2).padStart(8)}`);
