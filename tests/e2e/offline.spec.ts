import { expect, test } from '@playwright/test';
import { addDrill, coach, keepChanges, newSession, requestsOf, runLink, runUntil, signedIn } from './support';

test('numbers taken without a network are kept and sent once, whatever gets lost', async ({ page, context }) => {
  await signedIn(page);
  await newSession(page, 'No signal behind the shed');
  await addDrill(page, 'Gate to gate');
  await keepChanges(page);
  await runLink(page).click();
  await page.getByRole('button', { name: 'Start' }).click();
  await runUntil(page, /Right foot: Gate to gate/);
  await page.getByRole('button', { name: /^Numbers/ }).click();

  await context.setOffline(true);
  for (const number of ['21', '22', '23']) {
    await page.keyboard.type(number);
    await page.keyboard.press('Enter');
  }
  await expect(page.getByText('3 saved here, not sent yet')).toBeVisible();

  // Back on the network the first answer is lost on its way; the second try brings the same marks again.
  let sent = 0;
  const uuids = new Set<string>();
  const statuses: string[] = [];
  await page.route('**/api/v1/marks', async (route) => {
    const body = route.request().postDataJSON() as { marks: { uuid: string }[] };
    body.marks.forEach(({ uuid }) => uuids.add(uuid));
    sent += 1;
    const answer = await route.fetch();
    if (sent === 1) {
      await route.abort();
      return;
    }
    statuses.push(...((await answer.json()) as { results: { status: string }[] }).results.map(({ status }) => status));
    await route.fulfill({ response: answer });
  });
  await context.setOffline(false);
  await expect.poll(() => sent, { timeout: 20_000 }).toBeGreaterThanOrEqual(1);
  await page.evaluate(() => window.dispatchEvent(new Event('online')));
  await expect(page.getByText('all numbers sent')).toBeVisible({ timeout: 20_000 });
  expect(uuids.size).toBe(3);
  expect(statuses).toEqual(['duplicate', 'duplicate', 'duplicate']);

  await page.getByRole('button', { name: 'Done' }).click();
  await page.goto('/squad');
  await expect(page.getByRole('row', { name: /Amina/ })).toContainText('21');
});

test('with the records away the clock goes on and the page says so', async ({ page }) => {
  await signedIn(page);
  await newSession(page, 'Records away');
  await addDrill(page, 'Sole taps');
  await keepChanges(page);
  await runLink(page).click();
  await page.getByRole('button', { name: 'Start' }).click();
  await runUntil(page, /Sole taps/);
  const away = {
    status: 503,
    contentType: 'application/problem+json',
    body: JSON.stringify({ status: 503, code: 'records-away', detail: 'The records cannot be reached just now.', fields: [] }),
  };
  await page.route('**/api/v1/**', (route) => route.fulfill(away));
  await runUntil(page, /Feet in turn: Sole taps/);
  await page.getByRole('button', { name: /^Numbers/ }).click();
  await page.keyboard.type('25');
  await page.keyboard.press('Enter');
  await expect(page.getByText('1 saved here, not sent yet')).toBeVisible();
  await page.unroute('**/api/v1/**');
  await page.evaluate(() => window.dispatchEvent(new Event('online')));
  await expect(page.getByText('all numbers sent')).toBeVisible();
});

test('a sign-in that ran out in the roll call keeps the numbers and asks quietly', async ({ page, context }) => {
  const atRest = requestsOf(page);
  await signedIn(page);
  await newSession(page, 'Long roll call');
  await addDrill(page, 'Sole taps');
  await keepChanges(page);
  await runLink(page).click();
  await page.getByRole('button', { name: 'Start' }).click();
  await runUntil(page, /Feet in turn: Sole taps/);
  await page.getByRole('button', { name: /^Numbers/ }).click();
  // An answer still on its way would bring the old sign-in back.
  await atRest();
  await context.clearCookies();
  await page.keyboard.type('24');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('textbox', { name: 'Bo' })).toBeFocused();
  await page.getByRole('button', { name: '1 saved here: sign in to send' }).click();
  const again = page.getByRole('dialog', { name: 'Sign in again to go on' });
  await again.getByLabel('E-mail').fill(coach.email);
  await again.getByLabel('Password').fill(coach.password);
  await again.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByText('all numbers sent')).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Amina' })).toHaveValue('24');
});

test('a run under way opens for whoever was signed in here last, and for nobody once they signed out', async ({ page, context }) => {
  const atRest = requestsOf(page);
  await signedIn(page);
  await newSession(page, 'Signed out at the pitch');
  await addDrill(page, 'Sole taps');
  await keepChanges(page);
  await runLink(page).click();
  await page.getByRole('button', { name: 'Start' }).click();
  await runUntil(page, /Feet in turn: Sole taps/);
  await atRest();
  // Opened anew on a device that tells late what it keeps, after the network has answered, the run goes on all the same.
  await page.addInitScript(() => {
    const store = IDBObjectStore.prototype as unknown as { getAll: (this: IDBObjectStore, ...of: unknown[]) => IDBRequest };
    const { getAll } = store;
    store.getAll = function (...of) {
      const asked = getAll.apply(this, of);
      if (this.name === 'runs')
        asked.addEventListener = (kind: string, tell: EventListener) => {
          EventTarget.prototype.addEventListener.call(asked, kind, (event) => void setTimeout(() => tell(event), 1_500));
        };
      return asked;
    };
  });
  await page.reload();
  await expect(page.getByRole('heading', { level: 1, name: /Feet in turn: Sole taps/ })).toBeVisible();
  await atRest();
  await context.clearCookies();
  await page.reload();
  // Quietly: the clock is what is there, and the way to sign in again beside it.
  await expect(page.getByRole('heading', { level: 1, name: /Feet in turn: Sole taps/ })).toBeVisible();
  await page.getByRole('button', { name: 'Signed out: sign in' }).click();
  const again = page.getByRole('dialog', { name: 'Sign in again to go on' });
  await again.getByLabel('E-mail').fill(coach.email);
  await again.getByLabel('Password').fill(coach.password);
  await again.getByRole('button', { name: 'Sign in' }).click();
  await expect(again).toBeHidden();
  await expect(page.getByRole('button', { name: 'Signed out: sign in' })).toBeHidden();

  const address = page.url();
  await page.getByRole('link', { name: 'Leave' }).click();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByLabel('E-mail')).toBeVisible();
  await page.goto(address);
  await expect(page.getByLabel('E-mail')).toBeVisible();
  await expect(page.getByRole('heading', { level: 1, name: /Sole taps/ })).toBeHidden();
});
