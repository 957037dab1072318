import { expect, test } from '@playwright/test';
import { addDrill, keepChanges, newSession, phone, runLink, runUntil, signedIn } from './support';

test.use({ viewport: phone, hasTouch: true });

test('a session is planned and run with one thumb', async ({ page }) => {
  await signedIn(page);
  await newSession(page, 'Thumb');
  await addDrill(page, 'Drag back and away');
  await addDrill(page, 'Sole taps');
  // The ribbon stands upright, and a press on a block opens it.
  const upright = page.getByRole('region', { name: 'Time ribbon' });
  await upright.getByRole('button', { name: 'Drag back and away' }).tap();
  await expect(upright.getByRole('button', { name: 'Drag back and away', pressed: true })).toBeVisible();
  await expect(upright.getByText('ends, 8 in 10')).toBeVisible();
  await upright.getByRole('button', { name: 'Sole taps' }).tap();
  await page.getByRole('button', { name: 'Take out: Sole taps' }).tap();
  await keepChanges(page);
  await runLink(page).click();
  await page.getByRole('button', { name: 'Start' }).tap();
  await runUntil(page, /Right foot: Drag back/);

  // Everything to press at the pitch is at least 64 px high, and nothing runs off the side.
  for (const button of await page.locator('.thumb button').all()) {
    expect((await button.boundingBox())?.height).toBeGreaterThanOrEqual(64);
  }
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(phone.width);

  await page.getByRole('button', { name: /^Numbers/ }).tap();
  const keys = page.getByRole('group', { name: 'Keys' });
  for (const key of ['1', '2', 'next', '1', '5', 'Delete', '4', 'next', 'void', 'next']) await keys.getByRole('button', { name: key, exact: true }).tap();
  await expect(page.locator('.roll input').nth(0)).toHaveValue('12');
  await expect(page.locator('.roll input').nth(1)).toHaveValue('14');
  await expect(page.locator('.roll input').nth(2)).toHaveValue('void');
  await expect(page.locator('.roll input').nth(3)).toBeFocused();
  for (const key of await keys.getByRole('button').all()) expect((await key.boundingBox())?.height).toBeGreaterThanOrEqual(64);

  // A slip of the thumb is said where it happened, and stays to be mended.
  for (const key of ['9', '9', '9', '9', 'next']) await keys.getByRole('button', { name: key, exact: true }).tap();
  await expect(page.getByText(/^Between 0 and 999/)).toBeVisible();
  await expect(page.locator('.roll input').nth(3)).toHaveValue('9999');
  await keys.getByRole('button', { name: 'Delete' }).tap();
  await keys.getByRole('button', { name: 'Delete' }).tap();
  await keys.getByRole('button', { name: 'next' }).tap();
  await expect(page.getByText('all numbers sent')).toBeVisible();

  // A correction: the new number stands, also after loading the page again.
  await page.locator('.roll input').nth(0).tap();
  await keys.getByRole('button', { name: 'Delete' }).tap();
  await keys.getByRole('button', { name: '3', exact: true }).tap();
  const corrected = page.waitForResponse('**/api/v1/marks');
  await keys.getByRole('button', { name: 'next' }).tap();
  // No thumb loads a page within the few milliseconds that keeping a number takes; a test does.
  await corrected;
  await page.reload();
  await page.getByRole('button', { name: /^Numbers/ }).tap();
  await expect(page.locator('.roll input').nth(0)).toHaveValue('13');
  await page.goto('/squad');
  await expect(page.getByRole('row', { name: /Amina/ })).toContainText('13');
});

test('the run view fits 360 px and the views do not scroll sideways', async ({ page }) => {
  await page.setViewportSize({ width: 360, height: 740 });
  await signedIn(page);
  for (const path of [
    '/today',
    '/plan',
    '/run',
    '/squad',
    '/squad/paper',
    '/season',
    '/player/1',
    '/player/1/report',
    '/player/1/home',
    '/squad/home',
    '/squad/home/type',
    '/squad/home/sheets',
  ]) {
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth), path).toBeLessThanOrEqual(360);
  }
});
