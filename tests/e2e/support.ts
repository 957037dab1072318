import { expect, type Browser, type Locator, type Page, type Request } from '@playwright/test';
import axe, { type RunOnly } from 'axe-core';

export const coach = { email: 'coach@heron-quay.example', password: 'salt-marsh-42' };
export const assistant = { email: 'assistant@heron-quay.example', password: 'salt-marsh-42' };
export const lead = { email: 'lead@heron-quay.example', password: 'salt-marsh-42' };
export const phone = { width: 390, height: 844 };

/** Through the door. */
export async function enter(page: Page, who: { email: string; password: string }): Promise<void> {
  await page.goto('/');
  await page.getByLabel('E-mail').fill(who.email);
  await page.getByLabel('Password').fill(who.password);
  await page.getByRole('button', { name: 'Sign in' }).click();
}

/** What must be shown with a write. */
export async function token(page: Page): Promise<string> {
  const { cookies } = await page.context().storageState();
  return decodeURIComponent(cookies.find(({ name }) => name === 'XSRF-TOKEN')?.value ?? '');
}

export const write = async (page: Page, path: string, data: object) =>
  page.request.post(`/api/v1/${path}`, { data, headers: { Accept: 'application/json', 'X-XSRF-TOKEN': await token(page) } });

/** From here on the page's requests are counted; gives back what waits until none is on its way. */
export function requestsOf(page: Page): () => Promise<void> {
  const open = new Set<Request>();
  page.on('request', (request) => open.add(request));
  page.on('requestfinished', (request) => open.delete(request));
  page.on('requestfailed', (request) => open.delete(request));
  return () => expect.poll(() => open.size).toBe(0);
}

/** Signed in without the form, which has tests of its own; no page is opened. */
export async function signedIn(page: Page, who = coach): Promise<void> {
  // Whatever is answered, it brings the token that a write must show.
  await page.request.get('/api/v1/pulse');
  expect((await write(page, 'sign-in', who)).status()).toBe(200);
}

export async function signIn(page: Page, who = coach): Promise<void> {
  await signedIn(page, who);
  await page.goto('/today');
  await expect(page.getByRole('heading', { name: 'Running order' })).toBeVisible();
}

/** What the page's security policy stopped, of any page opened from now on. */
export async function violations(page: Page): Promise<string[]> {
  const found: string[] = [];
  await page.exposeFunction('noteViolation', (what: string) => found.push(what));
  await page.addInitScript(() => {
    document.addEventListener('securitypolicyviolation', (event) => {
      (window as unknown as { noteViolation: (what: string) => void }).noteViolation(`${event.violatedDirective} ${event.blockedURI}`);
    });
  });
  return found;
}

const standards = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];
const looks: Record<'everything' | 'colours', RunOnly> = {
  everything: { type: 'tag', values: standards },
  colours: { type: 'rule', values: ['color-contrast'] },
};

/**
 * Nothing serious or critical on the page as it stands, or in the part of it that is new since it was looked at; of colours alone
 * where the rest was looked at in other ones.
 */
