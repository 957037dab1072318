import { expect, test } from '@playwright/test';
import { addDrill, assistant, newSession, signedIn } from './support';

test('a coach chooses metres and other words, and every view follows', async ({ page }) => {
  await signedIn(page);
  await page.goto('/settings');
  const form = page.locator('#squad');
  await form.getByLabel('Markers owned').fill('plenty');
  await expect(form.getByText('This is not a number.')).toBeVisible();
  await form.getByLabel('Markers owned').fill('12');
  await form.getByLabel('Unit of length').selectOption('m');
  await form.getByLabel('Words for the foot').selectOption('weaker');
  await form.getByLabel('Heading').selectOption('us-soccer-2016');
  await form.getByRole('button', { name: 'Keep these settings' }).click();
  await expect(form.getByText('Kept.')).toBeVisible();
  await expect(form.getByLabel('Area, one side')).toHaveValue('27.43');
  await expect(form.getByText('At most 15 headers a player in 7 days')).toBeVisible();

  await newSession(page, 'In metres');
  await addDrill(page, 'Zigzag, inside and outside');
  await expect(page.getByText('3.66 m').first()).toBeVisible();
  await expect(page.getByText('markers and the squad has 12.').first()).toBeVisible();
  await page.locator('.order .slip').first().click();
  await expect(page.getByLabel('Feet').locator('option', { hasText: 'weaker foot' })).toHaveCount(1);

  // As it was, for the tests that follow.
  await page.goto('/settings');
  await form.getByLabel('Markers owned').fill('60');
  await form.getByLabel('Unit of length').selectOption('yd');
  await form.getByLabel('Words for the foot').selectOption('other');
  await form.getByLabel('Heading').selectOption('the-fa-2020');
  await form.getByRole('button', { name: 'Keep these settings' }).click();
  await expect(form.getByText('Kept.')).toBeVisible();
  await expect(form.getByLabel('Area, one side')).toHaveValue('30');
});

test('what the server will not have is said at its setting and stays typed', async ({ page }) => {
  await signedIn(page);
  await page.goto('/settings');
  const form = page.locator('#squad');
  await form.getByLabel('Name').fill('');
  await form.getByLabel('Balls owned').fill('5000');
  await form.getByRole('button', { name: 'Keep these settings' }).click();
  await expect(form.getByText('Enter a name of at most 120 letters.')).toBeVisible();
  await expect(form.getByText('Enter a whole number from 0 to 999, or leave it empty.')).toBeVisible();
  await expect(form.getByLabel('Balls owned')).toHaveValue('5000');
});

test('an assistant finds only their own sign-ins and password', async ({ page }) => {
  await signedIn(page, assistant);
  await page.goto('/settings');
  await expect(page.getByRole('heading', { name: 'Where you are signed in' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Keep these settings' })).toHaveCount(0);
  await expect(page.getByRole('heading', { name: 'People' })).toHaveCount(0);
  await page.goto('/player/1');
  await expect(page.getByRole('heading', { name: 'What is next' })).toBeVisible();
  await expect(page.getByText('Private note')).toHaveCount(0);
});
