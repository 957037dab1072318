import { expect, test } from '@playwright/test';
import { expectAccessible, phone, signedIn, signIn } from './support';

test('a move is found by what a coach calls it and followed foot by foot', async ({ page }) => {
  await signIn(page);
  await page.getByRole('link', { name: 'Book' }).click();
  await expect(page.getByText(/^\d\d moves$/)).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel(/Find a move/).fill('toe taps');
  await expect(page.getByRole('link', { name: 'Sole taps' })).toBeVisible();
  await page.getByLabel(/Find a move/).fill('unheard of');
  await expect(page.getByText('Nothing is called “unheard of” here.')).toBeVisible();
  await page.getByLabel(/Find a move/).fill('drag');
  await page.getByRole('link', { name: 'Pull back and away with the other foot' }).click();
  const steps = page.getByRole('list', { name: 'Step by step' }).locator('li');
  await expect(steps).toHaveText([/right sole, back/, /half a turn to the right/, /left laces, forward/]);
  await expectAccessible(page);
  await page.getByLabel('Led by the').selectOption('L');
  await expect(steps).toHaveText([/left sole, back/, /half a turn to the left/, /right laces, forward/]);
  // The search is in the address, so going back finds it as it was.
  await page.goBack();
  await expect(page.getByLabel(/Find a move/)).toHaveValue('drag');
});

test('a drill is found by what one has, and shown to scale', async ({ page }) => {
  await signedIn(page);
  await page.goto('/book');
  await page.getByRole('navigation', { name: 'Book' }).getByRole('link', { name: 'Drills' }).click();
  await page.getByLabel(/Find a drill/).fill('wall turn');
  await page.getByRole('link', { name: 'Wall, receive, turn out' }).click();
  await expect(page.getByRole('img', { name: /Layout of Wall, receive, turn out: 4 markers, 5 yd, 4 yd/ })).toBeVisible();
  await expect(page.getByText('the ball travels 14 yd a rep.')).toBeVisible();
  await expectAccessible(page);
  await page.goto('/book/drills/no-such-drill');
  await expect(page.getByRole('heading', { name: 'Not in the book' })).toBeVisible();
});

test('the book fits a phone', async ({ page }) => {
  await page.setViewportSize({ ...phone, width: 360 });
  await signedIn(page);
  for (const path of ['/book', '/book/full-spin', '/book/drills', '/book/drills/pattern-to-goal-three', '/settings', '/player/1']) {
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth), path).toBeLessThanOrEqual(360);
  }
});

test('words that cannot be looked up are said, and the book stays', async ({ page }) => {
  await signedIn(page);
  await page.route('**/search-index', (route) => route.abort());
  await page.goto('/book?find=toe');
  await expect(page.getByText(/^The words could not be looked up, so everything is shown\./)).toBeVisible();
  await expect(page.getByRole('link', { name: 'Sole taps', exact: true })).toBeVisible();
});
