import { expect, test, type Page } from '@playwright/test';
import { addDrill, assistant, coach, enter, expectAccessible, keepChanges, lead, newSession, phone, runLink, runUntil, signedIn, signIn } from './support';

/** A session of its own, in the roll call of its first set. */
async function rollCall(page: Page, title: string): Promise<void> {
  await newSession(page, title);
  await addDrill(page, 'Sole taps');
  await keepChanges(page);
  await runLink(page).click();
  await page.getByRole('button', { name: 'Start' }).click();
  await runUntil(page, /Feet in turn: Sole taps/);
  await page.getByRole('button', { name: /^Numbers/ }).click();
}
async function type(page: Page, number: string): Promise<void> {
  await page.keyboard.type(number);
  await page.keyboard.press('Enter');
}

test('a browser without a store runs the session, says so, and the number arrives', async ({ page, context }) => {
  await page.setViewportSize(phone);
  await page.addInitScript(() => Object.defineProperty(window, 'indexedDB', { value: undefined }));
  await signIn(page);
  // Said before the session, while there is still time.
  await expect(page.getByText('This device keeps nothing: its store is full or shut.')).toBeVisible();
  await rollCall(page, 'No store');
  await context.setOffline(true);
  await type(page, '31');
  await expect(page.getByText('This phone will not keep a number: leave this page open until sent')).toBeVisible();
  await page.getByText('This phone will not keep a number').click();
  await expect(page.getByText('This device will not keep numbers: 1 is in this page alone.')).toBeVisible();
  await expect(page.getByRole('list', { name: 'What waits' })).toContainText('Amina, Sole taps: 31');
  await expectAccessible(page);
  // Back on the network it leaves by itself.
  await context.setOffline(false);
  await expect(page.getByText('Nothing waits')).toBeVisible();
});

test('a full phone never says all sent while a number is only in the page', async ({ page, context }) => {
  await signedIn(page);
  await rollCall(page, 'Full phone');
  await page.evaluate(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });
  await context.setOffline(true);
  await type(page, '32');
  await type(page, '33');
  await expect(page.getByText('This phone will not keep 2 numbers')).toBeVisible();
  await expect(page.getByText('all numbers sent')).toBeHidden();
  await context.setOffline(false);
  await page.evaluate(() => window.dispatchEvent(new Event('online')));
  await expect(page.getByText('all numbers sent')).toBeVisible();
  await page.goto('/squad');
  await expect(page.getByRole('row', { name: /Amina/ })).toContainText('32');
});

test('one number the server stumbles over is named with its fault and holds back no other', async ({ page }) => {
  await signedIn(page);
  await rollCall(page, 'One bad number');
  await page.route('**/api/v1/marks', async (route) => {
    const { marks } = route.request().postDataJSON() as { marks: { value: number }[] };
    if (!marks.some(({ value }) => value === 35)) return route.fallback();
    return route.fulfill({
      status: 500,
      contentType: 'application/problem+json',
      body: JSON.stringify({
        status: 500,
        code: 'fault',
        detail: 'Something broke on our side. It has been noted as abc123.',
        fields: [],
        requestId: 'abc123',
      }),
    });
  });
  for (const number of ['34', '35', '36']) await type(page, number);
  await expect(page.getByText('1 saved here, not sent yet')).toBeVisible();
  await page.getByText('1 saved here, not sent yet').click();
  await expect(page.getByRole('list', { name: 'What waits' }).getByRole('listitem')).toHaveText([/Bo, Sole taps: 35.*noted as abc123/]);
  await page.unroute('**/api/v1/marks');
  await page.getByRole('button', { name: 'Send now' }).click();
  await expect(page.getByText('Nothing waits')).toBeVisible();
});

test('what one coach entered waits for that coach, whoever signs in on the phone', async ({ page, context }) => {
  await signedIn(page);
  await rollCall(page, 'Two coaches, one phone');
  await context.setOffline(true);
  await type(page, '37');
  await expect(page.getByText('1 saved here, not sent yet')).toBeVisible();
  // The sign-in is gone before anything could be sent.
  await context.clearCookies();
  await context.setOffline(false);
  // What is asked without a sign-in is answered with 401 and changes nothing.
  const taken: string[] = [];
  page.on('response', (response) => {
    if (response.url().endsWith('/api/v1/marks') && response.ok()) taken.push(response.request().postData() ?? '');
  });
  await enter(page, assistant);
  await expect(page.getByText('1 of another account wait here')).toBeVisible();
  expect(taken).toEqual([]);
  await page.getByText('1 of another account wait here').click();
  await expect(page.getByText('1 more number was entered here under another account. It goes out when that account signs in on this device.')).toBeVisible();
  await expect(page.getByText('Amina')).toBeHidden();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByLabel('Password')).toBeVisible();
  await enter(page, coach);
  await expect.poll(() => taken.length).toBe(1);
  await expect(page.getByText(/wait here|not sent yet/)).toBeHidden();
});

test('a session is deleted once it was said what goes with it', async ({ page }) => {
  await signedIn(page);
  await rollCall(page, 'Not this one');
  await type(page, '38');
  await expect(page.getByText('all numbers sent')).toBeVisible();
  await page.getByRole('link', { name: 'Leave' }).click();
  await page.getByRole('button', { name: 'Delete this session' }).click();
  const dialog = page.getByRole('dialog', { name: 'Delete Not this one?' });
  await expect(dialog.getByText('With it go 1 number of 1 player, and any record set with them.')).toBeVisible();
  await expectAccessible(page);
  await dialog.getByRole('button', { name: 'Delete it' }).click();
  await expect(page.getByRole('heading', { name: 'Running order' })).toBeVisible();
  await expect(page.getByText('Not this one')).toBeHidden();
});

test('two who keep settings see both, and the lead reads who did what', async ({ page, browser }) => {
  await signedIn(page, lead);
  await page.goto('/settings');
  const form = page.locator('#squad');
  await form.getByLabel('Bibs owned').fill('15');
  const other = await browser.newPage();
  await signedIn(other);
  await other.goto('/settings');
  await other.locator('#squad').getByLabel('Bibs owned').fill('16');
  await other.locator('#squad').getByRole('button', { name: 'Keep these settings' }).click();
  await expect(other.locator('#squad').getByText('Kept.')).toBeVisible();
  await other.close();
  await form.getByRole('button', { name: 'Keep these settings' }).click();
  await expect(form.getByText('Bibs owned: yours 15, kept meanwhile 16')).toBeVisible();
  await expectAccessible(page);
  await form.getByRole('button', { name: 'Keep mine over it' }).click();
  await expect(form.getByText('Kept.')).toBeVisible();
  await page.reload();
  await expect(form.getByLabel('Bibs owned')).toHaveValue('15');
  const trail = page.getByRole('list', { name: 'Trail' });
  await expect(trail.getByRole('listitem').first()).toContainText('Ngaire changed settings: bibs owned from 16 to 15');
  await expect(trail.getByRole('listitem').nth(1)).toContainText('Mirela changed settings: bibs owned from 14 to 16');
});
