import { expect, test } from '@playwright/test';
import { expectAccessible, lead, phone, runUntil, signedIn, signIn, violations } from './support';

test('the door', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByLabel('E-mail')).toBeVisible();
  await expectAccessible(page);
});

for (const theme of ['paper', 'dusk'] as const) {
  test(`every view in ${theme}`, async ({ page }) => {
    const stopped = await violations(page);
    const what = theme === 'paper' ? 'everything' : 'colours';
    await signIn(page, lead);
    if (theme === 'dusk') await page.getByRole('button', { name: 'Dusk' }).click();
    await expectAccessible(page, what);
    await page.goto('/plan');
    await expect(page.getByRole('status', { name: 'Totals' })).not.toHaveClass(/pending/);
    await expectAccessible(page, what);
    await page.getByRole('button', { name: 'Add a drill' }).click();
    await expectAccessible(page, what, '[role=dialog]');
    await page.goto('/squad');
    await expect(page.getByRole('link', { name: 'Ines' }).first()).toBeVisible();
    await expectAccessible(page, what);
    await page.getByRole('button', { name: 'Add a player' }).click();
    await expectAccessible(page, what, '[role=dialog]');
    await page.getByRole('button', { name: 'Cancel' }).click();
    await page.goto('/squad/paper');
    await expect(page.getByLabel('Amina, left foot')).toBeVisible();
    await expectAccessible(page, what);
    await page.goto('/season');
    await expect(page.getByRole('heading', { name: 'What the next fortnight needs' })).toBeVisible();
    await page.getByRole('button', { name: 'What if …' }).click();
    await expect(page.getByRole('columnheader', { name: 'As it goes' })).toBeVisible();
    await expectAccessible(page, what);
    await page.goto('/squad');
    await page.getByRole('link', { name: 'Ines' }).last().click();
    await expect(page.getByRole('heading', { name: 'What is next' })).toBeVisible();
    await expect(page.getByText('Private note')).toBeVisible();
    await expectAccessible(page, what);
    await page.locator('.folded > li summary').first().click();
    await expectAccessible(page, what, '.folded > li:has(details[open])');
    await page
      .getByRole('link', { name: /Every try/ })
      .first()
      .click();
    await expect(page.getByRole('heading', { name: 'What counts' })).toBeVisible();
    await expectAccessible(page, what);
    await page
      .getByRole('button', { name: /^Correct/ })
      .first()
      .click();
    await expectAccessible(page, what, '[role=dialog]');
    await page.goto('/settings');
    await expect(page.getByRole('heading', { name: 'Invite somebody' })).toBeVisible();
    await expect(page.getByText('(this one)')).toBeVisible();
    await expectAccessible(page, what);
    expect(stopped).toEqual([]);
  });
}

test('the run on a phone, clock and roll call', async ({ page }) => {
  await page.setViewportSize(phone);
  await signedIn(page);
  await page.goto('/run');
  await page.getByRole('button', { name: 'Start' }).click();
  await expectAccessible(page);
  await runUntil(page, /Feet in turn: Sole taps|Right foot/);
  await expectAccessible(page);
  await page.getByRole('button', { name: /^Numbers/ }).click();
  await expectAccessible(page);
});

test('the policy lets no script in that is not ours: files, and the one that stands in the page', async ({ page }) => {
  const answer = await page.goto('/');
  const policy = answer?.headers()['content-security-policy'] ?? '';
  expect(policy).toContain("default-src 'none'");
  expect(policy).toMatch(/script-src 'self' 'sha256-[A-Za-z0-9+/]{43}=';/);
  expect(policy).not.toContain('unsafe');
  const stopped = await violations(page);
  await page.reload();
  await expect(page.getByLabel('E-mail')).toBeVisible();
  await page.evaluate(() => {
    const script = document.createElement('script');
    script.textContent = 'window.ran = true';
    document.body.append(script);
  });
  await expect.poll(() => stopped).toEqual(['script-src-elem inline']);
  expect(await page.evaluate(() => 'ran' in window)).toBe(false);
});

test('the first view asks for at most 180 kB of script', async ({ page }) => {
  let bytes = 0;
  page.on('response', (response) => {
    if (response.url().endsWith('.js'))
      void response
        .request()
        .sizes()
        .then((sizes) => (bytes += sizes.responseBodySize));
  });
  await signIn(page);
  await page.waitForTimeout(500);
  expect(bytes).toBeGreaterThan(50_000);
  expect(bytes).toBeLessThanOrEqual(180_000);
});
