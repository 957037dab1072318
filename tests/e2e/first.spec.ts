import { expect, test, type Locator } from '@playwright/test';
import { expectAccessible, lead, phone, runUntil, settled, signedIn, token } from './support';

test.use({ viewport: phone });

// Else pages would take answers as they are, and nothing here would see one that is not as it is described.
test('the server of these tests names no contract', async ({ request }) => {
  const answer = await request.get('/api/v1/pulse');
  expect(answer.headers()['x-contract'] ?? '').toBe('');
});

test('a squad that has nothing: ten presses from the door to the clock, a guest more at the pitch, and names later', async ({ page }) => {
  await signedIn(page, lead);
  const made = await page.request.post('/api/v1/club/squads', {
    data: { name: 'Windward Under-10', ageGroup: 'U10' },
    headers: { Accept: 'application/json', 'X-XSRF-TOKEN': await token(page) },
  });
  const { id } = (await made.json()) as { id: number };
  await page.addInitScript((squad) => localStorage.setItem('squad', String(squad)), id);
  await page.context().clearCookies();

  let presses = 0;
  const press = async (what: Locator) => {
    presses += 1;
    await what.click();
  };
  const type = async (what: Locator, text: string) => {
    presses += 1;
    await what.fill(text);
  };
  await page.goto('/');
  await type(page.getByLabel('E-mail'), lead.email);
  await type(page.getByLabel('Password'), lead.password);
  await press(page.getByRole('button', { name: 'Sign in' }));
  await expect(page.getByRole('heading', { name: 'A session for now' })).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel('How many?').fill('0');
  await expect(page.getByText('Enter a number up to 20.')).toBeVisible();
  await page.getByLabel('Minutes').fill('half an hour');
  await expect(page.getByText('Enter 10 to 240 minutes.')).toBeVisible();
  await type(page.getByLabel('How many?'), '6');
  await type(page.getByLabel('Minutes'), '30');
  await press(page.getByRole('button', { name: 'Make the session' }));
  await expect(page.getByRole('heading', { level: 1, name: 'First session' })).toBeVisible();
  await settled(page);
  await press(page.locator('.head .acts').getByRole('link', { name: 'Run', exact: true }));
  await press(page.getByRole('button', { name: 'Start' }));
  expect(presses).toBeLessThanOrEqual(10);
  await expect(page.getByRole('timer')).toBeVisible();

  // One more comes: without a network that is said, with one there is a place for bib 7.
  await page.getByRole('button', { name: 'More' }).click();
  await page.getByRole('button', { name: 'Who is here' }).click();
  await page.context().setOffline(true);
  await page.getByRole('button', { name: 'A guest comes: bib 7' }).click();
  await expect(page.getByText('A guest needs the network for a moment.')).toBeVisible();
  await page.context().setOffline(false);
  await page.getByRole('button', { name: 'A guest comes: bib 7' }).click();
  await expect(page.getByRole('group', { name: 'Bib 7', exact: true }).getByLabel('here')).toBeChecked();
  await page.getByRole('button', { name: 'Seat them' }).click();
  await expect(page.getByRole('timer')).toBeVisible();
  await page.getByRole('button', { name: 'More' }).click();
  await page.getByRole('button', { name: 'Who is here' }).click();
  await expect(page.getByText(/^7 players/)).toBeVisible();

  // A name at last.
  await page.goto('/squad');
  await page.getByLabel('Change a player').selectOption('Bib 7');
  await page.getByLabel('First name').fill('Zofia');
  await page.getByRole('button', { name: 'Keep', exact: false }).last().click();
  await expect(page.getByRole('link', { name: 'Zofia' })).toBeVisible();

  // Where does everybody stand? One short try of three rungs, and whoever meets one is placed.
  await page.goto('/book/ladders');
  await page.getByRole('button', { name: 'Entry test: From a bounce to a run' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Entry test: From a bounce to a run' })).toBeVisible();
  await settled(page);
  await expect(page.getByRole('region', { name: 'Time ribbon' }).getByRole('button')).toHaveCount(3);
  await page.locator('.head .acts').getByRole('link', { name: 'Run', exact: true }).click();
  await page.getByRole('button', { name: 'Start' }).click();
  await runUntil(page, /^(Right|Left|Other|Both|Strong|Feet|Work)/);
  await page.getByRole('button', { name: /^Numbers/ }).click();
  await page.keyboard.type('15');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByText('all numbers sent')).toBeVisible();
  await page.goto('/book/ladders');
  await expect(page.getByText(/not begun: one short try places them/).first()).toBeVisible();
});
