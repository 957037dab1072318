import { expect, test } from '@playwright/test';
import { expectAccessible, phone, runUntil, signIn } from './support';

test('the door', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByLabel('E-mail')).toBeVisible();
  await expectAccessible(page);
});

for (const theme of ['paper', 'dusk'] as const) {
  test(`every view in ${theme}`, async ({ page }) => {
    await signIn(page);
    if (theme === 'dusk') await page.getByRole('button', { name: 'Dusk' }).click();
    await expectAccessible(page);
    await page.goto('/plan');
    await expect(page.getByRole('status', { name: 'Totals' })).not.toHaveClass(/pending/);
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Add a drill' }).click();
    await expectAccessible(page);
    await page.goto('/squad');
    await expect(page.getByRole('link', { name: 'Ines' })).toBeVisible();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Add a player' }).click();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Cancel' }).click();
    await page.getByRole('link', { name: 'Ines' }).click();
    await expect(page.getByRole('heading', { name: 'Next numbers to beat' })).toBeVisible();
    await expectAccessible(page);
  });
}

test('the run on a phone, clock and roll call', async ({ page }) => {
  await page.setViewportSize(phone);
  await signIn(page);
  await page.goto('/run');
  await page.getByRole('button', { name: 'Start' }).click();
  await expectAccessible(page);
  await runUntil(page, /Feet in turn: Sole taps|Right foot/);
  await expectAccessible(page);
  await page.getByRole('button', { name: /^Numbers/ }).click();
  await expectAccessible(page);
});

test('the first view asks for at most 260 kB of script', async ({ page }) => {
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
  expect(bytes).toBeLessThanOrEqual(260_000);
});
