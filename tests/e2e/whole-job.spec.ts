import { expect, test } from '@playwright/test';
import { addDrill, addSession, coach, enter, expectAccessible, keepChanges, runLink, runUntil } from './support';

test('from sign-in to the next number to beat', async ({ page }) => {
  await enter(page, coach);
  await expect(page.getByRole('heading', { name: 'Running order' })).toBeVisible();

  // Today: the next session at a glance.
  await expect(page.getByRole('heading', { name: '13 of 14 coming' })).toBeVisible();
  await expect(page.getByText('Missing: Tomasz.')).toBeVisible();

  // Plan: add three, move one, and see what the server makes of it.
  await addSession(page, 'Quick feet by the quay');
  await addDrill(page, 'Sole taps');
  await addDrill(page, 'Figure of eight');
  await addDrill(page, 'Inside taps');
  const rows = page.locator('.order .slip strong');
  await expect(rows).toHaveText(['Sole taps', 'Figure of eight', 'Inside taps']);
  const totals = page.getByRole('status', { name: 'Totals' });
  await expect(totals).not.toHaveClass(/pending/);
  await expect(page.locator('.order .slip').nth(2).locator('.num').last()).not.toHaveText('–');
  const apart = await page.locator('.order .slip').nth(2).locator('.num').last().innerText();
  await page.getByRole('button', { name: 'Earlier: Inside taps' }).click();
  await expect(rows).toHaveText(['Sole taps', 'Inside taps', 'Figure of eight']);
  // Right after the sole taps, where everybody stays where they are, a new move takes 20 s to tell and not 60. This coach's last forty
  // took 1.45 times as long as planned in the middle: (40 · 1.45 + 3) ÷ 43 = 1.419, and 40 s are 57.
  const together = page.locator('.order .slip').nth(1).locator('.num').last();
  await expect(together).not.toHaveText(apart);
  const seconds = (clock: string) => clock.split(':').reduce((sum, part) => sum * 60 + Number(part), 0);
  expect(seconds(apart) - seconds(await together.innerText())).toBe(57);

  // The keyboard moves it too.
  await page.locator('.order .slip').nth(1).focus();
  await page.keyboard.press('Alt+ArrowUp');
  await expect(rows).toHaveText(['Inside taps', 'Sole taps', 'Figure of eight']);

  // A dose changes the touches of each foot.
  await page.locator('.order .slip').nth(1).click();
  await page.getByLabel('Work, s').fill('60');
  await page.getByLabel('Sets').fill('1');
  await expect(page.locator('.order .slip').nth(1)).toContainText('1 × 60 s');
  // 60 s ÷ 0.9 s a pair: 67 touches of each foot.
  await expect(page.getByRole('region', { name: 'How it works out' }).locator('span.num.left')).toHaveText('67');
  await keepChanges(page);

  // Run: the clock, then the numbers.
  await runLink(page).click();
  await page.getByRole('button', { name: 'Start' }).click();
  await runUntil(page, /Feet in turn: Sole taps/);
  await expect(page.getByRole('timer')).toHaveText(/0:5\d|1:00/);
  await page.getByRole('button', { name: 'Pause' }).click();
  await expect(page.getByText('Paused.')).toBeVisible();
  await page.getByRole('button', { name: 'Go on' }).click();
  await page.getByRole('button', { name: /Numbers: 14 still owed/ }).click();

  // Fourteen numbers by keyboard: the digits and one Enter a player, and the focus is never lost.
  await expect(page.getByRole('textbox', { name: 'Amina' })).toBeFocused();
  const names = await page.locator('.roll label').allInnerTexts();
  expect(names).toHaveLength(14);
  for (const [i, name] of names.entries()) {
    await expect(page.getByRole('textbox', { name, exact: true })).toBeFocused();
    await page.keyboard.type(String(60 + i));
    await page.keyboard.press('Enter');
  }
  await expect(page.getByRole('button', { name: 'Done' })).toBeFocused();
  await expect(page.getByText('all numbers sent')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Numbers: all written' })).toBeVisible();
  await runUntil(page, /That was the session/);

  // What was today about? Their answers and one press, kept for the next plan.
  await page.getByText(/more to ask/).click();
  await expect(page.getByText('What makes your feet quicker?')).toBeVisible();
  await page.getByLabel('What they said').fill('Stay on your toes');
  await page.getByLabel('About right').check();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Close the session' }).click();
  const plan = page.url().replace('/run/', '/plan/');
  await page.getByRole('link', { name: 'To Today' }).click();
  await expect(page.getByRole('heading', { name: /^What they said on/ })).toBeVisible();
  await page.goto(plan);
  await expect(page.getByLabel('What they said, in')).toHaveValue('Stay on your toes');
  await expect(page.getByLabel('About right')).toBeChecked();

  // Next time the number to beat is there: the first of 60 s was 60, so 61.
  await page.getByRole('link', { name: 'Squad' }).click();
  // In the board, not in Today's list of records, which stands until the board is there.
  await page.getByRole('row', { name: /Amina/ }).getByRole('link', { name: 'Amina', exact: true }).click();
  const target = page.locator('.rows li', { hasText: 'in 60 s' }).filter({ hasText: 'Sole taps' });
  await target.locator('summary').first().click();
  await expect(target.getByText('Next to beat')).toHaveText('Next to beat 61 own record 60, and one');
});
