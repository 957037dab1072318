import { expect, test } from '@playwright/test';
import { addDrill, assistant, coach, keepChanges, lead, newSession, settled, signedIn } from './support';

test('a wrong password keeps the e-mail and says so at the field', async ({ page }) => {
  await page.goto('/');
  await page.getByLabel('E-mail').fill(coach.email);
  await page.getByLabel('Password').fill('wrong');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('alert')).toHaveText('E-mail and password do not go together. Try again.');
  await expect(page.getByLabel('E-mail')).toHaveValue(coach.email);
});

test('an absurd dose is said at its field and what was typed stays', async ({ page }) => {
  await signedIn(page);
  await newSession(page, 'Too long');
  await addDrill(page, 'Sole taps');
  for (const [typed, said] of [
    ['-30', 'Work must be between 5 and 1800 seconds.'],
    ['thirty', 'This is not a number.'],
    ['999999', 'Work must be between 5 and 1800 seconds.'],
  ] as const) {
    await page.getByLabel('Work, s').fill(typed);
    await expect(page.locator('.field', { hasText: 'Work, s' }).getByRole('alert')).toHaveText(said);
    await expect(page.getByLabel('Work, s')).toHaveValue(typed);
  }
  await page.getByLabel('Work, s').fill('45');
  await expect(page.locator('.field .fault')).toHaveCount(0);
  await keepChanges(page);
});

test('a plan without the book shows its order and says what is missing, where it is missing', async ({ page }) => {
  await signedIn(page);
  await page.route('**/drills', (route) => route.abort());
  await page.goto('/plan');
  const block = page.getByRole('region', { name: 'Block', exact: true });
  await expect(block.getByRole('alert')).toContainText('No connection.');
  await expect(page.getByRole('region', { name: 'Running order' })).toContainText('Sole taps');
  await page.getByRole('button', { name: 'Add a drill' }).click();
  await expect(page.getByRole('dialog').getByRole('alert')).toContainText('No connection.');
  await page.unroute('**/drills');
  await page.getByRole('dialog').getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('button', { name: 'Add Sole taps', exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await expect(block.getByLabel('Work, s')).toHaveValue('45');
});

test('nobody coming is a sentence, not an empty page', async ({ page }) => {
  await signedIn(page);
  await newSession(page, 'Rain');
  await addDrill(page, 'Sole taps');
  await page.locator('summary', { hasText: 'Who comes' }).click();
  for (const box of await page.getByRole('checkbox').all()) await box.uncheck();
  await expect(page.getByRole('alert')).toContainText('Nobody is coming yet.');
  await page.getByRole('checkbox', { name: 'Kofi' }).check();
  await expect(page.getByRole('alert')).toBeHidden();
});

test('a sign-in that ran out while typing is renewed over the plan', async ({ page, context }) => {
  await signedIn(page);
  await newSession(page, 'Long evening');
  await addDrill(page, 'Sole taps');
  // An answer under way would bring its cookie back.
  await settled(page);
  await expect(page.getByRole('heading', { name: 'Last time' })).toBeVisible();
  await context.clearCookies();
  await page.getByLabel('Work, s').fill('50');
  const again = page.getByRole('dialog', { name: 'Sign in again to go on' });
  await expect(again).toBeVisible();
  await again.getByLabel('E-mail').fill(coach.email);
  await again.getByLabel('Password').fill(coach.password);
  await again.getByRole('button', { name: 'Sign in' }).click();
  await expect(again).toBeHidden();
  await expect(page.getByLabel('Work, s')).toHaveValue('50');
  await keepChanges(page);
});

test('what was typed survives loading the page again', async ({ page }) => {
  await signedIn(page);
  await newSession(page, 'Reload');
  await addDrill(page, 'Sole taps');
  await page.getByLabel('Work, s').fill('55');
  await expect(page.locator('.order .slip')).toContainText('55 s');
  await page.reload();
  await expect(page.getByLabel('Work, s')).toHaveValue('55');
});

test('two windows change one plan: both are shown and neither is lost unasked', async ({ page, context }) => {
  await signedIn(page);
  await newSession(page, 'Two windows');
  await addDrill(page, 'Sole taps');
  await keepChanges(page);
  const other = await context.newPage();
  await other.goto(page.url());
  await addDrill(other, 'Inside taps');
  await keepChanges(other);
  await page.getByLabel('Work, s').fill('40');
  await page.getByRole('button', { name: 'Keep changes' }).click();
  await expect(page.getByText(/^This plan was changed in another window/)).toBeVisible();
  await expect(page.getByText('2 × 40 s', { exact: false }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Keep mine over it' }).click();
  await expect(page.getByText(/^This plan was changed in another window/)).toBeHidden();
  await expect(page.locator('.order .slip')).toHaveCount(1);
});

test('what was typed before somebody else kept a plan is asked about, and not thrown away', async ({ page, browser }) => {
  await signedIn(page);
  await newSession(page, 'Come back later');
  await addDrill(page, 'Sole taps');
  await keepChanges(page);
  await page.getByLabel('Work, s').fill('45');
  await expect(page.locator('.order .slip')).toContainText('45 s');
  const address = page.url();
  await page.goto('/book');
  const other = await (await browser.newContext()).newPage();
  await signedIn(other, lead);
  await other.goto(address);
  await addDrill(other, 'Inside taps');
  await keepChanges(other);

  await page.goto(address);
  const version = (title: string) => page.getByRole('alert').locator('section', { hasText: title });
  await expect(version('Yours, not kept')).toContainText('2 × 45 s');
  await expect(version('The other, kept')).toContainText('Inside taps');
  await page.reload();
  await page.getByRole('button', { name: 'Take the other' }).click();
  await expect(page.locator('.order .slip')).toHaveCount(2);
  await page.reload();
  await expect(page.locator('.order .slip')).toHaveCount(2);
  await expect(page.getByRole('button', { name: 'Take the other' })).toBeHidden();
});

test('a player form says what is wrong and keeps the rest', async ({ page }) => {
  await signedIn(page);
  await page.goto('/squad');
  await page.getByRole('button', { name: 'Add a player' }).click();
  await page.getByLabel('First name').fill('Amina');
  await page.getByLabel('Birth year').fill('1914');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByText('This squad has a player of that name. Add an initial.')).toBeVisible();
  await expect(page.getByText('Enter a year such as 2014.')).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
});

test('an assistant sees the plan and may not keep changes', async ({ page }) => {
  await signedIn(page, assistant);
  await page.goto('/plan');
  await expect(page.getByText('Only the coach keeps changes.')).toBeVisible();
  await page.goto('/squad');
  await expect(page.getByRole('button', { name: 'Add a player' })).toBeHidden();
});
