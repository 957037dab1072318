import { expect, test } from '@playwright/test';
import { addDrill, expectAccessible, keepChanges, newSession, phone, runLink, runUntil, signedIn } from './support';

test.use({ serviceWorkers: 'allow' });

test('it opens without a network, with the packs of the next sessions, and no number is lost', async ({ page, context }) => {
  await signedIn(page);
  await newSession(page, 'No signal');
  await addDrill(page, 'Sole taps');
  await keepChanges(page);
  await page.goto('/today');
  await expect.poll(() => page.evaluate(async () => (await navigator.serviceWorker.ready).active?.state)).toBe('activated');
  await page.reload();
  await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
  // The next session's pack is taken along without anybody opening it.
  const taken = () => page.evaluate(async () => (await (await caches.open('held')).keys()).filter(({ url }) => /sessions\/\d+\/run$/.test(url)).length);
  await expect.poll(taken).toBeGreaterThan(0);
  await expect(page.getByText(/^On this device since .*: it opens without a network\.$/)).toBeVisible();

  await page.goBack();
  await runLink(page).click();
  await expect(page.getByRole('button', { name: 'Start' })).toBeVisible();
  const address = page.url();
  await expect
    .poll(() =>
      page.evaluate(async (path) => (await caches.match(path)) !== undefined, new URL(address).pathname.replace('/run/', '/api/v1/sessions/') + '/run'),
    )
    .toBe(true);
  await page.close();

  // Cold, on a phone, with the network off.
  await context.setOffline(true);
  const cold = await context.newPage();
  await cold.setViewportSize(phone);
  await cold.goto(address);
  await expect(cold.getByRole('button', { name: 'Start' })).toBeVisible();
  await expect(cold.getByText(/^No network: as of/)).toBeVisible();
  await expectAccessible(cold);
  await cold.getByRole('button', { name: 'Start' }).click();
  await runUntil(cold, /^Feet in turn/);
  await cold.getByRole('button', { name: /^Numbers/ }).click();
  await cold.keyboard.type('31');
  await cold.keyboard.press('Enter');
  await cold.getByRole('button', { name: 'Done' }).click();
  await expect(cold.getByText('1 saved here, not sent yet')).toBeVisible();
  // Loaded again, still without: the run goes on where it was, the number is there.
  await cold.reload();
  await expect(cold.getByText('1 saved here, not sent yet')).toBeVisible();
  await context.setOffline(false);
  await cold.evaluate(() => window.dispatchEvent(new Event('online')));
  await expect(cold.getByText('all numbers sent')).toBeVisible();

  // Whoever signs out leaves nothing of it on the phone.
  await cold.goto('/today');
  await cold.getByRole('button', { name: 'Sign out' }).click();
  await expect(cold.getByLabel('Password')).toBeVisible();
  await expect.poll(() => cold.evaluate(async () => (await caches.has('held')) && (await (await caches.open('held')).keys()).length > 0)).toBe(false);
});

test('it can be installed', async ({ page, request }) => {
  await page.goto('/');
  const manifest = (await (await request.get('/manifest.webmanifest')).json()) as { name: string; start_url: string; icons: { src: string; sizes: string }[] };
  expect(manifest).toMatchObject({ name: 'Fleet Sparrow', start_url: '/today' });
  expect(await page.locator('link[rel=manifest]').getAttribute('href')).toBe('/manifest.webmanifest');
  for (const icon of manifest.icons) expect((await request.get(icon.src)).status(), icon.src).toBe(200);
});
