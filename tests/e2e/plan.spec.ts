import { expect, test } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { addDrill, expectAccessible, keepChanges, newSession, phone, settled, signedIn } from './support';

test('a session too long is cut with one press, and every step can be taken back', async ({ page }) => {
  await signedIn(page);
  await newSession(page, 'Too much');
  await addDrill(page, 'Sole taps');
  await addDrill(page, 'Drag back and away');
  await addDrill(page, 'Gate to gate');
  await page.getByText('Name, place and time').click();
  await page.getByLabel('Slot, minutes').fill('15');
  await settled(page);
  const cuts = page.getByRole('region', { name: 'What could go' }).getByRole('button');
  await expect(cuts.first()).toHaveText(/^(Rest \d+ s in place of|One set fewer)/);
  await expectAccessible(page);

  const first = await cuts.first().innerText();
  await cuts.first().click();
  await settled(page);
  await expect(cuts.first()).not.toHaveText(first);
  await page.getByRole('button', { name: 'Undo' }).click();
  await settled(page);
  await expect(cuts.first()).toHaveText(first);
  await page.getByRole('button', { name: 'Redo' }).click();
  await settled(page);
  await expect(cuts.first()).not.toHaveText(first);
  // By keyboard too, as long as nobody is typing.
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('Control+z');
  await settled(page);
  await expect(cuts.first()).toHaveText(first);
});

test('a warning is cured where it stands', async ({ page }) => {
  await signedIn(page);
  await newSession(page, 'Waiting');
  await addDrill(page, 'Zigzag, inside and outside');
  await page.getByLabel('Stations').fill('2');
  await settled(page);
  await expect(page.locator('.warn', { hasText: 'Somebody waits' })).toBeVisible();
  await page.getByRole('button', { name: 'Make it 3 stations' }).click();
  await settled(page);
  await expect(page.getByLabel('Stations')).toHaveValue('3');
});

test('the same session a week later, its sheet on two pages at most, and a file for the calendar', async ({ page }) => {
  await signedIn(page);
  await page.goto('/plan');
  await settled(page);
  const title = await page.getByRole('heading', { level: 1 }).innerText();
  await page.getByRole('link', { name: 'Sheet' }).click();
  await expect(page.getByText(/^\d+ coming/)).toBeVisible();
  await expect(page.getByText(/^To beat/).first()).toBeVisible();
  await expect(page.getByRole('heading', { level: 1, name: title })).toBeVisible();
  await expectAccessible(page);
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'For a calendar' }).click()]);
  expect(readFileSync(await download.path(), 'utf8')).toMatch(/^BEGIN:VCALENDAR\r\n[\s\S]*DTSTART:\d{8}T\d{6}Z\r\n/);
  const sheet = (await page.pdf({ format: 'A4', margin: { top: '12mm', bottom: '12mm', left: '12mm', right: '12mm' } })).toString('latin1');
  expect((sheet.match(/\/Type\s*\/Page\b/g) ?? []).length).toBeLessThanOrEqual(2);

  await page.setViewportSize({ ...phone, width: 360 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
  await page.setViewportSize({ width: 1280, height: 800 });

  await newSession(page, 'Once more');
  await addDrill(page, 'Sole taps');
  await keepChanges(page);
  const before = page.url();
  await page.getByRole('button', { name: 'Again in a week' }).click();
  await expect(page).not.toHaveURL(before);
  await expect(page.getByRole('heading', { level: 1, name: 'Once more' })).toBeVisible();
  await expect(page.locator('.order .slip')).toHaveCount(1);
});

test('a long wait is cured by another dose, and the first layout costs time only where it is not laid before', async ({ page }) => {
  await signedIn(page);
  await newSession(page, 'A hundred, and a wait');
  await addDrill(page, 'First hundred: knee-high, feet in turn');
  await settled(page);
  // A ball each, and everybody waits for the slowest.
  const wait = page.getByText(/^Somebody waits \d+:\d\d in all/).first();
  const before = await wait.innerText();
  await page.getByRole('button', { name: /^Stop a go after \d:\d\d/ }).click();
  await settled(page);
  await expect(page.getByText(before)).toHaveCount(0);
  await expect(page.getByLabel('A go is stopped')).toHaveValue(/\d/);

  await addDrill(page, 'Drag back and away');
  await settled(page);
  const worked = page.getByRole('region', { name: 'How it works out' });
  await expect(worked.getByText('It is laid before the start.', { exact: true })).toBeVisible();
  await expect(worked.getByText('Set-up', { exact: true })).toHaveCount(0);
  await page.getByText(/^Helpers and heat/).click();
  await page.getByLabel('First layout lies before the start').uncheck();
  await settled(page);
  await expect(page.getByText('Helpers and heat: no helper, nothing laid before')).toBeVisible();
  await expect(worked.getByText('Set-up', { exact: true })).toBeVisible();
  await expectAccessible(page);
});