export async function expectAccessible(page: Page, what: keyof typeof looks = 'everything', within = 'html'): Promise<void> {
  await expect(page.locator(within).first()).toBeVisible();
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source);
  // Only what is wrong: a list of all that is right costs more than finding it out.
  const { violations } = await page.evaluate(
    ([part, runOnly]) => (window as unknown as { axe: typeof axe }).axe.run(part, { runOnly, resultTypes: ['violations'] }),
    [within, looks[what]] as const,
  );
  const grave = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
  expect(grave.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.html).join(' | ')}`)).toEqual([]);
}

// Far ahead, so that the demo's next session stays the next.
const farAhead = () => new Date(Date.now() + 60 * 86_400_000).toISOString().slice(0, 10);

/** Adds a session as a coach does, and opens its plan. */
export async function addSession(page: Page, title: string): Promise<void> {
  await page.goto('/today');
  await page.getByRole('button', { name: 'Add a session' }).click();
  await page.getByLabel('What is it about?').fill(title);
  await page.getByLabel('Day').fill(farAhead());
  await page.getByRole('button', { name: 'Add and plan' }).click();
  await expect(page.getByRole('heading', { level: 1, name: title })).toBeVisible();
}

/** Opens the plan of a new session of its own, so that tests do not disturb each other; everybody comes, or the first so many. */
export async function newSession(page: Page, title: string, coming?: number): Promise<void> {
  const { squads } = (await (await page.request.get('/api/v1/me')).json()) as { squads: { id: number }[] };
  const squad = squads[0]?.id ?? 0;
  const { players } = (await (await page.request.get(`/api/v1/squads/${squad}`)).json()) as { players: { id: number }[] };
  const plan = { title, startsAt: `${farAhead()}T18:00`, slotMinutes: 60, blocks: [], comingPlayerIds: players.slice(0, coming).map(({ id }) => id) };
  const answer = await write(page, `squads/${squad}/sessions`, { ...plan, place: '', helpers: 0 });
  expect(answer.status()).toBe(201);
  const { id } = (await answer.json()) as { id: number };
  await page.goto(`/plan/${id}`);
  await expect(page.getByRole('heading', { level: 1, name: title })).toBeVisible();
}

export async function addDrill(page: Page, name: string): Promise<void> {
  const search = page.getByLabel('Find by name, family or words');
  // What is being worked out may move the button away under a press.
  await expect(async () => {
    if (!(await search.isVisible())) await page.getByRole('button', { name: 'Add a drill' }).click();
    await expect(search).toBeVisible({ timeout: 2_000 });
  }).toPass();
  await search.fill(name);
  await page.getByRole('button', { name: `Add ${name}`, exact: true }).click();
  await expect(page.getByRole('dialog')).toBeHidden();
  await settled(page);
}

export const runLink = (page: Page) => page.locator('.head .acts').getByRole('link', { name: 'Run', exact: true });

export async function settled(page: Page): Promise<void> {
  await expect(page.getByRole('status', { name: 'Totals' })).toBeVisible();
  await expect(page.getByRole('status', { name: 'Totals' })).not.toHaveClass(/pending/);
}

export async function keepChanges(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Keep changes' }).click();
  // The link to the run comes back only once the server has answered.
  await expect(runLink(page)).toBeVisible();
}

/** Presses on until the heading of the clock says so. */
export async function runUntil(page: Page, heading: RegExp): Promise<void> {
  for (let presses = 0; presses < 40; presses++) {
    if (heading.test(await page.getByRole('heading', { level: 1 }).innerText())) return;
    await page
      .getByRole('button', { name: /^(Next:|Skip|Done)/ })
      .first()
      .click();
  }
  throw new Error(`The run never came to ${String(heading)}.`);
}

/** The link of a player's page, as the coach copies it. */
export async function linkOf(page: Page, name: string): Promise<string> {
  await page.goto('/squad/home');
  await page.getByRole('link', { name, exact: true }).click();
  const open = page.getByRole('button', { name: `Open a page for ${name}` });
  const code = page.getByRole('region', { name: `${name}'s page` }).locator('.num');
  await expect(open.or(code)).toBeVisible();
  if (await open.isVisible()) await open.click();
  await expect(code).toHaveText(/^[0-9A-Z]{4}(-[0-9A-Z]{4}){3}$/);
  return `/at-home/#${await code.innerText()}`;
}

/** A phone at home: no account, no cookie, its own store. */
export async function phoneAtHome(browser: Browser, baseURL: string | undefined, serviceWorkers: 'allow' | 'block' = 'block') {
  const context = await browser.newContext({ baseURL: baseURL ?? '', viewport: phone, serviceWorkers });
  return { context, page: await context.newPage() };
}

/** What is next stands open; anything else is opened by hand. */
export async function opened(page: Page, name: string): Promise<Locator> {
  const card = page.getByRole('listitem').filter({ has: page.getByRole('heading', { name: new RegExp(name) }) });
  const button = card.getByRole('heading').getByRole('button');
  if ((await button.getAttribute('aria-expanded')) === 'false') await button.click();
  return card;
}
