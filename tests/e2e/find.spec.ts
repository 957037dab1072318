import { expect, test } from '@playwright/test';
import { addDrill, expectAccessible, keepChanges, newSession, phone, runLink, signedIn } from './support';

test('one search finds moves, drills, ladders and players, and goes on without a network', async ({ page, context }) => {
  await signedIn(page);
  await page.goto('/today');
  await page.getByRole('link', { name: 'Find' }).click();
  const field = page.getByLabel('Find', { exact: true });
  const first = page.getByRole('list', { name: 'Found, best first' }).getByRole('listitem');
  await field.fill('scissor');
  await expect(first.filter({ hasText: 'Step over and away' })).toBeVisible();
  await context.setOffline(true);
  await field.fill('figur of eight');
  await expect(first.first()).toContainText('Figure of eight');
  await field.fill('weak foot');
  await expect(first.first()).toContainText('Juggling on one foot');
  await field.fill('xqzvkw');
  await expect(page.getByText('Nothing is called “xqzvkw” here.')).toBeVisible();
  await context.setOffline(false);
  await field.fill('soles on top');
  await expect(first.filter({ hasText: 'Soles on top of the ball' })).toBeVisible();
  await expectAccessible(page);
  await page.setViewportSize(phone);
  await expect.poll(() => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0);
  await expectAccessible(page);
  await first.filter({ hasText: 'Soles on top of the ball' }).getByRole('link').click();
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
});

test('a squad sets the number to beat of one drill, and a block asks for the number its dose can give', async ({ page }) => {
  await signedIn(page);
  await page.goto('/book/drills/sole-taps');
  await page.getByLabel('It is set by').selectOption('fixed');
  await page.getByLabel(/^The number/).fill('5000');
  await page.getByRole('button', { name: 'Keep this' }).click();
  await expect(page.getByText('The count must be between 0 and 999.')).toBeVisible();
  await expect(page.getByLabel(/^The number/)).toHaveValue('5000');
  await page.getByLabel(/^The number/).fill('40');
  await page.getByRole('button', { name: 'Keep this' }).click();
  await expect(page.getByText('Kept.')).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel('It is set by').selectOption('');
  await page.getByRole('button', { name: 'Keep this' }).click();
  await expect(page.getByText('Kept.')).toBeVisible();
});

test('a block asks for the number its dose can give, and one press mends what a second coach would say', async ({ page }) => {
  await signedIn(page);
  await newSession(page, 'Numbers that fit');
  await addDrill(page, 'Sole taps');
  await addDrill(page, 'Drag back and away');
  await page.locator('.slip').first().click();
  const written = page.getByLabel('Written down');
  await expect(written.locator('option:checked')).toHaveText('how many in the time');
  await page.getByLabel('How much is it?').selectOption('race');
  await expect(written.locator('option:checked')).toHaveText('the time it takes');
  await written.selectOption('touches-on-path');
  await expect(written.locator('option:checked')).toHaveText('touches used, fewer is better');
  // Another dose gives other numbers.
  await page.getByLabel('How much is it?').selectOption('timed');
  await expect(written.locator('option:checked')).toHaveText('how many in the time');

  const said = page.getByRole('heading', { name: 'A second coach would say' }).locator('..');
  await expect(said.getByRole('listitem')).toHaveCount(3);
  await expectAccessible(page);
  await expect(said.getByText(/% of the slot is used/)).toBeVisible();
  await said
    .getByRole('button', { name: 'No number there' })
    .or(said.getByRole('button', { name: 'A game of ten minutes at the end' }))
    .first()
    .click();
  // However much is opened, nothing is wider than the window.
  await page.evaluate(() => document.querySelectorAll('details').forEach((one) => (one.open = true)));
  await expect.poll(() => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0);
  await keepChanges(page);
  await runLink(page).click();
  await expect(page.getByRole('button', { name: 'Start' })).toBeVisible();
});

test('a circuit of twelve moves is made in fewer than twenty-five presses, and a layout keeps what both kinds have', async ({ page }) => {
  await signedIn(page);
  await page.goto('/book/drills');
  await page.getByRole('link', { name: 'Make a circuit of your own' }).click();
  let presses = 1;
  const put = page.getByRole('button', { name: /^Put in/ });
  for (let i = 0; i < 12; i++, presses++) await put.nth(i).click();
  await page.getByLabel('Name', { exact: true }).fill('Twelve of ours');
  // What it comes to is pale while it is worked out.
  const worked = page.waitForResponse(/drill-trials/);
  await page.getByLabel('Feet', { exact: true }).nth(1).selectOption('each');
  await worked;
  await expect(page.locator('.pending')).toHaveCount(0);
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Keep as our own' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Twelve of ours' })).toBeVisible();
  expect(presses + 2).toBeLessThan(25);
  await expect(page.getByText('1 × 30 s each foot, 10 s after')).toBeVisible();
  await expect(page.getByText('Pull back and behind the standing leg')).toBeVisible();

  await page.goto('/book/drills/zigzag-in-out/copy');
  await page.getByLabel('Spacing', { exact: true }).fill('6');
  await page.getByLabel('Kind').first().selectOption('line');
  await expect(page.getByLabel('Spacing', { exact: true })).toHaveValue('6');
  await expect(page.getByLabel('Markers', { exact: true })).toHaveValue('5');
  await page.getByLabel('Kind').first().selectOption('reference');
  await expect(page.getByText('To each side: Enter a length with its unit')).toBeVisible();
});
