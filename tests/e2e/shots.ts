import { expect, test } from '@playwright/test';
import { coach, lead, phone, runUntil, settled, signIn } from './support';

const shot = (name: string) => ({ path: `docs/screenshots/${name}.png` });

test('desk', async ({ page }) => {
  await signIn(page, coach);
  await page.screenshot(shot('today'));
  await page.goto('/plan');
  await settled(page);
  await page.locator('.order .slip', { hasText: 'Zigzag' }).click();
  await page.evaluate(() => scrollTo(0, 0));
  await page.screenshot(shot('plan'));
  await page.getByRole('link', { name: 'Rehearse' }).click();
  await page.getByLabel('Moment of the session').fill('890');
  await page.screenshot(shot('rehearsal'));
  await page.getByRole('link', { name: 'Back to the plan' }).click();
  await page.getByRole('link', { name: 'Sheet' }).click();
  await expect(page.getByText(/^To beat/).first()).toBeVisible();
  await page.screenshot(shot('sheet'));
  await page.goto('/plan');
  await page.getByRole('link', { name: 'Proposals' }).click();
  await page.getByLabel('Theme').selectOption('turning');
  await page.getByRole('button', { name: 'Propose three' }).click();
  await expect(page.locator('.proposed')).toHaveCount(3);
  await page.screenshot(shot('proposals'));
  await page.goto('/squad');
  await expect(page.getByRole('link', { name: 'Ines' }).first()).toBeVisible();
  await page.screenshot(shot('squad'));
  await page.getByRole('link', { name: 'Noor' }).last().click();
  await expect(page.getByRole('heading', { name: 'What is next' })).toBeVisible();
  await page.screenshot(shot('player'));
  await page.goto('/season');
  await expect(page.getByRole('heading', { name: 'What the next fortnight needs' })).toBeVisible();
  await page.screenshot(shot('season'));
});

test('people', async ({ page }) => {
  await signIn(page, lead);
  await page.goto('/settings');
  await expect(page.getByRole('heading', { name: 'Invite somebody' })).toBeVisible();
  await page.screenshot(shot('settings'));
});

test('book', async ({ page }) => {
  await signIn(page, coach);
  await page.goto('/book');
  await expect(page.getByRole('link', { name: 'Sole taps' })).toBeVisible();
  await page.screenshot(shot('book'));
  await page.goto('/book/drills?people=alone&wall=no&width=6');
  await expect(page.getByText(/^\d+ drills$/)).toBeVisible();
  await page.screenshot(shot('drills'));
  await page.goto('/book/drills/zigzag-in-out');
  await expect(page.getByRole('img', { name: /Layout of Zigzag/ })).toBeVisible();
  await page.screenshot(shot('drill'));
  await page.goto('/book/drills/zigzag-in-out/copy');
  await page.getByLabel('Spacing').fill('5');
  await expect(page.getByText('Spacing was 4 yd, is 5 yd.')).toBeVisible();
  await page.screenshot(shot('own-drill'));
  await page.goto('/book/ladders');
  await expect(page.getByRole('heading', { name: 'Turns over the line' })).toBeVisible();
  await page.screenshot(shot('ladders'));
});

test('home', async ({ page, browser, baseURL }) => {
  await signIn(page, coach);
  await page.goto('/player/12/home');
  const code = await page.getByRole('region', { name: "Sunniva's page" }).locator('.num').innerText();
  const home = await browser.newContext({ baseURL: baseURL ?? '', viewport: phone });
  const child = await home.newPage();
  await child.goto(`/at-home/#${code}`);
  await expect(child.getByRole('button', { name: 'Start the timer' })).toBeVisible();
  await child.screenshot(shot('home-phone'));
  await home.close();
});

test('pitch', async ({ page }) => {
  await page.setViewportSize(phone);
  await signIn(page, coach);
  await page.screenshot(shot('today-phone'));
  await page.goto('/plan');
  await settled(page);
  await page.screenshot(shot('plan-phone'));
  await page.goto('/run');
  await page.getByRole('button', { name: 'Start' }).click();
  await runUntil(page, /Right foot: Pull back|Right foot: Drag back/);
  await page.getByRole('button', { name: /^Numbers/ }).click();
  for (const number of ['14', '17', '11', '21']) {
    await page.keyboard.type(number);
    await page.keyboard.press('Enter');
  }
  await page.keyboard.type('1');
  await expect(page.getByText('all numbers sent')).toBeVisible();
  await page.screenshot(shot('roll-call-phone'));
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Done' }).click();
  await runUntil(page, /Right foot: Zigzag/);
  await page.screenshot(shot('run-phone'));
});
